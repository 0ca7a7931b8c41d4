/**
 * Colours, sizes and type of both themes. Ember means heat kept or an action that keeps it; frost means cold that
 * reaches a crop; ochre is caution; pine is a crop, growing. Each meaning also has a shape, a pattern or a word.
 */
export interface Palette {
  name: 'day' | 'night';
  ground: string;
  raised: string;
  ink: string;
  quiet: string;
  hairline: string;
  ember: string;
  emberFill: string;
  onEmber: string;
  soil: string;
  frost: string;
  frostFill: string;
  ochre: string;
  pine: string;
  band: string;
  grid: string;
}

/** Hoarfrost and spruce-black; text at 7:1 and better. */
export const DAY: Palette = {
  name: 'day',
  ground: '#ecf2f2',
  raised: '#f8fbfb',
  ink: '#0f1f1c',
  quiet: '#384c47',
  hairline: '#bccac7',
  ember: '#8f2d04',
  emberFill: '#c2410c',
  onEmber: '#ffffff',
  soil: '#f4e1d5',
  frost: '#123f8a',
  frostFill: '#d3e2f7',
  ochre: '#664500',
  pine: '#1d5730',
  band: '#c5d0ce',
  grid: '#d5dfdd',
};

/** Spruce-black and warm grey, nothing large and bright. */
export const NIGHT: Palette = {
  name: 'night',
  ground: '#0b1412',
  raised: '#121e1b',
  ink: '#e2dccf',
  quiet: '#a9b2aa',
  hairline: '#2b3a36',
  ember: '#ff9257',
  emberFill: '#ff8a4c',
  onEmber: '#1a0b02',
  soil: '#2a1a10',
  frost: '#9cc1ff',
  frostFill: '#13233f',
  ochre: '#e6bb5c',
  pine: '#8ccf96',
  band: '#2c3b38',
  grid: '#1d2a27',
};

export const FONT = {
  figure: 'BarlowCondensed_600SemiBold',
  label: 'BarlowCondensed_500Medium',
  text: 'AtkinsonHyperlegibleNext_400Regular',
  strong: 'AtkinsonHyperlegibleNext_600SemiBold',
} as const;

/** The few sizes, px at 100 %. */
export const SIZE = { small: 14, text: 16, label: 17, figure: 24, title: 30, hero: 52 } as const;

/** Smallest target for a wet glove. */
export const TOUCH = 48;
export const WIDE = 1000;
