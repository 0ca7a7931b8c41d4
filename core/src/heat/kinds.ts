/** The words that the heat engine chooses by: materials, shapes, how tight, which soil. Lists, so that doors can check by them. */

export const MATERIAL_IDS = [
  'pe-film',
  'pe-film-ir',
  'polycarbonate-twin',
  'glass',
  'glass-double',
  'perforated-film',
  'fleece-17',
  'fleece-30',
  'fleece-50',
  'frost-blanket',
  'foil-blanket',
  'tarp',
  'straw-mat',
  'shade-30',
  'shade-50',
] as const;
export type MaterialId = (typeof MATERIAL_IDS)[number];
export const SHAPES = ['arch', 'box', 'flat'] as const;
export type Shape = (typeof SHAPES)[number];
/** How a frame stands: on the ground, with earth against its sides, or let into the ground. */
export const FOOTINGS = ['standing', 'banked', 'sunk'] as const;
export type Footing = (typeof FOOTINGS)[number];
export const TIGHTNESSES = ['tight', 'average', 'drafty'] as const;
export type Tightness = (typeof TIGHTNESSES)[number];
export const TEXTURES = ['sand', 'loam', 'clay', 'compost'] as const;
export type Texture = (typeof TEXTURES)[number];
export const WETNESSES = ['dry', 'moist', 'wet'] as const;
export type Wetness = (typeof WETNESSES)[number];
