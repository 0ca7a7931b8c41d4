/** `fogata-evening-result/1`: nights as they are planned, bed by bed, with the jobs and what is at risk all the same. */
import {
  bandOf,
  coldNights,
  expectedLoss,
  harmChance,
  isIndoors,
  readSheetKey,
  sheetKey,
  tollOf,
  type ColdNight,
  type Cover,
  type PlantingAtRisk,
  type Style,
} from '@fogata/core';
import { AS_IS, chosenOutcome, layAtMs, type PlannedBed, type PlannedNight } from '@fogata/core/planning';
import { told } from '@fogata/core/words';

const iso = (ms: number) => new Date(Math.round(ms / 1000) * 1000).toISOString();
const round = (x: number, digits = 2) => Number(x.toFixed(digits));

const sheets = (covers: readonly Cover[]) => covers.filter((c) => !isIndoors(c));

/** When each sheet goes on: what lies there already has no instant of its own. */
function stackOf(n: PlannedNight, b: PlannedBed) {
  const option = b.options.find((o) => o.key === b.chosen);
  const lies = [...b.on];
  const liftAtMs = n.leftOn?.has(b.bed.id) ? null : n.lifts.get(b.bed.id);
  return sheets(option?.covers ?? b.on).map((c) => {
    const at = lies.indexOf(c);
    if (at >= 0) lies.splice(at, 1);
    const job = n.jobs.find((j) =>
      j.items.some(
        (x) =>
          x.bedId === b.bed.id &&
          x.coverId === c.id &&
          x.use === readSheetKey(sheetKey(c)).use &&
          x.on &&
          !x.done,
      ),
    );
    return {
      cover: c.id,
      key: sheetKey(c),
      use: c.use,
      on: at >= 0 ? null : iso(job ? job.dueAtMs + job.minutes * 60_000 : layAtMs(n.plan, b)),
      off: liftAtMs == null ? null : iso(liftAtMs),
    };
  });
}

/** What the night takes of it, expected over all outcomes: plants, leaves of those that live, flowers, days of growth. */
function tollFor(a: PlantingAtRisk, nights: readonly ColdNight[], errorK: number) {
  const toll = tollOf(a.thresholds, nights, errorK);
  const { deathC } = a.thresholds;
  return {
    chanceOfDeath: round(
      harmChance({ ...a, thresholds: { ...a.thresholds, harmC: deathC } }, nights, errorK),
      4,
    ),
    plantsLost: round(toll.plants, 4),
    leavesLost: round(toll.leaves, 4),
    flowersLost: round(toll.flowers, 4),
    daysLost: round(toll.daysLost),
  };
}

function bedOf(n: PlannedNight, b: PlannedBed) {
  const { errorK } = n.plan;
  const lows = chosenOutcome(b).minLeafC;
  const nights = coldNights(chosenOutcome(b));
  const band = bandOf(lows, errorK);
  const asItIs = b.loss[AS_IS]!;
  const asPlanned = b.loss[b.chosen]!;
  // wind that may take a sheet off is shared out over what stands under it
  const calm = b.calm[b.chosen] ?? 0;
  const wind = calm > 0 ? asPlanned / calm : 1;
  return {
    bed: b.bed.id,
    name: b.bed.name,
    structure: b.structure.id,
    stack: stackOf(n, b),
    late: b.lateAtMs !== null,
    latest: b.due ? iso(b.due.dueAtMs) : null,
    leafC: { low: round(band.low), mid: round(band.mid), high: round(band.high) },
    minutes: round(b.minutes[b.chosen] ?? 0, 1),
    loss: { asItIs: round(asItIs), asPlanned: round(asPlanned), saved: round(asItIs - asPlanned) },
    plantings: b.atRisk.map((a) => ({
      ...tollFor(a, nights, errorK),
      planting: a.planting.id,
      crop: a.planting.crop,
      harmBelowC: round(a.thresholds.harmC),
      deathNearC: round(a.thresholds.deathC),
      chanceOfHarm: round(harmChance(a, nights, errorK), 4),
      value: round(a.value),
      loss: round(wind * expectedLoss(a, nights, errorK)),
    })),
  };
}

export function eveningResult(nights: readonly PlannedNight[], style: Style): object {
  return {
    format: 'fogata-evening-result/1',
    currency: style.currency,
    nights: nights.map((n) => {
      const beds = n.plan.beds.map((b) => bedOf(n, b));
      return {
        night: n.plan.window.night,
        at: iso(n.plan.nowAtMs),
        beds,
        carriedIn: n.plan.beds.flatMap((b) => {
          const into = (b.options.find((o) => o.key === b.chosen)?.covers ?? b.on).find(isIndoors);
          return into ? [{ bed: b.bed.id, into: into.id, crates: b.bed.crates?.count ?? 0 }] : [];
        }),
        jobs: n.jobs.map((j) => ({
          kind: j.kind,
          title: told(j.title, style),
          structure: j.structureId,
          start: iso(j.dueAtMs),
          minutes: round(j.minutes, 1),
          latest: iso(j.onByAtMs),
          saves: round(j.saves),
          items: j.items.map((x) => ({ bed: x.bedId, cover: x.coverId, on: x.on })),
        })),
        atRisk: beds
          .filter((b) => b.loss.asPlanned >= 1 || b.plantings.some((p) => p.chanceOfHarm > 0.1))
          .sort((a, b) => b.loss.asPlanned - a.loss.asPlanned)
          .map((b) => ({ bed: b.bed, loss: b.loss.asPlanned })),
        saved: round(beds.reduce((s, b) => s + b.loss.saved, 0)),
      };
    }),
  };
}
