/**
 * The ribbon: the coming night of one bed, hour by hour. The band of the forecast outside, the air in each layer, the leaf
 * with its own band, the soil; where the crop is harmed the ground is frost blue and hatched.
 */
import type { RibbonView } from '@fogata/contract/told';
import { View } from 'react-native';
import Svg, { Circle, Defs, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { ribbonScale, type RibbonBox } from './ribbonScale';
import { ribbon as texts } from '@fogata/words/en/screens/night';

export interface RibbonProps {
  view: RibbonView;
  width: number;
  height: number;
  way: 'down' | 'across';
  format: Format;
  nowAtMs?: number;
  /** A second leaf curve, as it was before something was switched. */
  tried?: { leafC: number[]; layers: { name: string; airC: number[] }[]; soilC: number[] } | null;
}

export function Ribbon({ view, width, height, way, format, nowAtMs, tried }: RibbonProps) {
  const theme = useTheme();
  const down = way === 'down';
  const box: RibbonBox = {
    width,
    height,
    way,
    margin: down
      ? { top: 28, right: 10, bottom: 10, left: 50 }
      : { top: 14, right: 14, bottom: 30, left: 44 },
  };
  const times = view.timesAtMs;
  const u = (c: number) => format.inUnit(c);
  const layers = tried ? tried.layers : view.layers;
  const leaf = tried ? tried.leafC : view.leafC.mid;
  const soil = tried ? tried.soilC : view.soilC;
  const cap = (list: number[]) => list.filter((c) => Number.isFinite(c)).map((c) => Math.min(c, 11));
  const all = [
    ...cap(view.outsideC.low),
    ...cap(view.outsideC.high),
    ...cap(view.leafC.low),
    ...cap(leaf),
    ...layers.flatMap((l) => cap(l.airC)),
  ].map(u);
  const s = ribbonScale(box, times[0]!, times.at(-1)!, all);
  const points = (list: readonly number[]) =>
    times.map((ms, i) => ({ ms, c: list[i] == null ? NaN : Math.min(u(list[i]!), s.domainC[1]) }));
  const low = box.margin;
  const frame = {
    x: low.left,
    y: low.top,
    w: width - low.left - low.right,
    h: height - low.top - low.bottom,
  };
  const hours = times.filter(
    (ms) =>
      Number(format.time(ms).slice(0, 2)) % 3 === 0 ||
      (format.time(ms).length > 5 && (ms / 3_600_000) % 3 === 0),
  );
  const zero = u(0);
  const minAtMs = tried ? times[leaf.indexOf(Math.min(...leaf))]! : view.min.atMs;
  const minC = tried ? Math.min(...leaf) : view.min.leafC;
  const harm = view.harmC === null ? null : Math.max(s.domainC[0], Math.min(s.domainC[1], u(view.harmC)));
  const words = texts.nightOfLeafDownTo({
    name: view.name,
    minC: format.t(minC),
    minAtMs: format.time(minAtMs),
    min: format.range(Math.min(...view.outsideC.low), Math.min(...view.outsideC.high)),
  });
  const labelAt = (list: readonly number[], share: number) => {
    const i = Math.max(0, Math.min(times.length - 1, Math.round(share * (times.length - 1))));
    const c = Math.min(u(list[i]!), s.domainC[1]);
    return { x: s.x(times[i]!, c), y: s.y(times[i]!, c) };
  };
  const taken: { x: number; y: number; w: number }[] = [];
  const tag = (
    text: string,
    at: { x: number; y: number },
    colour: string,
    key: string,
    dx: number,
    dy: number,
  ) => {
    const wide = text.length * 6.4 + 8;
    const x = Math.max(frame.x + 2, Math.min(frame.x + frame.w - wide - 2, at.x + dx - (dx < 0 ? wide : 0)));
    // a label moves down until it covers no other
    let y = Math.max(frame.y + 14, Math.min(frame.y + frame.h - 4, at.y + dy));
    while (
      taken.some((r) => Math.abs(r.y - y) < 18 && x < r.x + r.w && r.x < x + wide) &&
      y < frame.y + frame.h - 4
    )
      y += 6;
    taken.push({ x, y, w: wide });
    return [
      <Rect key={`${key}-b`} x={x} y={y - 12} width={wide} height={16} fill={theme.ground} opacity={0.82} />,
      <SvgText key={key} x={x + 4} y={y} fontFamily={FONT.label} fontSize={15} fill={colour}>
        {text}
      </SvgText>,
    ];
  };
  return (
    <View role="img" aria-label={words} testID="ribbon">
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <Defs>
          <Pattern
            id={`hatch-${theme.name}`}
            width={7}
            height={7}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <Rect width={7} height={7} fill={theme.frostFill} />
            <Line x1={0} y1={0} x2={0} y2={7} stroke={theme.frost} strokeWidth={0.7} opacity={0.45} />
          </Pattern>
        </Defs>
        {harm !== null && harm > s.domainC[0] ? (
          down ? (
            <Rect
              x={frame.x}
              y={frame.y}
              width={Math.max(0, s.x(0, harm) - frame.x)}
              height={frame.h}
              fill={`url(#hatch-${theme.name})`}
            />
          ) : (
            <Rect
              x={frame.x}
              y={s.y(0, harm)}
              width={frame.w}
              height={Math.max(0, frame.y + frame.h - s.y(0, harm))}
              fill={`url(#hatch-${theme.name})`}
            />
          )
        ) : null}
        {s.ticksC.map((c) => (
          <Line
            key={`t${c}`}
            x1={down ? s.x(0, c) : frame.x}
            x2={down ? s.x(0, c) : frame.x + frame.w}
            y1={down ? frame.y : s.y(0, c)}
            y2={down ? frame.y + frame.h : s.y(0, c)}
            stroke={theme.grid}
            strokeWidth={1}
          />
        ))}
        <Line
          x1={down ? s.x(0, zero) : frame.x}
          x2={down ? s.x(0, zero) : frame.x + frame.w}
          y1={down ? frame.y : s.y(0, zero)}
          y2={down ? frame.y + frame.h : s.y(0, zero)}
          stroke={theme.ink}
          strokeWidth={1.6}
        />
        {hours.map((ms) => (
          <Line
            key={`h${ms}`}
            x1={down ? frame.x : s.x(ms, 0)}
            x2={down ? frame.x + frame.w : s.x(ms, 0)}
            y1={down ? s.y(ms, 0) : frame.y}
            y2={down ? s.y(ms, 0) : frame.y + frame.h}
            stroke={theme.grid}
            strokeWidth={1}
          />
        ))}
        <Path
          d={s.band(
            times.map((ms, i) => ({
              ms,
              low: u(view.outsideC.low[i]!),
              high: Math.min(u(view.outsideC.high[i]!), s.domainC[1]),
            })),
          )}
          fill={theme.band}
          opacity={0.85}
        />
        <Path d={s.line(points(view.outsideC.mid))} fill="none" stroke={theme.quiet} strokeWidth={1.6} />
        {tried ? null : (
          <Path
            d={s.band(
              times.map((ms, i) => ({
                ms,
                low: u(view.leafC.low[i]!),
                high: Math.min(u(view.leafC.high[i]!), s.domainC[1]),
              })),
            )}
            fill={theme.pine}
            opacity={0.16}
          />
        )}
        {layers.map((l, i) => (
          <Path
            key={l.name + i}
            d={s.line(points(l.airC))}
            fill="none"
            stroke={theme.ink}
            strokeWidth={1.5}
            strokeDasharray={i === 0 ? '6 4' : '2 3'}
          />
        ))}
        <Path
          d={s.line(points(soil))}
          fill="none"
          stroke={theme.emberFill}
          strokeWidth={2}
          strokeDasharray="1.5 3.5"
          strokeLinecap="round"
        />
        {tried ? (
          <Path
            d={s.line(points(view.leafC.mid))}
            fill="none"
            stroke={theme.pine}
            strokeWidth={1.4}
            strokeDasharray="5 4"
            opacity={0.8}
          />
        ) : null}
        <Path d={s.line(points(leaf))} fill="none" stroke={theme.pine} strokeWidth={3.4} />
        {nowAtMs !== undefined && nowAtMs >= times[0]! && nowAtMs <= times.at(-1)! ? (
          <Line
            x1={down ? frame.x - 6 : s.x(nowAtMs, 0)}
            x2={down ? frame.x + frame.w : s.x(nowAtMs, 0)}
            y1={down ? s.y(nowAtMs, 0) : frame.y}
            y2={down ? s.y(nowAtMs, 0) : frame.y + frame.h + 6}
            stroke={theme.emberFill}
            strokeWidth={1.6}
          />
        ) : null}
        <Circle
          cx={s.x(minAtMs, u(minC))}
          cy={s.y(minAtMs, u(minC))}
          r={5}
          fill={theme.ground}
          stroke={theme.pine}
          strokeWidth={3}
        />
        {tag(
          texts.leafAt(format.t(minC), format.time(minAtMs)),
          { x: s.x(minAtMs, u(minC)), y: s.y(minAtMs, u(minC)) },
          theme.pine,
          'l-leaf',
          down ? 10 : -40,
          down ? 22 : 24,
        )}
        {tag(
          'outside',
          labelAt(view.outsideC.mid, 0.34),
          theme.quiet,
          'l-out',
          down ? -4 : -6,
          down ? 0 : 20,
        )}
        {layers.map((l, i) =>
          tag(
            l.name.replace('in the ', '').replace('under ', ''),
            labelAt(l.airC, 0.46 + 0.1 * i),
            theme.ink,
            `l-${i}`,
            down ? 4 : 4,
            down ? 4 : -4,
          ),
        )}
        {tag(texts.soil5Cm, labelAt(soil, 0.24), theme.ember, 'l-soil', down ? 6 : 6, down ? 4 : -6)}
        {view.marks.map((m) => (
          <SvgText
            key={m.label}
            x={
              down
                ? frame.x + frame.w - 2
                : Math.max(frame.x + 60, Math.min(frame.x + frame.w - 60, s.x(m.atMs, 0)))
            }
            y={down ? s.y(m.atMs, 0) - 3 : frame.y + 12}
            textAnchor={down ? 'end' : 'middle'}
            fontFamily={FONT.label}
            fontSize={15}
            fill={theme.ember}
          >
            {down ? `${m.label} ▸` : `▾ ${m.label}`}
          </SvgText>
        ))}
        {s.ticksC.map((c) => (
          <SvgText
            key={`tl${c}`}
            x={down ? s.x(0, c) : frame.x - 6}
            y={down ? 18 : s.y(0, c) + 5}
            textAnchor={down ? 'middle' : 'end'}
            fontFamily={FONT.label}
            fontSize={15}
            fill={theme.quiet}
          >
            {`${c < 0 ? '−' : c > 0 ? '+' : ''}${Math.abs(c)}°`}
          </SvgText>
        ))}
        {hours.map((ms) => (
          <SvgText
            key={`hl${ms}`}
            x={down ? frame.x - 8 : s.x(ms, 0)}
            y={down ? s.y(ms, 0) + 5 : height - 10}
            textAnchor={down ? 'end' : 'middle'}
            fontFamily={FONT.label}
            fontSize={15}
            fill={theme.quiet}
          >
            {format.time(ms).replace(':00', '')}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}
