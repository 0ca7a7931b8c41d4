/**
 * The plan of the farm, to scale and drawn from the data: structures turned as they lie, beds by tonight's margin or by what
 * grows, the sun's path of a date, where hard wind comes from. A structure is moved by drag where `onMove` is given; there
 * are steppers beside it.
 */
import {
  extentOf,
  planShapes,
  sunPosition,
  sunTimes,
  type Bed,
  type Placed,
  type Structure,
} from '@fogata/core';
import { useMemo, useState } from 'react';
import { PanResponder, View } from 'react-native';
import Svg, { Circle, Defs, G, Line, Path, Pattern, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { farmPlan as texts } from '@fogata/words/en/screens/plan';

/** How a bed is drawn: harmed tonight, near harm, safe, planted, or free; and a word in it. */
export interface BedMark {
  state: 'harmed' | 'near' | 'safe' | 'planted' | 'free';
  word: string;
}

export interface FarmPlanProps {
  structures: readonly Structure[];
  beds: readonly Bed[];
  marks: ReadonlyMap<string, BedMark>;
  width: number;
  height: number;
  site: { latitude: number; longitude: number };
  /** Noon of the date whose sun is drawn, epoch ms; null for none. */
  sunAtMs: number | null;
  windFromDeg: number | null;
  selected: string | null;
  onSelect: (structureId: string) => void;
  onMove?: (structureId: string, at: Placed) => void;
  metres: (m: number) => string;
}

const HALF_M = 0.5;
const snap = (m: number) => Math.round(m / HALF_M) * HALF_M;

const spanOf = (corners: [number, number][]) =>
  Math.hypot(corners[2]![0] - corners[0]![0], corners[2]![1] - corners[0]![1]);

/** Whether a rectangle, widened by `byM`, holds a point. */
function holds(c: [number, number][], m: { x: number; y: number }, byM: number): boolean {
  const along = (a: [number, number], b: [number, number]) => {
    const len = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const at = ((m.x - a[0]) * (b[0] - a[0]) + (m.y - a[1]) * (b[1] - a[1])) / len;
    return at >= -byM && at <= len + byM;
  };
  return along(c[0]!, c[1]!) && along(c[1]!, c[2]!);
}

export function FarmPlan(p: FarmPlanProps) {
  const theme = useTheme();
  const [drag, setDrag] = useState<{ id: string; dx: number; dy: number } | null>(null);
  const shapes = useMemo(() => planShapes(p.structures, p.beds), [p.structures, p.beds]);
  const extent = useMemo(
    () =>
      extentOf(
        shapes.flatMap((s) => s.corners),
        5,
      ),
    [shapes],
  );
  const scale = Math.min(p.width / (extent.maxX - extent.minX), p.height / (extent.maxY - extent.minY));
  const offX = (p.width - (extent.maxX - extent.minX) * scale) / 2;
  const offY = (p.height - (extent.maxY - extent.minY) * scale) / 2;
  const x = (m: number) => offX + (m - extent.minX) * scale;
  const y = (m: number) => offY + (extent.maxY - m) * scale;
  const { selected, onMove } = p;
  const pan = useMemo(
    () =>
      PanResponder.create({
        onMoveShouldSetPanResponder: (_e, g) =>
          onMove !== undefined && selected !== null && Math.abs(g.dx) + Math.abs(g.dy) > 4,
        onPanResponderMove: (_e, g) => {
          if (selected) setDrag({ id: selected, dx: g.dx, dy: g.dy });
        },
        onPanResponderRelease: (_e, g) => {
          const shape = shapes.find((s) => s.id === selected);
          setDrag(null);
          if (!shape || !onMove) return;
          onMove(shape.id, {
            xM: snap(shape.at.xM + g.dx / scale),
            yM: snap(shape.at.yM - g.dy / scale),
            turnDeg: shape.at.turnDeg,
          });
        },
        onPanResponderTerminate: () => setDrag(null),
      }),
    [onMove, selected, scale, shapes],
  );
  const fill = (state: BedMark['state']) =>
    state === 'harmed'
      ? `url(#cold-${theme.name})`
      : state === 'free'
        ? theme.ground
        : state === 'near'
          ? theme.frostFill
          : theme.soil;
  const points = (corners: [number, number][], id: string) =>
    corners
      .map(([a, b]) => {
        const moved = drag?.id === id ? drag : null;
        return `${(x(a) + (moved?.dx ?? 0)).toFixed(1)},${(y(b) + (moved?.dy ?? 0)).toFixed(1)}`;
      })
      .join(' ');
  /** The structure under a tap: the smallest whose outline, with a finger's breadth around it, holds the point. */
  const tap = (e: { nativeEvent: { offsetX: number; offsetY: number } }) => {
    const { offsetX, offsetY } = e.nativeEvent;
    const m = { x: extent.minX + (offsetX - offX) / scale, y: extent.maxY - (offsetY - offY) / scale };
    const near = shapes
      .filter((s) => s.what === 'structure' && holds(s.corners, m, 14 / scale))
      .sort((a, b) => spanOf(a.corners) - spanOf(b.corners))[0];
    if (near) p.onSelect(near.id);
  };
  const words = texts.planOfTheFarmBeds({
    map: p.structures.map((s) => s.name).join(', '),
    count: [...p.marks.values()].filter((m) => m.state === 'harmed').length,
    count2: [...p.marks.values()].filter((m) => m.state === 'free').length,
  });
  const barM = [1, 2, 5, 10, 20, 50, 100, 200].find((m) => m * scale > 48) ?? 500;
  const crowded = shapes.length > 260;
  return (
    <View
      role="img"
      aria-label={words}
      testID="farm-plan"
      {...pan.panHandlers}
      {...({ onClick: tap } as object)}
    >
      <Svg width={p.width} height={p.height} viewBox={`0 0 ${p.width} ${p.height}`}>
        <Defs>
          <Pattern
            id={`cold-${theme.name}`}
            width={6}
            height={6}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <Rect width={6} height={6} fill={theme.frostFill} />
            <Line x1={0} y1={0} x2={0} y2={6} stroke={theme.frost} strokeWidth={2} />
          </Pattern>
        </Defs>
        <SunPath {...p} />
        {shapes.map((s) => {
          const own = s.what === 'structure';
          const mark = p.marks.get(s.id);
          const on = p.selected === s.structureId;
          return (
            <Polygon
              key={`${s.what}-${s.id}`}
              points={points(s.corners, s.structureId)}
              fill={own ? (on ? theme.raised : 'transparent') : fill(mark?.state ?? 'free')}
              stroke={
                own
                  ? theme.ink
                  : mark?.state === 'safe' || mark?.state === 'planted'
                    ? theme.pine
                    : mark
                      ? theme.frost
                      : theme.quiet
              }
              strokeWidth={own ? (on ? 3.2 : 1.8) : mark && mark.state !== 'free' ? 1.4 : 0.8}
              {...((own && s.kind === 'open') || (!own && mark?.state === 'free')
                ? { strokeDasharray: '4 3' }
                : {})}
            />
          );
        })}
        {shapes.map((s) => {
          const moved = drag?.id === s.structureId ? drag : { dx: 0, dy: 0 };
          if (s.what === 'structure') {
            const top = Math.min(...s.corners.map((c) => y(c[1])));
            return (
              <SvgText
                key={`t-${s.id}`}
                x={x(s.at.xM) + moved.dx}
                y={top - 5 + moved.dy}
                textAnchor="middle"
                fontFamily={FONT.label}
                fontSize={15}
                fill={theme.ink}
              >
                {s.name}
              </SvgText>
            );
          }
          const mark = p.marks.get(s.id);
          const bed = p.beds.find((b) => b.id === s.id)!;
          if (crowded || bed.widthM * scale < 11) return null;
          const turn = ((s.at.turnDeg - 90 + 360 + 90) % 180) - 90;
          return (
            <G
              key={`t-${s.id}`}
              transform={`translate(${x(s.at.xM) + moved.dx} ${y(s.at.yM) + moved.dy}) rotate(${turn})`}
            >
              {mark?.state === 'harmed' ? (
                <Rect x={-46} y={-8} width={92} height={16} fill={theme.raised} opacity={0.9} />
              ) : null}
              <SvgText y={4.5} textAnchor="middle" fontFamily={FONT.label} fontSize={12.5} fill={theme.ink}>
                {bed.lengthM * scale > 70 && mark?.word ? `${s.name} · ${mark.word}` : s.name}
              </SvgText>
            </G>
          );
        })}
        {p.windFromDeg !== null ? <Wind deg={p.windFromDeg} /> : null}
        <G transform={`translate(${p.width - 22} 34)`}>
          <Path d="M0 14V-14M-5 -7L0 -14L5 -7" stroke={theme.ink} strokeWidth={1.8} fill="none" />
          <SvgText y={30} textAnchor="middle" fontFamily={FONT.label} fontSize={14} fill={theme.ink}>
            N
          </SvgText>
        </G>
        <G transform={`translate(12 ${p.height - 12})`}>
          <Path d={`M0 -4V0H${barM * scale}V-4`} stroke={theme.ink} strokeWidth={1.6} fill="none" />
          <SvgText x={barM * scale + 6} y={1} fontFamily={FONT.label} fontSize={14} fill={theme.ink}>
            {p.metres(barM)}
          </SvgText>
        </G>
      </Svg>
    </View>
  );
}

/** The sun's way over the farm on a date: from where it rises to where it sets, higher sun nearer the middle. */
function SunPath({ sunAtMs, site, width, height }: FarmPlanProps) {
  const theme = useTheme();
  if (sunAtMs === null) return null;
  const times = sunTimes(sunAtMs, site.latitude, site.longitude);
  const [from, to] = times ? [times.riseAtMs, times.setAtMs] : [sunAtMs - 43_200_000, sunAtMs + 43_200_000];
  const r = Math.min(width, height) * 0.47;
  const at = (ms: number): [number, number] | null => {
    const s = sunPosition(ms, site.latitude, site.longitude);
    if (s.elevationDeg < -1) return null;
    const d = r * Math.cos((Math.max(0, s.elevationDeg) * Math.PI) / 180);
    const a = (s.azimuthDeg * Math.PI) / 180;
    return [width / 2 + d * Math.sin(a), height / 2 - d * Math.cos(a)];
  };
  const way = Array.from({ length: 49 }, (_, i) => at(from + ((to - from) * i) / 48)).filter(
    (q): q is [number, number] => q !== null,
  );
  if (way.length < 2) return null;
  const middle = way[Math.floor(way.length / 2)]!;
  return (
    <G>
      <Path
        d={way.map((q, i) => `${i === 0 ? 'M' : 'L'}${q[0].toFixed(1)} ${q[1].toFixed(1)}`).join('')}
        stroke={theme.quiet}
        strokeWidth={1.4}
        strokeDasharray="2 4"
        fill="none"
      />
      {[way[0]!, middle, way.at(-1)!].map((q, i) => (
        <Circle
          key={i}
          cx={q[0]}
          cy={q[1]}
          r={i === 1 ? 8 : 5}
          fill={theme.ground}
          stroke={theme.quiet}
          strokeWidth={1.6}
        />
      ))}
    </G>
  );
}

/** An arrow from where hard wind comes. */
function Wind({ deg }: { deg: number }) {
  const theme = useTheme();
  return (
    <G transform={`translate(26 32) rotate(${deg})`}>
      <Path d="M0 -18V16M-6 8L0 16L6 8" stroke={theme.frost} strokeWidth={2} fill="none" />
      <Path d="M-6 -18H6M-4 -13H4" stroke={theme.frost} strokeWidth={1.6} />
    </G>
  );
}
