/** The reasons of windows in words: core gives ids and values, this the sentences of the open format. */
import type { SchoolId, Reason } from '@fogata/core/season';

const FAILURE: Record<string, string> = {
  lostToCold: 'lost to cold',
  notReady: 'not ready',
  notClear: 'not clear in time',
  bolted: 'bolted',
  cooked: 'cooked',
};
const percent = (x: unknown) => `${Math.round(Number(x) * 100)} of 100 years`;
const times = (n: unknown, one: string) => `${n} ${one}${Number(n) === 1 ? '' : 's'}`;

const WHY: Record<Reason['id'], (v: Reason['values']) => string> = {
  'frost-last': (v) =>
    `${Number(v['weeks']) >= 0 ? `${times(v['weeks'], 'week')} before` : `${times(-Number(v['weeks']), 'week')} after`} the last frost of ${v['date']}${Number(v['layers']) > 0 ? `, and three weeks sooner for each of ${times(v['layers'], 'layer')}` : ''}`,
  'frost-first': (v) =>
    `${times(v['days'], 'day')} to grow and a fortnight for short days before the first frost of ${v['date']}${Number(v['layers']) > 0 ? `, three weeks later for each of ${times(v['layers'], 'layer')}` : ''}`,
  'ground-cools': (v) =>
    `to root before the ground is cold, ${times(v['weeks'], 'week')} after the first frost of ${v['date']}`,
  'runs-up': (v) =>
    `${v['done']} more than ${times(v['weeks'], 'week')} sooner it is past its best or running to flower by winter`,
  'before-dark': (v) =>
    `of picking size before the dark weeks begin on ${v['date']}, when the day falls under ten hours`,
  'after-dark': (v) =>
    `up when the day is ten hours long again, on ${v['date']}: before that it stands still, whatever lies over it`,
  heat: (v) =>
    v['date']
      ? `ready before it is too warm for it under these covers, about ${v['date']}`
      : `${times(v['weeks'], 'week')} later it grows into the heat`,
  'fails-before': (v) =>
    `sown on ${v['date']} it is ${FAILURE[String(v['failure'])]} in ${percent(v['share'])}`,
  'fails-after': (v) =>
    `sown on ${v['date']} it is ${FAILURE[String(v['failure'])]} in ${percent(v['share'])}`,
  'most-come-off': (v) => `it comes off in ${percent(v['share'])}`,
  'never-dark': () => 'no day here is shorter than ten hours: light sets no edge',
  'no-frost': () => 'fewer than half of the years have a frost here: frost dates set no edge',
  'too-cold': () => 'it does not come to picking size between the dark weeks under these covers',
  'too-dark': (v) => `it does not come to picking size before the dark weeks begin on ${v['date']}`,
  'none-come-off': (v) =>
    Number(v['share']) > 0
      ? `no date comes off in enough years; the best, ${v['date']}, in ${percent(v['share'])}, else it is mostly ${FAILURE[String(v['failure'])]}`
      : `no date comes off in any year: it is mostly ${FAILURE[String(v['failure'])]}`,
  'all-year': (v) =>
    v['weeks']
      ? `no edge by this; ${times(v['weeks'], 'week')} are shown`
      : 'it comes off up to the end of the half year',
  'stands-winter': (v) =>
    `it stands the winter young and is picked in the next year: light asks only that it has rooted before the dark weeks; it grows on from ${v['date']}`,
};

export const reasonWords = (r: Reason, how: 'sow' | 'transplant'): string =>
  WHY[r.id]({ ...r.values, done: how === 'sow' ? 'sown' : 'planted' });

/** What each school leaves out that the others have. */
export const MISSES: Record<SchoolId, string> = {
  layers: 'It counts every layer alike and knows neither the dark weeks nor how years differ.',
  light: 'It takes the usual year: no frost, no cold year and no cover beyond its light sets an edge.',
  risk: 'It knows only what the model knows of this crop and place, and what is accepted is yours to say.',
};
