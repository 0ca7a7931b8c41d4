/** Beds. It answers: what stands where? It opens with how many beds are planted and which are free. */
import type { BedsView } from '@fogata/contract/told';
import { countWord } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, useWindowDimensions, View } from 'react-native';
import { BedDrawing } from '../components/plan/BedDrawing';
import { Problem } from '../components/ui/Bars';
import { Button, Choice } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { StackGlyph } from '../components/place/StackGlyph';
import { Table } from '../components/ui/Table';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { refresh, useBeds } from '../data/hooks';
import { bedsScreen as words } from '@fogata/words/en/screens/place';

const KIND = {
  house: words.house,
  frame: words.frames,
  tunnel: words.lowTunnels,
  open: words.openGround,
} as const;

/** Every bed in a row: what stands in it, since when, under what. */
function BedsTable({ view }: { view: BedsView }) {
  const format = useFormat();
  const rows = view.structures.flatMap(({ structure, beds }) => beds.map((b) => ({ ...b, structure })));
  return (
    <Table
      label={words.beds}
      testID="beds-table"
      rows={rows}
      idOf={(r) => r.bed.id}
      nameOf={(r) => words.inWord(r.bed.name, r.structure.name)}
      onOpen={(r) => router.push(`/place/${r.bed.id}`)}
      empty={words.noBedYet}
      columns={[
        {
          id: 'stack',
          title: words.overIt,
          value: (r) => r.stack.length,
          number: true,
          wide: 0.7,
          show: (r) => <StackGlyph layers={r.stack} size={34} />,
        },
        {
          id: 'bed',
          title: words.bed,
          value: (r) => r.bed.name,
          show: (r) => <Text kind="strong">{r.bed.name}</Text>,
        },
        { id: 'in', title: words.inWord2, value: (r) => r.structure.name, wide: 1.4 },
        {
          id: 'size',
          title: words.size,
          value: (r) => r.bed.lengthM * r.bed.widthM,
          number: true,
          wide: 1.2,
          show: (r) => (
            <Text kind="label">{`${format.metres(r.bed.lengthM)} × ${format.metres(r.bed.widthM)}`}</Text>
          ),
        },
        {
          id: 'stands',
          title: words.standsInIt,
          value: (r) => r.plantings.map((p) => p.cropName).join(', ') || 'free',
          wide: 2,
        },
        {
          id: 'days',
          title: words.days,
          value: (r) => Math.max(-1, ...r.plantings.map((p) => p.daysSince)),
          number: true,
          wide: 0.6,
          show: (r) => (
            <Text kind="label">
              {r.plantings.length > 0 ? String(Math.max(...r.plantings.map((p) => p.daysSince))) : '–'}
            </Text>
          ),
        },
        { id: 'soil', title: words.soil, value: (r) => `${r.bed.texture}, ${r.bed.wetness}` },
      ]}
      end={(r) => (
        <Button
          kind="plain"
          label={words.open}
          hint={words.open2(r.bed.name)}
          onPress={() => router.push(`/place/${r.bed.id}`)}
        />
      )}
    />
  );
}

export function BedsScreen() {
  const { data, error } = useBeds();
  const format = useFormat();
  const wide = useWide();
  const { width } = useWindowDimensions();
  const [as, setAs] = useState<'drawn' | 'table'>('drawn');
  if (!data) {
    return (
      <Page testID="beds">
        <TopLine />
        {error ? (
          <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
        ) : (
          <Loading what={words.openingTheBeds} />
        )}
      </Page>
    );
  }
  const beds = data.structures.flatMap((s) => s.beds);
  const free = beds.filter((b) => b.plantings.length === 0);
  const drawn = wide ? Math.min(520, (width - 84 - 90) / 2) : Math.min(width, 640) - 36;
  const opening =
    beds.length === 0
      ? words.noBedYetStartWith
      : free.length === 0
        ? words.bedsAllOfThemPlanted(countWord(beds.length).replace(/^./, (c) => c.toUpperCase()))
        : words.bedsFree(
            countWord(beds.length).replace(/^./, (c) => c.toUpperCase()),
            free.map((b) => b.bed.name).join(', '),
          );
  return (
    <Page testID="beds" width={wide ? 1200 : 640}>
      <TopLine />
      <Sentence parts={[{ text: opening, tone: 'plain' }]} />
      <View style={[styles.row, { paddingTop: 10 }]}>
        <Button label={words.thePlanOfTheFarm} onPress={() => router.push('/plan')} testID="open-plan" />
        <Button label={words.water} onPress={() => router.push('/water')} testID="open-water" />
        {wide && beds.length > 0 ? (
          <Choice
            label={words.beds}
            value={as}
            options={[
              { value: 'drawn', label: words.drawn },
              { value: 'table', label: words.asATable },
            ]}
            onChange={setAs}
          />
        ) : null}
      </View>
      {wide && as === 'table' ? <BedsTable view={data} /> : null}
      {(wide && as === 'table' ? [] : data.structures).map(({ structure, beds: list, opening: open }) => (
        <View key={structure.id}>
          <PartTitle
            right={`${KIND[structure.kind]}${
              structure.kind === 'open'
                ? ''
                : `, ${format.metres(structure.lengthM)} × ${format.metres(structure.widthM)}${open > 0 ? words.open3(Math.round(open * 100)) : ''}`
            }`}
          >
            {structure.name}
          </PartTitle>
          <View style={wide ? styles.grid : undefined}>
            {list.map(({ bed, stack, plantings }) => (
              <View key={bed.id} style={[styles.bed, wide && { width: drawn }]} testID="bed">
                <View style={styles.head}>
                  <Pressable
                    role="link"
                    aria-label={words.open2(bed.name)}
                    onPress={() => router.push(`/place/${bed.id}`)}
                    style={styles.name}
                  >
                    <StackGlyph layers={stack} size={34} />
                    <Text kind="strong">{`${bed.name} ›`}</Text>
                  </Pressable>
                  <Button
                    kind="plain"
                    label={words.addPlanting}
                    hint={words.addAPlantingIn(bed.name)}
                    onPress={() => router.push(`/planting/new?bed=${bed.id}`)}
                    testID={`add-${bed.id}`}
                  />
                </View>
                <BedDrawing bed={bed} plantings={plantings} width={drawn} />
                <View style={styles.row}>
                  {plantings.map((p) => (
                    <Button
                      key={p.planting.id}
                      kind="plain"
                      label={words.days2(p.cropName, p.daysSince)}
                      hint={words.changeIn(p.cropName, bed.name)}
                      onPress={() => router.push(`/planting/${p.planting.id}`)}
                    />
                  ))}
                </View>
              </View>
            ))}
          </View>
          <View style={styles.row}>
            <Button
              kind="plain"
              label={words.change(structure.name)}
              onPress={() => router.push(`/structure/${structure.id}`)}
            />
            <Button
              kind="plain"
              label={words.addABedHere}
              hint={words.addABedIn(structure.name)}
              onPress={() => router.push(`/bed/new?structure=${structure.id}`)}
            />
          </View>
        </View>
      ))}
      <View style={[styles.row, { paddingTop: 20 }]}>
        <Button
          label={words.addAStructure}
          onPress={() => router.push('/structure/new')}
          testID="add-structure"
        />
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: 24 },
  bed: { paddingVertical: 8, gap: 4 },
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' },
  name: { flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: 48, paddingRight: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, rowGap: 4 },
});
