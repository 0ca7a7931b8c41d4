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

/** The place without its frame: a screen on the phone, the right pane when wide. */
/** What it does and how far from harm its lowest is; what only the hours or a touching sheet do is said so. */
function marginWords(p: PlantingView, format: Format, when: string): string {
  const over = p.leafC!.mid - p.harmC;
  const margin = format.diff(Math.abs(over)).replace('+', '');
  const hurt = p.verdict !== 'safe' && p.verdict !== 'close';
  return over >= 0 && hurt
    ? `${p.cropName}: ${p.verdict} ${when}, by how long it is so cold or what touches it; its lowest is ${margin} above where two hours harm.`
    : `${p.cropName}: ${p.verdict}, ${margin} ${over >= 0 ? 'above' : 'below'} harm ${when}.`;
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
      <Loading what="Opening the place" />
    );
  const leaf = view.ribbon?.min;
  const closest = [...view.plantings]
    .filter((p) => p.leafC)
    .sort((a, b) => a.leafC!.mid - a.harmC - (b.leafC!.mid - b.harmC))[0];
  return (
    <View>
      <Text kind="title" heading={1} testID="place-title">
        {`${view.bed.name}${leaf ? ' · leaf ' : ''}`}
        {leaf ? (
          <Text kind="title" tone={leaf.leafC < 0 ? 'frost' : 'pine'}>
            {format.t(leaf.leafC)}
          </Text>
        ) : null}
      </Text>
      <Text tone="quiet">
        {closest
          ? marginWords(
              closest,
              format,
              view.clock.phase === 'morning' ? 'last night, by the model' : 'as planned',
            )
          : view.plantings.length === 0
            ? 'Nothing stands here now. It costs nothing to leave it open.'
            : ''}
      </Text>
      <Progress progress={view.progress} />
      {view.progress.state === 'waiting' && view.plantings.length > 0 ? (
        <View style={{ gap: 10, paddingVertical: 10 }} testID="place-waiting">
          <Text>No forecast reaches through tonight, so nothing is said of how cold it gets in here.</Text>
          <Button wide kind="main" label="Tell tonight’s weather" onPress={() => router.push('/forecast')} />
        </View>
      ) : null}
      {view.whatIf ? <TryCovers view={view} width={inner} ribbon={ribbon} /> : null}
      {view.whatIf ? (
        <View style={styles.buttons}>
          <Button
            kind="plain"
            label="Jugs of water for it ›"
            onPress={() => router.push(`/calc/jugs?bed=${bedId}`)}
          />
          <Button
            kind="plain"
            label="Shade cloth ›"
            onPress={() => router.push(`/calc/shade?bed=${bedId}`)}
          />
          <Button
            kind="plain"
            label="Minutes of drip ›"
            onPress={() => router.push(`/calc/drip?bed=${bedId}`)}
          />
        </View>
      ) : null}
      <PartTitle>Who stands here</PartTitle>
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
          label="Add a planting"
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
            label="Keep this night as a file"
            hint={`Keep the night of ${view.bed.name} as a case file`}
            onPress={() => void Linking.openURL(`/api/places/${bedId}/case`)}
          />
          <Text kind="small" tone="quiet">
            {`The file runs again outside Fogata: npm run -s simulate -- FILE${factorsOf(view.whatIf.calibration)}`}
          </Text>
        </View>
      ) : null}
      {view.learnt ? (
        <>
          <PartTitle>What its thermometer taught</PartTitle>
          <Text testID="learnt">{view.learnt.words}</Text>
        </>
      ) : null}
      <PartTitle>Take care</PartTitle>
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
  return parts.length === 0 ? '' : ` --factors ${parts.join(',')}`;
}

export function PlaceScreen({ bedId }: { bedId: string }) {
  const { width } = useWindowDimensions();
  return (
    <Page testID="place">
      <TopLine back="Now" />
      <PlacePanel bedId={bedId} width={Math.min(width, 640)} />
    </Page>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 12 },
});
