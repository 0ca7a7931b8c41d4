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

function opening(s: Structure, format: Format): string {
  if (s.kind === 'open') return `${s.name}: open to the sky, ${format.metres(s.lengthM)} long.`;
  const floor = s.lengthM * s.widthM;
  const share = floor > 0 ? s.ventAreaM2 / floor : 0;
  const opens =
    share <= 0.001 ? 'does not open' : `opens ${Math.max(1, Math.round(share * 100))} % of its floor`;
  return `${s.name}: ${format.metres(s.lengthM)} × ${format.metres(s.widthM)}, ${SNUG_WORD[s.tightness]}, ${opens}.`;
}

type StepId = 'size' | 'cover' | 'opens' | 'extras';

/** What stands here, and an ordinary one of it to start from. */
function Start({ onPick }: { onPick: (s: Omit<Structure, 'id' | 'order'>) => void }) {
  const [form, setForm] = useState<Form | null>(null);
  return (
    <View style={{ gap: 14 }}>
      <Text kind="title" heading={1}>
        What stands here?
      </Text>
      <Choice
        label="What stands here"
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
          <PartTitle>Nearest in size</PartTitle>
          <Choice
            label="Nearest in size"
            value={null as string | null}
            options={FORM_INFO[form].templates.map((t) => ({ value: t.label, label: t.label }))}
            onChange={(label) => onPick(FORM_INFO[form].templates.find((t) => t.label === label)!.draft)}
          />
        </>
      ) : (
        <Text tone="quiet">Pick the nearest; every figure can be changed.</Text>
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
        <TopLine back="Beds" />
        {isNew ? (
          <Start
            onPick={(draft) =>
              set({ ...draft, id: newId(), order: data?.structures.length ?? 0 } as Structure)
            }
          />
        ) : data ? (
          <Problem>There is no such structure. It may have been removed.</Problem>
        ) : (
          <Loading what="Opening the structure" />
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
      <TopLine back="Beds" />
      <Sentence parts={[{ text: opening(s, format), tone: 'plain' }]} />
      <View style={{ gap: 16, paddingTop: 8 }}>
        <Steps
          steps={[
            {
              id: 'size',
              title: 'Name and size',
              said: `${s.name}, ${format.metres(s.lengthM)} × ${format.metres(s.widthM)}`,
              content: (
                <>
                  <NoteField
                    label="Name"
                    value={s.name}
                    onChange={(name) => set({ name })}
                    testID="structure-name"
                  />
                  <Metres
                    label="Length"
                    value={s.lengthM}
                    onChange={(lengthM) => set({ lengthM })}
                    step={0.5}
                    bigStep={5}
                    testID="structure-length"
                  />
                  <Metres
                    label="Width"
                    value={s.widthM}
                    onChange={(widthM) => set({ widthM })}
                    testID="structure-width"
                  />
                  {open ? null : (
                    <>
                      <Metres
                        label="Height at its tallest"
                        value={s.heightM}
                        onChange={(heightM) => set({ heightM })}
                        step={0.05}
                        bigStep={0.5}
                      />
                      {s.kind === 'house' ? (
                        <Choose
                          label="Its shape"
                          value={s.shape}
                          options={[
                            { value: 'arch', label: 'hoops' },
                            { value: 'box', label: 'upright walls' },
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
                    title: 'What is over it',
                    said: coverSaid(s),
                    content: <CoverFields s={s} set={set} />,
                  },
                  {
                    id: 'opens' as const,
                    title: 'What opens',
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
                    title: 'Shade, water, heat, ratings',
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
          label={isNew ? `Add ${s.name || 'it'}` : 'Save'}
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
          <Button kind="plain" label="Start again from another" onPress={clear} />
        ) : (
          <>
            <PartTitle right={formOf(s) === 'bench-row' ? 'benches and rows' : undefined}>
              Beds in it
            </PartTitle>
            {beds.map((b, n) => (
              <Row key={b.id} first={n === 0}>
                <Text
                  kind="strong"
                  style={{ flex: 1 }}
                >{`${b.name}, ${format.metres(b.lengthM)} × ${format.metres(b.widthM)}`}</Text>
                <Button
                  label="Change"
                  hint={`Change ${b.name}`}
                  onPress={() => router.push(`/bed/${b.id}`)}
                />
              </Row>
            ))}
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              <Button
                label="Add a bed"
                onPress={() => router.push(`/bed/new?structure=${s.id}`)}
                testID="structure-add-bed"
              />
              <Button
                label="Where it lies, on the plan"
                onPress={() => router.push(`/plan?structure=${s.id}`)}
              />
              <Button
                label="Copy it with its beds"
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
                label={beds.length > 0 ? 'Remove it (take its beds out first)' : 'Remove it'}
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
                {`It lies ${Math.round(Math.abs(at.xM))} m ${at.xM >= 0 ? 'east' : 'west'} and ${Math.round(Math.abs(at.yM))} m ${at.yM >= 0 ? 'north' : 'south'} of the farm’s own point, its length turned ${Math.round(at.turnDeg)}° from north.`}
              </Text>
            ) : null}
          </>
        )}
      </View>
    </Page>
  );
}
