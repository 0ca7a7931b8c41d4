/**
 * First words: from asking for Now to its first sentence on screen, beside a page that is one line of HTML, each in a fresh
 * browser with nothing kept; and what of JavaScript comes before it, gzipped.
 */
import { chromium } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { canDraw, CHROMIUM, median, withServer } from './server';

const js = join(__dirname, '..', '..', 'app', 'dist', '_expo', 'static', 'js', 'web');
const TIMES = 7;

/** Milliseconds from navigation to the first paint of words. */
const PAINTED = `new Promise((done) => new PerformanceObserver((list) => {
  const paint = list.getEntriesByName('first-contentful-paint')[0];
  if (paint) done(paint.startTime);
}).observe({ type: 'paint', buffered: true }))`;

async function each(run: (page: import('@playwright/test').Page) => Promise<number>): Promise<number> {
  const all: number[] = [];
  for (let i = 0; i <= TIMES; i++) {
    const browser = await chromium.launch({
      executablePath: CHROMIUM,
      args: ['--no-sandbox', '--disable-gpu'],
    });
    const ms = await run(await browser.newPage({ viewport: { width: 390, height: 844 } }));
    if (i > 0) all.push(ms);
    await browser.close();
  }
  return median(all);
}

export async function first(say: (line: string) => void): Promise<void> {
  say(`\nFirst words, in a fresh Chromium with nothing kept, median of ${TIMES}`);
  if (!canDraw()) return say('  not measured: it takes Chromium and a built app (npm test makes both)');
  for (const file of readdirSync(js).filter((name) => name.endsWith('.js')))
    say(
      `  ${file.replace(/-[0-9a-f]+\.js$/, '')}: ${Math.round(gzipSync(readFileSync(join(js, file))).length / 1000)} kB gzipped`,
    );
  const bare = createServer((_, res) =>
    res.setHeader('content-type', 'text/html').end('<p>Cover N2 by 17:10.</p>'),
  );
  await new Promise<void>((r) => bare.listen(0, '127.0.0.1', r));
  const bareMs = await each(async (page) => {
    await page.goto(`http://127.0.0.1:${(bare.address() as AddressInfo).port}/`);
    return (await page.evaluate(PAINTED)) as number;
  });
  bare.close();
  await withServer(4397, true, async (url) => {
    // the night is worked out first, or both cores are at that
    type Now = { progress: { state: string } };
    const ready = async () =>
      ((await (await fetch(`${url}/api/now`)).json()) as Now).progress.state === 'ready';
    for (let i = 0; i < 120 && !(await ready()); i++) await new Promise((r) => setTimeout(r, 500));
    const painted = await each(async (page) => {
      await page.goto(url);
      return (await page.evaluate(PAINTED)) as number;
    });
    const told = await each(async (page) => {
      await page.goto(url);
      await page.getByTestId('sentence').waitFor({ timeout: 60_000 });
      return (await page.evaluate('performance.now()')) as number;
    });
    say(
      `  a bare page: ${bareMs.toFixed(0)} ms; Now's first words: ${painted.toFixed(0)} ms; its sentence: ${told.toFixed(0)} ms`,
    );
  });
}
