/** What goes wrong, in words: what moves, what is given up, what it is worth. */
import type { GoneWrong, RelayYear } from '@fogata/core/relay';
import { wrongDetail, wrongSentence, wrongTitle } from '@fogata/words/en/screens/wrongWords';

const planting = (id: string, plantedOn: string, clearedOn: string | null, bedId = 'b1') =>
  ({ id, bedId, fromRow: 1, toRow: 4, plantedOn, clearedOn }) as never;
const year = {
  beds: [
    { id: 'b1', name: 'S1' },
    { id: 'b2', name: 'S2' },
  ],
  strips: [
    { planting: planting('a', '2027-02-10', '2027-04-22'), crop: { name: 'radish' } },
    { planting: planting('n', '2027-04-23', '2027-07-02'), crop: { name: 'lettuce' } },
  ],
} as unknown as RelayYear;
const money = { money: (x: number) => `€${Math.round(x)}` };
const answer = (more: Partial<GoneWrong>): GoneWrong => ({
  kind: 'wait',
  moves: [],
  dropped: [],
  gain: 12,
  money: 100,
  ...more,
});

test('an answer says which planting moves, by how much, and what it is worth against the plan as it is written', () => {
  const wait = answer({
    moves: [planting('a', '2027-02-10', '2027-05-01'), planting('n', '2027-05-02', '2027-07-11')],
  });
  expect(wrongTitle(wait)).toBe('Let it finish, the others wait');
  expect(wrongDetail(wait, year, money)).toBe(
    'Radish cleared on 1 May; lettuce 9 days later, on 2 May; +€12 against that',
  );
  const elsewhere = answer({ kind: 'elsewhere', moves: [planting('n', '2027-04-23', null, 'b2')], gain: -3 });
  expect(wrongDetail(elsewhere, year, money)).toBe('Lettuce in S2, from row 1; −€3 against that');
  expect(wrongDetail(answer({ kind: 'leave-out', dropped: ['n'] }), year, money)).toContain(
    'Without lettuce',
  );
  expect(wrongDetail(answer({ kind: 'as-is' }), year, money)).toBe('€100 in all');
});

test('it opens with what happened and the best that can be done; where nothing follows it says so', () => {
  const said = (list: GoneWrong[], lateDays: number | null) =>
    wrongSentence(list, { id: 'a', lateDays })
      .map((s) => s.text)
      .join('');
  expect(said([answer({}), answer({ kind: 'as-is' })], 14)).toBe(
    '14 days late: let it finish, the others wait.',
  );
  expect(said([answer({ kind: 'sooner' }), answer({ kind: 'as-is' })], null)).toBe(
    'Lost: begin the next sooner.',
  );
  expect(said([answer({ kind: 'as-is' })], -7)).toContain('7 days early: nothing is planned after it');
});
