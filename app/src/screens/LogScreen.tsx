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

const FILTERS = [
  { value: '', label: 'all' },
  { value: 'reading', label: 'readings' },
  { value: 'harm,harvest', label: 'harm and harvest' },
  { value: 'cover,vent,decision', label: 'covers' },
  { value: 'note,planting', label: 'notes and plantings' },
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
    void act('Note kept', [{ kind: 'note', atMs: nowAtMs, text: text.trim() }], nowAtMs);
    put('');
  };
  return (
    <View style={{ gap: 8, paddingTop: 12, maxWidth: 604 }}>
      <NoteField
        key={note ?? ''}
        focused={note !== undefined}
        label="Note something"
        value={text}
        onChange={put}
        lines={2}
        placeholder="what you saw, where"
        testID="note-text"
      />
      <Button wide kind="main" label="Keep the note" onPress={add} testID="note-keep" />
    </View>
  );
}

const KIND_WORDS: Record<LogEntry['record']['kind'], string> = {
  reading: 'reading',
  cover: 'cover',
  vent: 'opening',
  harm: 'harm',
  harvest: 'harvest',
  decision: 'decision',
  note: 'note',
  water: 'water',
  feed: 'feed',
  soil: 'soil',
  planting: 'planting',
  secured: 'storm',
  change: 'set-up',
  brought: 'brought',
  retraction: 'taken back',
};

/** The log on a wide screen: the entries of this page, sorted and searched. */
function LogTable({ entries, nowAtMs }: { entries: readonly LogEntry[]; nowAtMs: number }) {
  const format = useFormat();
  const struck = (e: LogEntry) =>
    e.retracted ? ({ textDecorationLine: 'line-through' } as const) : undefined;
  return (
    <Table
      label="The log"
      testID="log-table"
      rows={entries}
      idOf={(e) => e.record.id}
      nameOf={(e) => `${format.day(e.record.atMs)} ${format.time(e.record.atMs)}: ${e.title}`}
      empty="Nothing of this kind yet."
      columns={[
        {
          id: 'when',
          title: 'When',
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
        { id: 'kind', title: 'Kind', value: (e) => KIND_WORDS[e.record.kind], wide: 0.7 },
        {
          id: 'what',
          title: 'What',
          value: (e) => e.title,
          wide: 2.6,
          show: (e) => (
            <Text kind="strong" tone={e.retracted ? 'quiet' : 'ink'} style={struck(e)}>
              {e.title}
            </Text>
          ),
        },
        { id: 'more', title: 'More', value: (e) => (e.retracted ? 'taken back' : e.detail), wide: 2 },
        { id: 'who', title: 'By', value: (e) => e.actor, wide: 0.7 },
      ]}
      end={(e) =>
        e.retracted ? null : (
          <Button
            kind="plain"
            label="Take back"
            hint={`Take back: ${e.title}`}
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
              : [{ text: 'What happened, newest first.', tone: 'plain' }]
          }
        />
      ) : null}
      <View style={styles.row}>
        {farm ? (
          <Button
            label="Said and measured"
            onPress={() => router.push(`/night/${farm.clock.window.night}`)}
            testID="open-night"
          />
        ) : null}
        <Button label="All nights" onPress={() => router.push('/nights')} testID="to-nights" />
      </View>
      <QuickNote nowAtMs={nowAtMs} />
      <PartTitle>What happened</PartTitle>
      <Choice
        label="Show"
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
          <Loading what="Opening the log" />
        )
      ) : null}
      {data && data.entries.length === 0 ? (
        <Text tone="quiet" style={{ paddingVertical: 16 }}>
          Nothing of this kind yet. What you tick, read, score and cut appears here by itself.
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
                    {[e.retracted ? 'taken back' : e.detail, e.actor ? `by ${e.actor}` : '']
                      .filter(Boolean)
                      .join(' · ')}
                  </Text>
                ) : null}
              </View>
              {e.retracted ? null : (
                <Button
                  kind="plain"
                  label="Take back"
                  hint={`Take back: ${e.title}`}
                  onPress={() => void retract([e.record.id], nowAtMs)}
                />
              )}
            </Row>
          ))}
        </View>
      ))}
      <View style={styles.row}>
        {offset > 0 ? <Button label="Newer" onPress={() => setOffset(Math.max(0, offset - 60))} /> : null}
        {data?.more ? <Button label="Older" onPress={() => setOffset(offset + 60)} /> : null}
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 } });
