/** Bring weather or temperatures as a table. It answers: is what I bring understood, before any of it counts? */
import { api, call } from '@fogata/contract/client';
import type { ImportView } from '@fogata/contract/told';
import { measureText } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { Choose } from '../components/ui/Fields';
import { ForecastList } from '../components/night/ForecastList';
import { NoteField } from '../components/ui/Field';
import { Page, Row, TopLine } from '../components/ui/Page';
import { PartTitle, Text } from '../components/ui/Text';
import { Refused } from '../data/api';
import { useFormat } from '../data/format';
import { change, useBeds } from '../data/hooks';
import { pickFile } from '../data/pickFile';
import { readStored, store } from '../data/storage';

type As = 'forecast' | 'record' | 'logger';
const AS = [
  { value: 'forecast', label: 'a forecast' },
  { value: 'record', label: 'weather that was measured' },
  { value: 'logger', label: 'a logging thermometer' },
] as const;

export function ImportScreen() {
  const format = useFormat();
  const { data: beds } = useBeds();
  const [as, setAs] = useState<As>('forecast');
  const [spot, setSpot] = useState('outside');
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
      const result = await (as === 'logger'
        ? change(call(api.bringTemperatures), { spot, csv, dryRun })
        : change(call(api.bringForecast), { name, csv, as, dryRun }));
      setView(result);
      if (result.taken) put('');
      if (result.taken) setView(result);
    } catch (e) {
      if (e instanceof Refused && e.body && typeof e.body === 'object' && 'badRows' in e.body)
        setView(e.body as ImportView);
      else setProblem((e as Error).message);
    }
  };
  const spots = [
    { value: 'outside', label: 'outside' },
    ...(beds?.structures ?? [])
      .filter((x) => x.structure.kind !== 'open')
      .map((x) => ({ value: x.structure.id, label: x.structure.name })),
  ];
  return (
    <Page testID="import">
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        Bring weather or temperatures as a table
      </Text>
      <Text tone="quiet" style={{ paddingBottom: 10 }}>
        {as === 'logger'
          ? 'A header, and a time and a temperature in each row. The unit is read from the header.'
          : 'A header, and rows one to three hours apart: time, air temperature, wind; dew point or humidity, cloud, sun, rain and snow if you have them. Units are read from the header; one that is not known is refused. All of it is taken or none.'}
      </Text>
      <Choose
        label="What it is"
        value={as}
        options={AS}
        onChange={(v) => {
          setAs(v);
          setView(null);
        }}
      />
      <View style={{ height: 10 }} />
      {as === 'logger' ? (
        <Choose label="Where it hangs" value={spot} options={spots} onChange={setSpot} />
      ) : as === 'forecast' ? (
        <NoteField label="Name" value={name} onChange={setName} />
      ) : null}
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
          {view.fromAtMs !== null && view.badRows.length === 0 ? (
            <Text
              style={{ paddingTop: 8 }}
            >{`${view.rows} ${as === 'logger' ? 'readings' : 'hours'}, ${format.day(view.fromAtMs)} ${format.time(view.fromAtMs)} to ${format.day(view.toAtMs!)} ${format.time(view.toAtMs!)}, lowest ${format.t(view.minC!)}.`}</Text>
          ) : null}
          {view.estimated.length > 0 && view.badRows.length === 0 ? (
            <Text tone="ochre">{`▲ Not in the table and estimated: ${view.estimated.join('; ')}.`}</Text>
          ) : null}
          {view.badRows.map((r, n) => (
            <Row key={`${r.row}-${n}`} first={n === 0}>
              <Text kind="figure" tone="ochre" style={{ width: 84 }}>{`row ${r.row}`}</Text>
              <Text style={{ flex: 1 }}>{r.reason}</Text>
            </Row>
          ))}
          {view.badRows.length === 0 && !view.taken ? (
            <>
              {view.preview.length > 0 ? <PartTitle>First hours</PartTitle> : null}
              {view.preview.map((e, n) => (
                <Row key={e.time} first={n === 0} style={{ minHeight: 40 }}>
                  <Text
                    kind="label"
                    style={{ width: 120 }}
                  >{`${format.day(Date.parse(e.time))} ${format.time(Date.parse(e.time))}`}</Text>
                  <Text
                    kind="label"
                    style={{ flex: 1 }}
                  >{`${format.t(e.airC)} · dew point ${format.t(e.dewPointC)} · ${measureText(e.windMs, 'speed', format.length)} · cloud ${Math.round(e.cloudFraction * 100)} %`}</Text>
                </Row>
              ))}
              <View style={{ paddingTop: 12 }}>
                <Button
                  wide
                  kind="main"
                  label={`Take all ${view.rows} ${as === 'logger' ? 'readings' : 'hours'}`}
                  onPress={() => void send(false)}
                  testID="take-import"
                />
              </View>
            </>
          ) : null}
          {view.taken ? (
            <Text tone="pine" style={{ paddingTop: 8 }}>
              {as === 'forecast'
                ? 'The night is being worked out with it.'
                : 'It is kept, and the nights that were are seen with it.'}
            </Text>
          ) : null}
        </View>
      ) : null}
      <ForecastList />
    </Page>
  );
}
