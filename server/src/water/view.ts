/** Beds and their water as the screen reads it: the balance of each from what was given and felt, and when it may be watered. */
import type { FarmRecord, WaterRow, WaterView } from '@fogata/contract';
import {
  addDays,
  cropOf,
  dayLengthH,
  daysBetween,
  dripFor,
  growsNothing,
  HOUR_MS,
  localDate,
  MATERIALS,
  medianOf,
  nightWindow,
  standingIn,
  coversOn,
  type Bed,
  type Planting,
  type Structure,
  type WeatherEntry,
} from '@fogata/core';
import { asIsOutcome, type NightPlan } from '@fogata/core/planning';
import { howOf } from '@fogata/core/season';
import {
  daysOfWater,
  feedDue,
  growingOf,
  holdsMm,
  mayBank,
  potsDay,
  runWater,
  referenceUnder,
  wantsAt,
  wetWorthK,
  whenDue,
  type WaterBed,
  type WaterCover,
  type WaterDay,
  type WaterEvent,
} from '@fogata/core/water';
import { and, asc, eq, gte, inArray, lte } from 'drizzle-orm';
import type { Context, Moment } from '../context';
import { records } from '../db/schema';
import { isForecast } from '../sources/farmWeather';
import { underOf } from './under';

const BACK_DAYS = 60;
const AHEAD_DAYS = 5;
/** What was fed counts for so long at the most. */
const FED_DAYS = 200;
const DAY_MS = 24 * HOUR_MS;
/** Warmer by day under cover, shut: starting values, K. Wide open nothing is left of it. */
const WARMER_K: Record<Structure['kind'], number> = { house: 5, frame: 4, tunnel: 3, open: 0 };
const SHADE = { 'shade-30': 0.7, 'shade-50': 0.5 } as const;
/** Of what a bed holds so much may go; of corms and bulbs that rest nearly all. */
const MAY_LACK = 0.45;
const RESTS = { mayLack: 0.85, underC: 10 };

function coverOf(m: Moment, structure: Structure, bed: Bed): WaterCover {
  const open = m.state.openings.get(structure.id)?.fraction ?? 0;
  const own = structure.kind === 'open' ? 1 : MATERIALS[structure.material].sunPassed ** structure.plies;
  const shade = structure.shade ? SHADE[structure.shade] : 1;
  const lying = coversOn(m.state, bed.id, m.data.covers);
  const sheets = lying.reduce((share, c) => share * MATERIALS[c.material].sunPassed, 1);
  return {
    sunPassed: own * shade * sheets,
    tight: structure.kind !== 'open',
    open,
    warmerK: WARMER_K[structure.kind] * (1 - open),
    rain: structure.kind === 'open',
  };
}

interface Given {
  events: Map<string, WaterEvent[]>;
  feeds: Map<string, { date: string; nGM2: number }[]>;
}

/** What was given and felt, by bed. */
async function eventsOf(ctx: Context, m: Moment): Promise<Given> {
  const rows = await ctx.db
    .select({ data: records.data })
    .from(records)
    .where(
      and(
        eq(records.void, false),
        inArray(records.kind, ['water', 'soil', 'feed']),
        gte(records.atMs, m.nowAtMs - FED_DAYS * DAY_MS),
        lte(records.atMs, m.nowAtMs),
      ),
    )
    .orderBy(asc(records.atMs), asc(records.seq));
  const out = new Map<string, WaterEvent[]>();
  const feeds: Given['feeds'] = new Map();
  for (const { data } of rows) {
    const r = data as Extract<FarmRecord, { kind: 'water' | 'soil' | 'feed' }>;
    const date = localDate(r.atMs, m.data.farm.timeZone);
    if (r.kind === 'feed') {
      feeds.set(r.bedId, [...(feeds.get(r.bedId) ?? []), { date, nGM2: r.nGM2 }]);
      continue;
    }
    const event: WaterEvent = r.kind === 'water' ? { date, mm: r.mm } : { date, feel: r.feel };
    out.set(r.bedId, [...(out.get(r.bedId) ?? []), event]);
  }
  return { events: out, feeds };
}

/** How much milder a bed's leaves are in the coming night than the air outside, as it lies now: what later nights are read by. */
function milderK(plan: NightPlan | null, bedId: string): number {
  const b = plan?.beds.find((x) => x.bed.id === bedId);
  if (!b) return 0;
  const outside = Math.min(...b.outcome.outsideC.mid);
  return medianOf(asIsOutcome(b).minLeafC) - outside;
}

interface Days {
  past: WaterDay[];
  coming: WaterDay[];
}

function bedOf(
  bed: Bed,
  plantings: readonly Planting[],
  cover: WaterCover,
  days: Days,
  elevationM: number,
  under: ReadonlyMap<string, WaterDay> | undefined,
): WaterBed {
  const all = [...days.past, ...days.coming];
  const growing = plantings.map((p) => {
    const crop = cropOf(p);
    return { crop, ...growingOf(p, crop, howOf(p, crop) === 'sow', all, cover.warmerK) };
  });
  const last = days.past.at(-1);
  const rests =
    growing.length > 0 &&
    growing.every((g) => g.crop.group === 'flower' && (g.crop.sowing?.seedMg ?? 1e6) >= 1000) &&
    last !== undefined &&
    last.meanC + cover.warmerK / 2 < RESTS.underC;
  const most = (of: (g: (typeof growing)[number]) => number) => Math.max(0, ...growing.map(of));
  return {
    texture: bed.texture,
    cover,
    elevationM,
    ...(under ? { under } : {}),
    coveredOn: (date) => most((g) => g.crop.groundCover * g.shareOn(date)),
    rootsOn: (date) => most((g) => g.shareOn(date)),
    seedbedOn: (date) => growing.some((g) => g.seedbedOn(date)),
    mayLack: rests ? RESTS.mayLack : MAY_LACK,
  };
}

/** Whether today is the day to water before tomorrow's frost, and what it is worth; only where tomorrow's night is known. */
function bankOf(
  m: Moment,
  plan: NightPlan | null,
  bedId: string,
  hours: readonly WeatherEntry[],
  lacksMm: number,
  today: string,
  nightC: (date: string) => number,
  dayC: (date: string) => number,
): WaterRow['bank'] {
  const b = plan?.beds.find((x) => x.bed.id === bedId);
  const tomorrowC = nightC(addDays(today, 1));
  if (!b || !Number.isFinite(tomorrowC)) return null;
  if (!mayBank({ dayC: dayC(today), tonightC: nightC(today), tomorrowC, lacksMm })) return null;
  const { fromAtMs, toAtMs } = nightWindow(addDays(today, 1), m.data.farm);
  const upTo = hours.filter((e) => Date.parse(e.time) <= toAtMs + 3 * HOUR_MS);
  const worthK = wetWorthK(m.data.farm, b.asIsSpec, upTo, b.outcome.initial, fromAtMs, toAtMs);
  return { worthK, does: m.data.farm.schools.wet === 'bank' };
}

/** Nitrogen that what stands in a bed lacks by now; of several crops the hungriest. */
function feedOf(
  wb: WaterBed,
  stands: readonly Planting[],
  given: readonly { date: string; nGM2: number }[],
  today: string,
  m: Moment,
): WaterRow['feed'] {
  const lacks = stands.map((p) =>
    feedDue({
      takesGM2: cropOf(p).nitrogenGM2,
      share: wb.rootsOn(today),
      daysStanding: Math.max(0, daysBetween(p.plantedOn, today)),
      givenGM2: given.filter((g) => g.date >= p.plantedOn).reduce((s, g) => s + g.nGM2, 0),
      dayLengthH: dayLengthH(m.nowAtMs, m.data.farm.latitude),
    }),
  );
  const most = Math.max(...lacks.map((g) => g ?? 0));
  return most > 0 ? { nGM2: most, last: given.at(-1)?.date ?? null } : null;
}

export async function waterView(ctx: Context): Promise<WaterView> {
  const m = await ctx.moment();
  const { farm } = m.data;
  const today = localDate(m.nowAtMs, farm.timeZone);
  const site = { latitude: farm.latitude, longitude: farm.longitude, elevationM: farm.elevationM };
  const fromAtMs = Math.floor(m.nowAtMs / HOUR_MS) * HOUR_MS;
  const past = await m.weather.past(fromAtMs - BACK_DAYS * DAY_MS, fromAtMs);
  const reach = (days: number) => m.weather.coming(m.clock.window, fromAtMs, fromAtMs + days * DAY_MS);
  const coming = reach(AHEAD_DAYS);
  const hours = isForecast(coming) ? coming.members[0]! : [];
  // today is half known and half said
  const todays = past.hours.filter((e) => localDate(Date.parse(e.time), farm.timeZone) === today);
  const ahead = daysOfWater(
    [...todays, ...hours.filter((e) => Date.parse(e.time) > fromAtMs)],
    site,
    farm.timeZone,
  );
  const days: Days = {
    past: daysOfWater(past.hours, site, farm.timeZone).filter((d) => d.date < today),
    coming: ahead.filter((d) => d.date >= today),
  };
  const { plan } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
  const { deepC } = await ctx.planner.backgroundFor(m.data, m.weather, m.nowAtMs);
  const { days: layers, missing } = await underOf(ctx, m, {
    hours: [...past.hours, ...hours.filter((e) => Date.parse(e.time) > fromAtMs)],
    today,
    dateOf: (ms) => localDate(ms, farm.timeZone),
    deepC,
  });
  const { events, feeds } = await eventsOf(ctx, m);
  const byDate = new Map(days.coming.map((d) => [d.date, d]));
  const rows = m.data.structures.flatMap((structure) =>
    m.data.beds
      .filter((b) => b.structureId === structure.id)
      .flatMap((bed): WaterRow[] => {
        // what is kept in boxes is kept dry
        const stands = standingIn(bed.id, m.data.plantings, today).filter((p) => !growsNothing(cropOf(p)));
        if (stands.length === 0) return [];
        const cover = coverOf(m, structure, bed);
        const under = layers.get(bed.id);
        const own = events.get(bed.id) ?? [];
        const base = {
          bedId: bed.id,
          name: bed.name,
          place: structure.name,
          structureId: structure.id,
          crops: [...new Set(stands.map((p) => cropOf(p).name))],
          since: own.at(-1)?.date ?? null,
          held: farm.holdBack.includes(bed.id),
          rough: missing.has(bed.id),
          uneven: (farm.drip?.uneven ?? 0) > 0,
        };
        const now = days.coming[0] ?? days.past.at(-1);
        if (!now) return [];
        const milder = milderK(plan, bed.id);
        // the night after a day is the low of the day that follows; one that nobody knows may freeze
        const nightC = (date: string) => (byDate.get(addDays(date, 1))?.minC ?? -Infinity) + milder;
        const dayC = (date: string) =>
          under?.get(date)?.maxC ?? (byDate.get(date)?.maxC ?? now.maxC) + cover.warmerK;
        const pots = bed.on === 'bench' && bed.crates ? stands.flatMap((p) => cropOf(p).pot ?? []) : [];
        if (pots.length > 0) {
          const reference = referenceUnder(
            { cover, elevationM: farm.elevationM, ...(under ? { under } : {}) },
            now,
          );
          const p = potsDay(pots[0]!, bed.crates!.count * bed.crates!.plantsEach, reference);
          const may = dayC(today) >= 3 && nightC(today) >= 0.5 ? today : null;
          return [
            {
              ...base,
              kind: 'pots',
              lacksMm: null,
              wantsMm: null,
              holdsMm: null,
              usedMm: reference,
              on: own.some((e) => e.date === today && e.mm !== undefined) ? addDays(today, 1) : today,
              may,
              mm: p.litres / (bed.lengthM * bed.widthM),
              litres: p.litres,
              minutes: null,
              times: p.times,
              bank: null,
              feed: null,
            },
          ];
        }
        const wb = bedOf(bed, stands, cover, days, farm.elevationM, under);
        const planted = stands.map((p) => p.plantedOn).sort()[0]!;
        const run = days.past.filter((d) => d.date >= planted);
        // what was given today counts before today is gone through
        const state = runWater(wb, run, own).at(-1)?.lacksMm ?? 0;
        const given = own.filter((e) => e.date === today);
        const at = runWater(wb, days.coming.slice(0, 1), given, state).at(-1);
        const lacks = at ? Math.max(0, at.lacksMm - at.usedMm) : state;
        const due = base.held
          ? { on: null, may: null, mm: 0 }
          : whenDue(wb, lacks, days.coming, nightC, dayC);
        const bank = base.held ? null : bankOf(m, plan, bed.id, hours, lacks, today, nightC, dayC);
        // who waters before a frost does so today, whatever it would wait for otherwise
        if (bank?.does && due.on !== today) Object.assign(due, { on: today, may: today, mm: lacks });
        const areaM2 = bed.lengthM * bed.widthM;
        const { drip } = farm;
        const minutes =
          drip && due.mm > 0
            ? dripFor({ lengthM: bed.lengthM, widthM: bed.widthM, ...drip, mm: due.mm }).minutes /
              (1 - drip.uneven)
            : null;
        return [
          {
            ...base,
            kind: wb.seedbedOn(today) ? 'seedbed' : 'bed',
            lacksMm: lacks,
            wantsMm: wantsAt(wb, today),
            holdsMm: holdsMm(wb, today),
            usedMm: at?.usedMm ?? 0,
            on: due.on,
            may: due.may,
            mm: due.mm,
            litres: due.mm * areaM2,
            minutes,
            times: 1,
            bank,
            feed: feedOf(wb, stands, feeds.get(bed.id) ?? [], today, m),
          },
        ];
      }),
  );
  return {
    today,
    rows: rows.sort((a, b) => (a.on ?? '9999').localeCompare(b.on ?? '9999') || b.litres - a.litres),
    lack: isForecast(coming) ? null : coming,
    aheadDays: days.coming.length,
  };
}
