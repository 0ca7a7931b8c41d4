/** The round. It answers: where do I go next, and what do I do there? It opens with how much is left. One stop at a time, in walking order. */
import { walkOf } from '@fogata/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { OpenRow } from '../components/night/DayRows';
import { JobRow } from '../components/night/JobRow';
import { Round } from '../components/night/Round';
import {
  isDone,
  roundName,
  roundSentence,
  stopsOf,
  type Stop,
  type Task,
} from '../components/night/roundStops';
import { StormRows } from '../components/night/StormRows';
import { Problem } from '../components/ui/Bars';
import { Button, Tick } from '../components/ui/Button';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { rowWords } from '@fogata/words/en/screens/waterWords';
import { act } from '../data/actions';
import { useFormat } from '../data/format';
import { refresh, useBeds, useDay, useNow, useWater } from '../data/hooks';
import type { NowView, WaterView } from '@fogata/contract/told';
import { roundScreen as words } from '@fogata/words/en/screens/round';

interface Here {
  now: NowView;
  water: WaterView | undefined;
}

function TaskRow({ task, now, water, first }: Here & { task: Task; first: boolean }) {
  const format = useFormat();
  const { nowAtMs, window } = now.clock;
  switch (task.kind) {
    case 'read':
      return (
        <Round
          items={[task.item]}
          night={window.night}
          nowAtMs={nowAtMs}
          format={format}
          who={now.who ?? {}}
          bare
        />
      );
    case 'job':
      return (
        <JobRow
          job={task.job}
          places={now.places}
          nowAtMs={nowAtMs}
          night={window.night}
          format={format}
          first={first}
          who={now.who ?? {}}
        />
      );
    case 'open':
      return <OpenRow s={task.row} nowAtMs={nowAtMs} first={first} format={format} />;
    case 'storm':
      return <StormRows jobs={[task.job]} nowAtMs={nowAtMs} format={format} />;
    case 'water':
      return (
        <Row first={first}>
          <View style={{ flex: 1 }}>
            <Text kind="strong">{words.water(task.row.name, task.row.crops.join(', '))}</Text>
            <Text kind="small" tone="quiet">
              {rowWords(task.row, water!, format)[0] ?? ''}
            </Text>
          </View>
          <Tick
            done={false}
            label={words.wateredAsProposed(task.row.name)}
            onPress={() =>
              void act(
                words.watered(task.row.name),
                [{ kind: 'water', atMs: nowAtMs, bedId: task.row.bedId, mm: Number(task.row.mm.toFixed(1)) }],
                nowAtMs,
              )
            }
            testID="round-water"
          />
        </Row>
      );
  }
}

function StopPart({ stop, ...here }: Here & { stop: Stop }) {
  const left = stop.tasks.filter((t) => !t.done).length;
  return (
    <View testID={`stop-${stop.id}`}>
      <PartTitle right={words.doneToDo(left)}>{stop.name}</PartTitle>
      {stop.tasks.map((task, n) => (
        <TaskRow key={keyOf(task)} task={task} first={n === 0} {...here} />
      ))}
    </View>
  );
}

function keyOf(t: Task): string {
  switch (t.kind) {
    case 'read':
      return words.read(t.item.spot);
    case 'job':
      return words.job(t.job.key);
    case 'open':
      return words.open(t.row.structureId);
    case 'storm':
      return words.storm(t.job.what);
    case 'water':
      return words.water2(t.row.bedId);
  }
}

export function RoundScreen() {
  const { data: now, error } = useNow();
  const { data: day } = useDay();
  const { data: water } = useWater();
  const { data: beds } = useBeds();
  const [chosen, setChosen] = useState<string | null>(null);
  if (!now || !beds)
    return (
      <Page testID="walk">
        <TopLine back={words.now} />
        {error ? (
          <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
        ) : (
          <Loading what={words.layingOutTheRound} />
        )}
      </Page>
    );
  const walk = walkOf(beds.structures.map((s) => s.structure));
  const stops = stopsOf(now, day, water, walk);
  const next = stops.find((s) => !isDone(s));
  const here = stops.find((s) => s.id === chosen) ?? next;
  const from = stops.findIndex((s) => s.id === here?.id);
  const after = [...stops.slice(from + 1), ...stops.slice(0, from)].find(
    (s) => !isDone(s) && s.id !== here?.id,
  );
  return (
    <Page testID="walk">
      <TopLine back={words.now} />
      <Sentence
        parts={roundSentence(roundName(now.clock.nowAtMs, now.clock.window, now.clock.phase), stops)}
      />
      {stops.length > 1 ? (
        <View style={styles.stops} role="group" aria-label={words.stopsInWalkingOrder}>
          {stops.map((s) => (
            <Button
              key={s.id}
              label={`${isDone(s) ? '✓ ' : ''}${s.name}`}
              hint={words.doneToDo2(s.name, isDone(s))}
              kind={s.id === here?.id ? 'main' : 'outline'}
              onPress={() => setChosen(s.id)}
              testID={`to-stop-${s.id}`}
            />
          ))}
        </View>
      ) : null}
      {here ? <StopPart stop={here} now={now} water={water} /> : null}
      {here && after ? (
        <View style={{ paddingTop: 16 }}>
          <Button
            wide
            kind={isDone(here) ? 'main' : 'outline'}
            label={words.onTo(after.name)}
            onPress={() => setChosen(after.id)}
            testID="next-stop"
          />
        </View>
      ) : null}
      <Text kind="small" tone="quiet" style={{ paddingTop: 12 }}>
        {words.withoutSignalWhatIsTicked}
      </Text>
    </Page>
  );
}

const styles = StyleSheet.create({
  stops: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 },
});
