/**
 * The geometry of the stack: arcs over an ember on a ground line, one for each layer, drawn from data. Contract: given
 * the layers from the outermost and a box, returns the arcs' paths, each with its gap as wide as its opening.
 */
import { stackPath as words } from '@fogata/words/en/screens/place';

export interface Arc {
  d: string;
  state: 'on' | 'off' | 'planned';
  rx: number;
  ry: number;
}

interface Box {
  width: number;
  height: number;
  /** Room at the sides and above. */
  pad: number;
}

const point = (cx: number, base: number, rx: number, ry: number, angle: number) =>
  `${(cx + rx * Math.cos(angle)).toFixed(2)} ${(base - ry * Math.sin(angle)).toFixed(2)}`;

/** Half an ellipse from angle `from` to `to` (radians, 0 is right, π is left). */
function piece(cx: number, base: number, rx: number, ry: number, from: number, to: number): string {
  return `M${point(cx, base, rx, ry, from)}A${rx.toFixed(2)} ${ry.toFixed(2)} 0 0 0 ${point(cx, base, rx, ry, to)}`;
}

/** An arc that is open has its gap up on the right, up to 70° wide. */
function arcPath(cx: number, base: number, rx: number, ry: number, opening: number): string {
  if (opening <= 0.01) return piece(cx, base, rx, ry, 0, Math.PI);
  const half = ((12 + 58 * Math.min(1, opening)) / 2) * (Math.PI / 180);
  const centre = Math.PI / 3.4;
  return `${piece(cx, base, rx, ry, 0, centre - half)}${piece(cx, base, rx, ry, centre + half, Math.PI)}`;
}

export function stackArcs(
  layers: readonly { state: 'on' | 'off' | 'planned'; opening: number }[],
  box: Box,
): Arc[] {
  const cx = box.width / 2;
  const n = layers.length;
  const outer = { rx: cx - box.pad, ry: box.height - box.pad };
  const inner = 0.36;
  return layers.map((layer, i) => {
    const f = n === 1 ? 0.92 : 1 - ((1 - inner) * i) / Math.max(2, n);
    const rx = outer.rx * f;
    const ry = outer.ry * f;
    return { d: arcPath(cx, box.height, rx, ry, layer.opening), state: layer.state, rx, ry };
  });
}

/** The words of a stack, for those who hear it: "North house, open; Fleece 30, planned". */
export function stackWords(
  layers: readonly { name: string; state: 'on' | 'off' | 'planned'; opening: number }[],
): string {
  if (layers.length === 0) return words.noCover;
  return layers
    .map(
      (l) =>
        `${l.name}${l.state === 'planned' ? words.planned : l.state === 'off' ? words.off : words.open(l.opening)}`,
    )
    .join('; ');
}
