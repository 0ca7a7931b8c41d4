/**
 * The stack, large: a place cut open, with the temperature in each shell, the sky above and the soil below, at one hour.
 */
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../theme/theme';
import { FONT } from '../theme/tokens';
import { stackArcs } from './stackPath';

export interface SectionLayer {
  name: string;
  on: boolean;
  opening: number;
  airC: number | null;
}

export interface SectionProps {
  width: number;
  layers: SectionLayer[];
  outsideC: number;
  skyC: number;
  leafC: number;
  skyWord: string;
  soil5C: number;
  soil30C: number;
  soilGivesWm2: number;
  /** Formats a temperature with sign and degree. */
  t: (c: number) => string;
  unit: string;
  on: 'ground' | 'bench';
  harmC: number | null;
}

const LEAF = 'M0 0C-4-7-2-14 0-17C2-14 4-7 0 0Z';

export function Section(p: SectionProps) {
  const theme = useTheme();
  const { width } = p;
  const ground = Math.min(300, width * 0.76);
  const soil = 74;
  const height = ground + soil;
  const shown = p.layers.filter((l) => l.on);
  const arcs = stackArcs(
    p.layers.map((l) => ({ state: l.on ? 'on' : 'off', opening: l.on ? l.opening : 0 })),
    {
      width: width * 0.76,
      height: ground - 44,
      pad: 4,
    },
  );
  const shift = width * 0.215;
  const cx = shift + width * 0.38;
  const cold = (c: number) => (c < 0 ? theme.frost : theme.ink);
  const words = [
    `Outside ${p.t(p.outsideC)} ${p.unit}, sky ${p.t(p.skyC)}`,
    ...shown.map((l) => `${l.name} ${l.airC === null ? '' : p.t(l.airC)}`),
    `leaf ${p.t(p.leafC)}`,
    `soil at 5 cm ${p.t(p.soil5C)}`,
  ].join('; ');
  const leafTone = p.harmC !== null && p.leafC < p.harmC ? theme.frost : theme.pine;
  return (
    <View role="img" aria-label={words} testID="section">
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <SvgText
          x={16}
          y={20}
          fontFamily={FONT.label}
          fontSize={17}
          fill={theme.quiet}
        >{`sky ${p.t(p.skyC)}`}</SvgText>
        <SvgText
          x={width - 16}
          y={20}
          textAnchor="end"
          fontFamily={FONT.label}
          fontSize={17}
          fill={theme.quiet}
        >
          {p.skyWord}
        </SvgText>
        <Rect x={0} y={ground} width={width} height={soil} fill={theme.soil} />
        <G x={shift} y={44}>
          {arcs.map((a, i) => (
            <Path
              key={i}
              d={a.d}
              fill="none"
              stroke={theme.ink}
              strokeWidth={a.state === 'on' ? 3.4 : 1.2}
              strokeDasharray={a.state === 'on' ? undefined : '3 4'}
              opacity={a.state === 'on' ? 1 : 0.6}
            />
          ))}
        </G>
        {p.layers.map((l, i) => {
          if (!l.on || l.airC === null) return null;
          const ry = arcs[i]!.ry;
          const nextOn = p.layers.findIndex((x, j) => j > i && x.on);
          const room = nextOn < 0 ? ry * 0.62 : ry - arcs[nextOn]!.ry;
          const top = ground - ry;
          // a narrow shell has room for its temperature only; the switches below name it, in the same order
          if (room < 62) {
            return (
              <SvgText
                key={l.name + i}
                x={cx}
                y={top + room / 2 + 7}
                textAnchor="middle"
                fontFamily={FONT.figure}
                fontSize={22}
                fill={cold(l.airC)}
              >
                {p.t(l.airC)}
              </SvgText>
            );
          }
          const y = top + Math.min(room * 0.5, 44);
          return (
            <G key={l.name + i}>
              <SvgText
                x={cx}
                y={y}
                textAnchor="middle"
                fontFamily={FONT.figure}
                fontSize={26}
                fill={cold(l.airC)}
              >
                {p.t(l.airC)}
              </SvgText>
              <SvgText
                x={cx}
                y={y + 17}
                textAnchor="middle"
                fontFamily={FONT.label}
                fontSize={15}
                fill={theme.quiet}
              >
                {l.name}
              </SvgText>
            </G>
          );
        })}
        <SvgText x={4} y={ground - 27} fontFamily={FONT.figure} fontSize={26} fill={cold(p.outsideC)}>
          {p.t(p.outsideC)}
        </SvgText>
        <SvgText x={4} y={ground - 9} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
          outside
        </SvgText>
        {p.on === 'bench' ? (
          <Rect x={cx - 60} y={ground - 14} width={120} height={6} fill={theme.quiet} />
        ) : null}
        <G x={cx} y={p.on === 'bench' ? ground - 14 : ground}>
          {[-44, -16, 16, 44].map((x) => (
            <G key={x} x={x}>
              <Path d={LEAF} fill={leafTone} rotation={-34} />
              <Path d={LEAF} fill={leafTone} rotation={34} />
            </G>
          ))}
        </G>
        <Line x1={0} y1={ground} x2={width} y2={ground} stroke={theme.ink} strokeWidth={2} />
        <Circle cx={cx} cy={ground} r={7} fill={theme.emberFill} />
        <SvgText x={16} y={ground + 28} fontFamily={FONT.figure} fontSize={18} fill={theme.ember}>
          {p.soilGivesWm2 >= 0
            ? `giving ${Math.round(p.soilGivesWm2)} W/m²`
            : `storing ${Math.round(-p.soilGivesWm2)} W/m²`}
        </SvgText>
        <SvgText x={16} y={ground + 49} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
          {shown.length > 1
            ? 'the soil, under its covers'
            : shown.length === 1
              ? 'the soil, under one cover'
              : 'the soil, to the open sky'}
        </SvgText>
        <SvgText
          x={width - 76}
          y={ground + 28}
          textAnchor="end"
          fontFamily={FONT.figure}
          fontSize={20}
          fill={theme.ember}
        >
          {p.t(p.soil5C)}
        </SvgText>
        <SvgText x={width - 70} y={ground + 28} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
          at 5 cm
        </SvgText>
        <SvgText
          x={width - 76}
          y={ground + 52}
          textAnchor="end"
          fontFamily={FONT.figure}
          fontSize={20}
          fill={theme.ember}
        >
          {p.t(p.soil30C)}
        </SvgText>
        <SvgText x={width - 70} y={ground + 52} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
          at 30 cm
        </SvgText>
      </Svg>
    </View>
  );
}
