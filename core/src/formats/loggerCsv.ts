/**
 * What a logging thermometer kept, as CSV: a time and a temperature in each row, and the spot where several are in one table.
 * All of it is taken or none. `spotOf` finds a spot by its name or id, null for one that the farm does not have.
 */
import Papa from 'papaparse';
import { classify } from './csvColumns';
import { dateOrder, timeReader } from './csvTimes';
import { numberOf, type BadRow } from './forecastCsv';
import { isSaid, said, type Said } from '../words/said';

export interface LoggedC {
  spot: string;
  atMs: number;
  c: number;
}

/**
 * A logger's table: °C by spot and instant, and rows that are not taken.
 * @example readLoggerCsv('time,temperature °C\n2027-01-14T06:00Z,-3.5', 'UTC', 'outside', () => null).rows[0].c // -3.5
 */
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
  const fail = (row: number, reason: Said) => ({ rows: [], badRows: [{ row, reason }] });
  const at = lines[0]?.line ?? 1;
  if (lines.length < 2) return fail(at, said('row.none'));
  if (header.length > 60) return fail(at, said('row.manyColumns', { columns: header.length, most: 60 }));
  const read = header.map((h, i) => classify(h, i));
  const unknown = read.find(isSaid);
  if (unknown) return fail(at, unknown);
  const known = read.flatMap((c) => (c === null || isSaid(c) ? [] : [c]));
  const air = known.find((c) => c.field === 'air');
  const dated =
    known.find((c) => c.field === 'time') ??
    known.find((c) => c.field === 'date') ??
    known.find((c) => c.field === 'clock');
  const clock = known.find((c) => c.field === 'clock' && c !== dated);
  const place = header.findIndex((h) => /^(spot|place|sensor|where|structure)/i.test(h.trim()));
  if (!dated) return fail(at, said('row.noTime'));
  if (!air) return fail(at, said('row.noTemperature'));
  if (place < 0 && spot === null) return fail(at, said('row.noSpot'));
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
        reason: said('row.notTime', { text: cell(dated.index).slice(0, 40) }),
      });
    else if (!Number.isFinite(c))
      badRows.push({
        row: line,
        reason: said('row.notLogged', { text: cell(air.index).slice(0, 40) }),
      });
    else if (c < -60 || c > 80)
      badRows.push({
        row: line,
        reason: said('row.loggedOutside', { text: cell(air.index), unit: air.unit }),
      });
    else if (where === null)
      badRows.push({ row: line, reason: said('row.spot', { spot: cell(place).slice(0, 40) }) });
    else rows.push({ spot: where, atMs, c });
  }
  return { rows, badRows };
}
