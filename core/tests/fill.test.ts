/** Gaps filled: against every plan there is on small farms, and what must hold on any. */
import fc from 'fast-check';
import highs from 'highs';
import {
  candidates,
  dayOf,
  fillGaps,
  fillProblem,
  greedy,
  ground,
  isoOf,
  longestWaiting,
  planWorth,
  WEEK,
  type FillAsk,
  type Filled,
  type SparseSolver,
} from '../relay';
import { aBedOf, anAsk, aStrip, evenOutlook } from './relayFixture';

let solver: SparseSolver;
beforeAll(async () => {
  solver = (await highs()) as unknown as SparseSolver;
});
let tick = 0;
const fill = (ask: FillAsk, gap = 0.02, seconds = 3): Filled =>
  fillGaps(ask, solver, { seconds, gap, nowAtMs: () => (tick += 1) });

/** The best of all plans, by trying every number of rows of every candidate that the limits allow. */
function exhaustive(ask: FillAsk): number {
  const classes = ground(ask);
  const list = candidates(ask, classes);
  const p = fillProblem(ask, classes, list);
  const { most, starts, columns, values } = p.problem;
  const rows = new Float64Array(list.length);
  const fits = () => {
    for (let r = 0; r < most.length; r++) {
      let sum = 0;
      let only = true;
      for (let k = starts[r]!; k < starts[r + 1]!; k++) {
        if (columns[k]! >= list.length) only = false;
        else sum += values[k]! * rows[columns[k]!]!;
      }
      if (only && sum > most[r]! + 1e-9) return false;
    }
    return true;
  };
  let best = 0;
  const next = (n: number) => {
    if (n === list.length) {
      best = Math.max(best, planWorth(ask, p, list, rows));
      return;
    }
    for (let x = 0; x <= classes[list[n]!.cls]!.rows.length; x++) {
      rows[n] = x;
      if (!fits()) break;
      next(n + 1);
    }
    rows[n] = 0;
  };
  next(0);
  return best;
}

const small = (more: Partial<FillAsk> = {}) =>
  anAsk([aBedOf('A', { rows: 2 })], ['radish', 'lettuce-leaf'], 21, {
    weeks: 6,
    outlook: () => evenOutlook(21, { overDays: 42 }),
    ...more,
  });

describe('on small farms the best there is', () => {
  const demand = [{ crop: 'radish', from: '2027-02-01', to: '2027-04-30', kgPerWeek: 1 }];
  test.each<[string, Partial<FillAsk>]>([
    ['one bed, nothing asked for', {}],
    ['few hours', { minutesPerWeek: 20 }],
    ['asked for by name', { demand, aim: 'supply' }],
    ['a little of many kinds', { aim: 'variety', sellsKg: 3 }],
    ['asked for whatever it is', { demand: [{ ...demand[0]!, crop: null, kgPerWeek: 4 }] }],
  ])('%s', (_name, more) => {
    const ask = small(more);
    const f = fill(ask, 0, 20);
    expect(f.candidates).toBeGreaterThan(4);
    expect(f.money).toBeCloseTo(exhaustive(ask), 4);
    expect(f.boundMoney).toBeGreaterThanOrEqual(f.money - 1e-6);
  });
});

/** What a plan takes, week by week, counted from its proposals alone. */
function checkPlan(ask: FillAsk, f: Filled) {
  const taken = new Set<string>();
  for (const s of ask.strips)
    for (let row = s.planting.fromRow; row <= s.planting.toRow; row++)
      for (let d = s.startDay; d < s.endDay; d++) taken.add(`${s.planting.bedId} ${row} ${d}`);
  for (const p of f.proposals) {
    expect(p.clearedOn > p.readyOn).toBe(true);
    expect(p.success).toBeGreaterThanOrEqual(1 - ask.risk);
    const bed = ask.beds.find((b) => b.id === p.bedId)!;
    expect(p.toRow).toBeLessThanOrEqual(bed.rows);
    for (let row = p.fromRow; row <= p.toRow; row++)
      for (let d = dayOf(p.plantedOn); d < dayOf(p.clearedOn); d++) {
        const key = `${p.bedId} ${row} ${d}`;
        expect(taken.has(key)).toBe(false);
        taken.add(key);
      }
  }
  if (ask.cells !== null)
    for (let w = 0; w < ask.weeks; w++) {
      const day = isoOf(ask.fromDay + w * WEEK + 3);
      const raised = f.proposals.filter((p) => p.traysOn !== null && p.traysOn <= day && day < p.plantedOn);
      expect(raised.reduce((sum, p) => sum + p.cells, 0)).toBeLessThanOrEqual(ask.cells);
    }
}

test('the shelf and the room outside bound what is raised, and more of either is never worth less', () => {
  const ask = (shelfTrays: number | null, outTrays: number | null) =>
    anAsk([aBedOf('A'), aBedOf('B')], ['lettuce', 'radish'], 45, {
      weeks: 20,
      nursery: { trayCells: 84, trays: null, shelfTrays, outTrays },
    });
  const raisedOf = (f: Filled) => f.proposals.filter((p) => p.traysOn !== null);
  /** Trays in parts on a day, on the shelf until a week before they are planted. */
  const most = (f: Filled, out: boolean) => {
    let worst = 0;
    for (let day = 0; day < 20 * WEEK; day += WEEK) {
      const at = isoOf(ask(null, null).fromDay + day + 3);
      const there = raisedOf(f).filter((p) => {
        const harden = isoOf(dayOf(p.plantedOn) - WEEK);
        return out ? harden <= at && at < p.plantedOn : p.traysOn! <= at && at < harden;
      });
      worst = Math.max(
        worst,
        there.reduce((sum, p) => sum + p.cells / 200, 0),
      );
    }
    return worst;
  };
  const free = fill(ask(null, null), 0.01);
  expect(raisedOf(free).length).toBeGreaterThan(0);
  expect(most(free, false)).toBeGreaterThan(0.5);
  const small = fill(ask(0.5, null), 0.01);
  expect(most(small, false)).toBeLessThanOrEqual(0.5 + 1e-6);
  expect(raisedOf(fill(ask(null, 0), 0.01))).toEqual([]);
  expect(free.money).toBeGreaterThanOrEqual(small.money - 0.02 * free.money);
});

const CROPS = ['radish', 'lettuce', 'spinach', 'turnip', 'pak-choi', 'snapdragon'];

test('on any farm no row is given twice, trays are never over, what stands stays, and a simple rule never does better', () => {
  const one = fc.record({
    rows: fc.integer({ min: 1, max: 4 }),
    beds: fc.integer({ min: 1, max: 3 }),
    ready: fc.integer({ min: 18, max: 45 }),
    cells: fc.option(fc.integer({ min: 0, max: 400 })),
    hours: fc.option(fc.integer({ min: 10, max: 200 })),
    stands: fc.array(
      fc.record({
        bed: fc.nat(2),
        row: fc.integer({ min: 1, max: 4 }),
        from: fc.nat(60),
        days: fc.integer({ min: 8, max: 60 }),
      }),
      { maxLength: 3 },
    ),
    kg: fc.option(fc.integer({ min: 1, max: 20 })),
    aim: fc.constantFrom('value' as const, 'supply' as const, 'variety' as const),
  });
  fc.assert(
    fc.property(one, (o) => {
      const beds = Array.from({ length: o.beds }, (_, n) =>
        aBedOf(`B${n}`, { rows: o.rows, lengthM: n % 2 ? 10 : 14, acrossM: n }),
      );
      const strips = o.stands
        .filter((s) => s.bed < o.beds && s.row <= o.rows)
        .map((s) => {
          const from = dayOf('2027-02-01') + s.from;
          return aStrip(
            beds[s.bed]!,
            'kale',
            [s.row, s.row],
            [isoOf(from), isoOf(from + s.days)],
            evenOutlook(60),
            { planned: false },
          );
        });
      const demand = o.kg ? [{ crop: null, from: '2027-02-01', to: '2027-12-01', kgPerWeek: o.kg }] : [];
      const ask = anAsk(beds, CROPS, o.ready, {
        weeks: 10,
        strips,
        demand,
        cells: o.cells,
        minutesPerWeek: o.hours,
        aim: o.aim,
      });
      const f = fill(ask, 0.05, 2);
      checkPlan(ask, f);
      expect(f.money).toBeGreaterThanOrEqual(f.simpleMoney - 1e-6);
      expect(f.boundMoney).toBeGreaterThanOrEqual(f.money - 1e-6);
    }),
    { numRuns: 12 },
  );
}, 120_000);

test('another bed is never worth less, and what was refused is not proposed there again', () => {
  const beds = [aBedOf('A'), aBedOf('B'), aBedOf('C')];
  const worth = [1, 2, 3].map((n) => fill(anAsk(beds.slice(0, n), CROPS, 25, { sellsKg: 30 })).money);
  expect(worth[1]).toBeGreaterThanOrEqual(worth[0]!);
  expect(worth[2]).toBeGreaterThanOrEqual(worth[1]!);
  const first = fill(anAsk([beds[0]!], CROPS, 25));
  const crop = first.proposals[0]!.crop;
  const again = fill(anAsk([beds[0]!], CROPS, 25, { refused: new Set([`${crop} A`]) }));
  expect(again.proposals.map((p) => p.crop)).not.toContain(crop);
  expect(again.money).toBeLessThanOrEqual(first.money + 1e-6);
});

test('what was accepted stands, and the rest is filled around it', () => {
  const bed = aBedOf('A');
  const ask = anAsk([bed], CROPS, 25);
  const [p] = fill(ask).proposals;
  const accepted = aStrip(
    bed,
    p!.crop,
    [p!.fromRow, p!.toRow],
    [p!.plantedOn, p!.clearedOn],
    evenOutlook(25, { overDays: 46 }),
    { how: p!.how },
  );
  const rest = { ...ask, strips: [accepted] };
  const f = fill(rest);
  checkPlan(rest, f);
  expect(f.proposals.length).toBeGreaterThan(0);
});

test('kin do not go where their kin have left their diseases, and nothing tall under what is low', () => {
  const bed = aBedOf('A', { headroomM: 0.4 });
  const before = aStrip(bed, 'turnip', [1, 4], ['2026-04-01', '2026-06-01'], evenOutlook(40), {
    planned: false,
  });
  const f = fill(anAsk([bed], ['radish', 'pak-choi', 'lettuce', 'tomato'], 25, { strips: [before] }));
  expect([...new Set(f.proposals.map((p) => p.crop))]).toEqual(['lettuce']);
});

test('each proposal says what it fills, what it is worth beside the rest and what else would do', () => {
  const demand = [{ crop: null, from: '2027-03-01', to: '2027-06-30', kgPerWeek: 5 }];
  const ask = anAsk([aBedOf('A')], CROPS, 25, { demand, aim: 'supply' });
  const f = fill(ask);
  for (const p of f.proposals) {
    expect(p.worth).toBeGreaterThan(-1e-6);
    if (p.instead) expect(p.instead.less).toBeGreaterThan(-1e-6);
  }
  expect(f.proposals.some((p) => p.fills.kg > 0)).toBe(true);
  const tight = fill({ ...ask, demand: [] });
  for (const p of tight.proposals) expect(p.fills.kg).toBe(0);
});

test('a first answer is there before the solver, is within every limit, and the rule of the longest waiting is one of its own', () => {
  const ask = anAsk([aBedOf('A'), aBedOf('B')], CROPS, 25, { cells: 120, minutesPerWeek: 90 });
  const classes = ground(ask);
  const list = candidates(ask, classes);
  const p = fillProblem(ask, classes, list);
  const rule = longestWaiting(ask, classes, list, p);
  const quick = greedy(ask, list, p);
  expect(quick.money).toBeGreaterThan(0);
  expect(new Set(list.filter((c) => rule.rows[c.n]! > 0).map((c) => c.what.crop.id)).size).toBeGreaterThan(2);
  const told: number[] = [];
  let first = 0;
  const f = fillGaps(ask, solver, {
    seconds: 20,
    gap: 0.05,
    nowAtMs: () => (tick += 1),
    onFirst: (list_) => (first = list_.length),
    onProgress: ({ money }) => told.push(money),
  });
  expect(first).toBeGreaterThan(0);
  expect(told.length).toBeGreaterThan(0);
  expect(f.money).toBeGreaterThanOrEqual(Math.max(...told) - 1e-6);
});

test('stopped, it gives what it has', () => {
  const ask = anAsk([aBedOf('A'), aBedOf('B')], CROPS, 25);
  const f = fillGaps(ask, solver, { seconds: 20, gap: 0, nowAtMs: () => (tick += 1), stopped: () => true });
  checkPlan(ask, f);
  expect(f.money).toBeGreaterThan(0);
});

test('with nothing that goes, it proposes nothing and says so with zeros', () => {
  const f = fill(anAsk([aBedOf('A')], ['radish'], 300));
  expect(f).toMatchObject({ proposals: [], money: 0, gap: 0, candidates: 0 });
});
