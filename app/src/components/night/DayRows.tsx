/** The day's openings: what to open next, by how much, when it is shut, and how hot it gets if it is left. */
import type { DayStep, DayStructure } from '@fogata/contract/told';
import { router } from 'expo-router';
import { View } from 'react-native';
import { act } from '../../data/actions';
import type { Format } from '../../data/format';
import { useDay } from '../../data/hooks';
import { Problem } from '../ui/Bars';
import { Button, Tick } from '../ui/Button';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { dayRows as words } from '@fogata/words/en/screens/day';

const WIDTH: [number, string][] = [
  [0.05, words.aFingersWidth],
  [0.1, words.aTenth],
  [0.25, words.aQuarter],
  [0.5, 'half'],
  [1, 'wide'],
];
const widthWords = (fraction: number): string =>
  WIDTH.find(([f]) => Math.abs(f - fraction) < 1e-6)?.[1] ?? `${Math.round(fraction * 100)} %`;

/** "Open North house half", "Shut North house", "North house to a quarter". */
export function moveWords(name: string, fraction: number, now: number): string {
  if (fraction === 0) return words.shut(name);
  return now === 0 ? words.open(name, widthWords(fraction)) : words.to(name, widthWords(fraction));
}

/** Heat that opening does not take off: what else would, how many days it has been, and pots. */
export function moreWords(
  s: Pick<DayStructure, 'more' | 'hotDays' | 'potsC' | 'limitC' | 'crop'>,
  format: Pick<Format, 't' | 'diff'>,
): string {
  const t = (c: number) => format.t(c, 0);
  const out: string[] = [];
  const ways = [
    s.more?.shadeC ? words.shadeClothMakesIt(t(s.more.shadeC.mid)) : '',
    s.more?.fabricC ? words.aLightFabricInPlace(t(s.more.fabricC.mid)) : '',
    s.more?.lidsOffC ? words.theLidsRightOff(t(s.more.lidsOffC.mid)) : '',
    s.more?.mistK ? words.someMinutesOfMistTake(format.diff(s.more.mistK).replace('+', '')) : '',
  ].filter(Boolean);
  if (ways.length > 0) out.push(words.openingIsNotEnough(ways));
  if (s.hotDays && s.hotDays.days >= 2) {
    const { days, more } = s.hotDays;
    const crop = s.crop.toLowerCase();
    out.push(words.dayInARow({ days, limit: t(s.limitC), more, crop }));
  }
  if (s.potsC !== null && s.potsC !== undefined) out.push(words.theMixInPots(t(s.potsC)));
  return out.map((x) => ` ${x}`).join('');
}

/** " (an hour late 3 K hotter)": what comes of a later move that is made too late. */
function lateWords(x: DayStep, format: Pick<Format, 'diff'>): string {
  const [hot, then] = [x.lateHotK ?? 0, x.lateThenK ?? 0];
  const of = (k: number, word: string) => `${format.diff(Math.abs(k)).replace('+', '')} ${word}`;
  const said = [
    ...(hot > 0 ? [of(hot, 'hotter')] : then > 0 ? [of(then, words.hotterByThen)] : []),
    ...(then < 0 ? [of(then, words.colderByThen)] : []),
  ];
  return said.length > 0 ? words.anHourLate(said.join(', ')) : '';
}

/** What comes after the next move, and what it is for. */
export function dayDetail(s: DayStructure, format: Format): string {
  const after = s.steps
    .slice(1)
    .map(
      (x) =>
        `${x.fraction === 0 ? 'shut' : widthWords(x.fraction)} ${format.time(x.atMs)}${lateWords(x, format)}`,
    );
  const then = after.length > 0 ? words.then(after.join(', ')) : '';
  const planned = words.leafAtItsHottest(format.t(s.plannedC.mid, 0));
  if (s.steps.length === 0)
    return words.itMayStayAsIt({ planned, open: s.open, moreWords: moreWords(s, format) });
  const over = s.leftC.high > s.limitC ? words.andSpoilsOver(s.crop, format.t(s.limitC, 0)) : '';
  const late =
    s.lateC && s.lateC.mid - s.plannedC.mid >= 0.5 ? words.anHourLate2(format.t(s.lateC.mid, 0)) : '';
  const there = s.thereC
    ? words.nobodyIsThereForHours(format.t(s.plannedC.high, 0), format.t(s.thereC.high, 0))
    : '';
  const more = moreWords(s, format);
  return words.leftAsItIs({
    then,
    planned,
    mid: format.range(s.leftC.mid, s.leftC.high),
    over,
    late,
    there,
    more,
  });
}

export function OpenRow({
  s,
  nowAtMs,
  first,
  format,
}: {
  s: DayStructure;
  nowAtMs: number;
  first: boolean;
  format: Format;
}) {
  const [next] = s.steps;
  const title = next ? moveWords(s.name, next.fraction, s.open) : s.name;
  const late = next !== undefined && next.atMs <= nowAtMs + 15 * 60_000;
  return (
    <Row first={first}>
      <Text kind="figure" tone={next ? (late ? 'ember' : 'ink') : 'quiet'} style={{ width: 58 }}>
        {next ? (late ? 'now' : format.time(next.atMs)) : ''}
      </Text>
      <View style={{ flex: 1 }}>
        <Text kind="strong" tone={next ? 'ink' : 'quiet'}>
          {title}
        </Text>
        <Text kind="small" tone="quiet">
          {dayDetail(s, format)}
        </Text>
      </View>
      {next ? (
        <Tick
          done={false}
          label={words.markItDone(title)}
          onPress={() =>
            void act(
              words.done(title),
              [{ kind: 'vent', atMs: nowAtMs, structureId: s.structureId, fraction: next.fraction }],
              nowAtMs,
            )
          }
          testID="day-tick"
        />
      ) : null}
    </Row>
  );
}

const LAST = Number.MAX_SAFE_INTEGER;
/** What is to be moved first comes first; what may stay as it is, last. */
const inOrder = (all: readonly DayStructure[]): DayStructure[] =>
  [...all].sort((a, b) => (a.steps[0]?.atMs ?? LAST) - (b.steps[0]?.atMs ?? LAST));

export function DayRows({ format }: { format: Format }) {
  const { data } = useDay();
  if (!data || data.phase !== 'morning') return null;
  const { state, message } = data.progress;
  if (data.structures.length === 0) {
    // a house that may need opening is never passed over in silence
    if (state === 'failed') return <Problem>{message ?? words.whatIsToBeOpened}</Problem>;
    return state === 'computing' ? (
      <Text kind="small" tone="quiet" live>
        {words.workingOutWhatIsTo}
      </Text>
    ) : null;
  }
  return (
    <View testID="day">
      <PartTitle right={words.untilTheEvening}>{words.toOpenToday}</PartTitle>
      {inOrder(data.structures).map((s, n) => (
        <OpenRow key={s.structureId} s={s} nowAtMs={data.nowAtMs} first={n === 0} format={format} />
      ))}
      {data.away.length > 0 ? (
        <Text kind="small" tone="ochre" testID="away-today">
          {words.nobodyIsHereEachIs(
            data.away.map((a) => words.fromTo(format.time(a.fromAtMs), format.time(a.toAtMs))).join(' and '),
          )}
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row' }}>
        <Button
          kind="plain"
          label={words.whenNobodyIsHere}
          onPress={() => router.push('/settings?part=hands')}
          testID="to-away"
        />
      </View>
      {state === 'failed' ? <Problem>{message ?? words.notEveryStructureCouldBe}</Problem> : null}
      <Text kind="small" tone="quiet">
        {words.byTheForecastsMiddleFor}
      </Text>
    </View>
  );
}
