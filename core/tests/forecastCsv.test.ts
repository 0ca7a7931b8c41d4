/** Tables as services and loggers really write them. */
import { readForecastCsv as readForecastCsvSaid, readLoggerCsv as readLoggerCsvSaid } from '../src';
import { told } from '../words';
import { style } from './eveningFixture';

const readForecastCsv = (...of: Parameters<typeof readForecastCsvSaid>) =>
  told(readForecastCsvSaid(...of), style);
const readLoggerCsv = (...of: Parameters<typeof readLoggerCsvSaid>) => told(readLoggerCsvSaid(...of), style);

const line = (n: number, row: (i: number) => string) =>
  Array.from({ length: n }, (_, i) => row(i)).join('\n');
const two = (n: number) => String(n).padStart(2, '0');
const meaning = (r: ReturnType<typeof readForecastCsv>, header: string) =>
  r.columns.find((c) => c.header === header)?.meaning;

describe('dates', () => {
  test.each([
    [
      'day first, because a 14 cannot be a month',
      (d: number, h: number) => `${two(13 + d)}/01/2027;${h}:00`,
      'day/month/year',
      '2027-01-13T00:00:00.000Z',
    ],
    [
      'month first, because a 14 cannot be a month',
      (d: number, h: number) => `01/${two(13 + d)}/2027;${h}:00`,
      'month/day/year',
      '2027-01-13T00:00:00.000Z',
    ],
    [
      'day first, because it is what changes',
      (d: number, h: number) => `${two(5 + d)}.02.2027;${two(h)}:00`,
      'day/month/year',
      '2027-02-05T00:00:00.000Z',
    ],
    [
      'month first, because the other changes',
      (d: number, h: number) => `02/${two(5 + d)}/2027;${two(h)}:00`,
      'month/day/year',
      '2027-02-05T00:00:00.000Z',
    ],
  ] as const)('%s', (_, when, order, first) => {
    const text = `Date;Time;Temp (°C);Wind (m/s)\n${line(36, (i) => `${when(Math.floor(i / 24), i % 24)};1,5;2`)}`;
    const r = readForecastCsv(text, 'UTC');
    expect(r.badRows).toEqual([]);
    expect(meaning(r, 'Date')).toBe(`date, ${order}`);
    expect(r.entries[0]).toMatchObject({ time: first, airC: 1.5 });
    expect(r.entries).toHaveLength(36);
  });

  test('a column called “date” that holds instants is read as such, and so is “time”', () => {
    for (const name of ['date', 'time', 'Datetime', 'timestamp']) {
      const r = readForecastCsv(
        `${name},temp,dew,wind\n${line(12, (i) => `2027-01-14T${two(i)}:00Z,1,0,2`)}`,
        'Europe/Madrid',
      );
      expect(r.badRows).toEqual([]);
      expect(r.entries[0]!.time).toBe('2027-01-14T00:00:00.000Z');
    }
  });

  test('twelve-hour clocks', () => {
    const at = (i: number) => `${i % 12 === 0 ? 12 : i % 12}:00 ${i < 12 ? 'AM' : 'PM'}`;
    const r = readForecastCsv(`date,time,temp,wind\n${line(24, (i) => `2027-01-14,${at(i)},1,2`)}`, 'UTC');
    expect(r.badRows).toEqual([]);
    expect(r.entries.at(-1)!.time).toBe('2027-01-14T23:00:00.000Z');
  });

  test('the hour that the clock shows twice in autumn is two hours, the one it leaves out in spring none', () => {
    // Madrid: 25 October 2026, 03:00 becomes 02:00; 28 March 2027, 02:00 becomes 03:00
    const autumn = [0, 1, 2, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((h) => `2026-10-25 ${two(h)}:00,5,3,1`);
    const spring = [0, 1, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].map((h) => `2027-03-28 ${two(h)}:00,5,3,1`);
    for (const list of [autumn, spring]) {
      const r = readForecastCsv(`time,temp,dew,wind\n${list.join('\n')}`, 'Europe/Madrid');
      expect(r.badRows).toEqual([]);
      const ms = r.entries.map((e) => Date.parse(e.time));
      expect(ms.every((m, i) => i === 0 || m - ms[i - 1]! === 3_600_000)).toBe(true);
      expect(ms).toHaveLength(12);
    }
  });
});

describe('rows', () => {
  test('three hours apart: the hours between on the line, what fell shared out', () => {
    const r = readForecastCsv(
      `time,temp,dew,wind,rain (mm)\n${line(6, (i) => `2027-01-14T${two(3 * i)}:00Z,${-3 * i},-20,2,${3 * i}`)}`,
      'UTC',
    );
    expect(r.badRows).toEqual([]);
    expect(r.entries).toHaveLength(16);
    expect(r.entries.slice(3, 7).map((e) => e.airC)).toEqual([-3, -4, -5, -6]);
    expect(r.entries.reduce((s, e) => s + e.rainMm!, 0)).toBeCloseTo(3 + 6 + 9 + 12 + 15, 9);
  });

  test('line numbers are the file’s own, whatever blank lines stand in it', () => {
    const text = `\n\ntime,temp,dew,wind\n2027-01-14T00:00Z,1,0,1\n\n2027-01-14T01:00Z,warm,0,1\n`;
    expect(readForecastCsv(text, 'UTC').badRows).toEqual([
      { row: 6, reason: 'air temperature “warm” is not a number' },
    ]);
  });

  test('without dew point or humidity it is estimated, and said', () => {
    const r = readForecastCsv(
      `time,temp,wind,cloud\n${line(24, (i) => `2027-01-14T${two(i)}:00Z,${Math.abs(i - 7) - 4},1,0`)}`,
      'UTC',
    );
    expect(r.badRows).toEqual([]);
    expect(r.estimated.join()).toContain('dew point');
    expect(r.entries[7]).toMatchObject({ airC: -4, dewPointC: -5 });
    expect(r.entries.every((e) => e.dewPointC < e.airC)).toBe(true);
  });
});

describe('units', () => {
  test.each([
    ['Cloud (okta)', '4', 'cloudFraction', 0.5],
    ['cloud', '50', 'cloudFraction', 0.5],
    ['cloud', '0.5', 'cloudFraction', 0.5],
    ['Rain (in)', '0.1', 'rainMm', 2.54],
    ['Snow [inches]', '2', 'snowMm', 50.8],
    ['snow_cm', '2', 'snowMm', 20],
  ] as const)('%s of %s', (header, cell, field, si) => {
    const r = readForecastCsv(
      `time,temp,dew,wind,${header}\n${line(12, (i) => `2027-01-14T${two(i)}:00Z,1,0,1,${cell}`)}`,
      'UTC',
    );
    expect(r.badRows).toEqual([]);
    expect(r.entries[3]![field]).toBeCloseTo(si, 9);
  });

  test.each([
    ['Temp (K),dew,wind', '270,0,1'],
    ['temp,dew,Wind (Bft)', '1,0,1'],
    ['temp,dew,wind,Rain (l)', '1,0,1,1'],
    ['temp,dew,wind,Cloud (tenths)', '1,0,1,3'],
  ])('%s is refused, never guessed', (header, cells) => {
    const r = readForecastCsv(`time,${header}\n2027-01-14T00:00Z,${cells}`, 'UTC');
    expect(r.entries).toEqual([]);
    expect(r.badRows[0]).toMatchObject({ row: 1, reason: expect.stringContaining('is not known') });
  });
});

test('a header of brackets, or of more columns than a table of weather has, is refused and not chewed on', () => {
  for (const header of [`${'('.repeat(200_000)},time,temp`, '(,'.repeat(200_000)])
    expect(readForecastCsv(`${header}\n1,2,3`, 'UTC').badRows).toHaveLength(1);
});

describe('a logger', () => {
  const spotOf = (name: string) => (name === 'North house' ? 'north' : null);
  test('one spot or several, °F, and what is wrong by its line', () => {
    const one = readLoggerCsv(
      'time,temp (°F)\n2027-01-14T00:10Z,32\n2027-01-14T00:20Z,14',
      'UTC',
      'outside',
      spotOf,
    );
    expect(one.badRows).toEqual([]);
    expect(one.rows[1]).toMatchObject({ spot: 'outside', atMs: Date.parse('2027-01-14T00:20:00Z') });
    expect(one.rows[1]!.c).toBeCloseTo(-10, 9);
    const many = readLoggerCsv(
      'when date;sensor;temperature\n'.replace('when ', '') +
        '14/01/2027 06:00;North house;-2,5\n14/01/2027 06:10;Shed;1',
      'UTC',
      null,
      spotOf,
    );
    expect(many.rows).toEqual([{ spot: 'north', atMs: Date.parse('2027-01-14T06:00:00Z'), c: -2.5 }]);
    expect(many.badRows).toEqual([{ row: 3, reason: '“Shed” is no spot of this farm' }]);
    expect(readLoggerCsv('time,temp\n2027-01-14T00:10Z,1', 'UTC', null, spotOf).badRows[0]!.reason).toContain(
      'spot',
    );
  });
});

test('where the wind comes from is read in degrees or letters, and goes on to the hours between', () => {
  const rows = line(8, (i) => `2027-01-14T${two(i * 3)}:00Z,-2,-5,3,${['N', 'wsw', '350', ''][i % 4]}`);
  const r = readForecastCsv(`time,air (°C),dew (°C),wind (m/s),Wind direction\n${rows}`, 'UTC');
  expect(r.badRows).toEqual([]);
  expect(meaning(r, 'Wind direction')).toBe('where the wind comes from, °');
  expect(r.entries.slice(0, 7).map((e) => e.windFromDeg)).toEqual([0, 0, 247.5, 247.5, 247.5, 350, 350]);
  expect(r.entries[9]!.windFromDeg).toBeUndefined();
  const bad = readForecastCsv(
    `time,air,wind,wind_dir\n2027-01-14T00:00Z,1,2,north-ish\n2027-01-14T01:00Z,1,2,400`,
    'UTC',
  );
  expect(bad.badRows.map((b) => b.reason)).toEqual([
    expect.stringContaining('letters like NNW') as string,
    expect.stringContaining('outside 0 to 360°') as string,
  ]);
});
