/** Wind and snow on a structure. */
import type { Telling } from '@fogata/core/words';

export const storm = {
  'wind.beyond': (v: { structure: string }) => `${v.structure}: wind beyond what it may bear`,
  'wind.lash': (v: { structure: string }) => `${v.structure}: lash and close up`,
  'wind.weigh': (v: { structure: string }) => `${v.structure}: weigh it down`,
  'wind.sheets': () => 'Weigh down every sheet, ends first.',
  'wind.edges': () => 'Weigh down the edges',
  'wind.windward': () => 'close the windward end',
  'wind.lids': () => 'Shut and tie the lids; loose glass flies.',
  'wind.shut': () => 'Shut the windward end and side',
  'wind.loose': () => 'lash what is loose, check the film’s fixings',
  'wind.leave': () => 'leave it: stay out of it while it blows',
  'wind.fabric': () => 'take the fabric off before it comes, if what stands there bears the night',
  'wind.load': (
    v: { gustMps: number; side: 'long' | 'short' | null; pushKn: number; ratedMps: number | null },
    f: Telling,
  ) =>
    `Gusts to about ${f.speed(v.gustMps)}${v.side ? ` on its ${v.side} side` : ''}${v.pushKn >= 0.5 ? `, a push of ${v.pushKn.toFixed(1)} kN` : ''}${v.ratedMps ? `; its maker rates it for ${f.speed(v.ratedMps)}` : ''}.`,
  'wind.rated': () => 'The rating holds for sound anchors and film. The tool knows neither.',
  'wind.unrated': (v: { structure: string }) =>
    `No wind rating is entered for ${v.structure}: nobody here can say what it bears. The maker or an engineer can.`,
  'snow.beyond': (v: { structure: string }) => `${v.structure}: snow beyond what it may bear`,
  'snow.on': (v: { structure: string }) => `${v.structure}: snow on it`,
  'snow.props': () => 'Set props under the ridge before it falls',
  'snow.clear': () => 'clear snow from outside as it gathers, both sides evenly',
  'snow.brush': () => 'Brush it off from outside before it packs',
  'snow.nobody': () => 'nobody goes in while it lies',
  'snow.load': (v: { kgM2: number; ratedKgM2: number | null }, f: Telling) =>
    `Up to ${f.load(v.kgM2)} if none slides${v.ratedKgM2 ? `; its maker rates it for ${f.load(v.ratedKgM2)}` : ''}.`,
  'snow.rated': () => 'The rating holds for an even load and a sound frame. Never go in under a loaded roof.',
  'snow.unrated': (v: { structure: string }) =>
    `No snow rating is entered for ${v.structure}: nobody here can say what it bears. Never go in under a loaded roof.`,
};
