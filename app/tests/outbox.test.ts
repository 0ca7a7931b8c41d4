/** The outbox against a server that answers, refuses, is away, or is somebody else's. */
import type { FarmRecord } from '@fogata/contract';
import { Outbox } from '../src/data/outbox';
import type { OutboxStore, Refusal } from '../src/data/outboxStore';

const note = (id: string): FarmRecord => ({ id, kind: 'note', atMs: 1, text: id });

/** The device's disk, shared by all tabs. */
class Disk implements OutboxStore {
  waiting: FarmRecord[] = [];
  refused: Refusal[] = [];
  lease: { owner: string; untilAtMs: number } | null = null;
  broken = false;
  private ok<T>(value: T): Promise<T> {
    return this.broken ? Promise.reject(new Error('quota')) : Promise.resolve(value);
  }
  load = () => this.ok({ waiting: [...this.waiting], refused: [...this.refused] });
  add = (list: readonly FarmRecord[]) => this.ok(undefined).then(() => void this.waiting.push(...list));
  remove = (ids: readonly string[]) =>
    this.ok(undefined).then(() => void (this.waiting = this.waiting.filter((r) => !ids.includes(r.id))));
  refuse = (record: FarmRecord, why: string) =>
    this.remove([record.id]).then(() => void this.refused.push({ record, why }));
  read = () => this.ok(undefined).then(() => void (this.refused = []));
  take = (owner: string, nowAtMs: number, forMs: number) => {
    if (!this.lease || this.lease.owner === owner || this.lease.untilAtMs < nowAtMs)
      this.lease = { owner, untilAtMs: nowAtMs + forMs };
    return this.ok(this.lease.owner);
  };
  release = (owner: string) =>
    this.ok(undefined).then(() => void (this.lease?.owner === owner && (this.lease = null)));
}

type Answer = (records: FarmRecord[]) => { status: number; body?: unknown; ours?: boolean } | 'away';
let answer: Answer;
let posts: string[][] = [];
let disk: Disk;

beforeEach(() => {
  jest.useFakeTimers();
  posts = [];
  disk = new Disk();
  globalThis.fetch = ((_url: string, init: { body: string }) => {
    const { records } = JSON.parse(init.body) as { records: FarmRecord[] };
    posts.push(records.map((r) => r.id));
    const a = answer(records);
    if (a === 'away') return Promise.reject(new Error('refused'));
    return Promise.resolve({
      ok: a.status < 400,
      status: a.status,
      headers: { get: () => (a.ours === false ? null : '1') },
      json: () => Promise.resolve(a.body ?? {}),
    });
  }) as never;
});
afterEach(() => jest.useRealTimers());

/** Messages between tabs take their own time, whatever the test's clock says. */
const realSetTimeout = globalThis.setTimeout;
const real = (ms: number) => new Promise((resolve) => realSetTimeout(resolve, ms));

const REFUSED = { status: 422, body: { detail: 'text: expected some words', field: 'text' } };

test('what the server has taken leaves the outbox and the disk', async () => {
  answer = () => ({ status: 201 });
  const outbox = new Outbox(disk);
  expect(await outbox.add([note('a')])).toBe(true);
  expect([outbox.count, disk.waiting]).toEqual([0, []]);
});

test('while the server is away entries wait, over a reload, and go out in order', async () => {
  answer = () => 'away';
  const outbox = new Outbox(disk);
  expect(await outbox.add([note('a')])).toBe(false);
  await outbox.add([note('b')]);
  expect(outbox.count).toBe(2);
  answer = () => ({ status: 201 });
  posts = [];
  const again = new Outbox(disk);
  await again.ready;
  expect(again.count).toBe(2);
  await again.flush();
  expect(posts).toEqual([['a', 'b']]);
  expect([again.count, disk.waiting]).toEqual([0, []]);
});

test('one that is refused by a field leaves with its reason, is kept to be read, and holds up no other', async () => {
  answer = (records) => (records.some((r) => r.id === 'bad') ? REFUSED : { status: 201 });
  const outbox = new Outbox(disk);
  await outbox.add([note('a'), note('bad'), note('c')]);
  expect(outbox.count).toBe(0);
  expect(outbox.refused).toBe('text: expected some words');
  const later = new Outbox(disk);
  await later.ready;
  expect(later.refused).toBe('text: expected some words');
  expect(disk.refused[0]!.record.id).toBe('bad');
  later.clearRefused();
  await jest.advanceTimersByTimeAsync(1);
  expect(disk.refused).toEqual([]);
});

test.each([
  ['a portal’s page with 200', { status: 200, ours: false }],
  ['a 404 of somebody else', { status: 404, ours: false }],
  ['our own 404', { status: 404, body: { detail: 'no' } }],
  ['403', { status: 403, body: { detail: 'no' } }],
  ['413', { status: 413, body: { detail: 'no' } }],
  ['500', { status: 500, body: { detail: 'no' } }],
] as const)('%s is no reason to drop anything', async (_, wrong) => {
  answer = () => wrong;
  const outbox = new Outbox(disk);
  await outbox.add([note('a')]);
  expect(outbox.count).toBe(1);
  expect(disk.waiting).toHaveLength(1);
  expect(outbox.refused).toBeNull();
});

test.each([401, 403, 404, 429])('a %i is not asked again entry by entry', async (status) => {
  answer = () => ({ status, body: { detail: 'no' } });
  const outbox = new Outbox(disk);
  await outbox.add([note('a'), note('b'), note('c')]);
  expect(posts).toEqual([['a', 'b', 'c']]);
  expect(outbox.count).toBe(3);
});

test('one that the server cannot stomach does not hold up the rest', async () => {
  answer = (records) => (records.some((r) => r.id === 'bad') ? { status: 500, body: {} } : { status: 201 });
  const outbox = new Outbox(disk);
  await outbox.add([note('a'), note('bad'), note('c')]);
  expect(disk.waiting.map((r) => r.id)).toEqual(['bad']);
});

test('tries again after pauses that grow, and not more often', async () => {
  answer = () => 'away';
  const outbox = new Outbox(disk);
  await outbox.add([note('a')]);
  const at: number[] = [];
  for (let s = 1; s <= 120; s++) {
    const before = posts.length;
    await jest.advanceTimersByTimeAsync(1000);
    if (posts.length > before) at.push(s);
  }
  const gaps = at.map((t, i) => t - (at[i - 1] ?? 0));
  expect(gaps.slice(0, 4)).toEqual([2, 4, 8, 16]);
  expect(posts.length).toBeLessThan(9);
});

test('of two tabs one sends as long as it is there', async () => {
  // the other tab waits for its answer, on the same device
  let hear: (a: { status: number }) => void = () => {};
  const waits = new Promise<{ status: number }>((resolve) => (hear = resolve));
  const fetchOf = globalThis.fetch;
  answer = () => ({ status: 201 });
  globalThis.fetch = (async (...args: Parameters<typeof fetch>) => {
    const out = fetchOf(...args);
    await waits;
    return out;
  }) as never;
  disk.waiting = [note('a')];
  const first = new Outbox(disk);
  await first.ready;
  const sending = first.flush();
  await jest.advanceTimersByTimeAsync(10);
  expect(posts).toEqual([['a']]);
  const second = new Outbox(disk);
  await second.ready;
  const asks = second.flush();
  await real(200);
  await jest.advanceTimersByTimeAsync(5000);
  await asks;
  expect(posts).toEqual([['a']]);
  hear({ status: 201 });
  await sending;
  expect(disk.waiting).toEqual([]);
});

test('a page that went while it sent does not hold up the one after it', async () => {
  answer = () => ({ status: 201 });
  disk.waiting = [note('a')];
  disk.lease = { owner: 'a page that is gone', untilAtMs: Date.now() + 45_000 };
  const outbox = new Outbox(disk);
  await outbox.ready;
  const sent = outbox.flush();
  await jest.advanceTimersByTimeAsync(2000);
  await sent;
  expect(posts).toEqual([['a']]);
  expect([disk.waiting, disk.lease]).toEqual([[], null]);
});

test('where the browser keeps nothing it says so, and sends all the same', async () => {
  disk.broken = true;
  answer = () => 'away';
  const outbox = new Outbox(disk);
  await outbox.add([note('a')]);
  expect([outbox.kept, outbox.count]).toEqual([false, 1]);
  answer = () => ({ status: 201 });
  await outbox.flush();
  expect(outbox.count).toBe(0);
});
