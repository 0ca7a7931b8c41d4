/** A window: when to begin a crop in a half year by one school, and why it ends there. */
import { YEAR_DAYS } from '../climate/climate';

export type SchoolId = 'layers' | 'light' | 'risk';
export type Half = 'autumn' | 'spring';
export type Edge = 'earliest' | 'best' | 'latest';

export interface Reason {
  edge: Edge;
  id:
    | 'frost-first'
    | 'frost-last'
    | 'ground-cools'
    | 'runs-up'
    | 'before-dark'
    | 'after-dark'
    | 'heat'
    | 'fails-before'
    | 'fails-after'
    | 'most-come-off'
    | 'never-dark'
    | 'no-frost'
    | 'too-cold'
    | 'too-dark'
    | 'none-come-off'
    | 'all-year'
    | 'stands-winter';
  /** Days of the year, weeks, shares: by the id. */
  values: Record<string, string | number>;
}

export interface Window {
  school: SchoolId;
  season: Half;
  earliest: number | null;
  best: number | null;
  latest: number | null;
  reasons: Reason[];
}

export interface Frosts {
  lastSpring: number | null;
  firstAutumn: number | null;
}

/** A day within the year. */
export const wrap = (d: number) => ((Math.round(d) % YEAR_DAYS) + YEAR_DAYS) % YEAR_DAYS;
/** A school that has no window for a half year, and why. */
export const none = (
  school: SchoolId,
  season: Half,
  id: Reason['id'],
  values: Reason['values'] = {},
): Window => ({
  school,
  season,
  earliest: null,
  best: null,
  latest: null,
  reasons: [{ edge: 'best', id, values }],
});
