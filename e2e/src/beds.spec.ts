import { accessible, expect, glovesFit, test } from './farm';

test('a planting is added, changed and cleared, with the wrong row refused in words', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/beds`);
  await expect(page.getByTestId('sentence')).toContainText('16 beds');
  await accessible(page);
  await glovesFit(page);
  await page.getByTestId('add-o1').click();
  await page.getByTestId('crop-search').fill('rad');
  await page.getByRole('radio', { name: 'radish', exact: true }).click();
  await page.getByTestId('cultivar').fill('Brasilla');
  await page.getByTestId('step-where').click();
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'To row down 1', exact: true }).click();
  await page.getByRole('button', { name: 'From row up 1', exact: true }).click();
  // what is wrong is open, wherever one was
  await page.getByTestId('step-how').click();
  await page.getByTestId('save-planting').click();
  await expect(page.getByRole('alert')).toContainText('toRow: expected row 2 or higher');
  await page.getByRole('button', { name: 'To row up 1', exact: true }).click();
  await accessible(page);
  await page.getByTestId('save-planting').click();
  await expect(page.getByTestId('undo')).toContainText('radish added');
  const change = page.getByRole('button', { name: 'Change radish in Open 1' });
  await change.click();
  await page.getByTestId('cultivar').fill('Brasita');
  await page.getByTestId('save-planting').click();
  await expect(page.getByTestId('undo')).toContainText('radish changed');
  await change.click();
  await page.getByTestId('clear-planting').click();
  await expect(page.getByTestId('undo')).toContainText('radish cleared');
  await expect(change).toHaveCount(0);
  await page.getByTestId('undo-button').click();
  await expect(change).toBeVisible();
});

test('settings change units everywhere, and the theme', async ({ page, farm }) => {
  await page.goto(`${farm.url}/kit`);
  await expect(page.getByText('4 of 4')).toBeVisible();
  await accessible(page);
  await page.getByTestId('open-settings').click();
  await page.getByRole('radio', { name: '°F' }).click();
  await expect(page.getByRole('radio', { name: '°F' })).toBeChecked();
  await page.getByRole('radio', { name: 'night', exact: true }).click();
  await expect(page.getByRole('radio', { name: 'night', exact: true })).toBeChecked();
  await accessible(page);
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText('°F by');
  await accessible(page);
});
