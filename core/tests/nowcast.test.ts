/** The last hours against what was said of them, and the coming ones moved by it. */
import type { WeatherEntry } from '../src';
import { ensemble, errorAt } from '../src/weather/spread';
import { fading, movedCentre, partedBy } from '../src/weather/nowcast';
import type { Issue } from '../src/weather/record';

const HOUR = 3_600_000;
const NOW = Date.parse('2027-01-14T15:30:00Z');
const hour = (h: number, airC: number): WeatherEntry => ({
  time: new Date(Date.parse('2027-01-14T15:00:00Z') + h * HOUR).toISOString(),
  airC,
  dewPointC: airC - 3,
  windMs: 1,
  cloudFraction: 0.1,
});
const issue = (more: Partial<Issue> = {}): Issue => ({
  id: 'i',
  name: 'service',
  source: 'poll',
  issuedAtMs: NOW - 8 * HOUR,
  entries: Array.from({ length: 30 }, (_, i) => hour(i - 8, 2)),
  doubt: 1,
  ...more,
});

test('what was measured in three hours is set against what was said; the newest counts double', () => {
  const seen = [hour(-2, 1), hour(-1, 1), hour(0, 0)];
  // (−1 −1 −2 −2) / 4
  expect(partedBy(issue(), seen, NOW)).toEqual({ offK: -1.5, hours: 3 });
});

test('too little, nothing worth a word, or a thermometer in the sun moves nothing', () => {
  expect(partedBy(issue(), [hour(0, 0)], NOW)).toBeNull();
  expect(partedBy(issue(), [hour(-1, 2.1), hour(0, 2.2)], NOW)).toBeNull();
  expect(partedBy(issue(), [hour(-1, 11), hour(0, 12)], NOW)).toBeNull();
  // hours long ago, and hours that the issue knew when it was made
  expect(partedBy(issue(), [hour(-6, 0), hour(-5, 0)], NOW)).toBeNull();
  expect(partedBy(issue({ issuedAtMs: NOW }), [hour(-1, 0), hour(0, 0)], NOW)).toBeNull();
});

test('in full now, a third after six hours, hardly anything in a day; the dew point never over the air', () => {
  expect(fading(NOW - HOUR, NOW)).toBe(1);
  expect(fading(NOW + 6 * HOUR, NOW)).toBeCloseTo(0.368, 3);
  expect(fading(NOW + 24 * HOUR, NOW)).toBeLessThan(0.02);
  const centre = Array.from({ length: 26 }, (_, h) => hour(h + 0.5, 2));
  const moved = movedCentre(centre, { offK: -2, hours: 3 }, NOW);
  expect(moved[0]!.airC).toBeCloseTo(0, 6);
  expect(moved[6]!.airC).toBeCloseTo(2 - 2 * 0.3679, 3);
  expect(moved.every((e) => e.dewPointC < e.airC)).toBe(true);
  for (let i = 1; i < moved.length; i++) expect(moved[i]!.airC).toBeGreaterThan(moved[i - 1]!.airC);
});

test('members agree where the air is measured, and part again as that fades', () => {
  const centre = Array.from({ length: 25 }, (_, h) => hour(h + 0.5, 2));
  const issued = NOW - 8 * HOUR;
  const spreadAt = (known: number | null, h: number) => {
    const airs = ensemble(7, issued, centre, 30, 1, known).map((m) => m[h]!.airC);
    const mean = airs.reduce((a, b) => a + b, 0) / airs.length;
    return Math.sqrt(airs.reduce((s, a) => s + (a - mean) ** 2, 0) / airs.length);
  };
  expect(spreadAt(NOW, 0)).toBeCloseTo(0, 6);
  expect(spreadAt(NOW, 2)).toBeLessThan(spreadAt(null, 2));
  expect(spreadAt(NOW, 24)).toBeCloseTo(spreadAt(null, 24), 0);
  expect(errorAt(7, issued, 3, NOW).airK).not.toBe(0);
});

test('held to truths drawn elsewhere, moved hours are nearer to them than those that were said', () => {
  // errors that last nine hours, by a generator and a law that nothing else here has
  const centre = Array.from({ length: 34 }, (_, h) => hour(h - 9, 2));
  let state = 20_270_114;
  const normal = () => {
    let sum = -6;
    for (let i = 0; i < 12; i++) {
      state = (state * 48_271) % 2_147_483_647;
      sum += state / 2_147_483_647;
    }
    return sum;
  };
  let [said, moved] = [0, 0];
  for (let n = 0; n < 80; n++) {
    let off = 1.2 * normal();
    const truth = centre.map((e) => {
      off = 0.9 * off + 1.2 * Math.sqrt(1 - 0.81) * normal();
      return { ...e, airC: e.airC + off };
    });
    const parted = partedBy(issue({ issuedAtMs: NOW - 9 * HOUR, entries: centre }), truth, NOW);
    const after = parted ? movedCentre(centre, parted, NOW) : centre;
    for (let i = 10; i < 16; i++) {
      said += (truth[i]!.airC - centre[i]!.airC) ** 2;
      moved += (truth[i]!.airC - after[i]!.airC) ** 2;
    }
  }
  expect(moved).toBeLessThan(0.7 * said);
});
