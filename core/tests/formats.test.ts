import {
  checkCase,
  clockText,
  countWord,
  dayText,
  differenceText,
  localDate,
  nightOf,
  phaseOf,
  rangeText,
  readForecastCsv as readForecastCsvSaid,
  temperatureFrom,
  temperatureIn,
  temperatureText,
} from '../src';
import { atLocal } from '../src';
import { closingSentence, moneyText, morningSentence, nightSentence, type Phrase, type Style } from '../src';
import { FLEECE, HOUSE, simulationCase } from './fixtures';
import { told } from '../words';
import { style } from './eveningFixture';

const readForecastCsv = (...of: Parameters<typeof readForecastCsvSaid>) =>
  told(readForecastCsvSaid(...of), style);

const rows = (n: number, line: (i: number) => string) =>
  Array.from({ length: n }, (_, i) => line(i)).join('\n');
const hour = (i: number) => `2027-01-14T${String(i).padStart(2, '0')}:00`;

describe('forecast as CSV', () => {
  test('metric columns in any order, local time, cloud in per cent', () => {
    const text = `cloud (%),wind (km/h),time,dew point (°C),temp (°C)\n${rows(24, (i) => `50,36,${hour(i)},-2,${i / 10}`)}`;
    const r = readForecastCsv(text, 'Europe/Madrid');
    expect(r.badRows).toEqual([]);
    expect(r.entries[0]).toMatchObject({
      time: '2027-01-13T23:00:00.000Z',
      windMs: 10,
      cloudFraction: 0.5,
      airC: 0,
      dewPointC: -2,
    });
  });

  test('Fahrenheit, miles and humidity are recognised from the header', () => {
    const r = readForecastCsv(
      `time,Air temperature [°F],RH (%),Wind (mph)\n${rows(12, (i) => `${hour(i)}Z,23,80,10`)}`,
      'UTC',
    );
    expect(r.badRows).toEqual([]);
    expect(r.entries[0]!.airC).toBeCloseTo(-5);
    expect(r.entries[0]!.windMs).toBeCloseTo(4.47, 2);
    expect(r.entries[0]!.dewPointC).toBeCloseTo(-7.8, 0);
  });

  test('semicolons, date and hour apart, an underscore unit', () => {
    const r = readForecastCsv(
      `date;hour;temp_f;dewpoint_f;wind_ms\n${rows(12, (i) => `2027-01-14;${i};32;30;2`)}`,
      'UTC',
    );
    expect(r.badRows).toEqual([]);
    expect(r.entries[3]).toMatchObject({ airC: 0, time: '2027-01-14T03:00:00.000Z' });
  });

  test('each bad row is named by its line and reason', () => {
    const text = `time,temp,dew,wind\n${rows(14, (i) => (i === 3 ? `${hour(i)},cold,-2,1` : i === 5 ? `${hour(i)},1,-2,-4` : i === 7 ? 'noon,1,-2,1' : i === 9 ? `${hour(i)},1,9,1` : `${hour(i)},1,-2,1`))}`;
    const r = readForecastCsv(text, 'UTC');
    expect(r.badRows.map((b) => b.row)).toEqual([5, 7, 9, 11]);
    expect(r.badRows[0]!.reason).toContain('“cold” is not a number');
    expect(r.badRows[1]!.reason).toContain('outside 0 to 75 m/s');
    expect(r.badRows[2]!.reason).toContain('“noon”');
    expect(r.badRows[3]!.reason).toContain('dew point');
  });

  test('a gap, a missing column, too few rows and an empty text are refused in a sentence', () => {
    const gap = readForecastCsv(
      `time,temp,dew,wind\n${rows(14, (i) => `${hour(i < 6 ? i : i + 5)},1,-2,1`)}`,
      'UTC',
    );
    expect(gap.badRows).toEqual([
      { row: 8, reason: '6 hours after the row before it, where at most three whole hours are expected' },
    ]);
    expect(readForecastCsv(`time,temp,dew\n${hour(0)},1,-2`, 'UTC').badRows[0]!.reason).toBe(
      'no column for wind',
    );
    expect(readForecastCsv(`time,temp,dew,wind\n${hour(0)},1,-2,1`, 'UTC').badRows[0]!.reason).toContain(
      'at least 12',
    );
    expect(readForecastCsv('', 'UTC').badRows).toHaveLength(1);
  });
});

describe('units', () => {
  test('a temperature carries its sign and unit, and never a minus zero', () => {
    expect(temperatureText(-3.44, 'C')).toBe('−3.4 °C');
    expect(temperatureText(-0.04, 'C')).toBe('0.0 °C');
    expect(temperatureText(-3, 'F', 0)).toBe('27 °F');
    expect(rangeText(-5.2, -1.6, 'C')).toBe('−5 to −2 °C');
    expect(differenceText(2, 'F')).toBe('+3.6°');
    expect(temperatureFrom(temperatureIn(-7.3, 'F'), 'F')).toBeCloseTo(-7.3);
    expect(countWord(3)).toBe('three');
  });
});

describe('the farm’s time', () => {
  const site = { latitude: 42.7, longitude: -5.4, timeZone: 'Europe/Madrid' };
  const style: Style = {
    hours: 24,
    timeZone: 'Europe/Madrid',
    units: { temperature: 'C', length: 'm' },
    currency: '€',
  };

  test('a night runs from noon to noon and has the evening’s date', () => {
    expect(nightOf(atLocal('2027-01-15', 3, 0, 'Europe/Madrid'), site).night).toBe('2027-01-14');
    expect(nightOf(atLocal('2027-01-15', 12, 0, 'Europe/Madrid'), site).night).toBe('2027-01-15');
  });

  test.each([
    [15, 30, 'closing'],
    [22, 0, 'night'],
    [8, 30, 'morning'],
  ])('%d:%d is %s', (h, m, phase) => {
    const ms = atLocal(h < 12 ? '2027-01-15' : '2027-01-14', h, m, 'Europe/Madrid');
    expect(phaseOf(ms, nightOf(ms, site))).toBe(phase);
  });

  test('the clock follows daylight saving and reads in 12 or 24 hours', () => {
    expect(clockText(atLocal('2027-07-01', 16, 5, 'Europe/Madrid'), style)).toBe('16:05');
    expect(clockText(Date.parse('2027-07-01T14:05:00Z'), { ...style, hours: 12 })).toBe('4:05 pm');
    expect(localDate(Date.parse('2027-01-14T23:30:00Z'), 'Europe/Madrid')).toBe('2027-01-15');
    expect(dayText(Date.parse('2027-01-14T12:00:00Z'), 'Europe/Madrid')).toBe('Thu 14 Jan');
  });

  test('sentences read as a grower would say them', () => {
    const say = (s: Phrase[]) =>
      told(s, style)
        .map((x) => x.text)
        .join('');
    const t = (d: string, h: number, m: number) => atLocal(d, h, m, 'Europe/Madrid');
    const facts = {
      lowC: -7.2,
      lowAtMs: t('2027-01-15', 7, 10),
      cloud: 0.1,
      windMps: 0.8,
      bedsToCover: 3,
      secondLayers: 3,
      firstDueAtMs: t('2027-01-14', 16, 20),
      done: 0,
      toClose: 1,
    };
    expect(say(closingSentence(facts))).toBe(
      '−7 °C by 07:10, clear and still. A second layer on three beds, starting by 16:20.',
    );
    expect(say(closingSentence({ ...facts, bedsToCover: 0, done: 4, toClose: 0 }))).toContain(
      'All that the plan asked for is on.',
    );
    expect(
      say(
        nightSentence({
          nowC: -3,
          lowC: -7,
          lowAtMs: facts.lowAtMs,
          closest: { name: 'N5', leafC: -0.4, marginK: 0.2 },
        }),
      ),
    ).toBe('−3 °C outside now, −7 °C by 07:10. Closest to harm: N5 at −0.4 °C.');
    expect(
      say(
        morningSentence({
          liftAtMs: t('2027-01-15', 10, 20),
          keep: [],
          frozen: [{ name: 'N2', hours: 2.2 }],
          coversOn: true,
          known: true,
          lowC: -7,
          nowAtMs: t('2027-01-15', 8, 0),
        }),
      ),
    ).toBe('Leave them be until 10:20. N2 froze for two hours.');
    const morning = { frozen: [], coversOn: true, known: true, lowC: -6, nowAtMs: t('2027-01-15', 9, 4) };
    const said = (f: { liftAtMs: number | null; keep: string[] }) =>
      say(morningSentence({ ...morning, ...f }));
    expect(said({ liftAtMs: null, keep: ['N5'] })).toBe(
      "N5 stays covered this morning. The night's low outside: −6 °C.",
    );
    expect(said({ liftAtMs: t('2027-01-15', 11, 0), keep: ['N5', 'S1'] })).toContain(
      'N5 and S1 stay covered this morning. Leave the others on until 11:00.',
    );
    expect(said({ liftAtMs: morning.nowAtMs, keep: [] })).toContain('Lift when it suits.');
    const bare = { ...morning, keep: [], liftAtMs: null, coversOn: false };
    expect(say(morningSentence(bare))).toContain('Nothing is frozen and nothing is covered.');
    expect(said({ liftAtMs: Infinity, keep: [] })).toContain(
      'Leaves stay frozen all morning: leave them be.',
    );
    // a night whose weather nobody knows is not said to have frozen nothing
    const unknown = say(morningSentence({ ...bare, known: false, lowC: null }));
    expect(unknown).toContain('What the night did is not known here');
    expect(unknown).not.toContain('Nothing is frozen');
    expect(moneyText(313, '€')).toBe('€310');
  });
});

describe('a case that cannot stand', () => {
  const w = simulationCase().weather;
  test.each([
    ['weather[1].time', { weather: [w[0]!, { ...w[1]!, time: '2027-01-14T12:20:00Z' }, ...w.slice(2)] }],
    ['weather[5].time', { weather: [...w.slice(0, 5), ...w.slice(6)] }],
    ['weather[2].dewPointC', { weather: w.map((e, i) => (i === 2 ? { ...e, dewPointC: e.airC + 3 } : e)) }],
    ['stack[1].widthM', { stack: [FLEECE, { ...FLEECE, widthM: 2 }] }],
    ['stack[1].heightM', { stack: [FLEECE, { ...FLEECE, heightM: 0.7 }] }],
    ['stack[0].sides', { stack: [{ ...HOUSE, sides: 'board' as const }] }],
    ['stack[0].touchesCrop', { stack: [{ ...HOUSE, touchesCrop: true }, FLEECE] }],
    ['stack[0].ventAreaM2', { stack: [{ ...FLEECE, open: [{ from: w[2]!.time, fraction: 1 }] }] }],
    ['stack[0].on[0].to', { stack: [{ ...FLEECE, on: [{ from: w[5]!.time, to: w[2]!.time }] }] }],
  ])('is refused at %s', (field, more) => {
    expect(checkCase(simulationCase([HOUSE], more))?.field).toBe(field);
  });

  test('a good one passes', () => expect(checkCase(simulationCase([HOUSE, FLEECE]))).toBeNull());
});
