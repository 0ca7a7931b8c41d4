/** Hours in which nobody is on the farm, by the farm's own clock. */
import { awayOn, thereOn, without } from '../day';

const ZONE = 'Europe/Madrid';
// a Thursday; 10:00 in Madrid is 09:00 UTC in winter, 08:00 in summer
const NOON = Date.parse('2027-01-14T12:00:00Z');
const H = 3_600_000;
const work = { days: [1, 2, 3, 4, 5], on: null, from: '10:00', to: '17:00' };

test('a line of working days holds on a Thursday and not on a Saturday', () => {
  expect(awayOn(NOON, [work], ZONE)).toEqual([
    { fromMs: Date.parse('2027-01-14T09:00:00Z'), toMs: Date.parse('2027-01-14T16:00:00Z') },
  ]);
  expect(awayOn(NOON + 2 * 24 * H, [work], ZONE)).toEqual([]);
});

test('one date is that date, by the clock of its season, whatever the weekday', () => {
  const once = { days: [], on: '2027-07-17', from: '10:00', to: '12:00' };
  expect(awayOn(NOON, [once], ZONE)).toEqual([]);
  expect(awayOn(Date.parse('2027-07-17T09:00:00Z'), [once], ZONE)).toEqual([
    { fromMs: Date.parse('2027-07-17T08:00:00Z'), toMs: Date.parse('2027-07-17T10:00:00Z') },
  ]);
  // late in the evening it is the next day for the farm in Tokyo
  expect(awayOn(Date.parse('2027-07-16T16:00:00Z'), [once], 'Asia/Tokyo')).toHaveLength(1);
});

test('what is left of a span is what lies outside: before, between, after, or nothing', () => {
  const day = { fromMs: 6, toMs: 18 };
  expect(without(day, [{ fromMs: 10, toMs: 17 }])).toEqual([
    { fromMs: 6, toMs: 10 },
    { fromMs: 17, toMs: 18 },
  ]);
  expect(without(day, [{ fromMs: 0, toMs: 24 }])).toEqual([]);
  expect(
    without(day, [
      { fromMs: 0, toMs: 6 },
      { fromMs: 18, toMs: 20 },
    ]),
  ).toEqual([day]);
  expect(
    without(day, [
      { fromMs: 4, toMs: 8 },
      { fromMs: 12, toMs: 14 },
    ]),
  ).toEqual([
    { fromMs: 8, toMs: 12 },
    { fromMs: 14, toMs: 18 },
  ]);
});

test('a house is opened by who is there before they leave, or when they are back', () => {
  const span = { fromMs: Date.parse('2027-01-14T07:30:00Z'), toMs: Date.parse('2027-01-14T18:00:00Z') };
  expect(thereOn(span, [work], ZONE).map((s) => new Date(s.fromMs).toISOString().slice(11, 16))).toEqual([
    '07:30',
    '16:00',
  ]);
});
