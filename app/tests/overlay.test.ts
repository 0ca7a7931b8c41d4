/** What a hand did is on the screen at once, whatever the signal, and never twice. */
import type { SentRecord } from '@fogata/contract';
import type { Job, BedsView, DayView, NowView, PlaceView, SeasonView } from '@fogata/contract/told';
import { NOTHING_STANDS, nightWindow, type FarmSite, type Standing } from '@fogata/core';
import type { OwnAct } from '../src/data/outbox';
import {
  overlay,
  overlayBeds,
  overlayDay,
  overlayPlace,
  overlaySeason,
  type Asked,
} from '../src/data/overlay';
import { steady, steadyBeds, withoutServer } from '../src/data/steady';

const site: FarmSite = { latitude: 42.7, longitude: -5.4, timeZone: 'Europe/Madrid' };
const window = nightWindow('2027-01-14', site);
const T = window.fromAtMs + 4 * 3_600_000;
const item = (bedId: string, lying = 0) => ({
  bedId,
  bedName: bedId,
  coverId: 'c',
  coverName: 'C',
  on: true,
  lying,
  done: false,
  recordId: null,
});
const job = (more: Partial<Job>): Job =>
  ({
    key: 'k',
    kind: 'cover',
    items: [],
    done: false,
    doneAtMs: null,
    recordIds: [],
    structureId: 's',
    ...more,
  }) as Job;
const view = (more: Partial<NowView> = {}) =>
  ({
    clock: { nowAtMs: T, mode: 'real', phase: 'closing', window, closingAtMs: 0, morningAtMs: 0 },
    progress: { state: 'ready', done: 1, of: 1 },
    jobs: [job({ items: [item('n2'), item('n2', 1), item('n3')] }), job({ key: 'close', kind: 'close' })],
    rounds: [
      { spot: 'outside', name: 'Outside', predictedC: null, thermometer: null, reading: null },
      { spot: 'north', name: 'North', predictedC: null, thermometer: null, reading: null },
    ],
    storm: [],
    standing: NOTHING_STANDS,
    places: [{ bedId: 'n2', structureId: 's', stack: [{ name: 'S', state: 'on', opening: 1 }] }],
    askedAtMs: 1000,
    ...more,
  }) as unknown as NowView & { askedAtMs: number };
let n = 0;
const act = (record: Partial<SentRecord>, sentAtMs: number | null = null): OwnAct => ({
  record: { id: `r${n++}`, atMs: T, ...record } as SentRecord,
  addedAtMs: 0,
  sentAtMs,
});
const cover = (bedId: string, sentAtMs: number | null = null) =>
  act({ kind: 'cover', bedId, coverId: 'c', on: true }, sentAtMs);

test('a tick shows at once, sheet by sheet, a double as two', () => {
  const one = overlay(view(), [cover('n2')]).jobs[0]!;
  expect(one.items.map((i) => i.done)).toEqual([true, false, false]);
  expect(one.done).toBe(false);
  const all = overlay(view(), [cover('n2'), cover('n2'), cover('n3')]).jobs[0]!;
  expect([all.done, all.doneAtMs, all.recordIds.length]).toEqual([true, T, 3]);
});

test('an act that the answer knows is left to the answer', () => {
  // taken at 900, the answer was asked for at 1000: it may have been taken back elsewhere since
  expect(overlay(view(), [cover('n3', 900)]).jobs[0]!.items[2]!.done).toBe(false);
  expect(overlay(view(), [cover('n3', 1100)]).jobs[0]!.items[2]!.done).toBe(true);
});

test('taken back it is not shown, whether it had been sent or not', () => {
  const laid = cover('n3');
  expect(
    overlay(view(), [laid, act({ kind: 'retraction', retracts: laid.record.id })]).jobs[0]!.items[2]!.done,
  ).toBe(false);
  const known = view({ jobs: [job({ kind: 'close', done: true, doneAtMs: T, recordIds: ['v'] })] });
  expect(overlay(known, [act({ kind: 'retraction', retracts: 'v' })]).jobs[0]!.done).toBe(false);
});

test('a house that was shut, and a reading: the round goes on to the next thermometer', () => {
  const acts = [
    act({ kind: 'vent', structureId: 's', fraction: 0 }),
    act({ kind: 'reading', spot: 'outside', night: '2027-01-14', minC: -6, maxC: null, source: 'grower' }),
    act({ kind: 'reading', spot: 'north', night: '2027-01-13', minC: 1, maxC: null, source: 'grower' }),
  ];
  const shown = overlay(view(), acts);
  expect(shown.jobs[1]!.done).toBe(true);
  expect(shown.rounds.map((r) => r.reading?.minC ?? null)).toEqual([-6, null]);
});

const blanket = { id: 'c', name: 'C', use: 'hoops' };
const sheet = (bedId: string, recordId: string) => ({ bedId, coverId: 'c', sinceAtMs: 0, recordId });

test('a place and all beds show what was laid and opened there without a server', () => {
  const acts = [cover('n2'), act({ kind: 'vent', structureId: 's', fraction: 0.4 })];
  const place = {
    structure: { id: 's' },
    bed: { id: 'n2' },
    opening: 0,
    covers: [{ cover: blanket, on: false, recordId: null }],
    standing: NOTHING_STANDS,
  } as unknown as PlaceView;
  const shown = overlayPlace(place, acts);
  expect([shown.opening, shown.covers[0]!.on, shown.covers[0]!.recordId]).toEqual([
    0.4,
    true,
    acts[0]!.record.id,
  ]);
  const beds = {
    standing: { ...NOTHING_STANDS, sheets: [sheet('n3', 'x')] } as Standing,
    structures: [
      {
        structure: { id: 's' },
        opening: 0,
        beds: [
          { bed: { id: 'n3' }, stack: [{ name: 'C', state: 'on', opening: 0, coverId: 'c' }], plantings: [] },
        ],
      },
    ],
  } as unknown as BedsView;
  const off = act({ kind: 'cover', bedId: 'n3', coverId: 'c', on: false });
  const after = overlayBeds(beds, [...acts, off]).structures[0]!;
  expect([after.opening, after.beds[0]!.stack]).toEqual([0.4, []]);
  // taken back, it lies there again
  const back = act({ kind: 'retraction', retracts: off.record.id });
  expect(overlayBeds(beds, [off, back]).structures[0]!.beds[0]!.stack).toHaveLength(1);
});

test('a house that was opened in the morning is none to open, also without signal; the next move of it still comes', () => {
  const day = {
    structures: [
      {
        structureId: 's',
        open: 0,
        recordId: null,
        steps: [
          { atMs: T, fraction: 0.5, lateHotK: null, lateThenK: null },
          { atMs: T + 3_600_000, fraction: 0, lateHotK: null, lateThenK: null },
        ],
      },
    ],
    askedAtMs: 1000,
  } as unknown as Asked<DayView>;
  const opened = overlayDay(day, [act({ kind: 'vent', structureId: 's', fraction: 0.5 })]).structures[0]!;
  expect([opened.open, opened.steps.map((x) => x.fraction)]).toEqual([0.5, [0]]);
  const other = overlayDay(day, [act({ kind: 'vent', structureId: 't', fraction: 0.5 })]).structures[0]!;
  expect(other).toBe(day.structures[0]);
});

test('while the night is worked out anew, what another phone did is shown on the list that stands', () => {
  const fresh = view({
    jobs: [],
    places: [],
    progress: { state: 'computing', done: 0, of: 3 },
    standing: { ...NOTHING_STANDS, sheets: [sheet('n3', 'theirs')] },
  });
  const shown = steady(fresh, view());
  expect(shown.jobs[0]!.items.map((i) => i.recordId)).toEqual([null, null, 'theirs']);
});

test('while the night is worked out anew the list stays where it is', () => {
  const fresh = view({ jobs: [], places: [], progress: { state: 'computing', done: 0, of: 3 } });
  expect(steady(fresh, view()).jobs).toHaveLength(2);
  expect(steady(fresh, view()).progress.state).toBe('computing');
  // a first look says less than what stands there
  const first = { ...fresh, progress: { ...fresh.progress, first: { members: 4, of: 31 } } };
  expect(steady(first, view()).jobs).toHaveLength(2);
  expect(steady(first, view()).progress).toEqual(fresh.progress);
  expect(steady(first, null).progress.first).toBeDefined();
  const other = view();
  other.clock = { ...other.clock, window: nightWindow('2027-01-13', site) };
  expect(steady(fresh, other).jobs).toHaveLength(0);
  expect(steady(fresh, null).jobs).toHaveLength(0);
});

test('a house that was moved stands where it is now, its plantings with the night that was last worked out', () => {
  const beds = (state: string, xM: number, leafC: object | null) =>
    ({
      progress: { state, done: 0, of: 1 },
      structures: [
        {
          structure: { id: 's', at: { xM } },
          beds: [
            {
              bed: { id: 'b' },
              plantings: [{ planting: { id: 'p' }, leafC, verdict: null, harmChance: null }],
            },
          ],
        },
      ],
    }) as unknown as BedsView;
  const was = beds('ready', 0, { low: -3, mid: -2, high: -1 });
  const shown = steadyBeds(beds('computing', 5, null), was);
  expect(shown.structures[0]!.structure.at!.xM).toBe(5);
  expect(shown.structures[0]!.beds[0]!.plantings[0]!.leafC).toEqual({ low: -3, mid: -2, high: -1 });
  // worked out, it is the new one; with nothing known before there is nothing to show
  expect(steadyBeds(beds('ready', 5, null), was).structures[0]!.beds[0]!.plantings[0]!.leafC).toBeNull();
  expect(steadyBeds(beds('computing', 5, null), null).structures[0]!.beds[0]!.plantings[0]!.leafC).toBeNull();
});

describe('without the server', () => {
  const beds = {
    structures: [
      { structure: { id: 'north', name: 'North house', kind: 'house' }, beds: [{}] },
      { structure: { id: 'open', name: 'Open', kind: 'open' }, beds: [{}] },
    ],
  } as unknown as BedsView;
  const at = (ms: number) => withoutServer(view({ rounds: [] }), ms, site, beds, '16:00');

  test('in the same evening all stays as it was known', () => {
    expect(at(T + 600_000).jobs).toHaveLength(2);
    expect(at(T + 600_000).clock.nowAtMs).toBe(T + 600_000);
  });

  test('in the morning after there is a round to note, and no figure of last evening stands as if it were new', () => {
    const dawn = at(window.sunriseAtMs!);
    expect(dawn.clock).toMatchObject({ phase: 'morning', nowAtMs: window.sunriseAtMs });
    expect(dawn.sentence[0]!.text).toContain('worked out at 16:00');
    expect(dawn.rounds.map((r) => r.name)).toEqual(['Outside', 'North house']);
    expect([dawn.jobs, dawn.places, dawn.ribbon]).toEqual([[], [], null]);
  });

  test('the evening after that is another night: nothing of the old one is left', () => {
    const next = at(T + 24 * 3_600_000);
    expect([next.jobs, next.places, next.rounds, next.storm]).toEqual([[], [], [], []]);
    expect(next.clock.window.night).toBe('2027-01-15');
  });
});

test('a step of the week’s list is off it when it is done, on its new day when it is moved, and back when that is taken back', () => {
  const jobOf = (step: string, date: string) => ({ plantingId: 'p', step, date, bed: 'N2' });
  const view = {
    jobs: [jobOf('sow', '2027-01-16'), jobOf('harden', '2027-01-20')],
    askedAtMs: 1000,
  } as unknown as Asked<SeasonView>;
  const step = (name: string, on: string, done: boolean) =>
    act({ kind: 'step', plantingId: 'p', step: name, on, done } as Partial<SentRecord>);
  const done = step('sow', '2027-01-14', true);
  expect(overlaySeason(view, [done]).jobs.map((j) => j.step)).toEqual(['harden']);
  const back = act({ kind: 'retraction', retracts: done.record.id });
  expect(overlaySeason(view, [done, back]).jobs.map((j) => j.step)).toEqual(['sow', 'harden']);
  const moved = overlaySeason(view, [step('sow', '2027-01-25', false)]).jobs;
  expect(moved.map((j) => [j.step, j.date])).toEqual([
    ['harden', '2027-01-20'],
    ['sow', '2027-01-25'],
  ]);
  // what the answer knows is left to it
  expect(overlaySeason(view, [{ ...done, sentAtMs: 500 }]).jobs).toHaveLength(2);
});
