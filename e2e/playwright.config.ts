import { defineConfig } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

// the farms that every test copies are made once for both workers, which have it from here
process.env['FOGATA_TEMPLATES'] ??= mkdtempSync(join(tmpdir(), 'fogata-templates-'));

export default defineConfig({
  testDir: './src',
  testMatch: '**/*.spec.ts',
  timeout: 240_000,
  expect: { timeout: 20_000 },
  fullyParallel: true,
  workers: 2,
  retries: 0,
  forbidOnly: true,
  reporter: [['list'], ['json']],
  globalTeardown: './src/teardown.ts',
  outputDir: '../test-results',
  use: {
    headless: true,
    viewport: { width: 390, height: 844 },
    actionTimeout: 20_000,
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env['FOGATA_CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
