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

/** Beside Now when it is wide, fetched with the first place that is looked at. */
const PlacePanel = later(() => import('./others').then((screen) => screen.PlacePanel));

/** "From what was typed at 15:32". */
function fromWords(night: NonNullable<NowView['night']>, format: Format): string {
  const at = format.time(night.issuedAtMs);
  if (night.source === 'typed') return `From what was typed at ${at}`;
  return night.source === 'simulated'
    ? `From the ${night.name} of ${at}`
    : `From “${night.name}” of ${format.day(night.issuedAtMs)} ${at}`;
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
            hint="Where the forecast is from, and telling another"
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

const JOBS_TITLE = { closing: 'Before dark', night: 'Still worth doing', morning: 'Then lift' } as const;

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
      <PartTitle right={`${done} of ${view.jobs.length} done`}>{JOBS_TITLE[phase]}</PartTitle>
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
          {`May stay on through the day: ${view.leftOn.join(', ')}. The coming night wants it again, and a shut house does not get too hot for it.`}
        </Text>
      ) : null}
      {shown.length < view.jobs.length ? (
        <Button kind="plain" label={`Show the ${done} that are done`} onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}

/** What the figures beside the places are, in this hour. */
function lowestOf(view: NowView): string {
  if (view.clock.phase === 'morning') return 'lowest leaf of the night, by the model';
  return view.progress.state === 'computing' && !view.progress.first
    ? 'lowest leaf, as it stands'
    : 'lowest leaf, as planned';
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
      <PartTitle right={lowestOf(view)}>
        {view.clock.phase === 'morning' ? 'What the night did' : 'Closest to harm'}
      </PartTitle>
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
          label={`${view.places.length - shown.length} more places`}
          onPress={() => setAll(true)}
        />
      ) : null}
      <Button
        kind="plain"
        label="The nights to come ›"
        onPress={() => router.push('/ahead')}
        testID="to-ahead"
      />
      <Button
        kind="plain"
        label="For paper, or to send ›"
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
          <PartTitle>{view.clock.phase === 'morning' ? 'Stays covered' : 'At risk all the same'}</PartTitle>
          {view.atRisk.map((line) => (
            <Text key={line} style={{ paddingVertical: 4 }}>
              {line}
            </Text>
          ))}
        </>
      ) : null}
      {view.cautions.length > 0 ? <PartTitle>Take care</PartTitle> : null}
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
          <Loading what="Opening the farm" />
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
            label="Walk it as a round ›"
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
            label="Said and measured, last night"
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
            <PartTitle>{`The night in ${data.ribbon.name}`}</PartTitle>
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
        aria-label="Jobs and places"
      >
        {left}
        <DemoClock />
      </ScrollView>
      <View style={[styles.middle, { width: middle, borderColor: theme.hairline }]}>
        {ribbon ? (
          <>
            <PartTitle>{`${ribbon.name}, hour by hour`}</PartTitle>
            <Ribbon
              view={ribbon}
              width={middle - 32}
              height={Math.max(320, Math.min(560, height - 140))}
              way="across"
              format={format}
              nowAtMs={data.clock.nowAtMs}
            />
            <Text kind="small" tone="quiet">
              Grey: outside, eight forecasts in ten. Green: the leaf. Dotted: soil. Hatched: where the crop is
              harmed.
            </Text>
          </>
        ) : null}
      </View>
      <ScrollView
        style={{ width: third, flexGrow: 0 }}
        contentContainerStyle={styles.pane}
        tabIndex={0}
        aria-label="The chosen place"
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
