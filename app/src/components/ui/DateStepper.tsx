/** A date by days and weeks, with its weekday; typed as well. */
import { addDays } from '@fogata/core';
import { View } from 'react-native';
import { Button } from './Button';
import { Text } from './Text';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

export function dateWords(date: string): string {
  const d = new Date(`${date}T12:00:00Z`);
  return `${DAYS[d.getUTCDay()]} ${d.getUTCDate()} ${MONTHS[d.getUTCMonth()]} ${d.getUTCFullYear()}`;
}

export function DateStepper({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (date: string) => void;
}) {
  const move = (days: number) => onChange(addDays(value, days));
  return (
    <View role="group" aria-label={label} style={{ gap: 6 }}>
      <Text kind="label" tone="quiet">
        {label}
      </Text>
      <Text kind="figure" live>
        {dateWords(value)}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label="−4 weeks" hint={`${label} four weeks earlier`} onPress={() => move(-28)} />
        <Button label="−1 week" hint={`${label} a week earlier`} onPress={() => move(-7)} />
        <Button label="−1 day" hint={`${label} a day earlier`} onPress={() => move(-1)} />
        <Button label="+1 day" hint={`${label} a day later`} onPress={() => move(1)} />
        <Button label="+1 week" hint={`${label} a week later`} onPress={() => move(7)} />
      </View>
    </View>
  );
}
