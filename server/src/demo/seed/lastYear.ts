/** The year before on Rescoldo: what stood, what was cut of it, and what its frosts did, as it was scored in the mornings. */
import type { FarmRecord } from '@fogata/contract';
import { addDays, atLocal, type HarmScore, type Planting } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { ZONE } from './farm';

function past(
  id: string,
  bedId: string,
  crop: string,
  cultivar: string,
  rows: [number, number],
  lengthM: number,
  [plantedOn, clearedOn]: [string, string],
  aim: Planting['aim'] = 'survive',
): Planting {
  return {
    id,
    bedId,
    crop,
    cultivar,
    fromRow: rows[0],
    toRow: rows[1],
    lengthM,
    plantedOn,
    clearedOn,
    aim,
    note: '',
    done: { [aim === 'grow' ? 'plant' : 'sow']: plantedOn, clear: clearedOn },
  };
}

export const LAST_YEAR: Planting[] = [
  past('q01', 'n2', 'spinach', 'Brasa Verde', [1, 4], 22, ['2025-09-26', '2026-04-18']),
  past('q02', 'n3', 'lettuce', 'Farolillo', [1, 4], 22, ['2025-10-10', '2026-02-20']),
  past('q03', 'n4', 'carrot', 'Rescoldina', [1, 4], 22, ['2025-08-30', '2026-03-10']),
  past('q04', 'f1', 'claytonia', 'Rocío', [1, 5], 3.4, ['2025-09-20', '2026-03-30']),
  past('q05', 't2', 'kale', 'Cuero Negro', [1, 4], 14.5, ['2025-08-10', '2026-04-05']),
  past('q06', 'n1', 'tomato', 'Brasa Roja', [2, 3], 22, ['2026-05-08', '2026-09-18'], 'grow'),
  past('q07', 's4', 'cucumber', 'Largo Verde', [1, 2], 8, ['2026-05-20', '2026-10-02'], 'grow'),
  past('q08', 'n5', 'french-bean', 'Vaina Fina', [1, 3], 22, ['2026-05-16', '2026-08-28'], 'grow'),
];

/** Kilograms a week between two days, as they were weighed on Thursdays. */
const CUT: readonly [planting: string, from: string, to: string, kg: readonly number[]][] = [
  ['q01', '2025-11-13', '2026-04-16', [7.2, 8.1, 6.4, 4.8, 3.1, 2.2, 2.4, 3.6, 6.2, 9.5, 11.8]],
  ['q02', '2025-12-11', '2026-02-19', [9.4, 12.6, 8.2, 6.1, 10.4, 7.7]],
  ['q03', '2025-11-20', '2026-03-05', [14, 12.5, 15.2, 11, 13.6, 12.2, 9.8]],
  ['q04', '2025-11-27', '2026-03-26', [0.9, 1.1, 0.6, 0.5, 0.9, 1.4, 1.6]],
  ['q06', '2026-07-09', '2026-09-17', [12, 22, 31, 34, 30, 27, 24, 19, 14, 9]],
  ['q07', '2026-07-02', '2026-09-24', [9, 14, 18, 17, 16, 13, 10, 8, 5]],
  ['q08', '2026-07-02', '2026-08-20', [4, 9, 11, 8, 6, 3]],
];

/** Nights of last winter that somebody scored: the leaf by the model, and how hard it was. */
export const SCORED: readonly {
  plantingId: string;
  bedId: string;
  night: string;
  leafC: number;
  hardening: number;
  score: HarmScore;
}[] = [
  { plantingId: 'q01', bedId: 'n2', night: '2026-01-08', leafC: -9.8, hardening: 1, score: 'none' },
  { plantingId: 'q01', bedId: 'n2', night: '2026-01-21', leafC: -10.7, hardening: 1, score: 'none' },
  { plantingId: 'q01', bedId: 'n2', night: '2026-02-10', leafC: -12.1, hardening: 0.95, score: 'tips' },
  { plantingId: 'q02', bedId: 'n3', night: '2026-01-08', leafC: -4.1, hardening: 0.9, score: 'leaves' },
  { plantingId: 'q02', bedId: 'n3', night: '2026-01-21', leafC: -3.6, hardening: 1, score: 'tips' },
];

export function lastYearRecords(): FarmRecord[] {
  const cut = CUT.flatMap(([plantingId, from, to, kg]) => {
    const step = Math.max(7, Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000 / (kg.length - 1)));
    return kg.map((x, n): FarmRecord => {
      const atMs = atLocal(addDays(from, n * step), 9, 30, ZONE);
      return { id: randomUUID(), kind: 'harvest', atMs, plantingId, kg: x };
    });
  });
  const scores = SCORED.map((s): FarmRecord => ({
    id: randomUUID(),
    kind: 'harm',
    atMs: atLocal(addDays(s.night, 1), 10, 40, ZONE),
    plantingId: s.plantingId,
    score: s.score,
  }));
  return [...cut, ...scores].sort((a, b) => a.atMs - b.atMs);
}
