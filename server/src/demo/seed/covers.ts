/** Rescoldo's covers in stock. */
import type { Cover } from '@fogata/core';

function cover(
  id: string,
  name: string,
  material: Cover['material'],
  lengthM: number,
  widthM: number,
  count: number,
  use: Cover['use'],
  minutes: number,
  order: number,
  keptAt: string,
  condition: Cover['condition'] = 'good',
): Cover {
  return { id, name, material, plies: 1, lengthM, widthM, count, use, minutes, order, keptAt, condition };
}

/** Not enough for everything: seven sheets of fleece for nine beds on hoops, two blankets. */
export const DEMO_COVERS: Cover[] = [
  cover('fleece30', 'Fleece 30', 'fleece-30', 24, 2.1, 4, 'hoops', 6, 0, 'shed, left wall'),
  cover('fleece50', 'Fleece 50', 'fleece-50', 18, 2.1, 2, 'hoops', 6, 1, 'shed, left wall', 'worn'),
  cover('blanket', 'Frost blanket', 'frost-blanket', 23, 2.4, 2, 'hoops', 9, 2, 'shed, loft'),
  cover(
    'fleece17',
    'Fleece 17, flat',
    'fleece-17',
    22,
    1.6,
    2,
    'flat',
    4,
    3,
    'North house, by the door',
    'worn',
  ),
  cover('strawmat', 'Straw mat', 'straw-mat', 3.8, 1.4, 2, 'over', 3, 4, 'by the frames'),
  cover('film', 'Tunnel film, spare', 'pe-film', 17, 2.2, 1, 'hoops', 7, 5, 'shed, loft'),
  // where the crates of the bench may stand for a night
  { ...cover('packing', 'Packing room', 'tarp', 1, 1, 30, 'indoors', 0.6, 6, 'by the yard'), nightC: 6 },
];
