/** What the libraries' entries are called: materials, forms of structures, what stands and opens in them, farms to start from, species. */
import type { Form, Zone } from '@fogata/core';
import type { MaterialId } from '@fogata/core';

/** Of a cover or a structure. */
export const MATERIAL_NAME: Record<MaterialId, string> = {
  'pe-film': 'house film',
  'pe-film-ir': 'thermal film',
  'polycarbonate-twin': 'twin-wall sheet',
  glass: 'glass',
  'glass-double': 'double glass',
  'perforated-film': 'perforated film',
  'fleece-17': 'fleece 17',
  'fleece-30': 'fleece 30',
  'fleece-50': 'fleece 50',
  'frost-blanket': 'frost blanket',
  'foil-blanket': 'foil blanket',
  tarp: 'tarp',
  'straw-mat': 'straw mat',
  'shade-30': 'shade cloth 30',
  'shade-50': 'shade cloth 50',
};

/** What a structure is in a grower's words. */
export const FORM_NAME: Record<Form, string> = {
  'hoop-house': 'hoop house',
  'walk-in-tunnel': 'walk-in tunnel',
  greenhouse: 'glass or film greenhouse',
  'cold-frame': 'cold frame',
  'hot-bed': 'hot bed',
  'low-tunnel': 'low tunnel',
  cloche: 'cloche',
  'open-ground': 'open ground',
  'bench-row': 'bench or crate row',
  'nursery-shelf': 'nursery shelf',
};

/** A bed's place in its structure. */
export const ZONE_WORD: Record<Zone, string> = {
  centre: 'centre',
  door: 'by the door',
  'side-left': 'left side',
  'side-right': 'right side',
  shelf: 'upper shelf',
};

/** What a new structure is called. */
export const STRUCTURE_NAME = {
  house: 'House',
  bigHouse: 'Big house',
  smallHouse: 'Small house',
  walkInTunnel: 'Walk-in tunnel',
  longTunnel: 'Long tunnel',
  glasshouse: 'Glasshouse',
  frames: 'Frames',
  smallFrame: 'Small frame',
  hotBed: 'Hot bed',
  lowTunnels: 'Low tunnels',
  cloches: 'Cloches',
  openBeds: 'Open beds',
  benches: 'Benches',
  nurseryShelf: 'Nursery shelf',
};

/** What opens in it. */
export const OPENING_NAME = {
  doors: 'Doors',
  rollUpSides: 'Roll-up sides',
  lid: 'Lid',
  roofLights: 'Roof lights',
  oneSideLifted: 'One side lifted',
  ends: 'Ends',
  front: 'Front',
};

/** Farms as they often are. */
export const START_NAME = {
  'house-frames': 'a house and frames',
  houses: 'two houses',
  tunnels: 'low tunnels and open beds',
  frames: 'a few cold frames',
};

/** Sheets as most farms have them. */
export const CLOTH_NAME = {
  fleece: 'Fleece 30',
  blanket: 'Frost blanket',
  film: 'Film',
  laid: 'Fleece 17',
};

/** A farm before it has a name; forecasts by where they come from. */
export const NEW_FARM = 'My farm';
export const FORECAST_NAME = { typed: 'typed forecast', simulated: 'simulated forecast' };
export const areaName = (n: number): string => `Area ${n}`;

/** Crops that cross. */
export const SPECIES_NAME = {
  lettuce: 'lettuce',
  endive: 'endive',
  chicory: 'chicory',
  spinach: 'spinach',
  beet: 'beet',
  turnipKin: 'turnip kin',
  cabbageKin: 'cabbage kin',
  radish: 'radish',
  celery: 'celery',
  onion: 'onion',
  tomato: 'tomato',
  pepper: 'pepper',
  aubergine: 'aubergine',
  pea: 'pea',
  bean: 'bean',
  broadBean: 'broad bean',
  maize: 'maize',
  mache: 'mâche',
  claytonia: 'claytonia',
};
