/**
 * Days of water under each bed's own layers. Contract: `underOf` gives them by bed, and of which beds a part is missing, of the days that were and those that are said, covers and openings as the log has them;
 * a bed in the open that bore no sheet in that time has none: its weather is the weather. What was until last midnight is worked out once a day.
 */
import { standingIn, type Bed, type Structure, type WeatherEntry } from '@fogata/core';
import { asItWas, sheetsBetween } from '@fogata/core/planning';
import type { WaterAnswer, WaterDay, WaterTask } from '@fogata/core/water';
import type { Context, Moment } from '../context';

/** Longer than any forecast. */
const FAR_MS = 20 * 86_400_000;
/** Nobody waits longer for it: what is not there by then goes by its cover, and is there when it is asked for next. */
const LONGEST_MS = 8000;
/** Fewer hours than this make no day. */
const LEAST = 12;

export interface WaterHours {
  /** That were, and that are said, without a gap. */
  hours: WeatherEntry[];
  today: string;
  dateOf: (ms: number) => string;
  deepC: number;
}

export interface UnderLayers {
  /** By bed and date. */
  days: Map<string, Map<string, WaterDay>>;
  /** Beds under layers of which a part is not there: it failed, or is being run. */
  missing: Set<string>;
}

/** Beds under one air. */
interface Roof {
  structure: Structure;
  beds: Bed[];
}

const msOf = (e: WeatherEntry) => Date.parse(e.time);

function roofsOf(m: Moment, today: string, fromAtMs: number, toAtMs: number): Roof[] {
  return m.data.structures.flatMap((structure): Roof[] => {
    const beds = m.data.beds.filter(
      (b) =>
        b.structureId === structure.id &&
        standingIn(b.id, m.data.plantings, today).length > 0 &&
        (structure.kind !== 'open' || sheetsBetween(m.data, m.state, b.id, fromAtMs, toAtMs).length > 0),
    );
    if (structure.kind === 'house' && beds.length > 0) return [{ structure, beds }];
    return beds.map((bed) => ({ structure, beds: [bed] }));
  });
}

export async function underOf(
  ctx: Context,
  m: Moment,
  { hours, today, dateOf, deepC }: WaterHours,
): Promise<UnderLayers> {
  const out = new Map<string, Map<string, WaterDay>>();
  const missing = new Set<string>();
  const first = hours.find((e) => dateOf(msOf(e)) === today);
  if (!first) return { days: out, missing };
  const { latitude, longitude, elevationM, timeZone } = m.data.farm;
  const [startAtMs, midnightAtMs, farAtMs] = [msOf(hours[0]!), msOf(first), m.nowAtMs + FAR_MS];
  const roofs = roofsOf(m, today, startAtMs, farAtMs);
  const tasksOf = (part: WeatherEntry[], fromAtMs: number, toAtMs: number, from: (WaterAnswer | null)[]) =>
    roofs.map(({ structure, beds }, r): WaterTask => ({
      site: { latitude, longitude, elevationM },
      timeZone,
      hours: part,
      beds: beds.map((bed, n) => {
        const stands = standingIn(bed.id, m.data.plantings, today);
        const spec = asItWas(m.data, m.state, structure, bed, stands, fromAtMs, toAtMs, deepC);
        const end = from[r]?.beds[n]?.end;
        return { id: bed.id, spec, ...(end ? { initial: end } : {}) };
      }),
    }));
  const run = async (part: WeatherEntry[], fromAtMs: number, toAtMs: number, from: (WaterAnswer | null)[]) =>
    part.length < LEAST ? [] : ctx.waters.wait(tasksOf(part, fromAtMs, toAtMs, from), LONGEST_MS);
  const was = await run(
    hours.filter((e) => msOf(e) <= midnightAtMs),
    startAtMs,
    midnightAtMs,
    [],
  );
  const comes = await run(
    hours.filter((e) => msOf(e) >= midnightAtMs),
    midnightAtMs,
    farAtMs,
    was,
  );
  for (const part of [was, comes])
    part.forEach((answer, r) => {
      if (answer === null) for (const { id } of roofs[r]!.beds) missing.add(id);
    });
  for (const answer of [...was, ...comes])
    for (const { id, days } of answer?.beds ?? [])
      out.set(id, new Map([...(out.get(id) ?? []), ...days.map((d) => [d.date, d] as const)]));
  return { days: out, missing };
}
