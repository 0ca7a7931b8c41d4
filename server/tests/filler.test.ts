/** One filling at a time: begun anew it drops the one before, stopped it keeps what it has, and a fault is said in words. */
import type { Reduced } from '@fogata/core/season';
import type { FillView } from '@fogata/contract/told';
import { aBed, aStructure } from '../../core/tests/fixtures';
import { DEFAULT_FARM, type FarmData } from '../src/farm/store';
import { Filler, type FillPool } from '../src/relay/filler';
import type { FillTask, FillTold } from '../src/relay/fillTask';
import { SeasonBook, type SeasonAnswer } from '../src/season/book';

const NOW = Date.parse('2027-01-14T12:00:00Z');
const row = (day: number) => ({
  day,
  ready: { early: 30, middle: 35, late: 40 },
  lostToCold: 0,
  notReady: 0,
  notClear: 0,
  bolted: 0,
  cooked: 0,
  success: 1,
  overDays: 50,
  upDays: 7,
  mildew: 0,
});
const answer = {
  rows: [row(0), row(100), row(200)],
  windows: [],
  mean: { growthDd: new Array<number>(73).fill(9), riseDd: new Array<number>(73).fill(9) },
  frosts: { lastSpring: null, firstAutumn: null },
} as SeasonAnswer;
const book = () =>
  new SeasonBook({
    fit: () => Promise.resolve({} as Reduced),
    season: (task) => Promise.resolve(task.crops.map(() => answer)),
  });
const data: FarmData = {
  farm: { ...DEFAULT_FARM, relay: { ...DEFAULT_FARM.relay, never: ['kale'] } },
  structures: [aStructure({ id: 'h' })],
  beds: [aBed({ id: 'b', structureId: 'h' })],
  plantings: [],
  covers: [],
  records: [],
  harvestedKg: new Map(),
};
const asked = { aim: 'value' as const, weeks: 20, refused: [] };

interface Call {
  task: FillTask;
  told: (t: FillTold) => void;
  signal: AbortSignal;
  done: (x: Awaited<ReturnType<FillPool['fill']>>) => void;
  fail: (e: Error) => void;
}
function aPool() {
  const calls: Call[] = [];
  const pool: FillPool = {
    fill: (task, told, signal) =>
      new Promise((done, fail) => {
        signal.addEventListener('abort', () => fail(new Error('aborted')));
        calls.push({ task, told, signal, done, fail });
      }),
  };
  return { calls, pool };
}
async function until(is: () => boolean): Promise<void> {
  for (let i = 0; i < 100 && !is(); i++) await new Promise((r) => setTimeout(r, 20));
  expect(is()).toBe(true);
}
const proposal = { crop: 'radish' } as FillView['proposals'][number];

test('it goes through the years, tells a first answer and then the best; what is never grown again is not asked', async () => {
  const { calls, pool } = aPool();
  const filler = new Filler(pool, book());
  expect(filler.view().state).toBe('none');
  filler.begin(data, NOW, asked);
  await until(() => calls.length === 1);
  expect(filler.view().state).toBe('solving');
  expect(calls[0]!.task.crops.map((c) => c.id)).toContain('spinach');
  expect(calls[0]!.task.crops.map((c) => c.id)).not.toContain('kale');
  expect(calls[0]!.task.outlooks.length).toBeGreaterThan(5);
  calls[0]!.told({ money: 50, boundMoney: 90, proposals: [proposal] });
  expect(filler.view()).toMatchObject({ money: 50, boundMoney: 90, proposals: [proposal] });
  calls[0]!.told({ money: 60, boundMoney: 80, proposals: null });
  expect(filler.view()).toMatchObject({ money: 60, proposals: [proposal] });
  calls[0]!.done({ proposals: [proposal, proposal], money: 70, boundMoney: 71, simpleMoney: 40 });
  await until(() => filler.view().state === 'ready');
  expect(filler.view()).toMatchObject({ money: 70, boundMoney: 71, simpleMoney: 40 });
});

test('begun anew it drops the one before, whatever that still says', async () => {
  const { calls, pool } = aPool();
  const filler = new Filler(pool, book());
  filler.begin(data, NOW, asked);
  await until(() => calls.length === 1);
  filler.begin(data, NOW, { ...asked, aim: 'variety' });
  await until(() => calls.length === 2);
  expect(calls[0]!.signal.aborted).toBe(true);
  calls[0]!.told({ money: 999, boundMoney: null, proposals: [proposal] });
  expect(filler.view()).toMatchObject({ aim: 'variety', money: null, proposals: [] });
});

test('stopped it keeps what it has; with nothing yet it says that it was stopped', async () => {
  const { calls, pool } = aPool();
  const filler = new Filler(pool, book());
  filler.begin(data, NOW, asked);
  await until(() => calls.length === 1);
  filler.stop();
  expect(filler.view().state).toBe('stopped');
  filler.begin(data, NOW, asked);
  await until(() => calls.length === 2);
  calls[1]!.told({ money: 50, boundMoney: null, proposals: [proposal] });
  filler.stop();
  expect(filler.view()).toMatchObject({ state: 'ready', proposals: [proposal] });
  expect(calls[1]!.signal.aborted).toBe(true);
});

test('a fault is said in words, and nothing of the farm is touched', async () => {
  const said = jest.spyOn(process.stderr, 'write').mockImplementation(() => true);
  const { calls, pool } = aPool();
  const filler = new Filler(pool, book());
  filler.begin(data, NOW, asked);
  await until(() => calls.length === 1);
  calls[0]!.fail(new Error('out of memory'));
  await until(() => filler.view().state === 'failed');
  expect(filler.view().message).toEqual({ say: 'problem.fill' });
  expect(said.mock.calls.join('')).toContain('The gaps of the year were not filled: Error: out of memory');
  said.mockRestore();
});
