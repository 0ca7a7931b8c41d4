/** Messages that go out before it is too late. */

import type { Telling } from '@fogata/core/words';
import { percent } from './counts';

const way = (colder: boolean) => (colder ? 'colder' : 'milder');

const HOUR_MS = 3_600_000;

export const warnings = {
  'warn.cold': (v: { job: string; onByAtMs: number }, f: Telling) => `${v.job}: on by ${f.time(v.onByAtMs)}`,
  'warn.cold.text': (
    v: {
      beds: readonly string[];
      several: boolean;
      worst: string;
      leafC: number;
      harmC: number;
      keptAt: string;
    },
    f: Telling,
  ) =>
    `${f.and(v.beds)} ${v.several ? 'are' : 'is'} not covered yet. Left so, the leaves on ${v.worst} fall to ${f.t(v.leafC)}; harm begins at ${f.t(v.harmC)}.${v.keptAt === '' ? '' : ` It is kept: ${v.keptAt}.`}`,
  'warn.hot': (v: { structure: string }) => `Open ${v.structure}`,
  'warn.hot.text': (v: { open: number; leafC: number; overK: number; crop: string }, f: Telling) =>
    `${v.open === 0 ? 'It is shut' : `It is ${percent(v.open)} open`}. Left so its leaves reach ${f.t(v.leafC)} today, ${f.apart(v.overK)} too hot for ${v.crop.toLowerCase()}. A closed house is dangerous for people too.`,
  'warn.forecast': (v: { lowC: number }, f: Telling) => `Tonight is colder than planned: ${f.t(v.lowC, 0)}`,
  'warn.forecast.text': (v: { k: number }, f: Telling) =>
    `The forecast is ${f.apart(v.k)} colder than the one that was planned by. The plan has been worked out anew: look at it again.`,
  'warn.parted': (v: { structure: string; offK: number }, f: Telling) =>
    `${v.structure}: ${f.apart(v.offK)} ${way(v.offK < 0)} than it should be`,
  'warn.parted.text': (v: { measuredC: number; atMs: number; modelC: number; colder: boolean }, f: Telling) =>
    `Its thermometer showed ${f.t(v.measuredC)} at ${f.time(v.atMs)}; by what is noted it should be ${f.t(v.modelC)}. ${
      v.colder
        ? 'Look for a door, an edge or a sheet that is not as noted. Until then the night is reckoned that much colder in there.'
        : 'A cover that is on and not noted, or the thermometer itself. Nothing is counted warmer for it.'
    }`,
  'warn.both': (v: { title: string; text: string }) => `${v.title}. ${v.text}`,
  'warn.heat': (v: { structure: string; airC: number }, f: Telling) =>
    `${v.structure}: ${f.t(v.airC)} in there`,
  'warn.heat.text': (v: { atMs: number; crop: string; limitC: number }, f: Telling) =>
    `Measured at ${f.time(v.atMs)}. ${v.crop} spoils above ${f.t(v.limitC)}: open everything that opens. Do not go to work in it alone.`,
  'warn.silent': (v: { spot: string }) => `No word from the thermometer: ${v.spot}`,
  'warn.silent.text': (v: { lastAtMs: number; usualMs: number }, f: Telling) =>
    `It was last heard at ${f.time(v.lastAtMs)}, and used to speak every ${v.usualMs < HOUR_MS ? `${Math.max(1, Math.round(v.usualMs / 60_000))} minutes` : `${Math.round(v.usualMs / HOUR_MS)} hours`}. Battery, signal, or frost on the sensor.`,
  'spot.outside': () => 'outside',
};
