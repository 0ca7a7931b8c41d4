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
import { bars as words } from '@fogata/words/en/screens/ui';

/** Says when the server is away and what is kept meanwhile; silent otherwise. */
export function ConnectionBar() {
  const theme = useTheme();
  const { offline } = useConnection();
  const { count, refused, kept: onDevice } = useOutbox();
  if (!offline && count === 0 && refused === null) return null;
  const kept = words.thisBrowserKeepsNothingLeave(onDevice, count);
  return (
    <View
      role="status"
      testID="connection"
      style={[styles.bar, { borderColor: theme.ochre, backgroundColor: theme.raised }]}
    >
      {refused !== null ? (
        <View style={styles.line}>
          <Text kind="small" tone="ochre" style={{ flex: 1 }}>
            {words.oneEntryWasNotTaken(refused)}
          </Text>
          <Button label={words.read} kind="plain" onPress={() => outbox.clearRefused()} />
        </View>
      ) : (
        <Text kind="small" tone="ochre">
          {words.noServerThisIsWhat(offline, kept)}
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
        <Button label={words.undo} kind="plain" onPress={() => void takeBack()} testID="undo-button" />
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
      aria-label={words.theDemosClock}
      testID="demo-clock"
    >
      <Text kind="small" tone="quiet">
        {words.practiceOnACopyOf(data.practice, format.time(data.clock.nowAtMs))}
      </Text>
      <View style={styles.line}>
        <Button
          label="+1 h"
          hint={words.demoClockOneHourOn}
          disabled={busy}
          onPress={() => move('hour')}
          testID="clock-hour"
        />
        <Button
          label={words.closingTime}
          hint={words.demoClockToClosingTime}
          disabled={busy}
          onPress={() => move('closing')}
          testID="clock-closing"
        />
        <Button
          label={words.nextMorning}
          hint={words.demoClockToNextMorning}
          disabled={busy}
          onPress={() => move('morning')}
          testID="clock-morning"
        />
        {data.practice ? null : (
          <Button
            label={words.backToJanuaryADay(spring)}
            hint={words.demoClockTo14January(spring)}
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
  retry = words.tryAgain,
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
