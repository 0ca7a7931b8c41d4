import type { NowView } from '@fogata/contract';
import { at } from './clockAt';
import { accessible, expect, glovesFit, test } from './farm';
import { countedTaps } from './taps';

test.use({ demo: false, ownProcess: true, timezoneId: 'Europe/Madrid' });

const AFTERNOON = Date.parse('2027-01-14T13:00:00Z');

test('from nothing to an answer in under 20 taps, and what was said stays as the first bed', async ({
  page,
  farm,
}) => {
  await at(AFTERNOON, farm, page);
  await page.goto(farm.url);
  const { tap, taps } = countedTaps();
  const sentence = page.getByTestId('ask-sentence');
  await tap(page.getByTestId('open-ask'));
  await expect(sentence).toContainText('Does it stand tonight?');
  await accessible(page);
  await glovesFit(page);
  // the device's clock says which town is not far: said, and to be changed
  await expect(page.getByText(/^Near .*, Spain$/)).toBeVisible();
  await tap(page.getByTestId('arc-outer'));
  await expect(page.getByTestId('arc-outer')).toContainText('a film house');
  await tap(page.getByTestId('arc-middle'));
  await expect(page.getByTestId('arc-middle')).toContainText('fleece on hoops');
  await tap(page.getByRole('radio', { name: 'leaf lettuce' }));
  for (let i = 0; i < 2; i++)
    await tap(page.getByRole('button', { name: 'Tonight’s lowest, outside down 5' }));
  await expect(sentence).toContainText(/The leaves of the leaf lettuce see −?\d.* between/);
  expect(taps()).toBeLessThan(20);
  const colder = await sentence.textContent();
  await expect(page.getByTestId('ask-result')).toContainText('With frost blanket besides');
  await expect(page.getByTestId('ask-result')).toContainText('Without fleece 30');
  await expect(page.getByTestId('ask-day')).toContainText('Left shut in tomorrow’s sun');
  await accessible(page);
  await glovesFit(page);
  // a reload half way loses nothing, a warmer night is another answer
  await page.reload();
  await expect(sentence).toHaveText(colder!);
  await page.getByRole('button', { name: 'Tonight’s lowest, outside up 5' }).click();
  await expect(sentence).not.toHaveText(colder!);
  const said = /see (−?[\d.]+) °C/.exec((await sentence.textContent())!)![1];

  await page.getByTestId('ask-keep').click();
  await expect(page.getByTestId('places')).toContainText('Bed 1');
  const now = await farm.api<NowView>('/api/now');
  expect(now.places[0]!.bareLeafC.toFixed(1).replace('-', '−')).toBe(said);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('empty-farm')).toBeVisible();
});
