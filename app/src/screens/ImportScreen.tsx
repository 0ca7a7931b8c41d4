/** Bring weather or temperatures as a table. It answers: is what I bring understood, before any of it counts? */
import { api, call } from '@fogata/contract/client';
import type { ImportView as ImportSaid } from '@fogata/contract';
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
import { importScreen as words } from '@fogata/words/en/screens/files';

type As = 'forecast' | 'record' | 'logger';
const AS = [
  { value: 'forecast', label: words.aForecast },
  { value: 'record', label: words.weatherThatWasMeasured },
  { value: 'logger', label: words.aLoggingThermometer },
] as const;

export function ImportScreen() {
  const format = useFormat();
  const { data: beds } = useBeds();
  const [as, setAs] = useState<As>('forecast');
  const [spot, setSpot] = useState('outside');
  const [csv, setCsv] = useState(() => readStored('import', ''));
  const [name, setName] = useState(words.myForecast);
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
      const result = format.say(
        await (as === 'logger'
          ? change(call(api.bringTemperatures), { spot, csv, dryRun })
          : change(call(api.bringForecast), { name, csv, as, dryRun })),
      );
      setView(result);
      if (result.taken) put('');
      if (result.taken) setView(result);
    } catch (e) {
      if (e instanceof Refused && e.body && typeof e.body === 'object' && 'badRows' in e.body)
        setView(format.say(e.body as ImportSaid));
      else setProblem((e as Error).message);
    }
  };
  const spots = [
    { value: 'outside', label: words.outside },
    ...(beds?.structures ?? [])
      .filter((x) => x.structure.kind !== 'open')
      .map((x) => ({ value: x.structure.id, label: x.structure.name })),
  ];
  return (
    <Page testID="import">
      <TopLine back={words.kit} />
      <Text kind="title" heading={1}>
        {words.bringWeatherOrTemperaturesAs}
      </Text>
      <Text tone="quiet" style={{ paddingBottom: 10 }}>
        {words.aHeaderAndATime(as)}
      </Text>
      <Choose
        label={words.whatItIs}
        value={as}
        options={AS}
        onChange={(v) => {
          setAs(v);
          setView(null);
        }}
      />
      <View style={{ height: 10 }} />
      {as === 'logger' ? (
        <Choose label={words.whereItHangs} value={spot} options={spots} onChange={setSpot} />
      ) : as === 'forecast' ? (
        <NoteField label={words.name} value={name} onChange={setName} />
      ) : null}
      <View style={{ height: 10 }} />
      <NoteField
        label={words.pasteItHere}
        value={csv}
        onChange={put}
        lines={8}
        placeholder={words.timeTempCDewPoint}
        testID="csv"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 }}>
        <Button
          label={words.takeAFile}
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
          label={words.lookAtIt}
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
            {view.taken ? words.taken : words.notTakenNothingHasChanged(view.badRows.length)}
          </PartTitle>
          {view.columns.map((c) => (
            <Text key={c.header} kind="small">{`${c.header}: ${c.meaning}`}</Text>
          ))}
          {view.fromAtMs !== null && view.badRows.length === 0 ? (
            <Text style={{ paddingTop: 8 }}>
              {words.readingsHoursToLowest({
                rows: view.rows,
                as,
                fromAtMs: format.day(view.fromAtMs),
                fromAtMs2: format.time(view.fromAtMs),
                toAtMs: format.day(view.toAtMs!),
                toAtMs2: format.time(view.toAtMs!),
                minC: format.t(view.minC!),
              })}
            </Text>
          ) : null}
          {view.estimated.length > 0 && view.badRows.length === 0 ? (
            <Text tone="ochre">{words.notInTheTableAnd(view.estimated.join('; '))}</Text>
          ) : null}
          {view.badRows.map((r, n) => (
            <Row key={`${r.row}-${n}`} first={n === 0}>
              <Text kind="figure" tone="ochre" style={{ width: 84 }}>
                {words.row(r.row)}
              </Text>
              <Text style={{ flex: 1 }}>{r.reason}</Text>
            </Row>
          ))}
          {view.badRows.length === 0 && !view.taken ? (
            <>
              {view.preview.length > 0 ? <PartTitle>{words.firstHours}</PartTitle> : null}
              {view.preview.map((e, n) => (
                <Row key={e.time} first={n === 0} style={{ minHeight: 40 }}>
                  <Text
                    kind="label"
                    style={{ width: 120 }}
                  >{`${format.day(Date.parse(e.time))} ${format.time(Date.parse(e.time))}`}</Text>
                  <Text kind="label" style={{ flex: 1 }}>
                    {words.dewPointCloud({
                      airC: format.t(e.airC),
                      dewPointC: format.t(e.dewPointC),
                      measureText: measureText(e.windMs, 'speed', format.length),
                      cloudFraction: Math.round(e.cloudFraction * 100),
                    })}
                  </Text>
                </Row>
              ))}
              <View style={{ paddingTop: 12 }}>
                <Button
                  wide
                  kind="main"
                  label={words.takeAllReadingsHours(view.rows, as)}
                  onPress={() => void send(false)}
                  testID="take-import"
                />
              </View>
            </>
          ) : null}
          {view.taken ? (
            <Text tone="pine" style={{ paddingTop: 8 }}>
              {words.theNightIsBeingWorked(as)}
            </Text>
          ) : null}
        </View>
      ) : null}
      <ForecastList />
    </Page>
  );
}
