/** The open formats by the year: what is refused, in one line that names the field, and what comes back. */
import { hardinessResult, readHardinessRequest, readWindowsRequest, windowsResult } from '../windows';
import { inWords } from './inWords';

const readHardinessRequestTold = inWords(readHardinessRequest);
const readWindowsRequestTold = inWords(readWindowsRequest);
const windowsResultTold = inWords(windowsResult);

const months = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2].map((lowC) => ({ lowC, highC: lowC + 9 }));
const good = {
  format: 'fogata-windows/1',
  site: { latitude: 47, longitude: 8, elevationM: 450 },
  climate: { monthly: months },
  crop: 'radish',
  how: 'sow',
  stack: [],
  years: 12,
};
const problem = (more: object) => {
  const read = readWindowsRequestTold({ ...good, ...more });
  return 'problem' in read ? read.problem : 'taken';
};

test.each([
  [{ crop: 'moon' }, 'crop: expected the id of a crop of the list'],
  [{ climate: { monthly: months.slice(1) } }, 'climate.monthly: expected exactly 12 of them'],
  [{ climate: {} }, 'climate: expected either { "monthly": twelve months }'],
  [
    { climate: { monthly: [{ lowC: 9, highC: 2 }, ...months.slice(1)] } },
    'climate.monthly[0]: expected a mean high over the mean low',
  ],
  [{ how: 'throw' }, 'how: expected one of sow, transplant'],
  [{ frost: { lastSpring: '02-31' } }, 'frost.lastSpring: expected a day that the month has'],
  [{ want: { clearBy: 'May' } }, 'want.clearBy: expected a month and day like 04-18'],
  [{ want: {} }, 'want: expected either { "from", "to" } or { "clearBy" }'],
  [
    { stack: [{ lengthM: 9, widthM: 3, heightM: 2, shape: 'arch', material: 'glass', on: [] }] },
    'stack[0].on: no such field is expected here',
  ],
  [{ years: 3 }, 'years: expected a number from 10 to 1000'],
  [{ risk: 1 }, 'risk: expected a number from 0 to 0.95'],
  [{ weather: [] }, 'weather: no such field is expected here'],
])('%j is refused', (more, line) => {
  expect(problem(more)).toMatch(new RegExp(`^${line.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`));
  expect(problem(more)).not.toContain('\n');
});

const ask = (more: object, file: string | null = null) => {
  const read = readWindowsRequestTold({ ...good, ...more });
  if ('problem' in read) throw new Error(read.problem);
  return windowsResultTold(read.request, () => file) as { problem: string } | { result: never };
};

test('a file of days that is not there, too short or wrong is said by the field', () => {
  const climate = { dailyCsv: 'x.csv' };
  expect(ask({ climate })).toEqual({
    problem: 'climate.dailyCsv: expected a file that can be read; x.csv cannot',
  });
  expect(ask({ climate }, 'date,low,high\n2020-01-01,1,5\n')).toMatchObject({
    problem: expect.stringContaining('it has 1 days'),
  });
  expect(ask({ climate }, 'date,low,high\n2020-01-01,6,5\n')).toMatchObject({
    problem: expect.stringContaining('row 2'),
  });
});

test('three schools by autumn and spring, each edge with its why, and a row for every fifth day', () => {
  const { result } = ask({ want: { clearBy: '05-20' } }) as { result: Record<string, unknown[]> };
  const schools = result['schools'] as {
    school: string;
    season: string;
    earliest: string | null;
    reasons: { edge: string; why: string }[];
  }[];
  expect(schools.map((s) => `${s.school} ${s.season}`)).toEqual([
    'layers autumn',
    'layers spring',
    'light autumn',
    'light spring',
    'risk autumn',
    'risk spring',
  ]);
  for (const s of schools) {
    expect(s.earliest === null || /^\d\d-\d\d$/.test(s.earliest)).toBe(true);
    expect(s.reasons.length).toBeGreaterThan(0);
    for (const r of s.reasons) expect(r.why).toMatch(/^[a-z\d].{15,}/i);
  }
  const dates = result['dates'] as Record<string, number | string>[];
  expect(dates).toHaveLength(73);
  expect(dates[0]!['date']).toBe('01-01');
  for (const d of dates) {
    const sum = ['lostToCold', 'notReady', 'notClear', 'bolted', 'cooked', 'success'].reduce(
      (a, k) => a + (d[k] as number),
      0,
    );
    expect(Math.abs(sum - 1)).toBeLessThan(1e-4);
  }
  expect(ask({ want: { clearBy: '05-20' } })).toEqual({ result });
}, 60_000);

test('hardiness day by day, with what the night did to what it met', () => {
  const days = Array.from({ length: 60 }, (_, i) => ({ meanC: 3, minC: i === 59 ? -11 : 0 }));
  const read = readHardinessRequestTold({ format: 'fogata-hardiness/1', crop: 'spinach', days });
  if ('problem' in read) throw new Error(read.problem);
  const { days: out } = hardinessResult(read.request) as { days: Record<string, number>[] };
  expect(out).toHaveLength(60);
  out.slice(1).forEach((d, i) => expect(d['deathC']).toBeLessThanOrEqual(out[i]!['deathC']!));
  expect(out[59]!['deathC']).toBeLessThan(-12);
  expect(out[59]!['plantsLost']).toBeLessThan(0.2);
  const soft = readHardinessRequestTold({
    format: 'fogata-hardiness/1',
    crop: 'spinach',
    days: [{ meanC: 3, minC: -11 }],
  });
  const first = (hardinessResult((soft as { request: never }).request) as { days: Record<string, number>[] })
    .days[0]!;
  expect(first['plantsLost']).toBeGreaterThan(0.95);
  expect(
    readHardinessRequestTold({
      format: 'fogata-hardiness/1',
      crop: 'spinach',
      days: [{ meanC: 3, minC: 9 }],
    }),
  ).toEqual({
    problem: 'days[0].minC: expected no more than meanC',
  });
  expect(readHardinessRequestTold({ format: 'fogata-hardiness/1', crop: 'spinach', days: [] })).toEqual({
    problem: 'days: expected at least one',
  });
});
