/** What the list of nights opens with. */
import type { NightRow } from '@fogata/contract/told';
import { nightsSentence } from '@fogata/words/en/screens/nightsWords';

const format = { diff: (k: number) => `${k > 0 ? '+' : ''}${k.toFixed(1)}°` };
const row = (read: number, within: number, offK: number | null): NightRow => ({
  night: '2027-01-13',
  saidC: { low: -6, mid: -4, high: -2 },
  readC: -4.2,
  read,
  within,
  offK,
  furthest: null,
});
const said = (rows: NightRow[]) =>
  nightsSentence(rows, format)
    .map((s) => s.text)
    .join('');

test('how many lay within what was said, and to which side they lean', () => {
  expect(said([row(2, 2, -0.8), row(1, 0, -2), row(0, 0, null)])).toBe(
    'In 2 nights 2 of 3 thermometers lay within what was said; in the mean they read 1.2° colder.',
  );
  expect(said([row(2, 2, 0.1)])).toBe(
    'In one night 2 of 2 thermometers lay within what was said, and it leaned to neither side.',
  );
  expect(nightsSentence([row(4, 1, 1.5)], format)[1]!.tone).toBe('ochre');
});

test('nothing read, or nothing at all, is said as that', () => {
  expect(said([row(0, 0, null), row(0, 0, null)])).toContain(
    'No night here was both said and read inside: 2 nights said, 2 nights read outside.',
  );
  expect(said([])).toContain('The first stands here tomorrow');
});
