/** Bring a forecast or a record. It answers: is what I bring understood, before any of it counts? */
import type { ImportView } from '@fogata/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/Bars';
import { Button } from '../components/Button';
import { NoteField } from '../components/Field';
import { Page, Row, TopLine } from '../components/Page';
import { PartTitle, Text } from '../components/Text';
import { Refused } from '../data/api';
import { useFormat } from '../data/format';
import { change, useForecasts } from '../data/hooks';
import { pickFile } from '../data/pickFile';
import { readStored, store } from '../data/storage';

export function ImportScreen() {
  const format = useFormat();
  const { data: forecasts } = useForecasts();
  const [csv, setCsv] = useState(() => readStored('import', ''));
  const [name, setName] = useState('my forecast');
  const [view, setView] = useState<ImportView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const put = (text: string) => {
    setCsv(text);
    setView(null);
    setProblem(null);
    store('import', text.length < 200_000 ? text : '');
  };
  const send = async (dryRun: boolean) => {
    setProblem(null);
    try {
      const result = await change<ImportView>('/api/forecasts', 'POST', { name, csv, dryRun });
      setView(result);
      if (result.taken) put('');
      if (result.taken) setView(result);
    } catch (e) {
      if (e instanceof Refused && e.body && typeof e.body === 'object' && 'badRows' in e.body)
        setView(e.body as ImportView);
      else setProblem((e as Error).message);
    }
  };
  const toggle = (id: string, action: 'use' | 'drop') =>
    void change(`/api/forecasts/${id}/${action}`, 'POST').catch((e: Error) => setProblem(e.message));
  return (
    <Page testID="import">
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        Bring an hourly forecast or record
      </Text>
      <Text tone="quiet" style={{ paddingBottom: 10 }}>
        A table with a header: time, air temperature, dew point or humidity, wind; cloud, sun, rain and snow
        if you have them. Units are read from the header: °C or °F, m/s, km/h or mph. All of it is taken or
        none.
      </Text>
      <NoteField label="Name" value={name} onChange={setName} />
      <View style={{ height: 10 }} />
      <NoteField
        label="Paste it here"
        value={csv}
        onChange={put}
        lines={8}
        placeholder={'time,temp (°C),dew point (°C),wind (km/h),cloud (%)\n2027-01-14T15:00,4.1,-5.2,3,5'}
        testID="csv"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 }}>
        <Button
          label="Take a file"
          onPress={() =>
            void pickFile('.csv,text/csv,text/plain').then((f) => {
              if (f) {
                put(f.text);
                setName(f.name.replace(/\.[a-z]+$/i, ''));
              }
            })
          }
        />
        <Button
          label="Look at it"
          kind={view && view.badRows.length === 0 && !view.taken ? 'outline' : 'main'}
          disabled={csv.trim() === ''}
          onPress={() => void send(true)}
          testID="preview"
        />
      </View>
      {problem ? <Problem>{problem}</Problem> : null}
      {view ? (
        <View testID="import-result">
          <PartTitle>
            {view.taken
              ? 'Taken'
              : view.badRows.length > 0
                ? 'Not taken, nothing has changed'
                : 'Understood as'}
          </PartTitle>
          {view.columns.map((c) => (
            <Text key={c.header} kind="small">{`${c.header}: ${c.meaning}`}</Text>
          ))}
          {view.fromMs !== null && view.badRows.length === 0 ? (
            <Text
              style={{ paddingTop: 8 }}
            >{`${view.rows} hours, ${format.day(view.fromMs)} ${format.time(view.fromMs)} to ${format.day(view.toMs!)} ${format.time(view.toMs!)}, lowest ${format.t(view.minC!)}.`}</Text>
          ) : null}
          {view.badRows.map((r, n) => (
            <Row key={`${r.row}-${n}`} first={n === 0}>
              <Text kind="figure" tone="ochre" style={{ width: 84 }}>{`row ${r.row}`}</Text>
              <Text style={{ flex: 1 }}>{r.reason}</Text>
            </Row>
          ))}
          {view.badRows.length === 0 && !view.taken ? (
            <>
              <PartTitle>First hours</PartTitle>
              {view.preview.map((e, n) => (
                <Row key={e.time} first={n === 0} style={{ minHeight: 40 }}>
                  <Text
                    kind="label"
                    style={{ width: 120 }}
                  >{`${format.day(Date.parse(e.time))} ${format.time(Date.parse(e.time))}`}</Text>
                  <Text
                    kind="label"
                    style={{ flex: 1 }}
                  >{`${format.t(e.airC)} · dew point ${format.t(e.dewPointC)} · ${e.windMs.toFixed(1)} m/s · cloud ${Math.round(e.cloudFraction * 100)} %`}</Text>
                </Row>
              ))}
              <View style={{ paddingTop: 12 }}>
                <Button
                  wide
                  kind="main"
                  label={`Take all ${view.rows} hours`}
                  onPress={() => void send(false)}
                  testID="take-import"
                />
              </View>
            </>
          ) : null}
          {view.taken ? (
            <Text tone="pine" style={{ paddingTop: 8 }}>
              The night is being worked out with it.
            </Text>
          ) : null}
        </View>
      ) : null}
      {(forecasts?.imported.length ?? 0) > 0 ? <PartTitle>Brought before</PartTitle> : null}
      {forecasts?.imported.map((f, n) => (
        <Row key={f.id} first={n === 0}>
          <View style={{ flex: 1 }}>
            <Text kind="strong">{f.name}</Text>
            <Text
              kind="small"
              tone="quiet"
            >{`${format.day(f.fromMs)} ${format.time(f.fromMs)} to ${format.day(f.toMs)} ${format.time(f.toMs)}${f.active ? ' · in use' : ''}`}</Text>
          </View>
          <Button
            label={f.active ? 'Stop using it' : 'Use it'}
            onPress={() => toggle(f.id, f.active ? 'drop' : 'use')}
          />
        </Row>
      ))}
    </Page>
  );
}
