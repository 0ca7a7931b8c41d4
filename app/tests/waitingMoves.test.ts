/** Moves of the board that wait for signal: joined, sent once, and never over what was changed elsewhere. */
import type { Planting } from '@fogata/core';
import { sendMoves, waitingAfter, withMove } from '../src/components/relay/waitingMoves';
import { NoServer } from '../src/data/api';

const p = (id: string, plantedOn: string, more: Partial<Planting> = {}): Planting => ({
  id,
  bedId: 'b',
  crop: 'spinach',
  cultivar: '',
  fromRow: 1,
  toRow: 2,
  lengthM: 10,
  plantedOn,
  clearedOn: null,
  aim: 'grow',
  note: '',
  planned: true,
  ...more,
});

test('moves of one planting are one, from where the server has it; back where it was there is none', () => {
  const a = p('a', '2027-03-01');
  const once = withMove([], a, p('a', '2027-03-08'));
  const twice = withMove(once, once[0]!.after, p('a', '2027-03-15'));
  expect(twice).toEqual([{ before: a, after: p('a', '2027-03-15') }]);
  expect(withMove(twice, twice[0]!.after, a)).toEqual([]);
});

test('sent in order; what is there already is not sent again, so that a lost answer does no harm', async () => {
  const list = [
    { before: p('a', '2027-03-01'), after: p('a', '2027-03-08') },
    { before: null, after: p('new', '2027-04-01') },
  ];
  const saved: string[] = [];
  const save = (x: Planting) => Promise.resolve(saved.push(x.id));
  expect(await sendMoves(list, [p('a', '2027-03-01')], save)).toEqual({ left: [], refused: [] });
  expect(saved).toEqual(['a', 'new']);
  await sendMoves(list, [p('a', '2027-03-08'), p('new', '2027-04-01')], save);
  expect(saved).toEqual(['a', 'new']);
});

test('what was moved or cleared elsewhere meanwhile stays as it is there, and is named', async () => {
  const list = [
    { before: p('a', '2027-03-01'), after: p('a', '2027-03-08') },
    { before: p('gone', '2027-03-01'), after: p('gone', '2027-03-08') },
  ];
  const save = jest.fn(() => Promise.resolve());
  const sent = await sendMoves(list, [p('a', '2027-03-20')], save);
  expect(save).not.toHaveBeenCalled();
  expect(sent.refused.map((r) => [r.move.after.id, r.why])).toEqual([
    ['a', null],
    ['gone', null],
  ]);
  // a note or a step that was written there is not a move
  const noted = await sendMoves(list.slice(0, 1), [p('a', '2027-03-01', { note: 'slugs' })], save);
  expect(noted.refused).toEqual([]);
  expect(save).toHaveBeenCalledTimes(1);
});

test('signal that goes again leaves what is left in its order; a refusal does not hold up the rest', async () => {
  const list = ['a', 'b', 'c'].map((id) => ({ before: p(id, '2027-03-01'), after: p(id, '2027-03-08') }));
  const there = list.map((m) => m.before);
  const save = (x: Planting) =>
    x.id === 'a'
      ? Promise.reject(new Error('toRow: expected row 2 or higher'))
      : x.id === 'b'
        ? Promise.resolve()
        : Promise.reject(new NoServer());
  const sent = await sendMoves(list, there, save);
  expect(sent.left.map((m) => m.after.id)).toEqual(['c']);
  expect(sent.refused.map((r) => r.why)).toEqual(['toRow: expected row 2 or higher']);
});

test('what is moved while others are sent still waits, from where the sent move left it', () => {
  const list = ['a', 'b'].map((id) => ({ before: p(id, '2027-03-01'), after: p(id, '2027-03-08') }));
  // meanwhile "a" was moved once more, and "c" for the first time
  const stored = [
    list[1]!,
    { before: p('a', '2027-03-01'), after: p('a', '2027-03-15') },
    { before: p('c', '2027-03-01'), after: p('c', '2027-03-08') },
  ];
  expect(waitingAfter(stored, list, { left: [], refused: [] })).toEqual([
    { before: p('a', '2027-03-08'), after: p('a', '2027-03-15') },
    stored[2],
  ]);
  // with signal gone before "b" that one waits as it was
  expect(waitingAfter(stored, list, { left: [list[1]!], refused: [] })).toContain(list[1]);
  expect(waitingAfter(list, list, { left: [], refused: [] })).toEqual([]);
});
