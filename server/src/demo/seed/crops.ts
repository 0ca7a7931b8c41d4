/** What grows on Rescoldo this winter. */
import type { Planting } from '@fogata/core';

function planting(
  id: string,
  bedId: string,
  crop: string,
  cultivar: string,
  rows: [number, number],
  lengthM: number,
  plantedOn: string,
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
    clearedOn: null,
    aim,
    note: '',
  };
}

/** When what stands is to make room. */
const CLEARED: Record<string, string> = {
  p03: '2027-03-20',
  p05: '2027-02-01',
  p06: '2027-02-13',
  p09: '2027-05-08',
  p11: '2027-04-24',
  p15: '2027-02-06',
};

const STANDING: Planting[] = [
  planting('p01', 'n1', 'spinach', 'Brasa Verde', [1, 3], 22, '2026-09-24'),
  planting('p02', 'n1', 'spring-onion', 'Hilo Blanco', [4, 5], 22, '2026-10-02'),
  planting('p03', 'n2', 'lettuce', 'Farolillo', [1, 4], 22, '2026-10-12'),
  planting('p04', 'n3', 'chard', 'Tizón', [1, 2], 22, '2026-10-05'),
  planting('p05', 'n3', 'coriander', 'Yesca', [3, 4], 22, '2026-10-20'),
  planting('p06', 'n4', 'rocket', 'Chispa', [1, 2], 22, '2026-10-08'),
  planting('p07', 'n4', 'mizuna', 'Plumilla', [3, 4], 22, '2026-10-08'),
  planting('p08', 'n5', 'potato', 'Temprana del Horno', [1, 2], 22, '2026-12-20', 'grow'),
  planting('p09', 's1', 'lettuce-leaf', 'Candil', [1, 4], 16, '2026-11-10'),
  planting('p10', 's2', 'strawberry', 'Ascua', [1, 2], 16, '2026-09-05'),
  planting('p11', 's2', 'radish', 'Perdigón', [3, 4], 16, '2026-12-15'),
  planting('p12', 's3', 'anemone', 'Sereno', [1, 6], 16, '2026-09-20', 'flower'),
  planting('p13', 's4', 'pak-choi', 'Cuenco', [1, 4], 8, '2026-11-20', 'grow'),
  planting('p14', 'f1', 'mache', 'Copito', [1, 5], 3.4, '2026-09-18'),
  planting('p15', 'f2', 'claytonia', 'Rocío', [1, 5], 3.4, '2026-09-22'),
  planting('p16', 'f3', 'parsley', 'Encaje', [1, 4], 3.4, '2026-09-01'),
  planting('p17', 't1', 'carrot', 'Rescoldina', [1, 4], 14.5, '2026-08-28'),
  planting('p18', 't2', 'endive', 'Rizo Frío', [1, 4], 14.5, '2026-09-10'),
  planting('p19', 'o1', 'kale', 'Cuero Negro', [1, 3], 20, '2026-07-28'),
  planting('p20', 'o2', 'leek', 'Largo de Nieve', [1, 3], 20, '2026-06-20'),
];

/** What is thought of for after them. */
const PLANNED: Planting[] = [
  {
    ...planting('p21', 'n3', 'spring-cabbage', 'Corazón de Enero', [3, 4], 22, '2027-02-03'),
    how: 'transplant',
    done: { sow: '2026-12-16', prick: '2027-01-05' },
  },
  { ...planting('p22', 'n4', 'lettuce', 'Farolillo', [1, 2], 22, '2027-02-15'), how: 'transplant' },
  planting('p23', 'f2', 'spinach', 'Brasa Verde', [1, 5], 3.4, '2027-02-08', 'grow'),
  // a quick crop between lettuce and cucumbers, and not quick enough
  {
    ...planting('p24', 'n2', 'turnip', 'Luna Chica', [1, 4], 22, '2027-03-24', 'grow'),
    clearedOn: '2027-05-14',
  },
  planting('p25', 'n2', 'cucumber', 'Largo Verde', [2, 3], 22, '2027-05-14', 'grow'),
  // tomatoes in the middle of the bed, and lettuce in their shade
  planting('p26', 's1', 'tomato', 'Brasa Roja', [2, 3], 16, '2027-05-12', 'grow'),
  { ...planting('p27', 's1', 'lettuce', 'Farolillo', [4, 4], 16, '2027-05-24', 'grow'), how: 'transplant' },
  // radishes out, peppers in
  planting('p28', 's2', 'pepper', 'Lumbre', [3, 4], 16, '2027-05-15', 'grow'),
  planting('p29', 'o1', 'french-bean', 'Vaina Fina', [1, 3], 20, '2027-05-28', 'grow'),
];

export const DEMO_PLANTINGS: Planting[] = [
  ...STANDING.map((p) => ({ ...p, clearedOn: CLEARED[p.id] ?? null })),
  ...PLANNED.map((p) => ({ ...p, planned: true })),
];
