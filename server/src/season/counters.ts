/** What is counted, as the screen reads it: days that were as they are known, the forecast's after them, then plausible years. */
import type { CountersView } from '@fogata/contract';
import { dailyMeans, HOUR_MS, localDate, SHELTER_K } from '@fogata/core';
import { countOn, plausibleYears } from '@fogata/core/season';
import type { Context } from '../context';
import { isForecast } from '../sources/farmWeather';
import { groundOf } from './views';

const YEARS = 60;
const SEED = 7;
const DAY_MS = 24 * HOUR_MS;
/** Longer ago nothing is counted day by day. */
const MOST_DAYS = 400;
const AHEAD_DAYS = 5;

/** The years follow from the climate alone. */
let last: { key: string; years: ReturnType<typeof plausibleYears> } | null = null;

export async function countersView(ctx: Context): Promise<CountersView> {
  const m = await ctx.moment();
  const { farm } = m.data;
  const today = localDate(m.nowAtMs, farm.timeZone);
  const { counters } = farm;
  if (counters.length === 0) return { today, counters: [] };
  const { climate, key } = groundOf(m.data, m.nowAtMs);
  if (last?.key !== key) last = { key, years: plausibleYears(climate, YEARS, SEED) };
  const { years } = last;
  const first = counters.map((c) => c.from).sort()[0]!;
  const fromAtMs = Math.max(m.nowAtMs - MOST_DAYS * DAY_MS, Date.parse(`${first}T00:00:00Z`) - DAY_MS);
  const hourAtMs = Math.floor(m.nowAtMs / HOUR_MS) * HOUR_MS;
  const past = fromAtMs < hourAtMs ? (await m.weather.past(fromAtMs, hourAtMs)).hours : [];
  const coming = m.weather.coming(m.clock.window, hourAtMs, hourAtMs + AHEAD_DAYS * DAY_MS);
  const ahead = isForecast(coming) ? coming.members[0]!.filter((e) => Date.parse(e.time) > hourAtMs) : [];
  const means = dailyMeans([...past, ...ahead], farm.timeZone);
  const rows = counters.map((counter) => {
    const structure = m.data.structures.find((s) => s.id === counter.structureId);
    const shelterK = SHELTER_K[structure?.kind ?? 'open'];
    const under = new Map([...means].map(([date, c]) => [date, c + shelterK]));
    return { counter, place: structure?.name ?? '', ...countOn(counter, under, years, shelterK) };
  });
  return {
    today,
    counters: rows.sort((a, b) => (a.middle ?? '9999').localeCompare(b.middle ?? '9999')),
  };
}
