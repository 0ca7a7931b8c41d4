/**
 * The farm clock: one object that says what time it is. Real time in a real farm; in the demo it stands still until it
 * is moved, and is remembered across restarts.
 */
import { addDays, HOUR_MS, nightOf, nightWindow, type FarmSite, type NightWindow } from '@fogata/core';

export interface FarmClock {
  readonly mode: 'real' | 'demo';
  nowAtMs(): number;
  /** Demo only; a real clock refuses. */
  set(ms: number): Promise<void>;
}

export const realClock: FarmClock = {
  mode: 'real',
  nowAtMs: () => Date.now(),
  set: () => Promise.reject(new Error('the clock of a real farm cannot be moved')),
};

/** A clock that stands at `startAtMs`; `remember` is told of every move. */
export function demoClock(startAtMs: number, remember: (ms: number) => Promise<void>): FarmClock {
  let now = startAtMs;
  return {
    mode: 'demo',
    nowAtMs: () => now,
    set: async (ms) => {
      await remember(ms);
      now = ms;
    },
  };
}

const wholeMinute = (ms: number) => Math.round(ms / 60_000) * 60_000;

/** The first of an instant of this night and the next that is still to come, in whole minutes. */
function coming(nowAtMs: number, site: FarmSite, at: (w: NightWindow) => number): number {
  const window = nightOf(nowAtMs, site);
  const now = wholeMinute(at(window));
  return now > nowAtMs ? now : wholeMinute(at(nightWindow(addDays(window.night, 1), site)));
}

/** Next closing time: two and a half hours before the sun goes, so that the first start is still ahead, today or tomorrow. */
export function nextClosingAtMs(nowAtMs: number, site: FarmSite): number {
  return coming(nowAtMs, site, (w) => (w.sunsetAtMs ?? w.fromAtMs + 6.5 * HOUR_MS) - 2.5 * HOUR_MS);
}

/** Next morning round: a quarter of an hour after sunrise, when the lowest has passed; 06:45 where the sun does not rise. */
export function nextMorningAtMs(nowAtMs: number, site: FarmSite): number {
  return coming(nowAtMs, site, (w) =>
    w.sunriseAtMs === null ? w.toAtMs - 5.25 * HOUR_MS : w.sunriseAtMs + HOUR_MS / 4,
  );
}
