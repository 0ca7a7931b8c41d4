/**
 * What is asked for, as a table. Contract: `toDemandCsv` and `readDemandCsv` are each other's inverse; a crop that is empty (or "all")
 * means whatever there is; kilos or pounds by the header; a bad row is named by its line, and then nothing is taken.
 */
import { cropNamed } from '../crops/crops';
import { cellsOf, csvOf, tableOf, type BadRow } from '../formats/csvTable';
import { said } from '../words/said';

export interface DemandLine {
  crop: string | null;
  from: string;
  to: string;
  kgPerWeek: number;
}

const COLUMNS = ['crop', 'from', 'to', 'kg_per_week'] as const;
const KG_PER_LB = 0.45359237;
const MOST_KG = 100_000;

/**
 * The same back as a table.
 * @example toDemandCsv([{ crop: 'radish', from: '2027-03-01', to: '2027-03-31', kgPerWeek: 4 }]).split('\n')[0].trim() // 'crop,from,to,kg_per_week'
 */
export const toDemandCsv = (lines: readonly DemandLine[]): string =>
  csvOf(
    COLUMNS,
    lines.map((d) => ({ crop: d.crop ?? '', from: d.from, to: d.to, kg_per_week: d.kgPerWeek })),
  );

/**
 * What is asked for, a line a crop and span, and rows that are not taken.
 * @example readDemandCsv('crop,from,to,kg_per_week\nradish,2027-03-01,2027-03-31,4').lines[0].kgPerWeek // 4
 */
export function readDemandCsv(text: string): { lines: DemandLine[]; badRows: BadRow[] } {
  const pounds = /(^|[,;\t])\s*"?lb[\s_]per[\s_]week/im.test(text.split(/\r?\n/, 1)[0] ?? '');
  const amount = pounds ? 'lb_per_week' : 'kg_per_week';
  const { rows, badRows } = tableOf(text, ['from', 'to', amount]);
  if (rows.length === 0 && badRows.length === 0) badRows.push({ row: 1, reason: said('row.none') });
  const lines = rows.map((cells, n): DemandLine => {
    const c = cellsOf(cells, n + 2, badRows);
    const asked = c.word('crop');
    const any = asked === '' || /^(all|any|everything|whatever there is)$/i.test(asked);
    const crop = any ? null : cropNamed(asked);
    if (!any && crop === null) c.bad(said('row.cropUnknown', { crop: asked.slice(0, 40) }));
    const [from, to] = [c.day('from', true) ?? '', c.day('to', true) ?? ''];
    if (from && to && to < from) c.bad(said('row.toBeforeFrom'));
    const much = c.number(amount, null, 0, MOST_KG);
    return { crop, from, to, kgPerWeek: pounds ? Math.round(much * KG_PER_LB * 100) / 100 : much };
  });
  return badRows.length > 0 ? { lines: [], badRows } : { lines, badRows };
}
