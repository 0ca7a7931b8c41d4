/** `npm run shots`: the main views from the demo's data, into docs/screenshots. */
import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Farm, ROOT } from './farm';
import { CHROMIUM } from './chromium';

const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

// the pictures show what a farm sees
process.env['FOGATA_MEMBERS'] = '20';

async function main(): Promise<void> {
  const directory = mkdtempSync(join(tmpdir(), 'fogata-shots-'));
  const farm = new Farm(directory, 4391, true);
  await farm.start();
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
    ],
  });
  const page = await browser.newPage({ viewport: PHONE });
  const shot = async (name: string, path: string, size = PHONE, scroll: [string, number] | null = null) => {
    await page.setViewportSize(size);
    await page.goto(`${farm.url}${path}`);
    await settle(page);
    if (scroll) {
      await page.getByTestId(scroll[0]).evaluate((e, top) => (e.scrollTop = top), scroll[1]);
      await page.waitForTimeout(200);
    }
    await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', `${name}.png`) });
  };
  const settle = async (p: Page) => {
    await farm.ready();
    await p.waitForTimeout(1800);
  };
  const clock = (body: object) =>
    fetch(`${farm.url}/api/clock`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });

  await shot('now-afternoon', '/');
  await shot('now-wide', '/', WIDE);
  await shot('place', '/place/n2');
  await shot('beds', '/beds');
  await shot('kit', '/kit');
  // January's week, and how one planting has fared
  await page.goto(`${farm.url}/season`);
  await page.getByTestId('season-job').first().waitFor({ timeout: 60_000 });
  await page.getByText('Going through').first().waitFor({ state: 'hidden', timeout: 180_000 });
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'season.png') });
  await page.setViewportSize(WIDE);
  await page.goto(`${farm.url}/board`);
  await page.getByTestId('quarrels').waitFor({ timeout: 180_000 });
  await page.getByText('Going through').waitFor({ state: 'hidden', timeout: 180_000 });
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'board.png') });
  await shot('board-phone', '/board');
  await shot('story', '/story/p01');
  await shot('water', '/water');
  await shot('plan-wide', '/plan', WIDE);
  await shot('round', '/round');
  await page.setViewportSize(PHONE);
  await page.goto(`${farm.url}/ask`);
  await page.getByTestId('arc-outer').click();
  await page.getByTestId('arc-middle').click();
  await page.getByRole('radio', { name: 'spinach' }).click();
  for (let i = 0; i < 2; i++)
    await page.getByRole('button', { name: 'Tonight’s lowest, outside down 5' }).click();
  await page.getByTestId('ask-result').waitFor();
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'ask.png') });

  await page.goto(`${farm.url}/ahead`);
  await page.getByTestId('together').waitFor({ timeout: 180_000 });
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'ahead.png') });
  await page.setViewportSize(PHONE);
  await page.goto(farm.url);
  await settle(page);
  const open = page.locator('[data-testid="job-tick"][aria-checked="false"]');
  for (let i = 0; i < 25 && (await open.count()) > 0; i++) {
    await open.first().click();
    await settle(page);
  }
  await clock({ move: 'hour' });
  const { nowAtMs } = await farm.api<{ nowAtMs: number }>('/api/health');
  await clock({ toAtMs: nowAtMs + 6 * 3_600_000 });
  await shot('now-night', '/');
  await clock({ move: 'morning' });
  await shot('now-morning', '/');
  for (let i = 0; i < 5; i++) {
    await page.getByTestId('take-thermometer').click();
    await page.getByTestId('note-reading').click();
    await page.waitForTimeout(900);
  }
  const { clock: at } = await farm.api<{ clock: { window: { night: string } } }>('/api/farm');
  await shot('night', `/night/${at.window.night}`);
  await shot('log', '/log', PHONE, ['log', 180]);

  // the year is asked about in summer
  await clock({ toAtMs: Date.parse('2027-08-25T08:00:00Z') });
  await page.setViewportSize(PHONE);
  await page.goto(`${farm.url}/season/spinach`);
  await page.getByTestId('year-strip').first().waitFor({ timeout: 60_000 });
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'season-crop.png') });
  await browser.close();
  await farm.stop();
  rmSync(directory, { recursive: true, force: true });
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
