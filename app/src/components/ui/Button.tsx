/** Things to press: never under 48 px. One main action a screen is filled; the rest are outlined or plain. */
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useTheme } from '../../theme/theme';
import { TOUCH } from '../../theme/tokens';
import { Text } from './Text';

interface ButtonProps {
  label: string;
  onPress: () => void;
  kind?: 'main' | 'outline' | 'plain';
  disabled?: boolean;
  icon?: ReactNode;
  testID?: string;
  hint?: string;
  wide?: boolean;
}

export function Button({
  label,
  onPress,
  kind = 'outline',
  disabled = false,
  icon,
  testID,
  hint,
  wide,
}: ButtonProps) {
  const theme = useTheme();
  const main = kind === 'main';
  return (
    <Pressable
      role="button"
      aria-label={hint ?? label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => [
        styles.button,
        wide && styles.wide,
        main && { backgroundColor: theme.emberFill, borderColor: theme.emberFill },
        kind === 'outline' && { borderColor: theme.quiet },
        kind === 'plain' && { borderColor: 'transparent', paddingHorizontal: 8 },
        (pressed || disabled) && { opacity: disabled ? 0.45 : 0.7 },
      ]}
    >
      {icon}
      <Text
        kind="label"
        tone={main ? 'onEmber' : 'ink'}
        style={kind === 'plain' ? { textDecorationLine: 'underline' } : undefined}
      >
        {label}
      </Text>
    </Pressable>
  );
}

/** One of a few: a row of choices, the chosen one marked by weight, border and state. */
export function Choice<T extends string | number>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly { value: T; label: string }[];
  value: T | null;
  onChange: (value: T) => void;
}) {
  const theme = useTheme();
  return (
    <View role="radiogroup" aria-label={label} style={styles.row}>
      {options.map((o) => {
        const on = o.value === value;
        return (
          <Pressable
            key={String(o.value)}
            role="radio"
            aria-checked={on}
            aria-label={o.label}
            onPress={() => onChange(o.value)}
            style={({ pressed }) => [
              styles.button,
              {
                borderColor: on ? theme.ink : theme.hairline,
                borderWidth: on ? 2 : 1,
                backgroundColor: on ? theme.raised : 'transparent',
              },
              pressed && { opacity: 0.7 },
            ]}
          >
            <Text kind="label" tone={on ? 'ink' : 'quiet'}>
              {on ? `✓ ${o.label}` : o.label}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

/** On or off: a square that slides, as wide as a thumb; its word says which. */
export function Toggle({
  on,
  onChange,
  label,
  disabled = false,
  testID,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  label: string;
  disabled?: boolean;
  testID?: string;
}) {
  const theme = useTheme();
  return (
    <Pressable
      role="switch"
      aria-checked={on}
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={() => onChange(!on)}
      testID={testID}
      style={styles.toggleTarget}
    >
      <View
        style={[
          styles.toggle,
          { borderColor: on ? theme.emberFill : theme.quiet, justifyContent: on ? 'flex-end' : 'flex-start' },
        ]}
      >
        <View style={[styles.knob, { backgroundColor: on ? theme.emberFill : theme.quiet }]} />
      </View>
    </Pressable>
  );
}

/** A tick for a job. */
export function Tick({
  done,
  onPress,
  label,
  testID,
}: {
  done: boolean;
  onPress: () => void;
  label: string;
  testID?: string;
}) {
  const theme = useTheme();
  return (
    <Pressable
      role="checkbox"
      aria-checked={done}
      aria-label={label}
      onPress={onPress}
      testID={testID}
      style={styles.tickTarget}
    >
      <View
        style={[
          styles.tick,
          { borderColor: theme.emberFill, backgroundColor: done ? theme.emberFill : 'transparent' },
        ]}
      >
        {done ? (
          <Text kind="label" tone="onEmber">
            ✓
          </Text>
        ) : null}
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  button: {
    minHeight: TOUCH,
    minWidth: TOUCH,
    borderWidth: 1.5,
    borderRadius: 3,
    paddingHorizontal: 16,
    paddingVertical: 8,
    flexDirection: 'row',
    gap: 8,
    alignItems: 'center',
    justifyContent: 'center',
  },
  wide: { alignSelf: 'stretch', minHeight: 58 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  toggleTarget: { minHeight: TOUCH, minWidth: 64, justifyContent: 'center', alignItems: 'flex-end' },
  toggle: { width: 60, height: 34, borderWidth: 2, borderRadius: 3, padding: 3, flexDirection: 'row' },
  knob: { width: 24, height: 24, borderRadius: 1 },
  tickTarget: { minHeight: 56, minWidth: 56, alignItems: 'center', justifyContent: 'center' },
  tick: {
    width: 30,
    height: 30,
    borderWidth: 2,
    borderRadius: 3,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
