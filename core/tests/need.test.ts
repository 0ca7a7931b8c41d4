/** Backwards from a need: in a place in which every day is alike the least metres are known by hand. */
import highs from 'highs';
import { cropById } from '../src';
import { needFor, spotsFor, type NeedAsk, type NeedOffer } from '../relay';
import { aBedOf, evenOutlook } from './relayFixture';

let solver: Awaited<ReturnType<typeof highs>>;
beforeAll(async () => {
  solver = await highs();
});
const solve = (lp: string) =>
  Promise.resolve(
    Object.fromEntries(
      Object.entries(solver.solve(lp).Columns).map(([k, c]) => [k, (c as { Primal?: number }).Primal ?? 0]),
    ),
  );

const offer = (more: Partial<NeedOffer> = {}): NeedOffer => ({
  structureId: 'house',
  place: 'House',
  cover: null,
  how: 'sow',
  outlook: evenOutlook(60, { success: 0.9, overDays: 100 }),
  mostM: 200,
  ...more,
});
const ask = (more: Partial<NeedAsk> = {}): NeedAsk => ({
  crop: cropById('carrot'),
  today: '2027-01-14',
  from: '2027-06-01',
  to: '2027-06-28',
  kgPerWeek: 5,
  risk: 0.2,
  offers: [offer()],
  ...more,
});
const kgOf = (a: { weeks: { kg: number }[] }) => a.weeks.map((w) => w.kg);

test('four weeks of one picking of forty days: a sowing gives by day, and the metres are those by hand', async () => {
  const a = await needFor(ask(), solve);
  // a metre gives its yield over 40 days, in nine years of ten
  const perWeek = (cropById('carrot').yieldKgPerM! * 0.9 * 7) / 40;
  expect(a.shortKg).toBe(0);
  expect(a.metres).toBeGreaterThanOrEqual(5 / perWeek - 0.01);
  expect(a.metres).toBeLessThan((5 / perWeek) * 1.2 + 1);
  expect(a.sowings.every((s) => s.readyOn <= '2027-06-01')).toBe(true);
});

test('every week is covered, and twice the need takes about twice the metres', async () => {
  const long = { to: '2027-10-01' };
  const one = await needFor(ask(long), solve);
  const two = await needFor(ask({ ...long, kgPerWeek: 10 }), solve);
  for (const kg of kgOf(one)) expect(kg).toBeGreaterThanOrEqual(5 - 1e-6);
  expect(two.metres / one.metres).toBeGreaterThan(1.8);
  expect(two.metres / one.metres).toBeLessThan(2.2);
  expect(one.sowings.length).toBeGreaterThan(2);
  expect(one.sowings.length).toBeLessThan(9);
});

test('a place that fails too often is not used, and where nothing else is, that is said', async () => {
  const risky = offer({
    structureId: 'open',
    place: 'Open',
    outlook: evenOutlook(50, { success: 0.7, overDays: 100 }),
  });
  const both = await needFor(ask({ offers: [risky, offer()] }), solve);
  expect(both.sowings.map((s) => s.place)).not.toContain('Open');
  const none = await needFor(ask({ offers: [risky] }), solve);
  expect(none.sowings).toEqual([]);
  expect(none.shortKg).toBeGreaterThan(19);
});

test('a place that is too small gives what it can, and the rest is short', async () => {
  const a = await needFor(ask({ kgPerWeek: 500 }), solve);
  expect(a.metres).toBeLessThanOrEqual(200.5);
  expect(a.shortKg).toBeGreaterThan(0);
});

test('what is wanted next week cannot be sown any more', async () => {
  const a = await needFor(ask({ from: '2027-01-18', to: '2027-02-01' }), solve);
  expect(a.sowings).toEqual([]);
});

test('trays are begun before their bed, and never in the past', async () => {
  const a = await needFor(
    ask({
      crop: cropById('lettuce'),
      from: '2027-04-01',
      offers: [offer({ how: 'transplant', outlook: evenOutlook(40, { overDays: 60 }) })],
    }),
    solve,
  );
  for (const s of a.sowings) {
    expect(s.bench!.from >= '2027-01-14').toBe(true);
    expect(s.bench!.from < s.date).toBe(true);
    expect(s.bench!.cells).toBeGreaterThan(s.metres / cropById('lettuce').spacingM);
  }
  expect(a.sowings.length).toBeGreaterThan(0);
});

describe('rows for what is begun', () => {
  const beds = [aBedOf('a'), aBedOf('b', { rows: 2 })];
  const taken = { bedId: 'a', fromRow: 2, toRow: 4, plantedOn: '2027-01-01', clearedOn: '2027-05-01' };

  test('one piece where one holds it, the smallest such', () => {
    expect(spotsFor(beds, [], 'house', 15, '2027-03-01', '2027-06-01')).toEqual({
      spots: [{ bedId: 'b', name: 'b', fromRow: 1, toRow: 2, lengthM: 7.5 }],
      leftM: 0,
    });
  });

  test('what stands is not touched, and what finds no room is said', () => {
    const found = spotsFor(beds, [taken], 'house', 45, '2027-03-01', '2027-06-01');
    expect(found.spots.map((s) => [s.bedId, s.fromRow, s.toRow])).toEqual([
      ['b', 1, 2],
      ['a', 1, 1],
    ]);
    expect(found.leftM).toBeCloseTo(15);
    // after its clearing all of it is free
    expect(spotsFor(beds, [taken], 'house', 40, '2027-05-01', '2027-06-01').spots[0]!.bedId).toBe('a');
  });

  test('never a row twice, whatever is asked', () => {
    const rows = [taken];
    for (let n = 0; n < 6; n++)
      for (const s of spotsFor(beds, rows, 'house', 9, '2027-03-01', '2027-06-01').spots)
        rows.push({ ...s, plantedOn: '2027-03-01', clearedOn: '2027-06-01' });
    const cells = rows.flatMap((r) =>
      Array.from({ length: r.toRow - r.fromRow + 1 }, (_, i) => `${r.bedId} ${r.fromRow + i}`),
    );
    expect(new Set(cells).size).toBe(cells.length);
    expect(cells).toHaveLength(6);
  });
});
