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

type Listed = ForecastView['imported'][number];

const FROM = { typed: 'typed', file: 'from a table', push: 'pushed', poll: 'asked for' } as const;

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
      ? `${format.t(f.typed.lowC, 0)} to ${format.t(f.typed.highC, 0)}, typed`
      : `${f.name}, ${FROM[f.source]}`;
  const set = (f: Listed) =>
    void change(call(f.active ? api.dropForecast : api.useForecast, { id: f.id })).catch((e: Error) =>
      setProblem(e.message),
    );
  return (
    <View testID="forecasts">
      <PartTitle>What came so far</PartTitle>
      {problem ? <Problem>{problem}</Problem> : null}
      {shown.map((f, n) => (
        <Row key={f.id} first={n === 0}>
          <View style={{ flex: 1 }}>
            <Text kind="strong" tone={f.active ? 'ink' : 'quiet'}>
              {`${words(f)}${f.id === data.using ? ' · tonight goes by it' : f.active ? '' : ' · set aside'}`}
            </Text>
            <Text kind="small" tone="quiet">{`of ${when(f.issuedAtMs)}, up to ${when(f.toAtMs)}`}</Text>
          </View>
          <Button
            label={f.active ? 'Set aside' : 'Use again'}
            hint={`${f.active ? 'Set aside' : 'Use again'}: ${words(f)}`}
            onPress={() => set(f)}
          />
        </Row>
      ))}
      {shown.length < data.imported.length ? (
        <Button kind="plain" label={`Show all ${data.imported.length}`} onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}
