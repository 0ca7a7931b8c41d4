import { readCase, readFactors } from '../src';
import { inWords } from './inWords';

const readCaseTold = inWords(readCase);
const readFactorsTold = inWords(readFactors);

const good = () => ({
  format: 'fogata-case/1',
  site: { latitude: 42.7, longitude: -5.4 },
  weather: Array.from({ length: 13 }, (_, i) => ({
    time: new Date(Date.parse('2027-01-14T12:00:00Z') + i * 3_600_000).toISOString(),
    airC: 2 - i,
    dewPointC: -14,
    windMs: 1,
    cloudFraction: 0.2,
  })),
  ground: { deepC: 6 },
  stack: [{ lengthM: 20, widthM: 6, heightM: 2.5, shape: 'arch', material: 'pe-film' }],
});

const problem = (change: (c: ReturnType<typeof good> & Record<string, unknown>) => void) => {
  const c = good() as ReturnType<typeof good> & Record<string, unknown>;
  change(c);
  const r = readCaseTold(c);
  return 'problem' in r ? r.problem : null;
};

test('a good case is taken', () => expect(problem(() => {})).toBeNull());

test.each<[string, (c: ReturnType<typeof good> & Record<string, unknown>) => void, string]>([
  [
    'a missing field',
    (c) => delete (c.weather[3] as Partial<(typeof c.weather)[0]>).airC,
    'weather[3].airC: expected a number from −60 to 60 °C, it is missing',
  ],
  [
    'a value out of range',
    (c) => (c.weather[3]!.windMs = 120),
    'weather[3].windMs: expected a number from 0 to 80 m/s',
  ],
  [
    'an unknown material',
    (c) => (c.stack[0]!.material = 'cellophane'),
    'stack[0].material: expected one of pe-film',
  ],
  ['an unknown field', (c) => (c['wether'] = 1), 'wether: no such field is expected here'],
  [
    'an unknown field within',
    (c) => Object.assign(c.ground, { colour: 1 }),
    'ground.colour: no such field is expected here',
  ],
  ['too little weather', (c) => (c.weather.length = 5), 'weather: expected at least 12 of them'],
  [
    'a time without an offset',
    (c) => (c.weather[0]!.time = '2027-01-14T12:00:00'),
    'weather[0].time: expected an ISO 8601 instant',
  ],
  ['the wrong format', (c) => (c.format = 'x'), 'format: expected the string fogata-case/1'],
  [
    'an inner layer that is larger',
    (c) => c.stack.push({ ...c.stack[0]!, widthM: 9 }),
    'stack[1].widthM: expected no more than 6',
  ],
])('%s is refused in one line that names the field', (_, change, line) => {
  expect(problem(change)).toContain(line);
});

test.each([null, [], 'text', 3])('%p is not a case', (json) => {
  const r = readCaseTold(json);
  expect('problem' in r && r.problem.length > 5).toBe(true);
});

test('factors are read by name, with the book for those left out, and refused by name', () => {
  expect(readFactorsTold('leakage=1.2, zoneOffsetC=-0.4')).toEqual({
    leakage: 1.2,
    filmTransparency: 1,
    soilExchange: 1,
    zoneOffsetC: -0.4,
  });
  expect(readFactorsTold('leakage=0')).toEqual({
    problem: '--factors leakage: expected a number from 0.05 to 20',
  });
  expect(readFactorsTold('leak=1')).toMatchObject({
    problem: expect.stringMatching(/^--factors leak: expected one of leakage, /) as string,
  });
  expect(readFactorsTold('')).toMatchObject({
    problem: expect.stringMatching(/^--factors \(nothing\): expected one of/) as string,
  });
  expect(readFactorsTold('zoneOffsetC=')).toEqual({
    problem: '--factors zoneOffsetC: expected a number from −10 to 10',
  });
});
