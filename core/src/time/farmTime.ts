/**
 * The farm's own time: local clock and dates in its zone, the night an instant belongs to, and the phase of the day.
 */
import { TZDate } from '@date-fns/tz';
import { sunTimes } from '../sky/sun';
import type { FarmSite } from '../farm/types';

export const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/**
 * Local date `YYYY-MM-DD` of an instant.
 * @example localDate(Date.parse('2027-01-14T23:30:00Z'), 'Europe/Madrid') // '2027-01-15'
 */
export function localDate(ms: number, timeZone: string): string {
  const d = new TZDate(ms, timeZone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

/**
 * Hour of the local clock with its fraction, 0 to 24.
 * @example localHour(Date.parse('2027-01-14T14:30:00Z'), 'Europe/Madrid') // 15.5
 */
export function localHour(ms: number, timeZone: string): number {
  const d = new TZDate(ms, timeZone);
  return d.getHours() + d.getMinutes() / 60;
}

/**
 * The instant of a local clock time on a local date; where the clock skips it, the next that exists.
 * @example new Date(atLocal('2027-01-14', 15, 30, 'Europe/Madrid')).toISOString() // '2027-01-14T14:30:00.000Z'
 */
export function atLocal(date: string, hour: number, minute: number, timeZone: string): number {
  const [y, m, d] = date.split('-').map(Number) as [number, number, number];
  return new TZDate(y, m - 1, d, hour, minute, 0, timeZone).getTime();
}

/** @example addDays('2027-02-28', 1) // '2027-03-01' */
export function addDays(date: string, days: number): string {
  const ms = Date.parse(`${date}T12:00:00Z`) + days * DAY_MS;
  return new Date(ms).toISOString().slice(0, 10);
}

/** @example daysBetween('2027-02-28', '2027-03-02') // 2 */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / DAY_MS);
}

export interface NightWindow {
  /** Local date of its evening. */
  night: string;
  /** Noon before and noon after, epoch ms. */
  fromAtMs: number;
  toAtMs: number;
  sunsetAtMs: number | null;
  sunriseAtMs: number | null;
}

/**
 * The night that an instant belongs to: from noon to noon, named by its evening's date.
 * @example nightOf(Date.parse('2027-01-15T02:00:00Z'), { ...SITE, timeZone: 'Europe/Madrid' }).night // '2027-01-14'
 */
export function nightOf(ms: number, site: FarmSite): NightWindow {
  const hour = localHour(ms, site.timeZone);
  const today = localDate(ms, site.timeZone);
  const night = hour >= 12 ? today : addDays(today, -1);
  return nightWindow(night, site);
}

/** @example nightWindow('2027-01-15', { ...SITE, timeZone: 'Europe/Madrid' }).night // '2027-01-15' */
export function nightWindow(night: string, site: FarmSite): NightWindow {
  const fromAtMs = atLocal(night, 12, 0, site.timeZone);
  const toAtMs = atLocal(addDays(night, 1), 12, 0, site.timeZone);
  return {
    night,
    fromAtMs,
    toAtMs,
    sunsetAtMs: sunTimes(fromAtMs, site.latitude, site.longitude)?.setAtMs ?? null,
    sunriseAtMs: sunTimes(toAtMs, site.latitude, site.longitude)?.riseAtMs ?? null,
  };
}

export type Phase = 'closing' | 'night' | 'morning';

/**
 * What the hour asks for: closing up from noon until an hour after sunset, the night, the morning from an hour and a half before sunrise.
 * @example phaseOf(Date.parse('2027-01-15T14:00:00Z'), nightWindow('2027-01-15', { ...SITE, timeZone: 'Europe/Madrid' })) // 'closing'
 */
export function phaseOf(ms: number, window: NightWindow): Phase {
  const set = window.sunsetAtMs ?? window.fromAtMs + 6 * HOUR_MS;
  const rise = window.sunriseAtMs ?? window.toAtMs - 4 * HOUR_MS;
  if (ms < set + HOUR_MS) return 'closing';
  return ms < rise - 1.5 * HOUR_MS ? 'night' : 'morning';
}

export interface ClockStyle {
  hours: 24 | 12;
  timeZone: string;
}

/**
 * "16:50" or "4:50 pm".
 * @example clockText(Date.parse('2027-01-14T14:30:00Z'), { hours: 24, timeZone: 'Europe/Madrid' }) // '15:30'
 */
export function clockText(ms: number, style: ClockStyle): string {
  const d = new TZDate(ms, style.timeZone);
  const minutes = String(d.getMinutes()).padStart(2, '0');
  if (style.hours === 24) return `${String(d.getHours()).padStart(2, '0')}:${minutes}`;
  const h = d.getHours();
  return `${h % 12 === 0 ? 12 : h % 12}:${minutes} ${h < 12 ? 'am' : 'pm'}`;
}

/** As a calendar is headed, Sunday first; the months from January. */
export const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/**
 * "Thu 14 Jan".
 * @example dayText(Date.parse('2027-01-14T14:30:00Z'), 'Europe/Madrid') // 'Thu 14 Jan'
 */
export function dayText(ms: number, timeZone: string): string {
  const d = new TZDate(ms, timeZone);
  return `${WEEKDAYS[d.getDay()]} ${d.getDate()} ${MONTHS[d.getMonth()]}`;
}

/**
 * Rounds down to a multiple of minutes.
 * @example floorMinutes(1_000_000, 15) // 900000
 */
export function floorMinutes(ms: number, minutes: number): number {
  return Math.floor(ms / (minutes * 60_000)) * minutes * 60_000;
}
