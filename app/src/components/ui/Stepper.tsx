/** A number with a wet glove: four big steps, and a keypad of its own behind the value. No spinner, no system keyboard. */
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useTheme } from '../../theme/theme';
import { TOUCH } from '../../theme/tokens';
import { Button } from './Button';
import { Text } from './Text';
import { stepper as words } from '@fogata/words/en/screens/ui';

export interface StepperProps {
  label: string;
  value: number | null;
  onChange: (value: number) => void;
  /** Small and large step. */
  step: number;
  bigStep?: number;
  digits: number;
  unit: string;
  min?: number;
  max?: number;
  /** Where steps start from while there is no value. */
  start?: number;
  large?: boolean;
  signed?: boolean;
  testID?: string;
}

const sign = (text: string) => text.replace('-', '−');

export function Stepper(p: StepperProps) {
  const theme = useTheme();
  const [keys, setKeys] = useState<string | null>(null);
  const { min = -Infinity, max = Infinity, digits } = p;
  const clamp = (v: number) => Math.min(max, Math.max(min, Number(v.toFixed(digits))));
  const move = (by: number) => p.onChange(clamp((p.value ?? p.start ?? 0) + by));
  const shown = p.value === null ? '–' : sign(p.value.toFixed(digits));
  const big = p.bigStep;
  const name = (by: number) => words.downUp({ label: p.label, by, abs: Math.abs(by) });
  const typed = keys === null ? NaN : Number(keys);
  const valid =
    keys !== null && keys !== '' && keys !== '-' && Number.isFinite(typed) && typed >= min && typed <= max;
  return (
    <View role="group" aria-label={p.label} testID={p.testID}>
      <View style={[styles.row, { borderColor: theme.quiet }]}>
        {big ? (
          <Step by={-big} label={name(-big)} onPress={() => move(-big)} text={`−${big}`} large={p.large} />
        ) : null}
        <Step by={-p.step} label={name(-p.step)} onPress={() => move(-p.step)} text="−" large={p.large} />
        <Pressable
          role="button"
          aria-label={words.typeIt({ label: p.label, shown, unit: p.unit })}
          onPress={() => setKeys(keys === null ? '' : null)}
          style={styles.value}
          testID={p.testID ? `${p.testID}-value` : undefined}
        >
          <Text kind={p.large ? 'hero' : 'figure'}>
            {shown}
            <Text kind={p.large ? 'figure' : 'label'} tone="quiet">{` ${p.unit}`}</Text>
          </Text>
        </Pressable>
        <Step by={p.step} label={name(p.step)} onPress={() => move(p.step)} text="+" large={p.large} />
        {big ? (
          <Step by={big} label={name(big)} onPress={() => move(big)} text={`+${big}`} large={p.large} />
        ) : null}
      </View>
      {keys !== null ? (
        <View role="group" aria-label={words.keypadFor(p.label)} style={{ paddingTop: 8, gap: 8 }}>
          <Text kind="figure" live>
            {keys === '' ? words.typeANumber : `${sign(keys)} ${p.unit}`}
          </Text>
          {['123', '456', '789', digits > 0 ? '.0⌫' : '0⌫'].map((line) => (
            <View key={line} style={styles.keys}>
              {[...line].map((k) => (
                <View key={k} style={{ flex: 1 }}>
                  <Button
                    label={k}
                    hint={words.deleteWord(k)}
                    wide
                    onPress={() =>
                      setKeys(
                        k === '⌫' ? keys.slice(0, -1) : k === '.' && keys.includes('.') ? keys : keys + k,
                      )
                    }
                  />
                </View>
              ))}
            </View>
          ))}
          <View style={styles.keys}>
            {p.signed ? (
              <View style={{ flex: 1 }}>
                <Button
                  label="±"
                  hint={words.changeTheSign}
                  wide
                  onPress={() => setKeys(keys.startsWith('-') ? keys.slice(1) : `-${keys}`)}
                />
              </View>
            ) : null}
            <View style={{ flex: 2 }}>
              <Button
                label={keys !== '' && keys !== '-' && !valid ? words.to(sign(String(min)), max) : words.set}
                kind="main"
                wide
                disabled={!valid}
                onPress={() => {
                  p.onChange(clamp(typed));
                  setKeys(null);
                }}
              />
            </View>
          </View>
        </View>
      ) : null}
    </View>
  );
}

function Step({
  label,
  onPress,
  text,
  large,
}: {
  by: number;
  label: string;
  onPress: () => void;
  text: string;
  large?: boolean;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      style={({ pressed }) => [styles.step, large && { minHeight: 84 }, pressed && { opacity: 0.5 }]}
    >
      <Text kind={text.length > 1 ? 'label' : 'figure'} tone="ink">
        {text}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderWidth: 1.5, borderRadius: 3, alignItems: 'center' },
  step: { minWidth: TOUCH, minHeight: 56, flexGrow: 1, alignItems: 'center', justifyContent: 'center' },
  value: { flexGrow: 3, minHeight: 56, alignItems: 'center', justifyContent: 'center' },
  keys: { flexDirection: 'row', gap: 8 },
});
