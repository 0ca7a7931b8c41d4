/** One bed: its layers, its ribbon, what could lie there, what its readings taught. */
import type { CoverUse } from '@fogata/core';
import type { Telling } from '@fogata/core/words';
import { figured, percent } from './counts';
import { jobs } from './jobs';

const way = (use: CoverUse) => jobs['way.of']({ use });

export const places = {
  'layer.inHouse': () => 'in the house',
  'layer.inNamed': (v: { structure: string }) => `in ${v.structure}`,
  'layer.inFrame': () => 'in the frame',
  'layer.inTunnel': () => 'in the tunnel',
  'layer.underShade': () => 'under shade cloth',
  'layer.under': (v: { cover: string }) => `under ${v.cover.toLowerCase()}`,
  'layer.underMaterial': (v: { material: string }) => `under ${v.material}`,
  'layer.nth': (v: { n: number }) => `layer ${v.n}`,
  'mark.on': (v: { covers: readonly string[] }) => `${v.covers.map((c) => c.toLowerCase()).join(', ')} on`,
  'mark.thawed': (v: { atMs: number }, f: Telling) => `thawed ${f.time(v.atMs)}`,

  'trial.shade': () => 'Shade cloth',
  'trial.shade.note': () => 'stays on the structure',
  'trial.shut': () => 'shut',
  'trial.open': (v: { open: number; toShut: boolean }) =>
    `${percent(v.open)} open now${v.toShut ? ', to be shut' : ''}`,
  'trial.second': (v: { cover: string }) => `${v.cover}, a second one`,
  'trial.on': (v: { use: CoverUse }) => `on now, ${way(v.use)}`,
  'trial.planned': (v: { use: CoverUse }) => `planned, ${way(v.use)}`,
  'trial.could': (v: { use: CoverUse; lengthM: number }, f: Telling) =>
    `${way(v.use)} · ${f.length(v.lengthM)}`,
  'trial.stock': (v: { free: number; of: number }) => `${v.free} of ${v.of} free`,

  'learnt.house': (
    v: {
      structure: string;
      nights: number;
      hangsK: number;
      leakage: number;
      fromK: number;
      toK: number;
    },
    f: Telling,
  ) => {
    const off = Math.abs(Math.log(v.leakage)) > 0.08;
    const leaks = off
      ? `, leaks ${v.leakage > 1 ? 'more' : 'less'} than the book's by ${percent(Math.abs(v.leakage - 1))}`
      : '';
    return `${v.structure}, from ${figured(v.nights, 'night')}: it hangs ${f.diff(v.hangsK)} from the book${leaks}. The doubt about that is down from ±${f.apart(v.fromK)} to ±${f.apart(v.toK)}.`;
  },
};
