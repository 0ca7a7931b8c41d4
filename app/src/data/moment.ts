/**
 * When an act happens. Contract: on a real farm by the device's own clock, never by the last answer of the server, which may be
 * hours old; in the demo by the demo's clock. `nightFor` is the night that a reading belongs to.
 */
import type { FarmView } from '@fogata/contract/told';
import { HOUR_MS, nightOf, nightWindow, type FarmSite } from '@fogata/core/telling';
import { readStored } from './storage';

interface Known {
  mode: 'real' | 'demo';
  site: FarmSite | null;
}

let known: Known = { mode: 'demo', site: null };

/** Told by whoever reads the farm. */
export function learnFarm(view: Pick<FarmView, 'farm' | 'clock'>): void {
  const { latitude, longitude, timeZone } = view.farm;
  known = { mode: view.clock.mode, site: { latitude, longitude, timeZone } };
}

const last = readStored<Record<string, FarmView | undefined>>('last', {})['/api/farm'];
if (last) learnFarm(last);

export const instant = (shownAtMs: number): number => (known.mode === 'real' ? Date.now() : shownAtMs);

/** A morning's readings may be noted a little after noon; a screen that was left open since yesterday is not believed. */
export function nightFor(atMs: number, shownNight: string): string {
  if (!known.site || known.mode === 'demo') return shownNight;
  const late = nightWindow(shownNight, known.site).toAtMs + 3 * HOUR_MS;
  return atMs <= late ? shownNight : nightOf(atMs, known.site).night;
}

export const farmSite = (): FarmSite | null => known.site;
