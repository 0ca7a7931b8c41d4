/** The screens' words stand in one place, beside what core and server say: each is said by the part it is called after, and no part has a sentence of its own. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const SRC = join(__dirname, '..', 'src');
const WORDS = join(__dirname, '..', '..', 'words', 'en', 'screens');

const parts = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((f) => /\.tsx?$/.test(f))
  .map((f) => ({ f: join(SRC, f), text: readFileSync(join(SRC, f), 'utf8') }));

/** Whoever takes a section of words, and under which name. */
const takers = parts.flatMap(({ f, text }) =>
  [...text.matchAll(/import \{ (\w+) as (\w+) \} from '@fogata\/words\/en\/screens\/(\w+)';/g)].map((m) => ({
    file: f,
    section: m[1]!,
    as: m[2]!,
    from: join(WORDS, `${m[3]!}.ts`),
    text,
  })),
);

test('every section is taken by somebody, from where it stands', () => {
  for (const t of takers) expect([t.file, existsSync(t.from)]).toEqual([t.file, true]);
  expect(takers.length).toBeGreaterThan(100);
});

test('there are no words that nobody says', () => {
  const idle = readdirSync(WORDS).flatMap((name) => {
    const at = join(WORDS, name);
    const text = readFileSync(at, 'utf8');
    return [...text.matchAll(/^export const (\w+) = \{\n([\s\S]*?)^\};/gm)].flatMap(([, section, body]) => {
      const taken = takers.filter((t) => t.section === section && t.from === at);
      return [...body!.matchAll(/^ {2}(\w+):/gm)]
        .map((m) => m[1]!)
        .filter((key) => !taken.some((t) => new RegExp(`\\b${t.as}\\.${key}\\b`).test(t.text)))
        .map((key) => `${name} ${section}.${key}`);
    });
  });
  expect(idle).toEqual([]);
});

test('no screen or part has a sentence of its own', () => {
  // text between tags, and what is said of a thing to press: three words or more
  const said =
    /(?:>\s*|\b(?:label|title|hint|placeholder|aria-label)=")([A-Z]?[a-z]+ [a-z’]+ [a-z’]+[^<>{}"]*)(?=<|")/g;
  const own = parts
    .filter(({ f }) => f.endsWith('.tsx'))
    .flatMap(({ f, text }) => [...text.matchAll(said)].map((m) => `${f.slice(SRC.length)}: ${m[1]!.trim()}`));
  expect(own).toEqual([]);
});
