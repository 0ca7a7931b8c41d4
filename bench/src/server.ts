/** The built server on a fresh directory, and a browser on a phone's screen, for benchmarks that need both. */
import { chromium, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(__dirname, '..', '..');
export const CHROMIUM = process.env['FOGATA_CHROMIUM'] ?? '/usr/bin/chromium';

/** Whether there is something to draw with: `npm test` makes both. */
export const canDraw = () => existsSync(CHROMIUM) && existsSync(join(root, 'app', 'dist', 'index.html'));

export async function withServer(
  port: number,
  demo: boolean,
  run: (url: string) => Promise<void>,
): Promise<void> {
  const url = `http://127.0.0.1:${port}`;
  const directory = mkdtempSync(join(tmpdir(), 'fogata-bench-'));
  const server = spawn(
    process.execPath,
    [join(root, 'server', 'dist', 'main.mjs'), ...(demo ? ['--demo'] : [])],
    {
      cwd: root,
      env: { ...process.env, PORT: String(port), FOGATA_DATA: directory },
      stdio: 'ignore',
    },
  );
  try {
    const up = () =>
      fetch(`${url}/api/health`).then(
        (r) => r.ok,
        () => false,
      );
    for (let i = 0; i < 600 && server.exitCode === null && !(await up()); i++)
      await new Promise((r) => setTimeout(r, 100));
    if (server.exitCode !== null) throw new Error(`the server ended at its start: is port ${port} taken?`);
    await run(url);
  } finally {
    if (server.exitCode === null) {
      const ended = new Promise((r) => server.once('exit', r));
      server.kill('SIGTERM');
      await ended;
    }
    rmSync(directory, { recursive: true, force: true });
  }
}

export async function withPage(run: (page: Page) => Promise<void>): Promise<void> {
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
  });
  await run(await browser.newPage({ viewport: { width: 390, height: 844 } }));
  await browser.close();
}

export async function timed<T>(run: () => Promise<T>): Promise<[number, T]> {
  const started = performance.now();
  const value = await run();
  return [performance.now() - started, value];
}

export function median(list: readonly number[]): number {
  return [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
}
