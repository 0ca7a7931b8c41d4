/** The library of crops: complete, in order, and as growers know them to stand to each other. */
import Papa from 'papaparse';
import { CROPS, RESTS, STORED, cropById, GROUPS, HABITS, isCrop, leafDeathC } from '../src';
import { LIBRARY_COLUMNS, libraryCsv } from '../src/crops/libraryCsv';
import { numberIn, readTable } from '../src/crops/table';

const of = (group: string) => CROPS.filter((c) => c.group === group);

test('a hundred crops, of every kind that is grown under cover', () => {
  expect(CROPS.length).toBeGreaterThanOrEqual(80);
  expect(new Set(CROPS.map((c) => c.id)).size).toBe(CROPS.length);
  for (const group of GROUPS) expect(of(group).length > 0).toBe(!['rest', 'stored'].includes(group));
  expect(RESTS.map((c) => c.id)).toEqual(['rest', 'solarised']);
  // what lies in boxes is lost in a light frost, and never so soon that the plan would carry it in for nothing
  expect(STORED.map((c) => c.id)).toEqual(['dahlia-boxed', 'potato-boxed', 'corms-boxed']);
  for (const c of STORED) {
    expect(c.damageC[0]).toBeLessThan(0);
    expect(c.deathC[0]).toBeGreaterThan(-5);
  }
  expect(of('flower').length).toBeGreaterThanOrEqual(12);
  expect(of('fruit').length).toBeGreaterThanOrEqual(3);
  for (const id of ['fig', 'garlic', 'potato', 'strawberry', 'day-neutral', 'rye'])
    expect(isCrop(id)).toBe(true);
  expect(isCrop('moon-cheese')).toBe(false);
  expect(cropById('moon-cheese')).toMatchObject({ name: expect.stringContaining('reckoned as lettuce') });
});

test.each([...CROPS])('$id: what it stands, and how it grows, is in order', (c) => {
  for (const i of [0, 1] as const) {
    expect(c.damageC[i]).toBeGreaterThan(leafDeathC(c)[i]);
    expect(leafDeathC(c)[i]).toBeGreaterThan(c.deathC[i]);
  }
  for (const pair of [c.damageC, c.deathC, c.rootC]) expect(pair[1]).toBeLessThanOrEqual(pair[0]);
  expect(c.baseC).toBeLessThan(c.bestC);
  expect(c.bestC).toBeLessThan(c.upperC);
  // growth stands still by where leaves stop, and a spoilt day is hotter than that
  expect(c.spoilC).toBeGreaterThan(c.stopC);
  expect(c.stopC).toBeGreaterThan(c.bestC);
  const e = c.emergence;
  if (e && e.minC !== null && e.bestC !== null && e.maxC !== null) {
    expect(e.minC).toBeLessThan(e.bestC);
    expect(e.bestC).toBeLessThan(e.maxC);
  }
  if (c.raiseDd !== null) expect(c.raiseDd).toBeLessThan(c.pickDd);
  if (c.againDd !== null) expect(c.againDd).toBeLessThan(c.pickDd);
  expect(c.light.darkMol).toBeLessThan(c.light.fullMol);
  expect(HABITS).toContain(c.habit);
  expect(c.aim === 'flower').toBe(
    c.flowerC !== null && ['stems', 'fruit'].includes(c.habit) && c.aim === 'flower',
  );
  if (c.sowing) {
    expect(c.sowing.germination).toBeGreaterThan(0.3);
    expect(c.sowing.germination).toBeLessThanOrEqual(1);
    expect(['dark', 'light', 'either']).toContain(c.sowing.wants);
  }
  expect(c.rowsPerM).toBeGreaterThanOrEqual(1);
  // plants have not more than twice the room of their spread along the row
  expect(c.spacingM).toBeLessThanOrEqual(2 * c.spreadM);
  if (c.bolts.by === 'long') expect(c.bolts.dayH).toBeGreaterThan(11);
  if (c.bolts.by === 'cold') expect(c.bolts.coldDays).toBeGreaterThan(0);
});

test('they stand to each other as growers know them', () => {
  const death = (id: string) => cropById(id).deathC[1];
  for (const hardy of ['garlic', 'mache', 'leek', 'spinach', 'kale'])
    expect(death(hardy)).toBeLessThan(death('lettuce') - 4);
  expect(death('radicchio')).toBeLessThan(death('lettuce'));
  for (const c of [...of('fruiting'), cropById('basil')]) {
    expect(c.deathC[1]).toBeGreaterThanOrEqual(-2);
    expect(c.chillingC).not.toBeNull();
    expect(c.baseC).toBeGreaterThanOrEqual(8);
  }
  for (const c of [...of('salad'), ...of('brassica')].filter((x) => x.id !== 'purslane'))
    expect(c.baseC).toBeLessThan(6);
  // an onion comes up in half the warmth that a parsnip and a parsley want, a cress in a third of a carrot's
  const up = (id: string) => cropById(id).emergence!.degreeDays;
  expect(up('garden-cress')).toBeLessThan(up('carrot') / 2);
  expect(up('parsley')).toBeGreaterThan(up('onion'));
  const life = (id: string) => cropById(id).sowing!.halfLifeYears;
  expect(life('parsnip')).toBeLessThan(life('onion'));
  expect(life('onion')).toBeLessThan(life('tomato'));
});

describe('as CSV', () => {
  const rows = Papa.parse<Record<string, string>>(libraryCsv(), { header: true, skipEmptyLines: true });

  test('a row a crop, with every column that is promised', () => {
    expect(rows.errors).toEqual([]);
    expect(rows.data).toHaveLength(CROPS.length);
    const promised =
      'id name family leaf_damage_soft_c leaf_damage_hard_c death_soft_c death_hard_c flower_loss_c chilling_c base_c best_c upper_c emergence_min_c emergence_best_c emergence_max_c emergence_degree_days harvest_degree_days height_m yield_kg_per_m seed_life_years';
    for (const column of promised.split(' ')) expect(LIBRARY_COLUMNS).toContain(column);
  });

  test('numbers as they stand, nothing where a value does not apply', () => {
    const fig = rows.data.find((r) => r['id'] === 'fig')!;
    expect(fig).toMatchObject({
      emergence_min_c: '',
      seed_life_years: '',
      flower_loss_c: '-1',
      death_hard_c: '-10',
    });
    for (const r of rows.data)
      for (const [column, cell] of Object.entries(r))
        if (/_(c|m|mm|days|h|kg_per_m|l)$/.test(column) && cell !== '')
          expect(Number.isFinite(Number(cell))).toBe(true);
  });
});

test('a table with a word where a number belongs, or a cell too many, says which row', () => {
  const [row] = readTable('id | x\na | warm');
  expect(() => numberIn(row!, 'x')).toThrow('a: x is warm, a number was expected');
  expect(() => numberIn(row!, 'y')).toThrow('no column y');
  expect(() => readTable('id | x\na | 1 | 2')).toThrow('a: 3 cells for 2 columns');
});
