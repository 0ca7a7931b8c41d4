/** A crop's year. It answers: when may I begin it, here, under that, and what goes wrong if I do not? It opens with the nearest window. */
import type { SeasonPlaceView } from '@fogata/contract/told';
import { router } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import {
  climateWords,
  cropSentence,
  dateSentence,
  dayShort,
  dayWords,
  daysOn,
  placeTitle,
  rowAt,
  upper,
} from '../components/season/seasonWords';
import { NeedPanel } from '../components/season/NeedPanel';
import { startWays } from '../components/season/compareWords';
import { YearStrip } from '../components/season/YearStrip';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { Choose, Fold } from '../components/ui/Fields';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { seasonAgain, useSeasonCrop } from '../data/hooks';

const SCHOOL = {
  layers: 'Weeks for each layer, from the frost dates',
  light: 'As the light allows',
  risk: 'Comes off in nine years of ten',
} as const;
function Place({
  place,
  at,
  today,
  latitude,
  begun,
  crop,
  width,
}: {
  place: SeasonPlaceView;
  at: string;
  today: string;
  latitude: number;
  begun: string;
  crop: string;
  width: number;
}) {
  return (
    <View style={{ gap: 6, paddingTop: 10, width }}>
      <PartTitle>{placeTitle(place)}</PartTitle>
      <YearStrip place={place} width={width} today={today} at={at} latitude={latitude} />
      <Text live testID={`date-${place.id}`}>
        {dateSentence(rowAt(place.dates, at), at, begun, crop)}
      </Text>
      <Fold title="The three schools, and why">
        {(['layers', 'light', 'risk'] as const).map((school) => (
          <View key={school} style={{ gap: 2 }}>
            <Text kind="strong">{SCHOOL[school]}</Text>
            {place.windows
              .filter((w) => w.school === school)
              .map((w) => (
                <Text key={w.season} kind="small" tone="quiet">
                  {`${upper(w.season)}: ${w.earliest && w.latest ? `${dayShort(w.earliest)} to ${dayShort(w.latest)}${w.best ? `, best ${dayShort(w.best)}` : ''}. ` : 'none. '}${w.reasons.map((r) => `${upper(`${r.edge === 'best' && !w.best ? '' : `${r.edge}: `}${r.why}`)}.`).join(' ')}`}
                </Text>
              ))}
          </View>
        ))}
      </Fold>
    </View>
  );
}

export function SeasonCropScreen({ crop }: { crop: string }) {
  const [how, setHow] = useState<'sow' | 'transplant' | null>(null);
  const { data, error } = useSeasonCrop(crop, how);
  const format = useFormat();
  const { width } = useWindowDimensions();
  const [moved, setMoved] = useState<string | null>(null);
  const today = data?.today.slice(5) ?? '01-01';
  const at = moved ?? today;
  const begun = data?.planted ? 'planted' : 'sown';
  const wide = useWide();
  const strip = wide ? 520 : Math.min(width - 36, 604);
  const move = (days: number) => setMoved(daysOn(at, days));
  return (
    <Page testID="season-crop" width={wide ? 1120 : 640}>
      <TopLine back="Season" />
      {data ? (
        <Sentence parts={cropSentence(data)} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what="Opening the crop" />
      )}
      {data?.progress.state === 'computing' ? (
        <Loading
          what={`Going through a hundred years: ${data.progress.done} of ${data.progress.of} places`}
        />
      ) : null}
      {data?.progress.state === 'failed' ? (
        <Problem onRetry={() => void seasonAgain()}>{data.progress.message ?? ''}</Problem>
      ) : null}
      {data?.progress.state === 'empty' ? (
        <Text>Set up a structure with a bed: its year is drawn here.</Text>
      ) : null}
      {data && data.places.length > 0 ? (
        <View style={{ gap: 10, paddingTop: 4 }}>
          {data.mayTransplant ? (
            <Choose
              label="Begun"
              value={data.how}
              options={[
                { value: 'sow', label: 'sown where it grows' },
                { value: 'transplant', label: 'planted from trays' },
              ]}
              onChange={setHow}
            />
          ) : null}
          <View role="group" aria-label={`${begun} on`} style={{ gap: 6 }}>
            <Text kind="label" tone="quiet">{`What if it is ${begun} on`}</Text>
            <Text kind="figure" live testID="season-at">
              {at === today ? `${dayWords(at)}, today` : dayWords(at)}
            </Text>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              <Button label="−4 weeks" hint="four weeks earlier" onPress={() => move(-28)} />
              <Button label="−1 week" hint="a week earlier" onPress={() => move(-7)} />
              <Button label="+1 week" hint="a week later" onPress={() => move(7)} testID="week-later" />
              <Button label="+4 weeks" hint="four weeks later" onPress={() => move(28)} />
              {at !== today ? <Button kind="plain" label="Today" onPress={() => setMoved(null)} /> : null}
            </View>
          </View>
          <View style={wide ? { flexDirection: 'row', flexWrap: 'wrap', columnGap: 40 } : null}>
            {data.places.map((p) => (
              <Place
                key={p.id}
                place={p}
                at={at}
                today={today}
                latitude={data.latitude}
                begun={begun}
                crop={data.crop}
                width={strip}
              />
            ))}
          </View>
          <View style={{ flexDirection: 'row' }}>
            <Button
              label="Side by side with another way"
              onPress={() => router.push(`/compare?ways=${encodeURIComponent(startWays(data, at))}`)}
              testID="to-compare"
            />
          </View>
          <NeedPanel crop={data.crop} how={data.how} today={data.today} key={data.crop} />
          {data.tooLow.length > 0 ? (
            <Text
              kind="small"
              tone="quiet"
            >{`Too low for it as it stands when it is picked: ${data.tooLow.join(', ')}.`}</Text>
          ) : null}
          <PartTitle>What it stands</PartTitle>
          <Text>{`Leaves burn from ${format.t(data.damageC[0])} fresh from the tray, ${format.t(data.damageC[1])} hardened; half the plants are lost at ${format.t(data.deathC[0])} and ${format.t(data.deathC[1])}.${data.chillingC === null ? '' : ` Nights under ${format.t(data.chillingC)} set it back.`} Starting values.`}</Text>
          <Text kind="small" tone="quiet">
            {`${climateWords(data.climate, format)} Opened as it is usual for this crop; where a sheet is named it lies on nights that fall under ${format.t(4, 0)} outside.`}
          </Text>
        </View>
      ) : null}
    </Page>
  );
}
