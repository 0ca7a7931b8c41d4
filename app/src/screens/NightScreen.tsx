/** A night looked back on. It answers: how far off was it, and whose fault was that? */
import { addDays } from '@fogata/core';
import { router } from 'expo-router';
import { useWindowDimensions, View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { dateWords } from '../components/ui/DateStepper';
import { NightChart } from '../components/night/NightChart';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { refresh, useNight } from '../data/hooks';
import { nightScreen as texts } from '@fogata/words/en/screens/night';

export function NightScreen({ night }: { night: string }) {
  const { data, error } = useNight(night);
  const format = useFormat();
  const { width } = useWindowDimensions();
  const inner = Math.min(width - 100, 640) - 36;
  return (
    <Page testID="night">
      <TopLine back={texts.log} />
      <Text kind="label" tone="quiet">
        {texts.nightOf(dateWords(night))}
      </Text>
      {data ? (
        <>
          <Sentence parts={data.sentence} />
          <PartTitle right={texts.dotsTheRangeThatWas}>{texts.lowestBySpot}</PartTitle>
          <NightChart report={data} format={format} width={Math.max(300, Math.min(width, 640) - 36, inner)} />
          {data.spots.map((s, n) => (
            <Row key={s.spot} first={n === 0}>
              <View style={{ flex: 1 }}>
                <Text kind="strong">{s.name}</Text>
                <Text kind="small" tone="quiet">
                  {s.words}
                </Text>
                {s.predictedC ? (
                  <Text kind="small" tone="quiet">
                    {texts.said(
                      format.t(s.predictedC.mid),
                      format.range(s.predictedC.low, s.predictedC.high),
                    )}
                  </Text>
                ) : null}
              </View>
              <Text kind="figure" tone={(s.measuredMinC ?? 1) < 0 ? 'frost' : 'ink'}>
                {s.measuredMinC === null ? '–' : format.t(s.measuredMinC)}
              </Text>
            </Row>
          ))}
          <Text kind="small" tone="quiet" style={{ paddingTop: 12 }}>
            {texts.theWeathersPartIsWhat}
          </Text>
          {data.learnt.length > 0 ? (
            <View testID="learnt">
              <PartTitle right={texts.upToTheNightBefore}>{texts.whatTheReadingsTaught}</PartTitle>
              {data.learnt.map((l) => (
                <Text key={l.structureId} style={{ paddingVertical: 4 }}>
                  {l.words}
                </Text>
              ))}
            </View>
          ) : null}
        </>
      ) : error ? (
        <Problem onRetry={() => void refresh()}>{(error as Error).message}</Problem>
      ) : (
        <Loading what={texts.lookingBack} />
      )}
      <View style={{ flexDirection: 'row', gap: 8, paddingTop: 16 }}>
        <Button label={texts.nightBefore} onPress={() => router.replace(`/night/${addDays(night, -1)}`)} />
        <Button label={texts.nightAfter} onPress={() => router.replace(`/night/${addDays(night, 1)}`)} />
      </View>
    </Page>
  );
}
