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

describe('rows that come free before their time', () => {
  const TODAY = Math.round(Date.parse('2027-03-10') / 86_400_000);
  let made = 0;
  const refilling = { newId: () => `new-${(made += 1)}`, crops: ['lettuce', 'radish', 'tomato', 'rye'] };
  const lost = at('lettuce', [1, 4], ['2027-03-01', '2027-05-20'], bed, { planned: false });

  test('with nothing after it there are three answers all the same: spares first, the same again, something else', () => {
    const list = whatMoves(
      aYear([bed], [lost], { today: TODAY }),
      { id: lost.planting.id, lateDays: null },
      remake,
      refilling,
    );
    expect(list.map((a) => a.kind).sort()).toEqual(['again', 'as-is', 'other', 'spares']);
    expect(list.map((a) => a.money)).toEqual([...list.map((a) => a.money)].sort((a, b) => b - a));
    const spares = of(list, 'spares')!.moves[0]!;
    // a tenth more was raised than four rows of ten metres took
    expect(spares).toMatchObject({ crop: 'lettuce', fromRow: 1, toRow: 1, lengthM: 4, planned: true });
    expect(of(list, 'spares')!.gain).toBeCloseTo(of(list, 'again')!.gain / 10, 6);
    // what is dug in brings nothing, and is not thought of
    expect(['radish', 'tomato']).toContain(of(list, 'other')!.moves[0]!.crop);
  });

  test('what was left for seed is no reason to leave another crop for seed', () => {
    const seed = at('lettuce', [1, 4], ['2027-03-01', '2027-05-20'], bed, { planned: false, forSeed: true });
    const other = of(
      whatMoves(
        aYear([bed], [seed], { today: TODAY }),
        { id: seed.planting.id, lateDays: null },
        remake,
        refilling,
      ),
      'other',
    )!;
    expect(other.moves[0]!.forSeed).toBeUndefined();
    expect(other.gain).toBeGreaterThan(0);
  });

  test('spares are too old three weeks after the others went in', () => {
    const old = at('lettuce', [1, 4], ['2027-02-10', '2027-05-20'], bed, { planned: false });
    const list = whatMoves(
      aYear([bed], [old], { today: TODAY }),
      { id: old.planting.id, lateDays: null },
      remake,
      refilling,
    );
    expect(of(list, 'spares')).toBeUndefined();
  });

  test('whatever is begun is out for the next, and is worth nothing where it cannot be ready by then', () => {
    const soon = at('lettuce', [1, 4], ['2027-04-10', '2027-06-20']);
    const ask = (next: typeof soon) =>
      whatMoves(
        aYear([bed], [lost, next], { today: TODAY }),
        { id: lost.planting.id, lateDays: null },
        remake,
        refilling,
      );
    // thirty days until the next, fifty to the picking
    expect(of(ask(soon), 'again')).toBeUndefined();
    const late = at('lettuce', [1, 4], ['2027-05-15', '2027-07-20']);
    const again = of(ask(late), 'again')!;
    expect(again.moves[0]!.clearedOn).toBe('2027-05-15');
    expect(again.gain).toBeGreaterThan(0);
  });

  test('lost before it was begun, its rows are still another’s until its day', () => {
    const stands = at('radish', [1, 4], ['2027-02-20', '2027-04-30'], bed, { planned: false });
    const trays = at('lettuce', [1, 4], ['2027-04-25', '2027-07-10']);
    const list = whatMoves(
      aYear([bed], [stands, trays], { today: TODAY }),
      { id: trays.planting.id, lateDays: null },
      remake,
      refilling,
    );
    expect(list.length).toBeGreaterThanOrEqual(3);
    for (const a of list) for (const p of a.moves) expect(p.plantedOn).toBe('2027-05-01');
  });
});
