/**
 * Seed saving. Contract: `crosses` says of each planting that is kept for seed which others of its species flower at the same time and too
 * near: their seed would be of both. What is of the same crop and cultivar is no other.
 */
import { savingOf } from '../crops/saving';
import { flowersOf } from './flowering';
import { quarrel, type Quarrel } from './quarrel';
import type { RelayYear, Strip } from './year';

/** A day or two together sets little seed. */
const LEAST_DAYS = 3;

const sameKind = (a: Strip, b: Strip): boolean =>
  a.crop.id === b.crop.id &&
  a.planting.cultivar.trim().toLowerCase() === b.planting.cultivar.trim().toLowerCase();

/**
 * Crops left for seed that flower beside their kin.
 * @example crosses(aYear([aBedOf('a')], [])) // []
 */
export function crosses(year: RelayYear): Quarrel[] {
  const kept = year.strips.filter((s) => s.planting.forSeed && s.endDay > year.today);
  if (kept.length === 0) return [];
  const bedOf = new Map(year.beds.map((b) => [b.id, b]));
  return kept.flatMap((s) => {
    const saving = savingOf(s.crop.id);
    const own = flowersOf(s);
    const at = bedOf.get(s.planting.bedId);
    if (!saving || !own || !at) return [];
    return year.strips.flatMap((o): Quarrel[] => {
      if (o === s || sameKind(s, o) || savingOf(o.crop.id)?.species !== saving.species) return [];
      // of two that are both kept, one says it
      if (o.planting.forSeed && o.planting.id < s.planting.id) return [];
      const other = flowersOf(o);
      const by = bedOf.get(o.planting.bedId);
      if (!other || !by) return [];
      const [from, to] = [Math.max(own.fromDay, other.fromDay), Math.min(own.toDay, other.toDay)];
      const distanceM = Math.hypot(at.xM - by.xM, at.yM - by.yM);
      if (to - from < LEAST_DAYS || distanceM >= saving.apartM) return [];
      return [
        quarrel('crosses', at.id, [o.planting.id, s.planting.id], [from, to], {
          days: to - from,
          apartM: saving.apartM,
          distanceM,
          by: saving.by,
          species: saving.species,
        }),
      ];
    });
  });
}
