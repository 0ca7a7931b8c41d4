/** The day's openings: what to open next, by how much, when it is shut, and how hot it gets if it is left. */
import type { DayStep, DayStructure } from '@fogata/contract/told';
import { countWord } from '@fogata/core/telling';
import { router } from 'expo-router';
import { View } from 'react-native';
import { act } from '../../data/actions';
import type { Format } from '../../data/format';
import { useDay } from '../../data/hooks';
import { Problem } from '../ui/Bars';
import { Button, Tick } from '../ui/Button';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';

const WIDTH: [number, string][] = [
  [0.05, 'a finger’s width'],
  [0.1, 'a tenth'],
  [0.25, 'a quarter'],
  [0.5, 'half'],
  [1, 'wide'],
];
const widthWords = (fraction: number): string =>
  WIDTH.find(([f]) => Math.abs(f - fraction) < 1e-6)?.[1] ?? `${Math.round(fraction * 100)} %`;

/** "Open North house half", "Shut North house", "North house to a quarter". */
export function moveWords(name: string, fraction: number, now: number): string {
  if (fraction === 0) return `Shut ${name}`;
  return now === 0 ? `Open ${name} ${widthWords(fraction)}` : `${name} to ${widthWords(fraction)}`;
}

const ORDINAL = ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh'];

/** Heat that opening does not take off: what else would, how many days it has been, and pots. */
export function moreWords(
  s: Pick<DayStructure, 'more' | 'hotDays' | 'potsC' | 'limitC' | 'crop'>,
  format: Pick<Format, 't' | 'diff'>,
): string {
  const t = (c: number) => format.t(c, 0);
  const out: string[] = [];
  const ways = [
    s.more?.shadeC ? `shade cloth makes it ${t(s.more.shadeC.mid)}` : '',
    s.more?.fabricC ? `a light fabric in place of the film ${t(s.more.fabricC.mid)}` : '',
    s.more?.lidsOffC ? `the lids right off ${t(s.more.lidsOffC.mid)}` : '',
    s.more?.mistK
      ? `some minutes of mist take off about ${format.diff(s.more.mistK).replace('+', '')} while they last`
      : '',
  ].filter(Boolean);
  if (ways.length > 0) out.push(`Opening is not enough: ${ways.join(', ')}.`);
  if (s.hotDays && s.hotDays.days >= 2) {
    const { days, more } = s.hotDays;
    const crop = s.crop.toLowerCase();
    const ends = more === 1 ? `one more ends the ${crop}` : `${countWord(more)} more end the ${crop}`;
    out.push(
      `The ${ORDINAL[days] ?? `${days}th`} day in a row over ${t(s.limitC)}: ${more > 0 ? ends : `the ${crop} will hardly come to anything`}.`,
    );
  }
  if (s.potsC !== null && s.potsC !== undefined)
    out.push(`The mix in pots and crates comes to ${t(s.potsC)}: shade their sides, water early.`);
  return out.map((x) => ` ${x}`).join('');
}

/** " (an hour late 3 K hotter)": what comes of a later move that is made too late. */
function lateWords(x: DayStep, format: Pick<Format, 'diff'>): string {
  const [hot, then] = [x.lateHotK ?? 0, x.lateThenK ?? 0];
  const of = (k: number, word: string) => `${format.diff(Math.abs(k)).replace('+', '')} ${word}`;
  const said = [
    ...(hot > 0 ? [of(hot, 'hotter')] : then > 0 ? [of(then, 'hotter by then')] : []),
    ...(then < 0 ? [of(then, 'colder by then')] : []),
  ];
  return said.length > 0 ? ` (an hour late: ${said.join(', ')})` : '';
}

/** What comes after the next move, and what it is for. */
export function dayDetail(s: DayStructure, format: Format): string {
  const after = s.steps
    .slice(1)
    .map(
      (x) =>
        `${x.fraction === 0 ? 'shut' : widthWords(x.fraction)} ${format.time(x.atMs)}${lateWords(x, format)}`,
    );
  const then = after.length > 0 ? `Then ${after.join(', ')}. ` : '';
  const planned = `Leaf ${format.t(s.plannedC.mid, 0)} at its hottest`;
  if (s.steps.length === 0)
    return `${planned}: it may stay ${s.open > 0 ? 'as it is' : 'shut'}.${moreWords(s, format)}`;
  const over = s.leftC.high > s.limitC ? `, and ${s.crop} spoils over ${format.t(s.limitC, 0)}` : '';
  const late =
    s.lateC && s.lateC.mid - s.plannedC.mid >= 0.5 ? ` An hour late ${format.t(s.lateC.mid, 0)}.` : '';
  const there = s.thereC
    ? ` Nobody is there for hours: nine times in ten it stays under ${format.t(s.plannedC.high, 0)}, with somebody there ${format.t(s.thereC.high, 0)}.`
    : '';
  const more = moreWords(s, format);
  return `${then}${planned}; left as it is ${format.range(s.leftC.mid, s.leftC.high)}${over}.${late}${there}${more}`;
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
          label={`${title}: mark it done`}
          onPress={() =>
            void act(
              `${title}: done`,
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
    if (state === 'failed')
      return <Problem>{message ?? 'What is to be opened could not be worked out.'}</Problem>;
    return state === 'computing' ? (
      <Text kind="small" tone="quiet" live>
        Working out what is to be opened…
      </Text>
    ) : null;
  }
  return (
    <View testID="day">
      <PartTitle right="until the evening">To open today</PartTitle>
      {inOrder(data.structures).map((s, n) => (
        <OpenRow key={s.structureId} s={s} nowAtMs={data.nowAtMs} first={n === 0} format={format} />
      ))}
      {data.away.length > 0 ? (
        <Text kind="small" tone="ochre" testID="away-today">
          {`▲ Nobody is here ${data.away.map((a) => `from ${format.time(a.fromAtMs)} to ${format.time(a.toAtMs)}`).join(' and ')}: each is left at what is safest till then.`}
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row' }}>
        <Button
          kind="plain"
          label="When nobody is here ›"
          onPress={() => router.push('/settings?part=hands')}
          testID="to-away"
        />
      </View>
      {state === 'failed' ? <Problem>{message ?? 'Not every structure could be worked out.'}</Problem> : null}
      <Text kind="small" tone="quiet">
        By the forecast’s middle, for the crop there that bears the least heat. A closed house in the sun
        harms people too: open in time, and look at the thermometer.
      </Text>
    </View>
  );
}
