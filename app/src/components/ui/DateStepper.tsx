/** A date by days and weeks, with its weekday; typed as well. */
import { addDays } from '@fogata/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { TOUCH } from '../../theme/tokens';
import { Button } from './Button';
import { dateTyped } from './dateTyped';
import { NoteField } from './Field';
import { Text } from './Text';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

export function dateWords(date: string): string {
  const d = new Date(`${date}T12:00:00Z`);
  return `${DAYS[d.getUTCDay()]} ${d.getUTCDate()} ${MONTHS[d.getUTCMonth()]} ${d.getUTCFullYear()}`;
}

/** The day as it is; tapped, it is typed. */
function TypedDay({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (date: string) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  if (text === null)
    return (
      <Pressable
        role="button"
        aria-label={`${label}, ${dateWords(value)}: type it`}
        onPress={() => setText('')}
        style={styles.day}
      >
        <Text kind="figure" live>
          {dateWords(value)}
        </Text>
      </Pressable>
    );
  const keep = () => {
    const date = text.trim() === '' ? value : dateTyped(text, value);
    if (date === null) return setProblem(`${label}: expected a day like 14 mar or 2027-03-14.`);
    setText(null);
    setProblem(null);
    if (date !== value) onChange(date);
  };
  return (
    <NoteField
      label={`${label}, as day and month`}
      value={text}
      onChange={(t) => {
        setText(t);
        setProblem(null);
      }}
      onBlur={keep}
      placeholder={dateWords(value)}
      problem={problem}
      focused
    />
  );
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
      <TypedDay label={label} value={value} onChange={onChange} />
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

const styles = StyleSheet.create({ day: { minHeight: TOUCH, justifyContent: 'center' } });
