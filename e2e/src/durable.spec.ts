import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { expect, Farm, ROOT, test } from './farm';

test.use({ ownProcess: true });

const exec = promisify(execFile);

test('killed nine times in the middle of writes, setup and imports, nothing acknowledged is lost and nothing is there by half', async () => {
  const { stdout } = await exec(process.execPath, ['--import', 'tsx', 'scripts/killtest.mts', '9'], {
    cwd: ROOT,
  });
  const [, writes, wrong] = /9 kills, (\d+) acknowledged writes \(.*\), (\d+) lost or half done/.exec(
    stdout,
  )!;
  expect(Number(writes)).toBeGreaterThan(20);
  expect(Number(wrong)).toBe(0);
});

test('a second process on the same directory is refused in a sentence, and a closed one is opened again', async ({
  farm,
}) => {
  const second = new Farm(farm.directory, farm.port + 1, true);
  await expect(second.start()).rejects.toThrow(/Another Fogata \(process \d+\) is using/);
  expect(await farm.stop('SIGTERM')).toBe(0);
  await farm.start();
  // killed, it leaves its lock behind; the next start sees that nobody holds it
  await farm.stop('SIGKILL');
  await farm.start();
});
