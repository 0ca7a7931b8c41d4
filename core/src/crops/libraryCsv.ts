/**
 * The library as CSV. Contract: `libraryCsv()` is every crop, a row each, with the columns that docs/formats.md lists, units in the
 * headers; empty where a value does not apply. Numbers as they stand in the tables.
 */
import Papa from 'papaparse';
import { CROPS, leafDeathC, type Crop } from './crops';

type Cell = string | number | null;

const COLUMNS: readonly (readonly [header: string, of: (c: Crop) => Cell])[] = [
  ['id', (c) => c.id],
  ['name', (c) => c.name],
  ['family', (c) => c.family],
  ['group', (c) => c.group],
  ['aim', (c) => c.aim],
  ['habit', (c) => c.habit],
  ['leaf_damage_soft_c', (c) => c.damageC[0]],
  ['leaf_damage_hard_c', (c) => c.damageC[1]],
  ['leaf_death_soft_c', (c) => round(leafDeathC(c)[0])],
  ['leaf_death_hard_c', (c) => round(leafDeathC(c)[1])],
  ['death_soft_c', (c) => c.deathC[0]],
  ['death_hard_c', (c) => c.deathC[1]],
  ['root_death_soft_c', (c) => c.rootC[0]],
  ['root_death_hard_c', (c) => c.rootC[1]],
  ['flower_loss_c', (c) => c.flowerC],
  ['fruit_loss_c', (c) => c.fruitC],
  ['chilling_c', (c) => c.chillingC],
  ['heat_stop_c', (c) => c.stopC],
  ['heat_spoil_c', (c) => c.spoilC],
  ['hardening_days', (c) => c.hardenDays],
  ['base_c', (c) => c.baseC],
  ['best_c', (c) => c.bestC],
  ['upper_c', (c) => c.upperC],
  ['emergence_min_c', (c) => c.emergence?.minC ?? null],
  ['emergence_best_c', (c) => c.emergence?.bestC ?? null],
  ['emergence_max_c', (c) => c.emergence?.maxC ?? null],
  ['emergence_degree_days', (c) => c.emergence?.degreeDays ?? null],
  ['plant_out_degree_days', (c) => c.raiseDd],
  ['harvest_degree_days', (c) => c.pickDd],
  ['stand_degree_days', (c) => c.standDd],
  ['regrowth_degree_days', (c) => c.againDd],
  ['light_standstill_mol_m2_day', (c) => c.light.darkMol],
  ['light_full_mol_m2_day', (c) => c.light.fullMol],
  ['bolts_by', (c) => c.bolts.by],
  ['bolt_day_length_h', (c) => c.bolts.dayH],
  ['bolt_cold_days', (c) => c.bolts.coldDays],
  ['height_m', (c) => c.heightM],
  ['spread_m', (c) => c.spreadM],
  ['spacing_m', (c) => c.spacingM],
  ['rows_per_m', (c) => c.rowsPerM],
  ['sow_depth_mm', (c) => c.sowing?.depthMm ?? null],
  ['sow_in', (c) => c.sowing?.wants ?? null],
  ['germs_per_seed', (c) => c.sowing?.germs ?? null],
  ['seed_mg', (c) => c.sowing?.seedMg ?? null],
  ['germination', (c) => c.sowing?.germination ?? null],
  ['seed_life_years', (c) => c.sowing?.halfLifeYears ?? null],
  ['yield_kg_per_m', (c) => c.yieldKgPerM],
  ['cuts', (c) => c.cuts],
  ['nitrogen_g_m2', (c) => c.nitrogenGM2],
  ['shared_diseases', (c) => c.shares.join('; ')],
  ['years_away', (c) => c.yearsAway],
  ['rain_sensitive', (c) => (c.rainSensitive ? 'yes' : 'no')],
  ['pot_l', (c) => c.pot?.litres ?? null],
  ['pot_water_ml_day', (c) => c.pot?.mlDay ?? null],
];
const round = (x: number) => Math.round(x * 100) / 100;

export const LIBRARY_COLUMNS: readonly string[] = COLUMNS.map(([header]) => header);

/**
 * The library as a table, a crop a row.
 * @example libraryCsv().split('\n')[0].startsWith('id,') // true
 */
export function libraryCsv(crops: readonly Crop[] = CROPS): string {
  const data = crops.map((c) => COLUMNS.map(([, of]) => of(c) ?? ''));
  return `${Papa.unparse({ fields: [...LIBRARY_COLUMNS], data }, { newline: '\n' })}\n`;
}
