/** Makes the service worker of a build: `app/src/worker/offline.ts` with the build's files. Contract: all that the shell is made of, the worker itself not. */
import { build } from 'esbuild';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const named = (data) => createHash('sha1').update(data).digest('hex');
const files = readdirSync('dist', { recursive: true })
  .map((name) => name.replaceAll('\\', '/'))
  .filter((name) => /\.(js|html|ttf|svg|png|webmanifest)$/.test(name) && name !== 'sw.js')
  .sort()
  .map((url) => ({ url, data: readFileSync(join('dist', url)) }));

await build({
  entryPoints: [join('src', 'worker', 'offline.ts')],
  outfile: join('dist', 'sw.js'),
  bundle: true,
  minify: true,
  target: 'es2020',
  define: {
    SHELL: JSON.stringify(files.map(({ url, data }) => ({ url, revision: named(data) }))),
    'process.env.NODE_ENV': '"production"',
  },
  logLevel: 'warning',
});
const size = files.reduce((sum, { data }) => sum + data.length, 0);
process.stdout.write(`offline shell: ${files.length} files, ${Math.round(size / 1024)} kB\n`);
