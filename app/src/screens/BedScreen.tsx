/** A bed. It answers: what does this bed need so that the night comes out right? It opens with its size and its sheet. */
import {
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
import { Amount, Choose, Degrees, Metres } from '../components/ui/Fields';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { BedCrates, cratesSaid } from '../components/plan/BedCrates';
import { WhatFits } from '../components/plan/WhatFits';
import { FORM_WIDTH, Steps } from '../components/ui/Steps';
import { useFormat, type Format } from '../data/format';
import { useBeds } from '../data/hooks';
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

type StepId = 'size' | 'where' | 'soil' | 'crates';

export function BedScreen({ id, structureId }: { id: string; structureId: string | null }) {
  const { data } = useBeds();
  const format = useFormat();
  const [problem, setProblem] = useState<string | null>(null);
  const [step, setStep] = useState<StepId | null>('size');
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
      <Page testID="bed" width={FORM_WIDTH}>
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
    <Page testID="bed" width={FORM_WIDTH}>
      <TopLine back="Beds" />
      <Sentence parts={[{ text: opening(b, owner, format), tone: 'plain' }]} />
      <View style={{ gap: 16, paddingTop: 8 }}>
        <Steps
          steps={[
            {
              id: 'size',
              title: 'Size and rows',
              said: `${b.name}, ${format.metres(b.lengthM)} × ${format.metres(b.widthM)}, ${b.rows} rows`,
              content: (
                <>
                  <NoteField
                    label="Name"
                    value={b.name}
                    onChange={(name) => set({ name })}
                    testID="bed-name"
                  />
                  <Metres
                    label="Length"
                    value={b.lengthM}
                    onChange={(lengthM) => set({ lengthM })}
                    step={0.5}
                    bigStep={5}
                    testID="bed-length"
                  />
                  <Metres
                    label="Width"
                    value={b.widthM}
                    onChange={(widthM) => set({ widthM })}
                    testID="bed-width"
                  />
                  <Amount
                    label="Rows"
                    value={b.rows}
                    onChange={(rows) => set({ rows })}
                    unit="rows"
                    min={1}
                    max={40}
                  />
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
                </>
              ),
            },
            {
              id: 'where',
              title: 'Where it is in there',
              said: ZONE_WORD[zone],
              content: (
                <>
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
                </>
              ),
            },
            {
              id: 'soil',
              title: 'Soil',
              said: `${b.on === 'bench' ? 'in crates or on a bench' : 'in the ground'}, ${b.texture}, ${b.wetness}${b.mulchM > 0 ? ', mulched' : ''}`,
              content: (
                <>
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
                  <Metres
                    label="Straw on it, 0 for none"
                    value={b.mulchM}
                    onChange={(mulchM) => set({ mulchM })}
                    step={0.01}
                    bigStep={0.05}
                    max={0.3}
                  />
                </>
              ),
            },
            ...(b.on === 'bench'
              ? [
                  {
                    id: 'crates' as const,
                    title: 'Crates or trays',
                    said: cratesSaid(b),
                    content: <BedCrates b={b} set={set} />,
                  },
                ]
              : []),
          ]}
          open={step}
          onOpen={setStep}
        />
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
