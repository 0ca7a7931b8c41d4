/**
 * `node scripts/bundled.mjs NAME …`: runs scripts/NAME.ts. Contract: bundled as the server is, since it starts in half the time so
 * and the engine runs as it does there; arguments, streams and exit are the script's own.
 */
import { buildSync } from 'esbuild';
import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './common.mjs';

const [name, ...rest] = process.argv.slice(2);
const file = join(root, 'scripts', 'dist', `${name}.cjs`);
const { outputFiles } = buildSync({
  entryPoints: [join(root, 'scripts', `${name}.ts`)],
  bundle: true,
  write: false,
  platform: 'node',
  target: 'node20',
  format: 'cjs',
  // what finds files beside itself
  external: ['highs', 'piscina', '@electric-sql/pglite', 'pg', 'esbuild'],
  define: { __dirname: JSON.stringify(join(root, 'scripts')) },
  logLevel: 'warning',
});
mkdirSync(join(root, 'scripts', 'dist'), { recursive: true });
// whole, whoever else runs it meanwhile
const part = `${file}.${process.pid}`;
writeFileSync(part, outputFiles[0].contents);
renameSync(part, file);
process.argv = [process.argv[0], file, ...rest];
await import(pathToFileURL(file).href);
