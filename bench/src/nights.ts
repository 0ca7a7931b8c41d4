/** Thirty beds under thirty members, on the server's own threads: tonight's first answer, the whole, a tick; then five nights, chosen together. */
import {
  applyAll,
  ensemble,
  NOTHING_LAIN,
  type Bed,
  type Cover,
  type Planting,
  type Structure,
  type WeatherEntry,
} from '@fogata/core';
import {
  begin,
  chooseTogether,
  jobsOf,
  nightAt,
  severalNights,
  type KeptAir,
  type NightPlan,
} from '@fogata/core/planning';
import { trueHours } from '@fogata/core/standins';
import { setMaxListeners } from 'node:events';
import { join } from 'node:path';
import { startThreads } from './threads';

const HOUSES = 5;
const BEDS = 6;
const MEMBERS = 30;
const NIGHTS = 5;
const HOUR = 3_600_000;
const at = (text: string) => Date.parse(`${text}:00Z`);
export const site = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
const world = {
  seed: 42,
  site,
  episodes: [
    {
      fromAtMs: at('2027-01-08T00:00'),
      toAtMs: at('2027-01-22T00:00'),
      meanC: -2,
      cloud: 0.3,
      windMs: 1.2,
      drynessK: 5,
    },
  ],
};
const NOW = at('2027-01-14T14:30');

export const structures = Array.from({ length: HOUSES }, (_, h): Structure => ({
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
export const beds = structures.flatMap((s, h) =>
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
export const plantings = beds.map((b, i): Planting => ({
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
export const cover = (
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
export const farm = {
  ...site,
  timeZone: 'Europe/Madrid',
  hourlyRate: 12,
  hands: 3,
  schools: { uncover: 'thaw' as const, touch: 'both' as const },
};
export const style = {
  units: { temperature: 'C' as const, length: 'm' as const, clock: 24 as const },
  currency: '€',
  hours: 24 as const,
  timeZone: farm.timeZone,
};

const HISTORY_H = 5 * 24;
const MEASURED = trueHours(world, NOW - HISTORY_H * HOUR, NOW);
const MEMBERS_AHEAD = ensemble(
  42,
  NOW - 3 * HOUR,
  trueHours(world, NOW - 1 * HOUR, NOW + 132 * HOUR),
  MEMBERS,
);
const data = { farm, structures, beds, plantings, covers };

/** Tonight by itself, as the app asks for it. */
function tonight(nowAtMs: number, state: NightPlan['state'], airs: Map<string, KeptAir>) {
  const at = nightAt(nowAtMs, farm);
  const between = (list: WeatherEntry[], fromAtMs: number, toAtMs: number) =>
    list.filter((e) => Date.parse(e.time) >= fromAtMs && Date.parse(e.time) <= toAtMs);
  const past = between(MEASURED, at.pastAtMs, at.hourAtMs);
  return begin({
    data,
    state,
    nowAtMs,
    at,
    weather: {
      past: { hours: past, worth: past.map(() => 'measured' as const) },
      members: MEMBERS_AHEAD.map((m) => between(m, at.hourAtMs, at.endAtMs)),
      ahead: between(MEMBERS_AHEAD[0]!, at.hourAtMs, at.aheadAtMs),
      issuedAtMs: NOW - 3 * HOUR,
      name: 'members',
      source: 'file',
    },
    background: { means: new Map(), deepC: 8 },
    beliefs: new Map(),
    airs,
  });
}

/** How soon there is a first answer, the whole, and the whole again after a sheet was laid as told. */
async function oneNight(say: (line: string) => void, file: string): Promise<void> {
  const { signal } = new AbortController();
  setMaxListeners(0, signal);
  const { workers, close } = startThreads(file, true);
  for (const state of ['just started', 'an hour later, warm']) {
    const nowAtMs = state === 'just started' ? NOW : NOW + HOUR;
    const airs = new Map<string, KeptAir>();
    const started = performance.now();
    const seconds = () => ((performance.now() - started) / 1000).toFixed(2);
    let first = '';
    const plan = await tonight(nowAtMs, NOTHING_LAIN, airs).run(workers, signal, new Map(), {
      onFirst: () => (first = seconds()),
    });
    const whole = seconds();
    const job = jobsOf(plan).find((j) => j.kind === 'cover');
    const item = job?.kind === 'cover' ? job.items[0]! : null;
    if (!item) throw new Error('the bench’s night asks for nothing');
    const act = { kind: 'cover', id: 'tick', atMs: nowAtMs + HOUR / 12, ...item, on: true };
    const before = new Map(plan.beds.map((b) => [b.bed.id, b.chosen]));
    const ticked = performance.now();
    const next = await tonight(nowAtMs + HOUR / 10, applyAll([act]), airs).run(workers, signal, before);
    const moved = next.beds.filter((b) => b.chosen !== before.get(b.bed.id)).length;
    say(
      `  tonight, ${state}: a first answer after ${first} s, the whole after ${whole} s; after a sheet laid as told again in ${((performance.now() - ticked) / 1000).toFixed(2)} s, ${moved} beds under something else`,
    );
  }
  await close();
}

export async function nights(say: (line: string) => void, root: string): Promise<void> {
  const file = join(root, 'server', 'dist', 'worker.mjs');
  say(`\nA night of ${HOUSES * BEDS} beds × every stack × ${MEMBERS} members`);
  await oneNight(say, file);
  const { workers, close } = startThreads(file, false);
  say(`\n${NIGHTS} nights of them, every night from where the last one ends`);
  for (const state of ['just started', 'warm']) {
    const started = performance.now();
    const seconds = () => ((performance.now() - started) / 1000).toFixed(1);
    const each: string[] = [];
    const { signal } = new AbortController();
    setMaxListeners(0, signal);
    const planned = await severalNights(
      {
        data,
        state: NOTHING_LAIN,
        nowAtMs: NOW,
        history: MEASURED,
        members: MEMBERS_AHEAD,
        nights: NIGHTS,
      },
      workers,
      signal,
      () => each.push(seconds()),
    );
    const alone = seconds();
    const t = await chooseTogether(planned, workers, signal);
    const left = t.nights.reduce((sum, n) => sum + (n.leftOn?.size ?? 0), 0);
    say(
      `  ${state}: nights known after ${each.join(', ')} s; chosen together after ${seconds()} s (${alone} s without), at most ${(100 * t.gap).toFixed(2)} % from the best; saves ${t.saves.toFixed(0)} €, ${left} times a bed stays covered by day`,
    );
  }
  await close();
}
