/** Thermometers under cover against the model: what counts, what parts, and what the coming night is reckoned with. */
import { countedK, pairsOf, partedUnder, partedWarnings, type Measured } from '../planning';
import { medianOf } from '../src/night/bands';
import { evening, NOW, planned, style } from './eveningFixture';
import { SITE } from './fixtures';
import { told } from '../words';

const HOUR = 3_600_000;
const NIGHT = Date.parse('2027-01-15T22:00:00Z');
const model = { timesAtMs: [0, 1, 2, 3].map((h) => NIGHT - h * HOUR), structureC: [-1, -0.5, 0, 0.5] };
const shows = (off: number[]): Measured[] =>
  off.map((k, h) => ({ atMs: NIGHT - h * HOUR, airC: model.structureC[h]! + k }));

describe('an hour counts', () => {
  test('when it is one of the last three and the model has it', () => {
    const pairs = pairsOf(shows([0, 1, 2, 3]), model, SITE, NIGHT);
    expect(pairs.map((p) => p.measuredC - p.modelC)).toEqual([0, 1, 2]);
    expect(pairsOf([{ atMs: NIGHT - HOUR / 2, airC: 3 }], model, SITE, NIGHT)).toEqual([]);
  });

  test('only in the dark, and not in the hour after the sun', () => {
    // at 42.7 N, 5.4 W the sun goes down at 17:15 UTC in the middle of January
    const at = (text: string) => Date.parse(`2027-01-15T${text}:00Z`);
    const times = ['16:00', '17:00', '18:00', '19:00'].map(at);
    const lit = { timesAtMs: times, structureC: [9, 6, 3, 1] };
    const measured = times.map((atMs) => ({ atMs, airC: 0 }));
    const pairs = pairsOf(measured, lit, SITE, at('19:00'));
    expect(pairs.map((p) => p.atMs)).toEqual([at('19:00')]);
  });
});

describe('a thermometer has parted from the model', () => {
  const off = (ks: number[], doubtK = 0.5) => partedUnder(pairsOf(shows(ks), model, SITE, NIGHT), doubtK);

  test('when two hours of three say so, the same way, beyond what the model is unsure of', () => {
    expect(off([-3, -2.5, 0])).toEqual({ offK: -2.75, hours: 2 });
    expect(off([-3, 0, 0])).toBeNull();
    expect(off([-3, 3, 0])).toBeNull();
    expect(off([-3, -2.5, -2], 2)).toBeNull();
    expect(off([-1.4, -1.4, -1.4])).toBeNull();
    // taken indoors, or in other degrees
    expect(off([25, 26, 27])).toBeNull();
  });

  test('colder counts whole, milder is told and not counted', () => {
    expect(countedK(off([-3, -2.5, 0]))).toBe(-2.75);
    expect(countedK(off([3, 2.5, 2]))).toBe(0);
    expect(countedK(null)).toBe(0);
  });
});

describe('the night that comes', () => {
  /** At ten in the evening; the house shows so much beside what its model has. */
  const night = async (k: number) => {
    const e = evening(1, 2, [], { nowAtMs: NIGHT });
    const as = await planned(e);
    const { past } = as.beds[0]!.outcome;
    const measured = [0, 1, 2].map((h): Measured => {
      const atMs = NIGHT - h * HOUR;
      return { atMs, airC: past.structureC[past.timesAtMs.indexOf(atMs)]! + k };
    });
    const structureId = as.beds[0]!.structure.id;
    return { as, then: await planned({ ...e, measured: new Map([[structureId, measured]]) }) };
  };
  const leafC = (plan: Awaited<ReturnType<typeof planned>>, option: string) =>
    medianOf(plan.beds[1]!.outcome.options.find((o) => o.key === option)!.minLeafC);

  test('is reckoned as much colder under a roof whose thermometer is, under every cover, and says so', async () => {
    const { as, then } = await night(-3);
    for (const option of ['as-is', 'bare', 'fleece'])
      expect(leafC(then, option) - leafC(as, option)).toBeCloseTo(-3, 6);
    expect(then.beds[1]!.loss['bare']!).toBeGreaterThan(as.beds[1]!.loss['bare']!);
    // what the days before have done is what it was
    expect(then.beds[1]!.outcome.past).toEqual(as.beds[1]!.outcome.past);
    const [warned] = told(partedWarnings(then), style);
    expect(warned).toMatchObject({ kind: 'parted', urgent: true });
    expect(warned!.title).toMatch(/: 3\.0\S* (?:°C )?colder than it should be/);
    expect(warned!.text).toContain('Look for a door');
  });

  test('stays as it is where they agree, and where it is milder', async () => {
    for (const k of [0.5, 4]) {
      const { as, then } = await night(k);
      expect(leafC(then, 'bare')).toBe(leafC(as, 'bare'));
      expect(partedWarnings(then).map((w) => w.urgent)).toEqual(k > 1 ? [false] : []);
    }
  });

  test('of three in the afternoon no thermometer says anything: the sun is on it', async () => {
    const e = evening(1, 2);
    const measured = [0, 1, 2].map((h) => ({ atMs: NOW - h * HOUR, airC: -10 }));
    const plan = await planned({ ...e, measured: new Map([[e.data.structures[0]!.id, measured]]) });
    expect([...plan.spots]).toEqual([]);
    expect(partedWarnings(plan)).toEqual([]);
  });
});
