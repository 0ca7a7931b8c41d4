/** How far a planting is from harm: dead below the solid frost, hurt in the hatched, the leaf tonight as a marker with its range. */
import { View } from 'react-native';
import Svg, { Defs, Line, Path, Pattern, Rect } from 'react-native-svg';
import { useTheme } from '../../theme/theme';

export interface MarginBarProps {
  width: number;
  harmC: number;
  deathC: number;
  leafC: { low: number; mid: number; high: number } | null;
  words: string;
}

export function MarginBar({ width, harmC, deathC, leafC, words }: MarginBarProps) {
  const theme = useTheme();
  const low = Math.min(deathC, leafC?.low ?? 0) - 2;
  const high = Math.max(harmC + 8, (leafC?.high ?? 0) + 2);
  const x = (c: number) => ((c - low) / (high - low)) * width;
  const id = `margin-${theme.name}`;
  return (
    <View role="img" aria-label={words}>
      <Svg width={width} height={26} viewBox={`0 0 ${width} 26`} aria-hidden>
        <Defs>
          <Pattern id={id} width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <Line x1={0} y1={0} x2={0} y2={5} stroke={theme.frost} strokeWidth={2} />
          </Pattern>
        </Defs>
        <Line x1={0} y1={14} x2={width} y2={14} stroke={theme.hairline} strokeWidth={2} />
        <Rect x={0} y={9} width={x(deathC)} height={10} fill={theme.frost} />
        <Rect
          x={x(deathC)}
          y={9}
          width={Math.max(0, x(harmC) - x(deathC))}
          height={10}
          fill={`url(#${id})`}
        />
        {leafC ? (
          <>
            <Rect
              x={x(leafC.low)}
              y={12}
              width={Math.max(2, x(leafC.high) - x(leafC.low))}
              height={4}
              fill={theme.pine}
            />
            <Path
              d={`M${x(leafC.mid) - 6} 2h12v9l-6 8l-6 -8z`}
              fill={theme.pine}
              stroke={theme.ground}
              strokeWidth={1}
            />
          </>
        ) : null}
      </Svg>
    </View>
  );
}
