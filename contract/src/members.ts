/** The open format `fogata-members/1`: the hours that were, and an ensemble of what may come. */
import { said, type Said, type WeatherEntry } from '@fogata/core';
import { z } from 'zod';
import { firstProblem } from './expected';
import { weatherEntrySchema } from './simulationCase';

const HOUR_MS = 3_600_000;
const entries = (least: number) => z.array(weatherEntrySchema).min(least).max(20_000);

export const membersSchema = z.strictObject({
  format: z.literal('fogata-members/1'),
  history: entries(12),
  members: z.array(entries(2)).min(1).max(200),
});

export interface Members {
  history: WeatherEntry[];
  members: WeatherEntry[][];
}

/** The least of the days before that a night is reckoned from, hours; and the longest between two entries. */
const HISTORY_H = 24;
const GAP_H = 6;

const refused = (field: string, expected: Said): Said => said('refuse.expected', { field, expected });

function orderProblem(list: readonly WeatherEntry[], name: string): Said | null {
  for (let i = 1; i < list.length; i++) {
    const step = Date.parse(list[i]!.time) - Date.parse(list[i - 1]!.time);
    if (step <= 0) return refused(`${name}[${i}].time`, said('want.afterLast'));
    if (step > GAP_H * HOUR_MS)
      return refused(`${name}[${i}].time`, said('want.soonAfterLast', { hours: GAP_H }));
  }
  const wet = list.findIndex((e) => e.dewPointC > e.airC);
  return wet < 0 ? null : refused(`${name}[${wet}].dewPointC`, said('want.noMore', { than: 'airC' }));
}

/** An ensemble that serves a moment and nights from it on; or one sentence that names the field. `reachAtMs` is how far it has to go. */
export function readMembers(
  json: unknown,
  nowAtMs: number,
  reachAtMs: number,
): { weather: Members } | { problem: Said } {
  const read = membersSchema.safeParse(json, { reportInput: true });
  if (!read.success) return { problem: firstProblem(read.error) };
  const { history, members } = read.data as Members;
  const bad =
    orderProblem(history, 'history') ??
    members.reduce<Said | null>((found, m, i) => found ?? orderProblem(m, `members[${i}]`), null);
  if (bad) return { problem: bad };
  const from = (field: string, ms: number, why: 'day' | 'none') =>
    refused(field, said('want.fromInstant', { iso: new Date(ms).toISOString(), why }));
  const upTo = (field: string, ms: number, why: 'hour' | 'night') =>
    refused(field, said('want.toInstant', { iso: new Date(ms).toISOString(), why }));
  const at = (e: WeatherEntry) => Date.parse(e.time);
  if (at(history[0]!) > nowAtMs - HISTORY_H * HOUR_MS)
    return { problem: from('history', nowAtMs - HISTORY_H * HOUR_MS, 'day') };
  if (at(history.at(-1)!) < nowAtMs - HOUR_MS) return { problem: upTo('history', nowAtMs - HOUR_MS, 'hour') };
  for (const [i, m] of members.entries()) {
    if (at(m[0]!) > nowAtMs + HOUR_MS) return { problem: from(`members[${i}]`, nowAtMs + HOUR_MS, 'none') };
    if (at(m.at(-1)!) < reachAtMs) return { problem: upTo(`members[${i}]`, reachAtMs, 'night') };
  }
  return { weather: { history, members } };
}
