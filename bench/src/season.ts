/** Seasons: the reduced model against the engine on days that it has not seen, and how long answers by the year take. */
import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { Layer } from '@fogata/core';
import { CROPS } from '@fogata/core';
import { errorOf, fitUnder, fromMonthly, usualHow, type UnderSpec } from '@fogata/core/season';

const site = { latitude: 47, longitude: 8, elevationM: 450 };
const lows = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2];
const swings = [5, 7, 10, 11, 11, 12, 12, 12, 11, 8, 6, 4];
const climate = fromMonthly(
  site,
  lows.map((lowC, m) => ({ lowC, highC: lowC + swings[m]! })),
);
const house: Layer = {
  lengthM: 24,
  widthM: 7,
  heightM: 3,
  shape: 'arch',
  material: 'pe-film',
  ventAreaM2: 20,
};
const fleece: Layer = { lengthM: 20, widthM: 1.2, heightM: 0.5, shape: 'arch', material: 'fleece-30' };
const blanket: Layer = { ...fleece, lengthM: 20.2, widthM: 1.4, heightM: 0.6, material: 'frost-blanket' };
const frame: Layer = {
  lengthM: 3,
  widthM: 1.2,
  heightM: 0.4,
  shape: 'box',
  sides: 'board',
  material: 'glass',
  ventAreaM2: 1,
};
const PLACES: [string, Layer[]][] = [
  ['open ground', []],
  ['fleece in the open', [fleece]],
  ['film tunnel', [{ ...fleece, material: 'pe-film', ventAreaM2: 4 }]],
  ['glass frame', [frame]],
  ['house', [house]],
  ['double house', [{ ...house, plies: 2 }]],
  ['house of twin-wall', [{ ...house, material: 'polycarbonate-twin' }]],
  ['fleece in the house', [house, fleece]],
  ['blanket in the house', [house, blanket]],
  ['blanket and fleece in the house', [house, blanket, fleece]],
];
const spec = (stack: Layer[]): UnderSpec => ({ site, climate, stack, venting: 'air' });

export async function season(say: (line: string) => void, worker: string): Promise<void> {
  say(
    '\nDays under covers by the reduced model, against the engine on 300 days of other years; rms and bias, K (light mol/m²)',
  );
  for (const [name, stack] of PLACES) {
    const started = performance.now();
    const model = fitUnder(spec(stack));
    const ms = performance.now() - started;
    const e = errorOf(spec(stack), model, 77);
    const two = (o: 'leafMinC' | 'maxC' | 'meanC' | 'soilC' | 'lightMol') =>
      `${e.rms[o].toFixed(2)} ${e.bias[o].toFixed(2)}`;
    say(
      `  ${name.padEnd(32)} lowest leaf ${two('leafMinC')}, highest air ${two('maxC')}, mean ${two('meanC')}, soil ${two('soilC')}, light ${two('lightMol')}; fitted in ${(ms / 1000).toFixed(1)} s`,
    );
  }
  const threads = Math.max(1, Math.min(4, availableParallelism()));
  const pool = new Piscina({ filename: worker, minThreads: threads, maxThreads: threads });
  const crops = CROPS.slice(0, 80).map((c) => ({ id: c.id, how: usualHow(c) }));
  const task = (stack: Layer[], some: typeof crops) => ({
    place: JSON.stringify(stack),
    spec: spec(stack),
    frost: {},
    years: 100,
    seed: 1,
    risk: 0.1,
    crops: some,
  });
  const started = performance.now();
  await Promise.all(PLACES.map(([, stack]) => pool.run(task(stack, crops), { name: 'season' })));
  const all = (performance.now() - started) / 1000;
  await pool.run(task([house], crops.slice(0, 1)), { name: 'season' });
  const once = performance.now();
  await pool.run(task([house], crops.slice(1, 2)), { name: 'season' });
  const one = performance.now() - once;
  const lookedAt = performance.now();
  for (let i = 0; i < 5; i++) await pool.run(task([house], crops.slice(i, i + 1)), { name: 'season' });
  await pool.destroy();
  say(
    `  ${crops.length} crops × ${PLACES.length} places × 100 years on ${threads} threads, places fitted on the way: ${all.toFixed(1)} s; one crop in a place that is fitted ${one.toFixed(0)} ms, five after each other ${(performance.now() - lookedAt).toFixed(0)} ms`,
  );
}
