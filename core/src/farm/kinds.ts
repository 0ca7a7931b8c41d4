/** The words that a farm's things are told by, as lists, so that doors can check by them. */

/** House: one air over all its beds. Frame and tunnel: one for each bed. Open: nothing. */
export const KINDS = ['house', 'frame', 'tunnel', 'open'] as const;
export type StructureKind = (typeof KINDS)[number];

/** What it is in a grower's words. */
export const FORMS = [
  'hoop-house',
  'walk-in-tunnel',
  'greenhouse',
  'cold-frame',
  'hot-bed',
  'low-tunnel',
  'cloche',
  'open-ground',
  'bench-row',
  'nursery-shelf',
] as const;
export type Form = (typeof FORMS)[number];

export const OPENING_KINDS = ['door', 'roll-up', 'lid', 'hinged'] as const;
export const SHADES = ['shade-30', 'shade-50'] as const;
export const HEATS = ['manure', 'cable', 'air'] as const;

/** Corners with a climate of their own. */
export const ZONES = ['centre', 'door', 'side-left', 'side-right', 'shelf'] as const;
export type Zone = (typeof ZONES)[number];

export const CONDITIONS = ['good', 'worn', 'torn'] as const;
export type Condition = (typeof CONDITIONS)[number];

export const HOWS = ['sow', 'transplant'] as const;

/** What is done with a planting from seed to clearing. */
export const STEPS = ['sow', 'prick', 'harden', 'plant', 'gaps', 'pick', 'clear'] as const;
export type StepId = (typeof STEPS)[number];

/** How a sheet lies: on hoops, laid on the crop, or over a frame or tunnel; `indoors` is a place that crates are carried into. */
export const USES = ['hoops', 'flat', 'over', 'indoors'] as const;
export type CoverUse = (typeof USES)[number];
