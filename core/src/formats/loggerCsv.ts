/**
 * What a logging thermometer kept, as CSV: a time and a temperature in each row, and the spot where several are in one table.
 * All of it is taken or none. `spotOf` finds a spot by its name or id, null for one that the farm does not have.
 */
import Papa from 'papaparse';
import { classify } from './csvColumns';
import { dateOrder, timeReader } from './csvTimes';
import { numberOf, type BadRow } from './forecastCsv';

export interface LoggedC {
  spot: string;
  atMs: number;
  c: number;
}

export function readLoggerCsv(
  text: string,
  timeZone: string,
  spot: string | null,
  spotOf: (name: string) => string | null,
): { rows: LoggedC[]; badRows: BadRow[] } {
  const lines = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''))
    .data.map((cells, i) => ({ line: i + 1, cells }))
    .filter(({ cells }) => cells.some((c) => c.trim() !== ''));
  const header = lines[0]?.cells ?? [];
  const fail = (row: number, reason: string) => ({ rows: [], badRows: [{ row, reason }] });
  const at = lines[0]?.line ?? 1;
  if (lines.length < 2) return fail(at, 'there are no rows under a header');
  if (header.length > 60) return fail(at, `${header.length} columns, at most 60 are looked at`);
  const read = header.map((h, i) => classify(h, i));
  const unknown = read.find((c) => typeof c === 'string');
  if (typeof unknown === 'string') return fail(at, unknown);
  const known = read.filter((c) => c !== null && typeof c !== 'string');
  const air = known.find((c) => c.field === 'air');
  const dated =
    known.find((c) => c.field === 'time') ??
    known.find((c) => c.field === 'date') ??
    known.find((c) => c.field === 'clock');
  const clock = known.find((c) => c.field === 'clock' && c !== dated);
  const place = header.findIndex((h) => /^(spot|place|sensor|where|structure)/i.test(h.trim()));
  if (!dated) return fail(at, 'no column for time');
  if (!air) return fail(at, 'no column for temperature');
  if (place < 0 && spot === null) return fail(at, 'no column for the spot, and none was chosen');
  const order = dateOrder(lines.slice(1).map((l) => l.cells[dated.index] ?? ''));
  const time = timeReader(timeZone, order ?? 'year-month-day');
  const rows: LoggedC[] = [];
  const badRows: BadRow[] = [];
  for (const { line, cells } of lines.slice(1)) {
    const cell = (i: number) => (cells[i] ?? '').trim();
    const atMs = time(cell(dated.index), clock ? cell(clock.index) : undefined);
    const c = air.toSi(numberOf(cell(air.index)));
    const where = spot ?? spotOf(cell(place));
    if (atMs === null)
      badRows.push({
        row: line,
        reason: `the time “${cell(dated.index).slice(0, 40)}” is not a date and hour like 2027-01-14T15:00`,
      });
    else if (!Number.isFinite(c))
      badRows.push({ row: line, reason: `temperature “${cell(air.index).slice(0, 40)}” is not a number` });
    else if (c < -60 || c > 80)
      badRows.push({
        row: line,
        reason: `temperature ${cell(air.index)} ${air.unit} is outside −60 to 80 °C`,
      });
    else if (where === null)
      badRows.push({ row: line, reason: `“${cell(place).slice(0, 40)}” is no spot of this farm` });
    else rows.push({ spot: where, atMs, c });
  }
  return { rows, badRows };
}
