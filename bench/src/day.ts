/** The opening plan of ten structures for two days, on worker threads as the server has them: real engine, spring sun. */
import type { Layer, SimulationCase } from '@fogata/core';
import type { Limits } from '@fogata/core/day';
import { trueHours } from '@fogata/core/standins';
import { buildSync } from 'esbuild';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';

const HOUSES = 10;
const RUNS = 5;
const at = (text: string) => Date.parse(`${text}:00Z`);
const site = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
const episode = {
  fromAtMs: at('2027-04-08T00:00'),
  toAtMs: at('2027-04-18T00:00'),
  meanC: 9,
  cloud: 0.15,
  windMs: 1.5,
  drynessK: 7,
};

const house = (i: number): Layer => ({
  lengthM: 18 + i,
  widthM: 6 + (i % 3),
  heightM: 2.8,
  shape: 'arch',
  material: 'pe-film',
  ventAreaM2: 8 + i,
});

export async function day(say: (line: string) => void, root: string): Promise<void> {
  const worker = join(root, 'server', 'dist', 'bench-day.cjs');
  buildSync({
    stdin: {
      contents:
        "import { openingPlan } from '@fogata/core/day'; export default ({ c, limits }) => openingPlan(c, limits);",
      resolveDir: __dirname,
    },
    outfile: worker,
    bundle: true,
    platform: 'node',
    format: 'cjs',
  });
  const threads = Math.min(2, availableParallelism());
  const pool = new Piscina({ filename: worker, minThreads: threads, maxThreads: threads });
  const weather = trueHours(
    { seed: 42, site, episodes: [episode] },
    at('2027-04-11T04:00'),
    at('2027-04-13T04:00'),
  );
  const limits: Limits = { leafMaxC: 26, leafMinC: 0, style: 'air' };
  const cases = Array.from({ length: HOUSES }, (_, i): SimulationCase => ({
    format: 'fogata-case/1',
    site,
    weather,
    ground: { deepC: 9, surfaceC: 9 },
    stack: [house(i)],
  }));
  const all: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const started = performance.now();
    await Promise.all(cases.map((c) => pool.run({ c, limits }) as Promise<unknown>));
    all.push(performance.now() - started);
  }
  await pool.destroy();
  const [cold, ...warm] = all;
  warm.sort((a, b) => a - b);
  say(
    `\nThe opening plan of ${HOUSES} structures for two days, ${threads} threads: ${(cold! / 1000).toFixed(2)} s just started, then ${(warm[warm.length >> 1]! / 1000).toFixed(2)} s (median of ${warm.length})`,
  );
}
