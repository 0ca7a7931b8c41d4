/** Files. It answers: how do I take my farm with me, and what would a file change before it does? */
import { api, call, type Endpoint } from '@fogata/contract/client';
import type { ExchangeView as Answer } from '@fogata/contract';
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
import { useTold } from '../data/read';
import { offerUndo } from '../data/undo';
import { filesScreen as words } from '@fogata/words/en/screens/files';

type What = 'farm' | 'plantings' | 'cultivars' | 'lots' | 'library' | 'geojson' | 'stock';
/** What comes as a table: brought as a file, or pasted. */
const isTable = (what: What) => what !== 'farm' && what !== 'geojson';

const KINDS: Record<
  What,
  { title: string; note: string; get: string; bring: Endpoint<Answer>; accept: string }
> = {
  farm: {
    title: words.theWholeFarm,
    note: words.oneJsonFileSettingsStructures,
    get: '/api/farm/file',
    bring: api.bringFarm,
    accept: '.json,application/json',
  },
  plantings: {
    title: words.plantingsAsATable,
    note: words.csvForAnySpreadsheetRows,
    get: '/api/plantings.csv',
    bring: api.bringPlantings,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  cultivars: {
    title: words.cultivarsAsATable,
    note: words.aRowACultivarWhat,
    get: '/api/seeds/cultivars.csv',
    bring: api.bringCultivars,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  lots: {
    title: words.seedLotsAsATable,
    note: words.aRowAPacketOr,
    get: '/api/seeds/lots.csv',
    bring: api.bringLots,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  library: {
    title: words.theLibraryOfCropsAs,
    note: words.everyCropWithItsFigures,
    get: '/api/seeds/library.csv',
    bring: api.bringLibrary,
    accept: '.csv,.tsv,text/csv,text/tab-separated-values',
  },
  geojson: {
    title: words.structuresAndBedsAsA,
    note: words.geojsonForAnyMapProgram,
    get: '/api/farm/geojson',
    bring: api.bringMap,
    accept: '.geojson,.json,application/geo+json',
  },
  stock: {
    title: words.coversInStockAsA,
    note: words.csvForAnySpreadsheet,
    get: '/api/kit/stock.csv',
    bring: api.bringStock,
    accept: '.csv,text/csv',
  },
};

const list = (names: string[]) =>
  names.length <= 6 ? names.join(', ') : words.andMore(names.slice(0, 6).join(', '), names.length - 6);

function Change({ view }: { view: ExchangeView }) {
  const nothing =
    view.added.length + view.changed.length + view.removed.length + view.records + view.weather === 0;
  return (
    <View testID="exchange" style={{ gap: 4, paddingVertical: 8 }}>
      <Text kind="strong">{words.itHoldsWhatTheFarm(nothing, view.taken)}</Text>
      {view.added.length > 0 ? <Text>{words.come(list(view.added))}</Text> : null}
      {view.changed.length > 0 ? <Text>{words.change(list(view.changed))}</Text> : null}
      {view.removed.length > 0 ? <Text tone="ochre">{words.go(list(view.removed))}</Text> : null}
      {view.records > 0 ? <Text>{words.entriesJoinTheLog(view.records)}</Text> : null}
      {view.weather > 0 ? <Text>{words.rowsOfWeatherAndForecasts(view.weather)}</Text> : null}
      <Text kind="small" tone="quiet">
        {words.stayAsTheyAre(view.same)}
      </Text>
    </View>
  );
}

/** A table as it was copied from a spreadsheet, its first line the names of the columns. */
function Paste({ onPaste }: { onPaste: (csv: string) => void }) {
  const [text, setText] = useState('');
  return (
    <View style={{ gap: 8, paddingTop: 8 }}>
      <NoteField
        label={words.orPasteItFromA}
        value={text}
        onChange={setText}
        placeholder={'bed\tcrop\tplanted_on'}
        lines={4}
        testID="paste-plantings"
      />
      {text.trim() === '' ? null : (
        <View style={{ flexDirection: 'row' }}>
          <Button label={words.lookAtWhatItChanges} onPress={() => onPaste(text)} testID="paste-look" />
        </View>
      )}
    </View>
  );
}

export function FilesScreen() {
  const [held, setHeld] = useState<{ what: What; name: string; body: object } | null>(null);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const view = useTold(answer ?? undefined);
  const [problem, setProblem] = useState<string | null>(null);
  const send = async (what: What, body: object, dryRun: boolean) => {
    setProblem(null);
    try {
      const next = await change(call(KINDS[what].bring), { ...body, dryRun });
      setAnswer(next);
      if (dryRun) return;
      setHeld(null);
      const { recordId } = next;
      if (recordId) offerUndo(words.taken(KINDS[what].title), () => retract([recordId], Date.now()));
    } catch (e) {
      setAnswer(null);
      setProblem((e as Error).message);
    }
  };
  const bring = async (what: What) => {
    const file = await pickFile(KINDS[what].accept);
    if (!file) return;
    setAnswer(null);
    setProblem(null);
    let body: object;
    try {
      body = isTable(what) ? { csv: file.text } : { file: JSON.parse(file.text) as unknown };
    } catch {
      setProblem(words.expectedJsonAsItWas(file.name));
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
      <TopLine back={words.kit} />
      <Text kind="title" heading={1}>
        {words.theFarmIsYoursTo}
      </Text>
      {problem ? <Problem>{problem}</Problem> : null}
      {view ? <Change view={view} /> : null}
      {held && view && !view.taken ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Button
            kind="main"
            label={words.take(held.name)}
            onPress={() => void send(held.what, held.body, false)}
            testID="exchange-take"
          />
          <Button
            kind="plain"
            label={words.leaveTheFarmAsIt}
            onPress={() => {
              setHeld(null);
              setAnswer(null);
            }}
          />
        </View>
      ) : null}
      <PartTitle>{words.aBackupOfEverything}</PartTitle>
      <Row first>
        <Text style={{ flex: 1 }}>{words.theWholeDatabaseInOne}</Text>
      </Row>
      <View style={{ flexDirection: 'row', paddingTop: 8 }}>
        <Button
          label={words.makeABackup}
          onPress={() => void Linking.openURL('/api/backup')}
          testID="backup"
        />
      </View>
      {(Object.keys(KINDS) as What[]).map((what) => (
        <View key={what}>
          <PartTitle>{KINDS[what].title}</PartTitle>
          <Row first>
            <Text style={{ flex: 1 }}>{KINDS[what].note}</Text>
          </Row>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 8 }}>
            <Button
              label={words.keepAFile}
              hint={words.keepAFile2(KINDS[what].title)}
              onPress={() => void Linking.openURL(KINDS[what].get)}
            />
            <Button
              label={words.bringAFile}
              hint={words.bringAFile2(KINDS[what].title)}
              onPress={() => void bring(what)}
              testID={`bring-${what}`}
            />
          </View>
          {what === 'plantings' ? (
            <Paste onPaste={(csv) => void look(what, words.theTable, { csv })} />
          ) : null}
        </View>
      ))}
      <PartTitle>{words.thePlanAsADrawing}</PartTitle>
      <View style={{ flexDirection: 'row' }}>
        <Button
          label={words.openTheDrawingToScale}
          onPress={() => void Linking.openURL('/api/farm/plan.svg')}
        />
      </View>
    </Page>
  );
}
