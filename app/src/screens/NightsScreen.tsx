/** All nights. It answers: how right has it been here, and which night was it not? It opens with that; wide, a table. */
import type { NightRow } from '@fogata/contract/told';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import { nightsSentence } from '@fogata/words/en/screens/nightsWords';
import { Problem } from '../components/ui/Bars';
import { dateWords } from '../components/ui/DateStepper';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { Table } from '../components/ui/Table';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat, type Format } from '../data/format';
import { refresh, useNights } from '../data/hooks';
import { nightsScreen as words } from '@fogata/words/en/screens/night';

/** On a phone so many; older ones are in the table and in the log. */
const ON_PHONE = 120;
const open = (r: NightRow) => router.push(`/night/${r.night}`);
const off = (k: number | null, format: Format) => (k === null ? '–' : format.diff(k));

function NightsTable({ rows, format }: { rows: NightRow[]; format: Format }) {
  return (
    <Table
      label={words.nights}
      testID="nights-table"
      rows={rows}
      idOf={(r) => r.night}
      nameOf={(r) => words.nightOf(dateWords(r.night))}
      onOpen={open}
      empty={words.noNightYet}
      columns={[
        {
          id: 'night',
          title: words.nightOf2,
          value: (r) => r.night,
          wide: 1.2,
          show: (r) => <Text kind="strong">{dateWords(r.night)}</Text>,
        },
        {
          id: 'said',
          title: words.outsideSaid,
          value: (r) => r.saidC?.mid ?? 99,
          number: true,
          wide: 1.2,
          show: (r) => <Text>{r.saidC ? format.range(r.saidC.low, r.saidC.high) : '–'}</Text>,
        },
        {
          id: 'read',
          title: words.outsideRead,
          value: (r) => r.readC ?? 99,
          number: true,
          show: (r) => (
            <Text tone={(r.readC ?? 1) < 0 ? 'frost' : 'ink'}>
              {r.readC === null ? '–' : format.t(r.readC)}
            </Text>
          ),
        },
        {
          id: 'within',
          title: words.insideWithin,
          value: (r) => (r.read === 0 ? 2 : r.within / r.read),
          number: true,
          show: (r) => <Text>{r.read === 0 ? '–' : words.ofWord(r.within, r.read)}</Text>,
        },
        {
          id: 'off',
          title: words.readLessSaid,
          value: (r) => r.offK ?? 99,
          number: true,
          show: (r) => <Text>{off(r.offK, format)}</Text>,
        },
        {
          id: 'furthest',
          title: words.furthestOff,
          value: (r) => r.furthest?.name ?? '',
          wide: 1.6,
          show: (r) => <Text>{r.furthest ? `${r.furthest.name}, ${off(r.furthest.offK, format)}` : ''}</Text>,
        },
      ]}
    />
  );
}

export function NightsScreen() {
  const { data, error } = useNights();
  const format = useFormat();
  const wide = useWide();
  const rows = data?.nights ?? [];
  return (
    <Page testID="nights" width={wide ? 1100 : 640}>
      <TopLine back={words.log} />
      {error && !data ? <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem> : null}
      {!data && !error ? <Loading what={words.lookingUpTheNights} /> : null}
      {data ? <Sentence parts={nightsSentence(rows, format)} /> : null}
      {wide && rows.length > 0 ? <NightsTable rows={rows} format={format} /> : null}
      {!wide && rows.length > 0 ? <PartTitle right={words.readLessSaid2}>{words.nights}</PartTitle> : null}
      {(wide ? [] : rows.slice(0, ON_PHONE)).map((r, n) => (
        <Pressable
          key={r.night}
          role="link"
          aria-label={words.nightOf(dateWords(r.night))}
          onPress={() => open(r)}
          testID="night-row"
        >
          <Row first={n === 0}>
            <View style={{ flex: 1 }}>
              <Text kind="strong">{dateWords(r.night)}</Text>
              <Text kind="small" tone="quiet">
                {[
                  r.saidC ? words.saidOutside(format.range(r.saidC.low, r.saidC.high)) : words.nothingWasSaid,
                  r.readC === null ? '' : words.read(format.t(r.readC)),
                  r.read > 0 ? words.ofInsideWithinIt(r.within, r.read) : '',
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </Text>
            </View>
            <Text kind="figure">{off(r.offK, format)}</Text>
          </Row>
        </Pressable>
      ))}
    </Page>
  );
}
