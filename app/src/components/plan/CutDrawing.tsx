/** Each roll unrolled to scale, its cuts across it and the sheets in each, what is wasted hatched. */
import type { Roll } from '@fogata/contract';
import type { CutPlan } from '@fogata/core';
import { View } from 'react-native';
import Svg, { Defs, G, Line, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { Text } from '../ui/Text';
import { cutDrawing as texts } from '@fogata/words/en/screens/covers';

export function CutDrawing({
  plan,
  rolls,
  width,
  format,
}: {
  plan: CutPlan;
  rolls: readonly Roll[];
  width: number;
  format: Format;
}) {
  const theme = useTheme();
  const drawn = rolls.flatMap((r) =>
    Array.from({ length: r.count }, (_, k) => ({
      roll: r,
      no: k + 1,
      cuts: plan.cuts.filter((c) => c.rollId === r.id && c.rollNo === k + 1),
    })).filter((x) => x.cuts.length > 0),
  );
  return (
    <View style={{ gap: 12 }}>
      {drawn.map(({ roll, no, cuts }) => {
        const used = cuts.reduce((s, c) => s + c.lengthM, 0);
        // the length that is used fills the drawing; width is drawn larger where a roll is long and narrow
        const sx = (width - 2) / Math.max(used, 1);
        const sy = Math.max(sx, 54 / roll.widthM);
        const height = roll.widthM * sy;
        const words = texts.rollOf(
          format.metres(roll.widthM),
          cuts.map((c) => c.pieces.map((p) => p.label).join(' beside ')).join('; then '),
        );
        return (
          <View key={`${roll.id}-${no}`}>
            <Text kind="label" tone="quiet">
              {texts.rollWideOfUsed({
                no,
                widthM: format.metres(roll.widthM),
                used: format.metres(Number(used.toFixed(1))),
                lengthM: format.metres(roll.lengthM),
              })}
            </Text>
            <View role="img" aria-label={words}>
              <Svg width={width} height={height + 2} viewBox={`0 0 ${width} ${height + 2}`} aria-hidden>
                <Defs>
                  <Pattern
                    id={`waste-${theme.name}`}
                    width={6}
                    height={6}
                    patternUnits="userSpaceOnUse"
                    patternTransform="rotate(45)"
                  >
                    <Line x1={0} y1={0} x2={0} y2={6} stroke={theme.ochre} strokeWidth={1.2} />
                  </Pattern>
                </Defs>
                <Rect
                  x={1}
                  y={1}
                  width={used * sx}
                  height={height}
                  fill={`url(#waste-${theme.name})`}
                  stroke={theme.ink}
                />
                {cuts.map((c) => (
                  <G key={c.fromM}>
                    {c.pieces.map((p, i) => (
                      <G key={i}>
                        <Rect
                          x={1 + c.fromM * sx}
                          y={1 + p.acrossM * sy}
                          width={p.lengthM * sx}
                          height={p.widthM * sy}
                          fill={theme.raised}
                          stroke={theme.ink}
                          strokeWidth={1}
                        />
                        {p.lengthM * sx > 56 && p.widthM * sy > 16 ? (
                          <SvgText
                            x={1 + (c.fromM + p.lengthM / 2) * sx}
                            y={1 + (p.acrossM + p.widthM / 2) * sy + 5}
                            textAnchor="middle"
                            fontFamily={FONT.label}
                            fontSize={13}
                            fill={theme.ink}
                          >
                            {`${p.lengthM.toFixed(1)} × ${p.widthM.toFixed(1)}`}
                          </SvgText>
                        ) : null}
                      </G>
                    ))}
                    <Line
                      x1={1 + (c.fromM + c.lengthM) * sx}
                      x2={1 + (c.fromM + c.lengthM) * sx}
                      y1={0}
                      y2={height + 2}
                      stroke={theme.ink}
                      strokeWidth={2}
                      strokeDasharray="5 3"
                    />
                  </G>
                ))}
              </Svg>
            </View>
          </View>
        );
      })}
    </View>
  );
}
