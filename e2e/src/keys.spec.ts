import type { Page } from '@playwright/test';
import { accessible, expect, test } from './farm';

test.use({ viewport: { width: 1280, height: 800 } });

/** Goes on with Tab to what has this name, as one without a mouse does. */
async function tabTo(page: Page, name: RegExp, back = false): Promise<void> {
  for (let i = 0; i < 120; i++) {
    const label = await page.evaluate(() => {
      const at = document.activeElement;
      return at?.getAttribute('aria-label') ?? at?.textContent ?? '';
    });
    if (name.test(label)) return;
    await page.keyboard.press(back ? 'Shift+Tab' : 'Tab');
  }
  throw new Error(`nothing called ${String(name)} can be reached by Tab`);
}
const focused = (page: Page) => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');

test('a whole evening by keyboard alone: opened, ticked, taken back, another cover tried, noted', async ({
  page,
  farm,
}) => {
  await farm.ready();
  await page.goto(farm.url);
  await expect(page.getByTestId('sentence')).toContainText('starting by');

  // the first job: why, then done with Space; the focus stays on it
  await tabTo(page, /\. Why$/);
  await page.keyboard.press('Enter');
  await expect(page.locator(':focus')).toHaveAttribute('aria-expanded', 'true');
  await tabTo(page, /: mark it done$/);
  const job = (await focused(page)).split(':')[0]!;
  await page.keyboard.press('Space');
  await expect(page.getByRole('checkbox', { name: `${job}: done` })).toBeFocused();
  await expect(page.getByRole('checkbox', { name: `${job}: done` })).toBeChecked();
  // and back
  await page.keyboard.press('u');
  await expect(page.getByRole('checkbox', { name: `${job}: mark it done` })).toBeVisible();

  // a note, from wherever one is, and out of the field again
  await page.keyboard.press('n');
  await expect(page.getByTestId('note-text')).toBeFocused();
  await page.keyboard.type('Wind from the east at four');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('log-table')).toContainText('Wind from the east at four');

  // choices by arrows
  await tabTo(page, /^all$/);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'readings', exact: true })).toBeFocused();
  await expect(page.getByRole('radio', { name: 'readings', exact: true })).toBeChecked();

  // what looks like a link is opened by Enter
  await page.keyboard.press('2');
  await expect(page.getByTestId('beds')).toBeVisible();
  await tabTo(page, /^Open N1$/);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('place-title')).toContainText('N1');
  await tabTo(page, /^Back to/);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('beds')).toBeVisible();
});

test('tables on a wide screen: sorted by a column, searched, gone through by arrows and opened by Enter', async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/kit`);
  const table = page.getByTestId('covers-table');
  await expect(table.getByRole('row')).toHaveCount(7);
  await accessible(page);
  await table.getByRole('button', { name: 'Sort by size' }).click();
  await expect(table.getByRole('columnheader', { name: /size/ })).toHaveAttribute('aria-sort', 'ascending');
  const names = async () =>
    (await table.getByRole('row').all()).slice(1).map((r) => r.getAttribute('aria-label'));
  const up = await Promise.all(await names());
  await table.getByRole('button', { name: 'Sort by size' }).click();
  expect(await Promise.all(await names())).toEqual([...up].reverse());
  await page.getByTestId('covers-table-search').fill('fleece');
  await expect(table.getByRole('row')).toHaveCount(4);
  await page.getByTestId('covers-table-search').fill('no such sheet');
  await expect(table).toContainText('Nothing here has “no such sheet” in it.');
  await page.getByTestId('covers-table-search').fill('');
  await table.getByRole('row').nth(1).focus();
  await page.keyboard.press('ArrowDown');
  await expect(table.getByRole('row').nth(2)).toBeFocused();
  await page.keyboard.press('Home');
  await expect(table.getByRole('row').nth(1)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('cover')).toBeVisible();

  await page.goto(`${farm.url}/beds`);
  await page.getByRole('radio', { name: 'as a table' }).click();
  const beds = page.getByTestId('beds-table');
  await expect(beds.getByRole('row')).toHaveCount(17);
  await accessible(page);
  await page.getByTestId('beds-table-search').fill('spinach');
  await expect(beds.getByRole('row')).not.toHaveCount(17);
  await page.goto(`${farm.url}/log`);
  await expect(page.getByTestId('log-table').getByRole('row').nth(5)).toBeVisible();
  await accessible(page);
});
