/** A real server on a real database in memory, with real worker threads; the demo farm, its clock set by the test. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import request from 'supertest';
import { makeApp } from '../src/app';
import type { Context } from '../src/context';
import { demoClock } from '../src/clock';
import { openPglite, type OpenDb } from '../src/db/open';
import { loadDemo } from '../src/demo/load';
import { DEMO_EPISODES, DEMO_SEED, DEMO_START_MS } from '../src/demo/seed';
import { startPool } from '../src/night/pool';
import { demoSources } from '../src/standins/demo';
import type { NowView } from '@fogata/contract';

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
  now: () => Promise<NowView>;
  close: () => Promise<void>;
}

/** Enough outcomes for everything but the width of a band. */
const FEW_MEMBERS = 8;

export async function startTestServer(demo = true, members = FEW_MEMBERS): Promise<TestServer> {
  const pool = startPool(buildServer());
  const open = await openPglite(null, MIGRATIONS);
  if (demo) await loadDemo(open.db);
  const clock = demoClock(DEMO_START_MS, () => Promise.resolve());
  const { app, context } = makeApp(
    {
      db: open.db,
      clock,
      pool,
      townsFile: TOWNS,
      members,
      ...(demo ? { sources: demoSources(open.db, { seed: DEMO_SEED, episodes: DEMO_EPISODES }) } : {}),
    },
    null,
  );
  const api = request(app);
  return {
    api,
    open,
    pool,
    context,
    now: async () => {
      for (let i = 0; i < 1200; i++) {
        const view = (await api.get('/api/now').expect(200)).body as NowView;
        if (view.progress.state !== 'computing') return view;
        await new Promise((r) => setTimeout(r, 100));
      }
      throw new Error('the night was not worked out in two minutes');
    },
    close: async () => {
      context.planner.stop();
      await pool.close();
      await open.close();
    },
  };
}
