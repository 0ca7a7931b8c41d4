/**
 * The nights that a planting went through: below, where harm began for it (a shore that falls as it hardens); above, how low its
 * leaves were. A night that came under the shore is drawn solid, one that stayed over it open.
 */
import type { StoryView } from '@fogata/contract/told';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { margins as texts } from '@fogata/words/en/screens/season';

const HEIGHT = 150;
const [LEFT, RIGHT, TOP, BOTTOM] = [44, 12, 12, 24];

export function Margins({
  view,
  width,
  format,
  day,
}: {
  view: StoryView;
  width: number;
  format: Format;
  day: (date: string) => string;
}) {
  const theme = useTheme();
  const { nights, tonight } = view;
  const all = [
    ...nights,
    ...(tonight ? [{ night: view.today, leafC: tonight.leafC.mid, harmC: tonight.harmC }] : []),
  ];
  if (all.length === 0) return null;
  const values = all
    .flatMap((n) => [n.leafC, n.harmC])
    .concat(tonight ? [tonight.leafC.low, tonight.leafC.high] : []);
  const low = Math.floor(Math.min(...values)) - 1;
  const high = Math.ceil(Math.max(...values)) + 1;
  const firstAtMs = Date.parse(all[0]!.night);
  const lastAtMs = Math.max(Date.parse(all.at(-1)!.night), firstAtMs + 86_400_000);
  const x = (date: string) =>
    LEFT + ((Date.parse(date) - firstAtMs) / (lastAtMs - firstAtMs)) * (width - LEFT - RIGHT);
  const y = (c: number) => TOP + ((high - c) / (high - low)) * (HEIGHT - TOP - BOTTOM);
  const shore = all
    .map((n, i) => `${i === 0 ? 'M' : 'L'}${x(n.night).toFixed(1)} ${y(n.harmC).toFixed(1)}`)
    .join(' ');
  const floor = HEIGHT - BOTTOM;
  const under = nights.filter((n) => n.leafC < n.harmC).length;
  const words = texts.nightsFromUnderWhatHarms({
    count: nights.length,
    night: day(all[0]!.night),
    under: under === 0 ? 'none' : under,
    tonight: tonight ? texts.tonightHarmBelow(format.t(tonight.leafC.mid), format.t(tonight.harmC)) : '',
  });
  return (
    <View role="img" aria-label={words} testID="margins">
      <Svg width={width} height={HEIGHT}>
        <Path
          d={`${shore} L${x(all.at(-1)!.night)} ${floor} L${x(all[0]!.night)} ${floor} Z`}
          fill={theme.frostFill}
        />
        <Path d={shore} stroke={theme.frost} strokeWidth={2} fill="none" />
        {[low + 1, high - 1].map((c) => (
          <SvgText
            key={c}
            x={LEFT - 8}
            y={y(c) + 4}
            fontFamily={FONT.label}
            fontSize={13}
            fill={theme.quiet}
            textAnchor="end"
          >
            {format.tBare(c, 0)}
          </SvgText>
        ))}
        {nights.map((n) => (
          <Circle
            key={n.night}
            cx={x(n.night)}
            cy={y(n.leafC)}
            r={4}
            stroke={n.leafC < n.harmC ? theme.frost : theme.pine}
            strokeWidth={2}
            fill={n.leafC < n.harmC ? theme.frost : theme.ground}
          />
        ))}
        {tonight ? (
          <>
            <Line
              x1={x(view.today)}
              x2={x(view.today)}
              y1={y(tonight.leafC.low)}
              y2={y(tonight.leafC.high)}
              stroke={theme.ember}
              strokeWidth={3}
            />
            <Circle cx={x(view.today)} cy={y(tonight.leafC.mid)} r={4} fill={theme.ember} />
          </>
        ) : null}
        <SvgText x={LEFT} y={HEIGHT - 6} fontFamily={FONT.label} fontSize={13} fill={theme.quiet}>
          {day(all[0]!.night)}
        </SvgText>
        <SvgText
          x={width - RIGHT}
          y={HEIGHT - 6}
          fontFamily={FONT.label}
          fontSize={13}
          fill={theme.quiet}
          textAnchor="end"
        >
          {tonight ? 'tonight' : day(all.at(-1)!.night)}
        </SvgText>
      </Svg>
    </View>
  );
}
