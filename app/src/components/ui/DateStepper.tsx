/** A date by days and weeks, with its weekday; typed as well. */
import { addDays, MONTHS, WEEKDAYS } from '@fogata/core/telling';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { TOUCH } from '../../theme/tokens';
import { Button } from './Button';
import { dateTyped } from './dateTyped';
import { NoteField } from './Field';
import { Text } from './Text';
import { dateStepper as words } from '@fogata/words/en/screens/ui';

export function dateWords(date: string): string {
  const d = new Date(`${date}T12:00:00Z`);
  return `${WEEKDAYS[d.getUTCDay()]} ${d.getUTCDate()} ${MONTHS[d.getUTCMonth()]} ${d.getUTCFullYear()}`;
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
        aria-label={words.typeIt(label, dateWords(value))}
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
    if (date === null) return setProblem(words.expectedADayLike14(label));
    setText(null);
    setProblem(null);
    if (date !== value) onChange(date);
  };
  return (
    <NoteField
      label={words.asDayAndMonth(label)}
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
        <Button label={words.words4Weeks} hint={words.fourWeeksEarlier(label)} onPress={() => move(-28)} />
        <Button label={words.words1Week} hint={words.aWeekEarlier(label)} onPress={() => move(-7)} />
        <Button label={words.words1Day} hint={words.aDayEarlier(label)} onPress={() => move(-1)} />
        <Button label={words.words1Day2} hint={words.aDayLater(label)} onPress={() => move(1)} />
        <Button label={words.words1Week2} hint={words.aWeekLater(label)} onPress={() => move(7)} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ day: { minHeight: TOUCH, justifyContent: 'center' } });
