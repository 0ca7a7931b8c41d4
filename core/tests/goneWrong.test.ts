/** A planting that comes late, early or not at all: what moves, what is given up, and what each answer is worth. */
import { cropById, type Planting } from '../src';
import { strip, whatMoves, type GoneWrong, type RelayYear } from '../relay';
import { aBedOf, aStrip, aYear, evenOutlook } from './relayFixture';

const bed = aBedOf('b1');
const other = aBedOf('b2');
const lettuce = evenOutlook(50, { overDays: 71 });
const remake = (p: Planting) => strip(p, cropById(p.crop), 'transplant', lettuce);
const at = (crop: string, rows: [number, number], days: [string, string | null], in_ = bed, more = {}) =>
  aStrip(in_, crop, rows, days, lettuce, { how: 'transplant', ...more });
/** Standing until 22 April, lettuce after it from 23 April, tomatoes after that; nothing in the other bed. */
const first = at('lettuce', [1, 4], ['2027-02-10', '2027-04-22'], bed, { planned: false });
const second = at('lettuce', [1, 4], ['2027-04-23', '2027-07-02']);
const third = at('lettuce', [1, 4], ['2027-07-10', '2027-09-18']);
const year = (more: Partial<RelayYear> = {}) =>
  aYear([bed, other], [first, second, third], {
    today: Math.round(Date.parse('2027-04-01') / 86_400_000),
    ...more,
  });
const of = (list: readonly GoneWrong[], kind: GoneWrong['kind']) => list.find((a) => a.kind === kind);

test('late by two weeks: the next may wait, it may be cut short, the next goes elsewhere or is left out, the best first', () => {
  const list = whatMoves(year(), { id: first.planting.id, lateDays: 14 }, remake);
  expect(list.map((a) => a.kind).sort()).toEqual(['as-is', 'elsewhere', 'leave-out', 'wait']);
  expect(list.map((a) => a.money)).toEqual([...list.map((a) => a.money)].sort((a, b) => b - a));
  // cleared on its day a late crop has given less
  expect(of(list, 'elsewhere')!.gain).toBeGreaterThan(1);
  expect(of(list, 'elsewhere')!.moves).toMatchObject([{ bedId: 'b2', plantedOn: '2027-04-23' }]);
  expect(list[0]!.kind).not.toBe('leave-out');
});

test('who waits pushes those after it only as far as they have to go, and what it takes is said', () => {
  const wait = of(whatMoves(year(), { id: first.planting.id, lateDays: 14 }, remake), 'wait')!;
  const moved = new Map(wait.moves.map((p) => [p.id, p]));
  expect(moved.get(first.planting.id)!.clearedOn! > '2027-04-22').toBe(true);
  const next = moved.get(second.planting.id)!;
  expect(next.plantedOn > moved.get(first.planting.id)!.clearedOn!).toBe(true);
  // a week of slack before the third takes up a part of it
  const by = (a: Planting, b: Planting) => (Date.parse(a.plantedOn) - Date.parse(b.plantedOn)) / 86_400_000;
  expect(by(moved.get(third.planting.id)!, third.planting)).toBeLessThan(by(next, second.planting));
});

test('one that would stand into the next may be cleared for it on its day', () => {
  const long = at('lettuce', [1, 4], ['2027-02-10', '2027-05-10'], bed, { planned: false });
  const list = whatMoves(
    year({ strips: [long, second, third] }),
    { id: long.planting.id, lateDays: 7 },
    remake,
  );
  expect(of(list, 'cut-short')!.moves).toMatchObject([{ id: long.planting.id, clearedOn: '2027-04-23' }]);
});

test('only those that share rows wait for each other', () => {
  const left = at('lettuce', [1, 2], ['2027-04-23', '2027-09-30']);
  const right = at('lettuce', [3, 4], ['2027-05-10', '2027-07-20']);
  const wait = of(
    whatMoves(year({ strips: [first, left, right] }), { id: first.planting.id, lateDays: 14 }, remake),
    'wait',
  )!;
  const days = (was: Planting) => {
    const p = wait.moves.find((m) => m.id === was.id);
    return p ? (Date.parse(p.plantedOn) - Date.parse(was.plantedOn)) / 86_400_000 : 0;
  };
  expect(days(left.planting)).toBeGreaterThan(0);
  expect(days(right.planting)).toBeLessThan(days(left.planting));
});

test('with no rows free elsewhere nothing is sent there', () => {
  const full = at('lettuce', [1, 4], ['2027-03-01', '2027-10-01'], other);
  const list = whatMoves(
    year({ strips: [first, second, third, full] }),
    { id: first.planting.id, lateDays: 14 },
    remake,
  );
  expect(of(list, 'elsewhere')).toBeUndefined();
  expect(list.length).toBeGreaterThanOrEqual(3);
});

test('lost: what follows may be begun sooner, never before tomorrow, or left out', () => {
  const list = whatMoves(year(), { id: first.planting.id, lateDays: null }, remake);
  expect(list.map((a) => a.kind).sort()).toEqual(['as-is', 'leave-out', 'sooner']);
  const [p] = of(list, 'sooner')!.moves;
  expect(p!.plantedOn > '2027-04-01' && p!.plantedOn < second.planting.plantedOn).toBe(true);
  expect(of(list, 'leave-out')!.dropped).toEqual([second.planting.id]);
});

test('where nothing follows nothing moves; what is not there is not answered', () => {
  const alone = whatMoves(year({ strips: [first] }), { id: first.planting.id, lateDays: 14 }, remake);
  expect(alone.map((a) => a.kind)).toEqual(['as-is']);
  expect(whatMoves(year(), { id: 'nobody', lateDays: 3 }, remake)).toEqual([]);
});
