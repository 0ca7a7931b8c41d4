/**
 * A night worked out. Contract: `workOut` gives every bed with its outcomes, prices and what is chosen for it; `onBeds` is
 * told of beds as they stand, as soon as they are known, `onFirst` of a first choice from a few members, `onLooked` of each bed that has been gone through. A house is run whole; what could lie on one
 * of its beds, in the air that the house was found to have; then the house once more as it was chosen, and that is what is shown.
 */
import { isIndoors } from '../covers/indoors';
import { floorMinutes, HOUR_MS } from '../time/farmTime';
import { airAgain, keepAir, lateAgain } from './airs';
import { choose } from './choice';
import { firstChoice } from './firstChoice';
import { lookQuickly, mayLookQuickly, seeQuickly, type Seen } from './quick';
import type { HouseOutcome, HouseTask } from './house';
import { setLift } from './lifting';
import { chooseSure } from './sure';
import {
  asPlanned,
  coversOf,
  FIRST_LOOK,
  shutAsItLies,
  tryAll,
  tryOptions,
  tryThrees,
  unknownOf,
  withChosenBefore,
} from './looks';
import { countedK, pairsOf, partedUnder } from './parting';
import { bedTask, layAtMs, type Found, type PlannedBed, type Work } from './planned';
import { plannedBed, take } from './pricing';
import { AS_IS, houseTask, plannedSpec, type Roof } from './tasks';

/** What the coming hours under a roof are taken colder by, for what its thermometer showed of the last ones, K. */
function byItsThermometer(w: Work, { structure }: Roof, house: HouseOutcome): number {
  const measured = w.inputs.measured?.get(structure.id) ?? [];
  const pairs = pairsOf(measured, house.beds[0]!.past, w.inputs.data.farm, w.inputs.nowAtMs);
  if (pairs.length === 0) return 0;
  const parted = partedUnder(pairs, w.errorK);
  w.onSpot(structure.id, { pairs, parted });
  return countedK(parted);
}

interface Told {
  onBeds?: (beds: PlannedBed[]) => void;
  onFirst?: (beds: PlannedBed[]) => void;
  onLooked?: () => void;
  /** Where it is enough to know what is chosen: what is shown of it, still being run. */
  onShown?: (shown: Promise<unknown>) => void;
}

/** Every stack that may be the best, under as many members as it takes to tell; a house is looked at as it is, then as it will be. */
async function lookThoroughly(w: Work, found: readonly Found[], told: Told): Promise<void> {
  const everyone = w.inputs.members.length;
  // where nothing was chosen for this night yet there is an answer soon; else the last one stands meanwhile
  if (told.onFirst && w.before.size === 0 && everyone > FIRST_LOOK) told.onFirst(await firstChoice(w, found));
  const shared = found.filter((f) => f.beds.length > 1);
  // a house is priced in its air as it will be: as it was chosen before, or as a first look has it
  for (const b of shared.flatMap((f) => f.beds)) withChosenBefore(w, b);
  const known = shared.filter((f) =>
    f.beds.every((b) => b.options.some((o) => o.key === w.before.get(b.bed.id))),
  );
  const toFind = shared.filter((f) => !known.includes(f));
  const whole = async (f: Found, b: PlannedBed) => {
    await tryAll(w, f, b);
    told.onLooked?.();
  };
  await Promise.all(
    found.map(async (f) => {
      if (known.includes(f)) {
        lateAgain(w, f);
        const planned = await asPlanned(w, f.roof, f.beds, w.before);
        Object.assign(f, airAgain(w, f, planned.house) ?? planned);
        // options are priced as laid in time
        for (const b of f.beds) b.lateAtMs = null;
      }
      const first = (b: PlannedBed) => tryOptions(w, f, b, Math.min(FIRST_LOOK, everyone), unknownOf(b));
      await Promise.all(f.beds.map((b) => (toFind.includes(f) ? first(b) : whole(f, b))));
    }),
  );
  await choose(
    found.flatMap((f) => f.beds),
    w,
  );
  if (toFind.length > 0) {
    await Promise.all(
      toFind.map(async (f) => {
        Object.assign(f, await asPlanned(w, f.roof, f.beds));
        await Promise.all(f.beds.map((b) => whole(f, b)));
      }),
    );
    await choose(
      found.flatMap((f) => f.beds),
      w,
    );
  }
}

/** The roof as it lies, from the days before or from where they were left. */
function asItLies({ inputs, since }: Work, roof: Roof): HouseTask {
  const task = houseTask(inputs, roof, AS_IS, (b) => ({ spec: b.asIsSpec, covers: b.on }));
  if (!since) return task;
  const beds = task.beds.map((b) => ({ ...b, ...(since.has(b.id) ? { since: since.get(b.id)! } : {}) }));
  return { ...task, beds };
}

export async function workOut(w: Work, told: Told = {}): Promise<PlannedBed[]> {
  const { inputs, roofs, phase } = w;
  const quick = phase !== 'morning' && mayLookQuickly(w);
  const seen: Seen[] = [];
  // one roof waits for no other
  const found = await Promise.all(
    roofs.map(async (first, at): Promise<Found> => {
      const asIs = (r: Roof) => asItLies(w, r);
      let [roof, task] = [first, asIs(first)];
      let house = await w.pool.house(task, w.signal);
      const partedK = byItsThermometer(w, roof, house);
      if (partedK < 0) {
        roof = { ...roof, beds: roof.beds.map((b) => ({ ...b, partedK })) };
        task = asIs(roof);
        house = await w.pool.house(task, w.signal);
      }
      const beds = roof.beds.map((p, n) => plannedBed(w, p, house, n));
      told.onBeds?.(beds);
      const f: Found = { roof, beds, house, under: w.pool.nameOf(task.beds) };
      if (phase === 'morning') await Promise.all(beds.map((b) => setLift(w, f, b)));
      else await shutAsItLies(w, f);
      if (quick) seen[at] = await seeQuickly(w, f);
      return f;
    }),
  );
  const all = found.flatMap((f) => f.beds);
  if (phase === 'morning') return all;
  if (quick) await lookQuickly(w, seen);
  else await lookThoroughly(w, found, told);
  // with each place's own latest time known, once more: what can be done by then, and what only after
  const onEach = (look: (f: Found, b: PlannedBed) => Promise<void>) =>
    Promise.all(found.flatMap((f) => f.beds.map((b) => look(f, b))));
  await onEach(async (f, b) => {
    await setDueTime(w, f, b);
    await tryThrees(w, f, b);
  });
  const before = all.map((b) => b.chosen).join();
  await chooseSure(w, found);
  if (all.map((b) => b.chosen).join() !== before) await onEach((f, b) => setDueTime(w, f, b));
  const shown = Promise.all(
    found.map(async (f) => {
      for (const b of f.beds)
        b.plannedSpec = plannedSpec(
          inputs,
          b.structure,
          b.bed,
          b.plantings,
          b.on,
          coversOf(b),
          layAtMs(inputs, b),
        );
      // alone under its roof and in time, a bed is as it was looked at
      if (f.beds.length < 2 && !f.beds.some((b) => b.lateAtMs !== null)) return;
      const lookedIn = { house: f.house, under: f.under };
      Object.assign(f, await asPlanned(w, f.roof, f.beds));
      keepAir(w, f, lookedIn);
      f.beds.forEach((b, n) => take(w, b, [{ ...f.house.beds[n]!.outcome, key: b.chosen }]));
    }),
  );
  // who is told of it waits for it, and hears where it fails
  shown.catch(() => undefined);
  if (told.onShown) told.onShown(shown);
  else await shown;
  return all;
}

async function setDueTime(w: Work, f: Found, b: PlannedBed): Promise<void> {
  const i = w.inputs;
  const sunset = i.window.sunsetAtMs ?? i.closeAtMs + HOUR_MS;
  const option = b.options.find((o) => o.key === b.chosen);
  b.due = null;
  // crates that are carried in are in by dark, as all else
  if (!option || option.covers.every((c) => b.on.includes(c) || isIndoors(c))) return;
  const first = Math.max(i.nowAtMs, sunset - 2 * HOUR_MS);
  const times: number[] = [];
  for (let ms = first; ms < Math.max(first + 1, sunset - 0.1 * HOUR_MS); ms += HOUR_MS / 2) times.push(ms);
  // one more, after dark, for what being late costs
  times.push(Math.max(first, sunset) + HOUR_MS / 2);
  const specs = times.map((fromAtMs) => ({
    fromAtMs,
    spec: plannedSpec(i, b.structure, b.bed, b.plantings, b.on, option.covers, fromAtMs),
  }));
  const due = await w.pool.due({ task: bedTask(w, f, b, 1), specs }, f.under, w.signal);
  // round down to ten minutes, but never into the past
  const light = Math.min(due.dueAtMs, times[times.length - 2] ?? due.dueAtMs, i.leavesAtMs ?? Infinity);
  const later = due.later.filter((l) => l.atMs <= (i.leavesAtMs ?? Infinity));
  b.due = { dueAtMs: Math.max(i.nowAtMs, floorMinutes(light, 10)), later };
}
