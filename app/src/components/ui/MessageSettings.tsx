/** What is told without being asked, when not, and whether this browser shows it. */
import type { Farm } from '@fogata/contract';
import { clockText } from '@fogata/core/telling';
import { useState } from 'react';
import { View } from 'react-native';
import { askToNotify, mayNotify } from '../../data/messages';
import { Button } from './Button';
import { Choose } from './Fields';
import { Text } from './Text';
import { messageSettings as words } from '@fogata/words/en/screens/ui';

type Messages = Farm['messages'];

const WORD = {
  granted: words.thisBrowserShowsThemAs,
  denied: words.thisBrowserWasToldNot,
  default: '',
  none: words.thisBrowserCannotShowThem,
} as const;

const FROM = ['20:00', '21:00', '22:00', '23:00'];
const TO = ['04:30', '05:30', '06:30', '07:30'];
/** An hour of the day as this farm writes it. */
const clockOf = (at: string, hours: 12 | 24) =>
  clockText(Date.parse(`2001-01-01T${at}:00Z`), { hours, timeZone: 'UTC' });

export function MessageSettings({
  value,
  hours,
  onChange,
}: {
  value: Messages;
  hours: 12 | 24;
  onChange: (m: Messages) => void;
}) {
  const [may, setMay] = useState(mayNotify());
  return (
    <View style={{ gap: 12 }}>
      <Choose
        label={words.messages}
        value={value.on ? 1 : 0}
        options={[
          { value: 1, label: words.tellMe },
          { value: 0, label: words.never },
        ]}
        onChange={(on) => onChange({ ...value, on: on === 1 })}
      />
      {value.on ? (
        <>
          <Choose
            label={words.quietFrom}
            value={value.quietFrom}
            options={FROM.map((x) => ({ value: x, label: clockOf(x, hours) }))}
            onChange={(quietFrom) => onChange({ ...value, quietFrom })}
          />
          <Choose
            label={words.quietUntil}
            value={value.quietTo}
            options={TO.map((x) => ({ value: x, label: clockOf(x, hours) }))}
            onChange={(quietTo) => onChange({ ...value, quietTo })}
          />
          <Choose
            label={words.whatCannotWaitUntilThe}
            value={value.urgentAnyway ? 1 : 0}
            options={[
              { value: 1, label: words.wakesMe },
              { value: 0, label: words.waitsToo },
            ]}
            onChange={(x) => onChange({ ...value, urgentAnyway: x === 1 })}
          />
          {may === 'default' ? (
            <View style={{ flexDirection: 'row' }}>
              <Button
                label={words.letThisBrowserShowThem}
                onPress={() => void askToNotify().then(setMay)}
                testID="ask-notify"
              />
            </View>
          ) : (
            <Text kind="small" tone="quiet">
              {WORD[may]}
            </Text>
          )}
        </>
      ) : null}
    </View>
  );
}
