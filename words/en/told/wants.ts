/**
 * What is expected of a field, after "field: expected". What a schema's own rule says of itself (a least, a most, a kind) is told from
 * the rule; only what a rule cannot say has a sentence of its own. In the unit that the field is called by.
 */

const UNIT = {
  none: '',
  metres: 'm',
  area: 'm²',
  celsius: '°C',
  kelvin: 'K',
  speed: 'm/s',
  water: 'mm',
  mass: 'kg',
  gram: 'g',
  load: 'kg/m²',
  perArea: 'g/m²',
  heat: 'W/m²',
  litres: 'l',
  flow: 'l/h',
  hours: 'h',
  seconds: 's',
  minutes: 'min',
  degrees: '°',
  percent: '%',
};
/** Of a field that is called by its unit. */
export type Unit = keyof typeof UNIT;

const of = (x: number, unit: Unit): string =>
  `${x < 0 ? `−${-x}` : x}${unit === 'degrees' || unit === 'none' ? '' : ' '}${UNIT[unit]}`;
const WHOLE = { case: 'the case', request: 'the request', body: 'the body' };

interface Limit {
  value: number;
  unit: Unit;
}

export const wants = {
  'refuse.expected': (v: { field: string; expected: string }) => `${v.field}: expected ${v.expected}`,
  'refuse.missing': (v: { field: string; expected: string }) =>
    `${v.field}: expected ${v.expected}, it is missing`,
  'refuse.unknownField': (v: { fields: readonly string[] }) =>
    `${v.fields.join(', ')}: no such field is expected here`,

  'refuse.whole': (v: { whole: keyof typeof WHOLE }) => WHOLE[v.whole],

  'want.number': (v: { unit: Unit }) => (v.unit === 'none' ? 'a number' : `a number (${UNIT[v.unit]})`),
  'want.whole': () => 'a whole number',
  'want.text': () => 'a text',
  'want.someText': () => 'some text',
  'want.list': () => 'a list',
  'want.object': () => 'an object with fields',
  'want.yesNo': () => 'true or false',
  'want.other': () => 'something else',
  'want.atLeast': (v: Limit) => `at least ${of(v.value, v.unit)}`,
  'want.atMost': (v: Limit) => `at most ${of(v.value, v.unit)}`,
  'want.moreThan': (v: Limit) => `more than ${of(v.value, v.unit)}`,
  'want.under': (v: Limit) => `under ${of(v.value, v.unit)}`,
  'want.between': (v: { min: number; max: number; unit: Unit }) =>
    `a number from ${of(v.min, 'none')} to ${of(v.max, v.unit)}`,
  'want.letters': (v: { most: number }) => `at most ${v.most} letters`,
  'want.lettersLeast': (v: { least: number }) => `at least ${v.least} letters`,
  'want.count': (v: { least: number }) => (v.least === 1 ? 'at least one' : `at least ${v.least} of them`),
  'want.countMost': (v: { most: number }) => `at most ${v.most} of them`,
  'want.countExactly': (v: { count: number }) => `exactly ${v.count} of them`,
  'want.oneOf': (v: { values: readonly string[] }) => `one of ${v.values.join(', ')}`,
  'want.exactly': (v: { text: string }) => `the string ${v.text}`,
  'want.date': () => 'a date like 2027-01-14',
  'want.instant': () => 'an ISO 8601 instant with an offset or Z, like 2027-01-14T15:00:00Z',
  'want.uuid': () => 'a UUID',
  'want.url': () => 'an address that begins with http:// or https://',
  'want.monthDay': () => 'a month and day like 04-18',
  'want.dayOfMonth': () => 'a day that the month has',
  'want.clock': () => 'a time like 22:00',
  'want.timeZone': () => 'a time zone like Europe/Madrid',
  'want.crop': () => 'a crop of the list',
  'want.cropId': () => 'the id of a crop of the list, as npm run -s crops -- --csv prints it',
  'want.figure': () => 'a column of the library of crops',
  'want.fullAboveStart': () => 'fully open only above where it starts',
  'want.overLowest': () => 'no lower than the lowest',
  'want.meanHigh': () => 'a mean high over the mean low',
  'want.instantAfter': (v: { field: string }) => `a time after ${v.field}`,
  'want.afterLast': () => 'an instant after the one before it',
  'want.soonAfterLast': (v: { hours: number }) => `no more than ${v.hours} hours after the one before it`,
  'want.fromInstant': (v: { iso: string; why: 'day' | 'none' }) =>
    `from ${v.iso} on or before${v.why === 'day' ? ', a day before the moment' : ''}`,
  'want.toInstant': (v: { iso: string; why: 'hour' | 'night' }) =>
    `up to ${v.iso} at least, ${v.why === 'hour' ? 'an hour before the moment' : 'through the last night'}`,
  'want.after': (v: { field: string }) => `a day after ${v.field}`,
  'want.noEarlier': (v: { field: string }) => `no earlier than ${v.field}`,
  'want.noLess': (v: { than: string }) => `no less than ${v.than}`,
  'want.noMore': (v: { than: string }) => `no more than ${v.than}`,
  'want.lessThan': (v: { than: string }) => `less than ${v.than}`,
  'want.ownAddress': () => 'what stands on the farm is changed through its own address',
  'want.want': () => 'either { "from", "to" } or { "clearBy" }, month and day like 11-15',
  'want.climate': () => 'either { "monthly": twelve months } or { "dailyCsv": a path }',
  'want.withinYear': (v: { field: string }) => `within a year of ${v.field}`,
  'want.readable': (v: { path: string }) => `a file that can be read; ${v.path} cannot`,
  'want.days': (v: { row: number; reason: string }) => `days with low and high; row ${v.row}: ${v.reason}`,
  'want.threeYears': (v: { days: number }) => `at least three years of days, it has ${v.days} days`,
  'want.ownId': (v: { id: string }) => `one that no other has, not ${v.id}`,
  'want.arrivals': (v: { records: number }) => `one for each of the ${v.records} records`,
  'want.ofFile': (v: { what: 'structure' | 'bed' }) => `a ${v.what} of this file`,
  'want.interval': () => '15, 30 or 60 minutes after weather[0].time',
  'want.minutesAfterLast': (v: { minutes: number }) => `${v.minutes} minutes after the entry before it`,
  'want.noHigher': (v: { than: string; value: number }) => `no higher than ${v.than} (${v.value})`,
  'want.ventWhereOpens': () => 'above 0 where the layer opens',
  'want.boardOnBox': () => 'board only where shape is box',
  'want.footingOnBox': () => 'given only where shape is box',
  'want.touchesInnermost': () => 'true only for the innermost layer',
  'want.stands': (v: { leastM: number }) => `at least ${v.leastM} for a layer that stands`,
  'want.withinLayer': (v: { mostM: number }) => `no more than ${v.mostM}, the layer around it`,
  'want.underFlat': (v: { mostM: number }) => `low enough to lie under a flat sheet, up to ${v.mostM}`,
  'want.noFigure': (v: { crop: string }) => `nothing: ${v.crop} has no such figure`,
  'want.figureThan': (v: { way: 'noMore' | 'noLess'; other: string; is: number }) =>
    `${v.way === 'noMore' ? 'no more' : 'no less'} than ${v.other}, which is ${of(v.is, 'none')}`,
  'want.pastHours': (v: { iso: string }) => `hours that have passed; ${v.iso} is to come`,
  'want.past': () => 'an instant that has passed',
  'want.pastInstants': () => 'instants that have passed',
  'want.comingNight': () => 'a time in the coming night',
  'want.fitsIn': (v: { most: number; what: 'length' | 'width'; name: string }) =>
    `no more than ${v.most}, the ${v.what} of ${v.name}`,
  'want.holds': (v: { least: number; what: 'length' | 'width'; name: string }) =>
    `at least ${v.least}, the ${v.what} of ${v.name} in it`,
  'want.features': () => 'a GeoJSON FeatureCollection',
  'want.polygon': () => 'a Polygon of four corners or more',
  'want.pairs': () => 'pairs of longitude and latitude',
  'want.thisBeds': (v: { bed: string }) => `a structure of this farm for the bed ${v.bed}`,
  'want.lostBed': (v: { crop: string }) =>
    `the bed with ${v.crop} in it; its story would be lost. Clear it first.`,
  'want.inTable': () => 'in the table; it lies on a bed now',
  'want.since2000': () => 'an instant from the year 2000 to 2200',
  'want.eachOnce': () => 'each id once',
  'want.idOf': (v: { what: 'places' | 'beds' }) => `the id of one of the ${v.what}`,
  'want.rowOf': (v: { rows: number }) => `a row of the bed, which has ${v.rows}`,
};
