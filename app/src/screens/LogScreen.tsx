/** Log. It answers: what happened? A quick note first, then the days, newest on top; anything can be taken back. */
import type { LogEntry } from '@fogata/contract/told';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button, Choice } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { Table } from '../components/ui/Table';
import { PartTitle, Text } from '../components/ui/Text';
import { act, retract } from '../data/actions';
import { useFormat } from '../data/format';
import { refresh, useFarm, useLog, useNight } from '../data/hooks';
import { readStored, store } from '../data/storage';
import { logScreen as words } from '@fogata/words/en/screens/log';

const FILTERS = [
  { value: '', label: words.all },
  { value: 'reading', label: words.readings },
  { value: 'harm,harvest', label: words.harmAndHarvest },
  { value: 'cover,vent,decision', label: words.covers },
  { value: 'note,planting', label: words.notesAndPlantings },
] as const;

function QuickNote({ nowAtMs }: { nowAtMs: number }) {
  const { note } = useLocalSearchParams<{ note?: string }>();
  const [text, setText] = useState(() => readStored('note', ''));
  const put = (t: string) => {
    setText(t);
    store('note', t);
  };
  const add = () => {
    if (text.trim() === '') return;
    void act(words.noteKept, [{ kind: 'note', atMs: nowAtMs, text: text.trim() }], nowAtMs);
    put('');
  };
  return (
    <View style={{ gap: 8, paddingTop: 12, maxWidth: 604 }}>
      <NoteField
        key={note ?? ''}
        focused={note !== undefined}
        label={words.noteSomething}
        value={text}
        onChange={put}
        lines={2}
        placeholder={words.whatYouSawWhere}
        testID="note-text"
      />
      <Button wide kind="main" label={words.keepTheNote} onPress={add} testID="note-keep" />
    </View>
  );
}

const KIND_WORDS: Record<LogEntry['record']['kind'], string> = {
  reading: words.reading,
  cover: words.cover,
  vent: words.opening,
  harm: words.harm,
  harvest: words.harvest,
  decision: words.decision,
  note: words.note,
  water: words.water,
  feed: words.feed,
  soil: words.soil,
  planting: words.planting,
  secured: words.storm,
  change: words.setUp,
  brought: words.brought,
  retraction: words.takenBack,
};

/** The log on a wide screen: the entries of this page, sorted and searched. */
function LogTable({ entries, nowAtMs }: { entries: readonly LogEntry[]; nowAtMs: number }) {
  const format = useFormat();
  const struck = (e: LogEntry) =>
    e.retracted ? ({ textDecorationLine: 'line-through' } as const) : undefined;
  return (
    <Table
      label={words.theLog}
      testID="log-table"
      rows={entries}
      idOf={(e) => e.record.id}
      nameOf={(e) => `${format.day(e.record.atMs)} ${format.time(e.record.atMs)}: ${e.title}`}
      empty={words.nothingOfThisKindYet}
      columns={[
        {
          id: 'when',
          title: words.when,
          value: (e) => e.record.atMs,
          number: true,
          wide: 1.2,
          show: (e) => (
            <Text
              kind="figure"
              tone="quiet"
            >{`${format.day(e.record.atMs)} ${format.time(e.record.atMs)}`}</Text>
          ),
        },
        { id: 'kind', title: words.kind, value: (e) => KIND_WORDS[e.record.kind], wide: 0.7 },
        {
          id: 'what',
          title: words.what,
          value: (e) => e.title,
          wide: 2.6,
          show: (e) => (
            <Text kind="strong" tone={e.retracted ? 'quiet' : 'ink'} style={struck(e)}>
              {e.title}
            </Text>
          ),
        },
        { id: 'more', title: words.more, value: (e) => (e.retracted ? words.takenBack : e.detail), wide: 2 },
        { id: 'who', title: words.by, value: (e) => e.actor, wide: 0.7 },
      ]}
      end={(e) =>
        e.retracted ? null : (
          <Button
            kind="plain"
            label={words.takeBack}
            hint={words.takeBack2(e.title)}
            onPress={() => void retract([e.record.id], nowAtMs)}
          />
        )
      }
    />
  );
}

export function LogScreen() {
  const [kinds, setKinds] = useState<(typeof FILTERS)[number]['value']>('');
  const [offset, setOffset] = useState(0);
  const { data, error } = useLog(kinds, offset);
  const { data: farm } = useFarm();
  const format = useFormat();
  const wide = useWide();
  const { data: report } = useNight(farm?.clock.window.night ?? null);
  const nowAtMs = farm?.clock.nowAtMs ?? 0;
  const days = new Map<string, LogEntry[]>();
  for (const e of data?.entries ?? []) {
    const day = format.day(e.record.atMs);
    days.set(day, [...(days.get(day) ?? []), e]);
  }
  return (
    <Page testID="log" width={wide ? 1200 : 640}>
      <TopLine />
      {report ? (
        <Sentence
          parts={
            report.spots.some((s) => s.measuredMinC !== null)
              ? report.sentence
              : [{ text: words.whatHappenedNewestFirst, tone: 'plain' }]
          }
        />
      ) : null}
      <View style={styles.row}>
        {farm ? (
          <Button
            label={words.saidAndMeasured}
            onPress={() => router.push(`/night/${farm.clock.window.night}`)}
            testID="open-night"
          />
        ) : null}
        <Button label={words.allNights} onPress={() => router.push('/nights')} testID="to-nights" />
      </View>
      <QuickNote nowAtMs={nowAtMs} />
      <PartTitle>{words.whatHappened}</PartTitle>
      <Choice
        label={words.show}
        options={FILTERS}
        value={kinds}
        onChange={(k) => {
          setKinds(k);
          setOffset(0);
        }}
      />
      {!data ? (
        error ? (
          <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
        ) : (
          <Loading what={words.openingTheLog} />
        )
      ) : null}
      {data && data.entries.length === 0 ? (
        <Text tone="quiet" style={{ paddingVertical: 16 }}>
          {words.nothingOfThisKindYet2}
        </Text>
      ) : null}
      {wide && data && data.entries.length > 0 ? <LogTable entries={data.entries} nowAtMs={nowAtMs} /> : null}
      {(wide ? [] : [...days]).map(([day, entries]) => (
        <View key={day}>
          <PartTitle>{day}</PartTitle>
          {entries.map((e, n) => (
            <Row key={e.record.id} first={n === 0}>
              <Text kind="figure" tone="quiet" style={{ width: 62 }}>
                {format.time(e.record.atMs)}
              </Text>
              <View style={{ flex: 1 }} testID="log-entry">
                <Text
                  kind="strong"
                  tone={e.retracted ? 'quiet' : 'ink'}
                  style={e.retracted ? { textDecorationLine: 'line-through' } : undefined}
                >
                  {e.title}
                </Text>
                {e.retracted || e.detail || e.actor ? (
                  <Text kind="small" tone="quiet">
                    {[e.retracted ? words.takenBack : e.detail, e.actor ? words.by2(e.actor) : '']
                      .filter(Boolean)
                      .join(' · ')}
                  </Text>
                ) : null}
              </View>
              {e.retracted ? null : (
                <Button
                  kind="plain"
                  label={words.takeBack}
                  hint={words.takeBack2(e.title)}
                  onPress={() => void retract([e.record.id], nowAtMs)}
                />
              )}
            </Row>
          ))}
        </View>
      ))}
      <View style={styles.row}>
        {offset > 0 ? (
          <Button label={words.newer} onPress={() => setOffset(Math.max(0, offset - 60))} />
        ) : null}
        {data?.more ? <Button label={words.older} onPress={() => setOffset(offset + 60)} /> : null}
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 } });
