/** A bed. It answers: what does this bed need so that the night comes out right? It opens with its size and its sheet. */
import {
  fitCover,
  isFit,
  sheetFor,
  USUAL_SIDE_M,
  usualBed,
  ZONE_START_K,
  ZONE_WORD,
  ZONES,
  type Bed,
  type Structure,
} from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { Amount, Choose, Degrees, Fold, Metres } from '../components/ui/Fields';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat, type Format } from '../data/format';
import { useBeds, useKit } from '../data/hooks';
import { newId } from '../data/id';
import { copyBed, nextName, removeThing, saveThing } from '../data/setup';
import { useDraft } from '../data/useDraft';

/** An ordinary bed for this structure, by a name that is free. */
const firstBed = (owner: Structure, taken: string[], id: string): Bed => ({
  ...usualBed(owner, taken.length + 1, id),
  name: taken.length === 0 ? 'Bed 1' : nextName('Bed 1', taken),
});

function opening(b: Bed, owner: Structure, format: Format): string {
  const size = `${b.name} in ${owner.name}: ${format.metres(b.lengthM)} × ${format.metres(b.widthM)}`;
  if (b.hoopHeightM <= 0) return `${size}, no hoops of its own.`;
  const sheet = sheetFor({ ...b, sideM: USUAL_SIDE_M, ends: 'closed' });
  return `${size}. A sheet over its hoops is ${format.metres(sheet.lengthM)} × ${format.metres(sheet.widthM)}.`;
}

/** Which sheets in stock go on it: alone, overlapped, or why not. */
function WhatFits({ bed, owner, format }: { bed: Bed; owner: Structure; format: Format }) {
  const { data } = useKit();
  const covers = data?.covers ?? [];
  if (covers.length === 0) return null;
  return (
    <View testID="what-fits">
      <PartTitle>What fits it, of what there is</PartTitle>
      {covers.map((c, n) => {
        const fit = fitCover(c, owner, bed);
        const said = !isFit(fit)
          ? fit.why
          : fit.pieces > c.count
            ? `takes ${fit.pieces} overlapped, there ${c.count === 1 ? 'is' : 'are'} ${c.count}`
            : fit.pieces === 1
              ? `one covers it, ${Math.round(fit.minutes)} min`
              : `${fit.pieces} overlapped, ${Math.round(fit.minutes)} min`;
        return (
          <Row key={c.id} first={n === 0} style={{ minHeight: 44 }}>
            <Text
              style={{ flex: 1 }}
            >{`${c.name}, ${format.metres(c.lengthM)} × ${format.metres(c.widthM)}`}</Text>
            <Text kind="small" tone={isFit(fit) ? 'pine' : 'quiet'}>
              {isFit(fit) ? `✓ ${said}` : said}
            </Text>
          </Row>
        );
      })}
    </View>
  );
}

export function BedScreen({ id, structureId }: { id: string; structureId: string | null }) {
  const { data } = useBeds();
  const format = useFormat();
  const [problem, setProblem] = useState<string | null>(null);
  const isNew = id === 'new';
  const group = data?.structures.find((s) =>
    isNew ? s.structure.id === structureId : s.beds.some((b) => b.bed.id === id),
  );
  const was = group?.beds.find((b) => b.bed.id === id)?.bed ?? null;
  const [ownId] = useState(newId);
  const first =
    isNew && group
      ? firstBed(
          group.structure,
          group.beds.map((x) => x.bed.name),
          ownId,
        )
      : null;
  const [b, set, clear] = useDraft<Bed>(`bed:${id}:${structureId ?? ''}`, was ?? first);
  if (!b || !group) {
    return (
      <Page testID="bed">
        <TopLine back="Beds" />
        {data ? (
          <Problem>There is no such bed. It may have been removed.</Problem>
        ) : (
          <Loading what="Opening the bed" />
        )}
      </Page>
    );
  }
  const owner = group.structure;
  const leave = () => (router.canGoBack() ? router.back() : router.replace(`/structure/${owner.id}`));
  const tried = async (act: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await act();
      clear();
      leave();
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const zone = b.zone ?? 'centre';
  const others = group.beds.map((x) => x.bed);
  return (
    <Page testID="bed">
      <TopLine back="Beds" />
      <Sentence parts={[{ text: opening(b, owner, format), tone: 'plain' }]} />
      <View style={{ gap: 16, paddingTop: 8 }}>
        <NoteField label="Name" value={b.name} onChange={(name) => set({ name })} testID="bed-name" />
        <Metres
          label="Length"
          value={b.lengthM}
          onChange={(lengthM) => set({ lengthM })}
          step={0.5}
          bigStep={5}
          testID="bed-length"
        />
        <Metres label="Width" value={b.widthM} onChange={(widthM) => set({ widthM })} testID="bed-width" />
        <Amount label="Rows" value={b.rows} onChange={(rows) => set({ rows })} unit="rows" min={1} max={40} />
        {owner.kind === 'house' || owner.kind === 'open' ? (
          <>
            <Metres
              label="Height of its hoops, 0 for none"
              value={b.hoopHeightM}
              onChange={(hoopHeightM) => set({ hoopHeightM })}
              max={2}
            />
            {b.hoopHeightM > 0 ? (
              <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
                <Button
                  kind="plain"
                  label="How the sheet is reckoned ›"
                  onPress={() => router.push(`/calc/sheet?bed=${b.id}`)}
                />
                <Button
                  kind="plain"
                  label="How many hoops ›"
                  onPress={() => router.push(`/calc/hoops?bed=${b.id}`)}
                />
              </View>
            ) : null}
          </>
        ) : null}
        <Choose
          label="Where it is in there"
          value={zone}
          options={ZONES.map((z) => ({ value: z, label: ZONE_WORD[z] }))}
          onChange={(z) => set({ zone: z, zoneOffsetC: null })}
        />
        {zone !== 'centre' || b.zoneOffsetC ? (
          <Degrees
            difference
            label="Against the centre, on a cold night"
            value={b.zoneOffsetC ?? ZONE_START_K[zone]}
            onChange={(zoneOffsetC) => set({ zoneOffsetC })}
            step={0.1}
            bigStep={0.5}
            min={-10}
            max={10}
            signed
            note={
              b.zoneOffsetC == null
                ? 'A starting value, until a thermometer has hung there.'
                : 'Your own figure.'
            }
          />
        ) : null}
        <Choose
          label="It is"
          value={b.on}
          options={[
            { value: 'ground', label: 'in the ground' },
            { value: 'bench', label: 'on a bench or in crates' },
          ]}
          onChange={(on) => set({ on })}
        />
        <Choose
          label="Soil"
          value={b.texture}
          options={[
            { value: 'sand', label: 'sand' },
            { value: 'loam', label: 'loam' },
            { value: 'clay', label: 'clay' },
            { value: 'compost', label: 'compost' },
          ]}
          onChange={(texture) => set({ texture })}
        />
        <Choose
          label="How wet it is kept"
          value={b.wetness}
          options={[
            { value: 'dry', label: 'dry' },
            { value: 'moist', label: 'moist' },
            { value: 'wet', label: 'wet' },
          ]}
          onChange={(wetness) => set({ wetness })}
        />
        <Fold title="Mulch and crates" open={b.mulchM > 0 || Boolean(b.crates)}>
          <Metres
            label="Straw on it, 0 for none"
            value={b.mulchM}
            onChange={(mulchM) => set({ mulchM })}
            step={0.01}
            bigStep={0.05}
            max={0.3}
          />
          {b.on === 'bench' ? (
            <>
              <Amount
                label="Crates or trays on it"
                value={b.crates?.count ?? 0}
                onChange={(count) =>
                  set({
                    crates:
                      count > 0 ? { lengthM: 0.6, widthM: 0.4, plantsEach: 8, ...b.crates, count } : null,
                  })
                }
                unit="crates"
                bigStep={5}
                min={0}
                max={9999}
              />
              {b.crates ? (
                <>
                  <Metres
                    label="Length of a crate"
                    value={b.crates.lengthM}
                    onChange={(lengthM) => set({ crates: { ...b.crates!, lengthM } })}
                    step={0.05}
                    bigStep={0.2}
                    max={5}
                  />
                  <Metres
                    label="Width of a crate"
                    value={b.crates.widthM}
                    onChange={(widthM) => set({ crates: { ...b.crates!, widthM } })}
                    step={0.05}
                    bigStep={0.2}
                    max={5}
                  />
                  <Amount
                    label="Plants in each"
                    value={b.crates.plantsEach}
                    onChange={(plantsEach) => set({ crates: { ...b.crates!, plantsEach } })}
                    unit="plants"
                    min={1}
                    max={2000}
                  />
                  <Amount
                    label="Kilos that one weighs, 0 where you do not know"
                    value={b.crates.kgEach ?? 0}
                    onChange={(kg) => {
                      const { kgEach: _k, ...crates } = b.crates!;
                      set({ crates: kg > 0 ? { ...crates, kgEach: kg } : crates });
                    }}
                    unit="kg"
                    bigStep={5}
                    min={0}
                    max={200}
                  />
                  <Text
                    kind="small"
                    tone="quiet"
                  >{`${b.crates.count * b.crates.plantsEach} plants in all.`}</Text>
                </>
              ) : null}
              <Button kind="plain" label="Soil to fill them ›" onPress={() => router.push('/calc/mix')} />
              <Button
                kind="plain"
                label="How many crates fit ›"
                onPress={() => router.push(`/calc/crates?bed=${b.id}`)}
              />
            </>
          ) : null}
        </Fold>
        <WhatFits bed={b} owner={owner} format={format} />
        {problem ? <Problem>{problem}</Problem> : null}
        <Button
          wide
          kind="main"
          label={isNew ? `Add ${b.name || 'it'}` : 'Save'}
          onPress={() => void tried(() => saveThing('bed', b, was))}
          testID="save-bed"
        />
        {isNew ? (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {[2, 3, 4].map((n) => (
              <Button
                key={n}
                label={`Add ${n} alike`}
                testID={`save-beds-${n}`}
                onPress={() => void tried(() => copyBed(b, others, n - 1, false))}
              />
            ))}
          </View>
        ) : (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button label="Copy it" onPress={() => void tried(() => copyBed(b, others))} testID="copy-bed" />
            <Button kind="plain" label="Remove it" onPress={() => void tried(() => removeThing('bed', b))} />
          </View>
        )}
      </View>
    </Page>
  );
}
