/**
 * The stack, large: a place cut open, with the temperature in each shell, the sky above and the soil below, at one hour.
 */
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { stackArcs } from '../place/stackPath';
import { section as texts } from '@fogata/words/en/screens/ui';

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
  /** The sun: its height, and what reaches the ground outside; null after sunset. */
  sun: { heightDeg: number; wm2: number } | null;
  soil0C: number;
  soil10C: number;
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
  const soil = 96;
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
    texts.outsideSky({ outsideC: p.t(p.outsideC), unit: p.unit, skyC: p.t(p.skyC) }),
    ...shown.map((l) => `${l.name} ${l.airC === null ? '' : p.t(l.airC)}`),
    texts.leaf(p.t(p.leafC)),
    texts.soilAt5CmAt({ soil5C: p.t(p.soil5C), soil10C: p.t(p.soil10C), soil30C: p.t(p.soil30C) }),
    ...(p.sun ? [texts.sunWM(Math.round(p.sun.wm2))] : []),
  ].join('; ');
  // the soil by depth: a line that leans to the right where it is warmer
  const profile = [
    { cm: 5, c: p.soil5C, y: ground + 24 },
    { cm: 10, c: p.soil10C, y: ground + 49 },
    { cm: 30, c: p.soil30C, y: ground + 80 },
  ];
  const coldest = Math.min(p.soil0C, ...profile.map((q) => q.c));
  const span = Math.max(2, Math.max(p.soil0C, ...profile.map((q) => q.c)) - coldest);
  const warmth = (c: number) => width - 186 + (48 * (c - coldest)) / span;
  const profilePath = [
    `M${warmth(p.soil0C)} ${ground + 4}`,
    ...profile.map((q) => `L${warmth(q.c)} ${q.y}`),
  ].join('');
  const leafTone = p.harmC !== null && p.leafC < p.harmC ? theme.frost : theme.pine;
  return (
    <View role="img" aria-label={words} testID="section">
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <SvgText x={16} y={20} fontFamily={FONT.label} fontSize={17} fill={theme.quiet}>
          {texts.sky(p.t(p.skyC))}
        </SvgText>
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
        {p.sun ? (
          <G x={34} y={ground - 122 - (ground - 190) * Math.min(1, p.sun.heightDeg / 70)}>
            <Circle r={13} fill="none" stroke={theme.ink} strokeWidth={2} />
            {[0, 45, 90, 135, 180, 225, 270, 315].map((deg) => {
              const [dx, dy] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
              return (
                <Line
                  key={deg}
                  x1={17 * dx}
                  y1={17 * dy}
                  x2={23 * dx}
                  y2={23 * dy}
                  stroke={theme.ink}
                  strokeWidth={2}
                />
              );
            })}
            <SvgText x={-22} y={42} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
              {`${Math.round(p.sun.wm2)} W/m²`}
            </SvgText>
          </G>
        ) : null}
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
          {texts.outside}
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
            ? texts.givingWM(Math.round(p.soilGivesWm2))
            : texts.storingWM(Math.round(-p.soilGivesWm2))}
        </SvgText>
        <SvgText x={16} y={ground + 49} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
          {shown.length > 1 ? texts.theSoilUnderItsCovers : texts.theSoilUnderOneCover(shown.length)}
        </SvgText>
        {profile.map((p_) => (
          <G key={p_.cm}>
            <SvgText
              x={width - 76}
              y={p_.y + 6}
              textAnchor="end"
              fontFamily={FONT.figure}
              fontSize={19}
              fill={theme.ember}
            >
              {p.t(p_.c)}
            </SvgText>
            <SvgText x={width - 70} y={p_.y + 6} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
              {texts.atCm(p_.cm)}
            </SvgText>
          </G>
        ))}
        <Path d={profilePath} fill="none" stroke={theme.ember} strokeWidth={2} />
        {[{ x: warmth(p.soil0C), y: ground + 4 }, ...profile.map((q) => ({ x: warmth(q.c), y: q.y }))].map(
          (q, n) => (
            <Circle key={n} cx={q.x} cy={q.y} r={3} fill={theme.emberFill} />
          ),
        )}
      </Svg>
    </View>
  );
}
