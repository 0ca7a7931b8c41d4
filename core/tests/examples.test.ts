/**
 * What docstrings say is run. Contract: each `@example expression // value` is evaluated with what its own file, the doors of core and the tests' fixtures give, and comes to the
 * value that stands there: numbers to the last digit that is written, everything else as it is.
 */
import { buildSync } from 'esbuild';
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { compileFunction } from 'node:vm';

const CORE = join(__dirname, '..');
const root = join(CORE, 'src');
const files = [
  ...readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts')),
  '../../words/en/told/counts.ts',
];

type Names = Record<string, unknown>;
const DOORS = ['day', 'planning', 'relay', 'season', 'water'].map((door) => `./${door}`);
const FIXTURES = ['eveningFixture', 'relayFixture', 'fixtures', 'exampleFixture'].map((f) => `./tests/${f}`);
const SCOPE = [...DOORS, ...FIXTURES, './src'];

/** Every file of core, its doors and the fixtures as one program: each thing in it is there once. */
const modules = (() => {
  const paths = [...SCOPE, ...files.map((f) => `./src/${f}`)];
  const contents = paths.map((p, n) => `export * as m${n} from '${p}';`).join('\n');
  const { outputFiles } = buildSync({
    stdin: { contents, resolveDir: CORE, loader: 'ts' },
    ...{
      bundle: true,
      write: false,
      format: 'cjs',
      platform: 'node',
      external: ['highs'],
      logLevel: 'silent',
    },
  });
  const module = { exports: {} as Record<string, Names> };
  const own = { Math, Number, Object, Array, Map, Set, JSON, Float64Array, Int32Array, Uint8Array };
  const program = compileFunction(outputFiles[0]!.text, ['module', 'require', ...Object.keys(own)]);
  (program as (...of: unknown[]) => void)(module, createRequire(join(CORE, 'x.js')), ...Object.values(own));
  return new Map(paths.map((p, n) => [p, module.exports[`m${n}`]!] as const));
})();

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
const everywhere = Object.assign({}, ...SCOPE.map((p) => modules.get(p)!)) as Names;

test.each(all)('$file: $code', async ({ file, code, value }) => {
  await alike(await run(code, { ...everywhere, ...modules.get(`./src/${file}`) }), value);
});

test('there are examples, and none without a value', () => {
  expect(all.length).toBeGreaterThan(150);
  for (const e of all) expect([e.file, e.value.trim()]).not.toEqual([e.file, '']);
});
