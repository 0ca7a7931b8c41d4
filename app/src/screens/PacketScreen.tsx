/** A packet typed in. It answers: what does the packet say, and what does that mean here? */
import { api, call } from '@fogata/contract/client';
import type { SeedRow } from '@fogata/contract';
import {
  CROPS,
  cropById,
  figureById,
  packetFigures,
  type Cultivar,
  type Figures,
  type Packet,
  type SeedLot,
} from '@fogata/core';
import { packetDays } from '@fogata/core/season';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { figureName, figureText } from '../components/seeds/seedWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { CropChoice } from '../components/ui/CropChoice';
import { NoteField } from '../components/ui/Field';
import { Amount, Choose, Metres } from '../components/ui/Fields';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { PartTitle, Text } from '../components/ui/Text';
import { retract } from '../data/actions';
import { useFormat } from '../data/format';
import { change, useFarm, useSeeds } from '../data/hooks';
import { newId } from '../data/id';
import { offerUndo } from '../data/undo';
import { useDraft } from '../data/useDraft';

interface Typed {
  crop: string;
  name: string;
  days: number | null;
  germination: number | null;
  seedsPerGram: number | null;
  spacingM: number | null;
  depthMm: number | null;
  year: number;
  holds: 'grams' | 'seeds';
  grams: number | null;
  seeds: number | null;
}

const packetOf = (t: Typed): Packet => ({
  daysToHarvest: t.days,
  germination: t.germination === null ? null : t.germination / 100,
  seedsPerGram: t.seedsPerGram,
  spacingM: t.spacingM,
  depthMm: t.depthMm,
});

/** What the packet says other than the book, in the farm's units. */
function Meaning({ typed, figures }: { typed: Typed; figures: Figures }) {
  const format = useFormat();
  const crop = cropById(typed.crop);
  const lines = Object.entries(figures).flatMap(([id, x]) => {
    const f = figureById(id)!;
    const book = f.of(crop);
    if (book === null || Math.abs(book - x) < 0.005 * Math.abs(book)) return [];
    return [`${figureName(id)}: ${figureText(f, x, format)}, the book ${figureText(f, book, format)}.`];
  });
  return (
    <View style={{ gap: 4 }} testID="packet-means">
      <PartTitle>What that means here</PartTitle>
      {lines.length === 0 ? <Text>It says what the book says.</Text> : null}
      {lines.map((l) => (
        <Text key={l}>{l}</Text>
      ))}
      {typed.days !== null ? (
        <Text kind="small" tone="quiet">
          A packet counts its days in mild spring weather. Your own place and week decide: Season reckons them
          from the warmth and light that there are.
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
        <TopLine back="Seed" />
        <Loading what="Opening the box" />
      </Page>
    );
  return <Form rows={data.rows} year={Number(data.today.slice(0, 4))} nowMs={farm.clock.nowMs} />;
}

function Form({ rows, year, nowMs }: { rows: readonly SeedRow[]; year: number; nowMs: number }) {
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
      if (recordId) offerUndo(`${crop.name} ${name}: a packet`, () => retract([recordId], nowMs));
      if (router.canGoBack()) router.back();
      else router.replace('/seeds');
    } catch (e) {
      setProblem(`${(e as Error).message} What you typed is kept here.`);
    }
  };
  return (
    <Page testID="packet">
      <TopLine back="Seed" />
      <Text kind="title" heading={1}>
        What stands on the packet?
      </Text>
      <View style={{ gap: 16, paddingTop: 8 }}>
        <CropChoice
          crops={CROPS}
          value={t.crop}
          onChange={(id) => set({ crop: id, days: null, seedsPerGram: null, spacingM: null, depthMm: null })}
        />
        <NoteField
          label="Cultivar"
          value={t.name}
          onChange={(name) => set({ name })}
          placeholder="Brasa Verde"
          testID="packet-name"
        />
        <Text kind="small" tone="quiet">
          Only what the packet says: the rest stays as the book has it.
        </Text>
        <Amount
          label="Days to harvest"
          value={t.days}
          onChange={(days) => set({ days })}
          unit="days"
          step={1}
          bigStep={10}
          min={10}
          max={400}
          start={Math.round(packetDays(crop))}
          testID="packet-days"
        />
        {crop.sowing ? (
          <>
            <Amount
              label="Of a hundred seeds, so many come up"
              value={t.germination}
              onChange={(germination) => set({ germination })}
              unit="of 100"
              step={1}
              bigStep={10}
              min={1}
              max={100}
              start={Math.round(100 * crop.sowing.germination)}
              testID="packet-germination"
            />
            <Amount
              label="Seeds in a gram"
              value={t.seedsPerGram}
              onChange={(seedsPerGram) => set({ seedsPerGram })}
              unit="a gram"
              step={10}
              bigStep={100}
              min={1}
              max={50_000}
              start={Math.round(1000 / crop.sowing.seedMg)}
            />
          </>
        ) : null}
        <Metres
          label="From plant to plant"
          value={t.spacingM ?? crop.spacingM}
          onChange={(spacingM) => set({ spacingM })}
          step={0.01}
          bigStep={0.1}
          min={0.01}
          max={3}
        />
        <PartTitle>What is in it</PartTitle>
        <Amount
          label="Of the year"
          value={t.year}
          onChange={(y) => set({ year: y })}
          unit=""
          step={1}
          bigStep={5}
          min={1980}
          max={year + 1}
          testID="packet-year"
        />
        <Choose
          label="It holds so much, by"
          value={t.holds}
          options={[
            { value: 'grams', label: 'weight' },
            { value: 'seeds', label: 'number of seeds' },
          ]}
          onChange={(holds) => set({ holds })}
        />
        {t.holds === 'grams' ? (
          <Amount
            label="Weight"
            value={t.grams}
            onChange={(grams) => set({ grams })}
            unit="g"
            step={1}
            bigStep={25}
            digits={1}
            min={0}
            max={100_000}
            start={10}
            testID="packet-grams"
          />
        ) : (
          <Amount
            label="Seeds"
            value={t.seeds}
            onChange={(seeds) => set({ seeds })}
            unit="seeds"
            step={50}
            bigStep={1000}
            min={0}
            max={10_000_000}
            start={500}
          />
        )}
        <Meaning typed={t} figures={figures} />
        {problem ? <Problem>{problem}</Problem> : null}
        <Button
          wide
          kind="main"
          label="Put it into the box"
          onPress={() => void save()}
          testID="save-packet"
        />
      </View>
    </Page>
  );
}
