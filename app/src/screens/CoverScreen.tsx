/** A kind of sheet in stock. It answers: what is it, what state is it in, and where is it when I need it? */
import { isIndoors, type Cover } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { IndoorsFields, newPlace } from '../components/plan/Indoors';
import { SheetFields } from '../components/plan/SheetFields';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { FORM_WIDTH } from '../components/ui/Steps';
import { Text } from '../components/ui/Text';
import { useKit } from '../data/hooks';
import { newId } from '../data/id';
import { removeThing, saveThing } from '../data/setup';
import { useDraft } from '../data/useDraft';
import { coverScreen as words } from '@fogata/words/en/screens/covers';

const newSheet = (id: string): Cover => ({
  id,
  name: words.fleece30,
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
        <TopLine back={words.kit} />
        {data ? <Problem>{words.thereIsNoSuchCover}</Problem> : <Loading what={words.openingTheCover} />}
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
    <Page testID="cover" width={indoors ? 640 : FORM_WIDTH}>
      <TopLine back={words.kit} />
      <Text kind="title" heading={1}>
        {words.aPlaceForCratesA({ isNew, indoors, name: c.name })}
      </Text>
      <View style={{ gap: 16, paddingTop: 8 }}>
        {indoors ? <IndoorsFields place={c} onChange={set} /> : <SheetFields sheet={c} onChange={set} />}
        {problem ? <Problem>{problem}</Problem> : null}
        <Button
          wide
          kind="main"
          label={words.addSave(isNew, c.name || 'it')}
          onPress={() => void tried(() => saveThing('cover', c, was))}
          testID="save-cover"
        />
        {isNew ? null : (
          <Button
            kind="plain"
            label={words.removeIt}
            onPress={() => void tried(() => removeThing('cover', c))}
          />
        )}
      </View>
    </Page>
  );
}
