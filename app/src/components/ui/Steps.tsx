/**
 * A long form in steps. It answers: what is this, part by part, and what do I say next? One part is open; the others are a line each with what
 * they say now, so that a thing is read at a glance and changed where it is wrong. What is kept is kept from any of them.
 */
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useTheme } from '../../theme/theme';
import { TOUCH } from '../../theme/tokens';
import { Button } from './Button';
import { useWide } from './Frame';
import { Text } from './Text';

/** Widest that a form in steps is, with its parts beside what is open. */
export const FORM_WIDTH = 960;

export interface Step<Id extends string> {
  id: Id;
  title: string;
  /** What it says now, in a few words. */
  said: string;
  content: ReactNode;
}

interface StepsProps<Id extends string> {
  steps: readonly Step<Id>[];
  open: Id | null;
  onOpen: (id: Id | null) => void;
}

function Head<Id extends string>({
  step,
  n,
  on,
  wide,
  onPress,
}: {
  step: Step<Id>;
  n: number;
  on: boolean;
  wide: boolean;
  onPress: () => void;
}) {
  const theme = useTheme();
  return (
    <Pressable
      role="button"
      aria-expanded={on}
      aria-label={on ? step.title : `${step.title}: ${step.said}`}
      onPress={onPress}
      testID={`step-${step.id}`}
      style={({ pressed }) => [
        styles.head,
        { borderColor: theme.hairline, borderTopWidth: n === 0 ? 1 : 0, opacity: pressed ? 0.7 : 1 },
      ]}
    >
      <Text kind="label" tone={on ? 'ink' : 'quiet'} style={styles.number}>{`${n + 1}`}</Text>
      <View style={styles.words}>
        <Text kind="strong">{step.title}</Text>
        {on ? null : (
          <Text kind="small" tone="quiet">
            {step.said}
          </Text>
        )}
      </View>
      <Text tone="quiet">{wide ? (on ? '›' : '') : on ? '−' : '+'}</Text>
    </Pressable>
  );
}

export function Steps<Id extends string>({ steps, open, onOpen }: StepsProps<Id>) {
  const wide = useWide();
  const next = (id: Id) => steps[steps.findIndex((s) => s.id === id) + 1];
  const body = (s: Step<Id>) => {
    const after = next(s.id);
    return (
      <View style={styles.body}>
        {s.content}
        {after && wide ? (
          <Button label={`${after.title} ›`} onPress={() => onOpen(after.id)} testID="step-next" />
        ) : null}
      </View>
    );
  };
  const shown = steps.find((s) => s.id === open) ?? null;
  if (wide)
    return (
      <View style={styles.panes}>
        <View style={styles.list}>
          {steps.map((s, n) => (
            <Head key={s.id} step={s} n={n} on={s.id === open} wide={wide} onPress={() => onOpen(s.id)} />
          ))}
        </View>
        <View style={styles.pane}>{shown ? body(shown) : null}</View>
      </View>
    );
  return (
    <View>
      {steps.map((s, n) => (
        <View key={s.id}>
          <Head
            step={s}
            n={n}
            on={s.id === open}
            wide={wide}
            onPress={() => onOpen(s.id === open ? null : s.id)}
          />
          {s.id === open ? body(s) : null}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    minHeight: TOUCH + 8,
    paddingVertical: 8,
    borderBottomWidth: 1,
  },
  number: { width: 14 },
  words: { flex: 1, minWidth: 0 },
  body: { gap: 16, paddingTop: 14, paddingBottom: 18 },
  panes: { flexDirection: 'row', gap: 32, alignItems: 'flex-start' },
  list: { width: 260 },
  pane: { flex: 1, minWidth: 0 },
});
