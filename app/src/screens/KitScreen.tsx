/** Kit. It answers: what covers have I, and where are they? */
import { api, call } from '@fogata/contract/client';
import type { Gear as FarmGear } from '@fogata/contract';
import type { KitView } from '@fogata/contract/told';
import { countWord, isIndoors, type Cover } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { PlacesIndoors } from '../components/plan/Indoors';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { Stepper } from '../components/ui/Stepper';
import { Table } from '../components/ui/Table';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { change, patchFarm, refresh, useFarm, useKit } from '../data/hooks';
import { offerUndo } from '../data/undo';
import { CALCS } from './CalcScreen';
import { kitScreen as words } from '@fogata/words/en/screens/covers';

const USE = {
  hoops: words.onHoops,
  flat: words.laidOnTheCrop,
  over: words.overFramesAndTunnels,
  indoors: words.indoors,
} as const;

/** The store on a wide screen: sorted, searched, opened to be changed. */
function CoversTable({ covers }: { covers: KitView['covers'] }) {
  const format = useFormat();
  return (
    <Table
      label={words.covers}
      testID="covers-table"
      rows={covers}
      idOf={(c) => c.id}
      nameOf={(c) => words.ofFree({ name: c.name, count: c.count - c.inUse, count2: c.count })}
      onOpen={(c) => router.push(`/cover/${c.id}`)}
      empty={words.noCoverInStoreYet}
      columns={[
        {
          id: 'name',
          title: words.cover,
          value: (c) => c.name,
          wide: 1.6,
          show: (c) => <Text kind="strong">{c.name}</Text>,
        },
        { id: 'material', title: words.madeOf, value: (c) => c.materialName, wide: 1.4 },
        {
          id: 'size',
          title: words.size,
          value: (c) => c.lengthM * c.widthM,
          number: true,
          wide: 1.2,
          show: (c) => <Text kind="label">{`${format.metres(c.lengthM)} × ${format.metres(c.widthM)}`}</Text>,
        },
        { id: 'use', title: words.lies, value: (c) => USE[c.use], wide: 1.2 },
        {
          id: 'free',
          title: words.free,
          value: (c) => c.count - c.inUse,
          number: true,
          show: (c) => <Text kind="label">{words.ofWord(c.count - c.inUse, c.count)}</Text>,
        },
        {
          id: 'on',
          title: words.outOn,
          value: (c) => c.beds.join(', '),
          wide: 1.4,
          show: (c) => <Text tone="ember">{c.beds.join(', ')}</Text>,
        },
        { id: 'state', title: words.state, value: (c) => c.condition ?? 'good', wide: 0.7 },
        { id: 'kept', title: words.kept, value: (c) => c.keptAt ?? '' },
      ]}
      end={(c) => (
        <Button
          kind="plain"
          label={words.change}
          hint={words.change2(c.name)}
          onPress={() => router.push(`/cover/${c.id}`)}
        />
      )}
    />
  );
}

export function KitScreen() {
  const { data, error } = useKit();
  const format = useFormat();
  const wide = useWide();
  const [open, setOpen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const save = (cover: Cover, was: Cover) => {
    setProblem(null);
    change(call(api.putCover, { id: cover.id }), cover)
      .then(() =>
        offerUndo(words.pieces(cover.name, cover.count), () =>
          change(call(api.putCover, { id: was.id }), was),
        ),
      )
      .catch((e: Error) => setProblem(e.message));
  };
  const sheets = (data?.covers ?? []).filter((c) => !isIndoors(c));
  const pieces = sheets.reduce((s, c) => s + c.count, 0);
  const out = sheets.reduce((s, c) => s + c.inUse, 0);
  return (
    <Page testID="kit" width={wide ? 1200 : 640}>
      <TopLine />
      {!data ? (
        error ? (
          <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
        ) : (
          <Loading what={words.openingTheStore} />
        )
      ) : null}
      {data ? (
        <Sentence
          parts={[
            {
              text:
                pieces === 0
                  ? words.noCoverInStoreYet2
                  : words.piecesInAllOfThem(
                      countWord(pieces).replace(/^./, (c) => c.toUpperCase()),
                      out === 0 ? 'none' : countWord(out),
                    ),
              tone: 'plain',
            },
          ]}
        />
      ) : null}
      <PartTitle>{words.covers}</PartTitle>
      {problem ? <Problem>{problem}</Problem> : null}
      {wide && sheets.length > 0 ? <CoversTable covers={sheets} /> : null}
      {(wide ? [] : sheets).map((c, n) => {
        const { inUse, beds, materialName, ...cover } = c;
        return (
          <View key={c.id}>
            <Row first={n === 0}>
              <View style={{ flex: 1 }}>
                <Text kind="strong">{c.name}</Text>
                <Text kind="small" tone="quiet">
                  {[
                    `${materialName}, ${format.metres(c.lengthM)} × ${format.metres(c.widthM)}, ${USE[c.use]}`,
                    c.condition && c.condition !== 'good' ? c.condition : null,
                    c.keptAt ? words.kept2(c.keptAt) : null,
                    c.madeFor ? words.forWord(c.madeFor) : null,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </Text>
                {beds.length > 0 ? (
                  <Text kind="small" tone="ember">
                    {words.onWord(beds.join(', '))}
                  </Text>
                ) : null}
              </View>
              <Text kind="figure">{words.ofWord(c.count - inUse, c.count)}</Text>
              <Button
                kind="plain"
                label={words.closeCount(open, c.id)}
                hint={words.count(c.name)}
                onPress={() => setOpen(open === c.id ? null : c.id)}
              />
            </Row>
            {open === c.id ? (
              <View style={{ gap: 8, paddingVertical: 10 }}>
                <Text kind="label" tone="quiet">
                  {words.piecesInAll}
                </Text>
                <Stepper
                  label={words.piecesOf(c.name)}
                  value={c.count}
                  onChange={(v) => save({ ...cover, count: v }, cover)}
                  step={1}
                  digits={0}
                  unit={words.pieces2}
                  min={0}
                  max={999}
                />
                <Button
                  label={words.changeIt}
                  hint={words.change2(c.name)}
                  onPress={() => router.push(`/cover/${c.id}`)}
                />
                <Text kind="label" tone="quiet">
                  {words.minutesToFetchAndLay}
                </Text>
                <Stepper
                  label={words.minutesFor(c.name)}
                  value={c.minutes}
                  onChange={(v) => save({ ...cover, minutes: v }, cover)}
                  step={1}
                  digits={0}
                  unit={words.min}
                  min={0}
                  max={240}
                />
              </View>
            ) : null}
          </View>
        );
      })}
      <View style={styles.row}>
        <Button label={words.addACover} onPress={() => router.push('/cover/new')} testID="add-cover" />
        <Button label={words.cutSheetsFromRolls} onPress={() => router.push('/cut')} testID="open-cut" />
      </View>
      {data ? <PlacesIndoors places={data.covers.filter(isIndoors)} format={format} /> : null}
      <Gear />
      <PartTitle>{words.reckon}</PartTitle>
      <View style={styles.row}>
        {CALCS.map((c) => (
          <Button key={c.id} label={c.short} hint={c.title} onPress={() => router.push(`/calc/${c.id}`)} />
        ))}
      </View>
      <PartTitle>{words.theFarm}</PartTitle>
      <View style={styles.row}>
        <Button label={words.settings} onPress={() => router.push('/settings')} testID="open-settings" />
        <Button label={words.theSite} onPress={() => router.push('/site')} testID="open-site" />
        <Button
          label={words.tonightsWeather}
          onPress={() => router.push('/forecast')}
          testID="open-forecast"
        />
        <Button
          label={words.bringWeatherOrALogger}
          onPress={() => router.push('/import')}
          testID="open-import"
        />
        <Button label={words.feeds} onPress={() => router.push('/feeds')} testID="open-feeds" />
        <Button label={words.filesInAndOut} onPress={() => router.push('/files')} testID="open-files" />
      </View>
    </Page>
  );
}

const GEAR: { key: keyof FarmGear; label: string }[] = [
  { key: 'hoops', label: words.hoops },
  { key: 'clips', label: words.clips },
  { key: 'sandbags', label: words.sandbags },
  { key: 'pegs', label: words.pegs },
  { key: 'jugs', label: words.jugs },
  { key: 'props', label: words.props },
];

/** What holds and props, counted. */
function Gear() {
  const { data } = useFarm();
  const [open, setOpen] = useState<keyof FarmGear | null>(null);
  const gear = data?.farm.gear;
  if (!gear) return null;
  const save = (key: keyof FarmGear, count: number) =>
    void patchFarm({ gear: { ...gear, [key]: count } }).then(() =>
      offerUndo(`${count} ${key}`, async () => void (await patchFarm({ gear }))),
    );
  return (
    <>
      <PartTitle>{words.whatHoldsAndProps}</PartTitle>
      <View style={styles.row}>
        {GEAR.map((g) => (
          <Button
            key={g.key}
            label={`${gear[g.key]} ${g.label}`}
            hint={words.countThem(g.label, gear[g.key])}
            onPress={() => setOpen(open === g.key ? null : g.key)}
          />
        ))}
      </View>
      {open ? (
        <Stepper
          label={words.countOf(open)}
          value={gear[open]}
          onChange={(v) => save(open, v)}
          step={1}
          bigStep={10}
          digits={0}
          unit={open}
          min={0}
          max={99999}
        />
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 8, paddingBottom: 4 },
});
