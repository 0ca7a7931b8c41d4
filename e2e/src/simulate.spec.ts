/** The command line of the heat engine: the kept cases within their bounds, and bad ones refused in one line. */
import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, ROOT, test } from './farm';

interface Ended {
  code: number;
  out: string;
  err: string;
}

function simulate(args: string[], input?: string): Promise<Ended> {
  return new Promise((resolve) => {
    const child = execFile(
      'npm',
      ['run', '-s', 'simulate', '--', ...args],
      { cwd: ROOT, maxBuffer: 64e6 },
      (error, out, err) => resolve({ code: error ? Number(error.code) : 0, out, err }),
    );
    child.stdin!.end(input ?? '');
  });
}

type Summary = Record<'minLeafC' | 'maxCanopyAirC' | 'energyErrorWm2', number>;
const EXPECTED = JSON.parse(readFileSync(join(ROOT, 'cases', 'expected.json'), 'utf8')) as Record<
  string,
  { why: string } & Partial<Record<keyof Summary, [number, number]>>
>;

for (const [name, { why, ...bounds }] of Object.entries(EXPECTED)) {
  test(`case ${name}: ${why}`, async () => {
    const { code, out } = await simulate([join('cases', `${name}.json`)]);
    expect(code).toBe(0);
    const result = JSON.parse(out) as { format: string; hours: unknown[]; summary: Summary };
    expect(result.format).toBe('fogata-result/1');
    expect(result.summary.energyErrorWm2).toBeLessThan(0.5);
    for (const [field, range] of Object.entries(bounds)) {
      expect(result.summary[field as keyof Summary]).toBeGreaterThanOrEqual(range[0]);
      expect(result.summary[field as keyof Summary]).toBeLessThanOrEqual(range[1]);
    }
  });
}

test('every kept case has its bounds', () => {
  const files = readdirSync(join(ROOT, 'cases')).filter((f) => f.endsWith('.json') && f !== 'expected.json');
  expect(files.map((f) => f.replace('.json', '')).sort()).toEqual(Object.keys(EXPECTED).sort());
});

test('a case from standard input; a bad one gets one line that names the field, and exit 2', async () => {
  const text = readFileSync(join(ROOT, 'cases', 'house-clear-calm.json'), 'utf8');
  expect((await simulate(['-'], text)).code).toBe(0);
  const broken = JSON.parse(text) as { weather: { windMs: number }[] };
  broken.weather[5]!.windMs = -3;
  const path = join(mkdtempSync(join(tmpdir(), 'fogata-case-')), 'broken.json');
  writeFileSync(path, JSON.stringify(broken));
  const refused = await simulate([path]);
  expect(refused.code).toBe(2);
  expect(refused.out).toBe('');
  expect(
    refused.err
      .trim()
      .split('\n')
      .filter((l) => !l.startsWith('npm ')),
  ).toEqual(['weather[5].windMs: expected a number from 0 to 80 m/s']);
  expect((await simulate(['nowhere.json'])).code).toBe(2);
  expect((await simulate(['-'], '{')).err).toContain('not JSON');
});
