/**
 * The reckonings a grower does on the back of an envelope. Contract: each takes plain numbers in SI, refuses what makes no
 * sense by name, and gives its answer; the words of the working are the screen's.
 */
import { said, type Said } from '../words/said';
import type { CalcField } from '@fogata/words/en/told/sums';

/** What is wrong with an input: which, and what is expected of it. */
export class CalcProblem extends Error {
  constructor(
    readonly field: CalcField,
    readonly expected: Said,
  ) {
    super(`${field}: ${expected.say}`);
  }

  /** As it is told. */
  get problem(): Said {
    return said('calc.refused', { field: this.field, expected: this.expected });
  }
}

const atLeast0 = (field: CalcField, value: number) => {
  if (!Number.isFinite(value) || value < 0)
    throw new CalcProblem(field, said('want.atLeast', { value: 0, unit: 'none' }));
};
const above0 = (field: CalcField, value: number) => {
  if (!Number.isFinite(value) || value <= 0)
    throw new CalcProblem(field, said('want.moreThan', { value: 0, unit: 'none' }));
};

/**
 * Hoops over a bed: how many, how far apart they come out, and how long each rod is with `footM` in the ground at each end.
 * @example hoopsFor({ lengthM: 12, arcM: 2.2, spacingM: 1.5, footM: 0.3 }).hoops // 9
 */
export function hoopsFor(i: { lengthM: number; arcM: number; spacingM: number; footM: number }) {
  above0('length', i.lengthM);
  above0('arc', i.arcM);
  above0('spacing', i.spacingM);
  atLeast0('foot', i.footM);
  const gaps = Math.ceil(i.lengthM / i.spacingM - 1e-9);
  const rodM = i.arcM + 2 * i.footM;
  return { hoops: gaps + 1, everyM: i.lengthM / gaps, rodM, rodsM: (gaps + 1) * rodM };
}

/**
 * Drip: emitters and minutes. `mm` is over the whole bed (1 mm is 1 l/m²); with `litresPerPot` instead, each emitter feeds
 * one pot.
 * @example dripFor({ lengthM: 10, widthM: 1, lines: 2, spacingM: 0.5, litresPerHour: 2, mm: 4 }).minutes // 28.6
 */
export function dripFor(i: {
  lengthM: number;
  widthM: number;
  lines: number;
  spacingM: number;
  litresPerHour: number;
  mm?: number;
  litresPerPot?: number;
}) {
  above0('length', i.lengthM);
  above0('width', i.widthM);
  above0('lines', i.lines);
  above0('spacing', i.spacingM);
  above0('flow', i.litresPerHour);
  const perLine = Math.floor(i.lengthM / i.spacingM + 1e-9) + 1;
  const emitters = perLine * i.lines;
  const litres =
    i.litresPerPot !== undefined ? i.litresPerPot * emitters : (i.mm ?? 0) * i.lengthM * i.widthM;
  above0(i.litresPerPot !== undefined ? 'litresPerPot' : 'mm', litres);
  const litresPerHour = emitters * i.litresPerHour;
  return {
    perLine,
    emitters,
    lineM: i.lengthM * i.lines,
    litresPerHour,
    litres,
    minutes: (litres / litresPerHour) * 60,
  };
}

/**
 * Crates on a bench: the better of the two ways to turn them, and what they hold; the same for every bench of the house.
 * @example cratesFor({ benchLengthM: 6, benchWidthM: 1.2, benches: 1, crateLengthM: 0.6, crateWidthM: 0.4, gapM: 0, plantsEach: 8 }).crates // 30
 */
export function cratesFor(i: {
  benchLengthM: number;
  benchWidthM: number;
  benches: number;
  crateLengthM: number;
  crateWidthM: number;
  gapM: number;
  plantsEach: number;
}) {
  above0('benchLength', i.benchLengthM);
  above0('benchWidth', i.benchWidthM);
  above0('benches', i.benches);
  above0('crateLength', i.crateLengthM);
  above0('crateWidth', i.crateWidthM);
  atLeast0('gap', i.gapM);
  above0('plantsEach', i.plantsEach);
  const along = (bench: number, crate: number) =>
    Math.max(0, Math.floor((bench + i.gapM) / (crate + i.gapM) + 1e-9));
  const ways = [
    {
      turned: false,
      inRow: along(i.benchLengthM, i.crateLengthM),
      rows: along(i.benchWidthM, i.crateWidthM),
    },
    { turned: true, inRow: along(i.benchLengthM, i.crateWidthM), rows: along(i.benchWidthM, i.crateLengthM) },
  ].map((w) => ({ ...w, crates: w.inRow * w.rows }));
  const best = ways[1]!.crates > ways[0]!.crates ? ways[1]! : ways[0]!;
  const crates = best.crates * i.benches;
  return { ...best, perBench: best.crates, crates, plants: crates * i.plantsEach };
}

/**
 * Seed trays for so many plants: seeds, trays, and the shelf they stand on. `emerges` is the share that comes up.
 * @example traysFor({ plants: 100, emerges: 0.8, spare: 0.1, cells: 84, seedsPerCell: 1, trayLengthM: 0.5, trayWidthM: 0.3, shelfDepthM: 0.6 }) // { sownCells: 138, seeds: 138, trays: 2, rows: 2, shelfM: 0.5 }
 */
export function traysFor(i: {
  plants: number;
  emerges: number;
  spare: number;
  cells: number;
  seedsPerCell: number;
  trayLengthM: number;
  trayWidthM: number;
  shelfDepthM: number;
}) {
  above0('plants', i.plants);
  if (!(i.emerges > 0 && i.emerges <= 1)) throw new CalcProblem('emerges', said('want.shareAbove0'));
  atLeast0('spare', i.spare);
  above0('cells', i.cells);
  above0('seedsPerCell', i.seedsPerCell);
  above0('trayLength', i.trayLengthM);
  above0('trayWidth', i.trayWidthM);
  above0('shelfDepth', i.shelfDepthM);
  // a cell stands when at least one of its seeds does
  const cellStands = 1 - Math.pow(1 - i.emerges, i.seedsPerCell);
  const sownCells = Math.ceil((i.plants * (1 + i.spare)) / cellStands - 1e-9);
  const trays = Math.ceil(sownCells / i.cells);
  const rows = Math.floor(i.shelfDepthM / i.trayWidthM + 1e-9);
  if (rows < 1) throw new CalcProblem('shelfDepth', said('want.trayFits', { leastM: i.trayWidthM }));
  return {
    sownCells,
    seeds: sownCells * i.seedsPerCell,
    trays,
    rows,
    shelfM: Math.ceil(trays / rows) * i.trayLengthM,
  };
}

/**
 * Soil mix by volume: litres of each part for so many vessels of so many litres, with what settles added.
 * @example mixFor({ vessels: 10, litresEach: 1, settles: 0, parts: [{ name: 'sand', parts: 1 }] }).of // [{ name: 'sand', litres: 10 }]
 */
export function mixFor(i: {
  vessels: number;
  litresEach: number;
  settles: number;
  parts: { name: string; parts: number }[];
}) {
  above0('vessels', i.vessels);
  above0('litresEach', i.litresEach);
  if (!(i.settles >= 0 && i.settles < 1)) throw new CalcProblem('settles', said('want.shareUnder1'));
  const sum = i.parts.reduce((s, p) => s + p.parts, 0);
  if (!(sum > 0) || i.parts.some((p) => p.parts < 0)) throw new CalcProblem('parts', said('want.parts'));
  const litres = (i.vessels * i.litresEach) / (1 - i.settles);
  return { litres, of: i.parts.map((p) => ({ name: p.name, litres: (litres * p.parts) / sum })) };
}

/**
 * From a handful of runs of the heat engine (something added, what the leaf ends at) to how much of it brings `gainK`:
 * straight lines between the runs. Null where even the most does not.
 * @example amountForGain([{ amount: 0, leafC: -4 }, { amount: 100, leafC: -3 }], 0.5) // 50
 */
export function amountForGain(
  runs: readonly { amount: number; leafC: number }[],
  gainK: number,
): number | null {
  const sorted = [...runs].sort((a, b) => a.amount - b.amount);
  const target = sorted[0]!.leafC + gainK;
  for (let i = 1; i < sorted.length; i++) {
    const a = sorted[i - 1]!;
    const b = sorted[i]!;
    if (b.leafC >= target)
      return a.amount + ((b.amount - a.amount) * (target - a.leafC)) / (b.leafC - a.leafC);
  }
  return null;
}

/**
 * Average frost dates from daily minima (any order): for every year the last frost before midsummer and the first after,
 * then the mean day and the standard deviation over the years, which holds about two years of three; eight of ten lie
 * within 1.28 of it. South of the equator midsummer is in January.
 * @example frostDates([{ date: '2026-04-10', minC: -1 }], false) // { problem: { say: 'calc.fewYears', values: { years: 0 } } }
 */
export function frostDates(
  days: readonly { date: string; minC: number }[],
  south: boolean,
): { lastSpring: string; firstAutumn: string; eitherWayDays: number; years: number } | { problem: Said } {
  const dayOf = (date: string) => {
    const ms = Date.parse(`${date}T00:00:00Z`);
    const year = Number(date.slice(0, 4));
    const start = south ? Date.UTC(year, 6, 1) : Date.UTC(year, 0, 1);
    // the frost year runs from midwinter to midwinter
    return ms >= start
      ? { season: year, day: (ms - start) / 86_400_000 }
      : { season: year - 1, day: (ms - Date.UTC(year - 1, 6, 1)) / 86_400_000 };
  };
  const seasons = new Map<number, { last: number | null; first: number | null; n: number }>();
  for (const d of days) {
    if (!/^\d{4}-\d{2}-\d{2}$/.test(d.date) || !Number.isFinite(d.minC)) continue;
    const { season, day } = dayOf(d.date);
    const s = seasons.get(season) ?? { last: null, first: null, n: 0 };
    s.n += 1;
    if (d.minC <= 0) {
      if (day < 182) s.last = Math.max(s.last ?? 0, day);
      else s.first = Math.min(s.first ?? 400, day);
    }
    seasons.set(season, s);
  }
  const whole = [...seasons.values()].filter((s) => s.n >= 330);
  const last = whole.flatMap((s) => (s.last === null ? [] : [s.last]));
  const first = whole.flatMap((s) => (s.first === null ? [] : [s.first]));
  if (last.length < 3 || first.length < 3) return { problem: said('calc.fewYears', { years: whole.length }) };
  const mean = (x: number[]) => x.reduce((s, v) => s + v, 0) / x.length;
  const sd = (x: number[]) => Math.sqrt(x.reduce((s, v) => s + (v - mean(x)) ** 2, 0) / (x.length - 1));
  const name = (day: number) =>
    // a year without a 29 February in it
    new Date(Date.UTC(south ? 2022 : 2023, south ? 6 : 0, 1) + Math.round(day) * 86_400_000)
      .toISOString()
      .slice(5, 10);
  return {
    lastSpring: name(mean(last)),
    firstAutumn: name(mean(first)),
    eitherWayDays: Math.round(1.28 * Math.max(sd(last), sd(first))),
    years: whole.length,
  };
}
