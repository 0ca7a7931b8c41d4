/** The open format `fogata-members/1`: the hours that were, and an ensemble of what may come. */
import type { WeatherEntry } from '@fogata/core';
import { z } from 'zod';
import { firstProblem, weatherEntrySchema } from './simulationCase';

const HOUR_MS = 3_600_000;
const entries = (least: number) =>
  z.array(weatherEntrySchema).min(least, `at least ${least} entries`).max(20_000, 'at most 20000 entries');

export const membersSchema = z.strictObject({
  format: z.literal('fogata-members/1', { error: 'the string fogata-members/1' }),
  history: entries(12),
  members: z.array(entries(2)).min(1, 'at least one member').max(200, 'at most 200 members'),
});

export interface Members {
  history: WeatherEntry[];
  members: WeatherEntry[][];
}

/** The least of the days before that a night is reckoned from, hours; and the longest between two entries. */
const HISTORY_H = 24;
const GAP_H = 6;

function orderProblem(list: readonly WeatherEntry[], name: string): string | null {
  for (let i = 1; i < list.length; i++) {
    const step = Date.parse(list[i]!.time) - Date.parse(list[i - 1]!.time);
    if (step <= 0) return `${name}[${i}].time: expected an instant after the one before it`;
    if (step > GAP_H * HOUR_MS)
      return `${name}[${i}].time: expected no more than ${GAP_H} hours after the one before it`;
  }
  const wet = list.findIndex((e) => e.dewPointC > e.airC);
  return wet < 0 ? null : `${name}[${wet}].dewPointC: expected no more than airC`;
}

/** An ensemble that serves a moment and nights from it on; or one sentence that names the field. `reachAtMs` is how far it has to go. */
export function readMembers(
  json: unknown,
  nowAtMs: number,
  reachAtMs: number,
): { weather: Members } | { problem: string } {
  const read = membersSchema.safeParse(json, { reportInput: true });
  if (!read.success) return { problem: firstProblem(read.error) };
  const { history, members } = read.data as Members;
  const bad =
    orderProblem(history, 'history') ??
    members.reduce<string | null>((found, m, i) => found ?? orderProblem(m, `members[${i}]`), null);
  if (bad) return { problem: bad };
  const iso = (ms: number) => new Date(ms).toISOString();
  const at = (e: WeatherEntry) => Date.parse(e.time);
  if (at(history[0]!) > nowAtMs - HISTORY_H * HOUR_MS)
    return {
      problem: `history: expected from ${iso(nowAtMs - HISTORY_H * HOUR_MS)} on or before, a day before the moment`,
    };
  if (at(history.at(-1)!) < nowAtMs - HOUR_MS)
    return {
      problem: `history: expected up to ${iso(nowAtMs - HOUR_MS)} at least, an hour before the moment`,
    };
  for (const [i, m] of members.entries()) {
    if (at(m[0]!) > nowAtMs + HOUR_MS)
      return { problem: `members[${i}]: expected from ${iso(nowAtMs + HOUR_MS)} on or before` };
    if (at(m.at(-1)!) < reachAtMs)
      return { problem: `members[${i}]: expected up to ${iso(reachAtMs)} at least, through the last night` };
  }
  return { weather: { history, members } };
}
