import { expect, test } from './farm';

test.use({ serviceWorkers: 'allow', ownProcess: true });

test('without the server the app says so, keeps what is entered, and sends it when the server is back', async ({
  page,
  farm,
}) => {
  await farm.ready();
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText('starting by');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.goto(`${farm.url}/log`);
  await expect(page.getByTestId('note-text')).toBeVisible();
  await farm.stop('SIGKILL');
  await page.getByTestId('note-text').fill('the gate was open all night');
  await page.getByTestId('note-keep').click();
  await expect(page.getByTestId('connection')).toContainText('1 entry is kept on this device');
  // the shell opens from the device, with what was last known
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText('starting by');
  await expect(page.getByTestId('connection')).toContainText('No server');
  await farm.start();
  await expect(page.getByTestId('connection')).toBeHidden();
  const log = await farm.api<{ entries: { title: string }[] }>('/api/log?kinds=note');
  expect(log.entries.filter((e) => e.title === 'the gate was open all night')).toHaveLength(1);
});

test.describe('a page that goes while it sends', () => {
  test.use({ serviceWorkers: 'block', ownProcess: false });

  test('does not keep what waits from the one that comes after it', async ({ page, farm }) => {
    await page.goto(`${farm.url}/log`);
    // it has begun to send, and nothing answers
    let began = 0;
    await page.route('**/api/records', (route) => (began++ === 0 ? undefined : route.continue()));
    await page.getByTestId('note-text').fill('the north door hangs');
    await page.getByTestId('note-keep').click();
    await expect.poll(() => began).toBe(1);
    await page.reload();
    const titles = async () =>
      (await farm.api<{ entries: { title: string }[] }>('/api/log?kinds=note')).entries.map((e) => e.title);
    await expect.poll(titles).toContain('the north door hangs');
  });
});
