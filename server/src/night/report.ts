/** The morning round and the night's report: what was predicted, what was measured, and where the difference came from. */
import type { NightReport, Range, RoundItem } from '@fogata/contract';
import {
  BOOK_CALIBRATION,
  nightWindow,
  said,
  type Said,
  type Phrase,
  type Belief,
  type Structure,
} from '@fogata/core';
import { type NightPlan, chosenOutcome } from '@fogata/core/planning';
import type { NightPrediction } from '../db/schema';
import { ofKind, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { rangeOf } from './glyph';
import { learntView } from './learning';
import type { FarmWeather } from '../sources/farmWeather';
import type { Thermometers } from '../sources/ports';
import { minMaxBetween, spotAirC } from './spotAir';
import { OUTSIDE, spotOf } from './spots';

/** What the plan says of each spot, to be kept for the morning. */
export function predictionOf(plan: NightPlan, lowOutsideC: Range): NightPrediction {
  const spots: NightPrediction['spots'] = { [OUTSIDE]: lowOutsideC };
  const beds: NightPrediction['beds'] = {};
  for (const b of plan.beds) {
    const o = chosenOutcome(b);
    beds[b.bed.id] = rangeOf(o.minLeafC, plan.errorK);
    if (o.structureMinC.length > 0 && !spots[b.structure.id])
      spots[b.structure.id] = rangeOf(o.structureMinC, plan.errorK);
  }
  return { spots, beds };
}

export interface SpotInputs {
  data: FarmData;
  state: FarmState;
  weather: Pick<FarmWeather, 'past'>;
  thermometers: Thermometers;
  deepC: number;
  night: string;
  nowAtMs: number;
  /** What was believed of each structure before this night. */
  beliefs: Map<string, Belief>;
}

function spotsOf(i: SpotInputs): { id: string; name: string | Said; structure: Structure | null }[] {
  const withBeds = i.data.structures.filter(
    (s) => s.kind !== 'open' && i.data.beds.some((b) => b.structureId === s.id),
  );
  return [
    { id: OUTSIDE, name: said('report.outside'), structure: null },
    ...withBeds.map((s) => ({ id: s.id, name: s.name, structure: s })),
  ];
}

/** The stops of the round: what was said, what the thermometer shows since noon, what has been noted. */
export async function roundOf(i: SpotInputs, prediction: NightPrediction | null): Promise<RoundItem[]> {
  const window = nightWindow(i.night, i.data.farm);
  const readings = ofKind(i.state.standing, 'reading').filter((r) => r.night === i.night);
  return Promise.all(
    spotsOf(i).map(async ({ id, name, structure }): Promise<RoundItem> => {
      const spot = await spotOf(
        i.data,
        i.state,
        structure,
        i.weather,
        window.fromAtMs,
        i.nowAtMs,
        i.deepC,
        i.night,
      );
      const reading = readings.filter((r) => r.spot === id).at(-1);
      return {
        spot: id,
        name,
        predictedC: prediction?.spots[id] ?? null,
        thermometer: spot ? await i.thermometers.read(spot, window.fromAtMs, i.nowAtMs) : null,
        reading: reading ? { minC: reading.minC, maxC: reading.maxC, recordId: reading.id } : null,
      };
    }),
  );
}

function offSaid(p: Range | null, minC: number | null, hindsightC: number | null): Said {
  if (minC === null) return said('report.notRead');
  if (!p) return said('report.noPrediction', { minC });
  const offK = minC - p.mid;
  if (Math.abs(offK) < 0.25) return said('report.asPredicted');
  const inside = minC >= p.low && minC <= p.high;
  if (hindsightC === null) return said('report.off', { offK, inside });
  return said('report.parts', { offK, inside, weatherK: hindsightC - p.mid, modelK: minC - hindsightC });
}

export async function nightReport(i: SpotInputs, prediction: NightPrediction | null): Promise<NightReport> {
  const window = nightWindow(i.night, i.data.farm);
  const toAtMs = Math.min(i.nowAtMs, window.toAtMs);
  const readings = ofKind(i.state.standing, 'reading').filter((r) => r.night === i.night);
  const found = spotsOf(i).map(async ({ id, name, structure }) => {
    const reading = readings.filter((r) => r.spot === id).at(-1);
    const spot = await spotOf(
      i.data,
      i.state,
      structure,
      i.weather,
      window.fromAtMs,
      toAtMs,
      i.deepC,
      i.night,
    );
    // what part was the weather's can only be said where the weather that came is known
    const known = spot !== null && spot.worth.every((w) => w === 'measured' || w === 'corrected');
    const hind =
      reading && spot && known
        ? minMaxBetween(spotAirC(spot, i.beliefs.get(id)?.mean ?? BOOK_CALIBRATION), window.fromAtMs, toAtMs)
        : null;
    const predictedC = prediction?.spots[id] ?? null;
    const measured = reading?.minC ?? null;
    return {
      spot: id,
      name,
      predictedC,
      measuredMinC: measured,
      measuredMaxC: reading?.maxC ?? null,
      hindsightC: hind?.minC ?? null,
      words: offSaid(predictedC, measured, hind?.minC ?? null),
    };
  });
  const spots = await Promise.all(found);
  const learnt = i.data.structures.flatMap((s) => {
    const belief = i.beliefs.get(s.id);
    return belief ? [learntView(s.name, s.id, belief)] : [];
  });
  return { night: i.night, sentence: reportSentence(spots), spots, learnt };
}

function reportSentence(spots: NightReport['spots']): Phrase[] {
  const outside = spots.find((s) => s.spot === OUTSIDE);
  const inside = spots.filter((s) => s.spot !== OUTSIDE && s.measuredMinC !== null && s.predictedC !== null);
  const out: Phrase[] = [];
  if (outside?.measuredMinC != null) {
    const { measuredMinC: minC, predictedC } = outside;
    out.push({ text: said('report.low', { minC }), tone: minC < 0.5 ? 'frost' : 'plain' });
    const text = predictedC ? said('report.saidLow', { midC: predictedC.mid }) : said('report.stop');
    out.push({ text, tone: 'plain' });
  }
  const misses = inside.filter(
    (s) => s.measuredMinC! < s.predictedC!.low || s.measuredMinC! > s.predictedC!.high,
  );
  if (inside.length === 0) out.push({ text: said('report.none'), tone: 'plain' });
  else if (misses.length === 0) out.push({ text: said('report.within'), tone: 'plain' });
  else out.push({ text: said('report.without', { structures: misses.map((s) => s.name) }), tone: 'ochre' });
  return out;
}
