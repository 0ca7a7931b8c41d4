/** A small invented farm, as a journey sets it up through the API: one house, one bed, one sheet, one crop. */
import { aBed, aCover, aStructure } from '../../core/tests/fixtures';

export const DEMO = {
  farm: { name: 'Umbral', latitude: 42.7, longitude: -5.4, elevationM: 860, timeZone: 'Europe/Madrid' },
  structure: aStructure({ id: 'north', name: 'North house', lengthM: 24, widthM: 7, heightM: 2.9 }),
  bed: aBed({ id: 'n2', structureId: 'north', name: 'N2', lengthM: 22 }),
  cover: aCover({ id: 'fleece30', name: 'Fleece 30', lengthM: 24, count: 1 }),
  planting: {
    bedId: 'n2',
    crop: 'lettuce',
    cultivar: 'Farolillo',
    fromRow: 1,
    toRow: 4,
    lengthM: 22,
    plantedOn: '2026-10-12',
    clearedOn: null,
    aim: 'survive',
    note: '',
  },
};
