/** Said and measured by spot: the range that was said as a bar, what was measured as a dot, on gifted-charts. */
import type { NightReport } from '@fogata/contract/told';
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import type { Format } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { nightChart as texts } from '@fogata/words/en/screens/night';

export function NightChart({
  report,
  format,
  width,
}: {
  report: NightReport;
  format: Format;
  width: number;
}) {
  const theme = useTheme();
  const spots = report.spots.filter((s) => s.predictedC !== null || s.measuredMinC !== null);
  if (spots.length === 0) return null;
  const u = (c: number) => Number(format.inUnit(c).toFixed(1));
  const values = spots
    .flatMap((s) =>
      [s.measuredMinC, s.predictedC?.low, s.predictedC?.high].filter((v): v is number => v != null),
    )
    .map(u);
  const low = Math.floor((Math.min(...values) - 1) / 2) * 2;
  const high = Math.ceil((Math.max(...values) + 1) / 2) * 2;
  const spacing = (width - 90) / Math.max(1, spots.length - 0.2);
  const text = { color: theme.quiet, fontFamily: FONT.label, fontSize: 14 };
  // a spot without a value repeats its neighbour invisibly, so that the axis keeps its place
  const point = (c: number | null | undefined, label: string) =>
    c == null
      ? { value: low, label, labelTextStyle: text, hideDataPoint: true }
      : { value: u(c), label, labelTextStyle: text };
  const words = spots
    .map((s) =>
      texts.saidMeasured({
        name: s.name,
        predictedC: s.predictedC ? format.t(s.predictedC.mid) : 'nothing',
        measuredMinC: s.measuredMinC === null ? 'nothing' : format.t(s.measuredMinC),
      }),
    )
    .join('; ');
  return (
    <View role="img" aria-label={words} testID="night-chart" style={{ paddingTop: 8 }}>
      <LineChart
        data={spots.map((s) => point(s.predictedC?.low, s.name))}
        data2={spots.map((s) => point(s.predictedC?.high, s.name))}
        data3={spots.map((s) => point(s.predictedC?.mid, s.name))}
        data4={spots.map((s) => point(s.measuredMinC, s.name))}
        color1="transparent"
        color2="transparent"
        color3="transparent"
        color4="transparent"
        dataPointsColor1={theme.band}
        dataPointsColor2={theme.band}
        dataPointsColor3={theme.quiet}
        dataPointsColor4={theme.emberFill}
        dataPointsRadius1={5}
        dataPointsRadius2={5}
        dataPointsRadius3={4}
        dataPointsRadius4={8}
        dataPointsShape4="rectangular"
        dataPointsWidth4={14}
        dataPointsHeight4={14}
        yAxisOffset={low}
        maxValue={high - low}
        noOfSections={Math.max(2, Math.min(8, (high - low) / 2))}
        spacing={spacing}
        initialSpacing={spacing / 2.6}
        endSpacing={0}
        width={width - 60}
        height={220}
        xAxisColor={theme.quiet}
        yAxisColor={theme.quiet}
        rulesColor={theme.grid}
        yAxisTextStyle={text}
        xAxisLabelTextStyle={text}
        disableScroll
        adjustToWidth={false}
        yAxisLabelSuffix="°"
      />
    </View>
  );
}
