/** `fogata-fill/1`: what it takes, what it refuses in one line, and that the answer can be checked from itself. */
import highs from 'highs';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { SparseSolver } from '@fogata/core/relay';
import { fillResult, readFillRequest } from '../relay';
import { inWords } from './inWords';

const fillResultTold = inWords(fillResult);
const readFillRequestTold = inWords(readFillRequest);

const good = JSON.parse(
  readFileSync(join(__dirname, '..', '..', 'cases', 'fills', 'spring.json'), 'utf8'),
) as Record<string, unknown>;

test.each<[string, (r: Record<string, never>) => unknown, RegExp]>([
  ['another format', () => ({ format: 'fogata-windows/1' }), /^format: expected the string fogata-fill\/1/],
  ['a field that is not there', () => ({ hours: 3 }), /hours/],
  ['a crop that is not in the list', () => ({ crops: ['tulips'] }), /^crops\[0\]: expected the id of a crop/],
  [
    'a bed in no place',
    () => ({ beds: [{ id: 'x', place: 'barn', rows: 2, lengthM: 9 }], plantings: [] }),
    /^beds\[0\]\.place: expected the id of one of the places/,
  ],
  [
    'a planting in a row that is not there',
    (r) => ({ plantings: [{ ...(r['plantings'] as never as object[])[0], toRow: 9 }] }),
    /^plantings\[0\]\.toRow: expected a row of the bed, which has 4/,
  ],
  [
    'cleared before it is planted',
    (r) => ({ plantings: [{ ...(r['plantings'] as never as object[])[0], clearedOn: '2026-09-01' }] }),
    /^plantings\[0\]\.clearedOn: expected a day after plantedOn/,
  ],
  [
    'a need that ends before it begins',
    () => ({ demand: [{ from: '2027-05-01', to: '2027-04-01', kgPerWeek: 3 }] }),
    /^demand\[0\]\.to: expected no earlier than from/,
  ],
  ['a risk in per cent', () => ({ risk: 20 }), /^risk: expected a number from 0 to 0.95/],
  ['an aim of its own', () => ({ aim: 'fun' }), /^aim: expected one of value, supply, variety/],
])('%s is refused in one line that names the field', (_name, change, line) => {
  const read = readFillRequestTold({ ...good, ...(change(good as never) as object) });
  expect('problem' in read && read.problem).toMatch(line);
  expect('problem' in read && read.problem).not.toContain('\n');
});

test('the kept case is filled within its rows, trays and hours, better than by the rule, and says what is short before and after', async () => {
  const read = readFillRequestTold(good);
  if ('problem' in read) throw new Error(read.problem);
  const solver = (await highs()) as unknown as SparseSolver;
  let tick = 0;
  const options = { nowAtMs: () => (tick += 1) };
  const answer = fillResultTold(
    { ...read.request, years: 10, gap: 0.05, seconds: 3 },
    () => null,
    solver,
    options,
  );
  if ('problem' in answer) throw new Error(answer.problem);
  const r = answer.result as {
    worth: number;
    bound: number;
    longestWaitingFirst: number;
    plantings: { bed: string; fromRow: number; toRow: number; plantedOn: string; clearedOn: string }[];
    weeks: { hours: number; cells: number; short: number; shortBefore: number }[];
  };
  expect(r.worth).toBeGreaterThan(r.longestWaitingFirst);
  expect(r.bound).toBeGreaterThanOrEqual(r.worth);
  expect(r.plantings.length).toBeGreaterThan(3);
  const clash = (a: (typeof r.plantings)[number], b: (typeof r.plantings)[number]) =>
    a !== b &&
    a.bed === b.bed &&
    a.fromRow <= b.toRow &&
    b.fromRow <= a.toRow &&
    a.plantedOn < b.clearedOn &&
    b.plantedOn < a.clearedOn;
  expect(r.plantings.filter((a) => r.plantings.some((b) => clash(a, b)))).toEqual([]);
  // the tomatoes that stand there keep their rows
  expect(
    r.plantings.filter((p) => p.bed === 'H1' && p.fromRow <= 3 && p.toRow >= 2 && p.clearedOn > '2027-05-10'),
  ).toEqual([]);
  const sum = (of: (w: (typeof r.weeks)[number]) => number) => r.weeks.reduce((t, w) => t + of(w), 0);
  expect(sum((w) => w.short)).toBeLessThan(sum((w) => w.shortBefore) * 0.7);
  for (const w of r.weeks) {
    expect(w.hours).toBeLessThanOrEqual(6.01);
    expect(w.cells).toBeLessThanOrEqual(400 + 88);
  }
}, 60_000);

test('a file of days that cannot be read is named', () => {
  const read = readFillRequestTold({ ...good, climate: { dailyCsv: 'days.csv' } });
  if ('problem' in read) throw new Error(read.problem);
  const answer = fillResultTold(read.request, () => null, {} as SparseSolver, { nowAtMs: () => 0 });
  expect(answer).toEqual({
    problem: expect.stringMatching(/^climate\.dailyCsv: expected a file that can be read/),
  });
});
