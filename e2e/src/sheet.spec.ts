/** Tonight's sheet goes on paper alone, and nothing of it stays in the page. */
import { accessible, expect, glovesFit, test } from './farm';

test('tonight’s sheet is printed, the week’s and the beds’ are looked at, and one is copied as text', async ({
  page,
  farm,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'], { origin: farm.url });
  await farm.ready();
  await page.goto(farm.url);
  await page.getByTestId('to-sheet').click();
  const sheet = page.getByTestId('sheet');
  await expect(sheet).toContainText('To fetch');
  await expect(sheet).toContainText('shed, left wall');
  await accessible(page);
  await glovesFit(page);
  // the browser's own window is not opened; what it would print is looked at
  await page.evaluate(() => (window.print = () => undefined));
  await page.emulateMedia({ media: 'print' });
  await page.getByTestId('sheet-print').evaluate((b: HTMLElement) => b.click());
  const paper = page.locator('#paper');
  await expect(paper).toBeVisible();
  await expect(paper).toContainText('Before dark');
  await expect(sheet).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.length).toBeGreaterThan(4000);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(paper).toHaveCount(0);
  await page.emulateMedia({ media: 'screen' });
  await page.getByTestId('sheet-send').click();
  await expect(page.getByText('Copied: it can be put into any message.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain('[ ] ');
  await page.getByRole('radio', { name: 'The beds' }).click();
  await expect(sheet).toContainText('N1 · North house');
  await page.goto(`${farm.url}/sheet?of=week`);
  await expect(sheet).toContainText('Tonight');
});
