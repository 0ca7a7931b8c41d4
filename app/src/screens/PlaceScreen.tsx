/** Place. It answers: what will it be in there, and for whom is that too cold? It opens with the bed and its leaf. */
import type { PlantingView } from '@fogata/contract/told';
import { BOOK_CALIBRATION, type Calibration } from '@fogata/core';
import { router } from 'expo-router';
import { Linking, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { OnNow, Options } from '../components/place/PlaceOptions';
import { PlantingCard } from '../components/place/PlantingCard';
import { Progress } from '../components/ui/Progress';
import { PartTitle, Text } from '../components/ui/Text';
import { TryCovers } from '../components/place/TryCovers';
import { useFormat, type Format } from '../data/format';
import { refresh, usePlace } from '../data/hooks';
import { placeScreen as texts } from '@fogata/words/en/screens/place';

/** The place without its frame: a screen on the phone, the right pane when wide. */
/** What it does and how far from harm its lowest is; what only the hours or a touching sheet do is said so. */
function marginWords(p: PlantingView, format: Format, when: string): string {
  const over = p.leafC!.mid - p.harmC;
  const margin = format.diff(Math.abs(over)).replace('+', '');
  const hurt = p.verdict !== 'safe' && p.verdict !== 'close';
  return texts.byHowLongItIs({ over, hurt, cropName: p.cropName, verdict: p.verdict, when, margin });
}

export function PlacePanel({
  bedId,
  width,
  ribbon = true,
}: {
  bedId: string;
  width: number;
  ribbon?: boolean;
}) {
  const { data: view, error } = usePlace(bedId);
  const format = useFormat();
  const inner = width - 36;
  if (!view || view.bed.id !== bedId)
    return error ? (
      <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
    ) : (
      <Loading what={texts.openingThePlace} />
    );
  const leaf = view.ribbon?.min;
  const closest = [...view.plantings]
    .filter((p) => p.leafC)
    .sort((a, b) => a.leafC!.mid - a.harmC - (b.leafC!.mid - b.harmC))[0];
  return (
    <View>
      <Text kind="title" heading={1} testID="place-title">
        {texts.leaf(view.bed.name, Boolean(leaf))}
        {leaf ? (
          <Text kind="title" tone={leaf.leafC < 0 ? 'frost' : 'pine'}>
            {format.t(leaf.leafC)}
          </Text>
        ) : null}
      </Text>
      <Text tone="quiet">
        {closest
          ? marginWords(closest, format, texts.lastNightByTheModel(view.clock.phase))
          : texts.nothingStandsHereNowIt(view.plantings.length)}
      </Text>
      <Progress progress={view.progress} />
      {view.progress.state === 'waiting' && view.plantings.length > 0 ? (
        <View style={{ gap: 10, paddingVertical: 10 }} testID="place-waiting">
          <Text>{texts.noForecastReachesThroughTonight}</Text>
          <Button
            wide
            kind="main"
            label={texts.tellTonightsWeather}
            onPress={() => router.push('/forecast')}
          />
        </View>
      ) : null}
      {view.whatIf ? <TryCovers view={view} width={inner} ribbon={ribbon} /> : null}
      {view.whatIf ? (
        <View style={styles.buttons}>
          <Button
            kind="plain"
            label={texts.jugsOfWaterForIt}
            onPress={() => router.push(`/calc/jugs?bed=${bedId}`)}
          />
          <Button
            kind="plain"
            label={texts.shadeCloth}
            onPress={() => router.push(`/calc/shade?bed=${bedId}`)}
          />
          <Button
            kind="plain"
            label={texts.minutesOfDrip}
            onPress={() => router.push(`/calc/drip?bed=${bedId}`)}
          />
        </View>
      ) : null}
      <PartTitle>{texts.whoStandsHere}</PartTitle>
      {view.plantings.map((p, n) => (
        <PlantingCard
          key={p.planting.id}
          view={p}
          bed={view.bed}
          others={view.plantings.map((x) => x.planting)}
          nowAtMs={view.clock.nowAtMs}
          format={format}
          width={inner}
          first={n === 0}
        />
      ))}
      <View style={styles.buttons}>
        <Button
          label={texts.addAPlanting}
          onPress={() => router.push(`/planting/new?bed=${bedId}`)}
          testID="add-planting"
        />
      </View>
      <Options view={view} />
      <OnNow view={view} />
      {view.progress.state === 'ready' && view.whatIf ? (
        <View style={styles.buttons}>
          <Button
            kind="plain"
            label={texts.keepThisNightAsA}
            hint={texts.keepTheNightOfAs(view.bed.name)}
            onPress={() => void Linking.openURL(`/api/places/${bedId}/case`)}
          />
          <Text kind="small" tone="quiet">
            {texts.theFileRunsAgainOutside(factorsOf(view.whatIf.calibration))}
          </Text>
        </View>
      ) : null}
      {view.learnt ? (
        <>
          <PartTitle>{texts.whatItsThermometerTaught}</PartTitle>
          <Text testID="learnt">{view.learnt.words}</Text>
        </>
      ) : null}
      <PartTitle>{texts.takeCare}</PartTitle>
      {view.cautions.map((c) => (
        <Text key={c} kind="small" tone="ochre" style={{ paddingVertical: 3 }}>{`▲ ${c}`}</Text>
      ))}
    </View>
  );
}

/** The factors as the command line takes them; nothing where they are the book's. */
function factorsOf(c: Calibration): string {
  const parts = (Object.keys(BOOK_CALIBRATION) as (keyof Calibration)[])
    .filter((k) => c[k] !== BOOK_CALIBRATION[k])
    .map((k) => `${k}=${Number(c[k].toFixed(3))}`);
  return parts.length === 0 ? '' : texts.factors(parts.join(','));
}

export function PlaceScreen({ bedId }: { bedId: string }) {
  const { width } = useWindowDimensions();
  return (
    <Page testID="place">
      <TopLine back={texts.now} />
      <PlacePanel bedId={bedId} width={Math.min(width, 640)} />
    </Page>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 12 },
});
