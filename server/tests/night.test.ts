/** One evening and one morning through the API, on the demo farm. */
import { readCase } from '@fogata/contract';
import type { DayView, Job, NightReport, NightsView, PlaceView, StoryView } from '@fogata/contract/told';
import { nested, PLAN_STEP_S, prepareWeather, runHouse, simulate } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { nightLows } from '../src/db/schema';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
  // the first night is worked out while other suites do as much
  await s.now();
});
afterAll(() => s.close());

/** The day's openings, once they are worked out. */
async function dayOf({ api }: TestServer): Promise<DayView> {
  for (let i = 0; i < 2400; i++) {
    const day = (await api.get('/api/day').expect(200)).body as DayView;
    if (day.progress.state !== 'computing') return day;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error('the day was not worked out in four minutes');
}

const send = (records: object[]) => s.api.post('/api/records').send({ records });
const done = (job: Job, atMs: number) =>
  job.kind === 'close'
    ? [{ id: randomUUID(), kind: 'vent', atMs, structureId: job.structureId, fraction: 0 }]
    : job.items.map((i) => ({
        id: randomUUID(),
        kind: 'cover',
        atMs,
        bedId: i.bedId,
        coverId: i.coverId,
        on: i.on,
      }));

test('a planting’s story says of tonight what its bed’s page says, and of the nights before only whole ones', async () => {
  await s.now();
  const place = (await s.api.get('/api/places/n1').expect(200)).body as PlaceView;
  const story = (await s.api.get('/api/plantings/p01/story').expect(200)).body as StoryView;
  const own = place.plantings.find((p) => p.planting.id === 'p01')!;
  expect(story.tonight).toEqual({ leafC: own.leafC, harmC: own.harmC });
  expect(story.hardening).toBe(own.hardening);
  expect(story.nights.map((n) => n.night)).toEqual(['2027-01-10', '2027-01-11', '2027-01-12', '2027-01-13']);
  for (const n of story.nights) expect(n.leafC).toBeLessThan(3);
  expect(story.harvestedKg).toBeCloseTo(6.4, 6);
});

test('the evening: a sentence, jobs within the stock, places ranked by margin', async () => {
  const now = await s.now();
  const text = now.sentence.map((p) => p.text).join('');
  expect(text).toMatch(/^−\d+ °C by \d\d:\d\d, .*starting by \d\d:\d\d\.$/);
  const margins = now.places.map((p) => p.marginK);
  expect(margins).toEqual([...margins].sort((a, b) => a - b));
  expect(now.money!.saved).toBeGreaterThan(0);
  // every euro is claimed once: what the jobs save is what the plan saves, and no place saves more than stands on it
  const claimed = now.jobs.reduce((sum, j) => sum + j.saves, 0);
  expect(Math.abs(claimed - now.money!.saved)).toBeLessThan(0.02 * now.money!.saved + 1);
  const used: Record<string, number> = {};
  for (const job of now.jobs) for (const i of job.items) used[i.coverId] = (used[i.coverId] ?? 0) + 1;
  const kit = (await s.api.get('/api/kit')).body as { covers: { id: string; count: number }[] };
  for (const c of kit.covers) expect(used[c.id] ?? 0).toBeLessThanOrEqual(c.count);
  // starts run in order and leave time for the work
  const times = now.jobs.map((j) => j.dueAtMs);
  expect(times).toEqual([...times].sort((a, b) => a - b));
  for (const j of now.jobs) expect(j.dueAtMs).toBeLessThanOrEqual(Math.max(now.clock.nowAtMs, j.onByAtMs));
});

test('refusing a cover for a bed frees it, and the plan says so', async () => {
  const before = await s.now();
  const bedId = before.jobs.find((j) => j.kind === 'cover')!.items[0]!.bedId;
  const id = randomUUID();
  await send([
    {
      id,
      kind: 'decision',
      atMs: before.clock.nowAtMs,
      night: before.clock.window.night,
      bedId,
      key: 'bare',
      verdict: 'refused',
    },
  ]).expect(201);
  const after = await s.now();
  expect(after.jobs.flatMap((j) => j.items).some((i) => i.bedId === bedId)).toBe(false);
  expect(after.money!.eitherWay).toBeGreaterThan(before.money!.eitherWay);
  await send([{ id: randomUUID(), kind: 'retraction', atMs: before.clock.nowAtMs, retracts: id }]).expect(
    201,
  );
  const back = await s.now();
  expect(back.jobs.flatMap((j) => j.items).some((i) => i.bedId === bedId)).toBe(true);
});

test('done jobs stay on the list as done and can be taken back', async () => {
  const before = await s.now();
  const job = before.jobs.find((j) => j.kind === 'cover')!;
  await send(done(job, before.clock.nowAtMs)).expect(201);
  const after = await s.now();
  const ticked = after.jobs.find((j) => j.done && j.items.some((i) => i.coverId === job.items[0]!.coverId));
  expect(ticked!.recordIds).toHaveLength(job.items.length);
  await send(
    ticked!.recordIds.map((retracts) => ({
      id: randomUUID(),
      kind: 'retraction',
      atMs: before.clock.nowAtMs,
      retracts,
    })),
  ).expect(201);
  expect((await s.now()).jobs.filter((j) => j.done)).toHaveLength(0);
});

test('more pieces than are in stock are refused in a sentence, and nothing of the batch is kept', async () => {
  const now = await s.now();
  const beds = ['n1', 'n2', 'n3', 'n4', 's1'];
  const res = await send(
    beds.map((bedId) => ({
      id: randomUUID(),
      kind: 'cover',
      atMs: now.clock.nowAtMs,
      bedId,
      coverId: 'fleece30',
      on: true,
    })),
  );
  expect(res.status).toBe(409);
  expect(res.body.detail).toContain('Every piece of Fleece 30 is already on a bed');
  expect(
    ((await s.api.get('/api/kit')).body as { covers: { id: string; inUse: number }[] }).covers.find(
      (c) => c.id === 'fleece30',
    )!.inUse,
  ).toBe(0);
});

test('a place can be tried: soil, weather and every cover that fits are sent along', async () => {
  await s.now();
  const place = (await s.api.get('/api/places/n2').expect(200)).body as PlaceView;
  expect(place.whatIf!.initial.columns.length).toBeGreaterThan(0);
  expect(place.whatIf!.layers.map((l) => l.id)).toEqual(
    expect.arrayContaining(['structure', 'fleece30', 'blanket']),
  );
  expect(place.options.find((o) => o.chosen)).toBeDefined();
  expect(place.plantings[0]!.hardening).toBeGreaterThan(0.8);
  await s.api.get('/api/places/nowhere').expect(404);
  const exported = readCase((await s.api.get('/api/places/n2/case').expect(200)).body);
  expect('problem' in exported ? exported.problem : null).toBeNull();
  // what the screen's own thread runs, untouched: the plan's own figure to the last digit
  const w = place.whatIf!;
  const laid = [{ from: new Date(w.coverFromAtMs).toISOString(), to: '2100-01-01T00:00:00Z' }];
  const on = w.layers.filter((l) => l.on);
  const roof = on.find((l) => l.id === 'structure')!.spec;
  const own = on.filter((l) => l.id !== 'structure').map((l) => (l.lies ? l.spec : { ...l.spec, on: laid }));
  const spec = { ...w.base, stack: [roof, ...nested(own, roof)] };
  const soils = (i: typeof w.initial) => ({
    ...i,
    outside: Float64Array.from(i.outside),
    columns: i.columns.map((c) => Float64Array.from(c)),
  });
  expect(w.others.length).toBeGreaterThan(2);
  const placed = <T>(own: T, rest: T[]) => [...rest.slice(0, w.among), own, ...rest.slice(w.among)];
  const houseAt = (stepS: number) =>
    runHouse(
      placed(
        spec,
        w.others.map((o) => o.spec),
      ),
      prepareWeather(w.site, w.weather, stepS),
      {
        initial: placed(
          soils(w.initial),
          w.others.map((o) => soils(o.initial)),
        ),
        calibration: w.calibration,
      },
    ).beds[w.among]!;
  const shown = houseAt(PLAN_STEP_S);
  const until = place.clock.window.toAtMs;
  const night = [...shown.leafC].filter(
    (_, i) => shown.entryAtMs[i]! >= w.countFromAtMs && shown.entryAtMs[i]! <= until,
  );
  const chosen = place.options.find((o) => o.chosen)!;
  expect(Math.min(...night) + w.middleK).toBeCloseTo(chosen.leafC.mid, 3);
  // the file holds the one bed: of the others in its house it knows nothing, some tenths
  if ('case' in exported) {
    const result = simulate(exported.case, { calibration: w.calibration });
    expect(result.calibration).toEqual(w.calibration);
    const after = result.hours.filter(
      (h) => Date.parse(h.time) > place.clock.window.fromAtMs + 8 * 3_600_000 && Date.parse(h.time) <= until,
    );
    expect(after.length).toBeGreaterThan(10);
    // in the steps that the file is run in
    const fine = houseAt(600);
    for (const h of after) {
      const c = fine.leafC[fine.entryAtMs.indexOf(Date.parse(h.time))]!;
      expect(Math.abs(h.leafC - c)).toBeLessThan(0.5);
      // and of the screen's own figure no more than docs/heat-model.md says
      expect(Math.abs(h.leafC - shown.leafC[shown.entryAtMs.indexOf(Date.parse(h.time))]!)).toBeLessThan(0.8);
    }
  }
});

test('late in the morning the lowest leaf is that of the night that was, the same on Now, on Place and on its ribbon', async () => {
  const evening = await s.now();
  const atMs = evening.clock.window.toAtMs - 2.5 * 3_600_000;
  await s.api.post('/api/clock').send({ toAtMs: atMs }).expect(200);
  const now = await s.now();
  expect(now.clock.phase).toBe('morning');
  const n2 = now.places.find((p) => p.bedId === 'n2')!;
  // nothing was laid and it froze hard; by now it has thawed, and from now on there is no frost to come
  expect(n2.leafC.mid).toBeLessThan(-3);
  const place = (await s.api.get('/api/places/n2')).body as PlaceView;
  const { timesAtMs, leafC, min } = place.ribbon!;
  const ahead = leafC.mid.filter((_, i) => timesAtMs[i]! >= atMs);
  expect(Math.min(...ahead)).toBeGreaterThan(n2.leafC.mid + 1);
  expect(min.leafC).toBe(n2.leafC.mid);
  expect(min.atMs).toBeLessThan(atMs);
  for (const p of place.plantings) expect(p.leafC!.mid).toBe(n2.leafC.mid);
  // and it is kept: what it did counts for as long as the planting stands
  const lows = await s.open.db.select().from(nightLows);
  expect(lows.find((l) => l.bedId === 'n2' && l.night === now.clock.window.night)!.leafC).toBeCloseTo(
    min.leafC,
    6,
  );
  await s.api.post('/api/clock').send({ toAtMs: evening.clock.nowAtMs }).expect(200);
});

test('the whole turn: covers on, the night passes, thermometers are read, the report compares', async () => {
  const evening = await s.now();
  for (const job of evening.jobs) await send(done(job, evening.clock.nowAtMs)).expect(201);
  await s.now();
  await s.api.post('/api/clock').send({ move: 'morning' }).expect(200);
  const morning = await s.now();
  expect(morning.clock.phase).toBe('morning');
  expect(morning.jobs.every((j) => j.kind === 'lift')).toBe(true);
  const day = await dayOf(s);
  expect(day.structures.map((x) => x.name)).toContain('North house');
  for (const x of day.structures) {
    expect(x.leftC.low).toBeLessThanOrEqual(x.leftC.high);
    // what is moved keeps it no hotter than left alone, or is not moved
    expect(x.plannedC.mid).toBeLessThanOrEqual(Math.max(x.leftC.mid, x.limitC) + 0.5);
    for (const step of x.steps) expect(step.atMs).toBeGreaterThanOrEqual(morning.clock.nowAtMs);
  }
  expect(morning.rounds.map((r) => r.name)).toEqual([
    'Outside',
    'North house',
    'South house',
    'Frames',
    'Low tunnels',
  ]);
  const night = morning.clock.window.night;
  for (const r of morning.rounds) {
    expect(r.predictedC).not.toBeNull();
    const { minC, maxC } = r.thermometer!;
    await send([
      {
        id: randomUUID(),
        kind: 'reading',
        atMs: morning.clock.nowAtMs,
        spot: r.spot,
        night,
        minC,
        maxC,
        source: 'thermometer',
      },
    ]).expect(201);
  }
  const report = (await s.api.get(`/api/nights/${night}`).expect(200)).body as NightReport;
  for (const spot of report.spots) {
    expect(spot.measuredMinC).not.toBeNull();
    expect(Math.abs(spot.measuredMinC! - spot.predictedC!.mid)).toBeLessThan(5);
  }
  // the list of all nights says of it what its own page says, and the nights before have their readings
  const { nights } = (await s.api.get('/api/nights').expect(200)).body as NightsView;
  const row = nights.find((n) => n.night === night)!;
  const outside = report.spots.find((x) => x.spot === 'outside')!;
  const inside = report.spots.filter((x) => x.spot !== 'outside');
  const off = inside.map((x) => x.measuredMinC! - x.predictedC!.mid);
  expect([row.readC, row.saidC]).toEqual([outside.measuredMinC, outside.predictedC]);
  expect([row.read, row.within]).toEqual([
    inside.length,
    inside.filter((x) => x.measuredMinC! >= x.predictedC!.low && x.measuredMinC! <= x.predictedC!.high)
      .length,
  ]);
  expect(row.offK).toBeCloseTo(off.reduce((a, b) => a + b, 0) / off.length, 6);
  expect(Math.abs(row.furthest!.offK)).toBeCloseTo(Math.max(...off.map(Math.abs)), 6);
  expect(nights.map((n) => n.night)).toEqual([...nights.map((n) => n.night)].sort().reverse());
  expect(nights.filter((n) => n.night < night && n.readC !== null).length).toBeGreaterThan(4);
  // hidden properties differ from the book, so hindsight is close but not equal
  const north = report.spots.find((x) => x.spot === 'north')!;
  expect(north.hindsightC!).not.toBe(north.measuredMinC!);
  expect(Math.abs(north.measuredMinC! - north.hindsightC!)).toBeLessThan(2);
  expect(Math.abs(north.measuredMinC! - north.hindsightC!)).toBeLessThan(3);
});
