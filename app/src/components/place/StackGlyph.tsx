/** The stack, small: beside a place's name in every list. An arc on is full, off thin, planned dashed in ember, open gapped. */
import type { GlyphLayer } from '@fogata/contract/told';
import { View } from 'react-native';
import Svg, { Circle, Line, Path } from 'react-native-svg';
import { useTheme } from '../../theme/theme';
import { stackArcs, stackWords } from './stackPath';

export function StackGlyph({ layers, size = 40 }: { layers: readonly GlyphLayer[]; size?: number }) {
  const theme = useTheme();
  const height = size * 0.68;
  // half of the ember lies under the ground line
  const foot = Math.max(5, size * 0.085 + 1);
  const arcs = stackArcs(layers, { width: size, height, pad: 2.5 });
  return (
    <View role="img" aria-label={stackWords(layers)} style={{ width: size, height: height + foot }}>
      <Svg width={size} height={height + foot} viewBox={`0 0 ${size} ${height + foot}`} aria-hidden>
        {arcs.map((a, i) => (
          <Path
            key={i}
            d={a.d}
            fill="none"
            stroke={a.state === 'planned' ? theme.ember : theme.ink}
            strokeWidth={a.state === 'off' ? 1 : 2.2}
            strokeDasharray={a.state === 'on' ? undefined : a.state === 'planned' ? '4 2.5' : '1.5 2'}
          />
        ))}
        <Line x1={0} y1={height} x2={size} y2={height} stroke={theme.ink} strokeWidth={1.4} />
        <Circle cx={size / 2} cy={height} r={size * 0.085} fill={theme.emberFill} />
      </Svg>
    </View>
  );
}
