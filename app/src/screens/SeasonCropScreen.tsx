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
} from '@fogata/words/en/screens/seasonWords';
import { NeedPanel } from '../components/season/NeedPanel';
import { startWays } from '@fogata/words/en/screens/compareWords';
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
import { seasonCropScreen as words } from '@fogata/words/en/screens/season';

const SCHOOL = {
  layers: words.weeksForEachLayerFrom,
  light: words.asTheLightAllows,
  risk: words.comesOffInNineYears,
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
      <Fold title={words.theThreeSchoolsAndWhy}>
        {(['layers', 'light', 'risk'] as const).map((school) => (
          <View key={school} style={{ gap: 2 }}>
            <Text kind="strong">{SCHOOL[school]}</Text>
            {place.windows
              .filter((w) => w.school === school)
              .map((w) => (
                <Text key={w.season} kind="small" tone="quiet">
                  {`${upper(w.season)}: ${
                    w.earliest && w.latest
                      ? words.to({
                          earliest: dayShort(w.earliest),
                          latest: dayShort(w.latest),
                          best: w.best ? words.best(dayShort(w.best)) : '',
                        })
                      : words.none
                  }${w.reasons
                    .map((r) => `${upper(`${r.edge === 'best' && !w.best ? '' : `${r.edge}: `}${r.why}`)}.`)
                    .join(' ')}`}
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
      <TopLine back={words.season} />
      {data ? (
        <Sentence parts={cropSentence(data)} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheCrop} />
      )}
      {data?.progress.state === 'computing' ? (
        <Loading what={words.goingThroughAHundredYears(data.progress.done, data.progress.of)} />
      ) : null}
      {data?.progress.state === 'failed' ? (
        <Problem onRetry={() => void seasonAgain()}>{data.progress.message ?? ''}</Problem>
      ) : null}
      {data?.progress.state === 'empty' ? <Text>{words.setUpAStructureWith}</Text> : null}
      {data && data.places.length > 0 ? (
        <View style={{ gap: 10, paddingTop: 4 }}>
          {data.mayTransplant ? (
            <Choose
              label={words.begun}
              value={data.how}
              options={[
                { value: 'sow', label: words.sownWhereItGrows },
                { value: 'transplant', label: words.plantedFromTrays },
              ]}
              onChange={setHow}
            />
          ) : null}
          <View role="group" aria-label={words.onWord(begun)} style={{ gap: 6 }}>
            <Text kind="label" tone="quiet">
              {words.whatIfItIsOn(begun)}
            </Text>
            <Text kind="figure" live testID="season-at">
              {at === today ? words.today(dayWords(at)) : dayWords(at)}
            </Text>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              <Button label={words.words4Weeks} hint={words.fourWeeksEarlier} onPress={() => move(-28)} />
              <Button label={words.words1Week} hint={words.aWeekEarlier} onPress={() => move(-7)} />
              <Button
                label={words.words1Week2}
                hint={words.aWeekLater}
                onPress={() => move(7)}
                testID="week-later"
              />
              <Button label={words.words4Weeks2} hint={words.fourWeeksLater} onPress={() => move(28)} />
              {at !== today ? (
                <Button kind="plain" label={words.today2} onPress={() => setMoved(null)} />
              ) : null}
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
              label={words.sideBySideWithAnother}
              onPress={() => router.push(`/compare?ways=${encodeURIComponent(startWays(data, at))}`)}
              testID="to-compare"
            />
          </View>
          <NeedPanel crop={data.crop} how={data.how} today={data.today} key={data.crop} />
          {data.tooLow.length > 0 ? (
            <Text kind="small" tone="quiet">
              {words.tooLowForItAs(data.tooLow.join(', '))}
            </Text>
          ) : null}
          <PartTitle>{words.whatItStands}</PartTitle>
          <Text>
            {words.leavesBurnFromFreshFrom({
              damageC: format.t(data.damageC[0]),
              damageC2: format.t(data.damageC[1]),
              deathC: format.t(data.deathC[0]),
              deathC2: format.t(data.deathC[1]),
              chillingC: data.chillingC === null ? '' : words.nightsUnderSetItBack(format.t(data.chillingC)),
            })}
          </Text>
          <Text kind="small" tone="quiet">
            {words.openedAsItIsUsual(climateWords(data.climate, format), format.t(4, 0))}
          </Text>
        </View>
      ) : null}
    </Page>
  );
}
