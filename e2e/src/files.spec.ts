/** A farm taken along and brought: what a file would change is shown first, and what it did is taken back as one. */
import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { accessible, expect, glovesFit, test } from './farm';

interface Whole {
  covers: { id: string; name: string; count: number }[];
  structures: { id: string; name: string }[];
}

test('a changed farm file is looked at, taken, seen in the log, and taken back as one', async ({
  page,
  farm,
}) => {
  await farm.ready();
  const before = await farm.api<Whole>('/api/farm/file');
  const next = structuredClone(before);
  next.covers[0]!.count += 5;
  next.covers = next.covers.filter((c) => c.name !== 'Straw mat');
  next.structures.push({ ...next.structures[0]!, id: 'third', name: 'Third house' });

  await page.goto(`${farm.url}/files`);
  await accessible(page);
  await glovesFit(page);
  const bring = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByTestId('bring-farm').click();
    await (await chooser).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  };
  // no JSON, and a file that names what is wrong in it: nothing changes
  await bring('half.json', '{"format": "fog');
  await expect(page.getByRole('alert')).toContainText('half.json: expected JSON');
  await bring('spoilt.json', JSON.stringify({ ...next, covers: [{ ...next.covers[0], lengthM: 'long' }] }));
  await expect(page.getByRole('alert')).toContainText('covers[0].lengthM: expected a number (m)');
  expect(await farm.api<Whole>('/api/farm/file')).toEqual(before);

  await bring('farm.json', JSON.stringify(next));
  await expect(page.getByTestId('exchange')).toContainText('It would change this:');
  await expect(page.getByTestId('exchange')).toContainText('Come: Third house.');
  await expect(page.getByTestId('exchange')).toContainText('Go: Straw mat.');
  expect(await farm.api<Whole>('/api/farm/file')).toEqual(before);
  await page.getByTestId('exchange-take').click();
  await expect(page.getByTestId('exchange')).toContainText('Taken.');
  await expect(page.getByTestId('undo')).toContainText('The whole farm: taken');
  const taken = await farm.api<Whole>('/api/farm/file');
  expect(taken.structures.some((s) => s.id === 'third')).toBe(true);

  // from the log, after the ten seconds of the offer
  await page.goto(`${farm.url}/log`);
  await expect(page.getByTestId('log-entry').first()).toContainText('A farm file brought');
  await expect(page.getByTestId('log-entry').first()).toContainText('1 added, 1 changed, 1 removed');
  await page.getByRole('button', { name: 'Take back: A farm file brought' }).click();
  await expect(page.getByTestId('log-entry').first()).toContainText('taken back');
  const { covers, structures } = await farm.api<Whole>('/api/farm/file');
  expect([covers, structures]).toEqual([before.covers, before.structures]);
});

test('a backup is one tap, whole and named by its time', async ({ page, farm }) => {
  await page.goto(`${farm.url}/files`);
  const download = page.waitForEvent('download');
  await page.evaluate(() => {
    const a = document.createElement('a');
    a.href = '/api/backup';
    a.download = '';
    a.click();
  });
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/^fogata-\d{4}-\d{2}-\d{2}.*\.backup\.gz$/);
  const lines = gunzipSync(readFileSync(await file.path()))
    .toString('utf8')
    .trim()
    .split('\n');
  const [first, last] = [lines[0]!, lines.at(-1)!].map((l) => JSON.parse(l) as Record<string, unknown>);
  expect(first).toMatchObject({ format: 'fogata-backup/1' });
  const whole = await farm.api<Whole & { records: unknown[] }>('/api/farm/file');
  expect(last).toMatchObject({
    end: true,
    counts: {
      structures: whole.structures.length,
      covers: whole.covers.length,
      records: whole.records.length,
    },
  });
});

test('a sheet kept for hoops is laid on the leaves from its bed, counted once in stock, and the log says how', async ({
  page,
  farm,
}) => {
  await farm.ready();
  await page.goto(`${farm.url}/settings`);
  await page.getByTestId('step-farm').click();
  await page.getByTestId('who').fill('M');
  await page.goto(`${farm.url}/place/o1`);
  const row = page.getByTestId('on-now').getByText(/^Fleece 30, laid on$/);
  await row.scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: 'Fleece 30, laid on: put it on' }).click();
  await expect(page.getByText('Fleece 30, laid on: is on')).toBeVisible();
  // it shows at once, from what waits on the device: the stock knows when it has been sent
  const inUse = async () =>
    (await farm.api<{ covers: { id: string; inUse: number }[] }>('/api/kit')).covers.find(
      (c) => c.id === 'fleece30',
    )!.inUse;
  await expect.poll(inUse).toBe(1);
  await page.goto(`${farm.url}/log`);
  const entry = page.getByTestId('log-entry').first();
  await expect(entry).toContainText('Fleece 30 on Open 1');
  await expect(entry).toContainText('laid on · by M');
  // straw never goes on hoops, nor film on leaves: neither is offered here
  await page.goto(`${farm.url}/place/o1`);
  await expect(page.getByTestId('on-now')).toBeVisible();
  await expect(page.getByText(/Tunnel film.*laid on/)).toHaveCount(0);
});
