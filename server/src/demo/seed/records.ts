/** What was done on Rescoldo in the days before. */
import type { FarmRecord } from '@fogata/contract';
import { atLocal } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { ZONE } from './farm';

/** What was done in the days before: houses aired by day, fleece on the lettuce at night. */
export function demoRecords(): FarmRecord[] {
  const out: FarmRecord[] = [];
  const at = (date: string, hour: number, minute = 0) => atLocal(date, hour, minute, ZONE);
  for (const date of ['2027-01-11', '2027-01-12', '2027-01-13', '2027-01-14']) {
    for (const structureId of ['north', 'south']) {
      out.push({
        id: randomUUID(),
        kind: 'vent',
        atMs: at(date, 11, 15),
        structureId,
        fraction: structureId === 'north' ? 0.25 : 0.2,
      });
      if (date !== '2027-01-14')
        out.push({ id: randomUUID(), kind: 'vent', atMs: at(date, 16, 20), structureId, fraction: 0 });
    }
  }
  for (const [date, next] of [
    ['2027-01-12', '2027-01-13'],
    ['2027-01-13', '2027-01-14'],
  ] as const) {
    out.push({
      id: randomUUID(),
      kind: 'cover',
      atMs: at(date, 17, 5),
      bedId: 'n5',
      coverId: 'fleece30',
      on: true,
    });
    out.push({
      id: randomUUID(),
      kind: 'cover',
      atMs: at(next, 10, 10),
      bedId: 'n5',
      coverId: 'fleece30',
      on: false,
    });
  }
  // watered on the last mild days, the frames by hand
  for (const [bedId, date, mm] of [
    ['n1', '2026-12-22', 14],
    ['n2', '2026-12-22', 14],
    ['n3', '2026-12-22', 14],
    ['n4', '2026-12-05', 12],
    ['s1', '2026-12-29', 12],
    ['s2', '2026-12-29', 10],
    ['s4', '2027-01-06', 8],
    ['f1', '2026-12-12', 8],
  ] as const)
    out.push({ id: randomUUID(), kind: 'water', atMs: at(date, 11, 20), bedId, mm });
  out.push({ id: randomUUID(), kind: 'soil', atMs: at('2027-01-12', 12, 5), bedId: 'n4', feel: 'dry' });
  out.push({ id: randomUUID(), kind: 'harvest', atMs: at('2027-01-13', 9, 40), plantingId: 'p01', kg: 6.4 });
  out.push({ id: randomUUID(), kind: 'harvest', atMs: at('2027-01-13', 10, 15), plantingId: 'p14', kg: 1.1 });
  out.push({
    id: randomUUID(),
    kind: 'note',
    atMs: at('2027-01-13', 16, 30),
    bedId: 'n2',
    text: 'Outer leaves of the door-end row soft; moved two sandbags there.',
  });
  return out;
}
