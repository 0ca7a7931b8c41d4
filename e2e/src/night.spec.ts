import { randomUUID } from 'node:crypto';
import { accessible, expect, glovesFit, test } from './farm';

test('a grower covers up in the afternoon, and reads, scores and cuts next morning', async ({
  page,
  farm,
}) => {
  await page.goto(farm.url);
  const sentence = page.getByTestId('sentence');
  await expect(sentence).toContainText('starting by');
  await expect(page.getByTestId('evidence')).toContainText('Left as it is');
  await accessible(page);
  await glovesFit(page);

  // what, why, and one's own word about it
  await page.getByTestId('job-cover').first().click();
  await expect(page.getByText(/instead of/).first()).toBeVisible();
  await page.getByTestId('job-accept').first().click();
  await expect(page.getByText(/· accepted/).first()).toBeVisible();

  // refuse one, and undo the refusal
  await page.getByTestId('job-cover').last().click();
  const refuse = page.getByTestId('job-refuse').last();
  await expect(refuse).toBeVisible();
  await farm.ready();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  // somebody else shuts a house while a finger is on it: the list keeps still until the finger is gone
  const houseOpen = page.getByTestId('jobs').getByRole('checkbox', { checked: false, name: /South house/ });
  await expect(houseOpen).toBeVisible();
  let answer = () => {};
  const pressed = new Promise<void>((go) => (answer = go));
  let asked = 0;
  await page.route('**/api/now', async (route) => {
    asked += 1;
    await pressed;
    await route.continue();
  });
  const { clock } = await farm.api<{ clock: { nowAtMs: number } }>('/api/now');
  const shut = { id: randomUUID(), kind: 'vent', atMs: clock.nowAtMs, structureId: 'south', fraction: 0 };
  const had = await page.request.post(`${farm.url}/api/records`, { data: { records: [shut] } });
  expect(had.ok()).toBe(true);
  const ask = () => page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect.poll(async () => (await ask(), asked)).toBeGreaterThan(0);
  await refuse.hover();
  await page.mouse.down();
  const told = page.waitForResponse((r) => r.url().endsWith('/api/now'));
  answer();
  await (await told).finished();
  await page.waitForTimeout(200);
  await expect(houseOpen).toBeVisible();
  await page.mouse.up();
  await expect(page.getByTestId('undo')).toContainText('refused');
  await expect(houseOpen).toBeHidden();
  await page.unroute('**/api/now');
  await page.getByTestId('undo-button').click();
  await expect(page.getByTestId('undo')).toBeHidden();
  await farm.ready();
  await expect(sentence).toContainText('starting by');

  // tick everything, one after the other
  const open = page.locator('[data-testid="job-tick"][aria-checked="false"]');
  const done = page.locator('[data-testid="job-tick"][aria-checked="true"]');
  for (let i = 0; i < 25 && (await open.count()) > 0; i++) {
    const before = await done.count();
    // the next one is looked for on the list as it stands after this one
    const sent = page.waitForResponse((r) => r.url().endsWith('/api/records'));
    await open.first().click();
    await sent;
    await expect.poll(() => done.count()).toBeGreaterThan(before);
    await farm.ready();
  }
  await expect(sentence).toContainText('All that the plan asked for is on.');

  // a place: switch a layer off, the curve follows at once
  await page.getByTestId('place-line').first().click();
  await expect(page.getByTestId('section')).toBeVisible();
  const lowest = page.getByTestId('tried-min');
  await expect(lowest).toContainText('as planned');
  const planned = (await lowest.textContent())!;
  await page.getByRole('switch').first().click();
  await expect(lowest).toContainText('as switched');
  await page.getByTestId('reset-switches').click();
  await expect(lowest).toHaveText(planned);
  // two stacks side by side, one of them of something that is not in stock; and what tomorrow makes of it
  await page.getByTestId('compare-hold').click();
  await expect(page.getByTestId('compare-sentence')).toContainText('as warm under both');
  await page.getByTestId('try-another').click();
  await page.getByRole('radio', { name: 'foil blanket' }).click();
  await expect(page.getByTestId('compare-sentence')).toContainText('warmer on the right');
  await expect(page.getByTestId('plan-this')).toBeHidden();
  await expect(page.getByTestId('curves').last()).toHaveAttribute('aria-label', /soil at 5 cm from/);
  const warmest = (await page.getByTestId('tried-max').textContent())!;
  await page.getByRole('radio', { name: 'left on' }).click();
  await expect(page.getByTestId('tried-max')).not.toHaveText(warmest);
  await page.getByTestId('compare-let-go').click();
  await page.getByTestId('reset-switches').click();
  await expect(lowest).toHaveText(planned);
  await accessible(page);
  await glovesFit(page);
  await page.getByTestId('back').click();

  // the clock goes on: an hour, then the next morning
  await page.getByTestId('clock-hour').click();
  await expect(page.getByTestId('clock')).toContainText('16:30');
  await page.getByTestId('clock-morning').click();
  await expect(page.getByTestId('clock')).toContainText('Fri 15 Jan');
  await expect(sentence).toContainText(/until \d\d:\d\d/);

  // one thermometer typed on the keypad, kept over a reload, the rest as they hang there
  const round = page.getByTestId('round');
  await expect(round).toContainText('0 of 5 read');
  await page.getByRole('button', { name: 'Outside lowest down 1', exact: true }).click();
  await page.getByTestId('reading-min-value').click();
  for (const k of ['7', '.', '4', 'Change the sign', 'Set'])
    await page.getByRole('button', { name: k, exact: true }).click();
  await expect(page.getByTestId('reading-min-value')).toContainText('−7.4');
  await page.reload();
  await expect(page.getByTestId('reading-min-value')).toContainText('−7.4');
  await accessible(page);
  await page.getByTestId('note-reading').click();
  for (let i = 1; i < 5; i++) {
    await expect(round).toContainText(`${i} of 5 read`);
    await page.getByTestId('take-thermometer').click();
    await page.getByTestId('note-reading').click();
  }
  await expect(round).toContainText('Every thermometer has been read.');

  // and what the sun asks for
  await expect(page.getByTestId('day')).toContainText('North house');
  await accessible(page);
  await glovesFit(page);

  // harm and harvest
  await page.getByTestId('place-line').first().click();
  await page.getByTestId('score-harm').first().click();
  await page.getByRole('radio', { name: 'leaf tips' }).click();
  await page.getByLabel('Why, if you can tell').fill('touched the film at the door end');
  await page.getByTestId('note-harm').click();
  await expect(page.getByText(/Last scored: leaf tips/)).toBeVisible();
  await page.getByTestId('harvest').first().click();
  await page.getByRole('button', { name: 'Weight up 1', exact: true }).click();
  await page.getByTestId('note-harvest').click();
  await expect(page.getByText(/1 kg cut/)).toBeVisible();
  await page.getByTestId('back').click();

  // how far off it was, and whose fault
  await page.getByTestId('open-night').click();
  await expect(page.getByTestId('night-chart')).toBeVisible();
  await expect(sentence).toContainText('−7.4 °C outside, said');
  await expect(page.getByText(/The weather's part/).first()).toBeVisible();
  await accessible(page);

  // all of it is in the log, and can be taken back
  await page.getByTestId('tab-Log').click();
  await expect(page.getByTestId('log-entry').filter({ hasText: 'leaf tips' })).toHaveCount(1);
  await page.getByTestId('note-text').fill('sparrows under the net again');
  await page.getByTestId('note-keep').click();
  const note = page.getByTestId('log-entry').filter({ hasText: 'sparrows' });
  await expect(note).toBeVisible();
  await page.getByRole('button', { name: /Take back: sparrows/ }).click();
  await expect(note).toContainText('taken back');
  await accessible(page);
});
