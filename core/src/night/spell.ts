/**
 * Several nights as one choice. Contract: a `Spell` is what may lie on each bed in each night, and what may stay on it through the days between; `costOf` is what a
 * choice costs, whoever made it (`spellProgramme.ts` finds the best). Plain data: what a night takes of a bed under each option comes from that night's plan.
 *
 * What ties the nights together: a sheet that stays by day needs no hands to lift and to lay it, and costs light and damp; one that is laid tonight for a
 * worse night to come is laid once. Stock and hands are counted in every night by themselves.
 */

export interface SpellOption {
  key: string;
  /** Its sheets by key, as often as they lie. */
  sheets: readonly string[];
  /** Money that the night takes under it. */
  loss: number;
  /** Pieces by kind. */
  pieces: Readonly<Record<string, number>>;
  /** Whether it can lie on through the day after without cooking what is under it. */
  mayStay: boolean;
}

export interface SpellBed {
  id: string;
  /** What lies there as the first evening begins. */
  on: readonly string[];
  /** By sheet: minutes of laying it here, and of lifting it. */
  lay: Readonly<Record<string, number>>;
  lift: Readonly<Record<string, number>>;
  /** By night; only those that are thought of. */
  nights: readonly (readonly SpellOption[])[];
  /** Money that a sheet costs by staying through the day after a night. */
  day: readonly Readonly<Record<string, number>>[];
}

export interface Spell {
  beds: readonly SpellBed[];
  /** Pieces in all, by kind. */
  stock: Readonly<Record<string, number>>;
  ratePerHour: number;
  /** Minutes of all hands in each evening. */
  handsMin: readonly number[];
}

export interface Chosen {
  key: string;
  /** Sheets left on through the day before it. */
  stay: string[];
}
/** By bed, by night. */
export type Choice = ReadonlyMap<string, readonly Chosen[]>;

/** @example count(['a', 'b', 'a'], 'a') // 2 */
export const count = (list: readonly string[], key: string): number => list.filter((k) => k === key).length;
/** @example kindsOf([['a'], ['a', 'b']]) // ['a', 'b'] */
export const kindsOf = (lists: readonly (readonly string[])[]): string[] => [...new Set(lists.flat())];
/** A cent a piece, so that of two alike the lighter wins. */
const PIECE = 0.01;
/** @example pieceCost({ pieces: { a: 2 } }) // 0.02 */
export const pieceCost = (o: SpellOption): number =>
  PIECE * Object.values(o.pieces).reduce((s, n) => s + n, 0);

/**
 * Minutes of an evening: what is new laid, what is not wanted lifted.
 * @example eveningMinutes({ lay: { a: 6 }, lift: { a: 3 } }, [], { sheets: ['a'] }) // 6
 */
export function eveningMinutes(bed: SpellBed, lies: readonly string[], o: SpellOption): number {
  return kindsOf([lies, o.sheets]).reduce((sum, k) => {
    const more = count(o.sheets, k) - count(lies, k);
    return sum + (more > 0 ? more * bed.lay[k]! : -more * bed.lift[k]!);
  }, 0);
}

/** @example liftMinutes({ lift: { a: 3 } }, ['a', 'a']) // 6 */
export const liftMinutes = (bed: SpellBed, sheets: readonly string[]): number =>
  sheets.reduce((s, k) => s + bed.lift[k]!, 0);

const without = (sheets: readonly string[], stay: readonly string[]): string[] => {
  const left = [...stay];
  return sheets.filter((k) => {
    const i = left.indexOf(k);
    if (i < 0) return true;
    left.splice(i, 1);
    return false;
  });
};

/** @example optionOf({ nights: [[{ key: 'bare' }]] }, 0, 'bare').key // 'bare' */
export const optionOf = (bed: SpellBed, n: number, key: string): SpellOption =>
  bed.nights[n]!.find((o) => o.key === key)!;

/**
 * Money of a choice: what the nights take, the hands, what staying costs; everything is lifted after the last night.
 * @example costOf({ beds: [], stock: {}, ratePerHour: 12, handsMin: [60] }, new Map()) // 0
 */
export function costOf(s: Spell, choice: Choice): number {
  const money = s.ratePerHour / 60;
  let sum = 0;
  for (const bed of s.beds) {
    const chosen = choice.get(bed.id)!;
    chosen.forEach((c, n) => {
      const o = optionOf(bed, n, c.key);
      const lies = n === 0 ? bed.on : c.stay;
      sum += o.loss + pieceCost(o) + money * eveningMinutes(bed, lies, o);
      if (n > 0) for (const k of c.stay) sum += bed.day[n - 1]![k]!;
      const next = chosen[n + 1];
      sum += money * liftMinutes(bed, next ? without(o.sheets, next.stay) : o.sheets);
    });
  }
  return sum;
}
