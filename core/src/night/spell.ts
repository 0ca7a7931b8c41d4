/**
 * Several nights as one choice. Contract: `spellProblem` writes what lies on each bed in each night, and what stays on it through the days between, as one
 * linear programme; `costOf` is what a choice costs, whoever made it. Plain data: what a night takes of a bed under each option comes from that night's plan.
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

const count = (list: readonly string[], key: string): number => list.filter((k) => k === key).length;
const kindsOf = (lists: readonly (readonly string[])[]): string[] => [...new Set(lists.flat())];
/** A cent a piece, so that of two alike the lighter wins. */
const PIECE = 0.01;
const pieceCost = (o: SpellOption): number => PIECE * Object.values(o.pieces).reduce((s, n) => s + n, 0);

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

const liftMinutes = (bed: SpellBed, sheets: readonly string[]): number =>
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

export interface SpellProblem {
  lp: string;
  read: (values: Readonly<Record<string, number>>) => Choice;
  /** What values come to, in money. */
  value: (values: Readonly<Record<string, number>>) => number;
}

/** As short as it can be told: the text is megabytes. */
function term(f: number, name: string): string {
  const many = Number(Math.abs(f).toFixed(5));
  return `${f < 0 ? '-' : '+'}${many === 1 ? '' : ` ${many}`} ${name}`;
}

/**
 * The programme, in the CPLEX LP format. `x_b_n_o` is one where bed b has option o in night n; `s_b_n_k` how many sheets k stay on it through the day
 * before night n: no more than lie in the night before under what may stay, and than lie in night n.
 * @example spellProblem({ beds: [], stock: {}, ratePerHour: 12, handsMin: [60] }).lp.startsWith('Minimize') // true
 */
export function spellProblem(s: Spell): SpellProblem {
  const money = s.ratePerHour / 60;
  const cost: [number, string][] = [];
  const rows: string[] = [];
  const binary: string[] = [];
  const stock = new Map<string, string[]>();
  const hands: string[][] = s.handsMin.map(() => []);
  const x = (b: number, n: number, o: number) => `x_${b}_${n}_${o}`;
  const stay = (b: number, n: number, k: number) => `s_${b}_${n}_${k}`;
  const kinds = s.beds.map((bed) => kindsOf(bed.nights.flat().map((o) => o.sheets)));
  s.beds.forEach((bed, b) => {
    bed.nights.forEach((options, n) => {
      rows.push(`one_${b}_${n}: ${options.map((_, o) => x(b, n, o)).join(' + ')} = 1`);
      const last = n === bed.nights.length - 1;
      options.forEach((o, i) => {
        const name = x(b, n, i);
        binary.push(name);
        const lays = n === 0 ? eveningMinutes(bed, bed.on, o) : o.sheets.reduce((t, k) => t + bed.lay[k]!, 0);
        // lifting is told by what stays; after the last night nothing does
        cost.push([o.loss + pieceCost(o) + money * (lays + liftMinutes(bed, o.sheets)), name]);
        if (lays > 0) hands[n]!.push(term(lays, name));
        for (const [id, pieces] of Object.entries(o.pieces))
          stock.set(`${n} ${id}`, [...(stock.get(`${n} ${id}`) ?? []), term(pieces, name)]);
      });
      if (last) return;
      kinds[b]!.forEach((k, j) => {
        const name = stay(b, n + 1, j);
        const lieAfter = bed.nights[n + 1]!.flatMap((o, i) =>
          count(o.sheets, k) > 0 ? [term(-count(o.sheets, k), x(b, n + 1, i))] : [],
        );
        const mayStay = options.flatMap((o, i) =>
          o.mayStay && count(o.sheets, k) > 0 ? [term(-count(o.sheets, k), x(b, n, i))] : [],
        );
        if (lieAfter.length === 0 || mayStay.length === 0) return;
        const saved = bed.lay[k]! + bed.lift[k]!;
        cost.push([bed.day[n]![k]! - money * saved, name]);
        hands[n + 1]!.push(term(-bed.lay[k]!, name));
        rows.push(`was_${b}_${n}_${j}: ${name} ${mayStay.join(' ')} <= 0`);
        rows.push(`is_${b}_${n}_${j}: ${name} ${lieAfter.join(' ')} <= 0`);
      });
    });
  });
  let r = 0;
  for (const [at, terms] of stock)
    rows.push(`stock_${r++}: ${terms.join(' ')} <= ${s.stock[at.slice(at.indexOf(' ') + 1)] ?? 0}`);
  hands.forEach((terms, n) => {
    if (terms.length > 0) rows.push(`hands_${n}: ${terms.join(' ')} <= ${s.handsMin[n]!.toFixed(3)}`);
  });
  const body = `Minimize\n obj: ${cost.map(([f, name]) => term(f, name)).join('\n ')}\nSubject To\n ${rows.join('\n ')}\n`;
  return {
    lp: `${body}Binary\n ${binary.join('\n ')}\nEnd\n`,
    value: (values) => cost.reduce((sum, [f, name]) => sum + f * (values[name] ?? 0), 0),
    read: (values) =>
      new Map(
        s.beds.map((bed, b) => [
          bed.id,
          bed.nights.map((options, n): Chosen => {
            const i = options.findIndex((_, o) => (values[x(b, n, o)] ?? 0) > 0.5);
            if (i < 0) throw new Error(`the solver chose nothing for ${bed.id} in night ${n + 1}`);
            const stays = kinds[b]!.flatMap((k, j) =>
              new Array<string>(Math.round(values[stay(b, n, j)] ?? 0)).fill(k),
            );
            return { key: options[i]!.key, stay: n === 0 ? [] : stays };
          }),
        ]),
      ),
  };
}
