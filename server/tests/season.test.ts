/** Season through the API: worked out in threads, remembered, and honest about what it is reckoned from. */
import { PLAIN } from '@fogata/core/words';
import type { SeasonCropView, SeasonView, StoryView } from '@fogata/contract/told';
import { addDays } from '@fogata/core';
import type { Reduced } from '@fogata/core/season';
import { randomUUID } from 'node:crypto';
import { aBed, aStructure } from '../../core/tests/fixtures';
import { SeasonBook, type SeasonAnswer, type SeasonTask } from '../src/season/book';
import { calendarOf } from '../src/season/calendar';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer(false);
});
afterAll(() => s.close());

/** Asks until it is worked out. */
async function worked<T extends { progress: { state: string } }>(path: string): Promise<T> {
  for (let i = 0; i < 2400; i++) {
    const view = (await s.api.get(path).expect(200)).body as T;
    if (view.progress.state !== 'computing') return view;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(`${path} was not worked out in four minutes`);
}
const months = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2].map((lowC) => ({ lowC, highC: lowC + 9 }));

test('an empty farm has no season, and says so; a crop that is not in the list is not found', async () => {
  const view = await worked<SeasonView>('/api/season');
  expect(view).toMatchObject({ places: 0, rows: [], next: null, progress: { state: 'empty' } });
  expect((await worked<SeasonCropView>('/api/season/spinach')).places).toEqual([]);
  await s.api.get('/api/season/moon').expect(404);
  await s.api.get('/api/season/spinach?how=throw').expect(422);
});

test('a house with a bed has a year of spinach, from a coarse table until months are typed', async () => {
  const house = aStructure({ id: 'h', name: 'Long house' });
  const low = aStructure({ id: 't', name: 'Low', kind: 'tunnel', widthM: 1.2, heightM: 0.6, ventAreaM2: 0 });
  for (const structure of [house, low])
    await s.api
      .post('/api/setup')
      .send({ structures: [structure] })
      .expect(204);
  await s.api
    .post('/api/setup')
    .send({ beds: [aBed({ structureId: 'h' }), aBed({ id: 'b2', structureId: 't', lengthM: 10 })] })
    .expect(204);
  await s.api.patch('/api/farm').send({ latitude: 47, longitude: 8, elevationM: 450 }).expect(200);
  const coarse = await worked<SeasonCropView>('/api/season/spinach');
  expect(coarse.climate.from).toBe('table');
  expect(coarse.places.map((p) => p.name)).toEqual(['Long house', 'Low']);
  await s.api
    .patch('/api/farm')
    .send({
      climate: months,
      frost: { lastSpring: '04-28', firstAutumn: '10-15', eitherWayDays: 12, from: 'typed' },
    })
    .expect(200);
  const own = await worked<SeasonCropView>('/api/season/spinach');
  expect(own.climate).toMatchObject({ from: 'monthly', lastSpring: '04-28', missed: [] });
  expect(own.places[0]!.dates).not.toEqual(coarse.places[0]!.dates);
  for (const p of own.places) {
    expect(p.dates).toHaveLength(73);
    expect(p.windows).toHaveLength(6);
    for (const w of p.windows) for (const r of w.reasons) expect(r.why).not.toMatch(/undefined|NaN|null/);
  }
  // tall crops have no room in a low tunnel
  const tomato = await worked<SeasonCropView>('/api/season/tomato');
  expect(tomato).toMatchObject({ how: 'transplant', planted: true, tooLow: ['Low'] });
  expect(tomato.places.map((p) => p.name)).toEqual(['Long house']);
});

test('what may be begun is in its window or opens within three weeks, the first to shut first', async () => {
  const view = await worked<SeasonView>('/api/season');
  expect(view.places).toBe(2);
  const now = view.rows.filter((r) => r.inDays === 0);
  now.forEach((r, i) => i > 0 && expect(r.leftDays).toBeGreaterThanOrEqual(now[i - 1]!.leftDays));
  for (const r of view.rows) {
    expect(r.inDays).toBeLessThanOrEqual(21);
    expect(r.success).toBeGreaterThanOrEqual(0.85);
  }
  expect(view.next).not.toBeNull();
  // asked again it is there
  expect(((await s.api.get('/api/season').expect(200)).body as SeasonView).progress.state).toBe('ready');
});

describe('a planting that is thought of', () => {
  const today = () => new Date(s.context.options.clock.nowAtMs()).toISOString().slice(0, 10);
  const inDays = (n: number) => addDays(today(), n);
  const put = (more: object = {}) =>
    s.api.put('/api/plantings/plan').send({
      bedId: 'b',
      crop: 'spinach',
      cultivar: '',
      fromRow: 1,
      toRow: 2,
      lengthM: 10,
      plantedOn: inDays(4),
      clearedOn: null,
      aim: 'grow',
      note: '',
      how: 'sow',
      ...more,
    });
  const job = async (step: string) =>
    (await worked<SeasonView>('/api/season')).jobs.find((j) => j.plantingId === 'plan' && j.step === step);
  const step = (body: object, id: string = randomUUID()) => ({
    id,
    kind: 'step',
    atMs: s.context.options.clock.nowAtMs(),
    plantingId: 'plan',
    ...body,
  });
  const send = (...records: object[]) => s.api.post('/api/records').send({ records });
  const did = (body: object) => send(step(body));
  const planting = async () =>
    ((await s.api.get('/api/plantings/plan/story').expect(200)).body as StoryView).planting;

  test('is on the week’s list with its chance, moved by a day, done by a tap, and taken back', async () => {
    const { body } = await put().expect(200);
    expect((body as { planting: { planned: boolean } }).planting.planned).toBe(true);
    const sow = (await job('sow'))!;
    expect(sow).toMatchObject({
      date: inDays(4),
      bed: expect.any(String),
      rows: 2,
      metres: 20,
      mayMove: true,
    });
    expect(sow.chance!.then).toBeGreaterThanOrEqual(0);
    await did({ step: 'sow', on: inDays(5), done: false }).expect(201);
    expect((await job('sow'))!.date).toBe(inDays(5));
    const recordId = randomUUID();
    await send(step({ step: 'sow', on: today(), done: true }, recordId)).expect(201);
    expect(await planting()).toMatchObject({ plantedOn: today(), done: { sow: today() } });
    expect(await planting()).not.toHaveProperty('planned');
    // sent twice, and ticked by another phone as well: once
    await send(step({ step: 'sow', on: today(), done: true }, recordId)).expect(201);
    await did({ step: 'sow', on: today(), done: true }).expect(201);
    expect(await job('sow')).toBeUndefined();
    await s.api
      .post('/api/records')
      .send({
        records: [
          {
            id: randomUUID(),
            kind: 'retraction',
            atMs: s.context.options.clock.nowAtMs(),
            retracts: recordId,
          },
        ],
      })
      .expect(201);
    expect((await job('sow'))!.date).toBe(inDays(5));
  });

  test('done without signal and taken back before there was any: both come at once, and it stands as it was', async () => {
    const before = await planting();
    const id = randomUUID();
    await send(step({ step: 'sow', on: today(), done: true }, id), {
      id: randomUUID(),
      kind: 'retraction',
      atMs: s.context.options.clock.nowAtMs(),
      retracts: id,
    }).expect(201);
    expect(await planting()).toEqual(before);
  });

  test('ticked, taken back and moved before there was signal: each in its order', async () => {
    const { plantedOn } = await planting();
    const id = randomUUID();
    await send(
      step({ step: 'sow', on: today(), done: true }, id),
      { id: randomUUID(), kind: 'retraction', atMs: s.context.options.clock.nowAtMs(), retracts: id },
      step({ step: 'sow', on: addDays(plantedOn, 7), done: false }),
      step({ step: 'sow', on: plantedOn, done: false }),
    ).expect(201);
    expect((await planting()).plantedOn).toBe(plantedOn);
  });

  test('has a story: its days as they are meant, what was noted of it, no nights before it stands', async () => {
    const story = (await s.api.get('/api/plantings/plan/story').expect(200)).body as StoryView;
    expect(story).toMatchObject({ stands: false, nights: [], tonight: null, hardening: null, daysIn: -5 });
    expect(story.steps[0]).toEqual({ id: 'sow', date: inDays(5), done: false });
    // added, moved, moved there and back, and done three times, each taken back
    expect(story.entries).toHaveLength(7);
    expect(story.entries.filter((e) => e.retracted)).toHaveLength(3);
    await s.api.get('/api/plantings/moon/story').expect(404);
  });

  test('what cannot be is refused: a day that has not come, a planting that is not there', async () => {
    // a clock may be a day ahead, not more
    await did({ step: 'sow', on: inDays(3), done: true }).expect(422);
    await did({ step: 'dance', on: today(), done: true }).expect(422);
    await did({ plantingId: 'moon', step: 'sow', on: today(), done: true }).expect(422);
  });

  test('a form that does not know of steps loses none', async () => {
    await put({ how: 'transplant', crop: 'lettuce', plantedOn: inDays(20) }).expect(200);
    await did({ step: 'harden', on: today(), done: true }).expect(201);
    const { body } = await put({
      how: 'transplant',
      crop: 'lettuce',
      plantedOn: inDays(20),
      note: 'x',
    }).expect(200);
    expect((body as { planting: object }).planting).toMatchObject({
      done: { harden: today() },
      planned: true,
    });
  });

  test('the year’s jobs are a calendar; its address holds only with its key, and none is left when it is voided', async () => {
    await put({ clearedOn: inDays(60) }).expect(200);
    await worked('/api/season');
    const { text } = await s.api
      .get('/api/season.ics')
      .expect(200)
      .expect('content-type', /text\/calendar/);
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(text).toContain(`DTSTART;VALUE=DATE:${inDays(4).replaceAll('-', '')}`);
    expect(text).toMatch(/SUMMARY:Clear the spinach from/);
    await s.api.get('/api/feed/season.ics').expect(401);
    const { path } = (await s.api.post('/api/feeds/calendar').expect(201)).body as { path: string };
    expect((await s.api.get(path).expect(200)).text).toContain('UID:plan.sow@fogata');
    await s.api.delete('/api/feeds/calendar').expect(204);
    await s.api.get(path).expect(401);
  });

  test('shade cloth is in the calendar: on and off where a house wants it, only off where it is on', async () => {
    const why = { crop: 'lettuce', limitC: 30, openC: 34, clothC: 28 };
    const row = { structureId: 'h', name: 'High house', what: 'on' as const, isOn: false, why };
    const rows = [
      { ...row, from: '2027-05-31', to: '2027-07-04' },
      { ...row, from: '2027-08-02', to: '2027-09-05' },
      { ...row, what: 'off' as const, from: null, to: '2027-05-31', why: null },
    ];
    const lines = async (of: typeof rows, today: string) =>
      (await calendarOf('Rescoldo', [], of, today, 0, PLAIN))
        .split('\r\n')
        .filter((l) => /^(UID|DTSTART|SUMMARY)/.test(l));
    const spring = await lines(rows, '2027-03-01');
    expect(spring.filter((l) => l.startsWith('UID'))).toEqual(
      ['1.on', '1.off', '2.on', '2.off'].map((x) => `UID:shade.h.2027.${x}@fogata`),
    );
    expect(spring).toContain('SUMMARY:Shade cloth on: High house');
    expect(spring).toContain('DTSTART;VALUE=DATE:20270705');
    const june = await lines([{ ...rows[0]!, isOn: true }], '2027-06-10');
    expect(june.filter((l) => l.startsWith('SUMMARY'))).toEqual(['SUMMARY:Shade cloth off: High house']);
  });

  test('plantings leave as a table and come back as they were; rows are added, none is lost', async () => {
    const csv = (await s.api.get('/api/plantings.csv').expect(200)).text;
    const send = (text: string, dryRun: boolean) => s.api.post('/api/plantings').send({ csv: text, dryRun });
    expect((await send(csv, true).expect(200)).body).toMatchObject({ added: [], changed: [], removed: [] });
    const bed = csv.split('\n')[1]!.split(',')[1]!;
    const pasted = `bed\tcrop\tplanted_on\n${bed}\tradish\t${inDays(30)}\n${bed}\tMâche\t2026-01-05\n`;
    expect((await send(pasted, false).expect(201)).body).toMatchObject({ removed: [], changed: [] });
    const after = (await s.api.get('/api/plantings.csv')).text;
    expect(after.split('\n').length).toBe(csv.split('\n').length + 2);
    const bad = await send(
      `bed,crop,planted_on\n${bed},radish,2027-02-30\nnowhere,radish,2027-03-01\n`,
      false,
    );
    expect(bad.status).toBe(422);
    expect(bad.text).toContain('line 2, planted_on: expected a day as 2027-03-15 (and 1 more)');
  });
});

test('months that cannot be are refused by their field', async () => {
  const refused = async (climate: unknown) =>
    ((await s.api.patch('/api/farm').send({ climate }).expect(422)).body as { detail: string }).detail;
  expect(await refused(months.slice(1))).toMatch(/climate: expected exactly 12/);
  expect(await refused([{ lowC: 'cold', highC: 3 }, ...months.slice(1)])).toMatch(
    /climate\[0\]\.lowC: expected a number \(°C\)/,
  );
});

describe('the book', () => {
  const question = (id: string) => ({
    task: { place: 'p', spec: { stack: [] } as never, frost: {}, years: 1, seed: 1, risk: 0.1 },
    crop: { id, how: 'sow' as const },
  });
  const fit = () => Promise.resolve({} as Reduced);
  const answerOf = (id: string) =>
    ({
      rows: [],
      windows: [],
      mean: { growthDd: [], riseDd: [] },
      frosts: { lastSpring: id.length, firstAutumn: null },
    }) as SeasonAnswer;

  test('asks once for what it has, and a place once for its crops together', async () => {
    const asked: SeasonTask[] = [];
    const book = new SeasonBook({
      fit,
      season: (task) => {
        asked.push(task);
        return Promise.resolve(task.crops.map((c) => answerOf(c.id)));
      },
    });
    const both = [question('a'), question('bb')];
    expect(book.ask(both).progress).toEqual({ state: 'computing', done: 0, of: 2 });
    await new Promise((r) => setImmediate(r));
    const then = book.ask([...both, question('ccc')]);
    expect(then.answers.map((a) => a?.frosts.lastSpring)).toEqual([1, 2, undefined]);
    // what is kept is looked for first
    await new Promise((r) => setImmediate(r));
    expect(asked.map((t) => t.crops.map((c) => c.id))).toEqual([['a', 'bb'], ['ccc']]);
  });

  test('what failed is said, stays failed, and is tried again on a tap', async () => {
    let broken = true;
    const book = new SeasonBook({
      fit,
      season: (task) =>
        broken
          ? Promise.reject(new Error('a thread died'))
          : Promise.resolve(task.crops.map((c) => answerOf(c.id))),
    });
    const write = jest.spyOn(process.stderr, 'write').mockImplementation(() => true);
    book.ask([question('a')]);
    await new Promise((r) => setImmediate(r));
    expect(book.ask([question('a')]).progress).toMatchObject({
      state: 'failed',
      message: { say: 'problem.year' },
    });
    write.mockRestore();
    broken = false;
    book.again();
    book.ask([question('a')]);
    await new Promise((r) => setImmediate(r));
    expect(book.ask([question('a')]).progress.state).toBe('ready');
  });
});
