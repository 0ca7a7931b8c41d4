/** The seed box. It answers: what seed have I, will it come up, and what do I know of a cultivar that the book does not? */
import type { SeedRow } from '@fogata/contract/told';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { learntWords, lotWords, needWords, rowName, seedsSentence } from '@fogata/words/en/screens/seedWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { Table } from '../components/ui/Table';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { refresh, useSeeds } from '../data/hooks';
import { seedsScreen as words } from '@fogata/words/en/screens/seeds';

const keyOf = (r: SeedRow) => `${r.crop} ${r.name.toLowerCase()}`;
const open = (r: SeedRow) =>
  router.push(`/cultivar/${encodeURIComponent(r.crop)}?name=${encodeURIComponent(r.name)}`);

/** What a row says besides its lots, in its own words. */
function told(r: SeedRow, format: ReturnType<typeof useFormat>): string[] {
  const own = Object.keys(r.cultivar?.figures ?? {}).length;
  return [
    needWords(r) ?? '',
    r.plantings > 0 ? words.plantingPlantings(r.plantings) : '',
    words.figureFiguresOfItsOwn(own),
    r.learnt ? learntWords(r.learnt, format) : '',
    r.cultivar?.liked === 'never' ? words.neverAgain : words.grownWillingly(r.cultivar?.liked),
  ].filter(Boolean);
}

function SeedTable({ rows }: { rows: SeedRow[] }) {
  const format = useFormat();
  const best = (r: SeedRow) => Math.max(0, ...r.lots.map((l) => l.now?.germination ?? 0));
  return (
    <Table
      label={words.seed}
      testID="seeds-table"
      rows={rows}
      idOf={keyOf}
      nameOf={rowName}
      onOpen={open}
      empty={words.noSeedIsNotedYet}
      columns={[
        { id: 'crop', title: words.crop, value: (r) => r.cropName, wide: 1.2 },
        { id: 'name', title: words.cultivar, value: (r) => r.name, wide: 1.2 },
        { id: 'lots', title: words.inTheBox, value: (r) => r.lots.map(lotWords).join('; '), wide: 3 },
        {
          id: 'up',
          title: words.comesUp,
          value: best,
          number: true,
          show: (r) => (
            <Text kind="label">{r.lots.some((l) => l.now) ? `${Math.round(100 * best(r))} %` : ''}</Text>
          ),
        },
        { id: 'told', title: words.knownOfIt, value: (r) => told(r, format).join('. '), wide: 3 },
      ]}
    />
  );
}

export function SeedsScreen() {
  const { data, error } = useSeeds();
  const format = useFormat();
  const wide = useWide();
  return (
    <Page testID="seeds" width={wide ? 1200 : 640}>
      <TopLine back={words.season} />
      {data ? (
        <Sentence parts={seedsSentence(data.rows)} />
      ) : error ? (
        <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheBox} />
      )}
      <View style={styles.row}>
        <Button
          kind="main"
          label={words.typeInAPacket}
          onPress={() => router.push('/packet')}
          testID="new-packet"
        />
        <Button label={words.tablesInAndOut} onPress={() => router.push('/files')} />
      </View>
      {data && data.rows.length > 0 ? <PartTitle>{words.whatYouGrowAndIts}</PartTitle> : null}
      {wide && data && data.rows.length > 0 ? <SeedTable rows={data.rows} /> : null}
      {(wide ? [] : (data?.rows ?? [])).map((r, n) => (
        <Row key={keyOf(r)} first={n === 0}>
          <View style={{ flex: 1, gap: 2 }}>
            <Text kind="strong">{rowName(r)}</Text>
            {r.lots.map((l) => (
              <Text key={l.lot.id} kind="small" tone={l.now?.old ? 'ochre' : 'ink'}>
                {`${l.now?.old ? '▲ ' : ''}${lotWords(l)}`}
              </Text>
            ))}
            {told(r, format).map((t) => (
              <Text key={t} kind="small" tone="quiet">
                {t}
              </Text>
            ))}
          </View>
          <Button kind="plain" label={words.open} hint={words.open2(rowName(r))} onPress={() => open(r)} />
        </Row>
      ))}
      <Text kind="small" tone="quiet" style={{ paddingTop: 12 }}>
        {words.germinationByAgeIsA}
      </Text>
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 8, paddingBottom: 4 },
});
