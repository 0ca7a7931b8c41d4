/** A station's file: days, hours, or a typical year; what it is good for; and what is wrong with it, by line. */
import { readStationFile as readStationFileSaid, useOf as useOfSaid } from '../season';
import { told } from '../words';
import { style } from './eveningFixture';

const readStationFile = (...of: Parameters<typeof readStationFileSaid>) =>
  told(readStationFileSaid(...of), style);
const useOf = (...of: Parameters<typeof useOfSaid>) => told(useOfSaid(...of), style);

const days = (n: number, from = '2019-01-01') =>
  Array.from({ length: n }, (_, i) =>
    new Date(Date.parse(`${from}T00:00:00Z`) + i * 86_400_000).toISOString().slice(0, 10),
  );
const mean = (date: string) => 10 - 10 * Math.cos((2 * Math.PI * (Number(date.slice(5, 7)) - 0.5)) / 12);

test('days, with their own names and units', () => {
  const csv = ['Date;Tmin (°F);Tmax (°F)', ...days(3).map((d) => `${d};23;41`)].join('\n');
  const { kind, days: read, badRows } = readStationFile(csv, 'UTC');
  expect([kind, badRows]).toEqual(['days', []]);
  expect(read[0]).toMatchObject({ date: '2019-01-01', lowC: -5, highC: 5 });
});

test('hours become days of the place, by its own midnight; a day of few readings is left out', () => {
  const rows = Array.from({ length: 49 }, (_, h) => {
    const time = new Date(Date.parse('2026-06-30T22:00:00Z') + h * 3_600_000).toISOString();
    return `${time},${h % 24 === 2 ? -3.5 : h % 24 === 14 ? 21 : 8},55`;
  });
  const read = readStationFile(['time,air temperature (C),humidity', ...rows].join('\n'), 'Europe/Madrid');
  // 22:00 in UTC is midnight in Madrid in summer
  expect(read.days).toEqual([
    { date: '2026-07-01', lowC: -3.5, highC: 21 },
    { date: '2026-07-02', lowC: -3.5, highC: 21 },
  ]);
  expect([read.kind, read.gaps]).toEqual(['hours', 1]);
});

test('a typical year of an EPW: hours 1 to 24, months of different years as one, what is missing is not a temperature', () => {
  const head = ['LOCATION,Nowhere', ...Array.from({ length: 7 }, (_, i) => `HEADER ${i}`)];
  const rows = days(365, '2001-01-01').flatMap((d, i) =>
    Array.from({ length: 24 }, (_, h) => {
      const [, m, day] = d.split('-').map(Number);
      const c = i === 0 && h < 20 ? 99.9 : mean(d) + (h === 5 ? -4 : h === 14 ? 4 : 0);
      return [1990 + m!, m, day, h + 1, 60, 'A7', c.toFixed(1), '3.0'].join(',');
    }),
  );
  const read = readStationFile([...head, ...rows].join('\r\n'), 'UTC');
  expect([read.kind, read.days.length, read.gaps]).toEqual(['epw', 364, 1]);
  const use = useOf(read.days);
  expect(use.use).toBe('months');
  if (use.use === 'months') {
    expect(use.months[0]!.lowC).toBeCloseTo(mean('2001-01-05') - 4, 1);
    expect(use.months[6]!.highC).toBeCloseTo(mean('2001-07-05') + 4, 1);
  }
});

test('what is wrong is said by its line, and then none of it is used', () => {
  const of = (csv: string) => readStationFile(csv, 'UTC').badRows[0];
  expect(of('date,low,high\n2026-01-01,2,-3')).toMatchObject({
    row: 2,
    reason: 'the high -3 is under the low 2',
  });
  expect(of('date,humidity\n2026-01-01,50')!.reason).toContain('neither a low and a high');
  expect(of('time,temp\nyesterday,5')!.reason).toContain('2027-01-14');
  expect(of('time,temp C\n2026-01-01T00:00,5\n2026-01-01T01:00,warm')).toMatchObject({ row: 3 });
  expect(of('LOCATION,X\n2\n3\n4\n5\n6\n7\n8\n2001,1,1,1,60,A,hot')).toMatchObject({ row: 9 });
  expect(of('')!.reason).toBeTruthy();
});

test('three years are a record, one is twelve months, a winter is nothing', () => {
  const of = (n: number) => useOf(days(n).map((date) => ({ date, lowC: 0, highC: 8 })));
  expect(of(3 * 365 + 1)).toMatchObject({ use: 'record', years: 3 });
  expect(of(365).use).toBe('months');
  expect(of(120)).toMatchObject({
    use: 'nothing',
    why: 'month 5 has 0 days, at least 20 of every month are needed',
  });
});
