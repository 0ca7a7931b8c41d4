/**
 * `npm run bench`: figures, never judgements. Nights a second on one core, the error against a run at finer steps and
 * grid, a farm's whole evening on worker threads, seasons. Run from the bundle that the server uses. `-- PART` runs one alone.
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
  PLAN_STEP_S,
  prepareWeather,
  runBed,
  runHouse,
  runOutside,
  splitTask,
  type Bed,
  type BedSpec,
  type BedTask,
  type Cover,
  type HouseBed,
  type HouseOutcome,
  type HouseTask,
  type Layer,
  type OptionOutcome,
  type Structure,
  type WeatherEntry,
} from '@fogata/core';
import { trueHours } from '@fogata/core/standins';

import { day } from './day';
import { first } from './first';
import { frames } from './frames';
import { largeFarm } from './largeFarm';
import { longLog } from './longLog';
import { nights } from './nights';
import { regret } from './regret';
import { relay } from './relay';
import { season } from './season';
import { whatIf } from './whatIf';

const root = join(__dirname, '..', '..');
const say = (line: string) => process.stdout.write(`${line}\n`);
const site = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
const at = (text: string) => Date.parse(`${text}:00Z`);
const episode = {
  fromAtMs: at('2027-01-10T00:00'),
  toAtMs: at('2027-01-20T00:00'),
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

/** Milliseconds of one call: best and median of batches, after warming up. */
function timed(run: () => unknown, batches = 20, each = 10): { best: number; ms: number } {
  for (let i = 0; i < 30; i++) run();
  const all: number[] = [];
  for (let batch = 0; batch < batches; batch++) {
    const started = performance.now();
    for (let i = 0; i < each; i++) run();
    all.push((performance.now() - started) / each);
  }
  all.sort((a, b) => a - b);
  return { best: all[0]!, ms: all[batches >> 1]! };
}

function single(): void {
  say(
    `One bed, 48 hours, one core, without spin-up, median of 20 batches; error against 1 min steps and 10 × the cells.\nThe case format runs at 10 min; what is planned, tried and measured against at ${PLAN_STEP_S / 60} min, cut where a cover moves.`,
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
    for (const stepS of [600, 1800, PLAN_STEP_S]) {
      const weather = prepareWeather(site, hours, stepS);
      const outside = runOutside(weather, spec.ground);
      const night = () => runBed(spec, weather, { outside, audit: false });
      const { best, ms } = timed(night);
      const error = night().minLeafC - exact.minLeafC;
      say(
        `  ${name.padEnd(13)} ${String(stepS / 60).padStart(2)} min: ${ms.toFixed(2).padStart(5)} ms (best of 20 batches ${best.toFixed(2)}), ${Math.round(1000 / ms)} nights a second, lowest leaf off by ${error.toFixed(3)} K`,
      );
    }
  }
  const weather = prepareWeather(site, hours, PLAN_STEP_S);
  const six = Array.from({ length: 6 }, (_, i): BedSpec => ({
    ground: { deepC: 6, surfaceC: 4 },
    stack: [
      house,
      ...(i % 2 ? [fleece] : []),
      ...(i % 3 ? [] : [{ ...fleece, material: 'fleece-17' as const }]),
    ],
    shared: 1,
    floor: { lengthM: 22, widthM: 1 },
  }));
  const outside = runOutside(weather, six[0]!.ground);
  const { best, ms } = timed(() => runHouse(six, weather, { outside, audit: false }));
  say(
    `  a house of six beds under one to three layers, solved together: ${ms.toFixed(2)} ms (best ${best.toFixed(2)}), ${Math.round(1000 / ms)} house nights a second`,
  );
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

const STOCK = [
  cover('a', 'fleece-30'),
  cover('b', 'frost-blanket'),
  cover('c', 'fleece-50'),
  cover('d', 'fleece-17', 'flat'),
];
const bedOf = (n: number): Bed => ({
  id: `b${n}`,
  structureId: 'h',
  name: `B${n}`,
  lengthM: 22,
  widthM: 0.9,
  rows: 4,
  on: 'ground',
  texture: n % 2 ? 'loam' : 'sand',
  wetness: 'moist',
  mulchM: 0,
  hoopHeightM: 0.5 + 0.01 * n,
  order: n,
});
const HOUSES = 5;
const BEDS = 6;

/** One house's beds as they stand. */
function roof(h: number, history: WeatherEntry[], members: WeatherEntry[][]): HouseTask {
  return {
    site,
    history,
    members,
    key: 'as-is',
    countFromAtMs: at('2027-01-14T15:00'),
    beds: Array.from({ length: BEDS }, (_, n): HouseBed => {
      const spec = bedSpec(structure, bedOf(h * BEDS + n), [], [], { deepC: 6 });
      return { id: `b${h * BEDS + n}`, historySpec: spec, spec, structureLayer: 0, placeK: 0 };
    }),
  };
}

async function evening(): Promise<void> {
  const worker = join(root, 'server', 'dist', 'bench-worker.cjs');
  buildSync({
    stdin: {
      contents: "export { evaluateBed as bed, evaluateHouse as house } from '@fogata/core';",
      resolveDir: __dirname,
    },
    outfile: worker,
    bundle: true,
    platform: 'node',
    format: 'cjs',
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
  const stacks = coverOptions(structure, bedOf(0), STOCK, [], Infinity).length;
  say(
    `\nA whole evening: ${HOUSES} houses of ${BEDS} beds × all ${stacks} stacks that fit × ${members.length} members, ${threads} threads.\nEach house whole, every stack on every bed in the air found, the house again as chosen.`,
  );
  const before = process.memoryUsage().rss;
  let peak = before;
  const grow = () => (peak = Math.max(peak, process.memoryUsage().rss));
  for (const state of ['just started', 'warm']) {
    const started = performance.now();
    let first = 0;
    await Promise.all(
      Array.from({ length: HOUSES }, async (_, h) => {
        const task = roof(h, history, members);
        const found = (await pool.run(task, { name: 'house' })) as HouseOutcome;
        first ||= performance.now() - started;
        await Promise.all(
          found.beds.map(async (b, n) => {
            const bed = bedOf(h * BEDS + n);
            const own: BedTask = {
              site,
              members,
              initial: b.initial,
              given: found.shared,
              countFromAtMs: task.countFromAtMs,
              options: coverOptions(structure, bed, STOCK, [], Infinity).map((o) => ({
                key: o.key,
                spec: bedSpec(structure, bed, [], o.covers, { deepC: 6 }),
                structureLayer: 0,
              })),
            };
            const parts = splitTask(own, threads).map(
              (p) => pool.run(p, { name: 'bed' }) as Promise<OptionOutcome[]>,
            );
            joinOutcomes(own, await Promise.all(parts));
            grow();
          }),
        );
        await pool.run({ ...task, key: 'planned' }, { name: 'house' });
        grow();
      }),
    );
    const last = performance.now() - started;
    say(
      `  threads ${state}: first house as it stands after ${(first / 1000).toFixed(2)} s, all planned after ${(last / 1000).toFixed(1)} s`,
    );
  }
  say(`  memory grew by ${Math.round((peak - before) / 1e6)} MB`);
  await pool.destroy();
}

say(
  `${cpus()[0]?.model ?? 'unknown processor'}, ${availableParallelism()} cores, Node ${process.versions.node}\n`,
);
/** Its parts, in their order; one may be named and is run alone. */
const PARTS: Record<string, () => unknown> = {
  night: single,
  evening,
  day: () => day(say, root),
  nights: () => nights(say, root),
  regret: () => regret(say, root),
  season: () => season(say, join(root, 'server', 'dist', 'worker.mjs')),
  relay: () => relay(say),
  frames: () => frames(say),
  first: () => first(say),
  whatIf: () => whatIf(say),
  largeFarm: () => largeFarm(say),
  longLog: () => longLog(say),
};

void (async () => {
  const only = process.argv[2];
  if (only !== undefined && !(only in PARTS)) {
    say(`There is no part “${only}”: ${Object.keys(PARTS).join(', ')}.`);
    process.exit(2);
  }
  for (const [name, run] of Object.entries(PARTS)) if (only === undefined || only === name) await run();
})();
