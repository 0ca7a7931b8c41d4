/**
 * The board: rows by weeks, beds as bands, each planting its own growth. Behind it the length of the day and the dark weeks, above it what comes
 * and what is asked for, at each hand-over its post with the odds. A strip is dragged, or moved by the keys when it has the focus.
 */
import { dayLengthH } from '@fogata/core';
import { isoOf } from '@fogata/core/relay';
import { ScrollView, View } from 'react-native';
import { GestureHandlerRootView } from 'react-native-gesture-handler';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { MONTHS } from '@fogata/core/telling';
import { dayShort } from '@fogata/words/en/screens/seasonWords';
import { Text } from '../ui/Text';
import { placedOf } from './board';
import { drawnHeight, StripDrawing } from './StripDrawing';
import { SupplyBand, SUPPLY_PX } from './SupplyBand';
import { LANE, RowTarget, rowsWords, StripTarget } from './targets';
import { BOARD_WEEKS, type Board } from './useBoard';
import { boardGrid as words } from '@fogata/words/en/screens/board';

const HEAD = 92;
const LABELS = { wide: 104, narrow: 62 } as const;
/** Narrower than this, months are letters and labels short. */
const NARROW = 600;
const DARK_H = 10;

export type Zoom = 'year' | 'season' | 'month';
const TIMES: Record<Zoom, number> = { year: 1, season: 2.2, month: 6 };

interface GridProps {
  board: Board;
  /** Of the board with its labels, px. */
  width: number;
  zoom: Zoom;
  chosen: string | null;
  onChoose: (id: string | null) => void;
  /** A row that is free: its bed and its rows. */
  onRow: (bedId: string, fromRow: number, toRow: number) => void;
  bedIds?: readonly string[];
}

/** First days of months from a day on. */
function monthStarts(from: number, to: number): number[] {
  const out: number[] = [];
  const d = new Date(`${isoOf(from).slice(0, 7)}-01T00:00:00Z`);
  for (;;) {
    const day = Math.round(d.getTime() / 86_400_000);
    if (day >= to) return out;
    if (day >= from) out.push(day);
    d.setUTCMonth(d.getUTCMonth() + 1);
  }
}

export function BoardGrid({ board, width, zoom, chosen, onChoose, onRow, bedIds }: GridProps) {
  const theme = useTheme();
  const { year, check, weeks, from, handed, view } = board;
  if (!year || !view || !check) return null;
  const narrow = width < NARROW;
  const label = narrow ? LABELS.narrow : LABELS.wide;
  const days = BOARD_WEEKS * 7;
  const to = from + days;
  const px = ((width - label) / days) * TIMES[zoom];
  const x = (day: number) => (Math.min(to, Math.max(from, day)) - from) * px;
  const beds = year.beds.filter((b) => !bedIds || bedIds.includes(b.id));
  const { placed, height } = placedOf(beds, year.strips, [from, to], HEAD + SUPPLY_PX, LANE);
  const inQuarrel = new Set(
    check.quarrels.filter((q) => !view.accepted.includes(q.id)).flatMap((q) => q.plantings),
  );
  const light = Array.from({ length: BOARD_WEEKS + 1 }, (_, w) => from + w * 7);
  const hours = (day: number) => dayLengthH(day * 86_400_000 + 43_200_000, year.latitude);
  const lightY = (h: number) => HEAD - 26 - (h / 24) * (HEAD - 40);
  // where the light stands high the frost stands low: both share the head
  const frostIn = (day: number) => {
    const date = isoOf(day);
    const week = Math.min(
      52,
      Math.floor((day * 86_400_000 - Date.parse(`${date.slice(0, 4)}-01-01`)) / 604_800_000),
    );
    return view.frost[week] ?? 0;
  };
  const frostY = (share: number) => HEAD - 26 - share * (HEAD - 40);
  const line = (y: (day: number) => number) =>
    light.map((d, i) => `${i === 0 ? 'M' : 'L'}${x(d).toFixed(1)} ${y(d).toFixed(1)}`).join(' ');
  const coldest = light.reduce((a, b) => (frostIn(b) > frostIn(a) ? b : a));
  const dark = light.filter((d) => hours(d) < DARK_H);
  const sheet = (
    <View style={{ width: days * px, height }}>
      <Svg width={days * px} height={height} aria-hidden>
        {dark.map((d) => (
          <Rect
            key={`n${d}`}
            x={x(d)}
            y={HEAD - 20}
            width={7 * px + 0.5}
            height={height - HEAD + 20}
            fill={theme.band}
            fillOpacity={0.35}
          />
        ))}
        {monthStarts(from, to).map((d) => (
          <G key={d}>
            <Line x1={x(d)} x2={x(d)} y1={HEAD - 20} y2={height} stroke={theme.grid} />
            <SvgText x={x(d) + 4} y={HEAD - 6} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
              {MONTHS[new Date(d * 86_400_000).getUTCMonth()]!.slice(0, narrow ? 1 : 3)}
            </SvgText>
          </G>
        ))}
        <Path d={line((d) => lightY(hours(d)))} stroke={theme.emberFill} strokeWidth={2} fill="none" />
        {frostIn(coldest) > 0.05 ? (
          <Path
            d={line((d) => frostY(frostIn(d)))}
            stroke={theme.frost}
            strokeWidth={2}
            strokeDasharray="6 4"
            fill="none"
          />
        ) : null}
        <SvgText
          x={days * px - 6}
          textAnchor="end"
          y={16}
          fontFamily={FONT.label}
          fontSize={15}
          fill={theme.ember}
        >
          {words.lightLightHoursADay(narrow)}
        </SvgText>
        {frostIn(coldest) > 0.05 ? (
          <SvgText
            x={days * px - (narrow ? 48 : 134)}
            textAnchor="end"
            y={16}
            fontFamily={FONT.label}
            fontSize={15}
            fill={theme.frost}
          >
            {narrow ? 'frost' : words.frostOutsideUpToOf(Math.round(10 * frostIn(coldest)))}
          </SvgText>
        ) : null}
        {dark.length > 0 ? (
          <SvgText x={x(dark[0]!) + 6} y={HEAD - 24} fontFamily={FONT.label} fontSize={15} fill={theme.quiet}>
            {words.darkWeeksDarkWeeksLeaves(narrow)}
          </SvgText>
        ) : null}
        {weeks.length > 0 ? <SupplyBand weeks={weeks} x={x} top={HEAD} theme={theme} /> : null}
        {placed.map(({ bed, lanes, start }) => (
          <G key={bed.id}>
            <Line x1={0} x2={days * px} y1={start - 5} y2={start - 5} stroke={theme.hairline} />
            {lanes.map(({ lane, ground }) => (
              <G key={`${lane.fromRow}-${lane.toRow}`}>
                <Line x1={0} x2={days * px} y1={ground} y2={ground} stroke={theme.quiet} strokeWidth={1} />
                {lane.strips.map((s) => (
                  <G key={s.planting.id}>
                    <StripDrawing
                      strip={s}
                      from={from}
                      to={to}
                      px={px}
                      ground={ground}
                      most={LANE - 22}
                      theme={theme}
                      chosen={s.planting.id === chosen}
                      quarrels={inQuarrel.has(s.planting.id)}
                    />
                  </G>
                ))}
              </G>
            ))}
          </G>
        ))}
        {placed.flatMap(({ bed, lanes }) =>
          handed
            .filter((p) => p.bedId === bed.id && p.chance !== null)
            .map((p) => {
              const young = lanes.find(({ lane }) => lane.strips.some((s) => s.planting.id === p.youngId));
              if (!young) return null;
              const sure = p.chance! >= 1 - year.risk;
              return (
                <G key={`${p.oldId} ${p.youngId}`}>
                  <Line
                    x1={x(p.day)}
                    x2={x(p.day)}
                    y1={young.ground - LANE + 10}
                    y2={young.ground}
                    stroke={theme.emberFill}
                    strokeWidth={sure ? 2 : 3.5}
                  />
                  <SvgText
                    x={x(p.day) - 4}
                    y={young.ground - LANE + 20}
                    textAnchor="end"
                    fontFamily={FONT.figure}
                    fontSize={15}
                    fill={theme.ember}
                  >
                    {words.in10(Math.round(p.chance! * 10))}
                  </SvgText>
                </G>
              );
            }),
        )}
        {placed.flatMap(({ lanes }) =>
          lanes.flatMap(({ lane, ground }) =>
            lane.strips.map((s) => {
              const last = x(s.startDay);
              const next = lane.strips.find((o) => o.startDay > s.startDay);
              const room = (next ? x(next.startDay) : days * px) - last;
              const fits = s.crop.name.length * 7 < room;
              return fits || s.planting.id === chosen ? (
                <SvgText
                  key={s.planting.id}
                  x={last + 3}
                  y={ground - drawnHeight(s.crop.heightM, LANE - 22) - 6}
                  fontFamily={FONT.label}
                  fontSize={15}
                  fill={inQuarrel.has(s.planting.id) ? theme.ochre : theme.ink}
                >
                  {`${inQuarrel.has(s.planting.id) ? '▲ ' : ''}${s.crop.name}`}
                </SvgText>
              ) : null;
            }),
          ),
        )}
        <Line x1={x(year.today)} x2={x(year.today)} y1={0} y2={height} stroke={theme.ink} strokeWidth={1.5} />
        <SvgText x={x(year.today) + 5} y={16} fontFamily={FONT.figure} fontSize={15} fill={theme.ink}>
          {narrow ? 'today' : words.today(dayShort(view.today.slice(5)))}
        </SvgText>
      </Svg>
      {placed.flatMap(({ bed, lanes }) =>
        lanes.flatMap(({ lane, ground }) => [
          <RowTarget
            key={`${bed.id} ${lane.fromRow}`}
            top={ground - LANE + 6}
            width={days * px}
            bedId={bed.id}
            fromRow={lane.fromRow}
            toRow={lane.toRow}
            onRow={onRow}
            label={words.whatNext(bed.name, rowsWords(lane))}
          />,
          ...lane.strips.map((s) => (
            <StripTarget
              key={s.planting.id}
              strip={s}
              bedName={bed.name}
              left={x(s.startDay)}
              width={Math.max(14, x(s.endDay) - x(s.startDay))}
              top={ground - LANE + 6}
              px={px}
              hand={board.hand}
              held={board.held?.id === s.planting.id ? board.held : null}
              today={view.today}
              chosen={s.planting.id === chosen}
              onChoose={onChoose}
            />
          )),
        ]),
      )}
    </View>
  );
  return (
    <GestureHandlerRootView style={{ flexDirection: 'row' }}>
      <View style={{ width: label, height }}>
        <View style={{ position: 'absolute', top: HEAD + 2 }}>
          <Text kind="label" tone="quiet">
            {words.kgAWeek}
          </Text>
        </View>
        {placed.map(({ bed, lanes, start }) => (
          <View key={bed.id} style={{ position: 'absolute', top: start - 6 }}>
            {narrow ? null : <Text kind="figure">{bed.name}</Text>}
            {lanes.map(({ lane, ground }) => (
              <View
                key={lane.fromRow}
                style={{ position: 'absolute', top: ground - start - 14, width: label - 4 }}
              >
                <Text kind="small" tone="quiet">
                  {rowsWords(lane)}
                </Text>
              </View>
            ))}
          </View>
        ))}
      </View>
      {zoom === 'year' ? (
        sheet
      ) : (
        <ScrollView
          horizontal
          style={{ width: width - label }}
          contentOffset={{ x: Math.max(0, x(year.today) - 60), y: 0 }}
          tabIndex={0}
        >
          {sheet}
        </ScrollView>
      )}
    </GestureHandlerRootView>
  );
}
