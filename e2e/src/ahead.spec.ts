/** The nights to come, from Now: a row a night on a phone. */
import { accessible, expect, glovesFit, test } from './farm';

test.use({ demo: true });

test('the nights that the forecast reaches, tonight first, each with its work and what is closest to harm', async ({
  page,
  farm,
}) => {
  await page.goto(farm.url);
  await page.getByTestId('to-ahead').click({ timeout: 60_000 });
  await expect(page.getByTestId('ahead-2027-01-14')).toContainText('Tonight', { timeout: 60_000 });
  await expect(page.getByTestId('ahead-2027-01-15')).toContainText('Friday night', { timeout: 90_000 });
  await expect(page.getByTestId('sentence')).toContainText('known');
  await expect(page.getByText(/The forecast reaches to/)).toBeVisible();
  await expect(page.getByTestId('together')).toContainText('chosen together', { timeout: 120_000 });
  await accessible(page);
  await glovesFit(page);
  await page.getByTestId('back').click();
  await expect(page.getByTestId('places')).toBeVisible();
});
