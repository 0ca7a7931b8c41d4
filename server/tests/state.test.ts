/** Small parts of the server: derived state, the lock, the solver. */
import type { FarmRecord } from '@fogata/contract';
import { coverProblem } from '@fogata/core';
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DirectoryInUse, lockDirectory } from '../src/db/lock';
import { deriveState, retractedIds } from '../src/farm/state';
import type { StoredRecord } from '../src/farm/store';
import { solveLp } from '../src/night/solver';

const stored = (list: object[]): StoredRecord[] =>
  list.map((record, seq) => ({ record: record as FarmRecord, seq, recordedMs: seq }));

test('covers on a bed follow from what happened, doubles and all', () => {
  const put = (id: string, atMs: number, on: boolean) => ({
    id,
    kind: 'cover',
    atMs,
    bedId: 'b',
    coverId: 'c',
    on,
  });
  const state = deriveState(stored([put('1', 1, true), put('2', 2, true), put('3', 5, false)]));
  expect(state.onBed.get('b')).toHaveLength(1);
  expect(state.spans.get('b')).toEqual([
    { coverId: 'c', fromMs: 1, toMs: 5 },
    { coverId: 'c', fromMs: 2, toMs: Infinity },
  ]);
});

test('a retraction can itself be retracted', () => {
  const list = stored([
    { id: 'a', kind: 'note', atMs: 1, text: 'x' },
    { id: 'r', kind: 'retraction', atMs: 2, retracts: 'a' },
    { id: 'rr', kind: 'retraction', atMs: 3, retracts: 'r' },
  ]);
  expect(retractedIds(list.slice(0, 2)).has('a')).toBe(true);
  expect(retractedIds(list).has('a')).toBe(false);
});

test('one process for one directory; a lock whose process is gone is taken over', () => {
  const dir = mkdtempSync(join(tmpdir(), 'fogata-lock-'));
  const release = lockDirectory(dir);
  expect(() => lockDirectory(dir)).toThrow(DirectoryInUse);
  release();
  // a process that cannot exist
  writeFileSync(join(dir, 'fogata.lock'), JSON.stringify({ pid: 2 ** 22 + 7, started: '1' }));
  lockDirectory(dir)();
  // the pid lives, but it is another program by now
  writeFileSync(join(dir, 'fogata.lock'), JSON.stringify({ pid: process.pid, started: 'long ago' }));
  lockDirectory(dir)();
  writeFileSync(join(dir, 'fogata.lock'), 'half a li');
  lockDirectory(dir)();
  expect(readdirSync(dir)).toEqual([]);
});

test('the solver finds what trying everything finds', async () => {
  let seed = 5;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  for (let round = 0; round < 8; round++) {
    const stock = { a: 2, b: 1 };
    const beds = Array.from({ length: 5 }, (_, n) => ({
      bedId: `bed${n}`,
      options: [{}, { a: 1 }, { b: 1 }, { a: 1, b: 1 }].map((pieces, k) => ({
        key: String(k),
        loss: random() * 100 * (1 - 0.2 * k),
        minutes: 3 * k,
        pieces: pieces as Record<string, number>,
      })),
    }));
    const cost = (keys: string[]) =>
      keys.reduce((s, k, n) => {
        const o = beds[n]!.options[Number(k)]!;
        return s + o.loss + (o.minutes / 60) * 12 + 0.01 * Object.values(o.pieces).reduce((x, y) => x + y, 0);
      }, 0);
    let best = Infinity;
    for (let i = 0; i < 4 ** 5; i++) {
      const keys = Array.from({ length: 5 }, (_, n) => String(Math.floor(i / 4 ** n) % 4));
      const uses = (id: 'a' | 'b') =>
        keys.reduce((s, k, n) => s + (beds[n]!.options[Number(k)]!.pieces[id] ?? 0), 0);
      if (uses('a') <= stock.a && uses('b') <= stock.b) best = Math.min(best, cost(keys));
    }
    const problem = coverProblem(beds, stock, 12);
    const chosen = problem.read(await solveLp(problem.lp));
    expect(cost(beds.map((b) => chosen[b.bedId]!))).toBeCloseTo(best, 3);
  }
});
