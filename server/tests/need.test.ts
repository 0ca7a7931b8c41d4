/** Backwards from a need, and ways side by side, through the API: computed from the farm's own places, planned as one entry. */
import type { CompareView, MendView, NeedView, ProblemBody, RelayView } from '@fogata/contract/told';
import { randomUUID } from 'node:crypto';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

async function ready<T extends { progress: { state: string } }>(path: string): Promise<T> {
  for (let n = 0; n < 400; n++) {
    const view = (await s.api.get(path).expect(200)).body as T;
    if (view.progress.state !== 'computing') return view;
    await new Promise((done) => setTimeout(done, 250));
  }
  throw new Error(`${path} was not worked out`);
}

const NEED = '/api/season/spinach/need?from=2027-11-15&to=2028-03-01&kg=4';

test('spinach all winter: sowings in autumn whose weeks are covered, in rows that are free', async () => {
  const view = await ready<NeedView>(NEED);
  const { sowings, weeks, shortKg } = view.answer!;
  expect(sowings.length).toBeGreaterThan(0);
  expect(sowings.length).toBeLessThan(8);
  for (const x of sowings) {
    expect(x.date > '2027-07-01' && x.date < '2027-12-01').toBe(true);
    expect(x.success).toBeGreaterThanOrEqual(0.8);
    const held = x.spots.reduce((m, p) => m + (p.toRow - p.fromRow + 1) * p.lengthM, 0);
    expect(held + x.leftM).toBeGreaterThanOrEqual(x.metres - 0.5);
  }
  expect(weeks).toHaveLength(16);
  if (shortKg === 0) for (const w of weeks) expect(w.kg).toBeGreaterThanOrEqual(3.95);
});

test('what it proposes goes onto the board at once, and off again by one taking back', async () => {
  const { answer } = await ready<NeedView>(NEED);
  const plantings = answer!.sowings.flatMap((x) =>
    x.spots.map((p) => ({
      id: randomUUID(),
      bedId: p.bedId,
      crop: 'spinach',
      cultivar: '',
      fromRow: p.fromRow,
      toRow: p.toRow,
      lengthM: p.lengthM,
      plantedOn: x.date,
      clearedOn: x.overOn,
      aim: 'survive',
      note: '',
      how: x.how,
      planned: true,
    })),
  );
  expect(plantings.length).toBeGreaterThan(0);
  const before = ((await s.api.get('/api/relay').expect(200)).body as RelayView).plantings.length;
  const { body } = await s.api
    .post('/api/plantings/many')
    .send({ name: 'Winter spinach', plantings })
    .expect(201);
  const after = (await s.api.get('/api/relay').expect(200)).body as RelayView;
  expect(after.plantings.length).toBe(before + plantings.length);
  const { recordId } = body as { recordId: string };
  await s.api
    .post('/api/records')
    .send({
      records: [
        {
          id: randomUUID(),
          kind: 'retraction',
          atMs: Date.parse('2027-01-14T14:30:00Z'),
          retracts: recordId,
        },
      ],
    })
    .expect(201);
  expect(((await s.api.get('/api/relay').expect(200)).body as RelayView).plantings.length).toBe(before);
});

test.each([
  ['from=2027-11-15&to=2027-10-01&kg=4', /^to: expected a day after from/],
  ['from=2026-01-15&to=2026-03-01&kg=4', /^to: expected a day to come/],
  ['from=2027-11-15&to=2028-03-01&kg=0', /^kg: expected more than 0/],
  ['from=tomorrow&to=2028-03-01&kg=1', /^from: expected a date/],
])('a need %s is refused in one sentence', async (query, words) => {
  const { body } = await s.api.get(`/api/season/spinach/need?${query}`).expect(422);
  expect((body as ProblemBody).detail).toMatch(words);
});

test('flowers are not weighed, and that is said', async () => {
  const { body } = await s.api.get('/api/season/anemone/need?from=2027-03-01&to=2027-04-01&kg=1').expect(422);
  expect((body as ProblemBody).detail).toBe('crop: expected one that is weighed, not anemones');
});

test('side by side: from trays it is picked sooner than sown on the same day; a tomato does not come off in February', async () => {
  const ways = [
    'lettuce,sow,north,2027-02-10',
    'lettuce,transplant,north,2027-02-10',
    'tomato,transplant,north,2027-02-10',
  ].join(';');
  const view = await ready<CompareView>(`/api/compare?ways=${encodeURIComponent(ways)}`);
  const [sown, planted, tomato] = view.ways;
  expect(planted!.given!.readyOn < sown!.given!.readyOn).toBe(true);
  expect(planted!.given!.daysInRow).toBeLessThan(sown!.given!.daysInRow);
  expect(tomato!.given === null || tomato!.given.success < 0.3).toBe(true);
  const { body } = await s.api.get('/api/compare?ways=lettuce,sow,nowhere,2027-02-10').expect(404);
  expect((body as ProblemBody).detail).toBe('There is no such structure.');
});

test('a patchy bed has at least three priced answers, the best first; what is not there is said', async () => {
  const view = await ready<MendView>('/api/plantings/p11/mend?stands=0.5&spares=40');
  expect(view.answers.length).toBeGreaterThanOrEqual(3);
  const worths = view.answers.map((a) => a.worth);
  expect(worths).toEqual([...worths].sort((a, b) => b - a));
  expect(view.answers.map((a) => a.kind)).toEqual(expect.arrayContaining(['leave', 'again']));
  await s.api.get('/api/plantings/moon/mend?stands=0.5').expect(404);
  const { body } = await s.api.get('/api/plantings/p11/mend?stands=2').expect(422);
  expect((body as ProblemBody).detail).toMatch(/^stands: expected at most 1/);
});

test('a crop’s own figures count wherever the crop is asked about: slower, it is picked later', async () => {
  const asked = `/api/compare?ways=${encodeURIComponent('lettuce,sow,north,2027-02-10')}`;
  const book = (await ready<CompareView>(asked)).ways[0]!.given!;
  const own = { crop: 'lettuce', name: '', figures: { harvest_degree_days: 900 } };
  await s.api.put('/api/cultivars/cv-slow').send(own).expect(200);
  const slow = (await ready<CompareView>(asked)).ways[0]!.given!;
  expect(slow.readyOn > book.readyOn).toBe(true);
});
