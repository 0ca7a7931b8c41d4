/** Why a row of a table, or the whole of it, is not taken; what its columns were taken for. */
import type { ForecastField } from '@fogata/core';

const MEANING: Record<ForecastField, string> = {
  time: 'time',
  date: 'date',
  clock: 'time of day',
  air: 'air temperature',
  dew: 'dew point',
  humidity: 'relative humidity',
  wind: 'wind at 10 m',
  windFrom: 'where the wind comes from',
  cloud: 'cloud',
  global: 'sun on the level',
  rain: 'rain',
  snow: 'new snow',
};
const ORDER = {
  'year-month-day': 'year-month-day',
  'day/month/year': 'day/month/year',
  'month/day/year': 'month/day/year',
};
const RANGE: Partial<Record<ForecastField, string>> = {
  air: '−60 to 60 °C',
  dew: '−80 to 40 °C',
  humidity: '1 to 100 %',
  wind: '0 to 75 m/s',
  windFrom: '0 to 360°, or letters like NNW',
  cloud: 'clear to overcast',
  global: '0 to 1500 W/m²',
  rain: '0 to 200 mm',
  snow: '0 to 500 mm',
};
const named = (word: string) => word || 'nothing';

export const rows = {
  'column.meaning': (v: { field: ForecastField; unit: string; order: keyof typeof ORDER | null }) =>
    [MEANING[v.field], v.order === null ? v.unit : ORDER[v.order]].filter(Boolean).join(', '),
  'column.dewEstimated': () => 'dew point, from the lowest around each hour',
  'column.cloudEstimated': () => 'cloud, as half of the sky',

  'row.none': () => 'there are no rows under a header',
  'row.manyColumns': (v: { columns: number; most: number }) =>
    `${v.columns} columns, at most ${v.most} are looked at`,
  'row.noColumn': (v: { column: string }) => `${v.column}: expected a column of that name`,
  'row.noTime': () => 'no column for time',
  'row.noTimeOrDate': () => 'no column for time (or date and hour)',
  'row.noAir': () => 'no column for air temperature',
  'row.noWind': () => 'no column for wind',
  'row.noTemperature': () => 'no column for temperature',
  'row.noSpot': () => 'no column for the spot, and none was chosen',
  'row.noDate': () => 'no column called date',
  'row.noDateOrTime': () => 'no column called date or time',
  'row.noLow': () => 'no column for the low of the day, called low or min',
  'row.noHigh': () => 'no column for the high of the day, called high or max',
  'row.noDayNorAir': () => 'neither a low and a high of the day nor the air’s temperature has a column',
  'row.unit': (v: { unit: string; header: string; units: readonly string[] }) =>
    `the unit “${v.unit}” of “${v.header}” is not known; expected ${v.units.map((u) => u || 'a share 0 to 1').join(', ')}`,
  'row.unitOfDay': (v: { unit: string; header: string }) =>
    `the unit “${v.unit}” of “${v.header}” is not known; expected °C or °F`,

  'row.number': (v: { column: string; whole: boolean; min: number; max: number }) =>
    `${v.column}: expected a ${v.whole ? 'whole ' : ''}number from ${v.min} to ${v.max}`,
  'row.oneOf': (v: { column: string; of: readonly string[] }) =>
    `${v.column}: expected one of ${v.of.join(', ')}`,
  'row.day': (v: { column: string }) => `${v.column}: expected a day as 2027-03-15`,
  'row.figure': (v: { column: string; raw: string }) => `${v.column}: expected a number, not ${v.raw}`,
  'row.expected': (v: { field: string; expected: string }) => `${v.field}: expected ${v.expected}`,
  'row.bedOf': (v: { beds: number; bed: string }) =>
    `bed: expected the id of the one that is meant; ${v.beds} are called ${v.bed}`,
  'row.bed': (v: { bed: string }) => `bed: expected the name of a bed of this farm, not ${named(v.bed)}`,
  'row.crop': (v: { crop: string }) =>
    `crop: expected one of the list, as npm run crops has it, not ${named(v.crop)}`,
  'row.cropId': (v: { id: string }) => `id: expected a crop of the list, not ${named(v.id)}`,
  'row.cropUnknown': (v: { crop: string }) => `crop: “${v.crop}” is not in the list of crops`,
  'row.idTwice': (v: { id: string }) => `id: expected one that no other row has, not ${v.id}`,
  'row.nameTwice': (v: { crop: string; name: string }) =>
    `name: expected one that no other row of ${v.crop} has, not ${named(v.name)}`,
  'row.noName': () => 'name: expected a name',
  'row.clearedBefore': () => 'cleared_on: expected a day after planting',
  'row.toBeforeFrom': () => 'to: expected no earlier than from',
  'row.testedShare': () => 'tested_share: expected the share that came up in that test, 0 to 1',

  'row.empty': (v: { field: ForecastField }) => `${MEANING[v.field]} is empty`,
  'row.notNumber': (v: { field: ForecastField; text: string }) =>
    `${MEANING[v.field]} “${v.text}” is not a number`,
  'row.notDirection': (v: { field: ForecastField; text: string }) =>
    `${MEANING[v.field]} “${v.text}” is not ${RANGE[v.field] ?? 'what it can be'}`,
  'row.outside': (v: { field: ForecastField; text: string; unit: string }) =>
    `${MEANING[v.field]} ${v.text} ${v.unit} is outside ${RANGE[v.field] ?? 'what it can be'}`,
  'row.dewOverAir': (v: { dewPointC: number; airC: number }) =>
    `dew point ${v.dewPointC.toFixed(1)} °C is above the air's ${v.airC.toFixed(1)} °C`,
  'row.notFullHour': () => 'its time is not a full hour',
  'row.notAfter': () => 'its time is not after the row before it',
  'row.gap': (v: { hours: number }) =>
    `${v.hours} hours after the row before it, where at most three whole hours are expected`,
  'row.fewHours': (v: { hours: number; least: number }) =>
    `only ${v.hours} hours, at least ${v.least} are needed`,
  'row.notTime': (v: { text: string }) => `the time “${v.text}” is not a date and hour like 2027-01-14T15:00`,
  'row.notInstant': (v: { text: string }) => `the time “${v.text}” is not a date and hour`,
  'row.notDate': (v: { text: string }) => `the date “${v.text}” is not one like 2027-01-14`,
  'row.dateForm': () => 'its date is not one like 2027-01-14',
  'row.notTemperature': (v: { text: string }) => `“${v.text}” is not a temperature`,
  'row.notAir': (v: { text: string }) => `“${v.text}” is not a temperature of −70 to 60 °C`,
  'row.notLogged': (v: { text: string }) => `temperature “${v.text}” is not a number`,
  'row.loggedOutside': (v: { text: string; unit: string }) =>
    `temperature ${v.text} ${v.unit} is outside −60 to 80 °C`,
  'row.spot': (v: { spot: string }) => `“${v.spot}” is no spot of this farm`,
  'row.dayOutside': (v: { low: string; high: string }) => `${v.low} to ${v.high} is outside −70 to 60 °C`,
  'row.highUnderLow': (v: { low: string; high: string }) => `the high ${v.high} is under the low ${v.low}`,
  'row.dateTwice': (v: { date: string }) => `${v.date} comes twice`,
  'row.epwDate': () => 'it has no month and day in its second and third column',
  'row.epwAir': (v: { text: string }) => `“${v.text}” is not a dry bulb temperature in °C`,
  'row.fewDays': (v: { month: number; days: number; least: number }) =>
    `month ${v.month} has ${v.days} days, at least ${v.least} of every month are needed`,
  'row.longForecast': (v: { hours: number }) =>
    `${v.hours} hours are more than a forecast has: bring them as a record`,
  'row.recordToCome': () => 'a record ends before now; what is to come is a forecast',
  'row.line': (v: { row: number; reason: string; more: number }) =>
    `line ${v.row}, ${v.reason}${v.more > 0 ? ` (and ${v.more} more)` : ''}`,
};
