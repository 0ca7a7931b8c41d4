/** Wind and snow on structures: loads by known answers, jobs in time, and honesty about what is not known. */
import { newSnowKgM3, snowJob, snowOn, stormJobs, windJob, windOn, type WeatherEntry } from '../src';
import { aStructure, weather } from './fixtures';
import { told } from '../words';
import { style } from './eveningFixture';

const hours = (more: (i: number) => Partial<WeatherEntry>) =>
  weather({ hours: 24, windMs: 2 }).map((e, i) => ({ ...e, ...more(i) }));
const house = aStructure({ lengthM: 20, widthM: 6, heightM: 2.6 });

test('a gust of 16 m/s presses with 160 N/m², and with all of it on the side that it strikes', () => {
  const w = windOn(
    house,
    hours((i) => ({ windMs: i === 9 ? 10 : 2, windFromDeg: 0 })),
    'open',
    90,
    null,
  )!;
  expect(w.gustMps).toBeCloseTo(16);
  expect(w.pressureNm2).toBeCloseTo(160);
  expect(w.side).toBe('long');
  expect(w.longKn).toBeCloseTo((160 * 20 * 2.6 * 0.75) / 1000, 3);
  expect(w.shortKn).toBeCloseTo(0, 6);
});

test('turned end on, the same wind strikes the short side; without a direction both are reckoned with', () => {
  const blow = hours((i) => ({ windMs: i === 9 ? 10 : 2, windFromDeg: undefined }));
  expect(windOn(house, blow, 'open', 90, 90)!.side).toBe('short');
  const unknown = windOn(house, blow, 'open', 90, null)!;
  expect(unknown.side).toBeNull();
  expect(unknown.shortKn).toBeGreaterThan(0);
});

test('snow near nought weighs three times what cold snow does', () => {
  expect(newSnowKgM3(-10)).toBe(100);
  expect(newSnowKgM3(0)).toBe(300);
});

test('snow gathers, soaks up rain, and is dated from its first two kilos', () => {
  const fall = snowOn(
    hours((i) => ({ airC: 0, snowMm: i >= 5 && i < 10 ? 20 : 0, rainMm: i === 12 ? 4 : 0 })),
  );
  expect(fall.depthM).toBeCloseTo(0.1);
  expect(fall.kgM2).toBeCloseTo(34);
  expect(fall.fromAtMs).toBe(Date.parse(weather()[5]!.time));
  expect(snowOn(hours(() => ({}))).kgM2).toBe(0);
});

test('no rating: the load is told, and that nobody here can say what it bears', () => {
  const load = snowOn(hours((i) => ({ airC: 0, snowMm: i < 5 ? 20 : 0 })));
  const job = told(snowJob(house, load)!, style);
  expect(job.caution).toContain('No snow rating is entered');
  expect(job.steps.join(' ')).toContain('from outside');
  expect(job.byAtMs).toBe(load.fromAtMs);
});

test('near the rating it says so, and sends nobody in', () => {
  const load = snowOn(hours((i) => ({ airC: 0, snowMm: i < 5 ? 20 : 0 })));
  const job = told(snowJob(aStructure({ snowRatingKgM2: 35 }), load)!, style);
  expect(job.level).toBe(3);
  expect(job.load).toContain('rates it for 35 kg/m²');
  expect(job.steps.join(' ')).toContain('nobody goes in');
});

test('a calm night asks for nothing', () => {
  expect(
    stormJobs(
      [{ structure: house, turnDeg: 90, covered: true }],
      hours(() => ({})),
      'open',
      null,
    ),
  ).toEqual([]);
});

test.each([
  ['open', 'Weigh down every sheet'],
  ['tunnel', 'close the windward end'],
  ['frame', 'loose glass flies'],
  ['house', 'Shut the windward end'],
] as const)('wind on %s: %s', (kind, step) => {
  const s = aStructure({ kind });
  const w = windOn(
    s,
    hours((i) => ({ windMs: i === 9 ? 10 : 2 })),
    'open',
    90,
    270,
  )!;
  const job = told(windJob(s, w)!, style);
  expect(job.steps.join(' ')).toContain(step);
  expect(job.byAtMs).toBeLessThan(w.atMs);
});

test('what has to be done first comes first, in either hemisphere of the night', () => {
  const jobs = stormJobs(
    [
      { structure: house, turnDeg: 90, covered: true },
      { structure: aStructure({ id: 't', kind: 'tunnel' }), turnDeg: 90, covered: true },
    ],
    hours((i) => ({ windMs: i === 20 ? 12 : 2, airC: -1, snowMm: i > 2 && i < 8 ? 25 : 0 })),
    'exposed',
    null,
  );
  expect(jobs.map((j) => j.what)).toEqual(['snow', 'snow', 'wind', 'wind']);
  expect(jobs.map((j) => j.byAtMs)).toEqual([...jobs.map((j) => j.byAtMs)].sort((a, b) => a - b));
});

test('bare open ground has nothing to weigh down', () => {
  const blow = hours(() => ({ windMs: 12 }));
  const open = { structure: aStructure({ kind: 'open' }), turnDeg: 90 };
  const of = (covered: boolean) => stormJobs([{ ...open, covered }], blow, 'open', null);
  expect(of(false)).toEqual([]);
  expect(of(true)).toHaveLength(1);
});
