/** The year: what is to be done for a planting, and what sets the edges of a window. */
import type { Telling } from '@fogata/core/words';
import { figured } from './counts';

type Value = string | number;
type Values = Readonly<Record<string, Value>>;

const REST = {
  rest: ['Let the rows rest', 'The rest of the rows is over'],
  solarised: ['Water well and lay clear film to solarise', 'Take the solarising film off'],
};
const FAILURE: Record<Value, string> = {
  lostToCold: 'lost to cold',
  notReady: 'not ready',
  notClear: 'not clear in time',
  bolted: 'bolted',
  cooked: 'cooked',
};
const years = (share: Value | undefined) => `${Math.round(Number(share) * 100)} of 100 years`;
const times = (n: Value | undefined, one: string) => figured(Number(n), one);
const failing = (v: Values) => `sown on ${v['date']} it is ${FAILURE[v['failure']!]} in ${years(v['share'])}`;

export const season = {
  'windows.missed': (v: { field: string }) =>
    `${v.field}: the climate cannot be brought to that date by 5 K; it is as near as that goes`,
  'job.rest': (v: { crop: keyof typeof REST; begins: boolean; bed: string }) =>
    `${REST[v.crop][v.begins ? 0 : 1]}, ${v.bed}`,
  'job.sow.trays': (v: { what: string; bed: string }) => `Sow ${v.what} in trays, for ${v.bed}`,
  'job.sow': (v: { what: string; bed: string; planted: boolean }) =>
    `${v.planted ? 'Plant' : 'Sow'} ${v.what} in ${v.bed}`,
  'job.prick': (v: { what: string; bed: string }) => `Prick out ${v.what}, for ${v.bed}`,
  'job.harden': (v: { what: string; bed: string }) => `Begin to harden off ${v.what}, for ${v.bed}`,
  'job.plant': (v: { what: string; bed: string }) => `Plant ${v.what} in ${v.bed}`,
  'job.gaps': (v: { what: string; bed: string }) => `Look for gaps in the ${v.what}, ${v.bed}`,
  'job.pick': (v: { what: string; bed: string }) => `Expect the first ${v.what} of ${v.bed}`,
  'job.clear': (v: { what: string; bed: string }) => `Clear the ${v.what} from ${v.bed}`,
  'calendar.job': (v: { place: string; bed: string; metres: number; rows: number }, tell: Telling) =>
    `${v.place}, ${v.bed}: ${tell.length(Number(v.metres.toFixed(1)))} in ${v.rows} rows`,
  'calendar.shade': (v: { on: boolean; structure: string }) =>
    `Shade cloth ${v.on ? 'on' : 'off'}: ${v.structure}`,
  'calendar.shade.why': (v: { crop: string }) =>
    `For the ${v.crop}: else too hot on a warm bright day, with everything open`,
  'calendar.name': (v: { farm: string }) => `${v.farm}: season`,

  'window.frost-last': (v: Values) =>
    `${Number(v['weeks']) >= 0 ? `${times(v['weeks'], 'week')} before` : `${times(-Number(v['weeks']), 'week')} after`} the last frost of ${v['date']}${Number(v['layers']) > 0 ? `, and three weeks sooner for each of ${times(v['layers'], 'layer')}` : ''}`,
  'window.frost-first': (v: Values) =>
    `${times(v['days'], 'day')} to grow and a fortnight for short days before the first frost of ${v['date']}${Number(v['layers']) > 0 ? `, three weeks later for each of ${times(v['layers'], 'layer')}` : ''}`,
  'window.ground-cools': (v: Values) =>
    `to root before the ground is cold, ${times(v['weeks'], 'week')} after the first frost of ${v['date']}`,
  'window.runs-up': (v: Values) =>
    `${v['done']} more than ${times(v['weeks'], 'week')} sooner it is past its best or running to flower by winter`,
  'window.before-dark': (v: Values) =>
    `of picking size before the dark weeks begin on ${v['date']}, when the day falls under ten hours`,
  'window.after-dark': (v: Values) =>
    `up when the day is ten hours long again, on ${v['date']}: before that it stands still, whatever lies over it`,
  'window.heat': (v: Values) =>
    v['date']
      ? `ready before it is too warm for it under these covers, about ${v['date']}`
      : `${times(v['weeks'], 'week')} later it grows into the heat`,
  'window.fails-before': failing,
  'window.fails-after': failing,
  'window.most-come-off': (v: Values) => `it comes off in ${years(v['share'])}`,
  'window.never-dark': (_: Values) => 'no day here is shorter than ten hours: light sets no edge',
  'window.no-frost': (_: Values) => 'fewer than half of the years have a frost here: frost dates set no edge',
  'window.too-cold': (_: Values) =>
    'it does not come to picking size between the dark weeks under these covers',
  'window.too-dark': (v: Values) =>
    `it does not come to picking size before the dark weeks begin on ${v['date']}`,
  'window.none-come-off': (v: Values) =>
    Number(v['share']) > 0
      ? `no date comes off in enough years; the best, ${v['date']}, in ${years(v['share'])}, else it is mostly ${FAILURE[v['failure']!]}`
      : `no date comes off in any year: it is mostly ${FAILURE[v['failure']!]}`,
  'window.all-year': (v: Values) =>
    v['weeks']
      ? `no edge by this; ${times(v['weeks'], 'week')} are shown`
      : 'it comes off up to the end of the half year',
  'window.stands-winter': (v: Values) =>
    `it stands the winter young and is picked in the next year: light asks only that it has rooted before the dark weeks; it grows on from ${v['date']}`,

  /** What each school leaves out that the others have. */
  'misses.layers': () => 'It counts every layer alike and knows neither the dark weeks nor how years differ.',
  'misses.light': () =>
    'It takes the usual year: no frost, no cold year and no cover beyond its light sets an edge.',
  'misses.risk': () =>
    'It knows only what the model knows of this crop and place, and what is accepted is yours to say.',

  'problem.day': () => 'The day could not be worked out. Nothing of yours is lost.',
  'problem.shade': () => 'The weeks for shade cloth could not be worked out. Nothing of yours is lost.',
  'problem.water': () => 'Water under the covers could not be worked out.',
  'problem.year': () => 'The year could not be worked out. Nothing of yours is lost; try again.',
  'problem.fill': () => 'The gaps could not be filled. Nothing of yours is changed.',
};
