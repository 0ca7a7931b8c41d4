/**
 * A suite of tests as one file. Contract: a test's file comes with all of ours that it imports, bundled as the server is: it loads sooner than
 * module by module, and the heat engine runs as it does in earnest. What is bundled is kept for as long as no source changes.
 */
import { decode, encode } from '@jridgewell/sourcemap-codec';
import { buildSync, version } from 'esbuild';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './common.mjs';

/** One name for all that a suite could import. */
function sources(hash, directory) {
  for (const entry of readdirSync(directory, { withFileTypes: true })) {
    const path = join(directory, entry.name);
    if (entry.isDirectory()) {
      if (!['node_modules', 'dist', 'fixtures'].includes(entry.name)) sources(hash, path);
    } else if (/\.(tsx?|json|mjs)$/.test(entry.name)) hash.update(path).update(readFileSync(path));
  }
  return hash;
}
let known = null;
const named = () => {
  if (known === null) {
    const hash = createHash('sha1').update(version);
    for (const room of [
      'words',
      'core',
      'contract',
      'server',
      'scripts',
      'bench/src',
      'app/src',
      'app/tests',
    ])
      sources(hash, join(root, room));
    known = hash.update(readFileSync(join(root, 'package-lock.json'))).digest('hex');
  }
  return known;
};

/** What finds files beside itself, and what is Node's own to load. */
const EXTERNAL = [
  '@electric-sql/pglite',
  'piscina',
  'pg',
  'highs',
  'node-forge',
  'ics',
  'supertest',
  'fast-check',
  'esbuild',
  'typescript',
  '@jest/*',
];

/** Lines of ours, one place each: to take in every place of every package costs each suite a second. */
function oursByLine(text) {
  const map = JSON.parse(text);
  const ours = map.sources.map((source) => !source.includes('node_modules'));
  const lines = decode(map.mappings).map((line) => line.filter((at) => ours[at[1]]).slice(0, 1));
  return { ...map, mappings: encode(lines) };
}

export default {
  process: (_text, file) => {
    const { outputFiles } = buildSync({
      absWorkingDir: root,
      entryPoints: [file],
      bundle: true,
      write: false,
      // where the test is: what is told of a failure then names the file that it is in
      outfile: file.replace(/\.ts$/, '.js'),
      format: 'cjs',
      platform: 'node',
      target: 'node20',
      external: EXTERNAL,
      sourcemap: 'external',
      sourcesContent: false,
      logLevel: 'silent',
    });
    const [map, code] = ['.js.map', '.js'].map((end) => outputFiles.find((f) => f.path.endsWith(end)).text);
    return { code, map: oursByLine(map) };
  },
  getCacheKey: (_text, file) => createHash('sha1').update(`${named()} ${file}`).digest('hex'),
};
