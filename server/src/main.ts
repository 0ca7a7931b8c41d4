/** Starts the server: data directory, migrations, the demo where asked for, workers, one port for app and API. */
import type { Episode } from '@fogata/core/standins';
import { starting as words } from '@fogata/words/en/told/starting';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { makeApp } from './app';
import { demoClock, realClock } from './clock';
import { DirectoryInUse } from './db/lock';
import { openPglite, openPostgres, type Db, type OpenDb } from './db/open';
import { loadDemo } from './demo/load';
import { DEMO_EPISODES, DEMO_SEED, DEMO_START_MS } from './demo/seed';
import { readBackup, startBackups } from './farm/backup';
import { farmIdOf } from './farm/identity';
import { loadFarm, readMeta, writeMeta } from './farm/store';
import { startLookout } from './messages/look';
import { fileSink } from './messages/sink';
import { Problem } from './problem';
import { AUTHORITY_PATH, frontDoor } from './front';
import { allowedNames, isLoopback, type GuardOptions } from './guard';
import { startPool, usualThreads } from './night/pool';
import { startPolling } from './sources/poll';
import { demoSources } from './standins/demo';
import { practiceStartAtMs, practiceWeather, preparePractice } from './standins/practice';
import { fingerprintOf, madeCertificate, ownCertificate, type Certificate } from './tls';
import { versionOf } from './version';

/** Why it cannot start, in a sentence. */
class CannotStart extends Error {}

const say = (line: string) => process.stdout.write(`${line}\n`);
const warn = (line: string) => process.stderr.write(`${line}\n`);

/** The workspace's root, from the source or from the bundle. */
function findRoot(): string {
  let at = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(at, 'server', 'drizzle'))) {
    const up = dirname(at);
    if (up === at) throw new Error('the migrations in server/drizzle are missing');
    at = up;
  }
  return at;
}

async function openDb(root: string, directory: string, shared: boolean): Promise<OpenDb> {
  const migrations = join(root, 'server', 'drizzle');
  const url = shared ? process.env['DATABASE_URL'] : undefined;
  if (url) {
    say(words.opensShared);
    return openPostgres(url, migrations);
  }
  say(existsSync(join(directory, 'db')) ? words.opens(directory) : words.makes(directory));
  return openPglite(directory, migrations);
}

const RENEW_MS = 12 * 3_600_000;

/** HTTPS wherever the network can listen: the grower's certificate, or one made here; none on this machine alone. */
async function certificateOf(guard: GuardOptions, directory: string): Promise<Certificate | null> {
  const [cert, key, https] = ['FOGATA_CERT', 'FOGATA_KEY', 'FOGATA_HTTPS'].map((n) => process.env[n]);
  if ((cert === undefined) !== (key === undefined)) throw new CannotStart(words.bothOrNeither);
  try {
    if (cert !== undefined && key !== undefined) return ownCertificate(cert, key);
  } catch (e) {
    throw new CannotStart((e as Error).message);
  }
  if (isLoopback(guard.host) || https === 'off') return null;
  const names = [...allowedNames(guard)].filter(
    (n) => !['0.0.0.0', '::'].includes(n) && !n.startsWith('fe80:'),
  );
  return madeCertificate(join(directory, 'tls'), names, Date.now());
}

/** What follows a word on the command line, null without the word. */
function valueOf(word: string): string | null {
  const at = process.argv.indexOf(word);
  return at < 0 ? null : (process.argv[at + 1] ?? '');
}

/** Fills the passing directory from a backup, and gives the weather of the rehearsal. */
async function rehearse(db: Db, file: string): Promise<{ seed: number; episodes: Episode[] }> {
  if (!existsSync(resolve(file))) throw new CannotStart(words.noBackupThere(file));
  await readBackup(db, resolve(file));
  const { farm } = await loadFarm(db, Date.now(), false, db);
  const startAtMs = practiceStartAtMs(farm, Date.now(), valueOf('--on') ?? undefined);
  await preparePractice(db, startAtMs);
  say(words.practice);
  return { seed: DEMO_SEED, episodes: practiceWeather(farm, startAtMs) };
}

async function main(): Promise<void> {
  const demo = process.argv.includes('--demo');
  const practice = valueOf('--practice');
  const root = findRoot();
  // of a rehearsal nothing is kept
  const passing = practice === null ? null : mkdtempSync(join(tmpdir(), 'fogata-practice-'));
  if (passing) process.on('exit', () => rmSync(passing, { recursive: true, force: true }));
  const directory =
    passing ?? resolve(process.env['FOGATA_DATA'] ?? join(root, demo ? '.fogata-demo' : '.fogata'));
  const port = Number(process.env['PORT'] ?? (passing ? 4311 : 4310));
  const host = process.env['HOST'] ?? '127.0.0.1';
  const passcode = process.env['FOGATA_PASSCODE'] ?? null;
  if (!isLoopback(host) && (passcode === null || passcode.length < 8))
    throw new CannotStart(words.noPasscode(host));
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new CannotStart(words.notAPort(process.env['PORT']));
  const threads = Number(process.env['FOGATA_THREADS'] ?? usualThreads());
  if (!Number.isInteger(threads) || threads < 1 || threads > 64)
    throw new CannotStart(words.notThreads(process.env['FOGATA_THREADS']));
  const { db, locks, writes, close } = await openDb(root, directory, passing === null);
  const restore = valueOf('--restore');
  if (restore !== null) {
    const counts = await readBackup(db, resolve(restore));
    await close();
    say(words.restored(directory, counts));
    return;
  }
  if (demo && (await loadDemo(db))) say(words.demo);
  const rehearsal = practice === null ? null : await rehearse(db, practice);
  const invented = rehearsal ?? (demo ? { seed: DEMO_SEED, episodes: DEMO_EPISODES } : null);
  const clock = invented
    ? demoClock(Number((await readMeta(db, 'clockMs')) ?? DEMO_START_MS), (ms) =>
        writeMeta(db, 'clockMs', String(ms)),
      )
    : realClock;
  const guard: GuardOptions = {
    host,
    names: (process.env['FOGATA_NAMES'] ?? '')
      .split(',')
      .map((n) => n.trim())
      .filter(Boolean),
    passcode: isLoopback(host) && !process.env['FOGATA_PASSCODE'] ? null : passcode,
  };
  const certificate = await certificateOf(guard, directory);
  const pool = startPool(join(root, 'server', 'dist', 'worker.mjs'), threads);
  const { app, context } = makeApp(
    {
      db,
      clock,
      pool,
      townsFile: join(root, 'server', 'data', 'towns.tsv'),
      locks,
      writes,
      version: versionOf(root),
      farmId: await farmIdOf(db),
      ...(invented ? { sources: demoSources(db, invented), practice: practice !== null } : {}),
      ...(process.env['FOGATA_MEMBERS'] ? { members: Number(process.env['FOGATA_MEMBERS']) } : {}),
    },
    join(root, 'app', 'dist'),
    { ...guard, authority: certificate?.authority ?? null },
  );
  const plain = certificate === null ? createServer(app) : null;
  const door = certificate === null ? null : frontDoor(app, certificate, allowedNames(guard));
  const server = door?.server ?? plain!;
  // a server that is never started anew outlives its certificate, and machines change their addresses
  setInterval(() => {
    certificateOf(guard, directory)
      .then((now) => now && door?.renew(now))
      .catch((e: Error) => warn(words.notRenewed(e.message)));
  }, RENEW_MS).unref();
  await new Promise<void>((done, fail) => {
    server.once('error', fail);
    server.listen(port, host, done);
  });
  if (!isLoopback(host) && certificate === null) say(words.openToAll);
  const scheme = certificate === null ? 'http' : 'https';
  const kind = demo ? 'demo' : practice ? 'practice' : null;
  say(words.isAt(kind, `${scheme}://${host.includes(':') ? `[${host}]` : host}:${port}`));
  if (certificate?.authority)
    say(words.trust(`${port}${AUTHORITY_PATH}`, fingerprintOf(certificate.authority)));
  // the first night is worked out before anyone asks
  void context
    .moment()
    .then((m) => context.planner.ask(m.data, m.weather, m.nowAtMs))
    .catch((e: Error) => warn(words.noFirstNight(e.message)));

  const stopPolling = startPolling(db, locks, () => clock.nowAtMs());
  const stopLookout = startLookout(context, locks, fileSink(join(directory, 'messages.jsonl')));
  // of the demo there is nothing to keep
  const stopBackups = invented
    ? () => {}
    : startBackups(db, locks, join(directory, 'backups'), () => clock.nowAtMs());
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    say(words.closing);
    context.stop();
    stopPolling();
    stopLookout();
    stopBackups();
    door?.close();
    plain?.close();
    plain?.closeAllConnections();
    await pool.close();
    await close();
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
}

main().catch((error: unknown) => {
  const e = error as NodeJS.ErrnoException;
  if (error instanceof DirectoryInUse || error instanceof CannotStart || error instanceof Problem)
    warn(error.message);
  else if (e.code === 'EADDRINUSE') warn(words.portTaken(process.env['PORT'] ?? '4310'));
  else if (e.code === 'EACCES' || e.code === 'EROFS' || e.code === 'ENOSPC')
    warn(words.notWritable(e.code, e.message));
  else if (e.code === 'ECONNREFUSED') warn(words.noDatabase);
  else warn(words.failed(e.message, e.stack ?? ''));
  process.exit(1);
});
