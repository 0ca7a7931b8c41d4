/** A bed from above: its rows as lines, each planting a run of leaves along its rows; what is free stays bare soil. */
import type { PlantingView } from '@fogata/contract/told';
import type { Bed } from '@fogata/core';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { bedDrawing as texts } from '@fogata/words/en/screens/plan';

const LEAF = 'M0 0C-3-4-2-9 0-11C2-9 3-4 0 0Z';

export function BedDrawing({
  bed,
  plantings,
  width,
}: {
  bed: Bed;
  plantings: readonly PlantingView[];
  width: number;
}) {
  const theme = useTheme();
  const gap = 15;
  const height = bed.rows * gap + 12;
  const x = (m: number) => 8 + (m / bed.lengthM) * (width - 16);
  const y = (row: number) => 4 + row * gap;
  const words =
    plantings.length === 0
      ? texts.free(bed.name)
      : `${bed.name}: ${plantings.map((p) => texts.inRowsTo({ cropName: p.cropName, fromRow: p.planting.fromRow, toRow: p.planting.toRow })).join(', ')}`;
  return (
    <View role="img" aria-label={words}>
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <Rect x={1} y={1} width={width - 2} height={height - 2} fill={theme.soil} stroke={theme.hairline} />
        {Array.from({ length: bed.rows }, (_, r) => (
          <Line
            key={r}
            x1={8}
            x2={width - 8}
            y1={y(r + 1)}
            y2={y(r + 1)}
            stroke={theme.hairline}
            strokeWidth={1}
            strokeDasharray="3 3"
          />
        ))}
        {plantings.flatMap((p) => {
          const rows = Array.from(
            { length: p.planting.toRow - p.planting.fromRow + 1 },
            (_, i) => p.planting.fromRow + i,
          );
          const end = x(p.planting.lengthM);
          const middle = y((p.planting.fromRow + p.planting.toRow) / 2);
          const label = `${p.cropName}${p.planting.cultivar ? ` · ${p.planting.cultivar}` : ''}`;
          const wide = label.length * 6.8 + 12;
          return [
            ...rows.flatMap((r) => {
              const leaves = [];
              for (let at = 14; at < end - 4; at += 16)
                leaves.push(
                  <Path
                    key={`${p.planting.id}-${r}-${at}`}
                    d={LEAF}
                    transform={`translate(${at} ${y(r) + 4})`}
                    fill={theme.pine}
                    opacity={0.55}
                  />,
                );
              return leaves;
            }),
            <Rect
              key={`${p.planting.id}-bg`}
              x={12}
              y={middle - 9}
              width={wide}
              height={19}
              fill={theme.soil}
              opacity={0.94}
            />,
            <SvgText
              key={`${p.planting.id}-t`}
              x={17}
              y={middle + 5.5}
              fontFamily={FONT.label}
              fontSize={15}
              fill={theme.ink}
            >
              {label}
            </SvgText>,
          ];
        })}
      </Svg>
    </View>
  );
}
