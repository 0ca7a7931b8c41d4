/** What the year's rows bring, crop by crop: by metre and week, by hour, in kilos, stems and bunches. It answers: what earns its row? */
import { cropById } from '@fogata/core';
import { earnings, type Earning, type RelayYear } from '@fogata/core/relay';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useFormat, type Format } from '../../data/format';
import { upper } from '@fogata/words/en/screens/seasonWords';
import { Choice } from '../ui/Button';
import { Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { useTheme } from '../../theme/theme';
import { Text } from '../ui/Text';
import { earningsPanel as words } from '@fogata/words/en/screens/relay';

const WEEKS = 52;
type By = 'metre' | 'hour' | 'money';
const BY = [
  { value: 'metre' as const, label: words.aMetreAWeek },
  { value: 'hour' as const, label: words.anHour },
  { value: 'money' as const, label: words.theYear },
];

const OF: Record<By, (e: Earning) => number | null> = {
  metre: (e) => e.perMetreWeek,
  hour: (e) => e.perHour,
  money: (e) => e.money,
};

/** "38 kg, some 150 bunches", "420 stems, 42 bunches"; empty where there is nothing yet. */
export function amountWords(
  a: Pick<Earning, 'kg' | 'stems' | 'bunches'>,
  format: Pick<Format, 'mass'>,
): string {
  const parts = [
    ...(a.kg >= 0.1 ? [format.mass(a.kg < 10 ? Number(a.kg.toFixed(1)) : Math.round(a.kg))] : []),
    ...(a.stems >= 1 ? [words.stems(Math.round(a.stems))] : []),
    ...(a.bunches >= 1 ? [words.someBunches(Math.round(a.bunches))] : []),
  ];
  return parts.join(', ');
}

/** Money to two places where it is little, as a price is said. */
const price = (x: number, format: Pick<Format, 'currency' | 'money'>) =>
  x < 20 ? `${format.currency}${x.toFixed(2)}` : format.money(x);

export function EarningsPanel({ year }: { year: RelayYear }) {
  const format = useFormat();
  const theme = useTheme();
  const [by, setBy] = useState<By>('metre');
  const list = useMemo(() => earnings(year, year.today, WEEKS), [year]);
  if (list.length === 0) return null;
  const of = OF[by];
  const sorted = [...list].sort((a, b) => (of(b) ?? -1) - (of(a) ?? -1));
  const most = Math.max(...sorted.map((e) => of(e) ?? 0));
  const all = list.reduce((s, e) => s + e.money, 0);
  const hours = list.reduce((s, e) => s + e.minutes, 0) / 60;
  return (
    <Fold title={words.whatEarnsItsRow}>
      <View style={{ gap: 10 }} testID="earnings">
        <Text>{words.fromTodayAYearOn(format.money(all), Math.round(hours))}</Text>
        <Choice label={words.by} options={BY} value={by} onChange={setBy} />
        {sorted.map((e, n) => {
          const value = of(e);
          return (
            <Row key={e.crop} first={n === 0}>
              <View style={{ flex: 1, gap: 3 }} testID="earning">
                <Text kind="strong">{upper(cropById(e.crop).name)}</Text>
                <Text kind="small" tone="quiet">
                  {words.ofWork({
                    amountWords: amountWords(e, format) || words.nothingYet,
                    minutes:
                      e.minutes < 90 ? words.min(Math.round(e.minutes)) : `${Math.round(e.minutes / 60)} h`,
                    money: format.money(e.money),
                  })}
                </Text>
                <View
                  style={[
                    styles.bar,
                    {
                      backgroundColor: theme.pine,
                      width: `${Math.max(1, (100 * (value ?? 0)) / Math.max(most, 1e-9))}%`,
                    },
                  ]}
                />
              </View>
              <Text kind="figure">{value === null ? '–' : price(value, format)}</Text>
            </Row>
          );
        })}
        <Text kind="small" tone="quiet">
          {words.worthAMetreAndMinutes}
        </Text>
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ bar: { height: 6 } });
