/** When covers may come off in the morning. Contract: `setLift` fills in a bed's `lift`; `keptOn` says which have none. */
import { coldThere, isIndoors } from '../covers/indoors';
import { horizonOf } from '../farm/shade';
import { HOUR_MS } from '../time/farmTime';
import { medianOf } from './bands';
import { liftableAtMs, type LiftLook, type LiftTask } from './lift';
import { bedTask, thawAtMs, type Found, type NightPlan, type PlannedBed, type Work } from './planned';
import { bedSpec } from './stack';
import { beforeAtMs } from './tasks';

const iso = (ms: number) => new Date(ms).toISOString();

/** Members under which lifting is looked at. */
export const LIFT_MEMBERS = 10;
/** How far apart the times are. */
const LIFT_EVERY_MS = HOUR_MS / 2;
/** So many times are looked at together: most mornings the first of them will do. */
const AT_ONCE = 3;

/**
 * When a bed's covers may come off: by the grower's school at first light or after the thaw, but never before what stands
 * under them bears the rest of the morning without.
 */
export async function setLift(w: Work, f: Found, b: PlannedBed): Promise<void> {
  if (b.on.length === 0) return;
  const i = w.inputs;
  const rise = i.window.sunriseAtMs ?? i.window.toAtMs - 4 * HOUR_MS;
  const thaw = i.data.farm.schools.uncover === 'light' ? null : thawAtMs(b);
  // what is frozen for as long as one knows stays covered
  const stays = thaw === Infinity;
  const first = Math.max(
    i.nowAtMs,
    (stays ? null : thaw) ?? (i.data.farm.schools.uncover === 'light' ? rise : rise + HOUR_MS / 2),
  );
  const lifted: LiftTask['lifted'] = [];
  const opening = i.state.openings.get(b.structure.id)?.fraction ?? 0;
  const open = opening > 0 ? [{ from: iso(beforeAtMs(i)), fraction: opening }] : [];
  for (let ms = first; ms <= Math.max(first, i.window.toAtMs); ms += LIFT_EVERY_MS) {
    const timing = b.on.map(() => ({ on: [{ from: iso(beforeAtMs(i)), to: iso(ms) }] }));
    const horizon = horizonOf(b.structure, i.data.structures);
    lifted.push({
      atMs: ms,
      spec: bedSpec(b.structure, b.bed, b.plantings, b.on, { deepC: b.deepC, timing, open, horizon }),
    });
  }
  const { countFromAtMs: _count, ...task } = bedTask(w, f, b, Math.min(LIFT_MEMBERS, i.members.length));
  const place = b.on.find(isIndoors);
  let firstOff: LiftLook['off'] | undefined;
  let atMs: number | null = null;
  for (let n = 0; n < lifted.length && atMs === null; n += AT_ONCE) {
    const work = { task, lifted: lifted.slice(n, n + AT_ONCE), left: b.asIsSpec };
    const out = await w.pool.lift(work, f.under, w.signal);
    firstOff ??= out[0]!.off;
    // what stands there is as warm as that: it goes out only into what it bears
    const looks = place ? out.map((l) => ({ ...l, on: l.on.map((x) => coldThere(place, x)) })) : out;
    if (stays) break;
    atMs = liftableAtMs(b.atRisk, looks);
  }
  b.lift = { atMs, bareC: medianOf(firstOff!.map((x) => x.leafMinC)) };
}

/**
 * Beds whose covers have to stay on through the morning.
 * @example keptOn(await aPlan()).length // 0
 */
export function keptOn(plan: NightPlan): PlannedBed[] {
  return plan.beds.filter((b) => b.lift !== null && b.lift.atMs === null);
}
