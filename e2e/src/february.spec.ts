/** A bright day in February and the hard night after it: two phones, one of them without signal for an hour. */
import type { FarmRecord, NowView } from '@fogata/contract';
import type { Page } from '@playwright/test';
import { accessible, expect, glovesFit, test, type Farm } from './farm';

test.use({ serviceWorkers: 'allow' });

const at = (text: string) => Date.parse(`2027-02-18T${text}:00Z`);
/** The demo's clock, and the night and the day worked out for it. */
async function clockTo(ms: number, farm: Farm): Promise<void> {
  await fetch(`${farm.url}/api/clock`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ toAtMs: ms }),
  });
  await farm.ready();
  for (let i = 0; i < 200; i++) {
    const day = await farm.api<{ progress: { state: string } }>('/api/day');
    if (day.progress.state !== 'computing') return;
    await new Promise((r) => setTimeout(r, 150));
  }
}
const records = async (farm: Farm, kinds: string): Promise<FarmRecord[]> =>
  (await farm.api<{ entries: { record: FarmRecord }[] }>(`/api/log?kinds=${kinds}`)).entries
    .map((e) => e.record)
    .filter((r) => r.atMs >= at('07:00'));

async function readHere(page: Page): Promise<void> {
  await page.getByTestId('take-thermometer').click();
  await page.getByTestId('note-reading').click();
}

test('from the morning round to the last cover, by two phones, each thing once', async ({
  page,
  farm,
  browser,
}) => {
  await clockTo(at('07:30'), farm);
  const other = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const second = await other.newPage();
  await second.goto(farm.url);
  await expect(second.getByTestId('day')).toContainText('Shut North house');
  await second.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await other.setOffline(true);

  // the first walks: outside, then the north house
  await page.goto(`${farm.url}/round`);
  await page.evaluate(() => localStorage.setItem('fogata:who', JSON.stringify('first phone')));
  await expect(page.getByTestId('sentence')).toContainText('Morning round');
  await accessible(page);
  await glovesFit(page);
  await readHere(page);
  await expect(page.getByTestId('to-stop-outside')).toContainText('✓');
  // who read it stands on the round, on the other phone as well
  await page.getByTestId('to-stop-outside').click();
  await expect(page.getByTestId('stop-outside')).toContainText('Outside · first phone');
  await page.getByTestId('to-stop-north').click();
  await readHere(page);
  await page.getByLabel('Shut North house: mark it done').click();
  await expect(page.getByTestId('to-stop-north')).toContainText('✓');

  // the second has no signal, and shuts the same house
  await second.getByLabel('Shut North house: mark it done').click();
  await expect(second.getByLabel('Shut North house: mark it done')).toHaveCount(0);
  await expect(second.getByTestId('connection')).toContainText('kept on this device');

  await clockTo(at('08:30'), farm);
  await other.setOffline(false);
  await expect(second.getByTestId('connection')).toBeHidden();
  const vents = (await records(farm, 'vent')).filter((r) => r.kind === 'vent' && r.structureId === 'north');
  expect(vents).toHaveLength(1);
  expect((await records(farm, 'reading')).map((r) => (r.kind === 'reading' ? r.spot : ''))).toEqual(
    expect.arrayContaining(['outside', 'north']),
  );

  // closing: stop by stop until nothing is left
  await clockTo(at('15:10'), farm);
  await page.goto(`${farm.url}/round`);
  await expect(page.getByTestId('sentence')).toContainText('Closing round');
  const first = await farm.api<NowView>('/api/now');
  const money = first.money!.saved;
  expect(first.jobs.length).toBeGreaterThan(5);
  // while one walks the night is worked out anew, and may ask for one thing more at a stop that was done
  for (let walk = 0; walk < 3; walk++) {
    const stops = await page.getByTestId(/^to-stop-/).count();
    for (let n = 0; n < stops; n++) {
      await page
        .getByTestId(/^to-stop-/)
        .nth(n)
        .click();
      for (;;) {
        const open = page.getByRole('checkbox', { checked: false });
        if ((await open.count()) === 0) break;
        await open.first().click();
      }
    }
    await farm.ready();
    if ((await page.getByTestId('sentence').textContent())?.includes('all of it is done')) break;
  }
  await expect(page.getByTestId('sentence')).toContainText('all of it is done');
  await farm.ready();
  const last = await farm.api<NowView>('/api/now');
  expect(last.jobs.filter((j) => !j.done).length).toBeLessThan(3);
  // done as told, what was to be saved is saved
  expect(last.money!.saved).toBeLessThan(0.2 * money);
  await other.close();
});
