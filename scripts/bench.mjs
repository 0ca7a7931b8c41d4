/** Bundles the benchmarks as the server is bundled, and runs them. */
import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureServer, root } from './common.mjs';

await ensureServer();

const outfile = join(root, 'bench', 'dist', 'src', 'bench.cjs');
await build({
  entryPoints: [join(root, 'bench', 'src', 'main.ts')],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'cjs',
  external: ['esbuild', 'highs', 'piscina', '@playwright/test'],
  define: { __dirname: JSON.stringify(join(root, 'bench', 'src')) },
});
process.exit(
  spawnSync(process.execPath, [outfile, ...process.argv.slice(2)], { stdio: 'inherit', cwd: root }).status ??
    1,
);
