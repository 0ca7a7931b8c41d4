/** All nights that were said or read: a list on a phone, a table to sort when wide, each opened on its own page. */
import { accessible, expect, glovesFit, test } from './farm';

test('how right it has been: read on a phone, sorted on a wide screen, a night opened by Enter', async ({
  page,
  farm,
}) => {
  await farm.ready();
  await page.goto(`${farm.url}/log`);
  await page.getByTestId('to-nights').click();
  await expect(page.getByTestId('sentence')).toContainText('8 nights read outside');
  await expect(page.getByTestId('night-row').first()).toBeVisible();
  await accessible(page);
  await glovesFit(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  const table = page.getByTestId('nights-table');
  await expect(table).toBeVisible();
  const firstRead = () => table.getByRole('row').nth(1).textContent();
  const newest = await firstRead();
  await table.getByRole('button', { name: 'Sort by outside, read' }).click();
  await expect.poll(firstRead).not.toBe(newest);
  await accessible(page);
  await table.getByRole('row').nth(1).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('night')).toBeVisible();
});
