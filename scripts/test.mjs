/** `npm test`: everything that tests need, type check, lint, format, unit and end to end; ends with the count over all of them. */
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { freemem, tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureInstalled, ensureServer, ensureWeb, root, run, say } from './common.mjs';

let passed = 0;
let failed = 0;

/** A farm in a test lives for seconds, and a disk takes longer to forget it than it took to make: in memory, where there is room for all of them. */
const MEMORY = '/dev/shm';
const ROOM = 4e9;
function scratchIn() {
  if (!existsSync(MEMORY)) return tmpdir();
  const { bavail, bsize } = statfsSync(MEMORY);
  return Math.min(bavail * bsize, freemem()) > ROOM ? MEMORY : tmpdir();
}
const scratch = mkdtempSync(join(scratchIn(), 'fogata-tests-'));
// PostgreSQL is another user
chmodSync(scratch, 0o1777);
process.on('exit', () => rmSync(scratch, { recursive: true, force: true }));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1));

async function step(title, command, args, options = {}) {
  say(`\n— ${title}`);
  const started = Date.now();
  const result = await run(command, args, options);
  say(
    `  ${title}: ${result.code === 0 ? 'good' : 'NOT good'} (${((Date.now() - started) / 1000).toFixed(0)} s)`,
  );
  return result;
}

async function check(title, command, args) {
  const { code } = await step(title, command, args);
  if (code === 0) passed += 1;
  else failed += 1;
}

async function jest(title, projects, env = {}, flags = []) {
  const file = join(mkdtempSync(join(scratch, 'jest-')), 'result.json');
  const { code } = await step(
    title,
    process.execPath,
    [
      ...flags,
      join(root, 'node_modules', 'jest', 'bin', 'jest.js'),
      '--maxWorkers=2',
      `--testSequencer=${join(root, 'scripts', 'longestFirst.mjs')}`,
      '--selectProjects',
      ...projects,
      '--json',
      `--outputFile=${file}`,
      // what was compiled is kept from one run to the next
      `--cacheDirectory=${join(tmpdir(), 'fogata-jest')}`,
    ],
    { env: { TMPDIR: scratch, ...env } },
  );
  if (!existsSync(file)) {
    failed += 1;
    return;
  }
  const result = JSON.parse(readFileSync(file, 'utf8'));
  passed += result.numPassedTests;
  failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  if (code !== 0 && result.numFailedTests + result.numRuntimeErrorTestSuites === 0) failed += 1;
}

/** What Debian has and tests need. As another user than root nothing is installed. */
let lists = null;
async function ensurePackage(name, path) {
  if (existsSync(path)) return true;
  if (process.getuid?.() !== 0) {
    say(`${name} is missing and may not be installed by this user (as root: apt-get install ${name}).`);
    return false;
  }
  say(`Installing ${name} through apt-get`);
  lists ??= run('apt-get', ['update', '-qq'], { quiet: true });
  await lists;
  const { code, output } = await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
    quiet: true,
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (code !== 0) say(`${name} could not be installed: ${output.trim().split('\n').at(-1)}`);
  return existsSync(path);
}

/** The one without windows, which opens a page in half the time; else the whole one. Null where there is none and none may be installed. */
async function chromium() {
  const own = process.env.FOGATA_CHROMIUM;
  if (own) return own;
  for (const name of ['chromium-headless-shell', 'chromium'])
    if (await ensurePackage(name, `/usr/bin/${name}`)) return `/usr/bin/${name}`;
  return null;
}

/** One after the other, as apt-get would have it; a test that lacks one of them fails, and says so. */
async function ensureDebians() {
  await ensurePackage('postgresql', '/usr/lib/postgresql');
  await ensurePackage('nginx-light', '/usr/sbin/nginx');
  return { browser: await chromium() };
}

async function endToEnd(browser, templates) {
  if (browser === null) {
    failed += 1;
    return;
  }
  const file = join(mkdtempSync(join(scratch, 'e2e-')), 'result.json');
  await step('end to end', 'npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], {
    env: {
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
      FOGATA_CHROMIUM: browser,
      FOGATA_TEMPLATES: templates,
      TMPDIR: scratch,
    },
  });
  if (!existsSync(file)) {
    failed += 1;
    return;
  }
  const { stats, suites } = JSON.parse(readFileSync(file, 'utf8'));
  suites.forEach(sayWhatWasThere);
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected;
}

/** What the page held as a journey failed: of a machine that is gone by then nothing else is left to look at. */
function sayWhatWasThere({ suites = [], specs = [] }) {
  suites.forEach(sayWhatWasThere);
  const results = specs.flatMap((s) => s.tests.flatMap((t) => t.results));
  for (const { path } of results.flatMap((r) => r.attachments))
    if (path?.endsWith('error-context.md'))
      say(/```yaml\n([\s\S]*?)```/.exec(readFileSync(path, 'utf8'))?.[1] ?? 'nothing at all');
}

// what is fetched from Debian, beside what is fetched from npm
const debians = ensureDebians();
await ensureInstalled();
const compiler = join(root, 'node_modules', 'typescript-native', 'bin', 'tsc');
const types = (rooms, project) => check(`type check, ${rooms}`, process.execPath, [compiler, '-p', project]);
await check('lint', 'npm', ['run', '-s', 'lint']);
// the longest by itself, beside all the others
const web = ensureWeb();
await types('app', 'app');
// what is compiled alike is read once
await types('core, contract, server and bench', 'tsconfig.rooms.json');
await types('e2e', 'e2e');
await check('format', 'npm', ['run', '-s', 'format:check']);
await jest('unit: core, contract, app', ['core', 'contract', 'app', 'screens']);
await ensureServer();
const { browser } = await debians;
// a farm, and the demo's with its first night, are made once and copied
const templates = mkdtempSync(join(scratch, 'templates-'));
await jest(
  'unit: server',
  ['server'],
  {
    NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
    FOGATA_BUILT: 'yes',
    FOGATA_TEMPLATES: templates,
  },
  // a database that is used for seconds is not compiled to run for a winter; and Node 20 can fall over a thread that is ended
  // while something of it is still being compiled beside it (its platform asks for an isolate that is gone)
  ['--liftoff-only', '--no-concurrent-recompilation'],
);
await web;
await endToEnd(browser, templates);
say(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
