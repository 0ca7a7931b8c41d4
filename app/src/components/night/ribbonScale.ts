/** The ribbon's scales: time along one axis, temperature along the other, either way round. Pure, so that it is tested. */
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, curveMonotoneY, line } from 'd3-shape';

export interface RibbonBox {
  width: number;
  height: number;
  /** `down`: time downwards (phone); `across`: time to the right (wide). */
  way: 'down' | 'across';
  margin: { top: number; right: number; bottom: number; left: number };
}

export interface RibbonScale {
  x: (ms: number, c: number) => number;
  y: (ms: number, c: number) => number;
  line: (points: readonly { ms: number; c: number }[]) => string;
  band: (points: readonly { ms: number; low: number; high: number }[]) => string;
  ticksC: number[];
  domainC: [number, number];
}

/** Temperatures that must be seen, in the unit shown; the domain is widened to whole fives. */
export function ribbonScale(
  box: RibbonBox,
  fromAtMs: number,
  toAtMs: number,
  values: readonly number[],
): RibbonScale {
  const low = Math.floor((Math.min(...values, 0) - 1) / 5) * 5;
  const high = Math.ceil((Math.max(...values, 0) + 1) / 5) * 5;
  const { margin: m } = box;
  const time = scaleLinear()
    .domain([fromAtMs, toAtMs])
    .range(box.way === 'down' ? [m.top, box.height - m.bottom] : [m.left, box.width - m.right]);
  const temperature = scaleLinear()
    .domain([low, high])
    .range(box.way === 'down' ? [m.left, box.width - m.right] : [box.height - m.bottom, m.top]);
  const x = (ms: number, c: number) => (box.way === 'down' ? temperature(c) : time(ms));
  const y = (ms: number, c: number) => (box.way === 'down' ? time(ms) : temperature(c));
  const curve = box.way === 'down' ? curveMonotoneY : curveMonotoneX;
  return {
    x,
    y,
    line: (points) =>
      line<{ ms: number; c: number }>()
        .x((p) => x(p.ms, p.c))
        .y((p) => y(p.ms, p.c))
        .defined((p) => Number.isFinite(p.c))
        .curve(curve)([...points]) ?? '',
    band: (points) => {
      const shape = area<{ ms: number; low: number; high: number }>().curve(curve);
      if (box.way === 'down') {
        shape
          .y((p) => time(p.ms))
          .x0((p) => temperature(p.low))
          .x1((p) => temperature(p.high));
      } else {
        shape
          .x((p) => time(p.ms))
          .y0((p) => temperature(p.low))
          .y1((p) => temperature(p.high));
      }
      return shape([...points]) ?? '';
    },
    ticksC: temperature.ticks(Math.max(3, Math.round((high - low) / 5))).filter((t) => t % 5 === 0),
    domainC: [low, high],
  };
}
