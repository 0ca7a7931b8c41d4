import { accessible, expect, test } from './farm';

test.use({ viewport: { width: 1280, height: 800 } });

test('on a wide screen the jobs, the night and the place stand side by side, and keys work', async ({
  page,
  farm,
}) => {
  await farm.ready();
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText('starting by');
  await expect(page.getByTestId('ribbon')).toBeVisible();
  await expect(page.getByTestId('place-title')).toBeVisible();
  await accessible(page);
  const other = page.getByTestId('place-line').nth(3);
  const name = (await other.getAttribute('aria-label'))!.split(',')[0]!;
  await other.click();
  await expect(page.getByTestId('place-title')).toContainText(name);
  await expect(page.getByText(`${name}, hour by hour`)).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByTestId('beds')).toBeVisible();
  await accessible(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
  await page.keyboard.press('1');
  await expect(page.getByTestId('jobs')).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId('beds')).toBeVisible();
});
