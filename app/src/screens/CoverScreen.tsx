/** A kind of sheet in stock. It answers: what is it, what state is it in, and where is it when I need it? */
import { isIndoors, MATERIAL_IDS, MATERIALS, type Cover, type MaterialId, upper } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { CoverWays } from '../components/plan/CoverWays';
import { IndoorsFields, newPlace } from '../components/plan/Indoors';
import { NoteField } from '../components/ui/Field';
import { Amount, Choose, Metres } from '../components/ui/Fields';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Text } from '../components/ui/Text';
import { useKit } from '../data/hooks';
import { newId } from '../data/id';
import { removeThing, saveThing } from '../data/setup';
import { useDraft } from '../data/useDraft';

const newSheet = (id: string): Cover => ({
  id,
  name: 'Fleece 30',
  material: 'fleece-30',
  plies: 1,
  lengthM: 20,
  widthM: 2.1,
  count: 1,
  use: 'hoops',
  minutes: 6,
  order: 99,
  condition: 'good',
});

export function CoverScreen({ id }: { id: string }) {
  const { data } = useKit();
  const [problem, setProblem] = useState<string | null>(null);
  const isNew = id === 'new' || id === 'indoors';
  const found = data?.covers.find((c) => c.id === id);
  let was: Cover | null = null;
  if (found) {
    const { inUse: _i, beds: _b, materialName: _m, ...cover } = found;
    was = cover;
  }
  const [first] = useState<Cover>(() => (id === 'indoors' ? newPlace(newId()) : newSheet(newId())));
  const [c, set, clear] = useDraft<Cover>(`cover:${id}`, isNew ? first : was);
  if (!c)
    return (
      <Page testID="cover">
        <TopLine back="Kit" />
        {data ? (
          <Problem>There is no such cover. It may have been removed.</Problem>
        ) : (
          <Loading what="Opening the cover" />
        )}
      </Page>
    );
  const tried = async (act: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await act();
      clear();
      if (router.canGoBack()) router.back();
      else router.replace('/kit');
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const indoors = isIndoors(c);
  return (
    <Page testID="cover">
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        {isNew ? (indoors ? 'A place indoors' : 'A cover in store') : c.name}
      </Text>
      <View style={{ gap: 16, paddingTop: 8 }}>
        {indoors ? <IndoorsFields place={c} onChange={set} /> : <SheetFields sheet={c} onChange={set} />}
        {problem ? <Problem>{problem}</Problem> : null}
        <Button
          wide
          kind="main"
          label={isNew ? `Add ${c.name || 'it'}` : 'Save'}
          onPress={() => void tried(() => saveThing('cover', c, was))}
          testID="save-cover"
        />
        {isNew ? null : (
          <Button kind="plain" label="Remove it" onPress={() => void tried(() => removeThing('cover', c))} />
        )}
      </View>
    </Page>
  );
}

function SheetFields({
  sheet: c,
  onChange: set,
}: {
  sheet: Cover;
  onChange: (more: Partial<Cover>) => void;
}) {
  const named = upper(MATERIALS[c.material].name);
  return (
    <>
      <Choose<MaterialId>
        label="Made of"
        value={c.material}
        options={MATERIAL_IDS.map((m) => ({ value: m, label: MATERIALS[m].name }))}
        // a name of one's own stays
        onChange={(material) =>
          set({
            material,
            ways: undefined,
            ...(c.name === named ? { name: upper(MATERIALS[material].name) } : {}),
          })
        }
      />
      <NoteField label="Name" value={c.name} onChange={(name) => set({ name })} testID="cover-name" />
      <Choose
        label="How it usually lies"
        value={c.use}
        options={[
          { value: 'hoops', label: 'on hoops' },
          { value: 'flat', label: 'laid on the crop' },
          { value: 'over', label: 'over frames and tunnels' },
        ]}
        onChange={(use) => set({ use })}
      />
      <CoverWays cover={c} onChange={(ways) => set({ ways })} />
      <Metres
        label="Length"
        value={c.lengthM}
        onChange={(lengthM) => set({ lengthM })}
        step={0.5}
        bigStep={5}
        testID="cover-length"
      />
      <Metres label="Width" value={c.widthM} onChange={(widthM) => set({ widthM })} testID="cover-width" />
      <Amount
        label="Pieces"
        value={c.count}
        onChange={(count) => set({ count })}
        unit="pieces"
        bigStep={5}
        min={0}
        max={999}
        testID="cover-count"
      />
      <Choose
        label="Their state"
        value={c.condition ?? 'good'}
        options={[
          { value: 'good', label: 'good' },
          { value: 'worn', label: 'worn' },
          { value: 'torn', label: 'torn' },
        ]}
        onChange={(condition) => set({ condition })}
        {...(c.condition === 'torn'
          ? {
              note: 'A torn one counts as draughty on the bed, and is not counted on for a bed of its own.',
            }
          : {})}
      />
      <NoteField
        label="Where they are kept"
        value={c.keptAt ?? ''}
        onChange={(keptAt) => set({ keptAt })}
        placeholder="shed, left wall"
      />
      <NoteField
        label="Cut or sewn for"
        value={c.madeFor ?? ''}
        onChange={(madeFor) => set({ madeFor })}
        placeholder="the long beds"
      />
      <Amount
        label="Minutes to fetch and lay one"
        value={c.minutes}
        onChange={(minutes) => set({ minutes })}
        unit="min"
        bigStep={5}
        min={0}
        max={240}
      />
    </>
  );
}
