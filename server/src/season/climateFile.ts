/** A station's file looked at, and taken: a record of days to draw years from, or twelve months where it is short. */
import type { ClimateRead, Farm } from '@fogata/contract';
import { readStationFile, useOf, type Day } from '@fogata/core/season';
import type { Context } from '../context';
import { writing } from '../db/write';
import { changeThing, FARM_ID } from '../farm/things';
import { keepRecord } from './record';

const SHOWN = 50;

function monthsOf(days: readonly Day[]): ClimateRead['months'] {
  return Array.from({ length: 12 }, (_, m) => {
    const of = days.filter((d) => Number(d.date.slice(5, 7)) === m + 1);
    const mean = (pick: (d: Day) => number) => of.reduce((s, d) => s + pick(d), 0) / Math.max(1, of.length);
    return { lowC: mean((d) => d.lowC), highC: mean((d) => d.highC) };
  });
}

export async function takeClimate(
  ctx: Context,
  text: string,
  dryRun: boolean,
  farm: Farm,
  nowAtMs: number,
): Promise<ClimateRead> {
  const { kind, days, gaps, badRows } = readStationFile(text, farm.timeZone);
  const use = useOf(days);
  const good = badRows.length === 0 && use.use !== 'nothing';
  const read: ClimateRead = {
    taken: false,
    kind,
    days: days.length,
    gaps,
    from: days[0]?.date ?? null,
    to: days.at(-1)?.date ?? null,
    use: use.use,
    years: use.use === 'record' ? use.years : 0,
    why: use.use === 'nothing' && badRows.length === 0 ? use.why : null,
    months: good ? monthsOf(days) : [],
    badRows: badRows.slice(0, SHOWN),
    recordId: null,
  };
  if (dryRun || !good) return read;
  const recordId = await writing(ctx.db, async (db) => {
    const next: Farm =
      use.use === 'record'
        ? { ...farm, climateRecord: await keepRecord(db, days, use) }
        : { ...farm, climate: use.months, climateRecord: null };
    return changeThing(db, 'farm', FARM_ID, next, { nowAtMs });
  });
  return { ...read, taken: true, recordId };
}
