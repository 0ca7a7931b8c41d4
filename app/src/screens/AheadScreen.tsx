/**
 * Ahead. It answers: how do the next nights look, what will be moved, and when do I run short of sheets? It opens with the hardest. A row a night on
 * a phone; wide, places by nights.
 */
import type { AheadNight, AheadView } from '@fogata/contract/told';
import { addDays } from '@fogata/core';
import { router } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  aheadSentence,
  nightName,
  nightWords,
  noSheetsWords,
  shortWords,
  togetherWords,
  tonightWords,
  workWords,
} from '@fogata/words/en/screens/aheadWords';
import { dayShort } from '@fogata/words/en/screens/seasonWords';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, Row, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { decide } from '../data/actions';
import { useFormat } from '../data/format';
import { planAgain, useAhead } from '../data/hooks';
import { aheadScreen as words } from '@fogata/words/en/screens/ahead';

function NightRow({ n, first, firstNight }: { n: AheadNight; first: boolean; firstNight: string }) {
  const format = useFormat();
  return (
    <Row first={first}>
      <View style={{ flex: 1, gap: 4 }} testID={`ahead-${n.night}`}>
        <View style={styles.head}>
          <Text kind="figure">{nightName(n.night, firstNight)}</Text>
          <Text kind="label" tone="quiet">
            {words.to(dayShort(n.night.slice(5)), dayShort(addDays(n.night, 1).slice(5)))}
          </Text>
          <Text kind="figure" tone={n.outsideC.mid < 0 ? 'frost' : 'ink'}>
            {format.range(n.outsideC.low, n.outsideC.high)}
          </Text>
        </View>
        <Text>{nightWords(n, format)}</Text>
        <Text kind="small" tone="quiet">
          {`${workWords(n)} ${
            n.lossPlanned >= 1
              ? words.atRiskAsPlannedAbout(format.money(n.lossPlanned), format.money(n.lossLeft))
              : n.lossLeft >= 1
                ? words.leftAloneItWouldCost(format.money(n.lossLeft))
                : words.leftAloneItCostsNothing
          }`}
        </Text>
        {n.short.length > 0 && n.shortSaves >= 1 ? (
          <Text kind="small" tone="ochre">
            {words.wouldSaveAboutMore(shortWords(n), format.money(n.shortSaves))}
          </Text>
        ) : null}
      </View>
    </Row>
  );
}

/** Places by nights: the leaf's lowest, and how far from harm. */
function Grid({ view }: { view: AheadView }) {
  const format = useFormat();
  const firstNight = view.nights[0]!.night;
  const beds = view.nights[0]!.places.map((p) => p);
  return (
    <View testID="ahead-grid" style={{ paddingTop: 16 }}>
      <View style={styles.line}>
        <View style={styles.name} />
        {view.nights.map((n) => (
          <View key={n.night} style={styles.cell}>
            <Text kind="label">{nightName(n.night, firstNight)}</Text>
            <Text kind="small" tone="quiet">
              {words.outside(format.range(n.outsideC.low, n.outsideC.high))}
            </Text>
          </View>
        ))}
      </View>
      {beds.map((b, i) => (
        <Row key={b.bedId} first={i === 0}>
          <Pressable
            role="link"
            aria-label={`${b.name}, ${b.place}`}
            onPress={() => router.push(`/place/${b.bedId}`)}
            style={styles.name}
          >
            <Text kind="strong">{b.name}</Text>
            <Text kind="small" tone="quiet">
              {b.crop}
            </Text>
          </Pressable>
          {view.nights.map((n) => {
            const p = n.places.find((x) => x.bedId === b.bedId);
            const harmed = p && p.harmChance >= 0.2;
            return (
              <View key={n.night} style={styles.cell}>
                {p ? (
                  <>
                    <Text kind="figure" tone={harmed ? 'frost' : 'ink'}>
                      {`${harmed ? '▼ ' : ''}${format.t(p.leafC.mid)}`}
                    </Text>
                    <Text kind="small" tone="quiet">
                      {p.marginK >= 0
                        ? words.toSpare(format.diff(p.marginK).replace('+', ''))
                        : words.tooCold(format.diff(-p.marginK).replace('+', ''))}
                    </Text>
                  </>
                ) : (
                  <Text tone="quiet">–</Text>
                )}
              </View>
            );
          })}
        </Row>
      ))}
    </View>
  );
}

/** The nights as one choice: what it is worth, and what it would have tonight be. */
function TogetherPart({ view }: { view: AheadView }) {
  const format = useFormat();
  const t = view.together!;
  const night = view.nights[0]!.night;
  return (
    <View testID="together" style={{ gap: 8, paddingTop: 12 }}>
      <Text tone="quiet">{togetherWords(t, format)}</Text>
      {t.tonight.beds.length > 0 ? (
        <>
          <Text tone="ember">{words.forWhatComesAfterMore(format.money(t.tonight.saves))}</Text>
          {t.tonight.beds.map((b) => (
            <Text key={b.bedId}>{tonightWords(b)}</Text>
          ))}
          <View style={{ flexDirection: 'row' }}>
            <Button
              label={words.planTonightSo}
              onPress={() =>
                void decide(
                  'changed',
                  t.tonight.beds.map(({ bedId, key }) => ({ bedId, key })),
                  night,
                  view.nowAtMs,
                  words.tonightPlannedForTheNights,
                )
              }
              testID="plan-tonight-so"
            />
          </View>
        </>
      ) : null}
    </View>
  );
}

export function AheadScreen() {
  const { data, error } = useAhead();
  const format = useFormat();
  const wide = useWide();
  return (
    <Page testID="ahead" width={wide ? 1200 : 640}>
      <TopLine back={words.now} />
      {data ? (
        <Sentence parts={aheadSentence(data, format)} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheNightsToCome} />
      )}
      {data?.progress.state === 'computing' ? (
        <Loading what={words.workingOutTheNightsOne(data.nights.length, data.progress.of)} />
      ) : null}
      {data?.progress.state === 'failed' ? (
        <Problem onRetry={() => void planAgain()}>{data.progress.message ?? ''}</Problem>
      ) : null}
      {data?.lack ? (
        <View style={{ paddingTop: 12, flexDirection: 'row' }}>
          <Button kind="main" label={words.tellTheWeather} onPress={() => router.push('/forecast')} />
        </View>
      ) : null}
      {data && data.nights.length > 0 ? (
        <>
          {wide ? <Grid view={data} /> : null}
          {data.noSheets ? (
            <Text testID="no-sheets" style={{ paddingTop: 12 }}>
              {noSheetsWords(data.noSheets, dayShort)}
            </Text>
          ) : null}
          {data.together ? <TogetherPart view={data} /> : null}
          <PartTitle>{words.nightByNight}</PartTitle>
          {data.nights.map((n, i) => (
            <NightRow key={n.night} n={n} first={i === 0} firstNight={data.nights[0]!.night} />
          ))}
          <Text kind="small" tone="quiet" style={{ paddingTop: 12 }}>
            {words.theForecastReachesToNothing(format.day(data.untilAtMs!), format.time(data.untilAtMs!))}
          </Text>
        </>
      ) : null}
    </Page>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'baseline', gap: 12, flexWrap: 'wrap' },
  line: { flexDirection: 'row', paddingBottom: 8 },
  name: { width: 150 },
  cell: { flex: 1, minWidth: 90 },
});
