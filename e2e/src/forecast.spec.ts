import { accessible, expect, test } from './farm';

const START = Date.parse('2027-01-14T13:00:00Z');
const csv = (airF: number, broken = -1) =>
  [
    'time,Temperature (°F),Humidity (%),Wind (km/h),Cloud (%)',
    ...Array.from(
      { length: 40 },
      (_, i) => `${new Date(START + i * 3_600_000).toISOString()},${i === broken ? 'mild' : airF},75,4,60`,
    ),
  ].join('\n');

test('a forecast of one’s own is understood, taken, and changes the advice', async ({ page, farm }) => {
  await farm.ready();
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText(/^−\d+ °C/);
  await page.goto(`${farm.url}/import`);
  await page.getByTestId('csv').fill(csv(53.6));
  await page.getByTestId('preview').click();
  const result = page.getByTestId('import-result');
  await expect(result).toContainText('Temperature (°F): air temperature, °F');
  await expect(result).toContainText('40 hours');
  await expect(result).toContainText('lowest 12.0 °C');
  await accessible(page);
  await page.getByTestId('take-import').click();
  await expect(result).toContainText('Taken');
  await page.getByTestId('tab-Now').click();
  await expect(page.getByTestId('sentence')).toContainText(/^1\d °C/);
  await expect(page.getByTestId('forecast-from')).toContainText('From “my forecast” of');
});

test('a bad row is named by number and reason, nothing is taken, and what was pasted stays', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/import`);
  await page.getByTestId('csv').fill(csv(53.6, 4));
  await page.getByTestId('preview').click();
  const result = page.getByTestId('import-result');
  await expect(result).toContainText('Not taken, nothing has changed');
  await expect(result).toContainText('row 6');
  await expect(result).toContainText('air temperature “mild” is not a number');
  await expect(page.getByTestId('take-import')).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId('csv')).toHaveValue(csv(53.6, 4));
  expect((await farm.api<{ imported: unknown[] }>('/api/forecasts')).imported).toEqual([]);
});
