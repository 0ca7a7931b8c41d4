/**
 * A farm to start from. Contract: `startFarm(counts, id)` makes of a few counts a farm of usual structures, beds and sheets that
 * fit them, each with its own id; everything in it can be changed afterwards. Sizes are starting values from general practice.
 */
import { START_NAME } from '@fogata/words/en/told/names';
import { FORM_INFO } from './setup';
import type { Bed, Cover, Form, Structure } from './types';
import { usualBed, usualSheet } from './usual';

export interface StartCounts {
  houses: number;
  bedsInHouse: number;
  frames: number;
  tunnels: number;
  openBeds: number;
  fleeces: number;
  blankets: number;
}

export interface StartFarm {
  structures: Structure[];
  beds: Bed[];
  covers: Cover[];
}

/** Farms as they often are, to begin the counting with. */
export const START_KINDS: { id: string; label: string; counts: StartCounts }[] = [
  {
    id: 'house-frames',
    label: START_NAME['house-frames'],
    counts: { houses: 1, bedsInHouse: 4, frames: 2, tunnels: 0, openBeds: 0, fleeces: 4, blankets: 2 },
  },
  {
    id: 'houses',
    label: START_NAME['houses'],
    counts: { houses: 2, bedsInHouse: 4, frames: 0, tunnels: 0, openBeds: 0, fleeces: 8, blankets: 4 },
  },
  {
    id: 'tunnels',
    label: START_NAME['tunnels'],
    counts: { houses: 0, bedsInHouse: 0, frames: 0, tunnels: 3, openBeds: 3, fleeces: 3, blankets: 0 },
  },
  {
    id: 'frames',
    label: START_NAME['frames'],
    counts: { houses: 0, bedsInHouse: 0, frames: 3, tunnels: 0, openBeds: 0, fleeces: 0, blankets: 3 },
  },
];

/** A house holds so many beds of 1 m with paths: its width in metres over 1.4. */
export const MOST_BEDS = 12;
const ORDER: [keyof StartCounts, Form][] = [
  ['houses', 'hoop-house'],
  ['frames', 'cold-frame'],
  ['tunnels', 'low-tunnel'],
];

/**
 * `id` begins every id. Houses stand first, then frames, tunnels, and the open beds as one piece of ground.
 * @example startFarm({ houses: 1, bedsInHouse: 4, frames: 2, tunnels: 0, openBeds: 0, fleeces: 4, blankets: 2 }, 'x').beds.length // 6
 */
export function startFarm(c: StartCounts, id: string): StartFarm {
  const structures: Structure[] = [];
  const beds: Bed[] = [];
  const stand = (form: Form, n: number, of: number, bedsIn: number) => {
    const { draft } = FORM_INFO[form].templates[0]!;
    const name = of > 1 ? `${draft.name.replace(/s$/, '')} ${n}` : draft.name;
    // a house as wide as its beds and paths need
    const widthM = form === 'hoop-house' ? Math.max(draft.widthM, Math.ceil(bedsIn * 1.4)) : draft.widthM;
    const s: Structure = {
      ...draft,
      name,
      widthM,
      id: `${id}-s${structures.length}`,
      order: structures.length,
    };
    structures.push(s);
    for (let i = 1; i <= bedsIn; i++) beds.push(usualBed(s, i, `${id}-b${beds.length}`));
  };
  for (const [key, form] of ORDER)
    for (let n = 1; n <= c[key]; n++) stand(form, n, c[key], form === 'hoop-house' ? c.bedsInHouse : 1);
  if (c.openBeds > 0) stand('open-ground', 1, 1, c.openBeds);
  const sheets =
    beds.length === 0
      ? []
      : (
          [
            ['fleece', c.fleeces],
            ['blanket', c.blankets],
          ] as const
        ).filter(([, n]) => n > 0);
  const covers = sheets.map(([cloth, n], i) => usualSheet(cloth, n, beds, structures, `${id}-c${i}`));
  return { structures, beds, covers };
}
