/** Asked before anything is set up: will it stand tonight? */
import { countWord, upper } from './counts';
import type { Telling } from '@fogata/core/words';

export const ask = {
  'ask.leaves': (v: { crop: string; leafC: number }, f: Telling) =>
    `The leaves of the ${v.crop.toLowerCase()} see ${f.t(v.leafC)}`,
  'ask.when': (v: { atMs: number; lowC: number; highC: number; verdict: string; odds: string }, f: Telling) =>
    ` about ${f.time(v.atMs)}, between ${f.t(v.lowC)} and ${f.t(v.highC)}: ${v.verdict}. ${v.odds}`,
  'ask.odds': (v: { tenths: number }) =>
    v.tenths === 0
      ? 'Of ten such nights none harms it.'
      : v.tenths === 10
        ? 'Such a night harms it.'
        : `${upper(countWord(v.tenths))} in ten such nights ${v.tenths === 1 ? 'harms' : 'harm'} it.`,
  'ask.besides': (v: { cover: string }) => `With ${v.cover.toLowerCase()} besides`,
  'ask.without': (v: { cover: string }) => `Without ${v.cover.toLowerCase()}`,
  'ask.openSky': () => 'Under the open sky',
  'ask.form': (v: { form: string; lengthM: number; widthM: number }, f: Telling) =>
    `A ${v.form} of ${f.length(v.lengthM)} × ${f.length(v.widthM)}, loam, moist, in ordinary repair.`,
  'ask.daysBefore': () => 'The days before were as usual for the season here: nobody has told of them.',
  'ask.covers': (v: { covers: readonly string[]; over: boolean }) =>
    `${v.covers.join(' and ')} ${v.over ? 'over it ' : ''}from now until tomorrow.`,
  'ask.hot': () => 'A closed house or frame heats fast in sun: open it before it is hot.',
  'ask.glass': () => 'Glass: gloves, and never lean on it.',
};
