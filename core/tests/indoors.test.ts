/** Crates carried in before a bitter night: by the plan, within the room there is, and out again only into what they bear. */
import { fitCover, isFit, type Cover } from '../src';
import { asIsOutcome, chosenOutcome, jobsOf, nightAt, type NightPlan } from '../planning';
import { evening, farm, MILD, NOW, planned, style, type EveningShape } from './eveningFixture';
import { aBed, aCover } from './fixtures';
import { told } from '../words';

const HOUR = 3_600_000;
const place = (more: Partial<Cover> = {}): Cover =>
  aCover({ id: 'shed', name: 'Shed', use: 'indoors', count: 12, minutes: 0.5, nightC: 6, ...more });
const crates = { count: 10, lengthM: 0.6, widthM: 0.4, plantsEach: 8, kgEach: 7 };

/** The usual evening with both beds in crates on benches, no sheet in store, and a place indoors. */
function bench(
  meanC: number,
  room: Cover,
  acts: Parameters<typeof evening>[2] = [],
  shape: EveningShape = {},
) {
  const e = evening(meanC, 0, acts, shape);
  const beds = ['hardy', 'tender'].map((id, order) => aBed({ id, name: id, order, on: 'bench', crates }));
  // what came since this afternoon was as cold as what comes
  const { past } = e.weather;
  const hours = past.hours.map((h) => (Date.parse(h.time) > NOW ? { ...h, airC: h.airC + meanC - MILD } : h));
  return {
    ...e,
    data: { ...e.data, beds, covers: [room] },
    weather: { ...e.weather, past: { ...past, hours } },
  };
}
const carry = (atMs: number, on = true) => ({
  kind: 'cover',
  id: `c${atMs}`,
  atMs,
  bedId: 'tender',
  coverId: 'shed',
  on,
});
const bed = (plan: NightPlan, id: string) => plan.beds.find((b) => b.bed.id === id)!;

test('only crates fit a place indoors, by their number, and take their minutes', () => {
  const structure = evening(0, 0).data.structures[0]!;
  expect(fitCover(place(), structure, aBed({ crates }))).toEqual({ pieces: 10, minutes: 5 });
  expect(isFit(fitCover(place(), structure, aBed()))).toBe(false);
});

test('with room for one bed the tender one is carried in, by name and weight, before dark', async () => {
  const plan = await planned(bench(-3, place()));
  expect(bed(plan, 'tender').chosen).toBe('shed');
  expect(bed(plan, 'hardy').chosen).toBe('bare');
  expect(bed(plan, 'tender').loss['shed']).toBeCloseTo(0, 4);
  expect(new Set(chosenOutcome(bed(plan, 'tender')).minLeafC)).toEqual(new Set([6]));
  const [job] = told(jobsOf(plan), style).filter((j) => j.kind === 'cover');
  expect(job).toMatchObject({ title: 'Carry tender into Shed', minutes: 5, done: false });
  expect(job!.detail).toContain('10 crates, 70 kg in all');
  expect(job!.saves).toBeGreaterThan(1);
  expect(job!.onByAtMs).toBeLessThanOrEqual(Date.parse('2027-01-15T17:50:00Z'));
});

test('on a mild night, and where there is no room for the whole bed, nothing is carried', async () => {
  expect(bed(await planned(bench(12, place())), 'tender').chosen).toBe('bare');
  const full = bed(await planned(bench(-3, place({ count: 9 }))), 'tender');
  expect(full.options.map((o) => o.key)).not.toContain('shed');
});

test('lower down in the same house it is as on the bench and so much warmer; in another house it is out of reach', async () => {
  const e = bench(-3, place());
  const { id } = e.data.structures[0]!;
  const floor = place({ id: 'floor', name: 'the floor', lowerIn: id, warmerK: 1.5, nightC: null });
  const plan = await planned(bench(-3, floor));
  const b = bed(plan, 'tender');
  const lows = (key: string) => b.outcome.options.find((o) => o.key === key)!.minLeafC;
  // what is chosen was run once more with the house as it will be
  lows('floor').forEach((c, m) => expect(Math.abs(c - lows('bare')[m]! - 1.5)).toBeLessThan(0.3));
  expect(b.loss['floor']!).toBeLessThan(b.loss['bare']!);
  expect(b.loss['floor']!).toBeGreaterThan(0);
  const [job] = told(jobsOf(plan), style).filter((j) => j.kind === 'cover');
  expect(job!.title).toMatch(/^Set (tender|hardy|hardy and tender) down: the floor$/);
  const elsewhere = await planned(bench(-3, { ...floor, lowerIn: 'another' }));
  expect(bed(elsewhere, 'tender').options.map((o) => o.key)).toEqual(['bare']);
});

test('tubers in boxes are carried in before a frost that greens beside them stand, and count as nothing that grows', async () => {
  const boxed = (meanC: number) => {
    const e = bench(meanC, place());
    const plantings = e.data.plantings.map((p) =>
      p.bedId === 'tender'
        ? { ...p, crop: 'dahlia-boxed', aim: 'survive' as const }
        : { ...p, crop: 'mache' },
    );
    return planned({ ...e, data: { ...e.data, plantings } });
  };
  const frost = await boxed(-3);
  expect(bed(frost, 'tender').chosen).toBe('shed');
  expect(bed(frost, 'hardy').chosen).toBe('bare');
  expect(bed(frost, 'tender').loss['bare']!).toBeGreaterThan(bed(frost, 'hardy').loss['bare']!);
  const mild = bed(await boxed(20), 'tender');
  expect(mild.chosen).toBe('bare');
});

test('a place that freezes is no better than it is', async () => {
  const plan = await planned(bench(-3, place({ nightC: -5 })));
  expect(bed(plan, 'tender').loss['shed']!).toBeGreaterThan(0);
});

describe('once they are in', () => {
  const inAtMs = NOW - HOUR;

  test('the plan leaves them there, with nothing left to do, and the night harms nothing of it', async () => {
    const plan = await planned(bench(-3, place(), [carry(inAtMs)]));
    expect(bed(plan, 'tender').chosen).toBe('shed');
    expect(bed(plan, 'tender').loss['as-is']).toBeCloseTo(0, 4);
    expect(told(jobsOf(plan), style).every((j) => j.done)).toBe(true);
  });

  test('a night spent indoors has killed nothing, and they go out only into what they bear', async () => {
    const window = nightAt(NOW, farm).window;
    const nowAtMs = window.sunriseAtMs! - HOUR / 2;
    // bitter through the whole next day, too
    const cold = bench(-14, place(), [carry(inAtMs)], { nowAtMs, cloud: 1 });
    const kept = await planned(cold);
    expect(bed(kept, 'tender').atRisk[0]!.left).toBeCloseTo(1, 5);
    expect(bed(kept, 'tender').lift).toMatchObject({ atMs: null });
    expect(Math.min(...asIsOutcome(bed(kept, 'tender')).minLeafC)).toBe(6);
    const mild = await planned(bench(9, place(), [carry(inAtMs)], { nowAtMs }));
    expect(bed(mild, 'tender').lift!.atMs).not.toBeNull();
    // a cold clear morning is borne only once the sun has warmed the house
    const clear = await planned(bench(-9, place(), [carry(inAtMs)], { nowAtMs }));
    expect(bed(clear, 'tender').lift!.atMs!).toBeGreaterThan(bed(mild, 'tender').lift!.atMs! + HOUR);
    expect(told(jobsOf(mild), style)[0]).toMatchObject({
      kind: 'lift',
      title: 'Carry tender back out',
      minutes: 5,
    });
  });

  test('left outside through the same night they would have been lost', async () => {
    const nowAtMs = nightAt(NOW, farm).window.sunriseAtMs! - HOUR / 2;
    const plan = await planned(bench(-9, place(), [], { nowAtMs }));
    expect(bed(plan, 'tender').atRisk[0]!.left).toBeLessThan(0.5);
  });
});
