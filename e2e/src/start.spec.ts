import type { BedsView, KitView } from '@fogata/contract';
import { at } from './clockAt';
import { accessible, expect, glovesFit, test } from './farm';
import { countedTaps } from './taps';

test.use({ demo: false, ownProcess: true, timezoneId: 'Europe/Madrid' });

const AFTERNOON = Date.parse('2027-01-14T13:00:00Z');

test('from nothing to the first plan of two structures, six beds and two kinds of cover in 60 taps', async ({
  page,
  farm,
}) => {
  await at(AFTERNOON, farm, page);
  await page.goto(farm.url);
  const { tap, taps } = countedTaps();
  const button = (name: string) => page.getByRole('button', { name, exact: true });
  await tap(page.getByTestId('open-start'));
  await expect(page.getByTestId('sentence')).toHaveText(
    '3 structures, 6 beds, 6 sheets in store, near Madrid.',
  );
  await accessible(page);
  await glovesFit(page);
  // one frame and five beds in the house; a reload half way loses nothing
  await tap(button('Cold frames down 1'));
  await tap(button('Beds in each house up 1'));
  await page.reload();
  await expect(page.getByTestId('sentence')).toHaveText(
    '2 structures, 6 beds, 6 sheets in store, near Madrid.',
  );
  await tap(page.getByTestId('start-all'));
  await tap(page.getByRole('radio', { name: 'spinach' }));
  await tap(page.getByTestId('start-bed-5'));
  await expect(page.getByTestId('start-bed-5')).toHaveAttribute('aria-label', 'Frames: spinach');
  await accessible(page);
  await tap(page.getByTestId('start-make'));

  // Now asks for the weather next
  await tap(page.getByTestId('tell-forecast'));
  for (let i = 0; i < 2; i++) await tap(button('Lowest down 5'));
  await tap(button('Highest up 1'));
  await tap(page.getByRole('radio', { name: 'still' }));
  await tap(page.getByRole('radio', { name: 'clear' }));
  await tap(page.getByTestId('typed-save'));
  await expect(page.getByTestId('jobs')).toBeVisible({ timeout: 180_000 });
  expect(taps()).toBeLessThan(60);
  test.info().annotations.push({ type: 'taps', description: String(taps()) });

  const beds = await farm.api<BedsView>('/api/beds');
  expect(beds.structures.map((s) => s.beds.length)).toEqual([5, 1]);
  expect(beds.structures[1]!.beds[0]!.plantings[0]!.planting.crop).toBe('spinach');
  const kit = await farm.api<KitView>('/api/kit');
  expect(kit.covers.map((c) => [c.name, c.count])).toEqual([
    ['Fleece 30', 4],
    ['Frost blanket', 2],
  ]);
  // all of it is one entry of the log, taken back as one
  await page.goto(`${farm.url}/log`);
  await expect(page.getByText('a farm to start from')).toBeVisible();
});
