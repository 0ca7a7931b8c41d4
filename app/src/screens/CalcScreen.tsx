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

export const CALCS = [
  { id: 'sheet', title: 'The sheet over a bed', short: 'Sheet size' },
  { id: 'hoops', title: 'Hoops and how far apart', short: 'Hoops' },
  { id: 'jugs', title: 'Jugs of water for so many degrees', short: 'Jugs of water' },
  { id: 'shade', title: 'What shade cloth takes off', short: 'Shade cloth' },
  { id: 'drip', title: 'Minutes of drip', short: 'Drip' },
  { id: 'crates', title: 'Crates on a bench', short: 'Crates' },
  { id: 'seeds', title: 'Seed for a stand', short: 'Seed' },
  { id: 'trays', title: 'Seed trays and shelf', short: 'Trays' },
  { id: 'mix', title: 'Soil mix by volume', short: 'Soil mix' },
] as const;

export function CalcScreen({ what, bedId }: { what: string; bedId: string | null }) {
  const { data } = useBeds();
  const calc = CALCS.find((c) => c.id === what);
  const all = data?.structures.flatMap((s) => s.beds) ?? [];
  const bed = all.find((b) => b.bed.id === bedId)?.bed ?? null;
  const planted = all.filter((b) => b.plantings.length > 0).map((b) => b.bed);
  return (
    <Page testID="calc">
      <TopLine back="Kit" />
      <Text kind="title" heading={1}>
        {calc?.title ?? 'There is no such reckoning'}
      </Text>
      {!data ? (
        <Loading what="Opening the beds" />
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
            <Button kind="plain" label="The covers in store ›" onPress={() => router.push('/kit')} />
          ) : null}
        </View>
      )}
    </Page>
  );
}
