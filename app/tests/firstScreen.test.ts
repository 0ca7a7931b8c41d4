/** What comes before Now's first word: neither the heat engine, nor the crops' tables, nor the schemas of what is sent, nor any other screen. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

const SRC = join(__dirname, '..', 'src');
/** What screens say is looked into as the screens are; a name is found from beside the rooms. */
const WORDS = '@fogata/words/en/screens/';
const ROOMS = join(SRC, '..', '..', 'rooms');

/** Modules that `file` needs to run at once: its imports and re-exports of values, not of types, not those fetched later. */
function needs(file: string): string[] {
  const text = readFileSync(file, 'utf8');
  return [...text.matchAll(/^(?:import|export)\s+(?!type\b)([^;]*?)\s*from\s+'([^']+)';/gm)]
    .filter(([, names]) => {
      const inside = /^\{([\s\S]*)\}$/.exec(names!)?.[1];
      return inside === undefined || inside.split(',').some((n) => n.trim() !== '' && !/^\s*type\s/.test(n));
    })
    .map((m) => m[2]!);
}

function fileOf(from: string, name: string): string {
  const found = ['.ts', '.tsx', '/index.ts'].map((e) => resolve(dirname(from), name + e)).find(existsSync);
  if (!found) throw new Error(`${name}, asked for by ${from}, is not found`);
  return found;
}

function atOnce(): { files: Set<string>; packages: Set<string> } {
  const files = new Set<string>();
  const packages = new Set<string>();
  const visit = (file: string): void => {
    if (files.has(file)) return;
    files.add(file);
    for (const name of needs(file))
      if (name.startsWith('.')) visit(fileOf(file, name));
      else if (name.startsWith(WORDS)) visit(fileOf(ROOMS, name.replace('@fogata/', './')));
      else packages.add(name);
  };
  for (const entry of readdirSync(join(SRC, 'app'), { recursive: true, encoding: 'utf8' }))
    if (/\.tsx?$/.test(entry)) visit(join(SRC, 'app', entry));
  return { files, packages };
}

test('of core only times, units and words come at once, of the contract only the pages and the calls', () => {
  const ours = [...atOnce().packages].filter((p) => p.startsWith('@fogata/')).sort();
  expect(ours).toEqual([
    '@fogata/contract/client',
    '@fogata/contract/pages',
    '@fogata/core/telling',
    '@fogata/core/words',
  ]);
});

test('of the screens only Now comes at once, and no package that only others need', () => {
  const { files, packages } = atOnce();
  expect(
    [...files].filter((f) => f.startsWith(join(SRC, 'screens'))).map((f) => f.slice(f.lastIndexOf('/') + 1)),
  ).toEqual(['NowScreen.tsx']);
  for (const heavy of ['react-native-gifted-charts', 'react-hook-form', '@tanstack/react-table', 'zod'])
    expect(packages).not.toContain(heavy);
});
