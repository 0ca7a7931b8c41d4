/** A place's twelve months, as a climate page has them: two lines of twelve numbers, in the farm's own degrees. */
import type { Farm, FarmPatch } from '@fogata/contract';
import { temperatureFrom, temperatureIn } from '@fogata/core';
import { nearTown } from '@fogata/core/season';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { PartTitle, Text } from '../ui/Text';
import { months as words } from '@fogata/words/en/screens/plan';

/** Twelve numbers of a line, or what is wrong with it. A decimal comma is one where the numbers are set apart by spaces or semicolons. */
export function readMonths(text: string): number[] | string {
  const line = text.trim().replaceAll('−', '-');
  const parts = /[;\s]/.test(line)
    ? line.split(/[;\s]+/).map((p) => p.replace(/,$/, '').replace(',', '.'))
    : line.split(',');
  const numbers = parts.filter((p) => p !== '').map(Number);
  const wrong = parts.find((p) => p !== '' && !Number.isFinite(Number(p)));
  if (wrong !== undefined) return words.isNotANumber(wrong.slice(0, 20));
  return numbers.length === 12 ? numbers : words.twelveNumbersFromJanuaryThese(numbers.length);
}

export function Months({ farm, save }: { farm: Farm; save: (p: FarmPatch, label: string) => void }) {
  const unit = farm.units.temperature;
  const near = useMemo(() => nearTown(farm), [farm]);
  const shown = (of: 'lowC' | 'highC') =>
    (farm.climate ?? []).map((m) => String(Math.round(temperatureIn(m[of], unit) * 10) / 10)).join(' ');
  const [low, setLow] = useState(shown('lowC'));
  const [high, setHigh] = useState(shown('highC'));
  const lows = low.trim() === '' ? null : readMonths(low);
  const highs = high.trim() === '' ? null : readMonths(high);
  const months =
    Array.isArray(lows) && Array.isArray(highs)
      ? lows.map((l, i) => ({ lowC: temperatureFrom(l, unit), highC: temperatureFrom(highs[i]!, unit) }))
      : null;
  const crossed = months?.findIndex((m) => m.highC <= m.lowC) ?? -1;
  const said = (read: number[] | string | null) => (typeof read === 'string' ? read : null);
  return (
    <View style={{ gap: 12 }}>
      <PartTitle right={farm.climate ? undefined : words.notTypedYet}>{words.theTwelveMonths}</PartTitle>
      <Text kind="small" tone="quiet">
        {words.seasonReckonsItsPlausibleYears(
          Boolean(farm.climate),
          near ? words.anyClimatePageOfYour(near.name) : words.anyClimatePageOfYour2,
        )}
      </Text>
      {!farm.climate && near && low.trim() === '' && high.trim() === '' ? (
        <View style={{ flexDirection: 'row' }}>
          <Button
            label={words.beginWithThoseOf(near.name)}
            testID="months-near"
            onPress={() => {
              const line = (of: 'lowC' | 'highC') =>
                near.months.map((m) => String(Math.round(temperatureIn(m[of], unit)))).join(' ');
              setLow(line('lowC'));
              setHigh(line('highC'));
            }}
          />
        </View>
      ) : null}
      <NoteField
        label={words.meanLowOfEachMonth(unit)}
        value={low}
        onChange={setLow}
        placeholder={unit === 'C' ? '-3 -3 0 4 8 11 13 13 9 6 1 -2' : '27 27 32 39 46 52 55 55 48 43 34 28'}
        problem={said(lows)}
        testID="months-low"
      />
      <NoteField
        label={words.meanHighOfEachMonth(unit)}
        value={high}
        onChange={setHigh}
        placeholder={unit === 'C' ? '2 4 10 15 19 23 25 25 20 14 7 2' : '36 39 50 59 66 73 77 77 68 57 45 36'}
        problem={said(highs) ?? words.ofMonthItIsNot({ crossed, crossed2: crossed + 1, x: null })}
        testID="months-high"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={words.keepTheseMonths}
          disabled={months === null || crossed >= 0}
          testID="months-keep"
          onPress={() => months && save({ climate: months }, words.theTwelveMonths)}
        />
        {farm.climate ? (
          <Button
            kind="plain"
            label={words.takeThemAway}
            onPress={() => save({ climate: null }, words.theTwelveMonths)}
          />
        ) : null}
      </View>
    </View>
  );
}
