/**
 * Structures and beds as GeoJSON (RFC 7946), out and in. Contract: `toGeoJson` gives a polygon for each, with all its fields
 * as properties; `fromGeoJson` gives the same structures and beds back, or, for polygons from elsewhere, rectangles made of
 * them. Metres become degrees on a plane at the farm: 111,320 m a degree of latitude; good to a decimetre on a farm.
 */
import { areaName } from '@fogata/words/en/told/names';
import { said, type Said } from '../words/said';
import { bedCentres, cornersOf, layoutOf, onFarm, type Placed } from '../farm/layout';
import type { Site } from '../heat/types';
import { FORM_INFO } from '../farm/setup';
import type { Bed, Structure } from '../farm/types';

const M_PER_DEG = 111_320;

export interface GeoFeature {
  type: 'Feature';
  id: string;
  geometry: { type: 'Polygon'; coordinates: [number, number][][] };
  properties: Record<string, unknown>;
}
export interface GeoCollection {
  type: 'FeatureCollection';
  features: GeoFeature[];
}

const round = (x: number) => Math.round(x * 1e9) / 1e9;
const cosLat = (site: Site) => Math.max(0.01, Math.cos((site.latitude * Math.PI) / 180));

function toDegrees(site: Site, [x, y]: [number, number]): [number, number] {
  return [round(site.longitude + x / (M_PER_DEG * cosLat(site))), round(site.latitude + y / M_PER_DEG)];
}

function toMetres(site: Site, [lon, lat]: readonly number[]): [number, number] {
  return [(lon! - site.longitude) * M_PER_DEG * cosLat(site), (lat! - site.latitude) * M_PER_DEG];
}

function feature(site: Site, id: string, corners: [number, number][], properties: object): GeoFeature {
  const ring = [...corners, corners[0]!].map((c) => toDegrees(site, c));
  // RFC 7946 wants the outer ring counter-clockwise
  return {
    type: 'Feature',
    id,
    geometry: { type: 'Polygon', coordinates: [area(ring) < 0 ? ring.reverse() : ring] },
    properties: { ...properties },
  };
}

function area(ring: readonly (readonly number[])[]): number {
  let sum = 0;
  for (let i = 1; i < ring.length; i++)
    sum += ring[i - 1]![0]! * ring[i]![1]! - ring[i]![0]! * ring[i - 1]![1]!;
  return sum / 2;
}

/**
 * Where a bed lies on the farm.
 * @example bedPlace({ xM: 0, yM: 0, turnDeg: 0 }, { alongM: 3, acrossM: 1 }) // { xM: 1, yM: 3, turnDeg: 0 }
 */
export function bedPlace(at: Placed, centre: { alongM: number; acrossM: number }): Placed {
  const [xM, yM] = onFarm(at, centre.alongM, centre.acrossM);
  return { xM, yM, turnDeg: at.turnDeg };
}

/** @example toGeoJson(SITE, [aStructure()], [aBed()]).features.length // 2 */
export function toGeoJson(site: Site, structures: readonly Structure[], beds: readonly Bed[]): GeoCollection {
  const layout = layoutOf(structures);
  return {
    type: 'FeatureCollection',
    features: structures.flatMap((s) => {
      const at = layout.get(s.id)!;
      const own = beds.filter((b) => b.structureId === s.id);
      const centres = bedCentres(s, own);
      return [
        feature(site, s.id, cornersOf(at, s.lengthM, s.widthM), { what: 'structure', ...s }),
        ...own.map((b) =>
          feature(site, b.id, cornersOf(bedPlace(at, centres.get(b.id)!), b.lengthM, b.widthM), {
            what: 'bed',
            ...b,
          }),
        ),
      ];
    }),
  };
}

export interface GeoRead {
  structures: unknown[];
  beds: unknown[];
}

/** A rectangle as good as a polygon allows: its first side is the length if it is the longer one. */
function rectangleOf(points: [number, number][]): { at: Placed; lengthM: number; widthM: number } {
  const side = (i: number) =>
    Math.hypot(points[i + 1]![0] - points[i]![0], points[i + 1]![1] - points[i]![1]);
  const [a, b] = [side(0), side(1)];
  const lead = a >= b ? 0 : 1;
  const dx = points[lead + 1]![0] - points[lead]![0];
  const dy = points[lead + 1]![1] - points[lead]![1];
  const turn = ((Math.atan2(dx, dy) * 180) / Math.PI + 360) % 180;
  const corners = points.slice(0, 4);
  return {
    at: {
      xM: corners.reduce((s, p) => s + p[0], 0) / corners.length,
      yM: corners.reduce((s, p) => s + p[1], 0) / corners.length,
      turnDeg: turn,
    },
    lengthM: Math.max(a, b),
    widthM: Math.min(a, b),
  };
}

const refused = (field: string, expected: Said) => ({
  problem: said('refuse.expected', { field, expected }),
});

const cm = (m: number) => Math.round(m * 100) / 100;

/**
 * Our own come back as they went out, moved where their polygon was moved; others become hoop houses. A sentence where it is no such file.
 * @example fromGeoJson({ latitude: 42, longitude: -5, elevationM: 800 }, 7) // { problem: { say: 'refuse.expected', values: { field: 'type', expected: { say: 'want.features' } } } }
 */
export function fromGeoJson(site: Site, json: unknown): GeoRead | { problem: Said } {
  const c = json as Partial<GeoCollection> | null;
  if (c?.type !== 'FeatureCollection' || !Array.isArray(c.features))
    return refused('type', said('want.features'));
  const out: GeoRead = { structures: [], beds: [] };
  const layoutStructures: Structure[] = [];
  for (const [i, f] of c.features.entries()) {
    const ring = f?.geometry?.type === 'Polygon' ? f.geometry.coordinates[0] : undefined;
    if (!ring || ring.length < 5) return refused(`features[${i}].geometry`, said('want.polygon'));
    if (ring.some((p) => !Array.isArray(p) || !Number.isFinite(p[0]) || !Number.isFinite(p[1])))
      return refused(`features[${i}].geometry.coordinates`, said('want.pairs'));
    const { what, ...properties } = f.properties ?? {};
    if (what === 'bed') out.beds.push(properties);
    else if (what === 'structure') {
      const s = properties as unknown as Structure;
      out.structures.push(s);
      layoutStructures.push(s);
    } else {
      const r = rectangleOf(ring.map((p) => toMetres(site, p)));
      out.structures.push({
        ...FORM_INFO['hoop-house'].templates[0]!.draft,
        id: String(f.id ?? `area-${i + 1}`),
        name: String(properties['name'] ?? areaName(i + 1)),
        order: i,
        lengthM: cm(r.lengthM),
        widthM: cm(r.widthM),
        at: { xM: cm(r.at.xM), yM: cm(r.at.yM), turnDeg: cm(r.at.turnDeg) },
      });
    }
  }
  // what was moved in another program is moved here: its middle no longer lies where its own fields say
  const layout = layoutOf(layoutStructures);
  for (const f of c.features) {
    if (f.properties?.['what'] !== 'structure') continue;
    const s = layoutStructures.find((x) => x.id === f.properties['id']);
    const at = s && layout.get(s.id);
    if (!s || !at) continue;
    const corners = f.geometry.coordinates[0]!.slice(0, 4).map((p) => toMetres(site, p));
    const xM = corners.reduce((sum, p) => sum + p[0], 0) / corners.length;
    const yM = corners.reduce((sum, p) => sum + p[1], 0) / corners.length;
    if (Math.hypot(xM - at.xM, yM - at.yM) > 0.05) s.at = { xM: cm(xM), yM: cm(yM), turnDeg: at.turnDeg };
  }
  return out;
}
