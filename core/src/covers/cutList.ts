/**
 * Sheets out of rolls with the least waste. A roll is cut across into lengths, each length along into sheets that lie side
 * by side (two-stage guillotine cuts, Gilmore and Gomory 1965). Contract: `cutProblem(needs, rolls)` gives a linear
 * programme in the CPLEX LP format for any kept solver, a lower bound that no cutting can beat, and `read`, which turns the
 * solver's values into cuts. Lengths m.
 */
export interface CutNeed {
  id: string;
  label: string;
  widthM: number;
  lengthM: number;
  count: number;
}

export interface CutRoll {
  id: string;
  widthM: number;
  lengthM: number;
  count: number;
}

/** Sheets side by side across a roll; the length is that of the longest. */
interface Pattern {
  roll: number;
  lengthM: number;
  /** How many of each need, some of them turned by a right angle. */
  of: { need: number; turned: boolean; count: number }[];
}

export interface Cut {
  rollId: string;
  /** Which roll of that kind, from 1. */
  rollNo: number;
  /** Where the length begins on the roll, m. */
  fromM: number;
  lengthM: number;
  pieces: {
    needId: string;
    label: string;
    acrossM: number;
    widthM: number;
    lengthM: number;
    turned: boolean;
  }[];
}

export interface CutPlan {
  cuts: Cut[];
  /** Needs that the rolls cannot serve, with how many sheets are missing. */
  missing: { needId: string; label: string; count: number; widthM: number; lengthM: number }[];
  usedM2: number;
  sheetsM2: number;
  wasteM2: number;
  /** No cutting of the sheets that were cut can waste less. */
  boundM2: number;
}

const EPS = 1e-9;
const MAX_PATTERNS = 4000;

/** Every way to lay sheets side by side across a roll that leaves no room for one more of those allowed at its length. */
function patternsFor(needs: readonly CutNeed[], rolls: readonly CutRoll[]): Pattern[] {
  const out: Pattern[] = [];
  rolls.forEach((roll, r) => {
    const items = needs.flatMap((n, i) => [
      { need: i, turned: false, across: n.widthM, along: n.lengthM },
      ...(Math.abs(n.widthM - n.lengthM) > EPS
        ? [{ need: i, turned: true, across: n.lengthM, along: n.widthM }]
        : []),
    ]);
    const usable = items
      .filter((x) => x.across <= roll.widthM + EPS && x.along <= roll.lengthM + EPS)
      .sort((a, b) => b.along - a.along || b.across - a.across);
    // the first sheet is the longest and sets the length; what lies beside it is no longer
    usable.forEach((lead, at) => {
      const counts = new Map<number, number>();
      const walk = (from: number, left: number): void => {
        if (out.length > MAX_PATTERNS) return;
        let fuller = false;
        for (let k = from; k < usable.length; k++) {
          const x = usable[k]!;
          const wanted = needs[x.need]!.count;
          const used = [...counts].reduce((s, [i, n]) => s + (usable[i]!.need === x.need ? n : 0), 0);
          if (x.across > left + EPS || used >= wanted) continue;
          fuller = true;
          counts.set(k, (counts.get(k) ?? 0) + 1);
          walk(k, left - x.across);
          counts.set(k, counts.get(k)! - 1);
        }
        if (!fuller)
          out.push({
            roll: r,
            lengthM: lead.along,
            of: [...counts].flatMap(([i, count]) =>
              count > 0 ? [{ need: usable[i]!.need, turned: usable[i]!.turned, count }] : [],
            ),
          });
      };
      counts.set(at, 1);
      walk(at, roll.widthM - lead.across);
    });
  });
  return out;
}

const num = (x: number) => Number(x.toFixed(6)).toString();

export interface CutProblem {
  lp: string;
  read: (values: Record<string, number>) => CutPlan;
}

/**
 * Variables: x_p_k, how often pattern p is cut from the k-th roll of its kind; m_i, sheets of need i that stay uncut. A sheet
 * left uncut costs more than any roll, so that it happens only where the rolls do not suffice.
 * @example cutProblem([{ id: 'n', label: 'North', widthM: 2, lengthM: 10, count: 1 }], [{ id: 'r', widthM: 2.1, lengthM: 25, count: 1 }]).lp.includes('Minimize') // true
 */
export function cutProblem(needs: readonly CutNeed[], rolls: readonly CutRoll[]): CutProblem {
  const patterns = patternsFor(needs, rolls);
  const area = (p: Pattern) => p.lengthM * rolls[p.roll]!.widthM;
  const total = needs.reduce((s, n) => s + n.widthM * n.lengthM * n.count, 0);
  const vars = patterns.flatMap((p, i) =>
    Array.from({ length: rolls[p.roll]!.count }, (_, k) => ({ name: `x_${i}_${k}`, pattern: i, k })),
  );
  const cost = 100 * (1 + total + rolls.reduce((s, r) => s + r.widthM * r.lengthM * r.count, 0));
  const objective = [
    ...vars.map((v) => `${num(area(patterns[v.pattern]!))} ${v.name}`),
    ...needs.map((n, i) => `${num(cost * n.widthM * n.lengthM)} m_${i}`),
  ].join(' + ');
  const rows: string[] = [];
  needs.forEach((n, i) => {
    const makes = vars.flatMap((v) => {
      const c = patterns[v.pattern]!.of.filter((o) => o.need === i).reduce((s, o) => s + o.count, 0);
      return c > 0 ? [`${c} ${v.name}`] : [];
    });
    rows.push(` need_${i}: ${[...makes, `m_${i}`].join(' + ')} >= ${n.count}`);
  });
  rolls.forEach((roll, r) => {
    for (let k = 0; k < roll.count; k++) {
      const on = vars.filter((v) => patterns[v.pattern]!.roll === r && v.k === k);
      if (on.length > 0)
        rows.push(
          ` roll_${r}_${k}: ${on.map((v) => `${num(patterns[v.pattern]!.lengthM)} ${v.name}`).join(' + ')} <= ${num(roll.lengthM)}`,
        );
    }
  });
  const integers = [...vars.map((v) => v.name), ...needs.map((_, i) => `m_${i}`)];
  const lp = `Minimize\n obj: ${objective || '0 m_0'}\nSubject To\n${rows.join('\n')}\nGeneral\n ${integers.join(' ')}\nEnd\n`;
  return { lp, read: (values) => readPlan(values, needs, rolls, patterns, vars) };
}

function readPlan(
  values: Record<string, number>,
  needs: readonly CutNeed[],
  rolls: readonly CutRoll[],
  patterns: Pattern[],
  vars: { name: string; pattern: number; k: number }[],
): CutPlan {
  const left = needs.map((n) => n.count);
  const at = new Map<string, number>();
  const cuts: Cut[] = [];
  for (const v of vars) {
    const p = patterns[v.pattern]!;
    const roll = rolls[p.roll]!;
    for (let n = 0; n < Math.round(values[v.name] ?? 0); n++) {
      let across = 0;
      const pieces: Cut['pieces'] = [];
      for (const o of p.of) {
        const need = needs[o.need]!;
        for (let c = 0; c < o.count; c++) {
          // a pattern may hold one more than is still needed: that one is not cut
          if (left[o.need]! <= 0) continue;
          left[o.need]! -= 1;
          const [w, l] = o.turned ? [need.lengthM, need.widthM] : [need.widthM, need.lengthM];
          pieces.push({
            needId: need.id,
            label: need.label,
            acrossM: across,
            widthM: w,
            lengthM: l,
            turned: o.turned,
          });
          across += w;
        }
      }
      if (pieces.length === 0) continue;
      const key = `${p.roll}/${v.k}`;
      const from = at.get(key) ?? 0;
      const lengthM = Math.max(...pieces.map((x) => x.lengthM));
      cuts.push({ rollId: roll.id, rollNo: v.k + 1, fromM: from, lengthM, pieces });
      at.set(key, from + lengthM);
    }
  }
  const sheetsM2 = cuts.flatMap((c) => c.pieces).reduce((s, x) => s + x.widthM * x.lengthM, 0);
  const usedM2 = cuts.reduce((s, c) => s + c.lengthM * rolls.find((r) => r.id === c.rollId)!.widthM, 0);
  return {
    cuts,
    missing: needs.flatMap((n, i) =>
      left[i]! > 0
        ? [{ needId: n.id, label: n.label, count: left[i]!, widthM: n.widthM, lengthM: n.lengthM }]
        : [],
    ),
    usedM2,
    sheetsM2,
    wasteM2: usedM2 - sheetsM2,
    boundM2: boundOf(needs, left, rolls),
  };
}

/**
 * Least waste that any cutting of these sheets has: each lies on some roll in some turn, and wider than half of the roll it
 * keeps all of its breadth to itself.
 */
function boundOf(needs: readonly CutNeed[], left: readonly number[], rolls: readonly CutRoll[]): number {
  return needs.reduce((sum, n, i) => {
    const cut = n.count - left[i]!;
    if (cut === 0) return sum;
    const alone = rolls.flatMap((r) => {
      if (r.count === 0) return [];
      const turns = [
        { across: n.widthM, along: n.lengthM },
        { across: n.lengthM, along: n.widthM },
      ].filter((t) => t.across <= r.widthM + EPS && t.along <= r.lengthM + EPS);
      const smallest = Math.min(...needs.map((x) => Math.min(x.widthM, x.lengthM)));
      return turns.map((t) => (r.widthM - t.across < smallest - EPS ? (r.widthM - t.across) * t.along : 0));
    });
    return sum + cut * (alone.length === 0 ? 0 : Math.min(...alone));
  }, 0);
}

/**
 * What has to be bought for sheets that no roll serves: metres of cloth at least as wide as their shorter side.
 * @example orderFor([{ widthM: 2, lengthM: 24, count: 2 }, { widthM: 10, lengthM: 2, count: 1 }]) // [{ widthM: 2, lengthM: 58, sheets: 3 }]
 */
export function orderFor(missing: CutPlan['missing']): { widthM: number; lengthM: number; sheets: number }[] {
  const byWidth = new Map<number, { lengthM: number; sheets: number }>();
  for (const m of missing) {
    const across = Math.min(m.widthM, m.lengthM);
    const along = Math.max(m.widthM, m.lengthM);
    const was = byWidth.get(across) ?? { lengthM: 0, sheets: 0 };
    byWidth.set(across, { lengthM: was.lengthM + along * m.count, sheets: was.sheets + m.count });
  }
  return [...byWidth].map(([widthM, o]) => ({ widthM, ...o })).sort((a, b) => b.widthM - a.widthM);
}
