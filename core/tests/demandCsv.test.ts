/** What is asked for goes out as a table and comes in again; a bad row is named and nothing is taken. */
import fc from 'fast-check';
import { readDemandCsv as readDemandCsvSaid, toDemandCsv, type DemandLine } from '../relay';
import { told } from '../words';
import { style } from './eveningFixture';

const readDemandCsv = (...of: Parameters<typeof readDemandCsvSaid>) => told(readDemandCsvSaid(...of), style);

const day = (n: number) => new Date(Date.UTC(2027, 0, 1 + n)).toISOString().slice(0, 10);

test('out and in again it is the same', () => {
  const line = fc
    .tuple(
      fc.constantFrom('spinach', 'lettuce', null),
      fc.nat(300),
      fc.nat(300),
      fc.integer({ min: 0, max: 4000 }),
    )
    .map(([crop, from, more, tenths]): DemandLine => ({
      crop,
      from: day(from),
      to: day(from + more),
      kgPerWeek: tenths / 10,
    }));
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 12 }), (lines) => {
      expect(readDemandCsv(toDemandCsv(lines))).toEqual({ lines, badRows: [] });
    }),
  );
});

test('names as they are said, pounds by the header, semicolons, and whatever there is', () => {
  const read = readDemandCsv(
    'Crop;From;To;lb per week\nLettuce heads;2027-11-15;2028-03-01;10\n;2027-11-15;2028-03-01;20,5',
  );
  expect(read.badRows).toEqual([]);
  expect(read.lines.map((l) => [l.crop, l.kgPerWeek])).toEqual([
    ['lettuce', 4.54],
    [null, 9.3],
  ]);
});

test('what is wrong is said by line and field, and none of it is taken', () => {
  const of = (row: string) => readDemandCsv(`crop,from,to,kg_per_week\n${row}`);
  expect(of('moonfruit,2027-01-01,2027-02-01,3').badRows).toEqual([
    { row: 2, reason: 'crop: “moonfruit” is not in the list of crops' },
  ]);
  expect(of('spinach,2027-02-01,2027-01-01,3').badRows[0]!.reason).toBe('to: expected no earlier than from');
  expect(of('spinach,2027-02-30,2027-03-01,3').badRows[0]!.reason).toContain('from');
  expect(of('spinach,2027-01-01,2027-02-01,many').badRows[0]!.reason).toContain(
    'kg_per_week: expected a number',
  );
  expect(readDemandCsv('crop,kg\nspinach,3').badRows.map((r) => r.reason)).toEqual([
    'from: expected a column of that name',
    'to: expected a column of that name',
    'kg_per_week: expected a column of that name',
  ]);
  expect(readDemandCsv('crop,from,to,kg_per_week').badRows).toHaveLength(1);
});
