/** Debian's Chromium. Contract: the one without windows where it is there, which opens a page in half the time; else the whole one. */
import { existsSync } from 'node:fs';

export const CHROMIUM =
  process.env['FOGATA_CHROMIUM'] ??
  ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((file) => existsSync(file)) ??
  'chromium';
