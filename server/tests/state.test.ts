/** Small parts of the server: derived state, the lock, the solver. */
import { coverProblem, couldWin, workCost, type BedChoice, type PricedOption } from '@fogata/core';
import { mkdtempSync, readdirSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DirectoryInUse, lockDirectory } from '../src/db/lock';
import { solveLp } from '../src/night/solver';

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
  // in another container no pid of ours says whether it lives: its lock holds while it is kept fresh
  const elsewhere = join(dir, 'fogata.lock');
  writeFileSync(elsewhere, JSON.stringify({ pid: 2 ** 22 + 7, started: '1', among: 'elsewhere pid:[7]' }));
  expect(() => lockDirectory(dir)).toThrow(/in another container or on another machine is using/);
  const longAgo = new Date(Date.now() - 10 * 60_000);
  utimesSync(elsewhere, longAgo, longAgo);
  lockDirectory(dir)();
  writeFileSync(join(dir, 'fogata.lock'), 'half a li');
  lockDirectory(dir)();
  expect(readdirSync(dir)).toEqual([]);
});

test('the solver finds what trying everything finds', async () => {
  let seed = 5;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  let left = 0;
  for (let round = 0; round < 8; round++) {
    const stock = { a: 2, b: 1 };
    // of half of the farms nothing much can be lost on any bed
    const size = round % 2 === 0 ? 100 : 3;
    const beds = Array.from({ length: 5 }, (_, n) => ({
      bedId: `bed${n}`,
      options: [{}, { a: 1 }, { b: 1 }, { a: 1, b: 1 }].map((pieces, k) => ({
        key: String(k),
        loss: random() * size * (1 - 0.2 * k),
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
    // what cannot win by its work alone is left out, and nothing is lost by that
    const thrifty = beds.map((b) => ({
      ...b,
      options: b.options.filter((o, k) => k === 0 || couldWin(o, b.options[0]!.loss, 12)),
    }));
    left += beds.length * 4 - thrifty.flatMap((b) => b.options).length;
    const pruned = coverProblem(thrifty, stock, 12);
    const kept = pruned.read((await solveLp({ lp: pruned.lp, seconds: 10 })).values);
    expect(cost(beds.map((b) => kept[b.bedId]!.key))).toBeCloseTo(best, 3);
    const problem = coverProblem(beds, stock, 12);
    const chosen = problem.read((await solveLp({ lp: problem.lp, seconds: 10 })).values);
    expect(cost(beds.map((b) => chosen[b.bedId]!.key))).toBeCloseTo(best, 3);
  }
  expect(left).toBeGreaterThan(20);
});

test('within the hands and each place’s latest time it finds what trying everything finds, and its choice can be kept', async () => {
  let seed = 11;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  let late = 0;
  for (let round = 0; round < 8; round++) {
    const hands = { count: 1 + (round % 2), busyMin: 4 * (round % 3) };
    const beds = Array.from({ length: 5 }, (_, n): BedChoice => {
      const bare = 20 + 200 * random();
      const minutes = 10 + Math.floor(20 * random());
      const sheet = { key: 'a', minutes, laterMinutes: minutes / 2, pieces: { a: 1 } };
      return {
        bedId: `bed${n}`,
        options: [
          { key: 'bare', loss: bare, minutes: 0, pieces: {} },
          { ...sheet, loss: 1, byMin: 20 + Math.floor(50 * random()) },
          { ...sheet, loss: 1 + 0.4 * bare, byMin: 90, lateAtMs: 1 },
        ],
      };
    });
    const cost = (o: PricedOption) => o.loss + workCost(o, 12);
    /** Whether hands that take the most pressing first can have each on by its time. */
    const can = (list: readonly PricedOption[]) =>
      list.every((o) => {
        if (o.byMin === undefined) return true;
        const before = list.filter((x) => x.byMin !== undefined && x.byMin <= o.byMin!);
        return before.reduce((s, x) => s + x.minutes, 0) <= hands.count * o.byMin - hands.busyMin;
      });
    let best = Infinity;
    for (let i = 0; i < 3 ** 5; i++) {
      const list = beds.map((b, n) => b.options[Math.floor(i / 3 ** n) % 3]!);
      if (can(list))
        best = Math.min(
          best,
          list.reduce((s, o) => s + cost(o), 0),
        );
    }
    const problem = coverProblem(beds, { a: 5 }, 12, hands);
    const chosen = Object.values(problem.read((await solveLp({ lp: problem.lp, seconds: 10 })).values));
    expect(chosen.reduce((s, o) => s + cost(o), 0)).toBeCloseTo(best, 3);
    expect(can(chosen)).toBe(true);
    late += chosen.filter((o) => o.lateAtMs !== undefined).length;
  }
  // being late was worth it at times: it was an option, not a slip
  expect(late).toBeGreaterThan(0);
});
