/**
 * A day as one types it. Contract: "14 mar" is the next one that comes (after `near`), "14 mar 2027", "14.3." and "2027-03-14" are what they
 * say; null of what is no day that the calendar has.
 */
import { MONTHS } from '@fogata/core/telling';

const SHORT = MONTHS.map((m) => m.toLowerCase());

/** "14 mar" as the next one that comes; else as it was typed, whether or not there is such a day. */
export function dayTyped(text: string, near: string): string {
  const m = /^(\d{1,2})[ .]*([a-z]{3})[a-z]*\.?(?: (\d{4}))?$/i.exec(text);
  const n = m ? null : /^(\d{1,2})\.\s*(\d{1,2})\.?(?:\s*(\d{4}))?$/.exec(text);
  const month = m ? SHORT.indexOf(m[2]!.toLowerCase()) : n ? Number(n[2]) - 1 : -1;
  const at = m ?? n;
  if (!at || month < 0 || month > 11) return text;
  const md = `${String(month + 1).padStart(2, '0')}-${at[1]!.padStart(2, '0')}`;
  const year = at[3] ?? (md >= near.slice(5) ? near.slice(0, 4) : String(Number(near.slice(0, 4)) + 1));
  return `${year}-${md}`;
}

/** @example dateTyped('14 mar', '2027-01-14') // '2027-03-14' */
export function dateTyped(text: string, near: string): string | null {
  const date = dayTyped(text.trim(), near);
  if (!/^\d{4}-\d{2}-\d{2}$/.test(date)) return null;
  const ms = Date.parse(`${date}T00:00:00Z`);
  return Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== date ? null : date;
}
