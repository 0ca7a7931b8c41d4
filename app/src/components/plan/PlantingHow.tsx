/** How a planting is picked, where its crop can be picked in more ways than one, and whether it is left for seed. */
import { asPicked, cropById, mayPick, savingOf, type Picked } from '@fogata/core';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { Choose } from '../ui/Fields';
import { Text } from '../ui/Text';

export const PICKED_WORD: Record<Picked, string> = {
  leaves: 'outer leaves, again and again',
  cut: 'cut, and it comes again',
  whole: 'whole',
};
const BY_WORD = {
  itself: 'keeps to itself',
  insects: 'is crossed by insects',
  wind: 'is crossed by the wind',
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
          label="How it is picked"
          value={way}
          options={ways.map((w) => ({ value: w, label: PICKED_WORD[w] }))}
          onChange={(w) => onPicked(w === ways[0] ? undefined : w)}
          {...(other
            ? {
                note: `First picking after ${other.pickDd} degree days instead of ${crop.pickDd}, ${other.yieldKgPerM! > crop.yieldKgPerM! ? 'more' : 'less'} in all: starting values.`,
              }
            : {})}
        />
      ) : null}
      {saving ? (
        <>
          <Choose
            label="What becomes of it"
            value={forSeed ? 'seed' : 'eat'}
            options={[
              { value: 'eat', label: 'picked' },
              { value: 'seed', label: 'left for seed' },
            ]}
            onChange={(v) => onSeed(v === 'seed')}
          />
          {forSeed ? (
            <Text kind="small" tone="quiet">
              {`It stands until its seed is ripe. It ${BY_WORD[saving.by]}: nothing else of ${saving.species} in flower within ${format.metres(saving.apartM)}; keep ${saving.plants} plants or more. Starting values.`}
            </Text>
          ) : null}
        </>
      ) : null}
    </View>
  );
}
