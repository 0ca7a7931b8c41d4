/** Where a bed's heat goes, and what could lie on it. */
import type { HeatFlows } from '@fogata/core';
import type { Telling } from '@fogata/core/words';

type Way = keyof HeatFlows;
const OUT: Partial<Record<Way, string>> = {
  skyWm2: 'radiates to the sky',
  convectionWm2: 'goes to the wind outside',
  leakageWm2: 'leaves through joints and fabric',
  ventWm2: 'leaves through what stands open',
  boardsWm2: 'goes through the boards',
  vapourWm2: 'leaves with the damp',
  sideWm2: 'seeps sideways into colder ground',
  deepWm2: 'sinks into the deep ground',
  storedWm2: 'is stored in soil, water and air',
};
const IN: Partial<Record<Way, string>> = {
  skyWm2: 'comes from the warm sky',
  convectionWm2: 'comes from the milder air outside',
  leakageWm2: 'comes in through joints and fabric',
  ventWm2: 'comes in through what stands open',
  boardsWm2: 'comes through the boards',
  vapourWm2: 'comes with dew',
  sideWm2: 'seeps in from warmer ground beside it',
  deepWm2: 'rises from the deep ground',
  sunWm2: 'comes from sun and heaters',
  storedWm2: 'is given up by soil, water and air',
};

/** "a third", "most", "a tenth": how a grower says a share. */
function shareWords(share: number): string {
  if (share > 0.9) return 'nearly all';
  if (share > 0.6) return 'most';
  if (share > 0.45) return 'half';
  if (share > 0.29) return 'a third';
  if (share > 0.2) return 'a quarter';
  if (share > 0.12) return 'a sixth';
  return share > 0.06 ? 'a tenth' : 'a little';
}

export const heat = {
  'heat.out': (v: { of: Way; share: number }) => `${shareWords(v.share)} ${OUT[v.of]}`,
  'heat.in': (v: { of: Way; share: number }) => `${shareWords(v.share)} ${IN[v.of]}`,

  'fit.elsewhere': () => 'is in another house',
  'fit.crates': () => 'only crates and pots can be carried in',
  'fit.over': () => 'goes over frames and tunnels',
  'fit.noRoom': () => 'no room for hoops in there',
  'fit.noHoops': () => 'the bed has no hoops',
  'fit.narrow': (v: { byM: number }, tell: Telling) => `too narrow by ${tell.length(v.byM)}`,
  'fit.short': () => 'too short',
  'try.four': () => 'Four layers are the most that can be worked out.',
  'try.flat': () => 'Something lies flat on the crop already.',
  'try.noRoom': () => 'There is no room for hoops in there.',

  'verdict.word': (v: { word: string }) => v.word,
  'verdict.plants': (v: { tenths: number }) => `${v.tenths} in 10 plants lost`,
  'verdict.leaves': (v: { word: string; tenths: number }) => `${v.word} on ${v.tenths} in 10 leaves`,
  'verdict.flowersAll': () => 'flowers lost',
  'verdict.flowers': (v: { tenths: number }) => `${v.tenths} in 10 flowers lost`,
  'verdict.checked': () => 'growth checked',
  'verdict.close': () => 'close',
  'verdict.safe': () => 'safe',
};
