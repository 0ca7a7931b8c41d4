/** The list of jobs: what is to be done, and why. */
import type { CoverUse } from '@fogata/core';
import type { Telling } from '@fogata/core/words';
import { figured, percent, tenths } from './counts';

const VERB: Record<CoverUse, string> = { hoops: 'on', flat: 'laid on', over: 'over', indoors: 'in' };
const WAY: Record<CoverUse, string> = {
  hoops: 'on hoops',
  flat: 'laid on',
  over: 'over it',
  indoors: 'carried in',
};

export const jobs = {
  'way.of': (v: { use: CoverUse }) => WAY[v.use],
  'names.double': (v: { bed: string }) => `${v.bed} (double)`,
  'names.way': (v: { cover: string; use: CoverUse }) => `${v.cover} (${WAY[v.use]})`,

  'job.cover': (v: { cover: string; use: CoverUse; beds: readonly string[] }, f: Telling) =>
    `${v.cover} ${VERB[v.use]} ${f.and(v.beds)}`,
  'job.off': (v: { cover: string; beds: readonly string[] }, f: Telling) => `${v.cover} off ${f.and(v.beds)}`,
  'job.lift': (v: { cover: string; beds: readonly string[] }, f: Telling) =>
    `Lift ${v.cover} off ${f.and(v.beds)}`,
  'job.down': (v: { place: string; beds: readonly string[] }, f: Telling) =>
    `Set ${f.and(v.beds)} down: ${v.place}`,
  'job.backUp': (v: { beds: readonly string[] }, f: Telling) => `Lift ${f.and(v.beds)} back up`,
  'job.in': (v: { place: string; beds: readonly string[] }, f: Telling) =>
    `Carry ${f.and(v.beds)} into ${v.place}`,
  'job.backOut': (v: { beds: readonly string[] }, f: Telling) => `Carry ${f.and(v.beds)} back out`,
  'job.close': (v: { structure: string }) => `Close ${v.structure}`,

  'detail.crops': (v: { crops: readonly string[] }, f: Telling) => f.and(v.crops),
  'detail.layered': (v: { crops: readonly string[] }, f: Telling) => `${f.and(v.crops)} · another layer`,
  'detail.crates': (v: { crops: readonly string[]; crates: number; kg: number | null }, f: Telling) =>
    `${f.and(v.crops)} · ${figured(v.crates, 'crate')}${v.kg === null ? '' : `, ${f.mass(Math.round(v.kg))} in all`}`,
  'detail.elsewhere': () => 'it does more good elsewhere tonight',
  'detail.shut': () => 'doors and sides shut',
  'detail.open': (v: { open: number }) => `${percent(v.open)} open · doors and sides`,
  'detail.light': () => 'for the light, once it is borne',
  'detail.thawed': () => 'after the leaves have thawed',
  'detail.borne': () => 'when what is under it bears the morning',
  'detail.lifted': () => 'lifted',

  /** Parts without their full stops. */
  'why.all': (v: { parts: readonly string[] }) => `${v.parts.join('. ')}.`,
  'why.late': (v: { why: string }) =>
    `${v.why} With the hands and the time left it comes on after that: as soon as you can.`.trim(),
  'why.onBy': (v: { atMs: number }, f: Telling) => `On by ${f.time(v.atMs)}`,
  'why.overdue': (v: { beds: readonly string[] }, f: Telling) =>
    `With the hands and the time left ${f.and(v.beds)} cannot be covered when it does most: as soon as you can`,
  'why.bed': (v: { bed: string; afterC: number; beforeC: number; money: number }, f: Telling) =>
    `${v.bed}: leaf ${f.t(v.afterC)} instead of ${f.t(v.beforeC)}${v.money >= 1 ? `, saves about ${f.money(v.money)}` : ''}`,
  'why.blown': (v: { share: number }) =>
    `Wind or snow takes it off in ${tenths(v.share)} of 10 outcomes as sheets are mostly held: weigh it down twice, and look at it last`,
  'why.dark': (v: { k: number; atMs: number | null }, f: Telling) =>
    `Half an hour after sundown${v.atMs === null ? '' : ` (${f.time(v.atMs)})`} it would come out ${f.apart(v.k)} colder`,
  'why.shut': (v: { sunsetAtMs: number; money: number }, f: Telling) =>
    `${lastSun(v.sunsetAtMs, f)}; shutting it saves about ${f.money(v.money)}.`,
  'why.shut.little': (v: { sunsetAtMs: number; k: number }, f: Telling) =>
    `${lastSun(v.sunsetAtMs, f)}, and wind and snow stay out. By the model it changes the leaves by ${f.diff(v.k)} tonight, no more: under a clear still sky a single film can be colder than the air outside.`,
  'why.frozen': () =>
    'Frozen leaves break when touched, and sudden sun on them burns. The time is when nine of ten outcomes have thawed, and what stands there bears the rest of the morning without the cover.',
  'why.light': () =>
    'From then on what stands there bears the rest of the morning without the cover, in nine of ten outcomes; every hour of light counts now.',
};

function lastSun(sunsetAtMs: number, f: Telling): string {
  return `The last sun before ${f.time(sunsetAtMs)} goes into the soil instead of out of the door`;
}
