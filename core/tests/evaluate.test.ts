/** One roof and one bed, one night: the units of work that the threads take. */
import {
  bedSpec,
  coldNights,
  ensemble,
  BOOK_BELIEF,
  evaluateBed,
  evaluateHouse,
  expectedLoss,
  harmChance,
  joinOutcomes,
  latestCoverAtMs,
  liftableAtMs,
  lostAtDark,
  looksAtLifting,
  splitTask,
  type BedTask,
  type HouseTask,
  type Belief,
  type Cover,
  type PlantingAtRisk,
  type WeatherEntry,
} from '../src';
import { trueHours } from '../standins';
import { aBed, aCover, aStructure, SITE } from './fixtures';

const HOUR = 3_600_000;
const NOW = Date.parse('2027-01-14T15:00:00Z');
const episode = {
  fromAtMs: NOW - 48 * HOUR,
  toAtMs: NOW + 48 * HOUR,
  meanC: -1,
  cloud: 0.05,
  windMs: 1,
  drynessK: 5,
};
const world = { seed: 5, site: SITE, episodes: [episode] };
const structure = aStructure();
const bed = aBed();
const fleece = aCover();
const spec = (covers: Cover[], fromAtMs?: number) =>
  bedSpec(structure, bed, [], covers, {
    deepC: 5,
    ...(fromAtMs === undefined
      ? {}
      : {
          timing: covers.map(() => ({
            on: [{ from: new Date(fromAtMs).toISOString(), to: '2030-01-01T00:00:00Z' }],
          })),
        }),
  });
const members = (count: number) => ensemble(5, NOW - 3 * HOUR, trueHours(world, NOW, NOW + 22 * HOUR), count);
const roof = (count = 12, more: Partial<HouseTask> = {}): HouseTask => ({
  site: SITE,
  history: trueHours(world, NOW - 72 * HOUR, NOW),
  members: members(count),
  key: 'bare',
  beds: [{ id: 'b', historySpec: spec([]), spec: spec([]), structureLayer: 0, placeK: 0 }],
  countFromAtMs: NOW,
  ...more,
});
const task = (count = 12, more: Partial<HouseTask> = {}): BedTask => {
  const house = evaluateHouse(roof(count, more));
  return {
    site: SITE,
    members: members(count),
    initial: house.beds[0]!.initial,
    given: house.shared,
    options: [
      { key: 'bare', spec: spec([]), structureLayer: 0 },
      { key: 'a', spec: spec([fleece]), structureLayer: 0 },
      { key: 'a+a', spec: spec([fleece, fleece]), structureLayer: 0 },
    ],
    countFromAtMs: NOW,
    ...(more.belief ? { belief: more.belief } : {}),
  };
};

test('each further sheet leaves every member’s leaf warmer', () => {
  const options = evaluateBed(task());
  const [bare, one, two] = options.map((o) => o.minLeafC);
  bare!.forEach((c, m) => {
    expect(one![m]!).toBeGreaterThan(c);
    expect(two![m]!).toBeGreaterThan(one![m]!);
  });
});

test('the same work gives the same answer, and tells how far it is', () => {
  const done: number[] = [];
  const first = evaluateBed(task(6), (n) => done.push(n));
  expect(done).toEqual([1, 2, 3]);
  expect(evaluateBed(task(6))).toEqual(first);
});

test('bands hold their middle, and the past ends where the night begins', () => {
  const out = evaluateHouse(roof());
  const [bed] = out.beds;
  expect(bed!.past.timesAtMs.at(-1)).toBe(out.timesAtMs[0]);
  for (const leafC of [bed!.outcome.leafC, ...evaluateBed(task()).map((o) => o.leafC)]) {
    leafC.mid.forEach((mid, i) => {
      expect(leafC.low[i]!).toBeLessThanOrEqual(mid);
      expect(leafC.high[i]!).toBeGreaterThanOrEqual(mid);
    });
  }
  expect(out.outsideC.mid).toHaveLength(out.timesAtMs.length);
  expect(evaluateBed(task())[1]!.layersC).toHaveLength(2);
});

test('two beds alike are run as one and told as two; the bed alone comes out as in its house', () => {
  const bedOf = (id: string, covers: Cover[]) => ({
    id,
    historySpec: spec([]),
    spec: spec(covers),
    structureLayer: 0,
    placeK: id === 'd' ? -0.8 : 0,
  });
  const out = evaluateHouse(roof(4, { beds: [bedOf('b', []), bedOf('c', [fleece]), bedOf('d', [])] }));
  expect(out.beds.map((b) => b.id)).toEqual(['b', 'c', 'd']);
  out.beds[0]!.outcome.minLeafC.forEach((c, m) =>
    expect(out.beds[2]!.outcome.minLeafC[m]!).toBeCloseTo(c - 0.8, 9),
  );
  const [alone] = evaluateBed({
    site: SITE,
    members: members(4),
    initial: out.beds[1]!.initial,
    given: out.shared,
    options: [{ key: 'a', spec: spec([fleece]), structureLayer: 0 }],
    countFromAtMs: NOW,
  });
  alone!.minLeafC.forEach((c, m) => expect(c).toBeCloseTo(out.beds[1]!.outcome.minLeafC[m]!, 1));
});

test('weather that differs in its middle only is other weather', () => {
  const colder = members(3).map((m) =>
    m.map((e, i) => (i > 6 && i < 12 ? { ...e, airC: e.airC - 5, dewPointC: e.dewPointC - 5 } : e)),
  );
  const plain = evaluateHouse(roof(3)).beds[0]!.outcome.minLeafC;
  const cold = evaluateHouse(roof(3, { members: colder })).beds[0]!.outcome.minLeafC;
  cold.forEach((c, m) => expect(c).toBeLessThan(plain[m]! - 0.5));
  const history = roof(3).history.map((e, i) => (i > 20 && i < 60 ? { ...e, airC: e.airC + 8 } : e));
  const after = evaluateHouse(roof(3, { history })).beds[0]!.outcome.minLeafC;
  after.forEach((c, m) => expect(c).toBeGreaterThan(plain[m]! + 0.05));
});

test('a cover may wait until it would cost more than 0.3 K, and never gains by waiting', () => {
  const work = task(2);
  const at = (h: number) => ({ fromAtMs: NOW + h * HOUR, spec: spec([fleece], NOW + h * HOUR) });
  const early = latestCoverAtMs(work, [at(0), at(1), at(2), at(9)]);
  expect(early.dueAtMs).toBeLessThan(NOW + 9 * HOUR);
  expect(lostAtDark(early)).toBeGreaterThan(0);
  expect(latestCoverAtMs(work, [at(0)])).toEqual({ dueAtMs: NOW, later: [] });
});

test('what being late costs is said step by step, each later and worse than the one before', () => {
  const hours = [0, 2, 4, 6, 8, 10, 12];
  const due = latestCoverAtMs(
    task(2),
    hours.map((h) => ({ fromAtMs: NOW + h * HOUR, spec: spec([fleece], NOW + h * HOUR) })),
  );
  expect(due.later.length).toBeGreaterThan(1);
  due.later.reduce(
    (last, l) => {
      expect(l.atMs).toBeGreaterThan(last.atMs);
      expect(l.lostK).toBeGreaterThan(last.lostK);
      return l;
    },
    { atMs: due.dueAtMs, lostK: 0 },
  );
});

test('loss and chance of harm fall as covers are added', () => {
  const options = evaluateBed(task());
  const risk: PlantingAtRisk = {
    planting: {
      id: 'p',
      bedId: 'b',
      crop: 'lettuce',
      cultivar: '',
      fromRow: 1,
      toRow: 4,
      lengthM: 18,
      plantedOn: '2026-10-01',
      clearedOn: null,
      aim: 'survive',
      note: '',
    },
    thresholds: { damageC: -4, deathC: -7, flowerC: null, rootC: null, chillingC: null, harmC: -4 },
    value: 500,
  };
  const loss = options.map((o) => expectedLoss(risk, coldNights(o)));
  const harm = options.map((o) => harmChance(risk, coldNights(o)));
  expect(loss[0]!).toBeGreaterThan(loss[1]!);
  expect(loss[1]!).toBeGreaterThan(loss[2]!);
  expect(harm[0]!).toBeGreaterThan(0.5);
  expect(harm[0]!).toBeGreaterThan(harm[1]!);
  expect(harm[1]!).toBeGreaterThan(harm[2]!);
  // ten hours within a kelvin of the lowest harm sooner than the two that a threshold is given for
  const short = coldNights(options[2]!).map((n) => ({ ...n, hours: 2 }));
  expect(coldNights(options[2]!)[0]!.hours!).toBeGreaterThan(4);
  expect(harmChance(risk, short)).toBeLessThan(0.2);
  expect(harmChance(risk, short)).toBeLessThan(harm[2]!);
});

test('cut over threads and joined again, the answer is that of the whole', () => {
  const whole = {
    ...task(4),
    options: ['a', 'b', 'c', 'd', 'e', 'f', 'g'].map((key) => ({ ...task(4).options[0]!, key })),
  };
  const parts = splitTask(whole, 2);
  expect(parts.map((p) => p.options.map((o) => o.key).join(''))).toEqual(['aceg', 'bdf']);
  expect(
    joinOutcomes(
      whole,
      parts.map((p) => evaluateBed(p)),
    ),
  ).toEqual(evaluateBed(whole));
  // too little to cut stays whole
  expect(splitTask({ ...whole, options: whole.options.slice(0, 3) }, 4)).toHaveLength(1);
});

test('the doubt about a place widens its band, and a bed by the door is as much colder as its zone says', () => {
  const sure = { ...BOOK_BELIEF, covariance: BOOK_BELIEF.covariance.map(() => 0) };
  const width = (belief: Belief) => {
    const { leafC } = evaluateBed(task(12, { belief }))[0]!;
    return leafC.high.reduce((s, h, i) => s + h - leafC.low[i]!, 0) / leafC.high.length;
  };
  expect(width(BOOK_BELIEF)).toBeGreaterThan(width(sure) + 0.15);
  const centre = evaluateBed(task(6, { belief: sure }))[0]!;
  const door = evaluateBed({ ...task(6, { belief: sure }), placeK: -0.8 })[0]!;
  door.minLeafC.forEach((c, m) => expect(c).toBeCloseTo(centre.minLeafC[m]! - 0.8, 6));
  // the thermometer hangs in the centre
  expect(door.structureMinC).toEqual(centre.structureMinC);
});

test('where a thermometer hangs changes what it shows and no leaf', () => {
  const sure = { ...BOOK_BELIEF, covariance: BOOK_BELIEF.covariance.map(() => 0) };
  const colder = { ...sure, mean: { ...sure.mean, zoneOffsetC: sure.mean.zoneOffsetC - 1.5 } };
  const plain = evaluateBed(task(4, { belief: sure }))[1]!;
  const hung = evaluateBed(task(4, { belief: colder }))[1]!;
  expect(hung.minLeafC).toEqual(plain.minLeafC);
  hung.structureMinC.forEach((c, m) => expect(c).toBeCloseTo(plain.structureMinC[m]! - 1.5, 6));
});

test('every layer has a band of its own at every hour, and none while it is off', () => {
  const late = NOW + 4 * HOUR;
  const [option] = evaluateBed({
    ...task(6),
    options: [{ key: 'x', spec: spec([fleece], late), structureLayer: 0 }],
  });
  const [house, inner] = option!.layersC;
  house!.mid.forEach((c, i) => {
    expect(house!.low[i]!).toBeLessThanOrEqual(c);
    expect(house!.high[i]!).toBeGreaterThanOrEqual(c);
  });
  expect(Number.isNaN(inner!.mid[0]!)).toBe(true);
  expect(Number.isFinite(inner!.mid.at(-1)!)).toBe(true);
});

describe('lifting in the morning', () => {
  const planting: PlantingAtRisk = {
    planting: {
      id: 'p',
      bedId: 'b',
      crop: 'potato',
      cultivar: '',
      fromRow: 1,
      toRow: 4,
      lengthM: 18,
      plantedOn: '2026-12-20',
      clearedOn: null,
      aim: 'grow',
      note: '',
    },
    thresholds: { damageC: -0.5, deathC: -2.5, flowerC: null, rootC: null, chillingC: null, harmC: -0.5 },
    value: 500,
  };
  const iso = (ms: number) => new Date(ms).toISOString();
  /** Lifted at two, five and eight hours from now, under air that stays where it is or warms to 8 °C. */
  const looks = (warms: boolean) => {
    const still = (e: WeatherEntry, i: number): WeatherEntry => {
      const airC = warms ? Math.min(8, -10 + 2 * i) : -6;
      return { ...e, airC, dewPointC: airC - 2, cloudFraction: 1, globalWm2: 0 };
    };
    const days = members(4).map((m) => m.map(still));
    const under = (toAtMs?: number) =>
      bedSpec(structure, bed, [], [aCover({ material: 'frost-blanket', plies: 2 })], {
        deepC: 7,
        ...(toAtMs === undefined
          ? {}
          : { timing: [{ on: [{ from: '2026-01-01T00:00:00Z', to: iso(toAtMs) }] }] }),
      });
    const house = evaluateHouse(
      roof(4, {
        members: days,
        beds: [{ id: 'b', historySpec: under(), spec: under(), structureLayer: 0, placeK: 0 }],
      }),
    );
    return looksAtLifting({
      task: { site: SITE, members: days, initial: house.beds[0]!.initial, given: house.shared },
      lifted: [2, 5, 8].map((h) => ({ atMs: NOW + h * HOUR, spec: under(NOW + h * HOUR) })),
      left: under(),
    });
  };

  test('what would freeze without its cover keeps it, on a day that does not warm', () => {
    const cold = looks(false);
    expect(cold[0]!.off[0]!.leafMinC).toBeLessThan(cold[0]!.on[0]!.leafMinC - 1);
    expect(liftableAtMs([planting], cold)).toBeNull();
    // what bears it may be uncovered all the same
    const hardy = {
      ...planting,
      thresholds: { damageC: -12, deathC: -20, flowerC: null, rootC: null, chillingC: null, harmC: -12 },
    };
    expect(liftableAtMs([hardy], cold)).toBe(NOW + 2 * HOUR);
    expect(liftableAtMs([hardy, planting], cold)).toBeNull();
  });

  test('on a day that warms it comes off when the air bears it, and not before', () => {
    const at = liftableAtMs([planting], looks(true));
    expect(at).not.toBeNull();
    expect(at).toBeGreaterThan(NOW + 2 * HOUR);
  });
});
