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
import { bedScreen as words } from '@fogata/words/en/screens/plan';

/** An ordinary bed for this structure, by a name that is free. */
const firstBed = (owner: Structure, taken: string[], id: string): Bed => ({
  ...usualBed(owner, taken.length + 1, id),
  name: taken.length === 0 ? words.bed1 : nextName(words.bed1, taken),
});

function opening(b: Bed, owner: Structure, format: Format): string {
  const size = words.inWord({
    name: b.name,
    name2: owner.name,
    lengthM: format.metres(b.lengthM),
    widthM: format.metres(b.widthM),
  });
  if (b.hoopHeightM <= 0) return words.noHoopsOfItsOwn(size);
  const sheet = sheetFor({ ...b, sideM: USUAL_SIDE_M, ends: 'closed' });
  return words.aSheetOverItsHoops({
    size,
    lengthM: format.metres(sheet.lengthM),
    widthM: format.metres(sheet.widthM),
  });
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
        <TopLine back={words.beds} />
        {data ? <Problem>{words.thereIsNoSuchBed}</Problem> : <Loading what={words.openingTheBed} />}
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
      <TopLine back={words.beds} />
      <Sentence parts={[{ text: opening(b, owner, format), tone: 'plain' }]} />
      <View style={{ gap: 16, paddingTop: 8 }}>
        <Steps
          steps={[
            {
              id: 'size',
              title: words.sizeAndRows,
              said: words.rows({
                name: b.name,
                lengthM: format.metres(b.lengthM),
                widthM: format.metres(b.widthM),
                rows: b.rows,
              }),
              content: (
                <>
                  <NoteField
                    label={words.name}
                    value={b.name}
                    onChange={(name) => set({ name })}
                    testID="bed-name"
                  />
                  <Metres
                    label={words.length}
                    value={b.lengthM}
                    onChange={(lengthM) => set({ lengthM })}
                    step={0.5}
                    bigStep={5}
                    testID="bed-length"
                  />
                  <Metres
                    label={words.width}
                    value={b.widthM}
                    onChange={(widthM) => set({ widthM })}
                    testID="bed-width"
                  />
                  <Amount
                    label={words.rows2}
                    value={b.rows}
                    onChange={(rows) => set({ rows })}
                    unit={words.rows3}
                    min={1}
                    max={40}
                  />
                  {owner.kind === 'house' || owner.kind === 'open' ? (
                    <>
                      <Metres
                        label={words.heightOfItsHoops0}
                        value={b.hoopHeightM}
                        onChange={(hoopHeightM) => set({ hoopHeightM })}
                        max={2}
                      />
                      {b.hoopHeightM > 0 ? (
                        <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
                          <Button
                            kind="plain"
                            label={words.howTheSheetIsReckoned}
                            onPress={() => router.push(`/calc/sheet?bed=${b.id}`)}
                          />
                          <Button
                            kind="plain"
                            label={words.howManyHoops}
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
              title: words.whereItIsInThere,
              said: ZONE_WORD[zone],
              content: (
                <>
                  <Choose
                    label={words.whereItIsInThere}
                    value={zone}
                    options={ZONES.map((z) => ({ value: z, label: ZONE_WORD[z] }))}
                    onChange={(z) => set({ zone: z, zoneOffsetC: null })}
                  />
                  {zone !== 'centre' || b.zoneOffsetC ? (
                    <Degrees
                      difference
                      label={words.againstTheCentreOnA}
                      value={b.zoneOffsetC ?? ZONE_START_K[zone]}
                      onChange={(zoneOffsetC) => set({ zoneOffsetC })}
                      step={0.1}
                      bigStep={0.5}
                      min={-10}
                      max={10}
                      signed
                      note={words.aStartingValueUntilA(b.zoneOffsetC == null)}
                    />
                  ) : null}
                </>
              ),
            },
            {
              id: 'soil',
              title: words.soil,
              said: words.inCratesOrOnA({
                onWord: b.on,
                texture: b.texture,
                wetness: b.wetness,
                mulchM: b.mulchM,
              }),
              content: (
                <>
                  <Choose
                    label={words.itIs}
                    value={b.on}
                    options={[
                      { value: 'ground', label: words.inTheGround },
                      { value: 'bench', label: words.onABenchOrIn },
                    ]}
                    onChange={(on) => set({ on })}
                  />
                  <Choose
                    label={words.soil}
                    value={b.texture}
                    options={[
                      { value: 'sand', label: words.sand },
                      { value: 'loam', label: words.loam },
                      { value: 'clay', label: words.clay },
                      { value: 'compost', label: words.compost },
                    ]}
                    onChange={(texture) => set({ texture })}
                  />
                  <Choose
                    label={words.howWetItIsKept}
                    value={b.wetness}
                    options={[
                      { value: 'dry', label: words.dry },
                      { value: 'moist', label: words.moist },
                      { value: 'wet', label: words.wet },
                    ]}
                    onChange={(wetness) => set({ wetness })}
                  />
                  <Metres
                    label={words.strawOnIt0For}
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
                    title: words.cratesOrTrays,
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
          label={words.addSave(isNew, b.name || 'it')}
          onPress={() => void tried(() => saveThing('bed', b, was))}
          testID="save-bed"
        />
        {isNew ? (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {[2, 3, 4].map((n) => (
              <Button
                key={n}
                label={words.addAlike(n)}
                testID={`save-beds-${n}`}
                onPress={() => void tried(() => copyBed(b, others, n - 1, false))}
              />
            ))}
          </View>
        ) : (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button
              label={words.copyIt}
              onPress={() => void tried(() => copyBed(b, others))}
              testID="copy-bed"
            />
            <Button
              kind="plain"
              label={words.removeIt}
              onPress={() => void tried(() => removeThing('bed', b))}
            />
          </View>
        )}
      </View>
    </Page>
  );
}
