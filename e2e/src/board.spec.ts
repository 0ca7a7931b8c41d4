/** The relay in the hand: the board when wide, a bed's year on a phone. */
import { accessible, expect, test } from './farm';

test.use({ demo: true });

test.describe('wide', () => {
  test.use({ viewport: { width: 1280, height: 900 } });

  test('a hand-over that fails is seen, the strip after it dragged, undone and done again', async ({
    page,
    farm,
  }) => {
    await page.goto(`${farm.url}/season`);
    await page.getByTestId('to-board').click();
    await expect(page.getByTestId('sentence')).toContainText('is clear for', { timeout: 180_000 });
    await expect(page.getByText(/Going through/)).toHaveCount(0, { timeout: 180_000 });
    await expect(page.getByTestId('quarrel-not-clear').first()).toBeVisible();
    const strip = page.getByTestId('strip-p25');
    const label = (await strip.getAttribute('aria-label'))!;
    expect(label).toContain('cucumbers, N2 rows 2–3');
    // the cucumbers three weeks later
    const box = (await strip.boundingBox())!;
    await page.mouse.move(box.x + 30, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + 60, box.y + 20, { steps: 5 });
    await page.mouse.move(box.x + 100, box.y + 20, { steps: 5 });
    await page.mouse.up();
    await expect(strip).not.toHaveAttribute('aria-label', label);
    await expect(page.getByTestId('move-panel')).toContainText('cucumbers');
    const moved = (await strip.getAttribute('aria-label'))!;
    await page.getByTestId('board-undo').click();
    await expect(strip).toHaveAttribute('aria-label', label);
    await page.getByTestId('board-redo').click();
    await expect(strip).toHaveAttribute('aria-label', moved);
    // kept: it is there again on another visit
    await page.reload();
    await expect(page.getByTestId('strip-p25')).toHaveAttribute('aria-label', moved);
    // and by the keys, a week back
    await page.getByTestId('strip-p25').focus();
    await page.keyboard.press('Shift+ArrowLeft');
    await expect(page.getByTestId('strip-p25')).not.toHaveAttribute('aria-label', moved);
    await accessible(page);
  });

  test.describe('kept for offline', () => {
    test.use({ serviceWorkers: 'allow', ownProcess: true });

    test('without signal the board opens from the device, a move waits, and is sent once when signal is back', async ({
      page,
      farm,
    }) => {
      await page.goto(`${farm.url}/board`);
      await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
      await expect(page.getByTestId('quarrels')).toBeVisible({ timeout: 180_000 });
      await expect(page.getByText(/Going through/)).toHaveCount(0, { timeout: 180_000 });
      const strip = page.getByTestId('strip-p25');
      const label = (await strip.getAttribute('aria-label'))!;
      await farm.stop('SIGKILL');
      await strip.focus();
      await page.keyboard.press('Shift+ArrowRight');
      await expect(strip).not.toHaveAttribute('aria-label', label);
      const moved = (await strip.getAttribute('aria-label'))!;
      await expect(page.getByTestId('board-away')).toContainText('one move is kept here');
      // opened anew without signal it is there as it was moved
      await page.reload();
      await expect(page.getByTestId('strip-p25')).toHaveAttribute('aria-label', moved);
      await accessible(page);
      await farm.start();
      await expect(page.getByTestId('board-away')).toHaveCount(0);
      await page.reload();
      await expect(page.getByTestId('strip-p25')).toHaveAttribute('aria-label', moved);
      const log = await farm.api<{ entries: { title: unknown }[] }>('/api/log?kinds=planting');
      expect(log.entries.filter((e) => /cucumbers/i.test(JSON.stringify(e.title)))).toHaveLength(1);
    });
  });

  test('a spring that is late moves what follows, priced, as steps that are taken back', async ({
    page,
    farm,
  }) => {
    await page.goto(`${farm.url}/board`);
    await expect(page.getByTestId('quarrels')).toBeVisible({ timeout: 180_000 });
    await expect(page.getByText(/Going through/)).toHaveCount(0, { timeout: 180_000 });
    await page.getByRole('button', { name: 'The spring is early, or late ›' }).click();
    await page.getByTestId('spring').getByRole('radio', { name: 'late' }).click();
    await expect(page.getByTestId('spring')).toContainText('come later');
    await expect(page.locator('[data-testid^="spring-"]')).not.toHaveCount(0);
    await page.getByTestId('spring-do-tender').click();
    await expect(page.getByTestId('board-undo')).toBeEnabled();
    await accessible(page);
  });

  test('an empty bed is filled by proposal; a warning is accepted and is silent', async ({ page, farm }) => {
    await page.goto(`${farm.url}/board`);
    await expect(page.getByTestId('quarrels')).toBeVisible({ timeout: 180_000 });
    await page.getByTestId('fill-begin').click();
    await expect(page.getByTestId('proposal').first()).toBeVisible({ timeout: 180_000 });
    await expect(page.getByTestId('fill-all')).toBeVisible();
    const before = await page.locator('[data-testid^="strip-"]').count();
    await page.getByTestId('proposal-take').first().click();
    await expect(page.locator('[data-testid^="strip-"]')).toHaveCount(before + 1);
    await page.getByTestId('board-undo').click();
    await expect(page.locator('[data-testid^="strip-"]')).toHaveCount(before);
    const said = page.locator('[data-testid^="quarrel-"]').first();
    const words = (await said.textContent())!;
    await page
      .getByRole('button', { name: `Accept: ${words.split('.')[0]!.replace('▲ ', '')}` })
      .first()
      .click();
    await expect(page.getByTestId('quarrels')).not.toContainText(words.slice(0, 60));
  });
});

test('on a phone a bed is a page, and a row’s next crop is chosen', async ({ page, farm }) => {
  await page.goto(`${farm.url}/board`);
  await expect(page.getByTestId('page-n1')).toBeVisible({ timeout: 180_000 });
  await page
    .getByTestId('page-n1')
    .getByRole('button', { name: 'N1, rows 1–3: what next?' })
    .click({ position: { x: 220, y: 20 } });
  await expect(page.getByTestId('next')).toContainText('free from');
  await expect(page.getByTestId('next-plan').first()).toBeVisible({ timeout: 180_000 });
  const before = await page.getByTestId('page-n1').locator('[data-testid^="strip-"]').count();
  await page.getByTestId('next-plan').first().click();
  await expect(page.getByTestId('page-n1').locator('[data-testid^="strip-"]')).toHaveCount(before + 1);
  await accessible(page);
});
