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
    `${of(v.min, 'none')} to ${of(v.max, v.unit)}`,
  'want.letters': (v: { most: number }) => `at most ${v.most} letters`,
  'want.lettersLeast': (v: { least: number }) => `at least ${v.least} letters`,
  'want.count': (v: { least: number }) => (v.least === 1 ? 'at least one' : `at least ${v.least} of them`),
  'want.countMost': (v: { most: number }) => `at most ${v.most} of them`,
  'want.countExactly': (v: { count: number }) => `exactly ${v.count} of them`,
  'want.oneOf': (v: { values: readonly string[] }) => `one of ${v.values.join(', ')}`,
  'want.exactly': (v: { text: string }) => `the text ${v.text}`,
  'want.date': () => 'a date like 2027-01-14',
  'want.instant': () => 'an ISO 8601 instant with an offset or Z, like 2027-01-14T15:00:00Z',
  'want.uuid': () => 'a UUID',
  'want.url': () => 'an address that begins with http:// or https://',
  'want.monthDay': () => 'a month and day like 04-18',
  'want.dayOfMonth': () => 'a day that the month has',
  'want.clock': () => 'a time like 22:00',
  'want.timeZone': () => 'a time zone like Europe/Madrid',
  'want.crop': () => 'a crop of the list, as GET /api/crops has it',
  'want.cropId': () => 'the id of a crop of the list, as npm run -s crops -- --csv prints it',
  'want.figure': () => 'a column of the library of crops',
  'want.fullAboveStart': () => 'fully open only above where it starts',
  'want.overLowest': () => 'no lower than the lowest',
  'want.meanHigh': () => 'a mean high over the mean low',
  'want.instantAfter': (v: { field: string }) => `a time after ${v.field}`,
  'want.after': (v: { field: string }) => `after ${v.field}`,
  'want.noEarlier': (v: { field: string }) => `no earlier than ${v.field}`,
  'want.noLess': (v: { than: string }) => `no less than ${v.than}`,
  'want.noMore': (v: { than: string }) => `no more than ${v.than}`,
  'want.lessThan': (v: { than: string }) => `less than ${v.than}`,
  'want.ownAddress': () => 'what stands on the farm is changed through its own address',
  'want.want': () => 'either { "from", "to" } or { "clearBy" }, month and day like 11-15',
  'want.climate': () => 'either { "monthly": twelve months } or { "dailyCsv": a path }',
  'want.eachOnce': () => 'each id once',
  'want.idOf': (v: { what: 'places' | 'beds' }) => `the id of one of the ${v.what}`,
  'want.rowOf': (v: { rows: number }) => `a row of the bed, which has ${v.rows}`,
};
