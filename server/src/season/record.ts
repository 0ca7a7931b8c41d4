/**
 * A station's record, kept. Contract: `keepRecord` writes its days and gives what the settings name it by; `recordDays` is the record that
 * the settings name, as it was last loaded by `loadRecord`; null where the settings name none or its days are not there.
 */
import type { Farm } from '@fogata/contract';
import type { Day, StationUse } from '@fogata/core/season';
import { asc, eq } from 'drizzle-orm';
import { chunks } from '../chunks';
import type { Db } from '../db/open';
import { climateDays } from '../db/schema';
import { digest } from '../night/pool';

type Named = NonNullable<Farm['climateRecord']>;

let held: { id: string; days: Day[] } | null = null;

/** Asked for with every load of the farm; the database only where another record is named than is held. */
export async function loadRecord(db: Db, named: Farm['climateRecord']): Promise<void> {
  if (named === null || held?.id === named.id) return;
  const rows = await db
    .select()
    .from(climateDays)
    .where(eq(climateDays.record, named.id))
    .orderBy(asc(climateDays.date));
  held = { id: named.id, days: rows.map(({ date, lowC, highC }) => ({ date, lowC, highC })) };
}

export function recordDays(named: Farm['climateRecord']): readonly Day[] | null {
  return named !== null && held?.id === named.id && held.days.length > 0 ? held.days : null;
}

export async function keepRecord(
  db: Db,
  days: readonly Day[],
  use: StationUse & { use: 'record' },
): Promise<Named> {
  const id = digest(days).slice(0, 32);
  // what was taken back is there again when that is taken back
  for (const part of chunks(days.map((d) => ({ record: id, ...d }))))
    await db.insert(climateDays).values(part).onConflictDoNothing();
  held = null;
  return { id, from: days[0]!.date, to: days.at(-1)!.date, days: days.length, years: use.years };
}
