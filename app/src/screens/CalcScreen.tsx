/** One reckoning. It answers: how much do I need, and how was that worked out? */
import { router } from 'expo-router';
import { View } from 'react-native';
import { DripCalc } from '../components/calc/DripCalc';
import { MixCalc } from '../components/calc/MixCalc';
import { CratesCalc, TraysCalc } from '../components/calc/NurseryCalcs';
import { HeatCalc } from '../components/calc/HeatCalcs';
import { SeedsCalc } from '../components/calc/SeedsCalc';
import { HoopsCalc, SheetCalc } from '../components/calc/SheetCalc';
import { Button } from '../components/ui/Button';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Text } from '../components/ui/Text';
import { useBeds } from '../data/hooks';
import { calcScreen as words } from '@fogata/words/en/screens/calc';

export const CALCS = [
  { id: 'sheet', title: words.theSheetOverABed, short: words.sheetSize },
  { id: 'hoops', title: words.hoopsAndHowFarApart, short: words.hoops },
  { id: 'jugs', title: words.jugsOfWaterForSo, short: words.jugsOfWater },
  { id: 'shade', title: words.whatShadeClothTakesOff, short: words.shadeCloth },
  { id: 'drip', title: words.minutesOfDrip, short: words.drip },
  { id: 'crates', title: words.cratesOnABench, short: words.crates },
  { id: 'seeds', title: words.seedForAStand, short: words.seed },
  { id: 'trays', title: words.seedTraysAndShelf, short: words.trays },
  { id: 'mix', title: words.soilMixByVolume, short: words.soilMix },
] as const;

export function CalcScreen({ what, bedId }: { what: string; bedId: string | null }) {
  const { data } = useBeds();
  const calc = CALCS.find((c) => c.id === what);
  const all = data?.structures.flatMap((s) => s.beds) ?? [];
  const bed = all.find((b) => b.bed.id === bedId)?.bed ?? null;
  const planted = all.filter((b) => b.plantings.length > 0).map((b) => b.bed);
  return (
    <Page testID="calc">
      <TopLine back={words.kit} />
      <Text kind="title" heading={1}>
        {calc?.title ?? words.thereIsNoSuchReckoning}
      </Text>
      {!data ? (
        <Loading what={words.openingTheBeds} />
      ) : (
        <View style={{ gap: 14, paddingTop: 8 }}>
          {what === 'sheet' ? <SheetCalc bed={bed} /> : null}
          {what === 'hoops' ? <HoopsCalc bed={bed} /> : null}
          {what === 'drip' ? <DripCalc bed={bed} /> : null}
          {what === 'crates' ? <CratesCalc bed={bed} /> : null}
          {what === 'seeds' ? <SeedsCalc /> : null}
          {what === 'trays' ? <TraysCalc /> : null}
          {what === 'mix' ? <MixCalc /> : null}
          {what === 'jugs' || what === 'shade' ? <HeatCalc what={what} beds={planted} first={bedId} /> : null}
          {what === 'jugs' || what === 'sheet' ? (
            <Button kind="plain" label={words.theCoversInStore} onPress={() => router.push('/kit')} />
          ) : null}
        </View>
      )}
    </Page>
  );
}
