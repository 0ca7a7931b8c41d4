import type { Page } from '@playwright/test';
import { join } from 'node:path';
import { ROOT, type Farm } from './farm';

/** Restarts a real farm's server and sets the browser's clock at an instant; both go on from there. */
export async function at(ms: number, farm: Farm, page: Page): Promise<void> {
  await farm.stop('SIGTERM');
  process.env['FOGATA_TEST_SHIFT_MS'] = String(ms - Date.now());
  process.env['NODE_OPTIONS'] = `--import ${join(ROOT, 'e2e', 'src', 'shiftClock.mjs')}`;
  try {
    await farm.start();
  } finally {
    delete process.env['NODE_OPTIONS'];
    delete process.env['FOGATA_TEST_SHIFT_MS'];
  }
  await page.clock.setSystemTime(ms);
}
