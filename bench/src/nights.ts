/** Five nights of thirty beds under thirty members, on worker threads as the server has them: night by night, then chosen together. */
import { ensemble, NOTHING_LAIN, type Bed, type Cover, type Planting, type Structure } from '@fogata/core';
import { chooseTogether, severalNights, type Workers } from '@fogata/core/planning';
import { trueHours } from '@fogata/core/standins';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';

const HOUSES = 5;
const BEDS = 6;
const MEMBERS = 30;
const NIGHTS = 5;
const HOUR = 3_600_000;
const at = (text: string) => Date.parse(`${text}:00Z`);
const site = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
const world = {
  seed: 42,
  site,
  episodes: [
    {
      fromMs: at('2027-01-08T00:00'),
      toMs: at('2027-01-22T00:00'),
      meanC: -2,
      cloud: 0.3,
      windMs: 1.2,
      drynessK: 5,
    },
  ],
};
const NOW = at('2027-01-14T14:30');

const structures = Array.from({ length: HOUSES }, (_, h): Structure => ({
  id: `h${h}`,
  name: `House ${h}`,
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
  order: h,
}));
const beds = structures.flatMap((s, h) =>
  Array.from({ length: BEDS }, (_, n): Bed => ({
    id: `b${h}-${n}`,
    structureId: s.id,
    name: `B${h}.${n}`,
    lengthM: 22,
    widthM: 0.9,
    rows: 4,
    on: 'ground',
    texture: n % 2 ? 'loam' : 'sand',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: 0.5 + 0.01 * n,
    order: n,
  })),
);
const CROPS = ['lettuce-leaf', 'spinach', 'pak-choi', 'rocket', 'mache', 'chard'];
const plantings = beds.map((b, i): Planting => ({
  id: `p-${b.id}`,
  bedId: b.id,
  crop: CROPS[i % CROPS.length]!,
  cultivar: '',
  fromRow: 1,
  toRow: 4,
  lengthM: 20,
  plantedOn: '2026-10-20',
  clearedOn: null,
  aim: 'grow',
  note: '',
}));
const cover = (
  id: string,
  material: Cover['material'],
  count: number,
  use: Cover['use'],
  minutes: number,
): Cover => ({
  id,
  name: id,
  material,
  plies: 1,
  lengthM: 24,
  widthM: 2.2,
  count,
  use,
  minutes,
  order: 0,
});
const covers = [
  cover('fleece-30', 'fleece-30', 14, 'hoops', 6),
  cover('fleece-50', 'fleece-50', 8, 'hoops', 7),
  cover('blanket', 'frost-blanket', 6, 'hoops', 9),
  cover('flat', 'fleece-17', 8, 'flat', 4),
];
const farm = {
  ...site,
  timeZone: 'Europe/Madrid',
  hourlyRate: 12,
  hands: 3,
  schools: { uncover: 'thaw' as const, touch: 'both' as const },
};
const style = {
  units: { temperature: 'C' as const, length: 'm' as const, clock: 24 as const },
  currency: '€',
  hours: 24 as const,
  timeZone: farm.timeZone,
};

export async function nights(say: (line: string) => void, root: string): Promise<void> {
  const threads = Math.min(4, availableParallelism());
  const pool = new Piscina({
    filename: join(root, 'server', 'dist', 'worker.mjs'),
    minThreads: threads,
    maxThreads: threads,
  });
  let solving = 0;
  const run =
    (name: string) =>
    (task: unknown, ...rest: unknown[]) =>
      pool.run(task, { name, signal: rest.at(-1) as AbortSignal }) as never;
  const workers: Workers = {
    house: run('house'),
    evaluate: run('evaluate'),
    due: run('due'),
    lift: run('lift'),
    solve: async (task, signal) => {
      const started = performance.now();
      const found = (await pool.run(task, { name: 'solve', signal })) as Record<string, number>;
      solving += performance.now() - started;
      return found;
    },
    nameOf: (work) => createHash('sha1').update(JSON.stringify(work)).digest('hex'),
  };
  const history = trueHours(world, NOW - 5 * 24 * HOUR, NOW);
  const members = ensemble(42, NOW - 3 * HOUR, trueHours(world, NOW - 1 * HOUR, NOW + 132 * HOUR), MEMBERS);
  say(
    `\n${NIGHTS} nights × ${HOUSES * BEDS} beds × every stack × ${members.length} members, ${threads} threads, every night from where the last one ends`,
  );
  for (const state of ['just started', 'warm']) {
    const started = performance.now();
    const seconds = () => ((performance.now() - started) / 1000).toFixed(1);
    const each: string[] = [];
    solving = 0;
    const signal = new AbortController().signal;
    const planned = await severalNights(
      {
        data: { farm, structures, beds, plantings, covers },
        state: NOTHING_LAIN,
        nowMs: NOW,
        history,
        members,
        nights: NIGHTS,
        style,
      },
      workers,
      signal,
      () => each.push(seconds()),
    );
    const alone = seconds();
    solving = 0;
    const t = await chooseTogether(planned, workers, signal, style);
    const left = t.nights.reduce((sum, n) => sum + (n.leftOn?.size ?? 0), 0);
    say(
      `  ${state}: nights known after ${each.join(', ')} s; chosen together after ${seconds()} s (${alone} s without; the solver ${(solving / 1000).toFixed(1)} s), at most ${(100 * t.gap).toFixed(2)} % from the best; saves ${t.saves.toFixed(0)} €, ${left} times a bed stays covered by day`,
    );
  }
  await pool.destroy();
}
