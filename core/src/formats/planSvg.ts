/**
 * The plan of the farm as shapes, and as an SVG to scale. Contract: `planShapes` gives each structure and bed as a polygon in
 * metres, drawn by the screen and by `planSvg` alike; one unit of the SVG is a centimetre on the farm.
 */
import { bedCentres, cornersOf, extentOf, layoutOf, type Placed } from '../farm/layout';
import type { Bed, Structure } from '../farm/types';
import { bedPlace } from './geojson';

export interface PlanShape {
  id: string;
  what: 'structure' | 'bed';
  name: string;
  structureId: string;
  kind: Structure['kind'];
  corners: [number, number][];
  at: Placed;
}

/**
 * Structures first, then the beds over them.
 * @example planShapes([aStructure()], [aBed()]).length // 2
 */
export function planShapes(structures: readonly Structure[], beds: readonly Bed[]): PlanShape[] {
  const layout = layoutOf(structures);
  const byStructure = new Map<string, Bed[]>();
  for (const b of beds) byStructure.set(b.structureId, [...(byStructure.get(b.structureId) ?? []), b]);
  const houses = structures.map((s): PlanShape => {
    const at = layout.get(s.id)!;
    const own = byStructure.get(s.id) ?? [];
    const centres = bedCentres(s, own);
    // frames and tunnels stand one beside the other: the outline goes round them all
    const widthM = Math.max(
      s.widthM,
      ...own.map((b) => 2 * (Math.abs(centres.get(b.id)!.acrossM) + b.widthM / 2) + 0.3),
    );
    return {
      id: s.id,
      what: 'structure',
      name: s.name,
      structureId: s.id,
      kind: s.kind,
      corners: cornersOf(at, s.lengthM, s.kind === 'house' ? s.widthM : widthM),
      at,
    };
  });
  const inside = structures.flatMap((s) => {
    const own = byStructure.get(s.id) ?? [];
    const centres = bedCentres(s, own);
    return own.map((b): PlanShape => {
      const at = bedPlace(layout.get(s.id)!, centres.get(b.id)!);
      return {
        id: b.id,
        what: 'bed',
        name: b.name,
        structureId: s.id,
        kind: s.kind,
        corners: cornersOf(at, b.lengthM, b.widthM),
        at,
      };
    });
  });
  return [...houses, ...inside];
}

const escape = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/**
 * To print or open elsewhere; north is up, a scale of ten metres at the foot.
 * @example planSvg('Umbral', [aStructure()], [aBed()]).startsWith('<svg') // true
 */
export function planSvg(farmName: string, structures: readonly Structure[], beds: readonly Bed[]): string {
  const shapes = planShapes(structures, beds);
  const e = extentOf(shapes.flatMap((s) => s.corners));
  const [w, h] = [e.maxX - e.minX, e.maxY - e.minY];
  const x = (m: number) => ((m - e.minX) * 100).toFixed(0);
  const y = (m: number) => ((e.maxY - m) * 100).toFixed(0);
  const polygons = shapes.map(
    (s) =>
      `<polygon id="${escape(s.id)}" points="${s.corners.map(([a, b]) => `${x(a)},${y(b)}`).join(' ')}" fill="${s.what === 'bed' ? '#f4e1d5' : 'none'}" stroke="#0f1f1c" stroke-width="${s.what === 'bed' ? 3 : 8}"${s.kind === 'open' && s.what === 'structure' ? ' stroke-dasharray="30 20"' : ''}/>`,
  );
  const labels = shapes
    .filter((s) => s.what === 'structure')
    .map((s) => {
      const top = Math.max(...s.corners.map((c) => c[1]));
      return `<text x="${x(s.at.xM)}" y="${Number(y(top)) - 25}" font-size="90" text-anchor="middle">${escape(s.name)}</text>`;
    });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${(w * 5).toFixed(0)}mm" height="${((h + 4) * 5).toFixed(0)}mm" viewBox="0 0 ${(w * 100).toFixed(0)} ${((h + 4) * 100).toFixed(0)}" font-family="sans-serif" fill="#0f1f1c">`,
    `<title>${escape(farmName)}, to scale 1:200</title>`,
    ...polygons,
    ...labels,
    `<path d="M100 ${((h + 2) * 100).toFixed(0)}h1000m0-20v40m-1000-40v40" fill="none" stroke="#0f1f1c" stroke-width="6"/><text x="600" y="${((h + 3.2) * 100).toFixed(0)}" font-size="80" text-anchor="middle">10 m</text>`,
    `<path d="M${((w - 2) * 100).toFixed(0)} ${((h + 3) * 100).toFixed(0)}v-200m-40 60l40-60l40 60" fill="none" stroke="#0f1f1c" stroke-width="6"/><text x="${((w - 2) * 100).toFixed(0)}" y="${((h + 0.8) * 100).toFixed(0)}" font-size="80" text-anchor="middle">N</text>`,
    '</svg>',
    '',
  ].join('\n');
}
