/** The forecasts that came, which of them tonight goes by, and how one is set aside. */
import { api, call } from '@fogata/contract/client';
import type { ForecastView } from '@fogata/contract/told';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { change, useForecasts } from '../../data/hooks';
import { Problem } from '../ui/Bars';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { forecastList as texts } from '@fogata/words/en/screens/night';

type Listed = ForecastView['imported'][number];

const FROM = {
  typed: texts.typed,
  file: texts.fromATable,
  push: texts.pushed,
  poll: texts.askedFor,
} as const;

export function ForecastList() {
  const { data } = useForecasts();
  const format = useFormat();
  const [all, setAll] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  if (!data || data.imported.length === 0) return null;
  const shown = all ? data.imported : data.imported.slice(0, 4);
  const when = (ms: number) => `${format.day(ms)} ${format.time(ms)}`;
  const words = (f: Listed) =>
    f.typed
      ? texts.toTyped(format.t(f.typed.lowC, 0), format.t(f.typed.highC, 0))
      : `${f.name}, ${FROM[f.source]}`;
  const set = (f: Listed) =>
    void change(call(f.active ? api.dropForecast : api.useForecast, { id: f.id })).catch((e: Error) =>
      setProblem(e.message),
    );
  return (
    <View testID="forecasts">
      <PartTitle>{texts.whatCameSoFar}</PartTitle>
      {problem ? <Problem>{problem}</Problem> : null}
      {shown.map((f, n) => (
        <Row key={f.id} first={n === 0}>
          <View style={{ flex: 1 }}>
            <Text kind="strong" tone={f.active ? 'ink' : 'quiet'}>
              {`${words(f)}${f.id === data.using ? texts.tonightGoesByIt : texts.setAside(f.active)}`}
            </Text>
            <Text kind="small" tone="quiet">
              {texts.ofUpTo(when(f.issuedAtMs), when(f.toAtMs))}
            </Text>
          </View>
          <Button
            label={texts.setAsideUseAgain(f.active)}
            hint={texts.setAsideUseAgain2(f.active, words(f))}
            onPress={() => set(f)}
          />
        </Row>
      ))}
      {shown.length < data.imported.length ? (
        <Button kind="plain" label={texts.showAll(data.imported.length)} onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}
