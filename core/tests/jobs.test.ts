/** When each job is to be begun, as hands can keep it. */
import { startTimes, type Job } from '../planning';
import { said } from '../src';

const MIN = 60_000;
const T = Date.parse('2027-01-14T15:00:00Z');

const job = (key: string, onByMin: number, minutes: number, more: Partial<Job> = {}): Job => ({
  key,
  kind: 'cover',
  dueAtMs: 0,
  onByAtMs: T + onByMin * MIN,
  saves: 10,
  title: said('job.close', { structure: key }),
  detail: '',
  why: '',
  late: false,
  minutes,
  structureId: 's',
  items: [],
  accepted: false,
  done: false,
  doneAtMs: null,
  recordIds: [],
  planKeys: {},
  ...more,
});
const starts = (jobs: Job[]) => Object.fromEntries(jobs.map((j) => [j.key, (j.dueAtMs - T) / MIN]));

test('one person starts so early that every cover is on by its time', () => {
  const jobs = [job('a', 60, 20), job('b', 60, 15), job('c', 90, 10)];
  startTimes(jobs, T, 1);
  for (const j of jobs) expect(j.dueAtMs + j.minutes * MIN).toBeLessThanOrEqual(j.onByAtMs);
  const order = [...jobs].sort((x, y) => x.dueAtMs - y.dueAtMs);
  for (let i = 1; i < order.length; i++)
    expect(order[i]!.dueAtMs).toBeGreaterThanOrEqual(order[i - 1]!.dueAtMs + order[i - 1]!.minutes * MIN);
});

test('two people start later than one, and work side by side', () => {
  const alone = [job('a', 60, 30), job('b', 60, 30)];
  startTimes(alone, T, 1);
  expect(starts(alone)).toEqual({ a: 0, b: 30 });
  const both = [job('a', 60, 30), job('b', 60, 30)];
  startTimes(both, T, 2);
  expect(starts(both)).toEqual({ a: 30, b: 30 });
});

test('where the time does not reach, each starts when hands are free, not all at once', () => {
  const late = [job('a', 10, 20), job('b', 15, 20), job('c', 30, 5)];
  startTimes(late, T, 1);
  expect(starts(late)).toEqual({ a: 0, b: 20, c: 40 });
});

test('a sheet comes off one bed before it goes on another', () => {
  const item = {
    bedId: 'b',
    bedName: 'B',
    coverId: 'c',
    coverName: 'C',
    lying: 0,
    done: false,
    recordId: null,
  };
  const jobs = [
    job('on', 60, 10, { items: [{ ...item, on: true }] }),
    job('off', 55, 5, { items: [{ ...item, on: false }], saves: -5 }),
  ];
  startTimes(jobs, T, 1);
  const { on, off } = starts(jobs) as { on: number; off: number };
  expect(off + 5).toBeLessThanOrEqual(on);
});
