/**
 * A planting as its own growth on its row's ground line: dots where seed lies, an outline while it grows, filled while it can be picked, a notch
 * at each cut, a fall when it is cleared. Its height is the crop's.
 */
import { heightOn, type Strip } from '@fogata/core/relay';
import { memo } from 'react';
import { Circle, G, Line, Path } from 'react-native-svg';
import type { Palette } from '../../theme/tokens';

/** How high a crop is drawn, px: low ones are seen as well. */
export const drawnHeight = (heightM: number, most: number): number =>
  most * (0.28 + 0.72 * Math.min(1, heightM / 1.6) ** 0.6);

export interface StripDrawingProps {
  strip: Strip;
  /** First and last day of the board, and how wide a day is, px. */
  from: number;
  to: number;
  px: number;
  /** The ground line and the room over it, px. */
  ground: number;
  most: number;
  theme: Palette;
  chosen: boolean;
  quarrels: boolean;
}

const STEP_DAYS = 4;

export const StripDrawing = memo(function StripDrawing({
  strip: s,
  from: first,
  to: last,
  px,
  ground,
  most,
  theme,
  chosen,
  quarrels,
}: StripDrawingProps) {
  const x = (day: number) => (Math.min(last, Math.max(first, day)) - first) * px;
  const scale = drawnHeight(s.crop.heightM, most) / Math.max(0.01, s.crop.heightM);
  const y = (day: number) => ground - heightOn(s.crop, s, day) * scale;
  const up = s.upDay ?? s.endDay;
  const ready = s.readyDay === null ? s.endDay : Math.min(s.readyDay, s.endDay);
  const path = (from: number, to: number, close: boolean) => {
    const days: number[] = [];
    for (let d = from; d < to; d += STEP_DAYS) days.push(d);
    // a cut is a step: the day before it is drawn as well
    for (const c of s.cutDays) if (c > from && c < to) days.push(c - 0.01, c);
    days.push(to - 0.01);
    days.sort((a, b) => a - b);
    const line = days.map((d, i) => `${i === 0 ? 'M' : 'L'}${x(d).toFixed(1)} ${y(d).toFixed(1)}`).join(' ');
    return close ? `${line} L${x(to).toFixed(1)} ${ground} L${x(from).toFixed(1)} ${ground} Z` : line;
  };
  const dots: number[] = [];
  if (s.how === 'sow')
    for (let d = s.startDay; d < Math.min(up, s.endDay); d += Math.max(2, (up - s.startDay) / 4))
      dots.push(d);
  const stroke = quarrels ? theme.ochre : theme.pine;
  const width = chosen ? 2.6 : 1.5;
  return (
    <G>
      {dots.map((d) => (
        <Circle key={d} cx={x(d) + 2} cy={ground - 3} r={1.6} fill={stroke} />
      ))}
      {s.how === 'transplant' ? (
        <Line
          x1={x(s.startDay)}
          x2={x(s.startDay)}
          y1={ground}
          y2={ground - 8}
          stroke={stroke}
          strokeWidth={2}
        />
      ) : null}
      {up < s.endDay ? (
        <Path d={path(up, ready, false)} stroke={stroke} strokeWidth={width} fill="none" />
      ) : null}
      {s.readyDay !== null && s.readyDay < s.endDay ? (
        <Path
          d={path(s.readyDay, s.endDay, true)}
          stroke={stroke}
          strokeWidth={width}
          fill={theme.pine}
          fillOpacity={chosen ? 0.75 : 0.5}
          strokeDasharray={s.planting.planned ? '5 3' : undefined}
        />
      ) : null}
      {s.readyDay === null ? (
        <Line
          x1={x(s.startDay)}
          x2={x(s.endDay)}
          y1={ground - 5}
          y2={ground - 5}
          stroke={stroke}
          strokeDasharray="2 3"
        />
      ) : null}
    </G>
  );
});
