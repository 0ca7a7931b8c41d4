/** The relay's rules against cases worked by hand, and against farms built to have each failure and to have none. */
import fc from 'fast-check';
import { cropById } from '../src';
import {
  checkRelay,
  courseOf,
  dayOf,
  feedFor,
  heightOn,
  isoOf,
  kgBetween,
  lightTaken,
  meanYear,
  picks,
  readyBy,
  RULES,
  shortOf,
  supply,
  takenBy,
  type Quarrel,
} from '../relay';
import { aBedOf, aStrip, aYear, evenOutlook } from './relayFixture';

describe('a planting through the mean year', () => {
  const spinach = cropById('spinach');
  test('comes up, is ready, is cut again and is over by the sums, on leap years as on others', () => {
    const { mean } = evenOutlook(40);
    for (const start of ['2027-09-01', '2028-02-20']) {
      const c = courseOf(spinach, 'sow', dayOf(start), mean);
      expect(c.upDay! - c.startDay).toBeCloseTo(spinach.emergence!.degreeDays / 10, -0.5);
      expect(Math.abs(c.readyDay! - c.upDay! - spinach.pickDd / 10)).toBeLessThanOrEqual(1);
      expect(c.cutDays).toHaveLength(spinach.cuts!);
      expect(Math.abs(c.cutDays[1]! - c.cutDays[0]! - spinach.againDd! / 10)).toBeLessThanOrEqual(1);
    }
  });

  test('the century has the last word on when it is ready and over', () => {
    const { mean } = evenOutlook(40);
    const c = courseOf(spinach, 'sow', 20000, mean, { readyDays: 50, overDays: 63 });
    expect([c.readyDay, c.overDay]).toEqual([20050, 20063]);
    expect(courseOf(spinach, 'sow', 20000, mean, { readyDays: 50, overDays: null }).overDay).toBeGreaterThan(
      20063,
    );
  });

  test('grows to its height, falls at a cut and comes back', () => {
    const bed = aBedOf('b');
    const s = aStrip(bed, 'spinach', [1, 1], ['2027-03-01', null], evenOutlook(40));
    const at = (day: number) => heightOn(spinach, s, day);
    expect(at(s.startDay)).toBe(0);
    expect(at(s.readyDay! - 1)).toBeLessThanOrEqual(spinach.heightM);
    expect(at(s.cutDays[1]!)).toBeLessThan(spinach.heightM * 0.5);
    expect(at(s.cutDays[1]! + 8)).toBeGreaterThan(at(s.cutDays[1]!));
  });

  test('a mean year is the mean of its years', () => {
    const n = 365 * 3;
    const sums = new Float64Array(n + 1);
    for (let i = 0; i < n; i++) sums[i + 1] = sums[i]! + (Math.floor(i / 365) + 1) * ((i % 365) % 5);
    const mean = meanYear({ growth: sums, rise: sums } as never, 3);
    expect(mean.growthDd).toHaveLength(73);
    expect(mean.growthDd[7]).toBeCloseTo(2 * 2, 9);
  });
});

describe('odds and shares', () => {
  const bed = aBedOf('b');
  const s = aStrip(
    bed,
    'radish',
    [1, 1],
    ['2027-03-01', null],
    evenOutlook(30, { spread: 10, overDays: 44 }),
  );
  test('half of the years are ready by the middle, nine of ten by the late one, and never fewer later', () => {
    expect(readyBy(s, s.startDay + 30)).toBeCloseTo(0.5, 6);
    expect(readyBy(s, s.startDay + 40)).toBeCloseTo(0.9, 6);
    expect(readyBy(s, s.startDay + 20)).toBeCloseTo(0.1, 6);
    let last = 0;
    for (let d = 0; d < 90; d++) {
      const now = readyBy(s, s.startDay + d)!;
      expect(now).toBeGreaterThanOrEqual(last);
      last = now;
    }
    expect(last).toBe(1);
  });

  test('what is picked over all days is what a metre bears', () => {
    const kg = kgBetween(s, s.startDay, s.endDay);
    expect(kg).toBeCloseTo(cropById('radish').yieldKgPerM! * 10, 6);
    expect(takenBy(s, (s.readyDay! + s.overDay!) / 2)).toBeCloseTo(0.5, 6);
    expect(takenBy(s, s.readyDay!)).toBe(0);
  });

  test('what is asked for by name is not met by another crop; what is asked for of anything is', () => {
    const asked = new Map([
      ['', 5],
      ['lettuce', 2],
    ]);
    expect(shortOf(asked, new Map([['radish', 9]]))).toBe(2);
    expect(shortOf(asked, new Map([['lettuce', 4]]))).toBe(3);
    expect(shortOf(asked, new Map())).toBe(7);
  });

  test('weeks add up to the plan, within an early and a late year', () => {
    const year = aYear([bed], [s]);
    const weeks = supply(year, s.startDay, 14);
    const all = weeks.reduce((t, w) => t + w.kg, 0);
    expect(all).toBeCloseTo(kgBetween(s, s.startDay, s.startDay + 98), 6);
    for (const w of weeks) {
      expect(w.lowKg).toBeLessThanOrEqual(w.kg + 1e-9);
      expect(w.highKg).toBeGreaterThanOrEqual(w.kg - 1e-9);
    }
  });
});

test('what is picked in a week is a share of what stands, the first to end first; flowers are picked as they open', () => {
  const bed = aBedOf('b');
  const cut = aStrip(bed, 'spinach', [1, 1], ['2026-10-01', null], evenOutlook(60), { planned: false });
  const heads = aStrip(
    bed,
    'lettuce',
    [2, 2],
    ['2026-11-01', '2027-01-20'],
    evenOutlook(50, { overDays: 90 }),
    { planned: false },
  );
  const late = aStrip(bed, 'radish', [3, 3], ['2027-03-01', null], evenOutlook(30));
  const flowers = aStrip(bed, 'anemone', [4, 4], ['2026-10-01', '2027-05-01'], evenOutlook(60), {
    planned: false,
  });
  const week = picks(aYear([bed], [cut, heads, late, flowers]), heads.endDay - 20);
  expect(week.map((p) => p.strip.crop.id)).toContain('lettuce');
  expect(week.map((p) => p.strip.crop.id)).not.toContain('radish');
  expect(week[0]!.leftDays).toBeLessThanOrEqual(week.at(-1)!.leftDays);
  for (const p of week) {
    const whole = (p.strip.crop.yieldKgPerM ?? 0) * 10;
    expect(p.kg).toBeLessThan(Math.max(whole, 0.01));
  }
});

const rulesOf = (quarrels: Quarrel[]) => [...new Set(quarrels.map((q) => q.rule))].sort();

describe('what is known to go wrong', () => {
  const bed = aBedOf('S1');
  const find = (strips: ReturnType<typeof aStrip>[], more = {}) =>
    checkRelay(aYear([bed], strips, more)).quarrels;

  test('a quick crop that is not ready when its row is needed', () => {
    const quick = aStrip(
      bed,
      'radish',
      [1, 2],
      ['2027-03-01', '2027-04-20'],
      evenOutlook(48, { spread: 8, overDays: 62 }),
    );
    const next = aStrip(bed, 'tomato', [1, 2], ['2027-04-20', null], evenOutlook(70));
    const [q] = find([quick, next]);
    expect(q!.rule).toBe('not-clear');
    expect(q!.plantings).toEqual([quick.planting.id, next.planting.id]);
    expect(q!.values['chance']).toBeLessThan(0.5);
    expect(isoOf(q!.values['clearBy'] as number)).toBe('2027-04-20');
    // sown three weeks earlier it is
    const early = aStrip(
      bed,
      'radish',
      [1, 2],
      ['2027-02-08', '2027-04-20'],
      evenOutlook(48, { spread: 8, overDays: 62 }),
    );
    expect(find([early, next])).toEqual([]);
  });

  test('an old one that starves the young beside it, of light and of nitrogen', () => {
    const kale = aStrip(bed, 'kale', [1, 2], ['2026-08-01', '2027-05-05'], evenOutlook(70));
    const peppers = aStrip(bed, 'pepper', [1, 2], ['2027-04-22', null], evenOutlook(80));
    const rules = rulesOf(find([kale, peppers]));
    expect(rules).toContain('starved');
    expect(lightTaken(kale, peppers, peppers.startDay, kale.endDay)).toBeGreaterThan(0.4);
    const after = aStrip(bed, 'pepper', [1, 2], ['2027-05-05', null], evenOutlook(80));
    expect(rulesOf(find([kale, after]))).not.toContain('starved');
  });

  test('a rampant newcomer that swamps its neighbours', () => {
    const onions = aStrip(bed, 'spring-onion', [1, 2], ['2027-04-01', '2027-07-20'], evenOutlook(90));
    const squash = aStrip(bed, 'squash', [3, 4], ['2027-05-10', '2027-09-20'], evenOutlook(90));
    const found = find([onions, squash]);
    expect(rulesOf(found)).toContain('swamped');
    expect(found.find((q) => q.rule === 'swamped')!.plantings[0]).toBe(squash.planting.id);
  });

  test('more in a week than can be sold, where half a row is pulled at once', () => {
    const lettuce = aStrip(
      bed,
      'lettuce',
      [1, 4],
      ['2027-03-20', '2027-05-20'],
      evenOutlook(54, { spread: 3, overDays: 80 }),
    );
    const demand = [{ crop: 'lettuce', from: '2027-01-01', to: '2027-12-31', kgPerWeek: 6 }];
    const [q] = find([lettuce], { demand });
    expect(q!.rule).toBe('glut');
    expect(q!.values['kg']).toBeGreaterThan(30);
    // in four sowings, pulled by and by, there is none
    const by = [0, 1, 2, 3].map((n) =>
      aStrip(
        bed,
        'lettuce',
        [n + 1, n + 1],
        [isoOf(dayOf('2027-03-01') + 14 * n), null],
        evenOutlook(54, { spread: 3, overDays: 75 }),
      ),
    );
    expect(find(by, { demand })).toEqual([]);
  });

  test('none of it in a farm built without', () => {
    const lettuce = aStrip(
      bed,
      'lettuce-leaf',
      [1, 2],
      ['2027-01-20', '2027-04-10'],
      evenOutlook(45, { overDays: 90 }),
    );
    const radish = aStrip(
      bed,
      'radish',
      [3, 4],
      ['2027-02-01', '2027-04-10'],
      evenOutlook(40, { overDays: 60 }),
    );
    const beans = aStrip(
      bed,
      'french-bean',
      [1, 4],
      ['2027-04-20', '2027-07-20'],
      evenOutlook(60, { overDays: 95 }),
    );
    expect(find([lettuce, radish, beans])).toEqual([]);
  });

  test('a row given to two for longer than seed may stand between plants', () => {
    const a = aStrip(bed, 'spinach', [1, 3], ['2027-01-10', '2027-05-10'], evenOutlook(40));
    const b = aStrip(bed, 'carrot', [3, 4], ['2027-03-20', null], evenOutlook(90));
    const q = find([a, b]).find((x) => x.rule === 'rows-twice')!;
    expect(q.values).toMatchObject({ days: 51, allowed: 21, rows: 1 });
  });

  test('a crop that outgrows its cover, one that fails too often, trays that are full', () => {
    const low = aBedOf('T', { headroomM: 0.5, structureId: 'tunnel' });
    const tomato = aStrip(low, 'tomato', [1, 1], ['2027-05-01', null], evenOutlook(70));
    const late = aStrip(low, 'mache', [2, 2], ['2027-10-20', null], evenOutlook(60, { success: 0.4 }));
    const found = checkRelay(aYear([low], [tomato, late], { cells: 10 })).quarrels;
    expect(rulesOf(found)).toEqual(['fails', 'too-tall', 'trays']);
  });

  test('kin after kin, by the year that they stand in: the fourth in a row is said so, sowings of one year are one', () => {
    const kin = ['2024-03-01', '2025-03-01', '2026-03-01', '2027-03-01', '2027-04-20'].map((d) =>
      aStrip(bed, 'radish', [1, 1], [d, isoOf(dayOf(d) + 45)], evenOutlook(30), { planned: d >= '2027' }),
    );
    const q = find(kin).filter((x) => x.rule === 'rotation');
    expect(q).toHaveLength(1);
    expect(q[0]!.values).toMatchObject({ nth: 4, yearsSince: 1, disease: 'clubroot' });
    const mixed = kin.slice(3);
    expect(find(mixed).filter((x) => x.rule === 'rotation')).toEqual([]);
  });

  test('what has happened is not argued with', () => {
    const today = dayOf('2027-06-01');
    const kale = aStrip(bed, 'kale', [1, 2], ['2026-08-01', '2027-05-05'], evenOutlook(70), {
      planned: false,
    });
    const peppers = aStrip(bed, 'pepper', [1, 2], ['2027-04-22', null], evenOutlook(80), { planned: false });
    expect(find([kale, peppers], { today }).filter((q) => q.rule !== 'rotation')).toEqual([]);
  });

  test('legumes leave the next one in need of less', () => {
    const peas = aStrip(bed, 'snap-pea', [1, 2], ['2027-02-01', '2027-05-20'], evenOutlook(70));
    const radish = aStrip(bed, 'radish', [1, 2], ['2027-02-01', '2027-05-20'], evenOutlook(40));
    const cabbage = aStrip(bed, 'savoy', [1, 2], ['2027-05-20', null], evenOutlook(100));
    expect(feedFor(peas, cabbage)).toBeLessThan(feedFor(radish, cabbage) - 3);
  });
});

test('checked from the check before it says what it says from nothing, whatever is moved', () => {
  const beds = [
    aBedOf('A', { acrossM: -0.8 }),
    aBedOf('B', { acrossM: 0.8 }),
    aBedOf('C', { structureId: 'field' }),
  ];
  const crops = ['radish', 'tomato', 'spinach', 'squash', 'lettuce', 'kale'];
  const outlook = evenOutlook(45, { spread: 9, overDays: 70 });
  const one = fc.record({
    bed: fc.integer({ min: 0, max: 2 }),
    crop: fc.constantFrom(...crops),
    row: fc.integer({ min: 1, max: 4 }),
    day: fc.integer({ min: 0, max: 200 }),
  });
  const make = (o: { bed: number; crop: string; row: number; day: number }, id: string) =>
    aStrip(beds[o.bed]!, o.crop, [o.row, o.row], [isoOf(dayOf('2027-01-05') + o.day), null], outlook, { id });
  fc.assert(
    fc.property(fc.array(one, { minLength: 2, maxLength: 14 }), fc.integer(), one, (list, which, to) => {
      const strips = list.map((o, n) => make(o, `p${n}`));
      const demand = [{ crop: 'lettuce', from: '2027-01-01', to: '2027-12-31', kgPerWeek: 2 }];
      const year = aYear(beds, strips, { demand, cells: 50 });
      const before = checkRelay(year);
      const at = Math.abs(which) % strips.length;
      const moved = { ...year, strips: strips.map((s, n) => (n === at ? make(to, `p${n}`) : s)) };
      const ids = (qs: Quarrel[]) => qs.map((q) => JSON.stringify(q)).sort();
      expect(ids(checkRelay(moved, before).quarrels)).toEqual(ids(checkRelay(moved).quarrels));
      for (const q of before.quarrels) expect(RULES).toContain(q.rule);
    }),
    { numRuns: 60 },
  );
});
