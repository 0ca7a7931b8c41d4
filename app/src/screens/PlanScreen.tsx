/** The plan of the farm. It answers: what lies where, and where is it coldest or free? It opens with tonight in one sentence. */
import { api, call } from '@fogata/contract/client';
import { atLocal, layoutOf, localDate, type Placed, type Structure } from '@fogata/core';
import { router, useLocalSearchParams } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { Linking, Platform, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button, Choice } from '../components/ui/Button';
import { DateStepper } from '../components/ui/DateStepper';
import { FarmPlan, type BedMark } from '../components/plan/FarmPlan';
import { Amount, Measured } from '../components/ui/Fields';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { change, useBeds, useFarm } from '../data/hooks';
import { useFormat, type Format } from '../data/format';
import { offerUndo } from '../data/undo';
import type { BedsView } from '@fogata/contract/told';
import { planScreen as words } from '@fogata/words/en/screens/plan';

type Colour = 'night' | 'crop';

function marksOf(view: BedsView, colour: Colour, format: Format): Map<string, BedMark> {
  const out = new Map<string, BedMark>();
  for (const { beds } of view.structures) {
    for (const { bed, plantings } of beds) {
      const named = plantings.map((p) => p.cropName).join(', ');
      const closest = plantings
        .filter((p) => p.leafC)
        .sort((a, b) => a.leafC!.mid - a.harmC - (b.leafC!.mid - b.harmC))[0];
      if (plantings.length === 0) out.set(bed.id, { state: 'free', word: words.free });
      else if (colour === 'crop' || !closest) out.set(bed.id, { state: 'planted', word: named });
      else {
        const margin = closest.leafC!.mid - closest.harmC;
        out.set(bed.id, {
          state: margin < 0 ? 'harmed' : margin < 1.5 ? 'near' : 'safe',
          word: format.diff(margin),
        });
      }
    }
  }
  return out;
}

function sentenceFor(marks: ReadonlyMap<string, BedMark>, colour: Colour): string {
  const count = (state: BedMark['state']) => [...marks.values()].filter((m) => m.state === state).length;
  const beds = (n: number) => words.bedBeds(n);
  if (marks.size === 0) return words.nothingLiesHereYetAdd;
  if (colour === 'crop') return words.plantedFree(beds(marks.size - count('free')), beds(count('free')));
  if (count('harmed') + count('near') + count('safe') === 0)
    return words.plantedNothingIsKnownOf(beds(marks.size - count('free')));
  return words.tonightAsPlannedHarmedNear({
    beds: beds(count('harmed')),
    count: count('near'),
    count2: count('safe'),
  });
}

const KEY: { state: BedMark['state']; word: string; colour: Colour }[] = [
  { state: 'harmed', word: words.harmedStriped, colour: 'night' },
  { state: 'near', word: words.nearHarmPaleBlueEdge, colour: 'night' },
  { state: 'safe', word: words.safeGreenEdge, colour: 'night' },
  { state: 'planted', word: words.plantedGreenEdge, colour: 'crop' },
  { state: 'free', word: words.freeBrokenEdge, colour: 'crop' },
];

export function PlanScreen() {
  const params = useLocalSearchParams<{ structure?: string }>();
  const { data: farmView } = useFarm();
  const format = useFormat();
  const wide = useWide();
  const { width, height } = useWindowDimensions();
  const today = farmView ? localDate(farmView.clock.nowAtMs, farmView.farm.timeZone) : null;
  const [date, setDate] = useState<string | null>(null);
  const [colour, setColour] = useState<Colour>('night');
  const other = date !== null && date !== today ? date : undefined;
  const { data, error } = useBeds(other);
  const [selected, setSelected] = useState<string | null>(params.structure ?? null);
  const [moving, setMoving] = useState(params.structure !== undefined);
  const [problem, setProblem] = useState<string | null>(null);
  const structures = useMemo(() => data?.structures.map((s) => s.structure) ?? [], [data]);
  const beds = useMemo(() => data?.structures.flatMap((s) => s.beds.map((b) => b.bed)) ?? [], [data]);
  const layout = useMemo(() => layoutOf(structures), [structures]);
  const shade = other ? 'crop' : colour;
  const marks = useMemo(
    () => (data ? marksOf(data, shade, format) : new Map<string, BedMark>()),
    [data, shade, format],
  );
  const put = useCallback(
    (id: string, at: Placed) => {
      const s = structures.find((x) => x.id === id);
      const was = layout.get(id);
      if (!s || !was) return;
      setProblem(null);
      // the others stay where they are drawn now
      const place = (x: Structure, spot: Placed) =>
        change(call(api.putStructure, { id: x.id }), { ...x, at: spot });
      place(s, at)
        .then(() => offerUndo(words.moved(s.name), async () => void (await place(s, was))))
        .catch((e: Error) => setProblem(e.message));
    },
    [structures, layout],
  );
  const chosen = structures.find((s) => s.id === selected) ?? null;
  const at = chosen ? layout.get(chosen.id)! : null;
  const drawW = wide ? Math.min(900, width - 84 - 380) : Math.min(width, 640) - 20;
  const drawH = wide ? Math.max(420, height - 150) : Math.min(520, height * 0.56);
  if (!data || !farmView)
    return (
      <Page testID="plan">
        <TopLine back={words.beds} />
        {error ? <Problem>{(error as Error).message}</Problem> : <Loading what={words.drawingThePlan} />}
      </Page>
    );
  const { farm } = farmView;
  const day = date ?? today!;
  const drawing = (
    <FarmPlan
      structures={structures}
      beds={beds}
      marks={marks}
      width={drawW}
      height={drawH}
      site={farm}
      sunAtMs={atLocal(day, 12, 0, farm.timeZone)}
      windFromDeg={farm.windFromDeg}
      selected={selected}
      onSelect={setSelected}
      {...(moving ? { onMove: put } : {})}
      metres={format.metres}
    />
  );
  const controls = (
    <View style={{ gap: 10 }}>
      <Choice
        label={words.bedsBy}
        value={shade}
        options={[
          { value: 'night', label: words.tonightsMargin },
          { value: 'crop', label: words.whatGrows },
        ]}
        onChange={(c) => {
          setColour(c);
          if (c === 'night') setDate(null);
        }}
      />
      <Text kind="small" tone="quiet">
        {words.dottedTheSunsWayOn(
          KEY.filter((k) => k.colour === shade)
            .map((k) => k.word)
            .join(' · '),
        )}
      </Text>
      <DateStepper label={words.day} value={day} onChange={setDate} />
      {other ? <Button kind="plain" label={words.backToToday} onPress={() => setDate(null)} /> : null}
      {problem ? <Problem>{problem}</Problem> : null}
      {structures.length > 0 && structures.length <= 40 ? (
        <Choice
          label={words.structure}
          value={selected}
          options={structures.map((s) => ({ value: s.id, label: s.name }))}
          onChange={setSelected}
        />
      ) : null}
      {chosen && at ? (
        <View style={{ gap: 10 }} testID="plan-chosen">
          <PartTitle>{chosen.name}</PartTitle>
          <View style={styles.row}>
            <Button label={words.changeIt} onPress={() => router.push(`/structure/${chosen.id}`)} />
            <Button
              label={words.leaveItWhereItIs(moving)}
              onPress={() => setMoving(!moving)}
              testID="plan-move"
            />
          </View>
          {moving ? (
            <>
              <Text kind="small" tone="quiet">
                {words.dragItOnThePlan}
              </Text>
              <Measured
                what="height"
                label={words.east}
                value={at.xM}
                onChange={(xM) => put(chosen.id, { ...at, xM })}
                steps={{ si: [0.5, 5], feet: [1, 10] }}
                digits={1}
                min={-5000}
                max={5000}
                signed
                testID="plan-east"
              />
              <Measured
                what="height"
                label={words.north}
                value={at.yM}
                onChange={(yM) => put(chosen.id, { ...at, yM })}
                steps={{ si: [0.5, 5], feet: [1, 10] }}
                digits={1}
                min={-5000}
                max={5000}
                signed
              />
              <Amount
                label={words.itsLengthTurnedFromNorth}
                value={at.turnDeg}
                onChange={(turnDeg) => put(chosen.id, { ...at, turnDeg: (turnDeg + 360) % 360 })}
                unit="°"
                step={1}
                bigStep={15}
                min={-359}
                max={719}
              />
            </>
          ) : null}
        </View>
      ) : (
        <Text tone="quiet">{words.touchAStructureOnThe(structures.length)}</Text>
      )}
      <View style={styles.row}>
        <Button label={words.addAStructure} onPress={() => router.push('/structure/new')} />
        {Platform.OS === 'web' ? (
          <Button
            kind="plain"
            label={words.asADrawingToPrint}
            onPress={() => void Linking.openURL('/api/farm/plan.svg')}
          />
        ) : null}
      </View>
    </View>
  );
  const opening = <Sentence parts={[{ text: sentenceFor(marks, shade), tone: 'plain' }]} />;
  if (!wide)
    return (
      <Page testID="plan">
        <TopLine back={words.beds} />
        {opening}
        <View style={{ marginHorizontal: -8 }}>{drawing}</View>
        {controls}
      </Page>
    );
  return (
    <View style={styles.wide} testID="plan">
      <View style={{ flex: 1, padding: 18 }}>
        <TopLine back={words.beds} />
        {drawing}
      </View>
      <ScrollView
        style={styles.side}
        contentContainerStyle={{ padding: 18, gap: 10 }}
        tabIndex={0}
        aria-label={words.whatIsOnThePlan}
      >
        {opening}
        {controls}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  wide: { flex: 1, flexDirection: 'row', minHeight: 0 },
  side: { width: 380, flexGrow: 0 },
});
