/**
 * A climate made to freeze when the grower says it does. Contract: `withFrostDates` shifts the lows of spring and of autumn, by 5 K at
 * most, until half of its years have their last and first frost by the dates that are typed; a date that cannot be met so is
 * left at the nearest, and `missed` names it. Twelve means alone know nothing of a hollow.
 */
import { dayOfYear, YEAR_DAYS, type Climate } from './climate';
import { frostDays, lowOf, middleDay, plausibleYears, type Years } from './years';

export interface FrostDates {
  /** "MM-DD" */
  lastSpring?: string | undefined;
  firstAutumn?: string | undefined;
}

const MOST_K = 5;
/** A shift fades out over so many days on either side. */
const HALF_WIDTH = 70;
const LOOK_YEARS = 80;
/** Its own draw: what is shown later is drawn anew. */
const LOOK_SEED = 7919;

/** How much of a shift a day of the year takes, 0 to 1. */
function share(day: number, around: number): number {
  const away = Math.min((day - around + YEAR_DAYS) % YEAR_DAYS, (around - day + YEAR_DAYS) % YEAR_DAYS);
  return away >= HALF_WIDTH ? 0 : 0.5 + 0.5 * Math.cos((Math.PI * away) / HALF_WIDTH);
}

function shifted(years: Years, around: number, k: number): Years {
  const byDay = Float64Array.from({ length: YEAR_DAYS }, (_, d) => k * share(d, around));
  return { ...years, lowC: years.lowC.map((c, i) => lowOf(c, years.highC[i]!, byDay[i % YEAR_DAYS]!)) };
}

/**
 * A climate moved so that its frosts end and begin on these dates, as far as 5 K go.
 * @example withFrostDates(aClimate(), {}).missed // []
 */
export function withFrostDates(climate: Climate, dates: FrostDates): { climate: Climate; missed: string[] } {
  const { latitude } = climate.site;
  const start = latitude >= 0 ? 0 : 182;
  const missed: string[] = [];
  const lowShiftK = Float64Array.from(climate.lowShiftK);
  const drawn = plausibleYears(climate, LOOK_YEARS, LOOK_SEED);
  for (const which of ['last', 'first'] as const) {
    const date = which === 'last' ? dates.lastSpring : dates.firstAutumn;
    if (date === undefined) continue;
    const around = dayOfYear(`2001-${date}`);
    const target = (around - start + YEAR_DAYS) % YEAR_DAYS;
    // days later than asked for: a colder spring ends later, a colder autumn begins earlier
    const late = (k: number): number => {
      const found = frostDays(shifted(drawn, around, k), latitude);
      const mid = middleDay(found[which], start);
      if (mid === null) return which === 'last' ? -YEAR_DAYS : YEAR_DAYS;
      return ((mid - start + YEAR_DAYS) % YEAR_DAYS) - target;
    };
    let [cold, warm] = [-MOST_K, MOST_K];
    for (let n = 0; n < 12; n++) {
      const k = (cold + warm) / 2;
      const tooCold = which === 'last' ? late(k) > 0 : late(k) < 0;
      if (tooCold) cold = k;
      else warm = k;
    }
    const k = (cold + warm) / 2;
    lowShiftK.forEach((x, d) => (lowShiftK[d] = x + k * share(d, around)));
    if (Math.abs(late(k)) > 4) missed.push(which === 'last' ? 'lastSpring' : 'firstAutumn');
  }
  return { climate: { ...climate, lowShiftK }, missed };
}
