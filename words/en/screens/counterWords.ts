/** A counter in words: what it counts, how far it is, when it is likely to be full; a band while years may still differ. */
import type { CounterView } from '@fogata/contract/told';
import { daysBetween } from '@fogata/core';
import { dayShort } from './seasonWords';

const md = (date: string, today: string) =>
  `${dayShort(date.slice(5))}${date.slice(0, 4) === today.slice(0, 4) ? '' : ` ${date.slice(0, 4)}`}`;

const FULL = {
  ripe: 'ripe',
  bloom: 'in flower',
  cold: 'cold enough: bring them in',
  heat: 'reached',
} as const;

/** "About 12 Mar, in an early year 3 Mar, in a late one 24 Mar." */
export function counterWords(v: CounterView, today: string): string {
  if (v.full) return `Since ${md(v.middle!, today)} ${FULL[v.counter.what]}.`;
  if (v.middle === null) return 'Not within a year, as this place has it.';
  const days = daysBetween(today, v.middle);
  const soon = days <= 1 ? 'by tomorrow' : `in ${days} days`;
  const same = v.early === v.late;
  const band =
    same || v.early === null
      ? ''
      : `; in an early year ${md(v.early, today)}, in a late one ${v.late === null ? 'not within the year' : md(v.late, today)}`;
  return `${FULL[v.counter.what].split(':')[0]!.replace(/^./, (c) => c.toUpperCase())} about ${md(v.middle, today)}, ${soon}${band}.`;
}

export function soFarWords(v: CounterView, today: string): string {
  const { counter: c } = v;
  const since = `since ${md(c.from, today)}${v.place ? `, ${v.place}` : ''}`;
  return c.what === 'cold'
    ? `${Math.round(v.sofar)} of ${Math.round(c.target)} days of cold ${since}`
    : `${Math.round(v.sofar)} of ${Math.round(c.target)} °C days ${since}`;
}
