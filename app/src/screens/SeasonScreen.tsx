/**
 * Season. It answers: what is to be done this week, and what may I sow or plant, where, and until when? It opens with what is
 * most pressing.
 */
import type { CropRow, SeasonRow } from '@fogata/contract/told';
import { Link, router } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { CountersPanel } from '../components/season/CountersPanel';
import { ShadeWeeks } from '../components/season/ShadeWeeks';
import { JobList } from '../components/season/JobList';
import { jobSentence } from '@fogata/words/en/screens/jobWords';
import {
  climateWords,
  dayShort,
  dayWords,
  failureWords,
  ofHundred,
  seasonSentence,
  upper,
} from '@fogata/words/en/screens/seasonWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { NoteField } from '../components/ui/Field';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { seasonAgain, useCrops, useSeason } from '../data/hooks';
import { seasonScreen as words } from '@fogata/words/en/screens/season';

/** A crop with every place where it may be begun, the first to shut first. */
function Item({ rows, first }: { rows: readonly SeasonRow[]; first: boolean }) {
  const [row] = rows as [SeasonRow, ...SeasonRow[]];
  const now = row.inDays === 0;
  const when = now ? words.until(dayShort(row.latest)) : words.from(dayShort(row.opens));
  const title = words.plantSow({ planted: row.planted, name: row.name, place: row.place });
  const under = row.cover === null ? '' : words.underOnColdNights(row.cover);
  const chance = now
    ? words.begunNowItComesOff(ofHundred(row.success), under)
    : words.itMayBeBegunUntil(dayWords(row.latest), under);
  const gone = 1 - row.after;
  const late =
    now && row.leftDays < 90 && gone > 0.15
      ? words.twoWeeksAfterItIn({
          latest: dayShort(row.latest),
          failureWords: failureWords(row.afterIs, row.crop),
          ofHundred: ofHundred(gone),
        })
      : '';
  const also = rows
    .slice(1)
    .map((r) => `${r.place} ${now ? words.until(dayShort(r.latest)) : words.from(dayShort(r.opens))}`);
  return (
    <Link href={`/season/${row.crop}`} asChild>
      <Pressable role="link" aria-label={`${title}, ${when}`} testID="season-row">
        <Row first={first}>
          <View style={styles.when}>
            <Text kind="strong" tone={now && row.leftDays < 15 ? 'ember' : 'ink'}>
              {when}
            </Text>
          </View>
          <View style={{ flex: 1, gap: 2 }}>
            <Text kind="strong">{title}</Text>
            <Text kind="small" tone="quiet">
              {`${chance}${late}${also.length > 0 ? words.also(also.join(', ')) : ''}`}
            </Text>
          </View>
        </Row>
      </Pressable>
    </Link>
  );
}

/** Rows of one crop together, in the order of their first. */
function byCrop(rows: readonly SeasonRow[]): SeasonRow[][] {
  const groups = new Map<string, SeasonRow[]>();
  for (const r of rows) groups.set(r.crop, [...(groups.get(r.crop) ?? []), r]);
  return [...groups.values()];
}

function Part({ title, rows, style }: { title: string; rows: readonly SeasonRow[]; style: object | null }) {
  const groups = byCrop(rows);
  return (
    <View style={style}>
      <PartTitle right={`${groups.length}`}>{title}</PartTitle>
      {groups.map((g, n) => (
        <Item key={g[0]!.crop} rows={g} first={n === 0} />
      ))}
    </View>
  );
}

/** Any crop of the list, found as it is typed. */
function FindCrop({ crops }: { crops: readonly CropRow[] }) {
  const [text, setText] = useState('');
  const q = text.trim().toLowerCase();
  const found =
    q === ''
      ? []
      : crops
          .filter((c) => c.name.toLowerCase().includes(q) || c.family.toLowerCase().includes(q))
          .slice(0, 8);
  return (
    <View style={{ gap: 4 }}>
      <NoteField
        label={words.anotherCrop}
        value={text}
        onChange={setText}
        placeholder={words.leeks}
        testID="season-find"
      />
      {found.map((c, n) => (
        <Link key={c.id} href={`/season/${c.id}`} asChild>
          <Pressable role="link" aria-label={c.name} testID="season-found">
            <Row first={n === 0}>
              <Text kind="strong">{upper(c.name)}</Text>
              <Text kind="small" tone="quiet">
                {c.family}
              </Text>
            </Row>
          </Pressable>
        </Link>
      ))}
      {q !== '' && found.length === 0 ? (
        <Text kind="small" tone="quiet">
          {words.noCropOfThatName}
        </Text>
      ) : null}
    </View>
  );
}

export function SeasonScreen() {
  const format = useFormat();
  const { data, error } = useSeason();
  const { data: crops } = useCrops();
  const wide = useWide();
  const pane = wide ? styles.pane : null;
  const now = data?.rows.filter((r) => r.inDays === 0) ?? [];
  const soon = data?.rows.filter((r) => r.inDays > 0) ?? [];
  return (
    <Page testID="season" width={wide ? 1120 : 640}>
      <TopLine />
      {data ? (
        <Sentence parts={jobSentence(data.jobs, data.today) ?? seasonSentence(data)} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheSeason} />
      )}
      {data?.progress.state === 'computing' ? (
        <Loading what={words.goingThroughAHundredYears(data.progress.done, data.progress.of)} />
      ) : null}
      {data?.progress.state === 'failed' ? (
        <Problem onRetry={() => void seasonAgain()}>{data.progress.message ?? ''}</Problem>
      ) : null}
      <View style={wide ? styles.panes : null}>
        {data && data.jobs.length > 0 ? <JobList jobs={data.jobs} today={data.today} style={pane} /> : null}
        {now.length > 0 ? <Part title={words.mayBeBegunNow} rows={now} style={pane} /> : null}
        {soon.length > 0 ? <Part title={words.inTheNextThreeWeeks} rows={soon} style={pane} /> : null}
      </View>
      <View style={{ paddingTop: 12, gap: 12 }}>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Button
            label={words.theBoardEveryRowThrough}
            onPress={() => router.push('/board')}
            testID="to-board"
          />
          <Button
            label={words.allPlantingsAsATable}
            onPress={() => router.push('/plantings')}
            testID="to-plantings"
          />
          <Button label={words.trays} onPress={() => router.push('/nursery')} testID="to-nursery" />
          <Button label={words.seed} onPress={() => router.push('/seeds')} testID="to-seeds" />
        </View>
        <CountersPanel />
        <ShadeWeeks />
        <FindCrop crops={crops ?? []} />
        {data ? (
          <Text kind="small" tone="quiet">
            {words.cropFiguresAreStartingValues(climateWords(data.climate, format), format.t(4, 0))}
          </Text>
        ) : null}
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  when: { width: 96 },
  panes: { flexDirection: 'row', gap: 40 },
  pane: { flex: 1 },
});
