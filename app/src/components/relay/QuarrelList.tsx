/** What plantings have against each other, with what would end it; each may be accepted once and is silent then. */
import type { Quarrel, RelayYear } from '@fogata/core/relay';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { quarrelWords, type Units } from '@fogata/words/en/screens/boardWords';
import { quarrelList as words } from '@fogata/words/en/screens/board';

interface ListProps {
  quarrels: readonly Quarrel[];
  accepted: readonly string[];
  year: RelayYear;
  units: Units;
  onShow: (plantingId: string) => void;
  onAccept: (id: string, accept: boolean) => void;
}

/** What may cost a crop comes before what may cost a little. */
const ORDER = [
  'rows-twice',
  'not-clear',
  'fails',
  'starved',
  'swamped',
  'crosses',
  'too-tall',
  'crowded',
  'under',
  'trays',
  'glut',
  'shaded',
  'hungry',
  'rotation',
  'not-hot',
  'reach',
  'walks',
];
const FIRST = 6;

export function QuarrelList({ quarrels, accepted, year, units, onShow, onAccept }: ListProps) {
  const [all, setAll] = useState(false);
  const open = quarrels
    .filter((q) => !accepted.includes(q.id))
    .sort((a, b) => ORDER.indexOf(a.rule) - ORDER.indexOf(b.rule) || a.fromDay - b.fromDay);
  const silent = quarrels.filter((q) => accepted.includes(q.id));
  const shown = all ? [...open, ...silent] : open.slice(0, FIRST);
  const more = open.length + silent.length - shown.length;
  if (quarrels.length === 0) return null;
  return (
    <View testID="quarrels">
      <PartTitle right={`${open.length}`}>{words.toLookAt}</PartTitle>
      {shown.map((q, n) => {
        const { what, instead } = quarrelWords(q, year, units);
        const isAccepted = accepted.includes(q.id);
        return (
          <Row key={q.id} first={n === 0}>
            <Pressable
              role="button"
              aria-label={what}
              onPress={() => onShow(q.plantings[0]!)}
              style={{ flex: 1, gap: 2 }}
              testID={`quarrel-${q.rule}`}
            >
              <Text kind="strong" tone={isAccepted ? 'quiet' : 'ochre'}>{`▲ ${what}`}</Text>
              <Text kind="small" tone="quiet">
                {words.accepted(isAccepted, instead)}
              </Text>
            </Pressable>
            <Button
              kind="plain"
              label={words.sayItAgainAccept(isAccepted)}
              hint={words.sayAgainAccept(isAccepted, what)}
              onPress={() => onAccept(q.id, !isAccepted)}
            />
          </Row>
        );
      })}
      {more > 0 || all ? (
        <Button
          kind="plain"
          label={words.fewerMore(all, more)}
          onPress={() => setAll(!all)}
          testID="quarrels-more"
        />
      ) : null}
    </View>
  );
}
