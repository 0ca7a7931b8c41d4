import { at } from './clockAt';
import { accessible, expect, glovesFit, test } from './farm';

test.use({ demo: false, ownProcess: true, timezoneId: 'Europe/Madrid' });

/** Two in the afternoon of a January day in León: whatever hour it is where this is tested. */
const AFTERNOON = Date.parse('2027-01-14T13:00:00Z');

/** Keys of the pad that are called otherwise than they look. */
const KEY: Record<string, string> = { '±': 'Change the sign' };

test('an empty farm, typed by hand on a phone, leads to the first night of two structures and six beds', async ({
  page,
  farm,
}) => {
  await at(AFTERNOON, farm, page);
  await page.goto(farm.url);
  await expect(page.getByTestId('empty-farm')).toBeVisible();
  await expect(page.getByTestId('sentence')).toContainText('Add a structure');
  await accessible(page);

  // the place, from a town near by; its clock comes with it
  await page.getByRole('button', { name: 'Set the place' }).click();
  await page.getByTestId('town').fill('leon');
  await page.getByRole('button', { name: 'León, Spain' }).click();
  await expect(page.getByTestId('sentence')).toContainText(
    '42.60° north, 5.57° west, 845 m up, on the clock of Europe/Madrid',
  );
  await accessible(page);
  await glovesFit(page);

  // a house: the nearest in size, then its own figures; a reload half way loses nothing
  await page.goto(farm.url);
  await page.getByRole('button', { name: 'Add a structure' }).click();
  await page.getByRole('radio', { name: 'hoop house' }).click();
  await page.getByRole('radio', { name: '20 × 6 m' }).click();
  await page.getByTestId('structure-name').fill('Long house');
  await page.getByTestId('structure-length-value').click();
  for (const key of ['2', '4', 'Set']) await page.getByRole('button', { name: key, exact: true }).click();
  await page.reload();
  await expect(page.getByTestId('structure-name')).toHaveValue('Long house');
  await expect(page.getByTestId('sentence')).toContainText('Long house: 24 m × 6 m');
  await page.getByTestId('step-cover').click();
  for (const name of [
    'At the ends and round the doors',
    'Along the ground',
    'Through seams, holes and panes',
  ])
    await page.getByRole('radiogroup', { name }).getByRole('radio', { name: 'daylight to see' }).click();
  await expect(page.getByTestId('sentence')).toContainText('draughty');
  await accessible(page);
  await glovesFit(page);
  await page.getByTestId('save-structure').click();

  // four beds alike
  await page.getByTestId('structure-add-bed').click();
  await expect(page.getByTestId('sentence')).toContainText('A sheet over its hoops is');
  await accessible(page);
  await glovesFit(page);
  await page.getByTestId('save-beds-4').click();
  await expect(page.getByRole('button', { name: 'Change Bed 4' })).toBeVisible();

  // a frame with two
  await page.goto(`${farm.url}/structure/new`);
  await page.getByRole('radio', { name: 'cold frame' }).click();
  await page.getByRole('radio', { name: '3.6 × 1.2 m' }).click();
  await page.getByTestId('structure-name').fill('South frames');
  await page.getByTestId('save-structure').click();
  await page.getByTestId('structure-add-bed').click();
  await page.getByTestId('bed-name').fill('Frame 1');
  await page.getByTestId('save-beds-2').click();
  await expect(page.getByRole('button', { name: 'Change Frame 2' })).toBeVisible();

  // a cover, and something in every bed
  await page.goto(`${farm.url}/kit`);
  await page.getByTestId('add-cover').click();
  await page.getByTestId('step-size').click();
  await page.getByTestId('cover-length-value').click();
  for (const key of ['2', '5', 'Set']) await page.getByRole('button', { name: key, exact: true }).click();
  await page.getByTestId('save-cover').click();
  await expect(page.getByTestId('undo')).toContainText('Fleece 30: added');
  for (const bed of ['Bed 1', 'Bed 2', 'Bed 3', 'Bed 4', 'Frame 1', 'Frame 2']) {
    await page.goto(`${farm.url}/beds`);
    await page.getByRole('button', { name: `Add a planting in ${bed}` }).click();
    if (bed === 'Bed 1') {
      // nothing is planted that was not named
      await page.getByTestId('save-planting').click();
      await expect(page.getByText('Expected a crop of the list.')).toBeVisible();
    }
    await page.getByTestId('crop-search').fill('lettuce');
    await page.getByRole('radio', { name: 'leaf lettuce' }).click();
    await page.getByTestId('save-planting').click();
    await expect(page.getByTestId('undo')).toContainText('added');
  }

  // nothing is known of the night yet, and no figure of it is shown
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toHaveText(
    'There is no forecast for tonight. Tell it what yours says.',
  );
  await expect(page.getByTestId('place-line')).toHaveCount(0);
  await accessible(page);
  await glovesFit(page);

  // twenty seconds on steppers; a reload half way loses nothing
  await page.getByTestId('tell-forecast').click();
  await page.getByTestId('typed-low-value').click();
  for (const key of ['4', '±', 'Set'])
    await page.getByRole('button', { name: KEY[key] ?? key, exact: true }).click();
  await page.reload();
  await expect(page.getByTestId('sentence')).toContainText('−4 °C by');
  await page.getByRole('button', { name: 'Highest up 5' }).click();
  await page.getByRole('radio', { name: 'still', exact: true }).click();
  await page.getByRole('radio', { name: 'clear', exact: true }).click();
  await accessible(page);
  await glovesFit(page);
  await page.getByTestId('typed-save').click();

  // the first night
  await expect(page.getByTestId('undo')).toContainText('Tonight’s weather: told');
  await expect(page.getByTestId('place-line')).toHaveCount(6);
  await expect(page.getByTestId('sentence')).toContainText('−4 °C');
  await expect(page.getByTestId('forecast-from')).toContainText('From what was typed at');
  await expect(page.getByTestId('doubt')).toContainText('days before');
  await expect(page.getByTestId('demo-clock')).toHaveCount(0);
});
