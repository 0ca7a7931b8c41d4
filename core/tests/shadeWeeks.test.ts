/** Shade cloth by the week: where the summer is hot and something tender stands, in its own half of the year, and nowhere else. */
import { fromMonthly, type Climate } from '../season';
import { shadeSpans, shadeTask } from '../day';
import type { FarmFacts, Planting, Structure } from '../src';
import { aBed, aStructure, SITE } from './fixtures';

const year = (coldC: number, hotC: number) =>
  Array.from({ length: 12 }, (_, m) => {
    const mean = (coldC + hotC) / 2 - ((hotC - coldC) / 2) * Math.cos((2 * Math.PI * (m + 0.2)) / 12);
    return { lowC: mean - 6, highC: mean + 6 };
  });
const house = (more: Partial<Structure> = {}): Structure => ({
  ...aStructure({ id: 'h', kind: 'house' }),
  ...more,
});
const planting = (crop: string, plantedOn: string, clearedOn: string | null): Planting => ({
  id: crop,
  bedId: 'b',
  crop,
  cultivar: '',
  fromRow: 1,
  toRow: 4,
  lengthM: 18,
  plantedOn,
  clearedOn,
  aim: 'grow',
  note: '',
});
const farm = (plantings: Planting[], latitude = SITE.latitude): FarmFacts =>
  ({
    farm: {
      ...SITE,
      latitude,
      timeZone: 'UTC',
      hourlyRate: 12,
      hands: 1,
      schools: { uncover: 'thaw', touch: 'both' },
    },
    structures: [house()],
    beds: [aBed({ id: 'b', structureId: 'h' })],
    plantings,
    covers: [],
  }) as unknown as FarmFacts;
const spansOf = (
  data: FarmFacts,
  climate: Climate,
  structure = data.structures[0]!,
  today = '2027-01-14',
) => {
  const task = shadeTask(data, structure, today, climate);
  return task ? shadeSpans(task) : null;
};
const HOT = fromMonthly(SITE, year(4, 28));
const all = (crop: string) => [planting(crop, '2026-12-01', '2028-02-01')];

test('lettuce through a hot summer wants cloth in its warm months, and is cooler under it', () => {
  const spans = spansOf(farm(all('lettuce')), HOT)!;
  expect(spans.length).toBeGreaterThan(0);
  const [first, last] = [spans[0]!, spans.at(-1)!];
  expect(first.from >= '2027-03-15' && first.from <= '2027-06-30').toBe(true);
  expect(last.to >= '2027-08-15' && last.to <= '2027-11-15').toBe(true);
  for (const s of spans) {
    expect(s.crop).toBe('lettuce');
    expect(s.openC).toBeGreaterThan(s.limitC);
    expect(s.clothC).toBeLessThan(s.openC - 1);
  }
});

test('what bears more heat wants it later and for a shorter time, if at all', () => {
  const weeks = (crop: string) =>
    (spansOf(farm(all(crop)), HOT) ?? []).reduce(
      (sum, s) => sum + (Date.parse(s.to) - Date.parse(s.from)) / (7 * 86_400_000),
      0,
    );
  expect(weeks('tomato')).toBeLessThan(weeks('spinach'));
});

test('south of the line it is the other half of the year', () => {
  const months = year(4, 28);
  const south = fromMonthly({ ...SITE, latitude: -42.7 }, [...months.slice(6), ...months.slice(0, 6)]);
  const spans = spansOf(farm(all('lettuce'), -42.7), south)!;
  expect(spans.some((s) => s.from <= '2027-01-31' || s.to >= '2027-12-01')).toBe(true);
  expect(spans.some((s) => s.from <= '2027-07-15' && s.to >= '2027-06-15')).toBe(false);
});

test('a cool place, a winter crop that is over by spring, an empty house, and one that cannot be opened want none', () => {
  expect(spansOf(farm(all('lettuce')), fromMonthly(SITE, year(-2, 9)))).toEqual([]);
  expect(spansOf(farm([planting('mache', '2026-10-01', null)]), HOT)).toEqual([]);
  expect(spansOf(farm([]), HOT)).toBeNull();
  // what lies in boxes grows nothing that sun could spoil
  expect(spansOf(farm(all('potato-boxed')), HOT)).toBeNull();
  expect(spansOf(farm(all('lettuce')), HOT, house({ ventAreaM2: 0 }))).toBeNull();
});

test('all week the task is the same one, and the cloth that is on is not in it', () => {
  const data = farm(all('lettuce'));
  const shaded = { ...data, structures: [house({ shade: 'shade-50' })] };
  const task = (d: FarmFacts, day: string) => shadeTask(d, d.structures[0]!, day, HOT);
  expect(task(data, '2027-01-11')).toEqual(task(data, '2027-01-17'));
  expect(task(shaded, '2027-01-14')!.weeks).toEqual(task(data, '2027-01-14')!.weeks);
});
