/**
 * One farm's server: data directory, migrations, the demo where asked for, workers, one port for app and API. Contract: `serve(order)`
 * answers when it listens, and null where there was only a backup to restore; `stop` leaves nothing of it running or open; what cannot
 * be is thrown, and nothing stays open then. Of the process that it is in it takes nothing: see main.ts.
 */
import { starting as words } from '@fogata/words/en/told/starting';
import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
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
import { AUTHORITY_PATH, frontDoor } from './front';
import { allowedNames, isLoopback, type GuardOptions } from './guard';
import { startLookout } from './messages/look';
import { fileSink } from './messages/sink';
import { startPool } from './night/pool';
import { CannotStart, readOrder, type Order, type Read } from './order';
import { Problem } from './problem';
import { startPolling } from './sources/poll';
import { demoSources, type Invented } from './standins/demo';
import { practiceStartAtMs, practiceWeather, preparePractice } from './standins/practice';
import { fingerprintOf, madeCertificate, ownCertificate, type Certificate } from './tls';
import { versionOf } from './version';

export interface Serving {
  stop: () => Promise<void>;
}

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

async function openDb(root: string, { directory, databaseUrl }: Read, say: Order['say']): Promise<OpenDb> {
  const migrations = join(root, 'server', 'drizzle');
  if (databaseUrl) {
    say(words.opensShared);
    return openPostgres(databaseUrl, migrations);
  }
  say(existsSync(join(directory, 'db')) ? words.opens(directory) : words.makes(directory));
  return openPglite(directory, migrations);
}

const RENEW_MS = 12 * 3_600_000;

/** The grower's certificate, null where none is named; refused before anything is made. */
function ownOf(settings: Order['settings']): Certificate | null {
  const [cert, key] = ['FOGATA_CERT', 'FOGATA_KEY'].map((n) => settings[n]);
  if ((cert === undefined) !== (key === undefined)) throw new CannotStart(words.bothOrNeither);
  if (cert === undefined || key === undefined) return null;
  try {
    return ownCertificate(cert, key);
  } catch (e) {
    throw new CannotStart((e as Error).message);
  }
}

/** HTTPS wherever the network can listen: the grower's certificate, or one made here; none on this machine alone. */
async function certificateOf(
  guard: GuardOptions,
  directory: string,
  settings: Order['settings'],
): Promise<Certificate | null> {
  const own = ownOf(settings);
  if (own || isLoopback(guard.host) || settings['FOGATA_HTTPS'] === 'off') return own;
  const names = [...allowedNames(guard)].filter(
    (n) => !['0.0.0.0', '::'].includes(n) && !n.startsWith('fe80:'),
  );
  return madeCertificate(join(directory, 'tls'), names, Date.now());
}

/** Fills the passing directory from a backup, and gives the weather of the rehearsal. */
async function rehearse(db: Db, file: string, on: string | null): Promise<Invented> {
  if (!existsSync(resolve(file))) throw new CannotStart(words.noBackupThere(file));
  await readBackup(db, resolve(file));
  const { farm } = await loadFarm(db, Date.now(), false, db);
  const startAtMs = practiceStartAtMs(farm, Date.now(), on ?? undefined);
  await preparePractice(db, startAtMs);
  return { seed: DEMO_SEED, episodes: practiceWeather(farm, startAtMs) };
}

export async function serve(order: Order): Promise<Serving | null> {
  const root = findRoot();
  const read = readOrder(order, root);
  ownOf(order.settings);
  const open = await openDb(root, read, order.say);
  try {
    if (read.restore !== null) {
      const counts = await readBackup(open.db, resolve(read.restore));
      await open.close();
      order.say(words.restored(read.directory, counts));
      return null;
    }
    return await listen(order, read, root, open);
  } catch (e) {
    await open.close();
    throw e;
  }
}

async function listen(
  { say, warn, settings }: Order,
  { demo, practice, on, directory, port, threads, guard, members }: Read,
  root: string,
  { db, locks, writes, close }: OpenDb,
): Promise<Serving> {
  if (demo && (await loadDemo(db))) say(words.demo);
  const rehearsal = practice === null ? null : await rehearse(db, practice, on);
  if (rehearsal) say(words.practice);
  const invented = rehearsal ?? (demo ? { seed: DEMO_SEED, episodes: DEMO_EPISODES } : null);
  const clock = invented
    ? demoClock(Number((await readMeta(db, 'clockMs')) ?? DEMO_START_MS), (ms) =>
        writeMeta(db, 'clockMs', String(ms)),
      )
    : realClock;
  const certificate = await certificateOf(guard, directory, settings);
  const farmId = await farmIdOf(db);
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
      farmId,
      ...(invented ? { sources: demoSources(db, invented), practice: practice !== null } : {}),
      ...(members ? { members } : {}),
    },
    join(root, 'app', 'dist'),
    { ...guard, authority: certificate?.authority ?? null },
  );
  const plain = certificate === null ? createServer(app) : null;
  const door = certificate === null ? null : frontDoor(app, certificate, allowedNames(guard));
  const server = door?.server ?? plain!;
  try {
    await new Promise<void>((done, fail) => {
      server.once('error', fail);
      server.listen(port, guard.host, done);
    });
  } catch (e) {
    context.stop();
    await pool.close();
    throw e;
  }
  // a server that is never started anew outlives its certificate, and machines change their addresses
  const renewing = setInterval(() => {
    certificateOf(guard, directory, settings)
      .then((now) => now && door?.renew(now))
      .catch((e: Error) => warn(words.notRenewed(e.message)));
  }, RENEW_MS).unref();
  if (!isLoopback(guard.host) && certificate === null) say(words.openToAll);
  const scheme = certificate === null ? 'http' : 'https';
  const kind = demo ? 'demo' : practice ? 'practice' : null;
  say(words.isAt(kind, `${scheme}://${guard.host.includes(':') ? `[${guard.host}]` : guard.host}:${port}`));
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
  const end = async () => {
    clearInterval(renewing);
    context.stop();
    stopPolling();
    stopLookout();
    stopBackups();
    door?.close();
    plain?.close();
    plain?.closeAllConnections();
    await pool.close();
    await close();
  };
  let ended: Promise<void> | null = null;
  return { stop: () => (ended ??= end()) };
}

/** What was thrown, in a sentence for who started it. */
export function whyNot(error: unknown, settings: Order['settings']): string {
  const e = error as NodeJS.ErrnoException;
  if (error instanceof DirectoryInUse || error instanceof CannotStart || error instanceof Problem)
    return error.message;
  if (e.code === 'EADDRINUSE') return words.portTaken(settings['PORT'] ?? '4310');
  if (e.code === 'EACCES' || e.code === 'EROFS' || e.code === 'ENOSPC')
    return words.notWritable(e.code, e.message);
  if (e.code === 'ECONNREFUSED') return words.noDatabase;
  return words.failed(e.message, e.stack ?? '');
}
