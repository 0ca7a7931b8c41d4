/** Kilos a week with an early and a late year about them, against what is asked for; weeks that are short are hatched. */
import type { Week } from '@fogata/core/relay';
import { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONT, type Palette } from '../../theme/tokens';
import { supplyBand as words } from '@fogata/words/en/screens/board';

export const SUPPLY_PX = 84;

interface BandProps {
  weeks: readonly Week[];
  x: (day: number) => number;
  top: number;
  theme: Palette;
}

export function SupplyBand({ weeks, x, top, theme }: BandProps) {
  const most = Math.max(5, ...weeks.map((w) => Math.max(w.highKg, w.demandKg)));
  const base = top + SUPPLY_PX - 12;
  const y = (kg: number) => base - (kg / most) * (SUPPLY_PX - 26);
  const mid = (w: Week) => x(w.fromDay + 3.5);
  const line = (of: (w: Week) => number) =>
    weeks.map((w, i) => `${i === 0 ? 'M' : 'L'}${mid(w).toFixed(1)} ${y(of(w)).toFixed(1)}`).join(' ');
  const back = [...weeks]
    .reverse()
    .map((w) => `L${mid(w).toFixed(1)} ${y(w.lowKg).toFixed(1)}`)
    .join(' ');
  const asked = weeks
    .map(
      (w, i) =>
        `${i === 0 ? 'M' : 'L'}${x(w.fromDay).toFixed(1)} ${y(w.demandKg).toFixed(1)} L${x(w.fromDay + 7).toFixed(1)} ${y(w.demandKg).toFixed(1)}`,
    )
    .join(' ');
  return (
    <>
      {weeks
        .filter((w) => w.shortKg > Math.max(1, 0.15 * w.demandKg))
        .map((w) => (
          <Rect
            key={w.fromDay}
            x={x(w.fromDay)}
            y={base + 2}
            width={x(w.fromDay + 7) - x(w.fromDay)}
            height={5}
            fill={theme.ochre}
          />
        ))}
      <Path d={`${line((w) => w.highKg)} ${back} Z`} fill={theme.pine} fillOpacity={0.2} />
      <Path d={line((w) => w.kg)} stroke={theme.pine} strokeWidth={2.2} fill="none" />
      {weeks.some((w) => w.demandKg > 0) ? (
        <Path d={asked} stroke={theme.ink} strokeWidth={1.3} strokeDasharray="6 4" fill="none" />
      ) : null}
      <Line
        x1={x(weeks[0]?.fromDay ?? 0)}
        x2={x((weeks.at(-1)?.fromDay ?? 0) + 7)}
        y1={base}
        y2={base}
        stroke={theme.quiet}
      />
      <SvgText x={6} y={y(most) + 12} fontFamily={FONT.label} fontSize={14} fill={theme.quiet}>
        {words.kg(Math.round(most))}
      </SvgText>
    </>
  );
}
