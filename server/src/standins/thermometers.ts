/**
 * Invented thermometers: driven by the heat engine under the true weather and the covers that were on, with hidden properties
 * of each structure that differ from the book's: something for calibration to find. Reached by the demo and tests alone.
 */
import { BOOK_CALIBRATION, type Calibration } from '@fogata/core';
import { minMaxBetween, spotAirC } from '../night/spotAir';
import { digest } from '../night/pool';
import type { Thermometers, ThermometerSpot } from '../sources/ports';

const KEPT_RUNS = 50;

function hashOf(text: string): number {
  let h = 2166136261;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 16777619);
  return ((h >>> 0) % 10_000) / 10_000;
}

/** The hidden truth about a structure: joints, film, soil and spot differ from the book by a factor drawn from its id. */
export function hiddenProperties(id: string): Calibration {
  return {
    leakage: 0.7 + 1.4 * hashOf(`${id}/leakage`),
    filmTransparency: 0.85 + 0.3 * hashOf(`${id}/film`),
    soilExchange: 0.75 + 0.5 * hashOf(`${id}/soil`),
    zoneOffsetC: -1.1 + 0.9 * hashOf(`${id}/zone`),
  };
}

/** Thermometers as they hang there: read to a tenth, wrong by up to 0.3 K each in its own way. */
export function simulatedThermometers(): Thermometers {
  // one spot is asked for its last hours one by one: it is run once for all of them
  const run = new Map<string, ReturnType<typeof spotAirC>>();
  const airOf = (spot: ThermometerSpot) => {
    const key = digest(spot);
    const found = run.get(key);
    if (found) return found;
    if (run.size >= KEPT_RUNS) run.clear();
    const fresh = spotAirC(spot, spot.structureLayer < 0 ? BOOK_CALIBRATION : hiddenProperties(spot.id));
    run.set(key, fresh);
    return fresh;
  };
  return {
    read: (spot, fromAtMs, toAtMs) => {
      const found = minMaxBetween(airOf(spot), fromAtMs, toAtMs);
      if (!found) return Promise.resolve(null);
      const own = 0.6 * hashOf(`${spot.id}/instrument`) - 0.3;
      const tenth = (c: number) => Math.round((c + own) * 10) / 10;
      return Promise.resolve({ minC: tenth(found.minC), maxC: tenth(found.maxC) });
    },
  };
}
