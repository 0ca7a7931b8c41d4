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

const USE = {
  hoops: 'on hoops',
  flat: 'laid on the crop',
  over: 'over frames and tunnels',
  indoors: 'indoors',
} as const;

/** The store on a wide screen: sorted, searched, opened to be changed. */
function CoversTable({ covers }: { covers: KitView['covers'] }) {
  const format = useFormat();
  return (
    <Table
      label="Covers"
      testID="covers-table"
      rows={covers}
      idOf={(c) => c.id}
      nameOf={(c) => `${c.name}, ${c.count - c.inUse} of ${c.count} free`}
      onOpen={(c) => router.push(`/cover/${c.id}`)}
      empty="No cover in store yet."
      columns={[
        {
          id: 'name',
          title: 'Cover',
          value: (c) => c.name,
          wide: 1.6,
          show: (c) => <Text kind="strong">{c.name}</Text>,
        },
        { id: 'material', title: 'Made of', value: (c) => c.materialName, wide: 1.4 },
        {
          id: 'size',
          title: 'Size',
          value: (c) => c.lengthM * c.widthM,
          number: true,
          wide: 1.2,
          show: (c) => <Text kind="label">{`${format.metres(c.lengthM)} × ${format.metres(c.widthM)}`}</Text>,
        },
        { id: 'use', title: 'Lies', value: (c) => USE[c.use], wide: 1.2 },
        {
          id: 'free',
          title: 'Free',
          value: (c) => c.count - c.inUse,
          number: true,
          show: (c) => <Text kind="label">{`${c.count - c.inUse} of ${c.count}`}</Text>,
        },
        {
          id: 'on',
          title: 'Out on',
          value: (c) => c.beds.join(', '),
          wide: 1.4,
          show: (c) => <Text tone="ember">{c.beds.join(', ')}</Text>,
        },
        { id: 'state', title: 'State', value: (c) => c.condition ?? 'good', wide: 0.7 },
        { id: 'kept', title: 'Kept', value: (c) => c.keptAt ?? '' },
      ]}
      end={(c) => (
        <Button
          kind="plain"
          label="Change"
          hint={`Change ${c.name}`}
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
        offerUndo(`${cover.name}: ${cover.count} pieces`, () =>
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
          <Loading what="Opening the store" />
        )
      ) : null}
      {data ? (
        <Sentence
          parts={[
            {
              text:
                pieces === 0
                  ? 'No cover in store yet. Without one the plan can only say how cold it will get.'
                  : `${countWord(pieces).replace(/^./, (c) => c.toUpperCase())} pieces in all, ${out === 0 ? 'none' : countWord(out)} of them out.`,
              tone: 'plain',
            },
          ]}
        />
      ) : null}
      <PartTitle>Covers</PartTitle>
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
                    c.keptAt ? `kept: ${c.keptAt}` : null,
                    c.madeFor ? `for ${c.madeFor}` : null,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </Text>
                {beds.length > 0 ? <Text kind="small" tone="ember">{`on ${beds.join(', ')}`}</Text> : null}
              </View>
              <Text kind="figure">{`${c.count - inUse} of ${c.count}`}</Text>
              <Button
                kind="plain"
                label={open === c.id ? 'Close' : 'Count'}
                hint={`Count ${c.name}`}
                onPress={() => setOpen(open === c.id ? null : c.id)}
              />
            </Row>
            {open === c.id ? (
              <View style={{ gap: 8, paddingVertical: 10 }}>
                <Text kind="label" tone="quiet">
                  Pieces in all
                </Text>
                <Stepper
                  label={`Pieces of ${c.name}`}
                  value={c.count}
                  onChange={(v) => save({ ...cover, count: v }, cover)}
                  step={1}
                  digits={0}
                  unit="pieces"
                  min={0}
                  max={999}
                />
                <Button
                  label="Change it"
                  hint={`Change ${c.name}`}
                  onPress={() => router.push(`/cover/${c.id}`)}
                />
                <Text kind="label" tone="quiet">
                  Minutes to fetch and lay one
                </Text>
                <Stepper
                  label={`Minutes for ${c.name}`}
                  value={c.minutes}
                  onChange={(v) => save({ ...cover, minutes: v }, cover)}
                  step={1}
                  digits={0}
                  unit="min"
                  min={0}
                  max={240}
                />
              </View>
            ) : null}
          </View>
        );
      })}
      <View style={styles.row}>
        <Button label="Add a cover" onPress={() => router.push('/cover/new')} testID="add-cover" />
        <Button label="Cut sheets from rolls" onPress={() => router.push('/cut')} testID="open-cut" />
      </View>
      {data ? <PlacesIndoors places={data.covers.filter(isIndoors)} format={format} /> : null}
      <Gear />
      <PartTitle>Reckon</PartTitle>
      <View style={styles.row}>
        {CALCS.map((c) => (
          <Button key={c.id} label={c.short} hint={c.title} onPress={() => router.push(`/calc/${c.id}`)} />
        ))}
      </View>
      <PartTitle>The farm</PartTitle>
      <View style={styles.row}>
        <Button label="Settings" onPress={() => router.push('/settings')} testID="open-settings" />
        <Button label="The site" onPress={() => router.push('/site')} testID="open-site" />
        <Button label="Tonight’s weather" onPress={() => router.push('/forecast')} testID="open-forecast" />
        <Button
          label="Bring weather or a logger"
          onPress={() => router.push('/import')}
          testID="open-import"
        />
        <Button label="Feeds" onPress={() => router.push('/feeds')} testID="open-feeds" />
        <Button label="Files in and out" onPress={() => router.push('/files')} testID="open-files" />
      </View>
    </Page>
  );
}

const GEAR: { key: keyof FarmGear; label: string }[] = [
  { key: 'hoops', label: 'hoops' },
  { key: 'clips', label: 'clips' },
  { key: 'sandbags', label: 'sandbags' },
  { key: 'pegs', label: 'pegs' },
  { key: 'jugs', label: 'jugs' },
  { key: 'props', label: 'props' },
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
      <PartTitle>What holds and props</PartTitle>
      <View style={styles.row}>
        {GEAR.map((g) => (
          <Button
            key={g.key}
            label={`${gear[g.key]} ${g.label}`}
            hint={`${g.label}: ${gear[g.key]}. Count them`}
            onPress={() => setOpen(open === g.key ? null : g.key)}
          />
        ))}
      </View>
      {open ? (
        <Stepper
          label={`Count of ${open}`}
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
