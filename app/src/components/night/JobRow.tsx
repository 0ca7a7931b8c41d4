/** One job: when, what, on what; ticked when done; opened for why, and for changing one's mind. */
import type { Job, PlaceRow } from '@fogata/contract/told';
import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { decide, finishJob, reopenJob } from '../../data/actions';
import type { Format } from '../../data/format';
import { Button, Tick } from '../ui/Button';
import { Row } from '../ui/Page';
import { whoDid } from '../../data/who';
import { StackGlyph } from '../place/StackGlyph';
import { Text } from '../ui/Text';
import { jobRow as words } from '@fogata/words/en/screens/night';

interface Props {
  job: Job;
  places: readonly PlaceRow[];
  nowAtMs: number;
  night: string;
  format: Format;
  first: boolean;
  /** Who made which record. */
  who?: Readonly<Record<string, string>>;
}

export function JobRow({ job, places, nowAtMs, night, format, first, who }: Props) {
  const [open, setOpen] = useState(false);
  const place =
    places.find((p) => p.bedId === job.items[0]?.bedId) ??
    places.find((p) => p.structureId === job.structureId);
  const layers = job.kind === 'close' ? (place?.stack ?? []).slice(0, 1) : (place?.stack ?? []);
  const beds = [...new Set(job.items.map((i) => i.bedId))];
  const by = job.done ? whoDid(job.recordIds, who ?? {}) : '';
  const late = !job.done && job.dueAtMs < nowAtMs;
  const minutes = job.minutes >= 1 ? words.min(Math.round(job.minutes)) : '';
  return (
    <View>
      <Row first={first}>
        <Pressable
          role="button"
          aria-expanded={open}
          aria-label={words.fromByWhy({
            title: job.title,
            kind: job.kind,
            dueAtMs: format.time(job.dueAtMs),
          })}
          onPress={() => setOpen(!open)}
          style={styles.main}
          testID={`job-${job.kind}`}
        >
          <View style={styles.when}>
            <Text kind="figure" tone={job.done ? 'quiet' : late ? 'ochre' : 'ink'}>
              {format.time(job.doneAtMs ?? job.dueAtMs)}
            </Text>
            {late ? (
              <Text kind="small" tone="ochre">
                {words.late}
              </Text>
            ) : null}
          </View>
          <StackGlyph layers={layers} size={36} />
          <View style={{ flex: 1 }}>
            <Text kind="strong" tone={job.done ? 'quiet' : 'ink'}>
              {job.title}
            </Text>
            <Text kind="small" tone="quiet">
              {words.accepted({ detail: job.detail, minutes, accepted: job.accepted, done: job.done, by })}
            </Text>
          </View>
        </Pressable>
        <Tick
          done={job.done}
          label={words.doneMarkItDone(job.title, job.done)}
          onPress={() => void (job.done ? reopenJob(job, nowAtMs) : finishJob(job, nowAtMs))}
          testID="job-tick"
        />
      </Row>
      {open ? (
        <View style={styles.why}>
          {job.why ? <Text kind="small">{job.why}</Text> : null}
          {job.kind === 'cover' && !job.done ? (
            <View style={styles.buttons}>
              <Button
                label={words.accept}
                onPress={() =>
                  void decide('accepted', acceptedKeys(job), night, nowAtMs, words.accepted2(job.title))
                }
                testID="job-accept"
              />
              <Button
                label={words.change}
                onPress={() => router.push(`/place/${beds[0]}`)}
                testID="job-change"
              />
              <Button
                label={words.refuse}
                onPress={() =>
                  void decide(
                    'refused',
                    beds.map((bedId) => ({ bedId, key: currentKey(places, bedId) })),
                    night,
                    nowAtMs,
                    words.refused(job.title),
                  )
                }
                testID="job-refuse"
              />
            </View>
          ) : null}
          {beds.length > 0 ? (
            <View style={styles.buttons}>
              {beds.map((b) => (
                <Button
                  key={b}
                  kind="plain"
                  label={`${places.find((p) => p.bedId === b)?.name ?? b} ›`}
                  onPress={() => router.push(`/place/${b}`)}
                />
              ))}
            </View>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

/** What the beds of this job would have on them by the plan. */
function acceptedKeys(job: Job): { bedId: string; key: string | null }[] {
  return [...new Set(job.items.map((i) => i.bedId))].map((bedId) => ({
    bedId,
    key: job.planKeys[bedId] ?? null,
  }));
}

function currentKey(places: readonly PlaceRow[], bedId: string): string {
  return places.find((p) => p.bedId === bedId)?.currentKey ?? 'bare';
}

const styles = StyleSheet.create({
  main: { flexDirection: 'row', flex: 1, alignItems: 'center', gap: 9, minHeight: 56 },
  when: { width: 53 },
  why: { paddingBottom: 12, paddingLeft: 62, gap: 10, paddingTop: 6 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
