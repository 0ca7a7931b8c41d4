/** A structure. It answers: how well does this hold heat, and how sure am I of that? It opens with its size and how snug it is. */
import { FORM_INFO, formOf, FORMS, layoutOf, ventAreaOf, type Form, type Structure } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button, Choice } from '../components/ui/Button';
import { NoteField } from '../components/ui/Field';
import { Choose, Metres } from '../components/ui/Fields';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { CoverFields, coverSaid, extrasSaid, opensSaid, SNUG_WORD } from '../components/plan/CoverFields';
import { StructureExtras } from '../components/plan/StructureExtras';
import { OpeningsFields } from '../components/plan/StructureFields';
import { FORM_WIDTH, Steps } from '../components/ui/Steps';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat, type Format } from '../data/format';
import { useBeds } from '../data/hooks';
import { newId } from '../data/id';
import { copyStructure, removeThing, saveThing } from '../data/setup';
import { useDraft } from '../data/useDraft';
import { structureScreen as words } from '@fogata/words/en/screens/structures';

function opening(s: Structure, format: Format): string {
  if (s.kind === 'open') return words.openToTheSkyLong(s.name, format.metres(s.lengthM));
  const floor = s.lengthM * s.widthM;
  const share = floor > 0 ? s.ventAreaM2 / floor : 0;
  const opens =
    share <= 0.001 ? words.doesNotOpen : words.opensOfItsFloor(Math.max(1, Math.round(share * 100)));
  return `${s.name}: ${format.metres(s.lengthM)} × ${format.metres(s.widthM)}, ${SNUG_WORD[s.tightness]}, ${opens}.`;
}

type StepId = 'size' | 'cover' | 'opens' | 'extras';

/** What stands here, and an ordinary one of it to start from. */
function Start({ onPick }: { onPick: (s: Omit<Structure, 'id' | 'order'>) => void }) {
  const [form, setForm] = useState<Form | null>(null);
  return (
    <View style={{ gap: 14 }}>
      <Text kind="title" heading={1}>
        {words.whatStandsHere}
      </Text>
      <Choice
        label={words.whatStandsHere2}
        value={form}
        options={FORMS.map((f) => ({ value: f, label: FORM_INFO[f].label }))}
        onChange={(f) => {
          setForm(f);
          const { templates } = FORM_INFO[f];
          if (templates.length === 1) onPick(templates[0]!.draft);
        }}
      />
      {form ? (
        <>
          <PartTitle>{words.nearestInSize}</PartTitle>
          <Choice
            label={words.nearestInSize}
            value={null as string | null}
            options={FORM_INFO[form].templates.map((t) => ({ value: t.label, label: t.label }))}
            onChange={(label) => onPick(FORM_INFO[form].templates.find((t) => t.label === label)!.draft)}
          />
        </>
      ) : (
        <Text tone="quiet">{words.pickTheNearestEveryFigure}</Text>
      )}
    </View>
  );
}

export function StructureScreen({ id }: { id: string }) {
  const { data } = useBeds();
  const format = useFormat();
  const [problem, setProblem] = useState<string | null>(null);
  const [step, setStep] = useState<StepId | null>('size');
  const found = data?.structures.find((x) => x.structure.id === id);
  const isNew = id === 'new';
  const [s, set, clear] = useDraft<Structure>(`structure:${id}`, found?.structure ?? null);
  if (!s) {
    return (
      <Page testID="structure" width={FORM_WIDTH}>
        <TopLine back={words.beds} />
        {isNew ? (
          <Start
            onPick={(draft) =>
              set({ ...draft, id: newId(), order: data?.structures.length ?? 0 } as Structure)
            }
          />
        ) : data ? (
          <Problem>{words.thereIsNoSuchStructure}</Problem>
        ) : (
          <Loading what={words.openingTheStructure} />
        )}
      </Page>
    );
  }
  const leave = () => (router.canGoBack() ? router.back() : router.replace('/beds'));
  const tried = async (act: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await act();
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const all = data?.structures.map((x) => x.structure) ?? [];
  const beds = found?.beds.map((b) => b.bed) ?? [];
  const open = s.kind === 'open';
  const at = s.at ?? layoutOf(all).get(s.id);
  return (
    <Page testID="structure" width={FORM_WIDTH}>
      <TopLine back={words.beds} />
      <Sentence parts={[{ text: opening(s, format), tone: 'plain' }]} />
      <View style={{ gap: 16, paddingTop: 8 }}>
        <Steps
          steps={[
            {
              id: 'size',
              title: words.nameAndSize,
              said: `${s.name}, ${format.metres(s.lengthM)} × ${format.metres(s.widthM)}`,
              content: (
                <>
                  <NoteField
                    label={words.name}
                    value={s.name}
                    onChange={(name) => set({ name })}
                    testID="structure-name"
                  />
                  <Metres
                    label={words.length}
                    value={s.lengthM}
                    onChange={(lengthM) => set({ lengthM })}
                    step={0.5}
                    bigStep={5}
                    testID="structure-length"
                  />
                  <Metres
                    label={words.width}
                    value={s.widthM}
                    onChange={(widthM) => set({ widthM })}
                    testID="structure-width"
                  />
                  {open ? null : (
                    <>
                      <Metres
                        label={words.heightAtItsTallest}
                        value={s.heightM}
                        onChange={(heightM) => set({ heightM })}
                        step={0.05}
                        bigStep={0.5}
                      />
                      {s.kind === 'house' ? (
                        <Choose
                          label={words.itsShape}
                          value={s.shape}
                          options={[
                            { value: 'arch', label: words.hoops },
                            { value: 'box', label: words.uprightWalls },
                          ]}
                          onChange={(shape) => set({ shape })}
                        />
                      ) : null}
                    </>
                  )}
                </>
              ),
            },
            ...(open
              ? []
              : [
                  {
                    id: 'cover' as const,
                    title: words.whatIsOverIt,
                    said: coverSaid(s),
                    content: <CoverFields s={s} set={set} />,
                  },
                  {
                    id: 'opens' as const,
                    title: words.whatOpens,
                    said: opensSaid(s, format),
                    content: (
                      <OpeningsFields
                        value={s.openings ?? []}
                        onChange={(openings) => set({ openings, ventAreaM2: ventAreaOf(openings) })}
                      />
                    ),
                  },
                  {
                    id: 'extras' as const,
                    title: words.shadeWaterHeatRatings,
                    said: extrasSaid(s),
                    content: <StructureExtras s={s} set={set} />,
                  },
                ]),
          ]}
          open={step}
          onOpen={setStep}
        />
        {problem ? <Problem>{problem}</Problem> : null}
        <Button
          wide
          kind="main"
          label={words.addSave(isNew, s.name || 'it')}
          onPress={() =>
            void tried(async () => {
              await saveThing('structure', s, found?.structure ?? null);
              clear();
              if (isNew) router.replace(`/structure/${s.id}`);
              else leave();
            })
          }
          testID="save-structure"
        />
        {isNew ? (
          <Button kind="plain" label={words.startAgainFromAnother} onPress={clear} />
        ) : (
          <>
            <PartTitle right={formOf(s) === 'bench-row' ? words.benchesAndRows : undefined}>
              {words.bedsInIt}
            </PartTitle>
            {beds.map((b, n) => (
              <Row key={b.id} first={n === 0}>
                <Text
                  kind="strong"
                  style={{ flex: 1 }}
                >{`${b.name}, ${format.metres(b.lengthM)} × ${format.metres(b.widthM)}`}</Text>
                <Button
                  label={words.change}
                  hint={words.change2(b.name)}
                  onPress={() => router.push(`/bed/${b.id}`)}
                />
              </Row>
            ))}
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              <Button
                label={words.addABed}
                onPress={() => router.push(`/bed/new?structure=${s.id}`)}
                testID="structure-add-bed"
              />
              <Button label={words.whereItLiesOnThe} onPress={() => router.push(`/plan?structure=${s.id}`)} />
              <Button
                label={words.copyItWithItsBeds}
                onPress={() =>
                  void tried(async () => {
                    const copy = await copyStructure(s, beds, all);
                    router.replace(`/structure/${copy.id}`);
                  })
                }
                testID="copy-structure"
              />
              <Button
                kind="plain"
                label={words.removeItTakeItsBeds(beds.length)}
                disabled={beds.length > 0}
                onPress={() =>
                  void tried(async () => {
                    await removeThing('structure', s);
                    clear();
                    leave();
                  })
                }
              />
            </View>
            {at ? (
              <Text kind="small" tone="quiet">
                {words.itLiesMEastWest({
                  abs: Math.round(Math.abs(at.xM)),
                  xM: at.xM,
                  abs2: Math.round(Math.abs(at.yM)),
                  yM: at.yM,
                  turnDeg: Math.round(at.turnDeg),
                })}
              </Text>
            ) : null}
          </>
        )}
      </View>
    </Page>
  );
}
