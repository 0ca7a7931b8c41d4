/**
 * Where a bed's heat goes at one hour, in plain words: each way out with its watts and its share, the largest first.
 * Input is `HeatFlows` per m² of the outermost floor, positive out of the bed.
 */
import type { HeatFlows } from '../heat/run';

export interface FlowLine {
  words: string;
  wattsM2: number;
  /** Of all that leaves (or comes in), 0 to 1. */
  share: number;
  way: 'out' | 'in';
}

const WAYS: { key: keyof HeatFlows; out: string; in: string }[] = [
  { key: 'skyWm2', out: 'radiates to the sky', in: 'comes from the warm sky' },
  { key: 'convectionWm2', out: 'goes to the wind outside', in: 'comes from the milder air outside' },
  { key: 'leakageWm2', out: 'leaves through joints and fabric', in: 'comes in through joints and fabric' },
  { key: 'ventWm2', out: 'leaves through what stands open', in: 'comes in through what stands open' },
  { key: 'boardsWm2', out: 'goes through the boards', in: 'comes through the boards' },
  { key: 'vapourWm2', out: 'leaves with the damp', in: 'comes with dew' },
  { key: 'sideWm2', out: 'seeps sideways into colder ground', in: 'seeps in from warmer ground beside it' },
  { key: 'deepWm2', out: 'sinks into the deep ground', in: 'rises from the deep ground' },
];

/**
 * "a third", "most", "a tenth": how a grower says a share.
 * @example shareWords(0.5) // 'half'
 */
export function shareWords(share: number): string {
  if (share > 0.9) return 'nearly all';
  if (share > 0.6) return 'most';
  if (share > 0.45) return 'half';
  if (share > 0.29) return 'a third';
  if (share > 0.2) return 'a quarter';
  if (share > 0.12) return 'a sixth';
  return share > 0.06 ? 'a tenth' : 'a little';
}

/** Ways out first, then ways in; what is under half a watt is left out. Sun and what soil and water give up count as coming in. */
export function flowLines(f: HeatFlows): FlowLine[] {
  const out: { words: string; w: number }[] = [];
  const into: { words: string; w: number }[] = [];
  for (const way of WAYS) {
    const w = f[way.key];
    if (w > 0.5) out.push({ words: way.out, w });
    if (w < -0.5) into.push({ words: way.in, w: -w });
  }
  if (f.sunWm2 > 0.5) into.push({ words: 'comes from sun and heaters', w: f.sunWm2 });
  if (f.storedWm2 < -0.5) into.push({ words: 'is given up by soil, water and air', w: -f.storedWm2 });
  if (f.storedWm2 > 0.5) out.push({ words: 'is stored in soil, water and air', w: f.storedWm2 });
  const lines = (list: typeof out, way: FlowLine['way']): FlowLine[] => {
    const sum = list.reduce((s, x) => s + x.w, 0);
    return list
      .sort((a, b) => b.w - a.w)
      .map((x) => ({ words: `${shareWords(x.w / sum)} ${x.words}`, wattsM2: x.w, share: x.w / sum, way }));
  };
  return [...lines(out, 'out'), ...lines(into, 'in')];
}
