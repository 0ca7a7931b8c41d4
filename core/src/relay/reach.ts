/**
 * Reach and walking. Contract: `outOfReach` says of a bed's plantings that are picked again and again which cannot be reached from a path; `walks` which
 * crops are picked in places so far apart that the way is the work.
 *
 * Starting values: an arm reaches 0.75 m to the middle of a row; nobody reaches through what stands a metre high; leaves and fruit are picked twice
 * a week, 70 m are walked in a minute, and ten minutes a week for one crop are worth saying.
 */
import { heightOn } from './course';
import { quarrel, type Quarrel } from './quarrel';
import { kgBetween, WEEK } from './supply';
import { rowAcross, type RelayBed, type RelayYear, type Strip } from './year';

const REACH_M = 0.75;
const TRELLIS_M = 1;
const PICKINGS_A_WEEK = 2;
const WALK_M_PER_MIN = 70;
const LEAST_MIN = 10;
const LEAST_WEEKS = 3;
const AGAIN: readonly string[] = ['leaves', 'cut', 'fruit', 'stems'];
const pickedAgain = (s: Strip): boolean =>
  AGAIN.includes(s.crop.habit) && s.planting.forSeed !== true && s.readyDay !== null;

/** What stands too high between a row and a path while it is picked. */
function inTheWay(s: Strip, row: number, side: 0 | 1, others: readonly Strip[]): Strip | null {
  const day = Math.max(s.readyDay!, s.startDay);
  return (
    others.find((o) => {
      if (o === s || o.endDay <= day || o.startDay > day) return false;
      const between = side === 0 ? o.planting.fromRow < row : o.planting.toRow > row;
      return between && heightOn(o.crop, o, day) >= TRELLIS_M;
    }) ?? null
  );
}

/**
 * Rows that cannot be reached over what stands beside them.
 * @example outOfReach(aBedOf('a'), [], 20_000) // []
 */
export function outOfReach(bed: RelayBed, strips: readonly Strip[], today: number): Quarrel[] {
  // where no path is known nothing is said
  if (!bed.paths[0] && !bed.paths[1]) return [];
  return strips.flatMap((s): Quarrel[] => {
    if (!pickedAgain(s) || s.endDay <= today || s.readyDay! >= s.endDay) return [];
    let worstM = 0;
    let wall: Strip | null = null;
    for (let row = s.planting.fromRow; row <= s.planting.toRow; row++) {
      const across = rowAcross(bed, row);
      const ways = ([0, 1] as const)
        .filter((side) => bed.paths[side])
        .map((side) => ({
          m: bed.widthM / 2 + (side === 0 ? across : -across),
          wall: inTheWay(s, row, side, strips),
        }));
      const open = ways.filter((w) => w.wall === null);
      const m = Math.min(...open.map((w) => w.m));
      if (m <= REACH_M) continue;
      // the nearest way, and what shuts it
      const near = ways.sort((a, b) => a.m - b.m)[0]!;
      if (near.m > worstM) [worstM, wall] = [near.m, near.wall];
    }
    if (worstM === 0) return [];
    const ids = wall ? [wall.planting.id, s.planting.id] : [s.planting.id];
    const days: [number, number] = [Math.max(today, s.readyDay!), s.endDay];
    return [quarrel('reach', bed.id, ids, days, { awayM: worstM, reachM: REACH_M, wall: wall ? 1 : 0 })];
  });
}

interface Walk {
  fromDay: number;
  toDay: number;
  minutes: number;
  of: Strip[];
}

/**
 * Beds gone to for too little at a time.
 * @example walks(aYear([aBedOf('a')], [])) // []
 */
export function walks(year: RelayYear): Quarrel[] {
  const bedOf = new Map(year.beds.map((b) => [b.id, b]));
  const byCrop = new Map<string, Strip[]>();
  for (const s of year.strips) {
    if (!pickedAgain(s) || s.endDay <= year.today || !bedOf.has(s.planting.bedId)) continue;
    byCrop.set(s.crop.id, [...(byCrop.get(s.crop.id) ?? []), s]);
  }
  return [...byCrop].flatMap(([crop, strips]): Quarrel[] => {
    const places = new Set(strips.map((s) => bedOf.get(s.planting.bedId)!.structureId));
    if (places.size < 2) return [];
    const from = Math.max(year.today, Math.min(...strips.map((s) => s.readyDay!)));
    const to = Math.max(...strips.map((s) => s.endDay));
    let best = null as Walk | null;
    let run = null as Walk | null;
    for (let day = from; day < to; day += WEEK) {
      const of = strips.filter((s) => kgBetween(s, day, day + WEEK) > 0);
      const beds = of.map((s) => bedOf.get(s.planting.bedId)!);
      const [first] = beds;
      const farM = first ? Math.max(...beds.map((b) => Math.hypot(b.xM - first.xM, b.yM - first.yM))) : 0;
      const minutes = (PICKINGS_A_WEEK * 2 * farM) / WALK_M_PER_MIN;
      if (minutes < LEAST_MIN) {
        run = null;
        continue;
      }
      run = run
        ? { ...run, toDay: day + WEEK, minutes: Math.max(run.minutes, minutes) }
        : { fromDay: day, toDay: day + WEEK, minutes, of };
      if (!best || run.toDay - run.fromDay > best.toDay - best.fromDay) best = run;
    }
    if (!best || best.toDay - best.fromDay < LEAST_WEEKS * WEEK) return [];
    const ids = best.of.map((s) => s.planting.id);
    const { minutes } = best;
    const at = new Set(best.of.map((s) => bedOf.get(s.planting.bedId)!.structureId)).size;
    return [quarrel('walks', null, ids, [best.fromDay, best.toDay], { crop, minutes, places: at }, crop)];
  });
}
