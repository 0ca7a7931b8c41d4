/** Crates or trays on a bed's bench: how many, how large, what they weigh, and when their soil was last new. */
import { localDate, type Bed } from '@fogata/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useFarm } from '../../data/hooks';
import { Button } from '../ui/Button';
import { DateStepper } from '../ui/DateStepper';
import { Amount, Metres } from '../ui/Fields';
import { Text } from '../ui/Text';
import { bedCrates as words } from '@fogata/words/en/screens/plan';

export const cratesSaid = (b: Bed): string =>
  b.crates ? words.ofThemPlants(b.crates.count, b.crates.count * b.crates.plantsEach) : words.noneSaidYet;

/** When the soil in crates was last new: what they carried before no longer counts against what comes. */
function MixOn({ value, onChange }: { value: string | null; onChange: (on: string | null) => void }) {
  const { data } = useFarm();
  if (!data) return null;
  const today = localDate(data.clock.nowAtMs, data.farm.timeZone);
  return value === null ? (
    <Button
      kind="plain"
      label={words.theyWereFilledWithNew}
      onPress={() => onChange(today)}
      testID="mix-new"
    />
  ) : (
    <View style={{ gap: 6 }}>
      <DateStepper label={words.filledWithNewSoilOn} value={value} onChange={onChange} />
      <Text kind="small" tone="quiet">
        {words.whatStoodInThemBefore}
      </Text>
      <Button kind="plain" label={words.iDoNotKnowWhen} onPress={() => onChange(null)} />
    </View>
  );
}

export function BedCrates({ b, set }: { b: Bed; set: (patch: Partial<Bed>) => void }) {
  return (
    <View style={{ gap: 16 }}>
      <Amount
        label={words.cratesOrTraysOnIt}
        value={b.crates?.count ?? 0}
        onChange={(count) =>
          set({
            crates: count > 0 ? { lengthM: 0.6, widthM: 0.4, plantsEach: 8, ...b.crates, count } : null,
          })
        }
        unit={words.crates}
        bigStep={5}
        min={0}
        max={9999}
      />
      {b.crates ? (
        <>
          <Metres
            label={words.lengthOfACrate}
            value={b.crates.lengthM}
            onChange={(lengthM) => set({ crates: { ...b.crates!, lengthM } })}
            step={0.05}
            bigStep={0.2}
            max={5}
          />
          <Metres
            label={words.widthOfACrate}
            value={b.crates.widthM}
            onChange={(widthM) => set({ crates: { ...b.crates!, widthM } })}
            step={0.05}
            bigStep={0.2}
            max={5}
          />
          <Amount
            label={words.plantsInEach}
            value={b.crates.plantsEach}
            onChange={(plantsEach) => set({ crates: { ...b.crates!, plantsEach } })}
            unit={words.plants}
            min={1}
            max={2000}
          />
          <Amount
            label={words.kilosThatOneWeighs0}
            value={b.crates.kgEach ?? 0}
            onChange={(kg) => {
              const { kgEach: _k, ...crates } = b.crates!;
              set({ crates: kg > 0 ? { ...crates, kgEach: kg } : crates });
            }}
            unit={words.kg}
            bigStep={5}
            min={0}
            max={200}
          />
          <Text kind="small" tone="quiet">
            {words.plantsInAll(b.crates.count * b.crates.plantsEach)}
          </Text>
        </>
      ) : null}
      <Button kind="plain" label={words.soilToFillThem} onPress={() => router.push('/calc/mix')} />
      <Button
        kind="plain"
        label={words.howManyCratesFit}
        onPress={() => router.push(`/calc/crates?bed=${b.id}`)}
      />
      <MixOn value={b.mixOn ?? null} onChange={(mixOn) => set({ mixOn })} />
    </View>
  );
}
