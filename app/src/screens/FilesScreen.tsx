/** Files. It answers: how do I take my farm with me, and what would a file change before it does? */
import { api, call, type Endpoint } from '@fogata/contract/client';
import type { ExchangeView } from '@fogata/contract/told';
import { useState } from 'react';
import { Linking, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { Page, Row, TopLine } from '../components/ui/Page';
import { PartTitle, Text } from '../components/ui/Text';
import { retract } from '../data/actions';
import { change } from '../data/hooks';
import { pickFile } from '../data/pickFile';
import { offerUndo } from '../data/undo';

type What = 'farm' | 'plantings' | 'cultivars' | 'lots' | 'library' | 'geojson' | 'stock';
/** What comes as a table: brought as a file, or pasted. */
const isTable = (what: What) => what !== 'farm' && what !== 'geojson';

const KINDS: Record<
  What,
  { title: string; note: string; get: string; bring: Endpoint<ExchangeView>; accept: string }
> = {
  farm: {
    title: 'The whole farm',
    note: 'One JSON file: settings, structures, beds, plantings, covers and the log, with every forecast and temperature.',
    get: '/api/farm/file',
    bring: api.bringFarm,
    accept: '.json,application/json',
  },
  plantings: {
    title: 'Plantings, as a table',
    note: 'CSV for any spreadsheet. Rows that come are added or changed; none is taken away. Bed, crop and planted_on are enough of a row.',
    get: '/api/plantings.csv',
    bring: api.bringPlantings,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  cultivars: {
    title: 'Cultivars, as a table',
    note: 'A row a cultivar: what it has other than the book, with the units in the names of the columns.',
    get: '/api/seeds/cultivars.csv',
    bring: api.bringCultivars,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  lots: {
    title: 'Seed lots, as a table',
    note: 'A row a packet or bag: crop and year are enough.',
    get: '/api/seeds/lots.csv',
    bring: api.bringLots,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  library: {
    title: 'The library of crops, as a table',
    note: 'Every crop with its figures. What you change there counts here in place of the book.',
    get: '/api/seeds/library.csv',
    bring: api.bringLibrary,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  geojson: {
    title: 'Structures and beds, as a map',
    note: 'GeoJSON for any map program. What was moved there comes back moved.',
    get: '/api/farm/geojson',
    bring: api.bringMap,
    accept: '.geojson,.json,application/geo+json',
  },
  stock: {
    title: 'Covers in stock, as a table',
    note: 'CSV for any spreadsheet.',
    get: '/api/kit/stock.csv',
    bring: api.bringStock,
    accept: '.csv,text/csv',
  },
};

const list = (names: string[]) =>
  names.length <= 6 ? names.join(', ') : `${names.slice(0, 6).join(', ')} and ${names.length - 6} more`;

function Change({ view }: { view: ExchangeView }) {
  const nothing =
    view.added.length + view.changed.length + view.removed.length + view.records + view.weather === 0;
  return (
    <View testID="exchange" style={{ gap: 4, paddingVertical: 8 }}>
      <Text kind="strong">
        {nothing ? 'It holds what the farm holds already.' : view.taken ? 'Taken.' : 'It would change this:'}
      </Text>
      {view.added.length > 0 ? <Text>{`Come: ${list(view.added)}.`}</Text> : null}
      {view.changed.length > 0 ? <Text>{`Change: ${list(view.changed)}.`}</Text> : null}
      {view.removed.length > 0 ? <Text tone="ochre">{`▲ Go: ${list(view.removed)}.`}</Text> : null}
      {view.records > 0 ? <Text>{`${view.records} entries join the log.`}</Text> : null}
      {view.weather > 0 ? <Text>{`${view.weather} rows of weather and forecasts join it.`}</Text> : null}
      <Text kind="small" tone="quiet">{`${view.same} stay as they are.`}</Text>
    </View>
  );
}

/** A table as it was copied from a spreadsheet, its first line the names of the columns. */
function Paste({ onPaste }: { onPaste: (csv: string) => void }) {
  const [text, setText] = useState('');
  return (
    <View style={{ gap: 8, paddingTop: 8 }}>
      <NoteField
        label="Or paste it from a spreadsheet, with its line of names"
        value={text}
        onChange={setText}
        placeholder={'bed\tcrop\tplanted_on'}
        lines={4}
        testID="paste-plantings"
      />
      {text.trim() === '' ? null : (
        <View style={{ flexDirection: 'row' }}>
          <Button label="Look at what it changes" onPress={() => onPaste(text)} testID="paste-look" />
        </View>
      )}
    </View>
  );
}

export function FilesScreen() {
  const [held, setHeld] = useState<{ what: What; name: string; body: object } | null>(null);
  const [view, setView] = useState<ExchangeView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const send = async (what: What, body: object, dryRun: boolean) => {
    setProblem(null);
    try {
      const next = await change(call(KINDS[what].bring), { ...body, dryRun });
      setView(next);
      if (dryRun) return;
      setHeld(null);
      const { recordId } = next;
      if (recordId) offerUndo(`${KINDS[what].title}: taken`, () => retract([recordId], Date.now()));
    } catch (e) {
      setView(null);
      setProblem((e as Error).message);
    }
  };
  const bring = async (what: What) => {
    const file = await pickFile(KINDS[what].accept);
    if (!file) return;
    setView(null);
    setProblem(null);
    let body: object;
    try {
      body = isTable(what) ? { csv: file.text } : { file: JSON.parse(file.text) as unknown };
    } catch {
      setProblem(`${file.name}: expected JSON, as it was kept from here.`);
      return;
    }
    await look(what, file.name, body);
  };
  const look = async (what: What, name: string, body: object) => {
    setHeld({ what, name, body });
    await send(what, body, true);
  };
  return (
    <Page testID="files">
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        The farm is yours to take along
      </Text>
      {problem ? <Problem>{problem}</Problem> : null}
      {view ? <Change view={view} /> : null}
      {held && view && !view.taken ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Button
            kind="main"
            label={`Take ${held.name}`}
            onPress={() => void send(held.what, held.body, false)}
            testID="exchange-take"
          />
          <Button
            kind="plain"
            label="Leave the farm as it is"
            onPress={() => {
              setHeld(null);
              setView(null);
            }}
          />
        </View>
      ) : null}
      <PartTitle>A backup of everything</PartTitle>
      <Row first>
        <Text style={{ flex: 1 }}>
          The whole database in one file, checked before it is given: the farm, the log, every forecast and
          temperature. The server keeps one a day as well. How to restore it is in docs/reliability.md; with
          npm run practice and this file you rehearse a cold night on a copy, under invented weather.
        </Text>
      </Row>
      <View style={{ flexDirection: 'row', paddingTop: 8 }}>
        <Button label="Make a backup" onPress={() => void Linking.openURL('/api/backup')} testID="backup" />
      </View>
      {(Object.keys(KINDS) as What[]).map((what) => (
        <View key={what}>
          <PartTitle>{KINDS[what].title}</PartTitle>
          <Row first>
            <Text style={{ flex: 1 }}>{KINDS[what].note}</Text>
          </Row>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 8 }}>
            <Button
              label="Keep a file"
              hint={`${KINDS[what].title}: keep a file`}
              onPress={() => void Linking.openURL(KINDS[what].get)}
            />
            <Button
              label="Bring a file"
              hint={`${KINDS[what].title}: bring a file`}
              onPress={() => void bring(what)}
              testID={`bring-${what}`}
            />
          </View>
          {what === 'plantings' ? <Paste onPaste={(csv) => void look(what, 'the table', { csv })} /> : null}
        </View>
      ))}
      <PartTitle>The plan, as a drawing</PartTitle>
      <View style={{ flexDirection: 'row' }}>
        <Button
          label="Open the drawing, to scale 1:200"
          onPress={() => void Linking.openURL('/api/farm/plan.svg')}
        />
      </View>
    </Page>
  );
}
