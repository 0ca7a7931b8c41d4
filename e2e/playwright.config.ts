import { defineConfig } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from './src/chromium';

// the farms that every test copies are made once for both workers, which have it from here
process.env['FOGATA_TEMPLATES'] ??= mkdtempSync(join(tmpdir(), 'fogata-templates-'));

export default defineConfig({
  testDir: './src',
  testMatch: '**/*.spec.ts',
  // limits end what hangs; how quick anything is, is asked by `npm run bench` and never here
  timeout: 900_000,
  // longer than the app itself waits for an answer before it asks anew: a minute
  expect: { timeout: 150_000 },
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
    actionTimeout: 60_000,
    // keeping a trace of what passes takes a fifth of the browser's time: asked for where something is to be looked into
    trace: process.env['FOGATA_TRACE'] ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    // every journey is a new address, where the app would be kept for offline first; those about that say so
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: CHROMIUM,
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
