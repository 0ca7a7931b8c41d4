/** One bed, one night: the unit of work that the threads take. */
import {
  bedSpec,
  ensemble,
  evaluateBed,
  expectedLoss,
  harmChance,
  latestCoverMs,
  trueHours,
  type BedTask,
  type Cover,
  type PlantingAtRisk,
} from '../src';
import { aBed, aCover, aStructure, SITE } from './fixtures';

const HOUR = 3_600_000;
const NOW = Date.parse('2027-01-14T15:00:00Z');
const episode = {
  fromMs: NOW - 48 * HOUR,
  toMs: NOW + 48 * HOUR,
  meanC: -1,
  cloud: 0.05,
  windMs: 1,
  drynessK: 5,
};
const world = { seed: 5, site: SITE, episodes: [episode] };
const structure = aStructure();
const bed = aBed();
const fleece = aCover();
const spec = (covers: Cover[], fromMs?: number) =>
  bedSpec(structure, bed, [], covers, {
    deepC: 5,
    ...(fromMs === undefined
      ? {}
      : { timing: { a: { on: [{ from: new Date(fromMs).toISOString(), to: '2030-01-01T00:00:00Z' }] } } }),
  });
const members = (count: number) => ensemble(5, NOW - 3 * HOUR, trueHours(world, NOW, NOW + 22 * HOUR), count);
const task = (count = 12): BedTask => ({
  site: SITE,
  history: trueHours(world, NOW - 72 * HOUR, NOW),
  historySpec: spec([]),
  members: members(count),
  options: [
    { key: 'bare', spec: spec([]), structureLayer: 0 },
    { key: 'a', spec: spec([fleece]), structureLayer: 0 },
    { key: 'a+a', spec: spec([fleece, fleece]), structureLayer: 0 },
  ],
  countFromMs: NOW,
});

test('each further sheet leaves every member’s leaf warmer', () => {
  const { options } = evaluateBed(task());
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
  const out = evaluateBed(task());
  expect(out.past.timesMs.at(-1)).toBe(out.timesMs[0]);
  for (const { leafC } of out.options) {
    leafC.mid.forEach((mid, i) => {
      expect(leafC.low[i]!).toBeLessThanOrEqual(mid);
      expect(leafC.high[i]!).toBeGreaterThanOrEqual(mid);
    });
  }
  expect(out.outsideC.mid).toHaveLength(out.timesMs.length);
  expect(out.options[1]!.layersC).toHaveLength(2);
});

test('a cover may wait until it would cost more than 0.3 K, and never gains by waiting', () => {
  const work = task(2);
  const { initial } = evaluateBed(work);
  const at = (h: number) => ({ fromMs: NOW + h * HOUR, spec: spec([fleece], NOW + h * HOUR) });
  const early = latestCoverMs(work, initial, [at(0), at(1), at(2), at(9)]);
  expect(early.dueMs).toBeLessThan(NOW + 9 * HOUR);
  expect(early.lostK).toBeGreaterThan(0);
  expect(latestCoverMs(work, initial, [at(0)])).toEqual({ dueMs: NOW, lostK: 0 });
});

test('loss and chance of harm fall as covers are added', () => {
  const { options } = evaluateBed(task());
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
    thresholds: { damageC: -3.5, deathC: -7, flowerC: null, harmC: -3.5 },
    value: 500,
  };
  const loss = options.map((o) => expectedLoss(risk, o.minLeafC));
  const harm = options.map((o) => harmChance(risk, o.minLeafC));
  expect(loss[0]!).toBeGreaterThan(loss[1]!);
  expect(loss[1]!).toBeGreaterThan(loss[2]!);
  expect(harm[0]!).toBeGreaterThan(0.5);
  expect(harm[2]!).toBeLessThan(0.2);
});
