/** Trays. It answers: do they fit, on the shelf and outside, in every week until they are planted, and what do I put off if not? */
import type { Farm } from '@fogata/contract';
import { batchesOf, nurseryWeeks, overOf, type NurseryWeek } from '@fogata/core/relay';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';
import { nurserySentence, weekName, weekSpan, weekWords } from '@fogata/words/en/screens/nurseryWords';
import { yearOf } from '../components/relay/board';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { Amount } from '../components/ui/Fields';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useRelay } from '../data/hooks';
import { useSaveFarm } from '../data/useSaveFarm';
import { useTheme } from '../theme/theme';
import { FONT } from '../theme/tokens';
import { nurseryScreen as words } from '@fogata/words/en/screens/relay';

const WEEKS = 26;
const NO_MOVES = new Map();

/** On the week's fullest day. */
const trayCount = (w: NurseryWeek, where: 'shelf' | 'out') =>
  w.batches.reduce((t, b) => t + (b.where === where ? b.trays : 0), 0);

/** Trays by the week: on the shelf, and over that outside; a line for what there are. */
function Weeks({
  weeks,
  trays,
  width,
}: {
  weeks: readonly NurseryWeek[];
  trays: number | null;
  width: number;
}) {
  const theme = useTheme();
  const most = Math.max(5, trays ?? 0, ...weeks.map((w) => w.all));
  const step = Math.ceil(most / 4 / 5) * 5;
  const text = { color: theme.quiet, fontFamily: FONT.label, fontSize: 14 };
  const each = (width - 40) / weeks.length;
  const fullest = weeks.reduce((a, w) => (w.all > a.all ? w : a));
  return (
    <View
      role="img"
      aria-label={words.traysByTheWeekAt(fullest.all, weekName(fullest.fromDay))}
      testID="nursery-weeks"
      style={{ paddingTop: 12 }}
    >
      <BarChart
        stackData={weeks.map((w, i) => ({
          stacks: [
            { value: trayCount(w, 'shelf'), color: theme.pine },
            { value: trayCount(w, 'out'), color: theme.ochre },
          ],
          label: i % 4 === 0 ? weekName(w.fromDay).split(' ')[1]!.slice(0, 3) : '',
          labelWidth: 36,
        }))}
        width={width - 40}
        height={130}
        barWidth={Math.max(4, each * 0.62)}
        spacing={each * 0.38}
        initialSpacing={4}
        maxValue={step * Math.ceil(most / step)}
        stepValue={step}
        noOfSections={Math.ceil(most / step)}
        yAxisTextStyle={text}
        xAxisLabelTextStyle={{ ...text, width: 40 }}
        yAxisColor={theme.hairline}
        xAxisColor={theme.quiet}
        rulesColor={theme.hairline}
        yAxisLabelWidth={30}
        disableScroll
        disablePress
        {...(trays === null
          ? {}
          : {
              showReferenceLine1: true,
              referenceLine1Position: trays,
              referenceLine1Config: { color: theme.ink, dashWidth: 6, dashGap: 4 },
            })}
      />
      <View style={styles.legend}>
        <Key colour={theme.pine} label={words.onTheShelf} />
        <Key colour={theme.ochre} label={words.outsideToHarden} />
        {trays === null ? null : (
          <Text kind="small" tone="quiet">
            {words.traysThereAre(trays)}
          </Text>
        )}
      </View>
    </View>
  );
}

function Key({ colour, label }: { colour: string; label: string }) {
  return (
    <View style={styles.key}>
      <View style={{ width: 14, height: 14, backgroundColor: colour }} />
      <Text kind="small" tone="quiet">
        {label}
      </Text>
    </View>
  );
}

type Nursery = Farm['nursery'];

function Room({ nursery, onChange }: { nursery: Nursery; onChange: (n: Partial<Nursery>) => void }) {
  const field = (key: 'trays' | 'shelfTrays' | 'outTrays', label: string, note?: string) => (
    <Amount
      label={label}
      unit={words.trays}
      value={nursery[key]}
      onChange={(v) => onChange({ [key]: v })}
      step={1}
      bigStep={10}
      min={0}
      max={10_000}
      {...(note === undefined ? {} : { note })}
      testID={`nursery-${key}`}
    />
  );
  return (
    <View style={{ gap: 12 }}>
      <PartTitle>{words.whatThereIs}</PartTitle>
      {field('trays', words.traysInAll)}
      <Amount
        label={words.cellsOfATray}
        unit={words.cells}
        value={nursery.trayCells}
        onChange={(trayCells) => onChange({ trayCells })}
        step={1}
        bigStep={10}
        min={1}
        max={1000}
        testID="nursery-cells"
      />
      {field('shelfTrays', words.fitWhereTheyAreRaised, words.onTheShelfTheBench)}
      {field('outTrays', words.fitWhereTheyHardenOff, words.inTheFrameOrAgainst)}
      <Text kind="small" tone="quiet">
        {words.untilItIsPrickedOut}
      </Text>
    </View>
  );
}

export function NurseryScreen() {
  const { data, error } = useRelay();
  const { farm, save, problem } = useSaveFarm();
  const wide = useWide();
  const [all, setAll] = useState(false);
  const worked = useMemo(() => {
    if (!data) return null;
    const year = yearOf(data, NO_MOVES);
    const batches = batchesOf(year.strips, year.today);
    const weeks = nurseryWeeks(batches, year.today, WEEKS, data.nursery.trayCells);
    return { weeks, over: overOf(batches, weeks, data.nursery) };
  }, [data]);
  const bedName = (id: string) => data?.beds.find((b) => b.id === id)?.name ?? '';
  const used = worked?.weeks.filter((w) => w.all > 0) ?? [];
  return (
    <Page testID="nursery" width={wide ? 1120 : 640}>
      <TopLine back={words.season} />
      {data && worked ? (
        <>
          <Sentence parts={nurserySentence(worked.weeks, worked.over, data.nursery, bedName)} />
          <View style={wide ? styles.panes : { gap: 20 }}>
            <View style={{ flex: wide ? 3 : undefined, gap: 12 }}>
              {used.length > 0 ? (
                <Weeks weeks={worked.weeks} trays={data.nursery.trays} width={wide ? 640 : 354} />
              ) : (
                <Text>{words.whatIsPlantedFromTrays}</Text>
              )}
              {(all ? used : used.slice(0, 6)).map((w, n) => (
                <Row key={w.fromDay} first={n === 0}>
                  <View style={{ flex: 1, gap: 2 }} testID="nursery-week">
                    <Text kind="strong">{words.trayTrays(weekSpan(w.fromDay), w.all)}</Text>
                    <Text kind="small" tone={worked.over?.week === w ? 'ochre' : 'quiet'}>
                      {`${worked.over?.week === w ? '▲ ' : ''}${weekWords(w, bedName)}`}
                    </Text>
                  </View>
                </Row>
              ))}
              {used.length > 6 && !all ? (
                <View style={{ flexDirection: 'row' }}>
                  <Button label={words.theOtherWeeks(used.length - 6)} onPress={() => setAll(true)} />
                </View>
              ) : null}
            </View>
            <View style={{ flex: wide ? 2 : undefined }}>
              {problem ? <Problem>{problem}</Problem> : null}
              {farm ? (
                <Room
                  nursery={farm.nursery}
                  onChange={(n) => save({ nursery: { ...farm.nursery, ...n } }, words.roomForTrays)}
                />
              ) : null}
            </View>
          </View>
        </>
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.lookingThroughWhatIsPlanned} />
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  panes: { flexDirection: 'row', gap: 40 },
  legend: { flexDirection: 'row', flexWrap: 'wrap', gap: 16, paddingTop: 4 },
  key: { flexDirection: 'row', gap: 6, alignItems: 'center' },
});
