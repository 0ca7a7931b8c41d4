/** The weeks' list: each thing to be done, ticked when it is done, moved by a day or a week, opened for its planting. */
import { jobTitle } from '@fogata/contract';
import type { SeasonJob } from '@fogata/contract/told';
import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { act } from '../../data/actions';
import { useFormat } from '../../data/format';
import { useFarm } from '../../data/hooks';
import { Button, Tick } from '../ui/Button';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { dayNumber, daysTo, inDays, jobDetail, jobGroups } from '@fogata/words/en/screens/jobWords';
import { jobList as words } from '@fogata/words/en/screens/season';

const MOVES = [
  { label: words.words1Week, days: -7 },
  { label: words.words1Day, days: -1 },
  { label: words.words1Day2, days: 1 },
  { label: words.words1Week2, days: 7 },
] as const;

function JobLine({
  job,
  today,
  first,
  open,
  onToggle,
}: {
  job: SeasonJob;
  today: string;
  first: boolean;
  open: boolean;
  onToggle: () => void;
}) {
  const format = useFormat();
  const nowAtMs = useFarm().data?.clock.nowAtMs ?? 0;
  const title = jobTitle(job);
  const late = daysTo(today, job.date) < 0;
  /** Kept on the device at once, sent when the server is there. */
  const write = (on: string, done: boolean, said: string) =>
    act(
      said,
      [{ kind: 'step', atMs: nowAtMs, plantingId: job.plantingId, step: job.step, on, done }],
      nowAtMs,
    );
  return (
    <View testID={`season-job-${job.step}`}>
      <Row first={first}>
        <Pressable
          role="button"
          aria-expanded={open}
          aria-label={words.lateMoveItOrOpen({ title, dayNumber: dayNumber(job.date), late })}
          onPress={onToggle}
          style={styles.main}
          testID="season-job"
        >
          <View style={styles.when}>
            <Text kind="strong" tone={late ? 'ochre' : 'ink'}>
              {dayNumber(job.date)}
            </Text>
            {late ? (
              <Text kind="small" tone="ochre">
                {words.late}
              </Text>
            ) : null}
          </View>
          <View style={{ flex: 1, gap: 2 }}>
            <Text kind="strong">{title}</Text>
            <Text kind="small" tone="quiet">{`${jobDetail(job, today, format)}.`}</Text>
          </View>
        </Pressable>
        {job.step === 'pick' ? null : (
          <Tick
            done={false}
            label={words.markItDone(title)}
            onPress={() => void write(today, true, words.done(title))}
            testID="season-tick"
          />
        )}
      </Row>
      {open ? (
        <View style={styles.open}>
          {job.mayMove ? (
            <View style={styles.buttons} role="group" aria-label={words.move(title)}>
              {MOVES.map(({ label, days }) => (
                <Button
                  key={label}
                  label={label}
                  hint={`${title}: ${label}`}
                  onPress={() => void write(inDays(job.date, days), false, words.moved(title))}
                />
              ))}
            </View>
          ) : (
            <Text kind="small" tone="quiet">
              {words.itsDayFollowsFromWhen}
            </Text>
          )}
          <View style={styles.buttons}>
            <Button
              kind="plain"
              label={words.itsStory}
              onPress={() => router.push(`/story/${job.plantingId}`)}
            />
            <Button kind="plain" label={words.itsYear} onPress={() => router.push(`/season/${job.crop}`)} />
          </View>
        </View>
      ) : null}
    </View>
  );
}

export function JobList({
  jobs,
  today,
  style,
}: {
  jobs: readonly SeasonJob[];
  today: string;
  style: object | null;
}) {
  // kept here: a job that is moved into another week stays open under the finger
  const [opened, setOpened] = useState<string | null>(null);
  const keyOf = (j: SeasonJob) => `${j.plantingId} ${j.step}`;
  return (
    <View style={style} testID="season-jobs">
      {jobGroups(jobs, today).map((g) => (
        <View key={g.title}>
          <PartTitle right={`${g.jobs.length}`}>{g.title}</PartTitle>
          {g.jobs.map((j, n) => (
            <JobLine
              key={keyOf(j)}
              open={opened === keyOf(j)}
              onToggle={() => setOpened(opened === keyOf(j) ? null : keyOf(j))}
              job={j}
              today={today}
              first={n === 0}
            />
          ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  main: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: 12 },
  when: { width: 64 },
  open: { gap: 8, paddingVertical: 8, paddingLeft: 76 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
