/** What wind and snow ask for, by time: what to do, the load against the rating, and what the tool does not know. */
import type { StormView } from '@fogata/contract/told';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { act, retract } from '../../data/actions';
import type { Format } from '../../data/format';
import { Tick } from '../ui/Button';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { stormRows as words } from '@fogata/words/en/screens/day';

export function StormRows({
  jobs,
  nowAtMs,
  format,
}: {
  jobs: readonly StormView[];
  nowAtMs: number;
  format: Format;
}) {
  const [open, setOpen] = useState<string | null>(null);
  if (jobs.length === 0) return null;
  return (
    <View testID="storm">
      <PartTitle right={words.inTheNextDayAnd}>{words.windAndSnow}</PartTitle>
      {jobs.map((j, n) => {
        const key = `${j.structureId}-${j.what}`;
        const shown = open === key;
        return (
          <View key={key}>
            <Row first={n === 0}>
              <Pressable
                role="button"
                aria-expanded={shown}
                aria-label={words.byWhy(j.title, format.time(j.byAtMs))}
                onPress={() => setOpen(shown ? null : key)}
                style={{ flex: 1, flexDirection: 'row', gap: 12, alignItems: 'center', minHeight: 56 }}
                testID={`storm-${j.what}`}
              >
                <Text kind="figure" tone={j.done ? 'quiet' : 'ink'} style={{ width: 58 }}>
                  {format.time(j.byAtMs)}
                </Text>
                <View style={{ flex: 1 }}>
                  <Text kind="strong" tone={j.done ? 'quiet' : j.level === 3 ? 'ochre' : 'ink'}>
                    {`${j.level === 3 ? '▲ ' : ''}${j.title}`}
                  </Text>
                  <Text kind="small" tone="quiet">
                    {j.load}
                  </Text>
                </View>
              </Pressable>
              <Tick
                done={j.done}
                label={words.doneMarkItDone(j.title, j.done)}
                onPress={() =>
                  void (j.done && j.recordId
                    ? retract([j.recordId], nowAtMs)
                    : act(
                        words.done(j.title),
                        [{ kind: 'secured', atMs: nowAtMs, structureId: j.structureId, what: j.what }],
                        nowAtMs,
                      ))
                }
                testID="storm-tick"
              />
            </Row>
            {shown ? (
              <View style={{ paddingVertical: 8, gap: 4 }}>
                <Text>{`${j.steps.join(', ').replace(/\.,/g, ',').replace(/\.$/, '')}.`}</Text>
                <Text kind="small" tone="ochre">{`▲ ${j.caution}`}</Text>
              </View>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}
