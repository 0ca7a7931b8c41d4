/** Nights from files: what is refused, what an answer holds, and that a second night begins where the first one ended. */
import { NOTHING_LAIN, type FarmFacts } from '@fogata/core';
import { reachAtMs, severalNights } from '@fogata/core/planning';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { workers } from '../../core/tests/eveningFixture';
import { readLimits } from '../day';
import { eveningResult, readMembers } from '../evening';
import { readFarmFile } from '../src';
import { inWords } from './inWords';

const readFarmFileTold = inWords(readFarmFile);
const readLimitsTold = inWords(readLimits);
const readMembersTold = inWords(readMembers);

const kept = (name: string) =>
  JSON.parse(readFileSync(join(__dirname, '..', '..', 'cases', 'evenings', name), 'utf8')) as unknown;
const NOW = Date.parse('2027-01-14T14:30:00Z');
const members = kept('members.json') as {
  format: string;
  history: { time: string; airC: number; dewPointC: number }[];
  members: { time: string; airC: number }[][];
};
const read = readFarmFileTold(kept('farm.json'));
if ('problem' in read) throw new Error(read.problem);
const { file } = read;
const reach = reachAtMs(NOW, 2, file.farm);
const problem = (change: (m: typeof members) => unknown, reachTo = reach) => {
  const answer = readMembersTold(change(structuredClone(members)), NOW, reachTo);
  return 'problem' in answer ? answer.problem : 'taken';
};

test.each<[string, (m: typeof members) => unknown]>([
  ['format: expected the string fogata-members/1', (m) => ({ ...m, format: 'x' })],
  ['members: expected at least one', (m) => ({ ...m, members: [] })],
  ['history[3].airC: expected a number from −60 to 60', (m) => ((m.history[3]!.airC = NaN), m)],
  [
    'members[2][5].time: expected an instant after the one before',
    (m) => ((m.members[2]![5]!.time = m.members[2]![4]!.time), m),
  ],
  ['history[9].time: expected no more than 6 hours', (m) => (m.history.splice(9, 9), m)],
  ['history[4].dewPointC: expected no more than airC', (m) => ((m.history[4]!.dewPointC = 30), m)],
  ['history: expected from', (m) => (m.history.splice(0, 110), m)],
  ['history: expected up to', (m) => (m.history.splice(-3), m)],
  ['members[1]: expected up to', (m) => (m.members[1]!.splice(-24), m)],
  ['members[0]: expected from', (m) => (m.members[0]!.splice(0, 5), m)],
  ['weather: no such field', (m) => ({ ...m, weather: [] })],
])('refused in one line: %s', (line, change) => {
  expect(problem(change)).toContain(line);
  expect(problem(change)).not.toContain('\n');
});

interface Told {
  nights: {
    night: string;
    saved: number;
    jobs: {
      start: string;
      latest: string;
      minutes: number;
      saves: number;
      items: { cover: string; bed: string; on: boolean }[];
    }[];
    beds: {
      bed: string;
      leafC: { low: number; mid: number; high: number };
      stack: { cover: string; on: string | null; off: string | null }[];
      loss: { asItIs: number; asPlanned: number; saved: number };
    }[];
  }[];
}

test('two nights: within the stock, each cover on before it is due off, the second from where the first one ended', async () => {
  const weather = readMembersTold(members, NOW, reach);
  if ('problem' in weather) throw new Error(weather.problem);
  const { units, currency, timeZone } = file.farm;
  const style = { units, currency, timeZone, hours: units.clock };
  const told: number[] = [];
  const nights = await severalNights(
    {
      data: file as unknown as FarmFacts,
      state: NOTHING_LAIN,
      nowAtMs: NOW,
      ...weather.weather,
      nights: 2,
    },
    workers,
    new AbortController().signal,
    (n) => told.push(n),
  );
  expect(told).toEqual([1, 2]);
  const answer = eveningResult(nights, style) as Told;
  expect(answer.nights.map((n) => n.night)).toEqual(['2027-01-14', '2027-01-15']);
  for (const n of answer.nights) {
    for (const c of file.covers) {
      const laid = n.beds.flatMap((b) => b.stack).filter((s) => s.cover === c.id).length;
      expect(laid).toBeLessThanOrEqual(c.count);
    }
    for (const b of n.beds) {
      expect(b.leafC.low).toBeLessThanOrEqual(b.leafC.mid);
      expect(b.loss.asPlanned).toBeLessThanOrEqual(b.loss.asItIs + 0.01);
      for (const s of b.stack) if (s.on && s.off) expect(Date.parse(s.on)).toBeLessThan(Date.parse(s.off));
    }
    // what the jobs save is what the plan saves
    expect(n.jobs.reduce((sum, j) => sum + j.saves, 0)).toBeCloseTo(n.saved, 0);
    for (const j of n.jobs) {
      expect(Date.parse(j.start) + j.minutes * 60_000).toBeLessThanOrEqual(Date.parse(j.latest) + 60_000);
    }
  }
  // a sheet of the first night is lifted in its morning and laid anew, or lies there and is not laid twice
  const [first, second] = answer.nights as [Told['nights'][0], Told['nights'][0]];
  for (const b of first.beds)
    for (const s of b.stack) {
      const again = second.beds.find((x) => x.bed === b.bed)!.stack.find((x) => x.cover === s.cover);
      if (again) expect(again.on === null).toBe(s.off === null);
    }
  // the second night is the colder one
  expect(second.beds[0]!.leafC.mid).toBeLessThan(first.beds[0]!.leafC.mid);
}, 60_000);

test.each([
  [{}, 'taken'],
  [{ format: 'x' }, 'format: expected the string fogata-limits/1'],
  [{ leafMaxC: 'hot' }, 'leafMaxC: expected a number from 5 to 50 °C'],
  [{ leafMinC: 19, leafMaxC: 18 }, 'leafMinC: expected less than leafMaxC'],
  [{ style: 'open' }, 'style: expected one of air, warm'],
  [
    { there: [{ from: '2027-04-12T08:00:00Z', to: '2027-04-12T07:00:00Z' }] },
    'there[0].to: expected a time after from',
  ],
  [{ vents: [] }, 'vents: no such field is expected here'],
])('limits of a day: %j', (change, line) => {
  const day = readLimitsTold({ format: 'fogata-limits/1', leafMaxC: 26, style: 'air', ...change });
  expect('problem' in day ? day.problem : 'taken').toBe(line);
});
