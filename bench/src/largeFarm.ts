/** A farm of 100 structures and 1,000 beds: how long it takes to be taken, read, changed and drawn. Real server, real browser. */
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(__dirname, '..', '..');
const PORT = 4397;
const URL_ = `http://127.0.0.1:${PORT}`;

const structures = Array.from({ length: 100 }, (_, i) => ({
  id: `s${i}`,
  name: `House ${i + 1}`,
  kind: 'house',
  shape: 'arch',
  sides: 'cover',
  lengthM: 20,
  widthM: 14,
  heightM: 3,
  material: 'pe-film',
  plies: 1,
  tightness: 'average',
  ventAreaM2: 8,
  order: i,
  at: { xM: (i % 10) * 26, yM: -Math.floor(i / 10) * 20, turnDeg: 90 },
}));
const beds = structures.flatMap((s, i) =>
  Array.from({ length: 10 }, (_, j) => ({
    id: `b${i}-${j}`,
    structureId: s.id,
    name: `B${j + 1}`,
    lengthM: 18,
    widthM: 1,
    rows: 4,
    on: 'ground',
    texture: 'loam',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: 0.5,
    order: j,
  })),
);

async function timed<T>(run: () => Promise<T>): Promise<[number, T]> {
  const started = performance.now();
  const value = await run();
  return [performance.now() - started, value];
}

async function median(times: number, run: () => Promise<unknown>): Promise<number> {
  const all: number[] = [];
  for (let i = 0; i < times; i++) all.push((await timed(run))[0]);
  return all.sort((a, b) => a - b)[Math.floor(times / 2)]!;
}

const send = async (path: string, method: string, body: object) => {
  const res = await fetch(`${URL_}${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!res.ok) throw new Error(`${method} ${path}: ${res.status} ${await res.text()}`);
};

export async function largeFarm(say: (line: string) => void): Promise<void> {
  say('\nA farm of 100 structures and 1,000 beds, nothing planted');
  const directory = mkdtempSync(join(tmpdir(), 'fogata-bench-'));
  const server = spawn(process.execPath, [join(root, 'server', 'dist', 'main.mjs')], {
    cwd: root,
    env: { ...process.env, PORT: String(PORT), FOGATA_DATA: directory },
    stdio: 'ignore',
  });
  try {
    for (let i = 0; i < 600; i++) {
      if (
        await fetch(`${URL_}/api/health`).then(
          (r) => r.ok,
          () => false,
        )
      )
        break;
      await new Promise((r) => setTimeout(r, 100));
    }
    const file = (await (await fetch(`${URL_}/api/farm/file`)).json()) as object;
    const [taken] = await timed(() =>
      send('/api/farm/file', 'POST', { dryRun: false, file: { ...file, structures, beds } }),
    );
    const read = await median(7, async () => (await fetch(`${URL_}/api/beds`)).arrayBuffer());
    const put = await median(7, () => send('/api/structures/s5', 'PUT', structures[5]!));
    say(
      `  taken from a file in ${(taken / 1000).toFixed(2)} s; all read in ${read.toFixed(0)} ms; one changed in ${put.toFixed(0)} ms`,
    );
    const path = process.env['FOGATA_CHROMIUM'] ?? '/usr/bin/chromium';
    if (!existsSync(path) || !existsSync(join(root, 'app', 'dist', 'index.html'))) {
      say('  not drawn: it takes Chromium and a built app (npm test makes both)');
      return;
    }
    const browser = await chromium.launch({
      executablePath: path,
      args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
    });
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(`${URL_}/beds`);
    await page.getByTestId('open-plan').waitFor();
    const [drawn] = await timed(async () => {
      await page.getByTestId('open-plan').click();
      await page.getByTestId('farm-plan').locator('polygon').nth(1099).waitFor({ state: 'attached' });
    });
    await page.goto(`${URL_}/plan?structure=s5`);
    const east = page.getByTestId('plan-east-value');
    await east.waitFor();
    const moves: number[] = [];
    for (let i = 0; i < 5; i++) {
      const before = await east.textContent();
      const [ms] = await timed(async () => {
        await page.getByRole('button', { name: 'East up 5', exact: true }).click();
        while ((await east.textContent()) === before) await page.waitForTimeout(4);
      });
      moves.push(ms);
    }
    moves.sort((a, b) => a - b);
    say(
      `  on a phone’s screen: plan drawn ${drawn.toFixed(0)} ms after the tap; a structure moved, kept and drawn anew in ${moves[2]!.toFixed(0)} ms`,
    );
    await browser.close();
  } finally {
    server.kill('SIGTERM');
    await new Promise((r) => server.once('exit', r));
    rmSync(directory, { recursive: true, force: true });
  }
}
