/**
 * `npm run bench`: figures, never judgements. Nights a second on one core, the error against a run at finer steps and
 * grid, and a farm's whole evening on worker threads. Run from the bundle that the server uses.
 */
import { buildSync } from 'esbuild';
import { availableParallelism, cpus } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import {
  bedSpec,
  coverOptions,
  ensemble,
  joinOutcomes,
  prepareWeather,
  runBed,
  runOutside,
  splitTask,
  trueHours,
  type Bed,
  type BedOutcome,
  type BedTask,
  type Cover,
  type Layer,
  type Structure,
  type WeatherEntry,
} from '@fogata/core';

import { largeFarm } from './largeFarm';
import { whatIf } from './whatIf';

const root = join(__dirname, '..', '..');
const say = (line: string) => process.stdout.write(`${line}\n`);
const site = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
const at = (text: string) => Date.parse(`${text}:00Z`);
const episode = {
  fromMs: at('2027-01-10T00:00'),
  toMs: at('2027-01-20T00:00'),
  meanC: -1,
  cloud: 0.08,
  windMs: 1,
  drynessK: 5,
};
const world = { seed: 42, site, episodes: [episode] };

const house: Layer = {
  lengthM: 24,
  widthM: 7,
  heightM: 2.9,
  shape: 'arch',
  material: 'pe-film',
  ventAreaM2: 10,
};
const blanket: Layer = { lengthM: 22, widthM: 1.4, heightM: 0.65, shape: 'arch', material: 'fleece-50' };
const film: Layer = { lengthM: 22, widthM: 1.3, heightM: 0.6, shape: 'arch', material: 'pe-film' };
const fleece: Layer = { lengthM: 22, widthM: 1.2, heightM: 0.5, shape: 'arch', material: 'fleece-30' };

function single(): void {
  say(
    'One bed, 48 hours, one core, without spin-up, median of 20 batches; error against 1 min steps and 10 × the cells.\nThe case format and the what-if run at 10 min, the planner at 20 min.',
  );
  const hours = trueHours(world, at('2027-01-14T12:00'), at('2027-01-16T12:00'));
  for (const [name, stack] of [
    ['one layer', [house]],
    ['three layers', [house, blanket, fleece]],
    ['four layers', [house, blanket, film, fleece]],
  ] as [string, Layer[]][]) {
    const spec = { ground: { deepC: 6, surfaceC: 4 }, stack };
    const fine = prepareWeather(site, hours, 60);
    const exact = runBed(spec, fine, {
      refine: 10,
      outside: runOutside(fine, spec.ground, undefined, undefined, 10),
      audit: false,
    });
    for (const stepS of [600, 1200, 1800]) {
      const weather = prepareWeather(site, hours, stepS);
      const outside = runOutside(weather, spec.ground);
      for (let i = 0; i < 30; i++) runBed(spec, weather, { outside, audit: false });
      const all: number[] = [];
      for (let batch = 0; batch < 20; batch++) {
        const started = performance.now();
        for (let i = 0; i < 10; i++) runBed(spec, weather, { outside, audit: false });
        all.push((performance.now() - started) / 10);
      }
      all.sort((a, b) => a - b);
      const [best, ms] = [all[0]!, all[10]!];
      const error = runBed(spec, weather, { outside, audit: false }).minLeafC - exact.minLeafC;
      say(
        `  ${name.padEnd(13)} ${String(stepS / 60).padStart(2)} min: ${ms.toFixed(2).padStart(5)} ms (best of 20 batches ${best.toFixed(2)}), ${Math.round(1000 / ms)} nights a second, lowest leaf off by ${error.toFixed(3)} K`,
      );
    }
  }
}

const structure: Structure = {
  id: 'h',
  name: 'House',
  kind: 'house',
  shape: 'arch',
  sides: 'cover',
  lengthM: 24,
  widthM: 7,
  heightM: 2.9,
  material: 'pe-film',
  plies: 1,
  tightness: 'average',
  ventAreaM2: 10,
  order: 0,
};
const cover = (id: string, material: Cover['material'], use: Cover['use'] = 'hoops'): Cover => ({
  id,
  name: id,
  material,
  plies: 1,
  lengthM: 24,
  widthM: 2.2,
  count: 40,
  use,
  minutes: 6,
  order: 0,
});

function task(n: number, history: WeatherEntry[], members: WeatherEntry[][]): BedTask {
  const bed: Bed = {
    id: `b${n}`,
    structureId: 'h',
    name: `B${n}`,
    lengthM: 22,
    widthM: 1,
    rows: 4,
    on: 'ground',
    texture: n % 2 ? 'loam' : 'sand',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: 0.5,
    order: n,
  };
  const options = coverOptions(structure, bed, [
    cover('a', 'fleece-30'),
    cover('b', 'frost-blanket'),
    cover('c', 'fleece-50'),
    cover('d', 'fleece-17', 'flat'),
  ]);
  return {
    site,
    history,
    historySpec: bedSpec(structure, bed, [], [], { deepC: 6 }),
    members,
    options: options.map((o) => ({
      key: o.key,
      spec: bedSpec(structure, bed, [], o.covers, { deepC: 6 }),
      structureLayer: 0,
    })),
    countFromMs: at('2027-01-14T15:00'),
  };
}

async function evening(): Promise<void> {
  const worker = join(root, 'server', 'dist', 'bench-worker.cjs');
  buildSync({
    stdin: { contents: "export { evaluateBed as default } from '@fogata/core';", resolveDir: __dirname },
    outfile: worker,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    footer: { js: 'module.exports = module.exports.default;' },
  });
  const threads = Math.min(4, availableParallelism());
  const pool = new Piscina({ filename: worker, minThreads: threads, maxThreads: threads });
  const history = trueHours(world, at('2027-01-10T15:00'), at('2027-01-14T15:00'));
  const members = ensemble(
    42,
    at('2027-01-14T12:00'),
    trueHours(world, at('2027-01-14T15:00'), at('2027-01-15T14:00')),
    30,
  );
  const tasks = Array.from({ length: 30 }, (_, n) => task(n, history, members));
  say(
    `\nA whole evening: 30 beds × ${tasks[0]!.options.length} stacks × ${members.length} members, ${threads} threads`,
  );
  const before = process.memoryUsage().rss;
  let peak = before;
  for (const state of ['just started', 'warm']) {
    const started = performance.now();
    let first = 0;
    await Promise.all(
      tasks.map(async (t) => {
        const parts = splitTask(t, threads).map((p) => pool.run(p) as Promise<BedOutcome>);
        joinOutcomes(t, await Promise.all(parts));
        first ||= performance.now() - started;
        peak = Math.max(peak, process.memoryUsage().rss);
      }),
    );
    const last = performance.now() - started;
    say(
      `  threads ${state}: first bed after ${(first / 1000).toFixed(2)} s, all after ${(last / 1000).toFixed(1)} s`,
    );
  }
  say(`  memory grew by ${Math.round((peak - before) / 1e6)} MB`);
  await pool.destroy();
}

say(
  `${cpus()[0]?.model ?? 'unknown processor'}, ${availableParallelism()} cores, Node ${process.versions.node}\n`,
);
single();
void evening()
  .then(() => whatIf(say))
  .then(() => largeFarm(say));
