/** Seed, needs and water: what a packet says, what is begun for so much a week, what may be watered. */
import { accessible, expect, glovesFit, test } from './farm';

test.use({ demo: true });

test('a packet typed in becomes a cultivar with its seed, and all of it is taken back by one tap', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/season`);
  await page.getByTestId('to-seeds').click();
  await expect(page.getByTestId('sentence')).toContainText('lots in the box');
  await accessible(page);
  await page.getByTestId('new-packet').click();
  await page.getByTestId('crop-search').fill('leek');
  await page.getByRole('radio', { name: 'leeks' }).click();
  await page.getByTestId('packet-name').fill('Vara Larga');
  await page.getByTestId('step-says').click();
  await page.getByTestId('packet-days').getByRole('button', { name: /up 10/ }).click();
  await expect(page.getByTestId('packet-means')).toContainText('To the first picking');
  await page.getByTestId('step-holds').click();
  await expect(page.getByTestId('step-what')).toContainText('leeks Vara Larga');
  await page.getByTestId('packet-grams').getByRole('button', { name: /up 1$/ }).click();
  await glovesFit(page);
  await page.getByTestId('save-packet').click();
  const row = page.getByTestId('seeds').getByText('Leeks Vara Larga');
  await expect(row).toBeVisible();
  await page.getByRole('button', { name: 'Open Leeks Vara Larga' }).click();
  await expect(page.getByTestId('from-harvest_degree_days')).toHaveText('yours');
  await page.goBack();
  await page.getByTestId('undo-button').click();
  await expect(row).toHaveCount(0);
});

test('what last winter’s scores taught of a spinach is said, with each night, and one is taken back', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/cultivar/spinach?name=Brasa%20Verde`);
  await expect(page.getByTestId('learnt-cold')).toContainText('By your scores of three nights it stands');
  await expect(page.getByTestId('from-death_hard_c')).toHaveText('your scores');
  await accessible(page);
  await page.getByRole('button', { name: /Take back the score of 2026-02-10/ }).click();
  await expect(page.getByTestId('learnt-cold')).toContainText('By your scores of two nights');
});

test('spinach all winter: so many kilos a week become plantings on the list', async ({ page, farm }) => {
  await page.goto(`${farm.url}/season/spinach`);
  await expect(page.getByTestId('season-at')).toBeVisible();
  await page.getByText('Backwards from what you need').click();
  await page.getByTestId('need-ask').click();
  await expect(page.getByTestId('need-answer')).toBeVisible({ timeout: 180_000 });
  await expect(page.getByTestId('need-answer')).toContainText(/of row|No day and no place/);
  await accessible(page);
  await page.getByTestId('to-compare').click();
  await expect(page.getByTestId('compare-lines')).toBeVisible();
  await expect(page.getByTestId('sentence')).toContainText(/is the surest|comes to a picking/);
});

test('water: what is dry waits for the frost; felt wet, it has enough, and that is taken back', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/beds`);
  await page.getByTestId('open-water').click();
  await expect(page.getByTestId('sentence')).toContainText('no water into this frost', { timeout: 180_000 });
  await accessible(page);
  const n4 = page.getByTestId('water-n4');
  await expect(n4).toContainText('Dry');
  await n4.getByRole('button', { name: /how N4 feels/ }).click();
  await n4.getByTestId('feel-wet').click();
  await expect(page.getByTestId('sentence')).toContainText('Nothing wants water today');
  await page.getByTestId('undo-button').click();
  await expect(page.getByTestId('sentence')).toContainText('N4');
});

test('a count from a day: bulbs in their cold are on Season, and another is begun and undone', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/season`);
  const counters = page.getByTestId('counters');
  await expect(counters).toContainText('Tulips in crates');
  await expect(counters).toContainText(/of 98 days of cold/);
  await counters.getByText('Count from a day').click();
  await page.getByTestId('counter-name').fill('First truss');
  await page.getByTestId('counter-add').click();
  await expect(counters).toContainText('First truss');
  await page.getByTestId('undo-button').click();
  await expect(counters.getByText('First truss', { exact: true })).toHaveCount(0);
});
