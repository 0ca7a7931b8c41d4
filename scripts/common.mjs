/** What the commands share: the root, running a program, installing when needed, building when sources changed. */
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const say = (line) => process.stdout.write(`${line}\n`);

/** Runs a program to its end; resolves to its exit code and, where asked, its output. */
export function run(command, args, { env = {}, quiet = false, cwd = root, onLine } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    const take = (to) => (chunk) => {
      output += chunk;
      if (!quiet) to.write(chunk);
      onLine?.(String(chunk));
    };
    child.stdout.on('data', take(process.stdout));
    child.stderr.on('data', take(process.stderr));
    child.on('error', (error) => resolve({ code: 127, output: error.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

function must(result, what) {
  if (result.code === 0) return result;
  process.stderr.write(`${result.output.slice(-4000)}\n${what} failed.\n`);
  process.exit(1);
}

/** Installs from the lockfile where node_modules is missing or older than the lockfile. */
export async function ensureInstalled() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) {
    process.stderr.write(`Fogata needs Node 20 or newer; this is ${process.versions.node}.\n`);
    process.exit(1);
  }
  const mark = join(root, 'node_modules', '.package-lock.json');
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs - 1000)
    return;
  say('Installing packages from the lockfile (a minute or two)');
  must(await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true }), 'npm ci');
}

function hashTree(hash, path) {
  for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    if (['node_modules', 'dist', 'tests', '.expo', 'drizzle'].includes(entry.name)) continue;
    const full = join(path, entry.name);
    if (entry.isDirectory()) hashTree(hash, full);
    else hash.update(entry.name).update(readFileSync(full));
  }
}

/** Builds the web app unless the one in app/dist was made from the same sources. */
export async function ensureWeb() {
  const hash = createHash('sha1');
  for (const room of ['app', 'contract', 'core', 'words']) hashTree(hash, join(root, room));
  for (const file of [
    'package-lock.json',
    join('scripts', 'minify.mjs'),
    join('scripts', 'offline-shell.mjs'),
  ])
    hash.update(readFileSync(join(root, file)));
  const key = hash.digest('hex');
  const mark = join(root, 'app', 'dist', '.sources');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === key) return;
  say('Building the web app (half a minute to two minutes, the first time)');
  const env = { EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', CI: '1', NODE_ENV: 'production' };
  must(
    await run(
      'npx',
      ['expo', 'export', '--platform', 'web', '--output-dir', 'dist', '--clear', '--no-minify'],
      { cwd: join(root, 'app'), env, quiet: true },
    ),
    'The web build',
  );
  for (const [script, what] of [
    ['minify', 'Making the web build small'],
    ['offline-shell', 'The offline shell'],
  ])
    must(
      await run('node', [join('..', 'scripts', `${script}.mjs`)], { cwd: join(root, 'app'), quiet: true }),
      what,
    );
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, key);
}

export async function ensureServer() {
  const { buildServer } = await import('./build-server.mjs');
  await buildServer();
}
