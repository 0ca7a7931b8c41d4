/** The morning after: what was said and what was measured. */
import type { Telling } from '@fogata/core/words';

export const reports = {
  'report.outside': () => 'Outside',
  'report.notRead': () => 'Not read.',
  'report.noPrediction': (v: { minC: number }, f: Telling) =>
    `Measured ${f.t(v.minC)}. Nothing was predicted for it.`,
  'report.asPredicted': () => 'As predicted.',
  'report.off': (v: { offK: number; inside: boolean }, f: Telling) => off(v, f),
  'report.parts': (v: { offK: number; inside: boolean; weatherK: number; modelK: number }, f: Telling) =>
    `${off(v, f)} The weather's part ${f.diff(v.weatherK)}, the model's ${f.diff(v.modelK)}.`,
  'report.low': (v: { minC: number }, f: Telling) => `${f.t(v.minC)} outside`,
  'report.saidLow': (v: { midC: number }, f: Telling) => `, said ${f.t(v.midC)}. `,
  'report.stop': () => '. ',
  'report.none': () => 'No structure has been read for this night.',
  'report.within': () => 'Inside, every thermometer was within its band.',
  'report.without': (v: { structures: readonly string[] }) =>
    `${v.structures.join(' and ')} fell outside the band.`,
};

function off(v: { offK: number; inside: boolean }, f: Telling): string {
  return `${f.apart(v.offK)} ${v.offK < 0 ? 'colder' : 'milder'} than predicted, ${v.inside ? 'inside' : 'outside'} the band.`;
}
