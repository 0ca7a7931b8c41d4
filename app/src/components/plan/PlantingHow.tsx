/** How a planting is picked, where its crop can be picked in more ways than one, and whether it is left for seed. */
import { asPicked, cropById, mayPick, savingOf, type Picked } from '@fogata/core';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Choose } from '../ui/Fields';
import { Text } from '../ui/Text';
import { plantingHow as words } from '@fogata/words/en/screens/plan';

export const PICKED_WORD: Record<Picked, string> = {
  leaves: words.outerLeavesAgainAndAgain,
  cut: words.cutAndItComesAgain,
  whole: words.whole,
};
const BY_WORD = {
  itself: words.keepsToItself,
  insects: words.isCrossedByInsects,
  wind: words.isCrossedByTheWind,
};

interface HowProps {
  crop: string;
  picked: Picked | undefined;
  forSeed: boolean;
  onPicked: (p: Picked | undefined) => void;
  onSeed: (forSeed: boolean) => void;
}

export function PlantingHow({ crop: id, picked, forSeed, onPicked, onSeed }: HowProps) {
  const format = useFormat();
  if (id === '') return null;
  const crop = cropById(id);
  const ways = mayPick(crop);
  const way = ways.find((w) => w === picked) ?? ways[0];
  const saving = savingOf(id);
  const other = way && way !== ways[0] ? asPicked(crop, way) : null;
  return (
    <View style={{ gap: 16 }}>
      {way ? (
        <Choose<Picked>
          label={words.howItIsPicked}
          value={way}
          options={ways.map((w) => ({ value: w, label: PICKED_WORD[w] }))}
          onChange={(w) => onPicked(w === ways[0] ? undefined : w)}
          {...(other
            ? {
                note: words.firstPickingAfterDegreeDays({
                  pickDd: other.pickDd,
                  pickDd2: crop.pickDd,
                  yieldKgPerM: other.yieldKgPerM!,
                  yieldKgPerM2: crop.yieldKgPerM!,
                }),
              }
            : {})}
        />
      ) : null}
      {saving ? (
        <>
          <Choose
            label={words.whatBecomesOfIt}
            value={forSeed ? 'seed' : 'eat'}
            options={[
              { value: 'eat', label: words.picked },
              { value: 'seed', label: words.leftForSeed },
            ]}
            onChange={(v) => onSeed(v === 'seed')}
          />
          {forSeed ? (
            <Text kind="small" tone="quiet">
              {words.itStandsUntilItsSeed({
                bywordWord: BY_WORD[saving.by],
                species: saving.species,
                apartM: format.metres(saving.apartM),
                plants: saving.plants,
              })}
            </Text>
          ) : null}
        </>
      ) : null}
    </View>
  );
}
