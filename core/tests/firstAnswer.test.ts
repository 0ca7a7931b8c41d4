/** What is answered soon, and what is not worked out twice: a first look, and the air that options were priced in. */
import {
  begin,
  FIRST_LOOK,
  jobsOf,
  type Evening,
  type KeptAir,
  type NightPlan,
  type Workers,
} from '../planning';
import { BOOK_BELIEF, evaluateNew } from '../src';
import { apartK } from '../src/night/airs';
import { evening, NOW, planned, style, workers, type EveningShape } from './eveningFixture';
import { told } from '../words';

const sheetsOf = (p: NightPlan) =>
  p.beds.map((b) => b.options.find((o) => o.key === b.chosen)!.covers.length);
const chosen = (p: NightPlan) => new Map(p.beds.map((b) => [b.bed.id, b.chosen]));
const signal = new AbortController().signal;

/** As the server's pool: equal work is done once. `fresh` lists what was not, by the crop that stands there. */
function remembering() {
  const held = new Map<string, ReturnType<Workers['evaluate']>>();
  const fresh: number[] = [];
  /** Where the beds begin of which anything was asked, held or not. */
  const asked: object[] = [];
  const pool: Workers = {
    ...workers,
    evaluate: (task, under, s) => {
      const { given: _given, initial, ...own } = task;
      asked.push(initial);
      const key = under + JSON.stringify(own);
      if (!held.has(key)) {
        fresh.push(task.options.length * task.members.length);
        held.set(key, workers.evaluate(task, under, s));
      }
      return held.get(key)!;
    },
  };
  return { pool, fresh, asked };
}

describe('a first look', () => {
  test('comes before the whole, with one sheet at most, and changes nothing of what follows', async () => {
    const seen: { first: NightPlan; chosen: string[]; ready: boolean }[] = [];
    let ready = false;
    const e = evening(1, 6);
    const whole = await begin(e).run(workers, signal, new Map(), {
      onFirst: (first) => seen.push({ first, chosen: first.beds.map((b) => b.chosen), ready }),
    });
    ready = true;
    expect(seen).toHaveLength(1);
    const { first } = seen[0]!;
    expect(Math.max(...sheetsOf(first))).toBe(1);
    expect(Math.max(...sheetsOf(whole))).toBe(3);
    // what was said first still says it when the whole is there
    expect(first.beds.map((b) => b.chosen)).toEqual(seen[0]!.chosen);
    for (const b of first.beds)
      for (const o of b.outcome.options) if (o.key !== 'as-is') expect(o.minLeafC).toHaveLength(FIRST_LOOK);
    const without = await planned(evening(1, 6));
    expect(chosen(whole)).toEqual(chosen(without));
    for (const [n, b] of whole.beds.entries())
      expect(b.loss[b.chosen]!).toBeCloseTo(without.beds[n]!.loss[b.chosen]!, 9);
    // jobs can be read off it
    expect(told(jobsOf(first), style).some((j) => j.kind === 'cover' && j.dueAtMs >= NOW)).toBe(true);
  });

  test('takes nothing off that lies there, and adds one sheet at most', async () => {
    const lay = (n: number) => ({
      kind: 'cover',
      id: `lay ${n}`,
      atMs: NOW - 3_600_000 + n,
      bedId: 'hardy',
      coverId: 'fleece',
      on: true,
    });
    for (const [meanC, lies] of [
      [12, 1],
      [1, 1],
      [12, 2],
    ] as const) {
      const acts = Array.from({ length: lies }, (_, n) => lay(n));
      let first: NightPlan | null = null;
      await begin(evening(meanC, 6, acts)).run(workers, signal, new Map(), { onFirst: (p) => (first = p) });
      const [hardy, tender] = sheetsOf(first!);
      expect(hardy).toBeGreaterThanOrEqual(lies);
      expect(hardy).toBeLessThanOrEqual(lies + 1);
      expect(tender).toBeLessThanOrEqual(1);
    }
  });

  test('is not given where the last answer of the night still stands', async () => {
    const before = chosen(await planned(evening(1, 2)));
    let firsts = 0;
    await begin(evening(1, 2)).run(workers, signal, before, { onFirst: () => (firsts += 1) });
    expect(firsts).toBe(0);
  });
});

test('of a bed only what is not held is run; what was abandoned is run anew for the next who asks', async () => {
  const held = new Map<string, Promise<unknown>>();
  const ran: string[][] = [];
  let fails = true;
  const ask = (...keys: string[]) =>
    evaluateNew(
      { options: keys.map((key) => ({ key })) } as never,
      (o) => `bed ${o.key}`,
      held,
      (task) => {
        ran.push(task.options.map((o) => o.key));
        return fails
          ? Promise.reject(new Error('abandoned'))
          : Promise.resolve(task.options.map((o) => ({ key: o.key }) as never));
      },
    );
  await expect(ask('a', 'b')).rejects.toThrow('abandoned');
  fails = false;
  expect((await ask('a')).map((o) => o.key)).toEqual(['a']);
  expect((await ask('b', 'a', 'c')).map((o) => o.key)).toEqual(['b', 'a', 'c']);
  expect(ran).toEqual([['a', 'b'], ['a'], ['b', 'c']]);
});

describe('the air that options were priced in', () => {
  // within one hour: what counts from the next full hour on is then the same
  const early: EveningShape = { nowAtMs: NOW + 600_000 };
  const later: EveningShape = { nowAtMs: NOW + 1_200_000 };
  const lay = (bedId: string) => ({
    kind: 'cover',
    id: `lay ${bedId}`,
    atMs: NOW + 900_000,
    bedId,
    coverId: 'fleece',
    on: true,
  });
  const first = async (lies: object[] = []) => {
    const { pool, fresh, asked } = remembering();
    const airs = new Map<string, KeptAir>();
    const plan = await begin({ ...evening(1, 1, lies as never, early), airs }).run(pool, signal);
    expect(plan.beds.map((b) => b.chosen)).toEqual(['bare', 'fleece']);
    const again = async (acts: object[], change = (e: Evening) => e) => {
      const [done, known] = [fresh.length, asked.length];
      const e = change(evening(1, 1, [...lies, ...acts] as never, later));
      const next = await begin({ ...e, airs }).run(pool, signal, chosen(plan));
      const beds = new Set(asked.slice(known).map((start) => JSON.stringify(start))).size;
      return { next, work: fresh.slice(done).reduce((s, n) => s + n, 0), beds };
    };
    return { plan, again, all: fresh.reduce((s, n) => s + n, 0) };
  };

  test('a sheet that goes on as planned has only its own bed looked at again, and the plan stands', async () => {
    const { plan, again, all } = await first();
    const { next, work } = await again([lay('tender')]);
    expect(chosen(next)).toEqual(chosen(plan));
    expect(work).toBeGreaterThan(0);
    expect(work).toBeLessThan(0.6 * all);
    // and what is said of it is what a plan made from nothing says
    const afresh = await planned(evening(1, 1, [lay('tender')] as never, later));
    for (const [n, b] of next.beds.entries()) {
      expect(b.loss[b.chosen]!).toBeCloseTo(afresh.beds[n]!.loss[b.chosen]!, 6);
      expect(afresh.beds[n]!.chosen).toBe(b.chosen);
    }
  });

  test('a bed that nothing has changed for is not asked about again, and what it could bear costs what it did', async () => {
    const { plan, again } = await first();
    const { next, beds } = await again([lay('tender')]);
    expect(beds).toBe(1);
    const [was, is] = [plan.beds[0]!, next.beds[0]!];
    // what is chosen is priced in the house as it will be
    const others = was.options.filter((o) => o.key !== was.chosen);
    expect(others.length).toBeGreaterThan(0);
    for (const { key } of others) expect(is.loss[key]).toBe(was.loss[key]);
  });

  test('what lies on it lies there still: that is no work, and lifting it is', async () => {
    const { plan, again } = await first([{ ...lay('tender'), atMs: NOW - 3_600_000 }]);
    const { next, beds } = await again([]);
    expect(beds).toBe(0);
    expect(chosen(next)).toEqual(chosen(plan));
    const { on, minutes } = next.beds[1]!;
    expect(on.map((c) => c.id)).toEqual(['fleece']);
    expect(minutes['fleece']).toBe(0);
    expect(minutes['bare']).toBeGreaterThan(0);
  });

  test.each<[string, (e: Evening) => Evening]>([
    ['another sheet', (e) => ({ ...e, data: { ...e.data, covers: [{ ...e.data.covers[0]!, count: 2 }] } })],
    ['what is believed of the house', (e) => ({ ...e, beliefs: new Map([['s', { ...BOOK_BELIEF }]]) })],
    [
      'twice as much in it',
      (e) => ({ ...e, data: { ...e.data, plantings: e.data.plantings.map((p) => ({ ...p, lengthM: 36 })) } }),
    ],
  ])('%s, and it is looked at again: it costs what a plan made from nothing says', async (_, change) => {
    const { again } = await first();
    const { next, beds } = await again([lay('tender')], change);
    expect(beds).toBe(2);
    const afresh = await begin(change(evening(1, 1, [lay('tender')] as never, later))).run(workers, signal);
    for (const [n, b] of afresh.beds.entries())
      expect(next.beds[n]!.loss[b.chosen]!).toBeCloseTo(b.loss[b.chosen]!, 6);
  });

  test('where the house was opened its beds start from somewhere else: all of them are looked at again', async () => {
    const { again } = await first();
    const asPlanned = (await again([lay('tender')])).work;
    const open = { kind: 'vent', id: 'v', atMs: NOW - 7_200_000, structureId: 's', fraction: 0.5 };
    expect((await again([open])).work).toBeGreaterThan(asPlanned);
  });

  test('airs of other hours are never one, and equal ones part by nothing', () => {
    const row = (c: number) => ({
      layers: 1,
      sheets: 0,
      stride: 1,
      snowLayer: new Int16Array(4),
      rows: Float64Array.of(0, c, c, 0),
    });
    const run = (c: number, timesAtMs = [0, 3_600_000]) => ({ timesAtMs, shared: [row(c)] });
    expect(apartK(run(5), run(5), 0)).toBe(0);
    expect(apartK(run(5), run(5.2), 0)).toBeCloseTo(0.2, 9);
    expect(apartK(run(5), run(5.2), 3_600_001)).toBe(0);
    expect(apartK(run(5), run(5, [0, 7_200_000]), 0)).toBe(Infinity);
    expect(apartK(run(5), { timesAtMs: [0, 3_600_000], shared: [] }, 0)).toBe(Infinity);
  });
});
