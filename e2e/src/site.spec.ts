/** A station's record on the site: a bad one refused by its rows, a good one taken, gone by in Season, and undone. */
import { accessible, expect, glovesFit, test } from './farm';

const record = (years: number, bad = false) =>
  [
    'date,low,high',
    ...Array.from({ length: years * 365 }, (_, i) => {
      const date = new Date(Date.UTC(2017, 0, 1 + i)).toISOString().slice(0, 10);
      const mean =
        3 + 10 * (1 - Math.cos((2 * Math.PI * ((i % 365.25) - 14)) / 365.25)) + 2 * Math.sin(i * 1.7);
      return bad && i === 4 ? `${date},mild,8` : `${date},${(mean - 4).toFixed(1)},${(mean + 4).toFixed(1)}`;
    }),
  ].join('\n');

test('a station’s days are brought to the site, and Season goes by them', async ({ page, farm }) => {
  await page.goto(`${farm.url}/site`);
  const bring = async (name: string, text: string) => {
    const chosen = page.waitForEvent('filechooser');
    await page.getByTestId('station-bring').click();
    await (await chosen).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await bring('bad.csv', record(4, true));
  await expect(page.getByTestId('station-read')).toContainText('Line 6: “mild” is not a temperature.');
  await expect(page.getByTestId('station-take')).toBeHidden();
  await bring('station.csv', record(4));
  await expect(page.getByTestId('station-read')).toContainText('It is a table of days: 1459 days');
  await accessible(page);
  await glovesFit(page);
  await page.getByTestId('station-take').click();
  await expect(page.getByTestId('station')).toContainText('Season goes by 1459 days of a station');
  const from = async () => (await farm.api<{ climate: { from: string } }>('/api/season')).climate.from;
  expect(await from()).toBe('daily');
  await page.getByTestId('undo-button').click();
  await expect(page.getByTestId('station')).toContainText('A file of days');
  expect(await from()).toBe('monthly');
});
