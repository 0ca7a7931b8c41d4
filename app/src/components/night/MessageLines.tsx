/**
 * What the farm has told and nobody on this device has read, until it is put aside; what is to be covered or opened stands in the
 * list of the screen itself.
 */
import { View } from 'react-native';
import type { Format } from '../../data/format';
import { markRead, useMessages } from '../../data/messages';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import { messageLines as words } from '@fogata/words/en/screens/day';

/** So many at once; the rest come when these are put aside. */
const MOST = 3;

export function MessageLines({ format }: { format: Format }) {
  const all = useMessages().filter((m) => m.kind !== 'cold' && m.kind !== 'hot');
  if (all.length === 0) return null;
  const shown = all.slice(0, MOST);
  return (
    <View testID="messages" role="log" aria-label={words.messages}>
      {shown.map((m, n) => (
        <Row key={m.key} first={n === 0}>
          <View style={{ flex: 1 }} testID={`message-${m.kind}`}>
            <Text kind="strong" tone={m.urgent ? 'ember' : 'ochre'}>{`▲ ${m.title}`}</Text>
            <Text kind="small">{m.text}</Text>
            <Text kind="small" tone="quiet">
              {words.told(format.day(Date.parse(m.at)), format.time(Date.parse(m.at)))}
            </Text>
          </View>
          <Button
            label={words.read}
            hint={words.readPutItAside(m.title)}
            onPress={() => markRead([m.key])}
            testID="message-read"
          />
        </Row>
      ))}
      {all.length > MOST ? (
        <Button
          kind="plain"
          label={words.putAllAside(all.length)}
          onPress={() => markRead(all.map((m) => m.key))}
          testID="messages-read"
        />
      ) : null}
    </View>
  );
}
