/** All nights that were said or read, the newest first: what was said against what the grower read. */
import type { NightRow, NightsView } from '@fogata/contract';
import { and, desc, eq } from 'drizzle-orm';
import type { Db } from '../db/open';
import { nights, records, structures } from '../db/schema';
import { OUTSIDE } from './spots';

/** A dozen winters. */
const MOST = 4000;

export async function nightsView(db: Db): Promise<NightsView> {
  const said = await db
    .select({ night: nights.night, data: nights.data })
    .from(nights)
    .orderBy(desc(nights.night))
    .limit(MOST);
  const read = await db
    .select({ data: records.data })
    .from(records)
    .where(and(eq(records.kind, 'reading'), eq(records.void, false)))
    .orderBy(desc(records.atMs))
    .limit(10 * MOST);
  const names = new Map(
    (await db.select({ id: structures.id, name: structures.name }).from(structures)).map((s) => [
      s.id,
      s.name,
    ]),
  );
  const bySpot = new Map<string, Map<string, number>>();
  // of two readings of one night the newer counts: it comes first
  for (const { data: r } of read) {
    if (r.kind !== 'reading' || r.minC === null) continue;
    const night = bySpot.get(r.night) ?? new Map<string, number>();
    if (!night.has(r.spot)) night.set(r.spot, r.minC);
    bySpot.set(r.night, night);
  }
  const spoken = new Map(said.map((s) => [s.night, s.data]));
  const all = [...new Set([...spoken.keys(), ...bySpot.keys()])].sort().reverse();
  return {
    nights: all.map((night): NightRow => {
      const spots = spoken.get(night)?.spots ?? {};
      const found = bySpot.get(night) ?? new Map<string, number>();
      const inside = [...found].flatMap(([id, minC]) => {
        const band = spots[id];
        const name = names.get(id);
        return id === OUTSIDE || !band || name === undefined
          ? []
          : [{ name, offK: minC - band.mid, within: minC >= band.low && minC <= band.high }];
      });
      const furthest = inside.reduce<(typeof inside)[number] | null>(
        (a, b) => (a === null || Math.abs(b.offK) > Math.abs(a.offK) ? b : a),
        null,
      );
      return {
        night,
        saidC: spots[OUTSIDE] ?? null,
        readC: found.get(OUTSIDE) ?? null,
        read: inside.length,
        within: inside.filter((x) => x.within).length,
        offK: inside.length > 0 ? inside.reduce((s, x) => s + x.offK, 0) / inside.length : null,
        furthest: furthest && { name: furthest.name, offK: furthest.offK },
      };
    }),
  };
}
