/** A day as it is typed with one thumb. */
import { dateTyped } from '../src/components/ui/dateTyped';

test.each([
  ['14 mar', '2027-01-14', '2027-03-14'],
  ['14 Mar', '2027-04-01', '2028-03-14'],
  ['3 march 2029', '2027-04-01', '2029-03-03'],
  ['14.3.', '2027-01-14', '2027-03-14'],
  ['14.3.2026', '2027-01-14', '2026-03-14'],
  [' 2027-03-14 ', '2027-01-14', '2027-03-14'],
])('“%s” seen from %s is %s', (text, near, date) => expect(dateTyped(text, near)).toBe(date));

test.each(['31 feb', '14', 'tomorrow', '2027-13-01', '32.1.', ''])('“%s” is no day', (text) =>
  expect(dateTyped(text, '2027-01-14')).toBeNull(),
);
