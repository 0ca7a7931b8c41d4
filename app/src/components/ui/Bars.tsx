/** The bars that any screen may carry: no server, what waits, what can be taken back, the demo's clock. */
import { api, call } from '@fogata/contract/client';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { change, useConnection, useFarm, useOutbox } from '../../data/hooks';
import { outbox } from '../../data/outbox';
import { takeBack, useUndo } from '../../data/undo';
import { useFormat } from '../../data/format';
import { useTheme } from '../../theme/theme';
import { Button } from './Button';
import { Text } from './Text';

/** Says when the server is away and what is kept meanwhile; silent otherwise. */
export function ConnectionBar() {
  const theme = useTheme();
  const { offline } = useConnection();
  const { count, refused, kept: onDevice } = useOutbox();
  if (!offline && count === 0 && refused === null) return null;
  const kept = !onDevice
    ? `This browser keeps nothing: leave the page open until ${count === 0 ? 'what you enter' : `your ${count === 1 ? 'entry' : `${count} entries`}`} has been sent.`
    : count === 0
      ? 'What you enter is kept on this device and sent later.'
      : `${count} ${count === 1 ? 'entry is' : 'entries are'} kept on this device and will be sent.`;
  return (
    <View
      role="status"
      testID="connection"
      style={[styles.bar, { borderColor: theme.ochre, backgroundColor: theme.raised }]}
    >
      {refused !== null ? (
        <View style={styles.line}>
          <Text kind="small" tone="ochre" style={{ flex: 1 }}>{`▲ One entry was not taken: ${refused}`}</Text>
          <Button label="Read" kind="plain" onPress={() => outbox.clearRefused()} />
        </View>
      ) : (
        <Text kind="small" tone="ochre">
          {offline ? `▲ No server. This is what was last known. ${kept}` : `Sending. ${kept}`}
        </Text>
      )}
    </View>
  );
}

export function UndoBar() {
  const theme = useTheme();
  const offer = useUndo();
  if (!offer) return null;
  return (
    <View role="status" testID="undo" style={[styles.undo, { backgroundColor: theme.ink }]}>
      <Text kind="strong" style={{ color: theme.ground, flex: 1 }} numberOfLines={2}>
        {offer.label}
      </Text>
      <View style={{ backgroundColor: theme.ground, borderRadius: 3 }}>
        <Button label="Undo" kind="plain" onPress={() => void takeBack()} testID="undo-button" />
      </View>
    </View>
  );
}

/** Only in the demo: moves the farm's clock, and everything follows. */
export function DemoClock() {
  const theme = useTheme();
  const { data } = useFarm();
  const format = useFormat();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  if (data?.clock.mode !== 'demo') return null;
  // the demo has a winter and a spring to look at
  const spring = data.clock.window.night >= '2027-03-01';
  const move = (to: 'hour' | 'closing' | 'morning' | number) => {
    setBusy(true);
    setProblem(null);
    change(call(api.clock), typeof to === 'number' ? { toAtMs: to } : { move: to })
      .catch((e: Error) => setProblem(e.message))
      .finally(() => setBusy(false));
  };
  return (
    <View
      style={[styles.demo, { borderColor: theme.hairline }]}
      role="group"
      aria-label="The demo's clock"
      testID="demo-clock"
    >
      <Text
        kind="small"
        tone="quiet"
      >{`${data.practice ? 'Practice on a copy of your farm: weather and readings are invented and nothing here is kept. The' : 'Demo: the'} clock stands at ${format.time(data.clock.nowAtMs)} until you move it.`}</Text>
      <View style={styles.line}>
        <Button
          label="+1 h"
          hint="Demo clock one hour on"
          disabled={busy}
          onPress={() => move('hour')}
          testID="clock-hour"
        />
        <Button
          label="Closing time"
          hint="Demo clock to closing time"
          disabled={busy}
          onPress={() => move('closing')}
          testID="clock-closing"
        />
        <Button
          label="Next morning"
          hint="Demo clock to next morning"
          disabled={busy}
          onPress={() => move('morning')}
          testID="clock-morning"
        />
        {data.practice ? null : (
          <Button
            label={spring ? 'Back to January' : 'A day in April'}
            hint={spring ? 'Demo clock to 14 January, 15:30' : 'Demo clock to 20 April, 07:00'}
            disabled={busy}
            onPress={() => move(Date.parse(spring ? '2027-01-14T14:30:00Z' : '2027-04-20T05:00:00Z'))}
            testID="clock-season"
          />
        )}
      </View>
      {problem ? (
        <Text kind="small" tone="ochre">
          {problem}
        </Text>
      ) : null}
    </View>
  );
}

/** A sentence about something that went wrong, said where it happened. */
export function Problem({
  children,
  onRetry,
  retry = 'Try again',
}: {
  children: string;
  onRetry?: () => void;
  /** What the button says. */
  retry?: string;
}) {
  return (
    <View role="alert" style={{ gap: 8, paddingVertical: 8 }}>
      <Text tone="ochre">{`▲ ${children}`}</Text>
      {onRetry ? <Button label={retry} onPress={onRetry} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { borderBottomWidth: 2, paddingHorizontal: 18, paddingVertical: 8 },
  line: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' },
  undo: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingLeft: 18,
    paddingRight: 8,
    paddingVertical: 6,
  },
  demo: { borderTopWidth: 1, paddingVertical: 12, gap: 8, marginTop: 24 },
});
