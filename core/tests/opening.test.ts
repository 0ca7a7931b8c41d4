/** A day's opening: what it keeps the leaves to, when hands are there, and what it may not do. */
import { openingPlan, turnsOf, type Limits } from '../day';
import { prepareWeather, runBed, type Layer, type SimulationCase } from '../src';
import { aimedCase } from './openingCase';

const limits: Limits = { leafMaxC: 26, leafMinC: 0, style: 'air' };
const at = (day: number, hour: number) =>
  Date.parse(`2027-04-${day}T${String(hour).padStart(2, '0')}:00:00Z`);
const span = (day: number, from: number, to: number) => ({ fromAtMs: at(day, from), toAtMs: at(day, to) });
const hottest = (c: SimulationCase) => {
  const { stack, ground, crop } = c;
  const run = runBed({ stack, ground, ...(crop ? { crop } : {}) }, prepareWeather(c.site, c.weather, 600));
  return Math.max(...run.leafC);
};
const stepsOf = (c: SimulationCase, i = 0) =>
  (c.stack[i]!.open ?? []).map((o) => ({ ms: Date.parse(o.from), f: o.fraction }));

test('April with somebody at noon: the leaves stay under their limit, where shut they would not', () => {
  const c = aimedCase();
  expect(hottest(c)).toBeGreaterThan(33);
  const planned = openingPlan(c, limits);
  expect(hottest(planned)).toBeLessThan(26.8);
  // opened once and shut once a day is enough
  expect(stepsOf(planned).filter((s) => s.f > 0).length).toBeLessThanOrEqual(4);
  expect(stepsOf(planned).at(-1)!.f).toBe(0);
});

test('nobody there until the evening: it is opened by who is there in the morning, and only then', () => {
  const there = [12, 13].flatMap((d) => [span(d, 6, 8), span(d, 17, 19)]);
  const planned = openingPlan(aimedCase(), { ...limits, there });
  const moves = stepsOf(planned).slice(1);
  expect(moves.length).toBeGreaterThan(0);
  for (const m of moves) expect(there.some((t) => m.ms >= t.fromAtMs && m.ms <= t.toAtMs)).toBe(true);
  expect(hottest(planned)).toBeLessThan(28);
  const noon = moves.filter((m) => m.ms <= at(12, 12)).at(-1)!;
  expect(noon.f).toBeGreaterThan(0);
});

test('nobody there at all, nothing is moved; what stood open stays open', () => {
  const c = aimedCase();
  expect(stepsOf(openingPlan(c, { ...limits, there: [] }))).toEqual([
    { ms: Date.parse(c.weather[0]!.time), f: 0 },
  ]);
  const open = {
    ...c,
    stack: c.stack.map((l) => ({ ...l, open: [{ from: c.weather[0]!.time, fraction: 0.5 }] })),
  };
  expect(stepsOf(openingPlan(open, { ...limits, there: [] })).map((s) => s.f)).toEqual([0.5]);
});

test('kept warm it is opened later and less than aired', () => {
  const hours = (c: SimulationCase) => {
    const s = stepsOf(c);
    return s.reduce((sum, x, i) => sum + x.f * ((s[i + 1]?.ms ?? x.ms) - x.ms), 0);
  };
  const cool = aimedCase(-4);
  expect(hours(openingPlan(cool, { ...limits, style: 'warm' }))).toBeLessThan(
    hours(openingPlan(cool, limits)),
  );
});

test('where swings are damped a day swings less, and is opened for it sooner', () => {
  const spring = { ...limits, leafMaxC: 30, style: 'warm' as const };
  const swing = (c: SimulationCase) => {
    const { stack, ground } = c;
    const run = runBed({ stack, ground }, prepareWeather(c.site, c.weather, 600));
    const day = run.leafC.filter((_, i) => run.entryAtMs[i]! >= at(13, 0) && run.entryAtMs[i]! < at(14, 0));
    return Math.max(...day) - Math.min(...day);
  };
  const firstOf = (c: SimulationCase) => stepsOf(c).find((x) => x.f > 0)!.ms;
  const [let_, damped] = [
    openingPlan(aimedCase(), spring),
    openingPlan(aimedCase(), { ...spring, even: true }),
  ];
  expect(swing(damped)).toBeLessThan(swing(let_) - 2);
  expect(firstOf(damped)).toBeLessThanOrEqual(firstOf(let_));
});

test('a sheet goes on for a night that would freeze what stands there, and comes off for the light', () => {
  const fleece: Layer = { lengthM: 22, widthM: 1.2, heightM: 0.5, shape: 'arch', material: 'fleece-50' };
  const c = aimedCase(-9);
  const two = { ...c, stack: [...c.stack, fleece] };
  const planned = openingPlan(two, { ...limits, leafMinC: -1 });
  const on = planned.stack[1]!.on!;
  expect(on.length).toBeGreaterThan(0);
  const [day] = turnsOf(c.site, at(12, 6), at(12, 20));
  const lit = on.reduce(
    (sum, s) =>
      sum +
      Math.max(0, Math.min(Date.parse(s.to), day!.setAtMs) - Math.max(Date.parse(s.from), day!.riseAtMs)),
    0,
  );
  expect(lit).toBeLessThan(0.5 * (day!.setAtMs - day!.riseAtMs));
  // in mild ones it is lifted from where it lay as the case began, and stays in the shed
  const mild = openingPlan({ ...two, weather: aimedCase(6).weather }, limits).stack[1]!.on!;
  expect(mild).toHaveLength(1);
  expect(mild[0]!.from).toBe(c.weather[0]!.time);
  expect(Date.parse(mild[0]!.to)).toBeLessThan(at(12, 12));
});

test('what cannot be opened is left as it is, and what stands is no sheet', () => {
  const c = aimedCase();
  const shut = { ...c, stack: c.stack.map(({ ventAreaM2: _, ...l }) => l) };
  expect(openingPlan(shut, limits)).toEqual(shut);
});

test('it tells how far it is, to the end', () => {
  const told: number[] = [];
  openingPlan(aimedCase(), limits, { onProgress: (share) => told.push(share) });
  expect(told.at(-1)).toBeCloseTo(1, 9);
  expect([...told].sort((a, b) => a - b)).toEqual(told);
});

test('days where the sun does not rise have a noon all the same', () => {
  const polar = turnsOf(
    { latitude: 78, longitude: 15, elevationM: 0 },
    Date.parse('2027-01-10T00:00:00Z'),
    Date.parse('2027-01-12T00:00:00Z'),
  );
  expect(polar.length).toBeGreaterThanOrEqual(2);
  for (const t of polar) expect(t.setAtMs - t.riseAtMs).toBe(12 * 3_600_000);
});
