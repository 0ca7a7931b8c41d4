/** Now. It answers: what must I do until tomorrow noon? It opens with the sentence of the hour. */
import type { NowView } from '@fogata/contract/told';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { DemoClock, Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { DayRows } from '../components/night/DayRows';
import { JobRow } from '../components/night/JobRow';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { PlaceLine } from '../components/night/PlaceLine';
import { Progress } from '../components/ui/Progress';
import { Ribbon } from '../components/night/Ribbon';
import { MessageLines } from '../components/night/MessageLines';
import { Empty, Tell } from '../components/night/NothingYet';
import { Round } from '../components/night/Round';
import { SpotLines } from '../components/night/SpotLines';
import { StormRows } from '../components/night/StormRows';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat, type Format } from '../data/format';
import { refresh, useNow, useRibbon } from '../data/hooks';
import { later } from '../data/later';
import { useTheme } from '../theme/theme';
import { nowScreen as words } from '@fogata/words/en/screens/night';

/** Beside Now when it is wide, fetched with the first place that is looked at. */
const PlacePanel = later(() => import('./others').then((screen) => screen.PlacePanel));

/** "From what was typed at 15:32". */
function fromWords(night: NonNullable<NowView['night']>, format: Format): string {
  const at = format.time(night.issuedAtMs);
  if (night.source === 'typed') return words.fromWhatWasTypedAt(at);
  return night.source === 'simulated'
    ? words.fromTheOf(night.name, at)
    : words.fromOf({ name: night.name, issuedAtMs: format.day(night.issuedAtMs), at });
}

function Opening({ view }: { view: NowView }) {
  const format = useFormat();
  return (
    <View style={{ gap: 6 }}>
      <Sentence parts={view.sentence} />
      {view.evidence ? (
        <Text tone="quiet" testID="evidence">
          {view.evidence}
        </Text>
      ) : null}
      {view.night ? (
        <View style={{ flexDirection: 'row', marginLeft: -8 }}>
          <Button
            kind="plain"
            label={`${fromWords(view.night, format)} ›`}
            hint={words.whereTheForecastIsFrom}
            onPress={() => router.push('/forecast')}
            testID="forecast-from"
          />
        </View>
      ) : null}
      {view.night?.moved ? (
        <Text kind="small" tone="ochre" testID="moved">{`▲ ${view.night.moved}`}</Text>
      ) : null}
      {view.night?.doubt ? (
        <Text kind="small" tone="ochre" testID="doubt">{`▲ ${view.night.doubt}`}</Text>
      ) : null}
      <Progress progress={view.progress} still={view.night !== null && !view.progress.first} />
    </View>
  );
}

const JOBS_TITLE = {
  closing: words.beforeDark,
  night: words.stillWorthDoing,
  morning: words.thenLift,
} as const;

/** While closing up, what is done stays in its place; later only what is left is shown, the rest behind a button. */
function Jobs({ view }: { view: NowView }) {
  const format = useFormat();
  const [all, setAll] = useState(false);
  if (view.jobs.length === 0) return null;
  const { phase } = view.clock;
  const done = view.jobs.filter((j) => j.done).length;
  const shown = phase === 'closing' || all ? view.jobs : view.jobs.filter((j) => !j.done);
  return (
    <View testID="jobs">
      <PartTitle right={words.ofDone(done, view.jobs.length)}>{JOBS_TITLE[phase]}</PartTitle>
      {shown.map((job, i) => (
        <JobRow
          key={job.key}
          job={job}
          places={view.places}
          nowAtMs={view.clock.nowAtMs}
          night={view.clock.window.night}
          format={format}
          first={i === 0}
          who={view.who ?? {}}
        />
      ))}
      {(view.leftOn ?? []).length > 0 ? (
        <Text testID="left-on" style={{ paddingTop: 8 }}>
          {words.mayStayOnThroughThe(view.leftOn.join(', '))}
        </Text>
      ) : null}
      {shown.length < view.jobs.length ? (
        <Button kind="plain" label={words.showTheThatAreDone(done)} onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}

/** What the figures beside the places are, in this hour. */
function lowestOf(view: NowView): string {
  if (view.clock.phase === 'morning') return words.lowestLeafOfTheNight;
  return words.lowestLeafAsItStands(view.progress.state, Boolean(view.progress.first));
}

function Places({
  view,
  chosen,
  onChoose,
}: {
  view: NowView;
  chosen: string | null;
  onChoose: (id: string) => void;
}) {
  const format = useFormat();
  const [all, setAll] = useState(false);
  if (view.places.length === 0) return null;
  const shown = all ? view.places : view.places.slice(0, 6);
  return (
    <View testID="places">
      <PartTitle right={lowestOf(view)}>{words.whatTheNightDidClosest(view.clock.phase)}</PartTitle>
      {shown.map((p, i) => (
        <PlaceLine
          key={p.bedId}
          place={p}
          format={format}
          first={i === 0}
          chosen={p.bedId === chosen}
          onPress={() => onChoose(p.bedId)}
        />
      ))}
      {view.places.length > shown.length ? (
        <Button
          kind="plain"
          label={words.morePlaces(view.places.length - shown.length)}
          onPress={() => setAll(true)}
        />
      ) : null}
      <Button
        kind="plain"
        label={words.theNightsToCome}
        onPress={() => router.push('/ahead')}
        testID="to-ahead"
      />
      <Button
        kind="plain"
        label={words.forPaperOrToSend}
        onPress={() => router.push('/sheet')}
        testID="to-sheet"
      />
    </View>
  );
}

function Remains({ view }: { view: NowView }) {
  if (view.atRisk.length === 0 && view.cautions.length === 0) return null;
  return (
    <View>
      {view.atRisk.length > 0 ? (
        <>
          <PartTitle>{words.staysCoveredAtRiskAll(view.clock.phase)}</PartTitle>
          {view.atRisk.map((line) => (
            <Text key={line} style={{ paddingVertical: 4 }}>
              {line}
            </Text>
          ))}
        </>
      ) : null}
      {view.cautions.length > 0 ? <PartTitle>{words.takeCare}</PartTitle> : null}
      {view.cautions.map((line) => (
        <Text key={line} kind="small" tone="ochre" style={{ paddingVertical: 4 }}>{`▲ ${line}`}</Text>
      ))}
    </View>
  );
}

export function NowScreen() {
  const wide = useWide();
  const { width, height } = useWindowDimensions();
  const { data, error } = useNow();
  const format = useFormat();
  const theme = useTheme();
  const [picked, setPicked] = useState<string | null>(null);
  const chosen = picked ?? data?.places[0]?.bedId ?? null;
  const { data: otherRibbon } = useRibbon(wide && picked && data?.progress.state === 'ready' ? picked : null);
  if (!data) {
    return (
      <Page testID="now">
        <TopLine />
        {error ? (
          <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
        ) : (
          <Loading what={words.openingTheFarm} />
        )}
      </Page>
    );
  }
  const left = (
    <>
      <TopLine />
      <Opening view={data} />
      <MessageLines format={format} />
      {data.progress.state === 'empty' ? <Empty /> : null}
      {data.progress.state === 'waiting' ? <Tell told={data.progress.lack?.why === 'late'} /> : null}
      {data.clock.phase === 'morning' ? (
        <Round
          items={data.rounds}
          night={data.clock.window.night}
          nowAtMs={data.clock.nowAtMs}
          format={format}
          who={data.who ?? {}}
        />
      ) : null}
      <Jobs view={data} />
      {data.jobs.length + data.rounds.length > 0 ? (
        <View style={{ flexDirection: 'row' }}>
          <Button
            kind="plain"
            label={words.walkItAsARound}
            onPress={() => router.push('/round')}
            testID="to-round"
          />
        </View>
      ) : null}
      {data.clock.phase === 'morning' ? <DayRows format={format} /> : null}
      <StormRows jobs={data.storm} nowAtMs={data.clock.nowAtMs} format={format} />
      {data.clock.phase === 'morning' ? (
        <View style={{ paddingTop: 16 }}>
          <Button
            label={words.saidAndMeasuredLastNight}
            onPress={() => router.push(`/night/${data.clock.window.night}`)}
            testID="open-night"
          />
        </View>
      ) : null}
      <Places
        view={data}
        chosen={wide ? chosen : null}
        onChoose={(id) => (wide ? setPicked(id) : router.push(`/place/${id}`))}
      />
      <SpotLines spots={data.spots ?? []} format={format} />
      <Remains view={data} />
    </>
  );
  if (!wide) {
    return (
      <Page testID="now">
        {left}
        {data.ribbon ? (
          <>
            <PartTitle>{words.theNightIn(data.ribbon.name)}</PartTitle>
            <Ribbon
              view={data.ribbon}
              width={Math.min(width, 640) - 36}
              height={470}
              way="down"
              format={format}
              nowAtMs={data.clock.nowAtMs}
            />
          </>
        ) : null}
        <DemoClock />
      </Page>
    );
  }
  const rest = width - 84;
  const first = Math.min(440, rest * 0.36);
  const third = Math.min(440, rest * 0.33);
  const middle = rest - first - third;
  const ribbon = picked && otherRibbon?.bedId === picked ? otherRibbon : data.ribbon;
  return (
    <View style={styles.panes} testID="now">
      <ScrollView
        style={{ width: first, flexGrow: 0 }}
        contentContainerStyle={styles.pane}
        tabIndex={0}
        aria-label={words.jobsAndPlaces}
      >
        {left}
        <DemoClock />
      </ScrollView>
      <View style={[styles.middle, { width: middle, borderColor: theme.hairline }]}>
        {ribbon ? (
          <>
            <PartTitle>{words.hourByHour(ribbon.name)}</PartTitle>
            <Ribbon
              view={ribbon}
              width={middle - 32}
              height={Math.max(320, Math.min(560, height - 140))}
              way="across"
              format={format}
              nowAtMs={data.clock.nowAtMs}
            />
            <Text kind="small" tone="quiet">
              {words.greyOutsideEightForecastsIn}
            </Text>
          </>
        ) : null}
      </View>
      <ScrollView
        style={{ width: third, flexGrow: 0 }}
        contentContainerStyle={styles.pane}
        tabIndex={0}
        aria-label={words.theChosenPlace}
      >
        {chosen ? <PlacePanel bedId={chosen} width={third} key={chosen} ribbon={false} /> : null}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  panes: { flex: 1, flexDirection: 'row', minHeight: 0 },
  pane: { paddingHorizontal: 18, paddingTop: 8, paddingBottom: 32 },
  middle: { borderLeftWidth: 1, borderRightWidth: 1, paddingHorizontal: 16, paddingBottom: 16, gap: 8 },
});
