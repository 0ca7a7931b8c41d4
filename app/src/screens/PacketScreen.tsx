/** A packet typed in. It answers: what does the packet say, and what does that mean here? */
import { api, call } from '@fogata/contract/client';
import type { SeedRow } from '@fogata/contract/told';
import { cropById, figureById, packetFigures, type Cultivar, type Figures, type SeedLot } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { PacketFields, packetOf, type Typed } from '../components/seeds/PacketFields';
import { figureName, figureText } from '@fogata/words/en/screens/seedWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { FORM_WIDTH } from '../components/ui/Steps';
import { PartTitle, Text } from '../components/ui/Text';
import { retract } from '../data/actions';
import { useFormat } from '../data/format';
import { change, useFarm, useSeeds } from '../data/hooks';
import { newId } from '../data/id';
import { offerUndo } from '../data/undo';
import { useDraft } from '../data/useDraft';
import { packetScreen as words } from '@fogata/words/en/screens/seeds';

/** What the packet says other than the book, in the farm's units. */
function Meaning({ typed, figures }: { typed: Typed; figures: Figures }) {
  const format = useFormat();
  const crop = cropById(typed.crop);
  const lines = Object.entries(figures).flatMap(([id, x]) => {
    const f = figureById(id)!;
    const book = f.of(crop);
    if (book === null || Math.abs(book - x) < 0.005 * Math.abs(book)) return [];
    return [
      words.theBook({
        figureName: figureName(id),
        figureText: figureText(f, x, format),
        figureText2: figureText(f, book, format),
      }),
    ];
  });
  return (
    <View style={{ gap: 4 }} testID="packet-means">
      <PartTitle>{words.whatThatMeansHere}</PartTitle>
      {lines.length === 0 ? <Text>{words.itSaysWhatTheBook}</Text> : null}
      {lines.map((l) => (
        <Text key={l}>{l}</Text>
      ))}
      {typed.days !== null ? (
        <Text kind="small" tone="quiet">
          {words.aPacketCountsItsDays}
        </Text>
      ) : null}
    </View>
  );
}

export function PacketScreen() {
  const { data } = useSeeds();
  const { data: farm } = useFarm();
  if (!data || !farm)
    return (
      <Page testID="packet">
        <TopLine back={words.seed} />
        <Loading what={words.openingTheBox} />
      </Page>
    );
  return <Form rows={data.rows} year={Number(data.today.slice(0, 4))} nowAtMs={farm.clock.nowAtMs} />;
}

function Form({ rows, year, nowAtMs }: { rows: readonly SeedRow[]; year: number; nowAtMs: number }) {
  const [problem, setProblem] = useState<string | null>(null);
  const [start] = useState<Typed>(() => ({
    crop: 'spinach',
    name: '',
    days: null,
    germination: null,
    seedsPerGram: null,
    spacingM: null,
    depthMm: null,
    year,
    holds: 'grams',
    grams: null,
    seeds: null,
  }));
  const [typed, set, clear] = useDraft<Typed>('packet', start);
  const t = typed!;
  const crop = cropById(t.crop);
  const figures = packetFigures(crop, packetOf(t));
  const save = async () => {
    setProblem(null);
    const name = t.name.trim();
    const known = rows.find(
      (r) => r.crop === t.crop && r.name.toLowerCase() === name.toLowerCase(),
    )?.cultivar;
    const cultivar: Cultivar | null =
      Object.keys(figures).length === 0
        ? null
        : {
            id: known?.id ?? newId(),
            crop: t.crop,
            name,
            figures: { ...known?.figures, ...figures },
            liked: known?.liked ?? 'plain',
            note: known?.note ?? '',
          };
    const lot: SeedLot = {
      id: newId(),
      crop: t.crop,
      cultivar: name,
      year: t.year,
      tested: null,
      grams: t.holds === 'grams' ? t.grams : null,
      seeds: t.holds === 'seeds' ? t.seeds : null,
      note: '',
    };
    try {
      const { recordId } = await change(call(api.packet), {
        cultivar,
        lot,
      });
      clear();
      if (recordId) offerUndo(words.aPacket(crop.name, name), () => retract([recordId], nowAtMs));
      if (router.canGoBack()) router.back();
      else router.replace('/seeds');
    } catch (e) {
      setProblem(words.whatYouTypedIsKept((e as Error).message));
    }
  };
  return (
    <Page testID="packet" width={FORM_WIDTH}>
      <TopLine back={words.seed} />
      <Text kind="title" heading={1}>
        {words.whatStandsOnThePacket}
      </Text>
      <View style={{ gap: 16, paddingTop: 8 }}>
        <PacketFields typed={t} set={set} year={year} />
        <Meaning typed={t} figures={figures} />
        {problem ? <Problem>{problem}</Problem> : null}
        <Button
          wide
          kind="main"
          label={words.putItIntoTheBox}
          onPress={() => void save()}
          testID="save-packet"
        />
      </View>
    </Page>
  );
}
