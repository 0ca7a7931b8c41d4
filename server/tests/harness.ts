/** A real server on a real database in memory, with real worker threads; the demo farm, its clock set by the test. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import express, { type RequestHandler } from 'express';
import type { PGlite } from '@electric-sql/pglite';
import request from 'supertest';
import { makeApp } from '../src/app';
import type { Context } from '../src/context';
import { demoClock } from '../src/clock';
import { openPglite, type OpenDb } from '../src/db/open';
import { loadDemo } from '../src/demo/load';
import { DEMO_EPISODES, DEMO_SEED, DEMO_START_MS } from '../src/demo/seed';
import { startPool } from '../src/night/pool';
import { demoSources } from '../src/standins/demo';
import { versionOf } from '../src/version';
import { madeOnce } from './template';
import { told, type Style, type Told } from '@fogata/core/words';
import type { NowView, RelayView, SeasonView, ShadeView } from '@fogata/contract';
import { api as endpoints } from '@fogata/contract/client';

const ROOT = join(__dirname, '..', '..');
export const MIGRATIONS = join(ROOT, 'server', 'drizzle');
export const TOWNS = join(ROOT, 'server', 'data', 'towns.tsv');

/** Built once for all suites where `npm test` says that it has done it. */
export function buildServer(): string {
  if (process.env['FOGATA_BUILT'] === undefined)
    execFileSync(process.execPath, [join(ROOT, 'scripts', 'build-server.mjs')]);
  return join(ROOT, 'server', 'dist', 'worker.mjs');
}

export interface TestServer {
  api: ReturnType<typeof request>;
  open: OpenDb;
  pool: ReturnType<typeof startPool>;
  context: Context;
  /** Waits until the night is worked out. */
  now: () => Promise<Told<NowView>>;
  /** Waits until that is, and the years of all that stands and of all crops, and the weeks of shade, are gone through and kept. */
  years: () => Promise<void>;
  close: () => Promise<void>;
}

const PROMISED = Object.entries(endpoints).map(([name, e]) => ({
  name,
  method: e.method,
  answer: e.answer,
  at: new RegExp(`^${e.path.replace(/:\w+/g, '[^/]+')}$`),
}));

/**
 * Every answer is held to what its endpoint promises, to the last field: one that says more or less fails its test. What is promised comes
 * out in the farm's words, as the grower reads it.
 */
const asPromised =
  (styleOf: () => Promise<Style>): RequestHandler =>
  (req, res, next) => {
    const json = res.json.bind(res);
    const path = req.path;
    res.json = (body: unknown) => {
      const promised = PROMISED.find((e) => e.method === req.method && e.at.test(path));
      if (res.statusCode < 400 && promised) {
        const sent = JSON.parse(JSON.stringify(body)) as unknown;
        const read = promised.answer.safeParse(sent);
        const lost = read.success ? missing(sent, read.data, '') : read.error.issues[0]!.path.join('.');
        if (lost !== null)
          throw new Error(`${req.method} ${path} answers other than ${promised.name}: ${lost}`);
        void styleOf().then((style) => json(told(body, style)));
        return res;
      }
      return json(body);
    };
    next();
  };

/** The path of something that was sent and is not promised, or null. */
function missing(sent: unknown, read: unknown, path: string): string | null {
  if (typeof sent !== 'object' || sent === null) return null;
  if (typeof read !== 'object' || read === null) return path;
  for (const [k, v] of Object.entries(sent)) {
    if (!(k in read)) return `${path}.${k}`;
    const found = missing(v, (read as Record<string, unknown>)[k], `${path}.${k}`);
    if (found !== null) return found;
  }
  return null;
}

/** Enough outcomes for everything but the width of a band. */
const FEW_MEMBERS = 3;

/**
 * The farm's database as it is when nobody has touched it: the demo's first night, the years of all that stands there and of what could, where it comes from
 * a template, are worked out.
 */
async function farmOf(demo: boolean, members: number): Promise<OpenDb> {
  const make = async () => {
    // the other suites wait for it meanwhile
    const s = serve(await fresh(demo), demo, members, 2);
    if (demo) await s.years();
    const dump = await (s.open.db as unknown as { $client: PGlite }).$client.dumpDataDir('none');
    await s.close();
    return dump;
  };
  const made = await madeOnce(demo ? `demo-${members}.tar` : 'empty.tar', make);
  return made ? openPglite(null, MIGRATIONS, made as Blob) : fresh(demo);
}

/** A database with every table and nothing in it. */
export async function bareDb(): Promise<OpenDb> {
  const make = async () => {
    const open = await openPglite(null, MIGRATIONS);
    const dump = await (open.db as unknown as { $client: PGlite }).$client.dumpDataDir('none');
    await open.close();
    return dump;
  };
  const made = await madeOnce('bare.tar', make);
  return openPglite(null, MIGRATIONS, made ? (made as Blob) : undefined);
}

async function fresh(demo: boolean): Promise<OpenDb> {
  const open = await bareDb();
  if (demo) await loadDemo(open.db);
  return open;
}

export async function startTestServer(demo = true, members = FEW_MEMBERS): Promise<TestServer> {
  return serve(await farmOf(demo, members), demo, members);
}

function serve(open: OpenDb, demo: boolean, members: number, threads = 1): TestServer {
  const pool = startPool(buildServer(), threads);
  const clock = demoClock(DEMO_START_MS, () => Promise.resolve());
  const { app, context } = makeApp(
    {
      db: open.db,
      writes: open.writes,
      clock,
      pool,
      townsFile: TOWNS,
      members,
      // as the built server has it, which then finds what is kept here
      version: versionOf(ROOT),
      ...(demo ? { sources: demoSources(open.db, { seed: DEMO_SEED, episodes: DEMO_EPISODES }) } : {}),
    },
    null,
  );
  const outer = express().use(
    asPromised(async () => (await context.moment()).style),
    app,
  );
  const api = request(outer);
  const ready = async <V extends { progress: { state: string } }>(path: string): Promise<V> => {
    // each answer takes the thread that works it out: ask seldom
    const untilMs = Date.now() + 280_000;
    for (let ms = 50; Date.now() < untilMs; ms = Math.min(400, 2 * ms)) {
      const view = (await api.get(path).expect(200)).body as V;
      if (view.progress.state !== 'computing') return view;
      await sleep(ms);
    }
    throw new Error(`${path} was not worked out in five minutes`);
  };
  const now = () => ready<Told<NowView>>('/api/now');
  return {
    api,
    open,
    pool,
    context,
    now,
    years: async () => {
      await now();
      await ready<Told<RelayView>>('/api/relay');
      await ready<Told<ShadeView>>('/api/shade');
      await ready<Told<SeasonView>>('/api/season');
      // an answer is kept a moment after it is given
      await sleep(500);
    },
    close: async () => {
      context.stop();
      await pool.close();
      await open.close();
    },
  };
}
