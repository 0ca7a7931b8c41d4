/** What is in Rescoldo's seed box; cultivars and their figures are invented. */
import type { Cultivar, SeedLot } from '@fogata/core';

const plain = { liked: 'plain', note: '' } as const;

export const DEMO_CULTIVARS: Cultivar[] = [
  {
    id: 'cv-brasa',
    crop: 'spinach',
    name: 'Brasa Verde',
    figures: { harvest_degree_days: 400 },
    ...plain,
    liked: 'yes',
  },
  { id: 'cv-rescoldina', crop: 'carrot', name: 'Rescoldina', figures: { height_m: 0.3 }, ...plain },
  { id: 'cv-farolillo', crop: 'lettuce', name: 'Farolillo', figures: { spacing_m: 0.25 }, ...plain },
  {
    id: 'cv-perdigon',
    crop: 'radish',
    name: 'Perdigón',
    figures: {},
    ...plain,
    liked: 'never',
    note: 'Split in every thaw.',
  },
];

const lot = (
  id: string,
  crop: string,
  cultivar: string,
  year: number,
  grams: number | null,
  more: Partial<SeedLot> = {},
): SeedLot => ({ id, crop, cultivar, year, tested: null, grams, seeds: null, note: '', ...more });

export const DEMO_LOTS: SeedLot[] = [
  lot('lot-1', 'spinach', 'Brasa Verde', 2026, 420),
  lot('lot-2', 'spinach', 'Brasa Verde', 2023, 90, { tested: { share: 0.58, on: '2026-08-20' } }),
  lot('lot-3', 'lettuce', 'Farolillo', 2026, null, { seeds: 2400 }),
  lot('lot-4', 'carrot', 'Rescoldina', 2025, 60),
  lot('lot-5', 'parsnip', 'Marfil', 2024, 25),
  lot('lot-6', 'spring-cabbage', 'Corazón de Enero', 2026, 4),
  lot('lot-7', 'turnip', 'Luna Chica', 2025, 18),
  lot('lot-8', 'tomato', 'Brasa Roja', 2025, null, { seeds: 120 }),
  lot('lot-9', 'french-bean', 'Vaina Fina', 2026, 900),
];
