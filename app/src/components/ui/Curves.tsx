/** Every layer by day and night: outside, each air, the crop, the soil, hour by hour, on gifted-charts; told apart by dash and name. */
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import Svg, { Line } from 'react-native-svg';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { Text } from './Text';
import { curves as texts } from '@fogata/words/en/screens/ui';

export interface Curve {
  name: string;
  /** One a time; null where there is none. */
  c: (number | null)[];
  colour: string;
  dash?: number[];
  thick?: number;
}

export function Curves({
  timesAtMs,
  curves,
  format,
  width,
  label,
}: {
  timesAtMs: number[];
  curves: Curve[];
  format: Format;
  width: number;
  label: string;
}) {
  const theme = useTheme();
  const u = (c: number) => format.inUnit(c);
  const all = curves.flatMap((x) => x.c.filter((c): c is number => c !== null)).map(u);
  const low = Math.floor((Math.min(...all) - 1) / 5) * 5;
  const high = Math.ceil((Math.max(...all) + 1) / 5) * 5;
  const step = high - low > 45 ? 10 : 5;
  const text = { color: theme.quiet, fontFamily: FONT.label, fontSize: 14 };
  const every = Math.ceil(timesAtMs.length / 6 / 3) * 3;
  // drawn anew for new figures: the chart would keep its old lines
  const drawing = curves.map((x) => `${x.name}${x.c.map((c) => c?.toFixed(1)).join()}`).join(';');
  const words = curves
    .map((x) => {
      const values = x.c.filter((c): c is number => c !== null);
      return values.length === 0
        ? ''
        : texts.fromTo({
            name: x.name,
            min: format.t(Math.min(...values)),
            max: format.t(Math.max(...values)),
          });
    })
    .filter(Boolean)
    .join('; ');
  return (
    <View>
      <View role="img" aria-label={`${label}. ${words}`} testID="curves">
        <LineChart
          key={drawing}
          // the chart counts from nought: what is drawn is the height above the lowest rule
          dataSet={curves.map((x, n) => ({
            data: x.c.map((c, i) => ({
              value: c === null ? undefined : u(c) - low,
              // wider than the hour it stands for, or it would be cut
              ...(n === 0 && i % every === 0 && i < timesAtMs.length - 3
                ? {
                    labelComponent: () => (
                      <Text kind="small" tone="quiet" style={{ width: 60, marginLeft: 2 }}>
                        {format.time(timesAtMs[i]!)}
                      </Text>
                    ),
                  }
                : {}),
            })),
            color: x.colour,
            thickness: x.thick ?? 2,
            ...(x.dash ? { strokeDashArray: x.dash } : {}),
            hideDataPoints: true,
          }))}
          interpolateMissingValues={false}
          maxValue={high - low}
          stepValue={step}
          noOfSections={Math.max(1, Math.round((high - low) / step))}
          formatYLabel={(v) => `${Math.round(Number(v) + low)}°`.replace('-', '−')}
          spacing={(width - 58) / Math.max(1, timesAtMs.length - 1)}
          initialSpacing={4}
          endSpacing={0}
          width={width - 52}
          height={230}
          xAxisColor={theme.quiet}
          yAxisColor={theme.quiet}
          rulesColor={theme.grid}
          yAxisTextStyle={text}
          yAxisLabelWidth={40}
          disableScroll
          adjustToWidth={false}
        />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 4, paddingTop: 4 }}>
        {curves.map((x) => (
          <View key={x.name} style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
            <Svg width={26} height={10} aria-hidden>
              <Line
                x1={0}
                x2={26}
                y1={5}
                y2={5}
                stroke={x.colour}
                strokeWidth={x.thick ?? 2}
                {...(x.dash ? { strokeDasharray: x.dash.join(' ') } : {})}
              />
            </Svg>
            <Text kind="label">{x.name}</Text>
          </View>
        ))}
      </View>
    </View>
  );
}
