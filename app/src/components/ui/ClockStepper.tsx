/** A time in the coming hours by half hours, on the farm's clock. */
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Button } from './Button';
import { Text } from './Text';
import { clockStepper as words } from '@fogata/words/en/screens/ui';

const HALF_HOUR = 30 * 60_000;

export function ClockStepper({
  label,
  valueAtMs,
  fromAtMs,
  toAtMs,
  onChange,
}: {
  label: string;
  valueAtMs: number;
  fromAtMs: number;
  toAtMs: number;
  onChange: (ms: number) => void;
}) {
  const format = useFormat();
  const move = (halves: number) =>
    onChange(Math.min(toAtMs, Math.max(fromAtMs, valueAtMs + halves * HALF_HOUR)));
  return (
    <View role="group" aria-label={label} style={{ gap: 4 }}>
      <Text kind="label" tone="quiet">
        {label}
      </Text>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <Button label="−2 h" hint={words.twoHoursEarlier(label)} onPress={() => move(-4)} />
        <Button label="−½ h" hint={words.halfAnHourEarlier(label)} onPress={() => move(-1)} />
        <View style={{ flex: 1, alignItems: 'center' }}>
          <Text kind="figure" live>
            {format.time(valueAtMs)}
          </Text>
        </View>
        <Button label="+½ h" hint={words.halfAnHourLater(label)} onPress={() => move(1)} />
        <Button label="+2 h" hint={words.twoHoursLater(label)} onPress={() => move(4)} />
      </View>
    </View>
  );
}
