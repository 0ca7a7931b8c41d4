/**
 * The programme of a spell. Contract: `spellProgramme` gives it as columns, one for each option of each bed and night and one for each sheet that may stay by day; `textOf` writes some
 * of the options, with all that may stay, in the CPLEX LP format; `readChoice` and `valueOf` say what its values stand for and come to. Plain data.
 */
import {
  count,
  eveningMinutes,
  kindsOf,
  liftMinutes,
  pieceCost,
  type Choice,
  type Chosen,
  type Spell,
  type SpellBed,
  type SpellOption,
} from './spell';
import { undominated } from './choose';

/** A yes-or-no, or how many sheets stay: what one costs, and how often it counts in which rows. */
export interface Column {
  name: string;
  cost: number;
  at: [row: string, times: number][];
}

export interface SpellProgramme {
  spell: Spell;
  options: Column[];
  stays: Column[];
  /** What each row comes to, with its sign. */
  rows: ReadonlyMap<string, string>;
}

const x = (b: number, n: number, o: number) => `x_${b}_${n}_${o}`;
const stay = (b: number, n: number, k: number) => `s_${b}_${n}_${k}`;
/** Minutes of laying what is new: on the first evening with what lies there, else as if nothing did. */
const layMinutes = (bed: SpellBed, n: number, o: SpellOption) =>
  eveningMinutes(bed, n === 0 ? bed.on : [], o);
const kindsByBed = (s: Spell) => s.beds.map((bed) => kindsOf(bed.nights.flat().map((o) => o.sheets)));

/**
 * `x_b_n_o` is one where bed b has option o in night n; `s_b_n_k` how many sheets k stay on it through the day before night n: no more than lie in the night
 * before under what may stay, and than lie in night n.
 * @example spellProgramme({ beds: [], stock: {}, ratePerHour: 12, handsMin: [60] }).options // []
 */
export function spellProgramme(s: Spell): SpellProgramme {
  const money = s.ratePerHour / 60;
  const stays: Column[] = [];
  const rows = new Map<string, string>();
  const covers = Object.keys(s.stock);
  s.handsMin.forEach((most, n) => rows.set(`hands_${n}`, `<= ${most.toFixed(3)}`));
  const stockRow = (n: number, id: string) => {
    const at = covers.indexOf(id);
    const row = `stock_${n}_${at >= 0 ? at : covers.push(id) - 1}`;
    // of what is not in stock there is none
    rows.set(row, `<= ${s.stock[id] ?? 0}`);
    return row;
  };
  const kinds = kindsByBed(s);
  const placed = s.beds.map((bed, b) =>
    bed.nights.map((of, n) => {
      const one = `one_${b}_${n}`;
      rows.set(one, '= 1');
      return of.map((o, option): Column => {
        const lays = layMinutes(bed, n, o);
        const at: Column['at'] = [[one, 1]];
        if (lays > 0) at.push([`hands_${n}`, lays]);
        for (const [id, pieces] of Object.entries(o.pieces)) at.push([stockRow(n, id), pieces]);
        // lifting is told by what stays; after the last night nothing does
        const cost = o.loss + pieceCost(o) + money * (lays + liftMinutes(bed, o.sheets));
        return { name: x(b, n, option), cost, at };
      });
    }),
  );
  s.beds.forEach((bed, b) =>
    kinds[b]!.forEach((k, j) => {
      const lies = bed.nights.map((of, n) =>
        of.flatMap((o, option) => {
          const times = count(o.sheets, k);
          return times > 0 ? [{ o, times, at: placed[b]![n]![option]!.at }] : [];
        }),
      );
      lies.slice(1).forEach((lieAfter, i) => {
        const mayStay = lies[i]!.filter(({ o }) => o.mayStay);
        if (mayStay.length === 0 || lieAfter.length === 0) return;
        const [was, is] = [`was_${b}_${i}_${j}`, `is_${b}_${i}_${j}`];
        rows.set(was, '<= 0').set(is, '<= 0');
        for (const { at, times } of mayStay) at.push([was, -times]);
        for (const { at, times } of lieAfter) at.push([is, -times]);
        stays.push({
          name: stay(b, i + 1, j),
          cost: bed.day[i]![k]! - money * (bed.lay[k]! + bed.lift[k]!),
          at: [
            [`hands_${i + 1}`, -bed.lay[k]!],
            [was, 1],
            [is, 1],
          ],
        });
      });
    }),
  );
  return { spell: s, options: placed.flat(2), stays, rows };
}

/** As short as it can be told: the text may be long. */
function term(f: number, name: string): string {
  const many = Number(Math.abs(f).toFixed(5));
  return `${f < 0 ? '-' : '+'}${many === 1 ? '' : ` ${many}`} ${name}`;
}

/**
 * With some of the options.
 * @example textOf(spellProgramme({ beds: [], stock: {}, ratePerHour: 12, handsMin: [60] }), []).startsWith('Minimize') // true
 */
export function textOf(p: SpellProgramme, options: readonly Column[]): string {
  const columns = [...options, ...p.stays];
  const terms = new Map<string, string[]>();
  for (const c of columns)
    for (const [row, times] of c.at) {
      const list = terms.get(row) ?? [];
      terms.set(row, list);
      list.push(term(times, c.name));
    }
  const rows = [...p.rows].flatMap(([row, than]) => {
    const list = terms.get(row);
    return list ? [`${row}: ${list.join(' ')} ${than}`] : [];
  });
  const cost = columns.map((c) => term(c.cost, c.name));
  const body = `Minimize\n obj: ${cost.join('\n ')}\nSubject To\n ${rows.join('\n ')}\n`;
  const names = options.map((c) => c.name);
  return `${body}Binary\n ${names.join('\n ')}\nEnd\n`;
}

/**
 * What values come to, in money.
 * @example valueOf(spellProgramme({ beds: [], stock: {}, ratePerHour: 12, handsMin: [60] }), {}) // 0
 */
export const valueOf = (p: SpellProgramme, values: Readonly<Record<string, number>>): number =>
  [...p.options, ...p.stays].reduce((sum, c) => sum + c.cost * (values[c.name] ?? 0), 0);

/**
 * The choice that values stand for; throws where they hold none for a bed and night.
 * @example readChoice(spellProgramme({ beds: [], stock: {}, ratePerHour: 12, handsMin: [60] }), {}).size // 0
 */
export function readChoice({ spell }: SpellProgramme, values: Readonly<Record<string, number>>): Choice {
  const kinds = kindsByBed(spell);
  return new Map(
    spell.beds.map((bed, b) => [
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
  );
}

/**
 * Options that no other one of their bed and night makes useless where nothing stays by day: the best of them is hardly dearer than the best of all.
 * @example likely(spellProgramme({ beds: [], stock: {}, ratePerHour: 12, handsMin: [60] })) // []
 */
export function likely(p: SpellProgramme): Column[] {
  const { beds, ratePerHour } = p.spell;
  const kept = new Set(
    beds.flatMap((bed, b) =>
      bed.nights.flatMap((of, n) =>
        undominated(
          of.map((o, option) => ({
            key: x(b, n, option),
            loss: o.loss,
            minutes: layMinutes(bed, n, o),
            laterMinutes: liftMinutes(bed, o.sheets),
            pieces: { ...o.pieces },
          })),
          ratePerHour,
        ).map((o) => o.key),
      ),
    ),
  );
  return p.options.filter((c) => kept.has(c.name));
}
