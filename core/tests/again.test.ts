/** Last year again: a year on, one bed on, never on rows that are taken. */
import type { Planting } from '../src';
import { yearAgain, yearOn, type RelayBed } from '../relay';
import { aBedOf } from './relayFixture';

let n = 0;
const id = () => `new${n++}`;
const bed = (name: string, structureId: string, rows = 4): RelayBed =>
  aBedOf(name, {
    name: name.toUpperCase(),
    structureId,
    place: structureId,
    rows,
    lengthM: name === 'b' ? 10 : 20,
    widthM: 1,
  });
const BEDS = [bed('a', 'north'), bed('b', 'north', 3), bed('c', 'north'), bed('x', 'frame')];
const planting = (bedId: string, plantedOn: string, more: Partial<Planting> = {}): Planting => ({
  id: `${bedId}-${plantedOn}`,
  bedId,
  crop: 'spinach',
  cultivar: '',
  fromRow: 1,
  toRow: 2,
  lengthM: 18,
  plantedOn,
  clearedOn: null,
  aim: 'grow',
  note: 'weak by the door',
  done: { sow: plantedOn },
  ...more,
});
const again = (list: Planting[]) => yearAgain(BEDS, list, '2027-01-14', id);

test('a year on, in the bed after it, the last one’s in the first, alone in its own; cut to the bed, without what was done', () => {
  const { plantings, left } = again([
    planting('a', '2026-09-10', { clearedOn: '2027-03-01' }),
    planting('c', '2026-10-01', { clearedOn: '2026-12-20' }),
    planting('x', '2026-09-01', { clearedOn: '2026-12-01' }),
  ]);
  expect(left).toEqual([]);
  expect(plantings.map((p) => [p.bedId, p.plantedOn, p.clearedOn, p.lengthM])).toEqual([
    ['x', '2027-09-01', '2027-12-01', 18],
    ['b', '2027-09-10', '2028-03-01', 10],
    ['a', '2027-10-01', '2027-12-20', 18],
  ]);
  for (const p of plantings) {
    expect(p).toMatchObject({ planned: true, note: '', crop: 'spinach' });
    expect(p).not.toHaveProperty('done');
    expect(p.id).toMatch(/^new/);
  }
});

test('older ones, planned ones and what comes are no part of last year', () => {
  const { plantings } = again([
    planting('a', '2026-01-10'),
    planting('a', '2026-02-01', { clearedOn: '2026-03-01', planned: true }),
    planting('a', '2027-02-01'),
  ]);
  expect(plantings).toEqual([]);
});

test('rows that are taken then, and rows that a bed does not have, are left out with the reason; nothing is put on another', () => {
  const list = [
    planting('a', '2026-09-10', { clearedOn: '2026-12-01' }),
    planting('a', '2026-09-12', { fromRow: 4, toRow: 4, clearedOn: '2026-12-01' }),
    planting('b', '2027-11-01', { planned: true, clearedOn: '2028-02-01' }),
    planting('c', '2026-09-01', { clearedOn: '2026-10-01' }),
    planting('c', '2026-09-20', { clearedOn: '2026-11-01' }),
  ];
  const { plantings, left } = again(list);
  expect(left.map((l) => [l.planting.id, l.bed, l.why])).toEqual([
    ['a-2026-09-10', 'B', 'taken'],
    ['a-2026-09-12', 'B', 'rows'],
    ['c-2026-09-20', 'A', 'taken'],
  ]);
  expect(plantings.map((p) => p.bedId)).toEqual(['a']);
});

test('leap days', () => {
  expect([yearOn('2028-02-29'), yearOn('2026-12-31')]).toEqual(['2029-02-28', '2027-12-31']);
});
