/** A farm of one's own for each test: the built server on a free port with a fresh copy of a data directory. */
import axe from 'axe-core';
import { expect, test as base, type Page } from '@playwright/test';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Host } from './host';

export const ROOT = join(__dirname, '..', '..');
const MAIN = join(ROOT, 'server', 'dist', 'main.mjs');

export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const s = createServer();
    s.listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number };
      s.close(() => resolve(port));
    });
  });
}

/** A server that lives for half a minute has no use for a database that is compiled to run for a winter. */
const QUICK_START = ['--liftoff-only'];

/** Fewer than a farm has: the journeys are about what is done, core's tests about how sure it is. */
const MEMBERS = 3;

/** Longer than the slowest making: whoever began it is gone then, and it is made here. */
const PATIENCE_MS = 280_000;

export class Farm {
  private child: ChildProcess | null = null;
  output = '';

  constructor(
    readonly directory: string,
    readonly port: number,
    readonly demo: boolean,
    private readonly env: Record<string, string> = {},
    private readonly words: readonly string[] = [],
    /** Where it is served; by a process of its own where there is none. */
    private readonly host: Host | null = null,
  ) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const words = [...(this.demo ? ['--demo'] : []), ...this.words];
    const settings = {
      FOGATA_MEMBERS: String(MEMBERS),
      // as many journeys as cores are under way: more threads only wait for each other
      FOGATA_THREADS: '1',
      ...process.env,
      PORT: String(this.port),
      FOGATA_DATA: this.directory,
      ...this.env,
    };
    const take = (chunk: Buffer | string) => void (this.output += String(chunk));
    if (this.host) return this.host.serve(this.port, words, settings, take);
    const child = spawn(process.execPath, [...QUICK_START, MAIN, ...words], { cwd: ROOT, env: settings });
    this.child = child;
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    for (let i = 0; i < 2400; i++) {
      if (child.exitCode !== null) throw new Error(`the server ended: ${this.output}`);
      try {
        // behind HTTPS it says so itself: its authority is not known here yet
        if (this.env['HOST'] ? this.output.includes('is at') : (await fetch(`${this.url}/api/health`)).ok)
          return;
      } catch {
        // not up yet
      }
      await new Promise((r) => setTimeout(r, 50));
    }
    throw new Error(`the server did not start in two minutes: ${this.output}`);
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<number | null> {
    if (this.host) {
      if (signal !== 'SIGTERM') throw new Error('only a farm with a process of its own can be killed');
      await this.host.stop(this.port);
      return null;
    }
    const child = this.child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return child?.exitCode ?? null;
    const ended = new Promise<number | null>((resolve) => child.once('close', resolve));
    child.kill(signal);
    return ended;
  }

  async api<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.url}${path}`)).json()) as T;
  }

  /** Waits until what is asked for there is worked out: each answer takes time from that, so it is asked seldom. */
  private async worked(path: string): Promise<void> {
    const untilMs = Date.now() + PATIENCE_MS;
    for (let ms = 100; Date.now() < untilMs; ms = Math.min(800, 2 * ms)) {
      const { progress } = await this.api<{ progress: { state: string } }>(path);
      if (progress.state !== 'computing') return;
      await new Promise((r) => setTimeout(r, ms));
    }
    throw new Error(`${path} was not worked out in ${PATIENCE_MS / 1000} s`);
  }

  /** Waits until the night is worked out. */
  ready(): Promise<void> {
    return this.worked('/api/now');
  }

  /** Waits until the years of all that stands and is planned, and of what could stand, and the weeks of shade are gone through. */
  async yearsReady(): Promise<void> {
    for (const of of ['relay', 'shade', 'season']) await this.worked(`/api/${of}`);
  }
}

/** The farm that the server's own tests began with, where they left it: the same, worked out by the same code. */
function unpackFarm(into: string, demo: boolean): void {
  const dump = join(process.env['FOGATA_TEMPLATES']!, demo ? `demo-${MEMBERS}.tar` : 'empty.tar');
  if (!existsSync(dump)) return;
  mkdirSync(join(into, 'db'));
  execFileSync('tar', ['-xf', dump, '-C', join(into, 'db'), '--no-same-owner'], { stdio: 'ignore' });
}

/** A directory is made once and kept, by whichever worker asks first; every test gets a copy of it. */
async function template(demo: boolean): Promise<string> {
  const directory = join(process.env['FOGATA_TEMPLATES']!, demo ? 'demo' : 'empty');
  const making = `${directory}.making`;
  const until = Date.now() + PATIENCE_MS;
  while (!existsSync(directory)) {
    try {
      mkdirSync(making);
    } catch {
      if (Date.now() < until) {
        await new Promise((r) => setTimeout(r, 200));
        continue;
      }
      rmSync(making, { recursive: true, force: true });
      mkdirSync(making);
    }
    unpackFarm(making, demo);
    const farm = new Farm(making, await freePort(), demo);
    await farm.start();
    // the first night and the years are kept: no copy has to work them out again
    if (demo) {
      await farm.ready();
      await farm.yearsReady();
    }
    await farm.stop();
    renameSync(making, directory);
  }
  return directory;
}

/** A directory of a farm that nobody has touched yet, or of the demo: made in a tenth of the time that a new one takes. */
export async function freshDirectory(demo = false): Promise<string> {
  const directory = mkdtempSync(join(tmpdir(), 'fogata-e2e-'));
  cpSync(await template(demo), directory, { recursive: true });
  return directory;
}

export const test = base.extend<
  { demo: boolean; members: number; ownProcess: boolean; farm: Farm },
  { host: Host }
>({
  host: [
    async ({ browserName: _any }, use) => {
      const host = new Host(QUICK_START);
      await use(host);
      host.end();
    },
    { scope: 'worker' },
  ],
  demo: [true, { option: true }],
  members: [MEMBERS, { option: true }],
  // for what is killed, or has its clock moved
  ownProcess: [false, { option: true }],
  farm: async ({ demo, members, ownProcess, host }, use) => {
    const directory = await freshDirectory(demo);
    const settings = { FOGATA_MEMBERS: String(members) };
    const farm = new Farm(directory, await freePort(), demo, settings, [], ownProcess ? null : host);
    await farm.start();
    await use(farm);
    await farm.stop();
    rmSync(directory, { recursive: true, force: true });
  },
});

export { expect };

const RULES: axe.RunOptions = {
  resultTypes: ['violations'],
  runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
};

/** axe finds nothing on what is on screen; it comes to a page once, for all the looks at it. */
export async function accessible(page: Page): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const found = await page.evaluate(async (rules) => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(document, rules);
    return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`);
  }, RULES);
  expect(found).toEqual([]);
}

/** Nothing to press is smaller than a wet glove needs. */
export async function glovesFit(page: Page): Promise<void> {
  const small = await page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        '[role=button],[role=link],[role=switch],[role=checkbox],[role=radio],button,a',
      ),
    ]
      .map((e) => ({ name: e.getAttribute('aria-label') ?? e.textContent, box: e.getBoundingClientRect() }))
      .filter(({ box }) => box.width > 0 && (box.width < 47.5 || box.height < 47.5))
      .map(({ name, box }) => `${name}: ${Math.round(box.width)} × ${Math.round(box.height)}`),
  );
  expect(small).toEqual([]);
}
