/** Bundles server and worker into server/dist: one file each starts in half the time, and the heat engine runs twice as fast. */
import { build, context } from 'esbuild';
import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { dirname, join } from 'node:path';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Zod names its sentences in 60 languages from its index; its own English is enough. */
const onlyEnglish = {
  name: 'only-english',
  setup: (b) =>
    b.onResolve({ filter: /locales\/index\.js$/ }, ({ importer, path, resolveDir, kind }) =>
      /node_modules\/zod\/v4\//.test(importer)
        ? b.resolve(path.replace('index.js', 'en.js'), { importer, resolveDir, kind })
        : null,
    ),
};

/** What stays a file of its own, by who asks for it: the driver of a PostgreSQL server, loaded where there is one, and the server without its process. */
const APART = { postgres: 'db/open.ts', serve: 'main.ts' };
const apart = {
  name: 'apart',
  setup: (b) =>
    b.onResolve({ filter: /^\.\/(postgres|serve)$/ }, ({ path, importer }) =>
      importer === join(root, 'server', 'src', APART[path.slice(2)])
        ? { path: `${path}.mjs`, external: true }
        : null,
    ),
};

const options = {
  absWorkingDir: root,
  entryPoints: {
    main: 'server/src/main.ts',
    serve: 'server/src/serve.ts',
    worker: 'server/src/worker.ts',
    postgres: 'server/src/db/postgres.ts',
  },
  outdir: 'server/dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  // what finds files beside itself, and what few starts load
  external: ['@electric-sql/pglite', 'piscina', 'pg', 'highs', 'node-forge', 'ics'],
  plugins: [onlyEnglish, apart],
  // packages in the older form ask for Node's own by `require`
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
  sourcemap: 'linked',
  logLevel: 'warning',
};

/** Each file is put in its place whole: a thread that starts meanwhile has the old one or the new one, never half of one. */
export async function buildServer() {
  const { outputFiles } = await build({ ...options, write: false });
  for (const { path, contents } of outputFiles) {
    mkdirSync(dirname(path), { recursive: true });
    const part = `${path}.${process.pid}`;
    writeFileSync(part, contents);
    renameSync(part, path);
  }
}

/** Rebuilds on every change; `onBuilt` is told after each. */
export async function watchServer(onBuilt) {
  const ctx = await context({
    ...options,
    plugins: [
      ...options.plugins,
      { name: 'told', setup: (b) => b.onEnd((r) => r.errors.length === 0 && onBuilt()) },
    ],
  });
  await ctx.watch();
  return ctx;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await buildServer();
