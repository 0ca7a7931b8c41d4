/** Stacks that are run under some of the members: what is drawn out over the others is what running them gives, and nothing that is chosen rests on it. */
import { applyAll, ensemble, type OptionOutcome } from '../src';
import { begin, type Evening, type NightPlan, type Workers } from '../planning';
import { drawnFromOne, drawnOut, someOf } from '../src/night/drawn';
import { aCover } from './fixtures';
import { evening, NOW, workers } from './eveningFixture';

const signal = new AbortController().signal;
const outcome = (minLeafC: number[], more: Partial<OptionOutcome> = {}): OptionOutcome => ({
  key: 'a',
  minLeafC,
  minAtMs: 0,
  coldHours: minLeafC.map(() => 3),
  soilMinC: minLeafC.map(() => 2),
  hottestC: minLeafC.map(() => 9),
  structureMinC: [],
  thawAtMs: minLeafC.map(() => null),
  hoursFrozen: 0,
  leafC: { low: [], mid: [], high: [] },
  layersC: [],
  soilC: [],
  humidity: [],
  ...more,
});

describe('which members are run', () => {
  test('three of many, the cold, the middling and the mild, in their own order; so many of a few as well', () => {
    const lows = Array.from({ length: 30 }, (_, m) => -((m * 7) % 30));
    const ran = someOf(lows)!;
    expect(ran).toEqual([...ran].sort((a, b) => a - b));
    expect(ran.map((m) => lows[m]!).sort((a, b) => b - a)).toEqual([-4, -14, -24]);
    expect(someOf([-1, -2, -3, -4, -5, -6])).toHaveLength(3);
  });

  test('all of so few that hardly any would be left out', () => {
    for (let n = 1; n < 5; n++) expect(someOf(Array.from({ length: n }, (_, m) => m))).toBeNull();
  });
});

describe('drawn out over all', () => {
  const known = outcome([-8, -2, -5, -3, -6]);
  const ran = [0, 2, 3];

  test('what was run stays as it came out; the rest lies on the line through it', () => {
    const few = outcome([-4, -2.5, -1.5]);
    const all = drawnOut(few, ran, [known]);
    expect(all.ranUnder).toBe(3);
    expect([0, 2, 3].map((m) => all.minLeafC[m])).toEqual([-4, -2.5, -1.5]);
    // half a kelvin for each: −8 → −4, −5 → −2.5, −3 → −1.5
    expect(all.minLeafC[1]).toBeCloseTo(-1, 9);
    expect(all.minLeafC[4]).toBeCloseTo(-3, 9);
    expect(few.minLeafC).toHaveLength(3);
  });

  test('hours and soil go as the others went; no night is shorter than none', () => {
    const few = outcome([-4, -2.5, -1.5], { coldHours: [1, 1, 1], soilMinC: [3, 3.5, 2.5] });
    const by = outcome([-8, -2, -5, -3, -6], { coldHours: [4, 1, 4, 4, 9] });
    const all = drawnOut(few, ran, [by]);
    expect(all.coldHours).toEqual([1, 0, 1, 1, 6]);
    expect(all.soilMinC).toEqual([3, 3, 3.5, 2.5, 3]);
  });

  test('of several that are known, by the one that it goes along with', () => {
    const level = outcome([1, 1, 1, 1, 1]);
    const few = outcome([-4, -2.5, -1.5]);
    expect(drawnOut(few, ran, [level, known]).minLeafC).toEqual(drawnOut(few, ran, [known]).minLeafC);
    expect(() => drawnOut(few, ran, [])).toThrow('nothing of the bed is known under all members');
  });
});

/** A cold evening with three kinds of sheet under an ensemble as a forecast has it. */
function bitter(members: number): Evening {
  const e = evening(-3, 3);
  const centre = e.weather.members[0]!;
  const start = Date.parse(centre[0]!.time);
  return {
    ...e,
    data: {
      ...e.data,
      covers: [
        aCover({ id: 'fleece', material: 'fleece-50', count: 3 }),
        aCover({ id: 'blanket', material: 'frost-blanket', count: 2, minutes: 3 }),
      ],
    },
    weather: { ...e.weather, members: ensemble(7, start - 3_600_000, centre, members) },
  };
}

describe('from one member', () => {
  const bare = [-4, -9, -6, -12];
  /** A cover that lets through so much of how far the cold is from four degrees. */
  const under = (share: number) => bare.map((c) => 4 + share * (c - 4));

  test('every stack is found whose covers make no difference at the same temperature', () => {
    for (const share of [0.1, 0.35, 0.9])
      for (const ran of [0, 1, 2, 3]) {
        const one = outcome([under(share)[ran]!]);
        const drawn = drawnFromOne(one, ran, outcome(bare), outcome(under(0.5)));
        drawn.minLeafC.forEach((c, m) => expect(c).toBeCloseTo(under(share)[m]!, 9));
        expect(drawn.ranUnder).toBe(1);
      }
  });

  test('where bare and covered do not tell such a temperature it stays as far from the covered bed as it was', () => {
    const same = drawnFromOne(outcome([-3]), 1, outcome(bare), outcome(bare));
    expect(same.minLeafC).toEqual(bare.map((c) => c + 6));
    // a room is as warm in every member
    const even = drawnFromOne(outcome([5]), 0, outcome([6, 6]), outcome([6, 6]));
    expect(even.minLeafC).toEqual([5, 5]);
  });

  test('the day, the soil and the hours keep the distance that they show', () => {
    const known = outcome(under(0.5), { hottestC: [9, 12, 7, 10], soilMinC: [2, 1, 3, 0] });
    const one = outcome([under(0.3)[1]!], { hottestC: [14], soilMinC: [1.5], coldHours: [1] });
    const drawn = drawnFromOne(one, 1, outcome(bare), known);
    expect(drawn.hottestC).toEqual([11, 14, 9, 12]);
    expect(drawn.soilMinC).toEqual([2.5, 1.5, 3.5, 0.5]);
    expect(drawn.coldHours).toEqual([1, 1, 1, 1]);
  });
});

/** The same work with every member run, as it would be without drawing anything out. */
const wholly: Workers = {
  ...workers,
  evaluate: async (task, under, s) => {
    const { only, ...all } = task;
    const out = await workers.evaluate(all, under, s);
    if (!only) return out;
    return out.map((o) => ({
      ...o,
      minLeafC: only.map((m) => o.minLeafC[m]!),
      coldHours: only.map((m) => o.coldHours[m]!),
      soilMinC: only.map((m) => o.soilMinC[m]!),
      hottestC: only.map((m) => o.hottestC[m]!),
      structureMinC: o.structureMinC.length > 0 ? only.map((m) => o.structureMinC[m]!) : [],
    }));
  },
};

describe('a bitter evening', () => {
  let plan: NightPlan;
  const asked: { key: string; only: readonly number[] | undefined; minLeafC: number[] }[] = [];
  beforeAll(async () => {
    plan = await begin(bitter(16)).run(
      {
        ...workers,
        evaluate: async (task, under, s) => {
          const { only: _only, ...everyone } = task;
          const all = await workers.evaluate(everyone, under, s);
          for (const o of all) asked.push({ key: o.key, only: task.only, minLeafC: o.minLeafC });
          return wholly.evaluate(task, under, s);
        },
      },
      signal,
    );
  }, 120_000);

  const sheets = (o: OptionOutcome) => o.key.split('+').length;
  const notWhole = () => plan.beds.flatMap((b) => b.outcome.options.filter((o) => o.ranUnder !== undefined));

  test('stacks of two are drawn from three of sixteen members, within a fifth of a kelvin', () => {
    const drawn = notWhole().filter((o) => sheets(o) < 3);
    expect(drawn.length).toBeGreaterThan(2);
    expect(drawn.every((o) => o.ranUnder === 3 && o.minLeafC.length === 16)).toBe(true);
    expect(drawn.every((o) => o.key.includes('+'))).toBe(true);
    const off = drawn.flatMap((o) => {
      const run = asked.filter((a) => a.key === o.key && a.only !== undefined);
      // of the two beds and of the airs that were looked at, the one that it was drawn from
      const all = run.find((r) => r.only!.every((m) => Math.abs(r.minLeafC[m]! - o.minLeafC[m]!) < 1e-9))!;
      return o.minLeafC.map((c, m) => c - all.minLeafC[m]!);
    });
    expect(Math.sqrt(off.reduce((s, k) => s + k * k, 0) / off.length)).toBeLessThan(0.2);
  });

  test('three sheets are told from the twos of them: within three tenths of a kelvin, in the mean, of what who asks for them is shown; what may be wanted is run', async () => {
    const threes = plan.beds.flatMap((b) =>
      b.outcome.options.filter((o) => sheets(o) === 3).map((o) => ({ b, o })),
    );
    const told = threes.filter(({ o }) => o.ranUnder === 0);
    const ran = threes.filter(({ o }) => o.ranUnder !== 0);
    expect(told.length).toBeGreaterThan(2);
    // what may be wanted is run, under three of them or, chosen, under all
    expect(ran.length).toBeGreaterThan(0);
    const run = new Set(asked.filter((a) => a.key.split('+').length === 3).map((a) => a.key));
    for (const { o } of ran) expect([...run]).toContain(o.key);
    const off: number[] = [];
    for (const { b, o } of told.slice(0, 4)) {
      expect([o.ranUnder, o.minLeafC.length, o.leafC.mid.length]).toEqual([0, 16, 0]);
      const e = bitter(16);
      const word = { night: e.at.window.night, bedId: b.bed.id, key: o.key, verdict: 'changed' } as const;
      const state = applyAll([{ kind: 'decision', id: 'x', atMs: NOW, ...word }], e.state);
      const { beds } = await begin({ ...e, state }).run(workers, signal);
      const asked = beds.find((x) => x.bed.id === b.bed.id)!;
      expect(asked.chosen).toBe(o.key);
      const run = asked.outcome.options.find((x) => x.key === o.key)!;
      const each = o.minLeafC.map((c, m) => c - run.minLeafC[m]!);
      expect(Math.abs(each.reduce((s, k) => s + k, 0) / each.length)).toBeLessThan(0.3);
      off.push(...each);
    }
    expect(Math.sqrt(off.reduce((s, k) => s + k * k, 0) / off.length)).toBeLessThan(0.5);
  });

  test('what is chosen was run under everyone', () => {
    for (const b of plan.beds) {
      const o = b.outcome.options.find((x) => x.key === b.chosen)!;
      expect(o.ranUnder).toBeUndefined();
      expect(o.minLeafC).toHaveLength(16);
      expect(o.key).not.toBe('bare');
    }
  });
});
