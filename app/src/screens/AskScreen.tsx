/** Ask first. It answers: does what I have stand tonight, as it is covered? It opens with that, as soon as it can be said. */
import { api, call } from '@fogata/contract/client';
import type { AskBody } from '@fogata/contract';
import type { AskOther, AskView, TownRow } from '@fogata/contract/told';
import { HOUR_MS, nightOf, type Segment } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View, type ViewStyle } from 'react-native';
import { AskStack, type Over } from '../components/place/AskStack';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { Amount, Choose, Degrees, Fold } from '../components/ui/Fields';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { NearTown } from '../components/plan/Towns';
import { SKY, WIND, windLabel } from '@fogata/words/en/screens/weatherWords';
import { useFormat, type Format } from '../data/format';
import { change, useCrops, useFarm, useTownGuess } from '../data/hooks';
import { newId } from '../data/id';
import { retract } from '../data/actions';
import { offerUndo } from '../data/undo';
import { useAsk } from '../data/useAsk';
import { useDraft } from '../data/useDraft';
import { useTheme } from '../theme/theme';
import { askScreen as words } from '@fogata/words/en/screens/ask';

interface Draft extends Over {
  id: string;
  crop: string | null;
  weeks: number;
  lowC: number | null;
  highC: number | null;
  windMs: number;
  cloud: number;
  town: TownRow | null;
}

/** What most have in winter, first. */
const USUAL = ['lettuce-leaf', 'spinach', 'mache', 'kale', 'mizuna', 'carrot', 'radish', 'potato'];
/** A clear day is so much warmer than its night, K: taken for granted until it is said. */
const USUAL_SWING_K = 9;

function lackOf(d: Draft, place: unknown): Segment[] {
  const lack = [
    ...(place ? [] : [words.whereYouAre]),
    ...(d.crop ? [] : [words.whatGrowsThere]),
    ...(d.lowC === null ? [words.tonightsLowest] : []),
  ];
  const list = lack.length > 1 ? words.and(lack.slice(0, -1).join(', '), lack.at(-1)) : lack[0];
  return [{ text: words.doesItStandTonightTap(list), tone: 'plain' }];
}

function Other({ other, format, first }: { other: AskOther; format: Format; first: boolean }) {
  return (
    <Row first={first}>
      <View style={{ flex: 1 }}>
        <Text>{other.what}</Text>
        <Text kind="small" tone="quiet">
          {words.to(format.t(other.leafC.low), format.t(other.leafC.high))}
        </Text>
      </View>
      <View style={{ alignItems: 'flex-end' }}>
        <Text kind="figure">{format.t(other.leafC.mid)}</Text>
        <Text kind="small" tone={other.harmChance > 0.3 ? 'frost' : 'pine'}>
          {other.harmChance > 0.3 ? `❄ ${other.verdict}` : `✓ ${other.verdict}`}
        </Text>
      </View>
    </Row>
  );
}

function Result({ view, format }: { view: AskView; format: Format }) {
  const others = [...view.more, ...(view.less ? [view.less] : [])];
  return (
    <View style={{ gap: 6 }} testID="ask-result">
      {view.day ? (
        <Text tone={view.day.tooHot ? 'ochre' : 'ink'} testID="ask-day">
          {words.leftShutInTomorrowsSun({
            tooHot: view.day.tooHot,
            airC: format.t(view.day.airC, 0),
            atMs: format.time(view.day.atMs),
          })}
        </Text>
      ) : null}
      <Text kind="small" tone="quiet">
        {words.itIsHarmedBelowHardened(format.t(view.harmC), Math.round(view.hardening * 100))}
      </Text>
      {others.length > 0 ? (
        <>
          <PartTitle right={words.lowestLeaf}>{words.oneLayerMoreOneLess}</PartTitle>
          {others.map((o, n) => (
            <Other key={o.what} other={o} format={format} first={n === 0} />
          ))}
        </>
      ) : null}
      <PartTitle>{words.takenForGranted}</PartTitle>
      {view.assumed.map((line) => (
        <Text key={line} kind="small" tone="quiet">
          {line}
        </Text>
      ))}
      {view.cautions.map((line) => (
        <Text key={line} kind="small" tone="ochre">{`▲ ${line}`}</Text>
      ))}
    </View>
  );
}

/** The answer in a line that stays in sight while the questions are gone through. */
function InSight({ view, format }: { view: AskView; format: Format }) {
  const theme = useTheme();
  return (
    <View
      aria-hidden
      style={[styles.inSight, { backgroundColor: theme.ground, borderColor: theme.hairline }]}
      testID="ask-in-sight"
    >
      <Text kind="figure" tone={view.leafC.mid < view.harmC ? 'frost' : 'ink'}>
        {words.leaf(format.t(view.leafC.mid))}
      </Text>
      <Text kind="small" tone="quiet">
        {view.leafC.mid < view.harmC ? `❄ ${view.verdict}` : `✓ ${view.verdict}`}
      </Text>
    </View>
  );
}

function Crops({ value, onChange }: { value: string | null; onChange: (id: string) => void }) {
  const { data } = useCrops();
  const [text, setText] = useState('');
  if (!data) return <Loading what={words.openingTheCrops} />;
  const typed = text.trim().toLowerCase();
  const shown = typed
    ? data.filter((c) => c.name.toLowerCase().includes(typed)).slice(0, 8)
    : data.filter((c) => USUAL.includes(c.id) || c.id === value);
  return (
    <View style={{ gap: 6 }}>
      <Choose
        label={words.whatGrowsThere2}
        value={value}
        options={shown.map((c) => ({ value: c.id, label: c.name.toLowerCase() }))}
        onChange={onChange}
      />
      <NoteField
        label={words.another}
        value={text}
        onChange={setText}
        placeholder={words.leek}
        testID="ask-crop"
      />
      {typed && shown.length === 0 ? (
        <Text kind="small" tone="quiet">
          {words.noneOfThatNameIs}
        </Text>
      ) : null}
    </View>
  );
}

function Ask({ guess, empty, nowAtMs }: { guess: TownRow | null; empty: boolean; nowAtMs: number }) {
  const format = useFormat();
  const wide = useWide();
  const { data } = useFarm();
  const [first] = useState<Draft>(() => ({
    id: newId(),
    outer: 'none',
    middle: 'none',
    laid: false,
    crop: null,
    weeks: 6,
    lowC: null,
    highC: null,
    windMs: 0.5,
    cloud: 0.05,
    town: null,
  }));
  const [draft, put, clear] = useDraft<Draft>('ask', first);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const d = draft!;
  const town = d.town ?? guess;
  const place = empty ? town : data!.farm;
  const highC = d.highC ?? (d.lowC === null ? null : d.lowC + USUAL_SWING_K);
  const lowAtMs = (() => {
    if (!place) return 0;
    const window = nightOf(nowAtMs, place);
    const dawn = window.sunriseAtMs ?? window.toAtMs - 5.5 * HOUR_MS;
    const coming = dawn < nowAtMs ? dawn + 24 * HOUR_MS : dawn;
    return Math.round(coming / (HOUR_MS / 2)) * (HOUR_MS / 2);
  })();
  const body: AskBody | null =
    place && d.crop && d.lowC !== null && highC !== null
      ? {
          id: d.id,
          site: { latitude: place.latitude, longitude: place.longitude, elevationM: place.elevationM },
          outer: d.outer,
          middle: d.middle,
          laid: d.laid,
          crop: d.crop,
          weeks: d.weeks,
          typed: { lowC: d.lowC, lowAtMs, highC, windMs: d.windMs, cloud: d.cloud, sure: 'usual' },
        }
      : null;
  const { view, working, problem } = useAsk(body);
  const keep = async () => {
    setBusy(true);
    setFailed(null);
    try {
      const { recordId } = await change(call(api.keepAsked), body);
      clear();
      offerUndo(words.yourFirstBedKept, () => retract([recordId], nowAtMs));
      router.replace('/');
    } catch (e) {
      setFailed(words.whatYouSaidIsKept((e as Error).message));
    } finally {
      setBusy(false);
    }
  };
  const shown = body && view;
  const opens = (
    <>
      <View aria-live="polite" testID="ask-sentence">
        <Sentence parts={shown ? view.sentence : lackOf(d, place)} />
      </View>
      {working ? (
        <Text kind="small" tone="quiet">
          {words.workingItOut}
        </Text>
      ) : null}
      {problem ? <Problem>{problem}</Problem> : null}
    </>
  );
  const questions = (
    <View style={{ gap: 16 }}>
      <AskStack over={d} onChange={put} />
      <Crops value={d.crop} onChange={(crop) => put({ crop })} />
      <Amount
        label={words.plantedSoLongAgo}
        value={d.weeks}
        onChange={(weeks) => put({ weeks })}
        unit={d.weeks === 1 ? 'week' : 'weeks'}
        bigStep={4}
        min={0}
        max={300}
        testID="ask-weeks"
      />
      <Degrees
        label={words.tonightsLowestOutside}
        value={d.lowC}
        start={0}
        onChange={(lowC) => put({ lowC })}
        step={1}
        bigStep={5}
        digits={0}
        min={-60}
        max={40}
        signed
        testID="ask-low"
      />
      <Choose label={words.sky} value={d.cloud} options={SKY} onChange={(cloud) => put({ cloud })} />
      <Choose
        label={words.wind}
        value={d.windMs}
        options={WIND.map(({ value, word }) => ({ value, label: windLabel(value, word, format) }))}
        onChange={(windMs) => put({ windMs })}
      />
      <Fold title={words.tomorrowsHighest} open={d.highC !== null}>
        <Degrees
          label={words.tomorrowsHighest}
          value={highC}
          start={8}
          onChange={(v) => put({ highC: v })}
          step={1}
          bigStep={5}
          digits={0}
          min={-60}
          max={50}
          signed
          testID="ask-high"
        />
      </Fold>
      {empty ? <NearTown town={town} onPick={(t) => put({ town: t })} /> : null}
    </View>
  );
  const answer = (
    <View style={{ gap: 16 }}>
      {shown ? <Result view={view} format={format} /> : null}
      {failed ? <Problem>{failed}</Problem> : null}
      <Button
        wide
        kind="main"
        label={words.keepThisAsMyFirst(empty)}
        disabled={!shown || busy}
        onPress={() => void keep()}
        testID="ask-keep"
      />
    </View>
  );
  if (wide)
    return (
      <View style={{ gap: 16 }}>
        {opens}
        <View style={{ flexDirection: 'row', gap: 40 }}>
          <View style={{ flex: 1 }}>{questions}</View>
          <View style={{ flex: 1 }}>{answer}</View>
        </View>
      </View>
    );
  return (
    <View style={{ gap: 16 }}>
      {opens}
      {questions}
      {answer}
      {shown ? <InSight view={view} format={format} /> : null}
    </View>
  );
}

export function AskScreen() {
  const { data, error } = useFarm();
  const guess = useTownGuess();
  return (
    <Page testID="ask" width={1080}>
      <TopLine back={words.now} />
      {data && guess !== undefined ? (
        <Ask guess={guess} empty={data.emptyFarm} nowAtMs={data.clock.nowAtMs} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheFarm} />
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  // the web's own; a phone's app scrolls past it
  inSight: {
    position: 'sticky',
    bottom: 0,
    flexDirection: 'row',
    alignItems: 'baseline',
    justifyContent: 'space-between',
    paddingVertical: 8,
    borderTopWidth: 1,
  } as unknown as ViewStyle,
});
