/** The round: at each place what is to be done now, in walking order, and how much of it is left. */
import type { Job, DayView, NowView, WaterView } from '@fogata/contract/told';
import { walkOf } from '@fogata/core';
import { isDone, roundName, roundSentence, stopsOf } from '../src/components/night/roundStops';
import { house } from './kit';

const HOUR = 3_600_000;
const at = (text: string) => Date.parse(`2027-02-10T${text}:00Z`);
const window = {
  night: '2027-02-09',
  fromAtMs: at('00:00') - 12 * HOUR,
  toAtMs: at('12:00'),
  sunsetAtMs: at('00:00') - 6 * HOUR,
  sunriseAtMs: at('08:00'),
};
const job = (structureId: string, more: Partial<Job> = {}): Job =>
  ({
    key: structureId,
    kind: 'lift',
    structureId,
    done: false,
    minutes: 6,
    items: [],
    ...more,
  }) as unknown as Job;
const reading = { spot: 'north', name: 'North', predictedC: null, thermometer: null, reading: null };
const view = (more: Partial<NowView> = {}, nowAtMs = at('08:30')): NowView =>
  ({
    clock: { nowAtMs, phase: 'morning', window },
    jobs: [job('south'), job('north', { key: 'n' })],
    rounds: [{ ...reading, spot: 'outside', name: 'Outside' }, reading],
    storm: [],
    ...more,
  }) as unknown as NowView;
const day = (stepMs: number): DayView =>
  ({
    structures: [
      { structureId: 'south', steps: [{ atMs: stepMs, fraction: 0.25, lateHotK: null, lateThenK: null }] },
    ],
  }) as unknown as DayView;
const water = (may: string): WaterView =>
  ({
    today: '2027-02-10',
    rows: [{ bedId: 's1', structureId: 'south', on: '2027-02-10', may, minutes: 12 }],
  }) as unknown as WaterView;
const walk = walkOf([
  house({ id: 'north', name: 'North', order: 0, at: { xM: 0, yM: 0, turnDeg: 0 } }),
  house({ id: 'far', name: 'Far', order: 1, at: { xM: 90, yM: 0, turnDeg: 0 } }),
  house({ id: 'south', name: 'South', order: 2, at: { xM: 20, yM: 0, turnDeg: 0 } }),
]);

test('the walk goes from the first place to the nearest that is left', () => {
  expect(walk.map((s) => s.id)).toEqual(['north', 'south', 'far']);
});

test('stops stand in walking order, outside first, and one with nothing to do is left out', () => {
  const stops = stopsOf(view(), undefined, undefined, walk);
  expect(stops.map((s) => [s.id, s.tasks.map((t) => t.kind)])).toEqual([
    ['outside', ['read']],
    ['north', ['read', 'job']],
    ['south', ['job']],
  ]);
});

test('what is to be opened within the hour and watered today is done in passing; what waits for the frost is not', () => {
  const kinds = (d: DayView, w: WaterView) =>
    stopsOf(view(), d, w, walk)
      .find((s) => s.id === 'south')!
      .tasks.map((t) => t.kind);
  expect(kinds(day(at('09:20')), water('2027-02-10'))).toEqual(['open', 'job', 'water']);
  expect(kinds(day(at('10:20')), water('2027-02-12'))).toEqual(['job']);
});

test('it says how much is left, and when all of it is done', () => {
  const said = (v: NowView) =>
    roundSentence('Morning', stopsOf(v, undefined, undefined, walk))
      .map((s) => s.text)
      .join('');
  expect(said(view())).toBe('Morning round: four things at three places, about 14 min.');
  const done = view({
    jobs: [job('south', { done: true })],
    rounds: [{ ...reading, reading: { minC: -1, maxC: 4, recordId: 'r' } }],
  });
  expect(stopsOf(done, undefined, undefined, walk).every(isDone)).toBe(true);
  expect(said(done)).toBe('Morning round: all of it is done.');
  expect(said(view({ jobs: [], rounds: [] }))).toContain('nothing is to be done');
});

test('the hour names the round', () => {
  const name = (text: string, phase: NowView['clock']['phase']) => roundName(at(text), window, phase);
  expect(name('08:30', 'morning')).toBe('Morning');
  expect(name('11:30', 'morning')).toBe('Midday');
  const evening = {
    ...window,
    fromAtMs: at('12:00'),
    toAtMs: at('12:00') + 24 * HOUR,
    sunsetAtMs: at('18:00'),
  };
  expect(roundName(at('13:00'), evening, 'closing')).toBe('Midday');
  expect(roundName(at('15:30'), evening, 'closing')).toBe('Closing');
  expect(roundName(at('22:00'), evening, 'night')).toBe('Night');
});
