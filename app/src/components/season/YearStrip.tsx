/**
 * A crop's year in one place: how many years in ten it comes off in, by the day it is begun, as ground that is grown over; above it
 * the three schools as spans. The year begins in the middle of summer, so that a winter lies in one piece.
 */
import type { SeasonPlaceView } from '@fogata/contract/told';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { dayOf, dayWords, ofHundred } from '@fogata/words/en/screens/seasonWords';
import { yearStrip as texts } from '@fogata/words/en/screens/season';

const LETTERS = 'JFMAMJJASOND';
const STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];
const SCHOOLS = [
  ['layers', 'layers'],
  ['light', 'light'],
  ['risk', texts.nineInTen],
] as const;

export interface YearStripProps {
  place: SeasonPlaceView;
  width: number;
  /** "MM-DD" */
  today: string;
  /** The day that is looked at. */
  at: string;
  latitude: number;
}

const LABELS = 74;
const TOP = 6;
const LANE = 15;
const GROUND = 62;

export function YearStrip({ place, width, today, at, latitude }: YearStripProps) {
  const theme = useTheme();
  const first = latitude >= 0 ? 6 : 0;
  const start = STARTS[first]!;
  const w = width - LABELS - 6;
  const x = (day: number) => LABELS + (((day - start + 365) % 365) / 365) * w;
  const base = TOP + 3 * LANE + GROUND;
  const y = (share: number) => base - share * (GROUND - 16);
  const rows = [...place.dates].sort((a, b) => x(dayOf(a.date)) - x(dayOf(b.date)));
  const area = rows
    .map((r, i) => `${i === 0 ? 'M' : 'L'}${x(dayOf(r.date)).toFixed(1)} ${y(r.success).toFixed(1)}`)
    .join(' ');
  const shape = `${area} L${LABELS + w} ${y(rows.at(-1)?.success ?? 0).toFixed(1)} L${LABELS + w} ${base} L${LABELS} ${base} Z`;
  const open = place.windows.filter((p) => p.school === 'risk' && p.earliest);
  const words = texts.begunOn({
    name: place.name,
    count:
      open.length === 0
        ? texts.onNoDayDoesIt
        : texts.itComesOffInNine(
            open.map((o) => texts.fromTo(dayWords(o.earliest!), dayWords(o.latest!))).join(' and '),
          ),
    dayWords: dayWords(at),
    ofHundred: ofHundred(rows.find((r) => dayOf(r.date) >= dayOf(at))?.success ?? 0),
  });
  const spans = (school: string) =>
    place.windows
      .filter((p) => p.school === school && p.earliest && p.latest)
      .flatMap((p) => {
        // days are looked at every fifth: a span reaches to the next one
        const [a, b] = [x(dayOf(p.earliest!)), x(dayOf(p.latest!) + 4)];
        // a span over the end of the strip comes in at its beginning
        return a <= b
          ? [[a, b]]
          : [
              [a, LABELS + w],
              [LABELS, b],
            ];
      });
  return (
    <View role="img" aria-label={words} testID="year-strip">
      <Svg width={width} height={base + 24} viewBox={`0 0 ${width} ${base + 24}`} aria-hidden>
        {STARTS.map((d, m) => (
          <Line key={`g${m}`} x1={x(d)} x2={x(d)} y1={TOP} y2={base} stroke={theme.grid} strokeWidth={1} />
        ))}
        {SCHOOLS.map(([id, label], n) => {
          const lane = TOP + n * LANE + LANE / 2;
          return [
            <SvgText
              key={`l${id}`}
              x={0}
              y={lane + 5}
              fontFamily={FONT.label}
              fontSize={15}
              fill={theme.quiet}
            >
              {label}
            </SvgText>,
            ...spans(id).map(([a, b], i) => (
              <Rect
                key={`${id}${i}`}
                x={a!}
                y={lane - 3}
                width={Math.max(3, b! - a!)}
                height={6}
                fill={id === 'risk' ? theme.pine : 'none'}
                stroke={theme.pine}
                strokeWidth={1.2}
              />
            )),
          ];
        })}
        <Path d={shape} fill={theme.pine} opacity={0.45} />
        <Path d={area} fill="none" stroke={theme.pine} strokeWidth={1.6} />
        <Line
          x1={LABELS}
          x2={LABELS + w}
          y1={y(0.9)}
          y2={y(0.9)}
          stroke={theme.quiet}
          strokeWidth={0.8}
          strokeDasharray="2 4"
        />
        <Line x1={LABELS} x2={LABELS + w} y1={base} y2={base} stroke={theme.ink} strokeWidth={1.2} />
        <Line
          x1={x(dayOf(today))}
          x2={x(dayOf(today))}
          y1={TOP}
          y2={base}
          stroke={theme.ink}
          strokeWidth={1.4}
        />
        {at !== today ? (
          <Line
            x1={x(dayOf(at))}
            x2={x(dayOf(at))}
            y1={TOP}
            y2={base}
            stroke={theme.emberFill}
            strokeWidth={2.4}
          />
        ) : null}
        <SvgText x={0} y={y(0.9) + 5} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
          {texts.words9In10}
        </SvgText>
        {STARTS.map((d, m) => (
          <SvgText
            key={`m${m}`}
            x={x(d) + w / 24}
            y={base + 17}
            textAnchor="middle"
            fontFamily={FONT.label}
            fontSize={15}
            fill={theme.quiet}
          >
            {LETTERS[m]}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}
