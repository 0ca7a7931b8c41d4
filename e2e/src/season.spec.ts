/** At the kitchen table: what may I sow, where, and what if it is later? */
import { accessible, expect, glovesFit, test } from './farm';

test.use({ demo: true });

test('what may be begun, a crop’s year, a date moved and the chance with it; a crop found by its name', async ({
  page,
  farm,
}) => {
  await page.goto(farm.url);
  await page.getByTestId('tab-Season').click();
  await expect(page.getByTestId('sentence')).toContainText('This week: sow lettuce heads');
  await expect(page.getByTestId('season-row').first()).toBeVisible();
  await expect(page.getByText(/twelve months typed for this site/)).toBeVisible();
  await accessible(page);

  await page.getByTestId('season-find').fill('spina');
  await page.getByTestId('season-found').first().click();
  await expect(page.getByTestId('sentence')).toContainText('Spinach in');
  await expect(page.getByTestId('year-strip').first()).toBeVisible();
  const said = page.locator('[data-testid^="date-"]').first();
  const today = await said.textContent();
  for (let i = 0; i < 3; i++) await page.getByTestId('week-later').click();
  await expect(page.getByTestId('season-at')).toHaveText('4 February');
  await expect(said).toContainText('Sown on 4 February');
  expect(await said.textContent()).not.toBe(today);
  await page.getByText('The three schools, and why').first().click();
  await expect(page.getByText(/before the last frost of 05-06|the last frost/).first()).toBeVisible();
  await accessible(page);
  await glovesFit(page);

  // planted from trays it is another question
  await page.getByText('planted from trays').click();
  await expect(said).toContainText('Planted on 4 February');
  await page.goBack();
  await expect(page.getByTestId('season')).toBeVisible();
});

test('the week’s jobs: one ticked and taken back, one moved; what was done stands in the log', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/season`);
  const sow = page.getByTestId('season-job-sow').filter({ hasText: 'Farolillo' });
  await expect(page.getByTestId('sentence')).toContainText(
    'This week: sow lettuce heads Farolillo in trays',
    {
      timeout: 60_000,
    },
  );
  await sow.getByTestId('season-tick').click();
  await expect(sow).toHaveCount(0);
  await page.getByTestId('undo-button').click();
  await expect(sow).toHaveCount(1);
  const was = (await sow.textContent())!;
  await sow.getByTestId('season-job').click();
  await sow.getByText('+1 week').click();
  await expect(sow).not.toContainText(was.slice(0, 6));
  await accessible(page);
  await glovesFit(page);
  await sow.getByText('Its story ›').click();
  await expect(page.getByTestId('sentence')).toContainText(
    'Lettuce heads Farolillo in N4: planned for 22 Feb',
  );
  await accessible(page);
  await page.goBack();
  await sow.getByTestId('season-tick').click();
  await expect(sow).toHaveCount(0);
  await page.goto(`${farm.url}/log`);
  await expect(page.getByText(/lettuce heads/i).first()).toBeVisible();
});

test('wide: twenty plantings pasted from a spreadsheet, looked at, taken, and taken back as one', async ({
  page,
  farm,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  const count = async () => (await farm.api<{ plantings: unknown[] }>('/api/farm/file')).plantings.length;
  const before = await count();
  await page.goto(`${farm.url}/files`);
  const rows = Array.from({ length: 20 }, (_, i) => `N2\tspinach\t2027-09-${String(i + 1).padStart(2, '0')}`);
  await page
    .getByTestId('paste-plantings')
    .fill(['bed\tcrop\tplanted_on', ...rows, 'N9\tspinach\t2027-09-01'].join('\n'));
  await page.getByTestId('paste-look').click();
  await expect(page.getByText('line 22, bed: expected the name of a bed of this farm, not N9')).toBeVisible();
  await page.getByTestId('paste-plantings').fill(['bed\tcrop\tplanted_on', ...rows].join('\n'));
  await page.getByTestId('paste-look').click();
  await expect(page.getByTestId('exchange')).toContainText('It would change this');
  expect(await count()).toBe(before);
  await page.getByTestId('exchange-take').click();
  await expect.poll(count).toBe(before + 20);
  await page.getByTestId('undo-button').click();
  await expect.poll(count).toBe(before);
});

test('the months of the place are typed in the farm’s degrees, and the season goes by them', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/site`);
  await page.getByTestId('months-low').fill('1 2 3');
  await expect(page.getByText('twelve numbers from January, these are 3')).toBeVisible();
  await expect(page.getByTestId('months-keep')).toBeDisabled();
  await page.getByTestId('months-low').fill('-9 -8 -4 1 5 9 11 10 6 2 -3 -7');
  await page.getByTestId('months-high').fill('-2 0 5 11 16 20 23 22 17 10 3 -1');
  await page.getByTestId('months-keep').click();
  await expect
    .poll(
      async () =>
        (await farm.api<{ farm: { climate: { lowC: number }[] } }>('/api/farm')).farm.climate[0]!.lowC,
    )
    .toBe(-9);
  // and is one entry of the log, that can be taken back
  await page.getByTestId('undo-button').click();
  await expect
    .poll(
      async () =>
        (await farm.api<{ farm: { climate: { lowC: number }[] } }>('/api/farm')).farm.climate[0]!.lowC,
    )
    .toBe(-1);
});

test('wide: a planting typed by keys alone, its day filled from above, kept and taken back', async ({
  page,
  farm,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${farm.url}/plantings`);
  await expect(page.getByTestId('sentence')).toContainText(/stand, \d+ are planned/);
  const rows = await page.getByTestId('grid-row').count();
  await page.getByTestId('grid-new').click();
  await expect(page.getByTestId('planting-grid')).toBeFocused();
  const keys = page.keyboard;
  await keys.type('n2');
  await keys.press('Tab');
  await keys.type('radis');
  await keys.press('Tab');
  await keys.press('ArrowRight');
  await keys.press('ArrowRight');
  await keys.type('14 nov');
  await keys.press('Enter');
  // the empty row is there again; the day goes down into it, and out of it
  await expect(page.getByTestId('grid-row')).toHaveCount(rows + 1);
  await keys.press('Control+d');
  await keys.press('Delete');
  await expect(page.getByTestId('sentence')).toContainText('1 row not kept yet');
  await accessible(page);
  await page.reload();
  await expect(page.getByTestId('sentence')).toContainText('1 row not kept yet');
  await page.getByTestId('grid-keep').click();
  await expect(page.getByTestId('sentence')).not.toContainText('not kept');
  await expect(page.getByTestId('grid-row').filter({ hasText: '2027-11-14' })).toContainText('radish');
  await page.getByTestId('undo-button').click();
  await expect(page.getByTestId('grid-row').filter({ hasText: '2027-11-14' })).toHaveCount(0);
});
