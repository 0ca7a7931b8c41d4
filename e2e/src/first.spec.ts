import { accessible, expect, test } from './farm';

test.use({ demo: false });

test('an empty farm leads from nothing to its own first night', async ({ page, farm }) => {
  await page.goto(farm.url);
  await expect(page.getByTestId('empty-farm')).toBeVisible();
  await expect(page.getByTestId('sentence')).toContainText('Add a structure');
  await accessible(page);
  await page.getByRole('button', { name: 'Add a structure' }).click();
  await page.getByTestId('structure-name').fill('Long house');
  await accessible(page);
  await page.getByTestId('save-structure').click();
  await page.goto(`${farm.url}/beds`);
  await page.getByRole('button', { name: 'Add a bed in Long house' }).click();
  await page.getByTestId('save-bed').click();
  await page.goto(`${farm.url}/kit`);
  await page.getByTestId('add-cover').click();
  await page.getByTestId('save-cover').click();
  await page.goto(`${farm.url}/beds`);
  await page.getByRole('button', { name: 'Add a planting in Bed 1' }).click();
  await page.getByTestId('save-planting').click();
  await expect(page.getByTestId('undo')).toContainText('added');
  await page.goto(farm.url);
  await expect(page.getByTestId('place-line')).toHaveCount(1);
  await expect(page.getByTestId('demo-clock')).toHaveCount(0);
});
