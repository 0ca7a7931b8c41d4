/**
 * What docstrings say is run. Contract: each `@example expression // value` is evaluated with what its own file, the doors of core and the tests' fixtures give, and comes to the
 * value that stands there: numbers to the last digit that is written, everything else as it is.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { compileFunction } from 'node:vm';
import * as day from '../day';
import * as planning from '../planning';
import * as relayDoor from '../relay';
import * as season from '../season';
import * as core from '../src';
import * as water from '../water';
import * as evening from './eveningFixture';
import * as made from './exampleFixture';
import * as fixtures from './fixtures';
import * as relay from './relayFixture';

const root = join(__dirname, '..', 'src');
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'));

interface Example {
  file: string;
  code: string;
  value: string;
}

/** Examples of a text: each to the end of its line, its value after the last `//`. */
const examplesIn = (file: string): Example[] =>
  [...readFileSync(join(root, file), 'utf8').matchAll(/@example (.+?)(?: \*\/)?$/gm)].map((m) => {
    const at = m[1]!.lastIndexOf(' // ');
    return { file, code: m[1]!.slice(0, at), value: m[1]!.slice(at + 4) };
  });

/** An expression in a scope; it may wait for what takes its time. */
function run(code: string, scope: Record<string, unknown>): Promise<unknown> {
  const names = Object.keys(scope).filter((n) => /^[A-Za-z_$][\w$]*$/.test(n) && n !== 'default');
  const made = compileFunction(`return (async () => (${code}))();`, names) as (
    ...of: unknown[]
  ) => Promise<unknown>;
  return made(...names.map((n) => scope[n]));
}

/** Numbers as they are written: 2.75 stands for anything that rounds to it. */
async function alike(got: unknown, value: string): Promise<void> {
  const number = /^-?\d[\d_]*(?:\.(\d+))?$/.exec(value);
  if (number && typeof got === 'number')
    expect(Number(got.toFixed(number[1]?.length ?? 0))).toBe(Number(value.replaceAll('_', '')));
  else expect(got).toEqual(await run(value, {}));
}

const all = files.flatMap(examplesIn);
const DOORS = { ...day, ...planning, ...relayDoor, ...season, ...water };

test.each(all)('$file: $code', async ({ file, code, value }) => {
  const own = jest.requireActual<Record<string, unknown>>(join(root, file));
  const scope = { ...DOORS, ...evening, ...relay, ...fixtures, ...made, ...core, ...own };
  await alike(await run(code, scope), value);
});

test('there are examples, and none without a value', () => {
  expect(all.length).toBeGreaterThan(150);
  for (const e of all) expect([e.file, e.value.trim()]).not.toEqual([e.file, '']);
});
