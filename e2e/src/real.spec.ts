/**
 * A real farm on a real clock: typed by hand on a phone, an evening, a night and a morning, and forty days later. Nothing on it
 * is invented; the clock is shifted for server and browser alike, and runs.
 */
import type { Page } from '@playwright/test';
import { DEMO } from './demoFarm';
import { at } from './clockAt';
import { expect, test } from './farm';

test.use({ demo: false, timezoneId: 'Europe/Madrid', serviceWorkers: 'allow', ownProcess: true });

const EVENING = Date.parse('2027-01-14T14:40:00Z');
const HOUR = 3_600_000;

const tell = async (page: Page, low: string) => {
  await page.getByTestId('tell-forecast').click();
  await page.getByTestId('typed-low-value').click();
  for (const key of [low, 'Change the sign', 'Set'])
    await page.getByRole('button', { name: key, exact: true }).click();
  await page.getByRole('button', { name: 'Highest up 5' }).click();
  await page.getByRole('radio', { name: 'still', exact: true }).click();
  await page.getByRole('radio', { name: 'clear', exact: true }).click();
  await page.getByTestId('typed-save').click();
};

test('an evening, a night, a morning without signal, and forty days later: nothing invented, nothing lost', async ({
  page,
  farm,
}) => {
  await at(EVENING, farm, page);
  const put = (path: string, body: object) => page.request.put(`${farm.url}${path}`, { data: body });
  await page.request.patch(`${farm.url}/api/farm`, { data: DEMO.farm });
  await put('/api/structures/north', DEMO.structure);
  await put('/api/beds/n2', DEMO.bed);
  await put('/api/covers/fleece30', DEMO.cover);
  await put('/api/plantings/p2', DEMO.planting);

  // the evening: it asks, is told, and says what to do
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toHaveText(
    'There is no forecast for tonight. Tell it what yours says.',
  );
  await expect(page.getByTestId('place-line')).toHaveCount(0);
  await tell(page, '8');
  await expect(page.getByTestId('sentence')).toContainText('−8 °C');
  await expect(page.getByTestId('doubt')).toContainText('days before');
  await expect(page.getByText(/simulated/)).toHaveCount(0);
  const job = page.getByTestId('job-cover').first();
  await expect(job).toContainText('Fleece 30 on N2');

  // two taps in a wet glove lay one sheet, and the list does not go blank
  await page.getByTestId('job-tick').first().click();
  await expect(page.getByTestId('jobs')).toContainText('1 of 1 done');
  await expect
    .poll(async () => (await farm.api<{ covers: { inUse: number }[] }>('/api/kit')).covers[0]!.inUse)
    .toBe(1);

  // the morning, without signal: the round is there and goes on, by the device's own clock
  const dawn = EVENING + 17 * HOUR;
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.goto(`${farm.url}/beds`);
  await expect(page.getByText('N2').first()).toBeVisible();
  await farm.stop('SIGKILL');
  await page.clock.setSystemTime(dawn);
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText('the server cannot be reached');
  await expect(page.getByTestId('round')).toContainText('Outside, lowest');
  await page.getByRole('button', { name: 'Outside lowest down 1', exact: true }).click();
  await page.getByTestId('note-reading').click();
  await expect(page.getByTestId('round')).toContainText('North house, lowest');
  await page.getByRole('button', { name: 'North house lowest down 1', exact: true }).click();
  await page.getByTestId('note-reading').click();
  await expect(page.getByTestId('round')).toContainText('Every thermometer has been read');
  await expect(page.getByTestId('connection')).toContainText('2 entries are kept on this device');

  // signal is back: both are there once, in their night, at the moment they were noted
  await at(dawn + HOUR / 4, farm, page);
  await expect(page.getByTestId('connection')).toBeHidden({ timeout: 180_000 });
  const log = await farm.api<{ entries: { record: { night: string; atMs: number } }[] }>(
    '/api/log?kinds=reading',
  );
  expect(log.entries.map((e) => e.record.night)).toEqual(['2027-01-14', '2027-01-14']);
  for (const e of log.entries) expect(Math.abs(e.record.atMs - dawn)).toBeLessThan(HOUR / 2);

  // forty days later the sheet still lies there, and tonight is asked for anew
  await at(EVENING + 40 * 24 * HOUR, farm, page);
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText('Tell it what yours says.');
  await page.goto(`${farm.url}/place/n2`);
  await expect(page.getByTestId('on-now')).toContainText('Fleece 30, on hoops: is on');
  await expect(page.getByTestId('place-waiting')).toBeVisible();
});

test('behind a portal that answers everything with its own page, what was entered stays and goes out later', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/log`);
  await expect(page.getByTestId('note-text')).toBeVisible();
  await page.route('**/api/**', (route) =>
    route.fulfill({ status: 200, contentType: 'text/html', body: '<html>Welcome to the café</html>' }),
  );
  await page.getByTestId('note-text').fill('the portal ate this');
  await page.getByTestId('note-keep').click();
  await expect(page.getByTestId('connection')).toContainText('1 entry is kept on this device');
  await page.unroute('**/api/**');
  await expect(page.getByTestId('connection')).toBeHidden();
  const log = await farm.api<{ entries: { title: string }[] }>('/api/log?kinds=note');
  expect(log.entries.filter((e) => e.title === 'the portal ate this')).toHaveLength(1);
});
