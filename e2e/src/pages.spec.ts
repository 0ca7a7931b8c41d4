/** Addresses: each page has its name in the window's bar, the window its ground's colour, and what is no page says so. */
import { accessible, expect, test } from './farm';

test('pages are named, an address that is none is said in words and by status, and the window takes the theme', async ({
  page,
  farm,
}) => {
  await farm.ready();
  for (const [path, title] of [
    ['/', 'Now · Fogata'],
    ['/beds', 'Beds · Fogata'],
    ['/place/n2', 'A bed tonight · Fogata'],
    ['/night/2027-01-13', 'Said and measured · Fogata'],
  ] as const) {
    const res = await page.goto(farm.url + path);
    expect(res!.status()).toBe(200);
    await expect(page).toHaveTitle(title);
  }
  // asked of the server itself: offline the shell answers for every address
  const statusOf = async (path: string) => (await page.request.get(farm.url + path)).status();
  expect([await statusOf('/nothing/here'), await statusOf('/night/garbage')]).toEqual([404, 404]);
  await page.goto(`${farm.url}/nothing/here`);
  await expect(page).toHaveTitle('Nothing here · Fogata');
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
  await accessible(page);
  await page.goto(`${farm.url}/night/garbage`);
  await expect(page.getByText('There is no night “garbage”.')).toBeVisible();
  await accessible(page);
  for (const icon of ['/touch-180.png', '/icon-192.png', '/icon-512.png', '/maskable-512.png'])
    expect((await page.request.get(farm.url + icon)).headers()['content-type']).toBe('image/png');
  // night by hand: the edge of the page and the phone's bar go dark with it
  await page.request.patch(`${farm.url}/api/farm`, { data: { theme: 'night' } });
  await page.goto(farm.url);
  const themeColor = () => page.locator('meta[name=theme-color]').getAttribute('content');
  await expect.poll(themeColor).not.toBe('#ecf2f2');
  const edge = await page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
  expect(edge).not.toBe('rgb(236, 242, 242)');
  expect(edge).toBe(await page.evaluate(() => getComputedStyle(document.body).backgroundColor));
});
