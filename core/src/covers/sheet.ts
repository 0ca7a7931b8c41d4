/**
 * The sheet that a bed needs. Contract: `sheetFor` gives width and length with the working in words; `sheetNeeds` says
 * which beds of a farm need one; `lackingSheets` which of them no piece in stock can serve, each piece given once.
 */
import type { Bed, Cover, Structure } from '../farm/types';
import { archLengthM } from '../heat/geometry';
import { fitCover, isFit } from '../night/options';

export interface SheetInput {
  lengthM: number;
  widthM: number;
  /** Height of the hoops, 0 for a sheet laid flat. */
  hoopHeightM: number;
  /** What lies on the ground on each side, m. */
  sideM: number;
  /** Closed ends come down to the ground and lie on it; open ones only reach over the last hoop. */
  ends: 'closed' | 'open';
}

export interface SheetSize {
  widthM: number;
  lengthM: number;
  arcM: number;
  endM: number;
}

export const USUAL_SIDE_M = 0.2;
const END_SKIRT_M = 0.2;
const OPEN_END_M = 0.1;
/** Sheets are marked and cut to a tenth of a metre. */
const up = (m: number) => Math.ceil(m * 10 - 1e-6) / 10;

/**
 * Width is the arc over the hoops (half an ellipse) and both sides; length the bed and both ends.
 * @example sheetFor({ lengthM: 20, widthM: 0.9, hoopHeightM: 0.5, sideM: 0.2, ends: 'closed' }).lengthM // 21.4
 */
export function sheetFor(i: SheetInput): SheetSize {
  const arcM = i.hoopHeightM > 0 ? archLengthM(i.widthM, i.hoopHeightM) : i.widthM;
  const endM = i.ends === 'closed' ? i.hoopHeightM + END_SKIRT_M : OPEN_END_M;
  return { widthM: up(arcM + 2 * i.sideM), lengthM: up(i.lengthM + 2 * endM), arcM, endM };
}

export interface SheetNeed {
  bedId: string;
  bedName: string;
  widthM: number;
  lengthM: number;
}

/**
 * Beds with hoops of their own: one sheet each, with closed ends.
 * @example sheetNeeds([aStructure()], [aBed()]).length // 1
 */
export function sheetNeeds(structures: readonly Structure[], beds: readonly Bed[]): SheetNeed[] {
  return beds.flatMap((bed) => {
    const s = structures.find((x) => x.id === bed.structureId);
    if (!s || bed.hoopHeightM <= 0 || s.kind === 'frame' || s.kind === 'tunnel') return [];
    const size = sheetFor({ ...bed, sideM: USUAL_SIDE_M, ends: 'closed' });
    return [{ bedId: bed.id, bedName: `${s.name} ${bed.name}`, widthM: size.widthM, lengthM: size.lengthM }];
  });
}

/**
 * Beds left without a sheet when every piece in stock is given to one that it fits, as many as can be (Kuhn's matching).
 * @example lackingSheets([aStructure()], [aBed()], []).length // 1
 */
export function lackingSheets(
  structures: readonly Structure[],
  beds: readonly Bed[],
  covers: readonly Cover[],
): SheetNeed[] {
  const needs = sheetNeeds(structures, beds);
  const pieces = covers
    .filter((c) => c.use === 'hoops' && c.condition !== 'torn')
    .flatMap((c) => Array.from({ length: c.count }, () => c));
  const fits = needs.map((n) => {
    const bed = beds.find((b) => b.id === n.bedId)!;
    const s = structures.find((x) => x.id === bed.structureId)!;
    return pieces.map((p) => {
      const fit = fitCover(p, s, bed);
      return isFit(fit) && fit.pieces === 1;
    });
  });
  const holder = new Array<number>(pieces.length).fill(-1);
  const give = (need: number, seen: boolean[]): boolean => {
    for (let p = 0; p < pieces.length; p++) {
      if (!fits[need]![p] || seen[p]) continue;
      seen[p] = true;
      if (holder[p] === -1 || give(holder[p]!, seen)) {
        holder[p] = need;
        return true;
      }
    }
    return false;
  };
  return needs.filter((_, n) => !give(n, new Array<boolean>(pieces.length).fill(false)));
}

/**
 * Fewer sizes for the same beds: needs that differ little are cut alike, so that a sheet goes on any of them. A size is
 * shared while it costs no more than `extraShare` over what its beds need, and no bed is given much more than it needs.
 * @example sharedSizes([{ bedId: 'a', bedName: 'N1', widthM: 2, lengthM: 10 }]) // [{ widthM: 2, lengthM: 10, beds: ['N1'] }]
 */
export function sharedSizes(
  needs: readonly SheetNeed[],
  extraShare = 0.08,
): { widthM: number; lengthM: number; beds: string[] }[] {
  const sorted = [...needs].sort((a, b) => b.widthM - a.widthM || b.lengthM - a.lengthM);
  const groups: { widthM: number; lengthM: number; beds: string[]; areaM2: number; leastM2: number }[] = [];
  for (const n of sorted) {
    const area = n.widthM * n.lengthM;
    const found = groups.find((g) => {
      const w = Math.max(g.widthM, n.widthM);
      const l = Math.max(g.lengthM, n.lengthM);
      const shared = w * l * (g.beds.length + 1) <= (g.areaM2 + area) * (1 + extraShare);
      return shared && w * l <= Math.min(g.leastM2, area) * (1 + 2 * extraShare);
    });
    if (found) {
      found.widthM = Math.max(found.widthM, n.widthM);
      found.lengthM = Math.max(found.lengthM, n.lengthM);
      found.beds.push(n.bedName);
      found.areaM2 += area;
      found.leastM2 = Math.min(found.leastM2, area);
    } else
      groups.push({ widthM: n.widthM, lengthM: n.lengthM, beds: [n.bedName], areaM2: area, leastM2: area });
  }
  return groups.map(({ widthM, lengthM, beds }) => ({ widthM, lengthM, beds }));
}
