/** Another farm at the same address, and a rehearsal on a copy. */
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, Farm, freePort, freshDirectory, test } from './farm';

test.use({ serviceWorkers: 'allow' });

test('what waits for one farm is never given to another that answers at its address', async ({
  page,
  farm,
}) => {
  await farm.ready();
  await page.goto(`${farm.url}/log`);
  await expect(page.getByTestId('note-text')).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await farm.stop();
  await page.getByTestId('note-text').fill('ours alone');
  await page.getByTestId('note-keep').click();
  await expect(page.getByTestId('connection')).toContainText('1 entry is kept on this device');
  // somebody starts another one there
  const directory = await freshDirectory();
  const other = new Farm(directory, farm.port, false);
  await other.start();
  await expect(page.getByTestId('connection')).toBeHidden();
  const notes = async (f: Farm) =>
    (await f.api<{ entries: { title: string }[] }>('/api/log?kinds=note')).entries.map((e) => e.title);
  await page.waitForTimeout(2500);
  expect(await notes(other)).toEqual([]);
  await other.stop();
  rmSync(directory, { recursive: true, force: true });
  await page.waitForTimeout(8000); // it opens anew ten seconds after it last did, at the earliest
  await farm.start();
  await page.goto(farm.url);
  await expect.poll(() => notes(farm)).toContain('ours alone');
});

test('a rehearsal: a copy under invented weather, said on every screen, and gone when it ends', async ({
  page,
  farm,
}) => {
  const file = join(mkdtempSync(join(tmpdir(), 'fogata-backup-')), 'farm.backup.gz');
  writeFileSync(file, Buffer.from(await (await fetch(`${farm.url}/api/backup`)).arrayBuffer()));
  const practice = new Farm('', await freePort(), false, {}, ['--practice', file, '--on', '2027-02-01']);
  await practice.start();
  await practice.ready();
  await page.goto(practice.url);
  await expect(page.getByTestId('demo-clock')).toContainText('Practice on a copy of your farm');
  await expect(page.getByTestId('sentence')).toContainText('°C');
  await page.getByTestId('clock-morning').click();
  await expect(page.getByTestId('demo-clock')).toContainText(/clock stands at 0[78]:/);
  const at = /in (\/\S+fogata-practice\S+)/.exec(practice.output)![1]!;
  expect(existsSync(at)).toBe(true);
  expect(await practice.stop()).toBe(0);
  expect(existsSync(at)).toBe(false);
});
