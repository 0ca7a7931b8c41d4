/** The rules of lint hold where they are said to: what is wrong is put into a tree that is laid out as ours, and each file is refused for its own reason. */
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const ROOT = join(__dirname, '..', '..');
const use = (from: string) => `import { x } from '${from}';\nexport const y = x;\n`;
const screen = (body: string) =>
  `import { useEffect, useRef, useState } from 'react';\nimport { Text } from 'react-native';\n` +
  `export const used = [useEffect, useRef, useState, Text];\nexport function Z({ a }: { a: number }) {\n${body}\n}\n`;

const IMPORTS = 'eslint(no-restricted-imports)';
const WRONG: readonly (readonly [file: string, text: string, code: string])[] = [
  ['core/src/a.ts', use('@fogata/contract'), IMPORTS],
  ['core/src/b.ts', use('../../server/src/farm'), IMPORTS],
  ['core/src/c.ts', use('react-native'), IMPORTS],
  ['core/src/d.ts', use('node:fs'), IMPORTS],
  ['core/src/e.ts', use('drizzle-orm/pg-core'), IMPORTS],
  ['core/src/f.ts', use('../standins/weather'), IMPORTS],
  ['core/src/g.ts', use('@fogata/words/en/screens/ui'), IMPORTS],
  ['core/src/h.ts', 'export const y = () => Math.random();\n', 'eslint(no-restricted-properties)'],
  ['core/src/i.ts', 'export const y = () => Date.now();\n', 'eslint(no-restricted-properties)'],
  ['core/src/j.ts', 'export const y = () => window;\n', 'eslint(no-restricted-globals)'],
  ['core/src/k.ts', 'export const y = (a: any) => a;\n', 'typescript(no-explicit-any)'],
  ['core/src/l.ts', 'export const y = (a: number) => a == 2;\n', 'eslint(eqeqeq)'],
  ['core/src/m.ts', 'export const y = (a: number) => 1;\n', 'eslint(no-unused-vars)'],
  ['core/src/n.ts', 'export const y = () => console.log(1);\n', 'eslint(no-console)'],
  ['words/en/told/a.ts', use('@fogata/core'), IMPORTS],
  ['words/en/told/b.ts', use('../screens/ui'), IMPORTS],
  ['words/en/screens/a.ts', use('@fogata/app/src/screens'), IMPORTS],
  ['contract/src/a.ts', use('@fogata/server'), IMPORTS],
  ['server/src/a.ts', use('@fogata/core/standins'), IMPORTS],
  ['server/src/demo/a.ts', use('@fogata/app'), IMPORTS],
  ['e2e/src/a.ts', use('@fogata/server'), IMPORTS],
  ['bench/src/a.ts', use('../../server/src/serve'), IMPORTS],
  ['app/src/a.ts', use('@fogata/server'), IMPORTS],
  ['scripts/a.mjs', 'export const y = nothere;\n', 'eslint(no-undef)'],
  [
    'app/src/b.tsx',
    screen('const r = useRef(a); r.current += 1; return <Text>{r.current}</Text>;'),
    'react(refs)',
  ],
  ['app/src/c.tsx', screen('return <Text>{a + Date.now()}</Text>;'), 'react(purity)'],
  [
    'app/src/d.tsx',
    screen('if (a) { const [s] = useState(a); return <Text>{s}</Text>; } return null;'),
    'react-hooks(rules-of-hooks)',
  ],
  [
    'app/src/e.tsx',
    screen('const [s, set] = useState(0); useEffect(() => { set(a); }, [a]); return <Text>{s}</Text>;'),
    'react(set-state-in-effect)',
  ],
];
const RIGHT: readonly (readonly [file: string, text: string])[] = [
  ['core/src/right.ts', use('./heat/path')],
  ['core/src/null.ts', 'export const y = (a?: number) => a == null;\n'],
  ['core/tests/right.ts', 'export const y = () => Math.random();\n'],
  [
    'words/en/told/right.ts',
    "import type { x } from '@fogata/core';\nexport const y = (a: x) => String(a);\n",
  ],
  ['server/src/demo/right.ts', use('@fogata/core/standins')],
  ['app/src/right.tsx', screen('return <Text>{a}</Text>;')],
];

const found = new Map<string, Set<string>>();
beforeAll(() => {
  const tree = mkdtempSync(join(tmpdir(), 'fogata-lint-'));
  cpSync(join(ROOT, 'lint.config.mjs'), join(tree, 'lint.config.mjs'));
  for (const [file, text] of [...WRONG, ...RIGHT]) {
    mkdirSync(dirname(join(tree, file)), { recursive: true });
    writeFileSync(join(tree, file), text);
  }
  const oxlint = join(ROOT, 'node_modules', 'oxlint', 'bin', 'oxlint');
  const { stdout } = spawnSync(process.execPath, [oxlint, '-c', 'lint.config.mjs', '-f', 'json', '.'], {
    cwd: tree,
    encoding: 'utf8',
  });
  const { diagnostics } = JSON.parse(stdout) as { diagnostics: { filename: string; code: string }[] };
  for (const { filename, code } of diagnostics)
    found.set(filename, (found.get(filename) ?? new Set()).add(code));
  rmSync(tree, { recursive: true, force: true });
});

test.each(WRONG.map(([file, , code]) => [file, code] as const))('%s is refused: %s', (file, code) => {
  expect([...(found.get(file) ?? [])]).toContain(code);
});

test.each(RIGHT.map(([file]) => file))('%s is right', (file) => {
  expect([...(found.get(file) ?? [])]).toEqual([]);
});
