/** Hours in which nobody is on the farm, by the farm's own clock. */
import { awayOn, thereOn, without } from '../day';

const ZONE = 'Europe/Madrid';
// a Thursday; 10:00 in Madrid is 09:00 UTC in winter, 08:00 in summer
const NOON = Date.parse('2027-01-14T12:00:00Z');
const H = 3_600_000;
const work = { days: [1, 2, 3, 4, 5], on: null, from: '10:00', to: '17:00' };

test('a line of working days holds on a Thursday and not on a Saturday', () => {
  expect(awayOn(NOON, [work], ZONE)).toEqual([
    { fromAtMs: Date.parse('2027-01-14T09:00:00Z'), toAtMs: Date.parse('2027-01-14T16:00:00Z') },
  ]);
  expect(awayOn(NOON + 2 * 24 * H, [work], ZONE)).toEqual([]);
});

test('one date is that date, by the clock of its season, whatever the weekday', () => {
  const once = { days: [], on: '2027-07-17', from: '10:00', to: '12:00' };
  expect(awayOn(NOON, [once], ZONE)).toEqual([]);
  expect(awayOn(Date.parse('2027-07-17T09:00:00Z'), [once], ZONE)).toEqual([
    { fromAtMs: Date.parse('2027-07-17T08:00:00Z'), toAtMs: Date.parse('2027-07-17T10:00:00Z') },
  ]);
  // late in the evening it is the next day for the farm in Tokyo
  expect(awayOn(Date.parse('2027-07-16T16:00:00Z'), [once], 'Asia/Tokyo')).toHaveLength(1);
});

test('what is left of a span is what lies outside: before, between, after, or nothing', () => {
  const day = { fromAtMs: 6, toAtMs: 18 };
  expect(without(day, [{ fromAtMs: 10, toAtMs: 17 }])).toEqual([
    { fromAtMs: 6, toAtMs: 10 },
    { fromAtMs: 17, toAtMs: 18 },
  ]);
  expect(without(day, [{ fromAtMs: 0, toAtMs: 24 }])).toEqual([]);
  expect(
    without(day, [
      { fromAtMs: 0, toAtMs: 6 },
      { fromAtMs: 18, toAtMs: 20 },
    ]),
  ).toEqual([day]);
  expect(
    without(day, [
      { fromAtMs: 4, toAtMs: 8 },
      { fromAtMs: 12, toAtMs: 14 },
    ]),
  ).toEqual([
    { fromAtMs: 8, toAtMs: 12 },
    { fromAtMs: 14, toAtMs: 18 },
  ]);
});

test('a house is opened by who is there before they leave, or when they are back', () => {
  const span = { fromAtMs: Date.parse('2027-01-14T07:30:00Z'), toAtMs: Date.parse('2027-01-14T18:00:00Z') };
  expect(thereOn(span, [work], ZONE).map((s) => new Date(s.fromAtMs).toISOString().slice(11, 16))).toEqual([
    '07:30',
    '16:00',
  ]);
});
