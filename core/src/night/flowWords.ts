/**
 * Where a bed's heat goes at one hour, in plain words: each way out with its watts and its share, the largest first.
 * Input is `HeatFlows` per m² of the outermost floor, positive out of the bed.
 */
import type { HeatFlows } from '../heat/run';
import { said, type Said } from '../words/said';

export interface FlowLine {
  words: Said;
  wattsM2: number;
  /** Of all that leaves (or comes in), 0 to 1. */
  share: number;
  way: 'out' | 'in';
}

const WAYS = [
  'skyWm2',
  'convectionWm2',
  'leakageWm2',
  'ventWm2',
  'boardsWm2',
  'vapourWm2',
  'sideWm2',
  'deepWm2',
] as const;

/**
 * Ways out first, then ways in; what is under half a watt is left out. Sun and what soil and water give up count as coming in.
 * @example flowLines({ skyWm2: 60, convectionWm2: 0, leakageWm2: 0, ventWm2: 0, boardsWm2: 0, vapourWm2: 0, sideWm2: 0, deepWm2: 0, sunWm2: 0, storedWm2: -60 })[0].words // { say: 'heat.out', values: { of: 'skyWm2', share: 1 } }
 */
export function flowLines(f: HeatFlows): FlowLine[] {
  const out: { of: keyof HeatFlows; w: number }[] = [];
  const into: typeof out = [];
  for (const of of WAYS) {
    const w = f[of];
    if (w > 0.5) out.push({ of, w });
    if (w < -0.5) into.push({ of, w: -w });
  }
  if (f.sunWm2 > 0.5) into.push({ of: 'sunWm2', w: f.sunWm2 });
  if (f.storedWm2 < -0.5) into.push({ of: 'storedWm2', w: -f.storedWm2 });
  if (f.storedWm2 > 0.5) out.push({ of: 'storedWm2', w: f.storedWm2 });
  const lines = (list: typeof out, way: FlowLine['way']): FlowLine[] => {
    const sum = list.reduce((s, x) => s + x.w, 0);
    return list
      .sort((a, b) => b.w - a.w)
      .map(({ of, w }) => {
        const share = w / sum;
        return { words: said(way === 'out' ? 'heat.out' : 'heat.in', { of, share }), wattsM2: w, share, way };
      });
  };
  return [...lines(out, 'out'), ...lines(into, 'in')];
}
