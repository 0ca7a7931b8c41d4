/**
 * Sheets for paper. It answers: what do I hand to whoever covers tonight, what hangs by the door this week, which rows hold what? It
 * opens with tonight's. Each is printed alone, or sent as plain text.
 */
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Sheet } from '@fogata/words/sheet';
import { printSheet, sheetText } from '../components/sheets/sheet';
import { bedsSheet, tagsSheet, tonightSheet, weekSheet } from '@fogata/words/en/screens/sheetWords';
import { Button } from '../components/ui/Button';
import { Choose } from '../components/ui/Fields';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { useAhead, useFarm, useKit, useNow, useRelay, useSeason } from '../data/hooks';
import { sheetScreen as words } from '@fogata/words/en/screens/sheets';

const WHICH = [
  { value: 'tonight', label: words.tonight },
  { value: 'week', label: words.theWeek },
  { value: 'beds', label: words.theBeds },
  { value: 'tags', label: words.tags },
] as const;
type Which = (typeof WHICH)[number]['value'];

function Tonight() {
  const { data } = useNow();
  const { data: kit } = useKit();
  const { data: farm } = useFarm();
  const format = useFormat();
  return <Paper sheet={data ? tonightSheet(data, kit, farm?.farm.name ?? words.fogata, format) : null} />;
}
function Week() {
  const ahead = useAhead();
  const season = useSeason();
  const { data: farm } = useFarm();
  const format = useFormat();
  const waits =
    ahead.data === undefined ||
    season.data === undefined ||
    [ahead.data, season.data].some((v) => v.progress.state === 'computing');
  return (
    <>
      {waits ? (
        <Text kind="small" tone="quiet" live>
          {words.stillBeingWorkedOutMore}
        </Text>
      ) : null}
      <Paper sheet={weekSheet(ahead.data, season.data, farm?.farm.name ?? words.fogata, format, waits)} />
    </>
  );
}
function Beds({ tags }: { tags: boolean }) {
  const { data } = useRelay();
  const { data: farm } = useFarm();
  const format = useFormat();
  const made = tags ? tagsSheet : bedsSheet;
  return <Paper sheet={data ? made(data, farm?.farm.name ?? words.fogata, format) : null} />;
}

async function send(text: string): Promise<string> {
  const { navigator } = globalThis as { navigator?: Navigator };
  try {
    if (typeof navigator?.share === 'function') {
      await navigator.share({ text });
      return words.sent;
    }
    await navigator?.clipboard.writeText(text);
    return words.copiedItCanBePut;
  } catch (e) {
    return words.thisBrowserDoesNotGive((e as Error).name);
  }
}

function Paper({ sheet }: { sheet: Sheet | null }) {
  const [word, setWord] = useState('');
  if (!sheet) return <Loading what={words.theSheet} />;
  return (
    <View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingVertical: 12 }}>
        <Button label={words.printIt} onPress={() => void printSheet(sheet)} testID="sheet-print" />
        <Button
          label={words.sendOrCopyIt}
          onPress={() => void send(sheetText(sheet)).then(setWord)}
          testID="sheet-send"
        />
      </View>
      {word ? (
        <Text kind="small" tone="pine" live>
          {word}
        </Text>
      ) : null}
      <View testID="sheet">
        <Text kind="figure">{sheet.title}</Text>
        {sheet.first ? <Text style={{ paddingTop: 8 }}>{sheet.first}</Text> : null}
        {sheet.parts.length === 0 ? <Text tone="quiet">{words.nothingIsToBeDone}</Text> : null}
        {sheet.parts.map((p) => (
          <View key={`${p.title} ${p.lines[0]?.text ?? ''}`}>
            <PartTitle>{p.title}</PartTitle>
            {p.lines.map((l, n) => (
              <Row key={`${l.at} ${l.text}`} first={n === 0}>
                {l.done === null ? null : <Text style={{ width: 26 }}>{l.done ? '☑' : '☐'}</Text>}
                {l.at ? (
                  <Text kind="strong" style={{ width: 96 }}>
                    {l.at}
                  </Text>
                ) : null}
                <View style={{ flex: 1 }}>
                  <Text>{l.text}</Text>
                  {l.note ? (
                    <Text kind="small" tone="quiet">
                      {l.note}
                    </Text>
                  ) : null}
                </View>
              </Row>
            ))}
          </View>
        ))}
        {sheet.mind.map((m) => (
          <Text key={m} kind="small" tone="ochre">{`▲ ${m}`}</Text>
        ))}
      </View>
    </View>
  );
}

export function SheetScreen() {
  const { of } = useLocalSearchParams<{ of?: string }>();
  const which: Which = WHICH.find((w) => w.value === of)?.value ?? 'tonight';
  return (
    <Page testID="sheet-page">
      <TopLine back={words.now} />
      <Choose
        label={words.whichSheet}
        options={WHICH.map((w) => ({ value: w.value, label: w.label }))}
        value={which}
        onChange={(of) => router.setParams({ of })}
      />
      {which === 'tonight' ? <Tonight /> : which === 'week' ? <Week /> : <Beds tags={which === 'tags'} />}
    </Page>
  );
}
