/** Ahead's words: the hardest night, whether sheets reach, and what is asked for where there is no forecast. */
import type { AheadNight, AheadView } from '@fogata/contract/told';
import {
  aheadSentence,
  nightName,
  nightWords,
  noSheetsWords,
  togetherWords,
  tonightWords,
  workWords,
} from '@fogata/words/en/screens/aheadWords';
import { format } from './kit';

const told = { ...format, money: (x: number) => `€${Math.round(x)}` };
const range = (mid: number) => ({ low: mid - 1, mid, high: mid + 1 });
const night = (date: string, outside: number, more: Partial<AheadNight> = {}): AheadNight => ({
  night: date,
  outsideC: range(outside),
  places: [
    {
      bedId: 'n5',
      name: 'N5',
      place: 'North house',
      crop: 'early potatoes',
      leafC: range(-0.8),
      marginK: -0.3,
      harmChance: 0.6,
    },
    {
      bedId: 'n1',
      name: 'N1',
      place: 'North house',
      crop: 'spinach',
      leafC: range(-1),
      marginK: 6,
      harmChance: 0,
    },
  ],
  laid: 3,
  lifted: 1,
  minutes: 25,
  lossLeft: 200,
  lossPlanned: 2,
  stays: [],
  leftOn: [],
  short: [],
  shortSaves: 0,
  ...more,
});
const view = (nights: AheadNight[], more: Partial<AheadView> = {}): AheadView => ({
  nowAtMs: Date.parse('2027-01-14T14:30:00Z'),
  untilAtMs: Date.parse('2027-01-18T14:30:00Z'),
  lack: null,
  nights,
  together: null,
  noSheets: null,
  progress: { state: 'ready', done: nights.length, of: nights.length },
  ...more,
});
const said = (v: AheadView) =>
  aheadSentence(v, told)
    .map((s) => s.text)
    .join('');

test('it opens with the hardest night, and says that the sheets reach', () => {
  const text = said(view([night('2027-01-14', -4), night('2027-01-15', -9), night('2027-01-16', 1)]));
  expect(text).toContain('3 nights are known. Friday night is the hardest');
  expect(text).toContain('what is planned holds');
  expect(text).toContain('The sheets reach for all of them.');
});

test('what costs most is the hardest, and what is short is named with what it would save', () => {
  const hard = night('2027-01-15', -5, {
    lossPlanned: 90,
    short: [{ name: 'Fleece 50', count: 2 }],
    shortSaves: 60,
  });
  const text = said(view([night('2027-01-14', -8), hard]));
  expect(text).toContain('Friday night is the hardest');
  expect(text).toContain('€90 at risk');
  expect(text).toContain('Friday night wants 2 more of fleece 50, worth about €60.');
});

test('without a forecast it asks for one, without crops it says so', () => {
  expect(said(view([], { lack: { why: 'none' } }))).toContain('Tell the weather');
  expect(said(view([], { progress: { state: 'empty', done: 0, of: 0 } }))).toContain('Nothing stands');
});

test('a night in a line: the closest, the margin either way, the work', () => {
  expect(nightName('2027-01-14', '2027-01-14')).toBe('Tonight');
  expect(nightWords(night('2027-01-14', -4), told)).toMatch(
    /^Closest N5, early potatoes: leaf .* too cold\.$/,
  );
  const two = night('2027-01-14', -4, { stays: ['N5'] });
  two.places[1]!.harmChance = 0.5;
  expect(nightWords(two, told)).toContain('At risk: N5, N1. Covers stay in the morning on N5.');
  expect(workWords(night('2027-01-14', -4))).toBe('3 on, 1 off, 25 min.');
  expect(workWords(night('2027-01-14', -4, { laid: 0, lifted: 0 }))).toBe('Nothing moves.');
});

test('nights chosen together say what stays on by day, what that saves and how sure it is the best', () => {
  expect(nightWords(night('2027-01-14', -4, { leftOn: ['S1', 'N2'] }), told)).toContain(
    'Leave covered through the day: S1, N2.',
  );
  const t = { saves: 7, gap: 0, tonight: { saves: 0, beds: [] } };
  expect(togetherWords(t, told)).toContain('That saves about €7. Nothing better can be done');
  expect(togetherWords({ ...t, saves: 0, gap: 0.012 }, told)).toContain('At most 1.2 % better could be done');
  expect(togetherWords({ ...t, saves: 0 }, told)).not.toContain('saves');
  expect(tonightWords({ name: 'S2', covers: ['Frost blanket'] })).toBe('S2: Frost blanket tonight already');
});

test('sheets that no known night wants go to the shed only once frost is usually over', () => {
  const day = (md: string) => `the ${md}`;
  expect(noSheetsWords({ past: true, lastFrost: '04-20' }, day)).toContain('to the shed for good');
  expect(noSheetsWords({ past: false, lastFrost: '04-20' }, day)).toContain(
    'about the 04-20: keep them at hand',
  );
  expect(noSheetsWords({ past: false, lastFrost: null }, day)).toContain('nobody has said');
});
