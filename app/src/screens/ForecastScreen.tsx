/** Tonight's weather. It answers: what does your forecast say? It opens with that, read back as it is entered. */
import { api, call } from '@fogata/contract/client';
import { expectedOf, typedSchema } from '@fogata/contract';
import { HOUR_MS, skySaid, SURE, type Segment, type Sure, type TypedForecast } from '@fogata/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Problem } from '../components/ui/Bars';
import { Button } from '../components/ui/Button';
import { ClockStepper } from '../components/ui/ClockStepper';
import { Choose, Labelled } from '../components/ui/Fields';
import { ForecastList } from '../components/night/ForecastList';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { Stepper } from '../components/ui/Stepper';
import { Text } from '../components/ui/Text';
import { SKY, WIND, windLabel } from '@fogata/words/en/screens/weatherWords';
import { useFormat, type Format } from '../data/format';
import { change, useFarm } from '../data/hooks';
import { useDraft } from '../data/useDraft';
import { offerUndo } from '../data/undo';
import { forecastScreen as words } from '@fogata/words/en/screens/feeds';

type Typed = { [K in keyof TypedForecast]-?: TypedForecast[K] | null };

/** What falls in the night: rain, and fresh snow as it lies, mm. */
const FALLS = [
  { rainMm: 0, snowMm: 0, word: words.nothing },
  { rainMm: 3, snowMm: 0, word: words.someRain },
  { rainMm: 12, snowMm: 0, word: words.muchRain },
  { rainMm: 0, snowMm: 20, word: words.someSnow },
  { rainMm: 0, snowMm: 100, word: words.snow },
  { rainMm: 0, snowMm: 250, word: words.muchSnow },
] as const;
const SURE_WORDS: Record<Sure, string> = {
  sure: words.sureOfIt,
  usual: words.asSureAsUsual,
  doubtful: words.notSure,
};

const NAMES: Record<keyof TypedForecast, string> = {
  lowC: words.lowestOfTheNight,
  lowAtMs: words.whenItIsLowest,
  highC: words.highestByDay,
  windMs: words.wind,
  cloud: words.sky,
  sure: words.howSureItSounds,
  rainMm: words.rain,
  snowMm: words.snow2,
};

function fallsLabel(f: (typeof FALLS)[number], format: Format): string {
  const mm = f.rainMm + f.snowMm;
  if (mm === 0) return f.word;
  if (format.length === 'ft') return words.inWord(f.word, (mm / 25.4).toFixed(mm < 25 ? 1 : 0));
  return f.snowMm > 0 ? words.cm(f.word, mm / 10) : words.mm(f.word, mm);
}

/** As far as it has been said, read back. */
function readBack(t: Typed, format: Format): Segment[] {
  if (t.lowC === null) return [{ text: words.whatDoesYourForecastSay, tone: 'plain' }];
  const out: Segment[] = [
    {
      text: words.by(format.t(t.lowC, 0), format.time(t.lowAtMs!)),
      tone: t.lowC < 0.5 ? 'frost' : 'plain',
    },
  ];
  if (t.cloud !== null && t.windMs !== null)
    out.push({ text: `, ${format.say(skySaid(t.cloud, t.windMs))}`, tone: 'plain' });
  const falls = FALLS.find((f) => f.rainMm === t.rainMm && f.snowMm === t.snowMm);
  if (falls && falls.rainMm + falls.snowMm > 0)
    out.push({ text: `, ${fallsLabel(falls, format)}`, tone: 'plain' });
  out.push({ text: t.highC === null ? '.' : words.upToByDay(format.t(t.highC, 0)), tone: 'plain' });
  return out;
}

function Form({ nowAtMs, lowAtMs }: { nowAtMs: number; lowAtMs: number }) {
  const format = useFormat();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [draft, put, clear] = useDraft<Typed>(`forecast:${Math.round(lowAtMs / HOUR_MS / 24)}`, {
    lowC: null,
    lowAtMs: lowAtMs,
    highC: null,
    windMs: null,
    cloud: null,
    sure: 'usual',
    rainMm: 0,
    snowMm: 0,
  });
  const t = draft!;
  const own = (c: number | null) => (c === null ? null : Math.round(format.inUnit(c)));
  const save = async () => {
    const read = typedSchema.safeParse(t);
    if (!read.success) {
      const issue = read.error.issues[0]!;
      const field = NAMES[issue.path[0] as keyof TypedForecast];
      setProblem(words.theForecastExpected(field, format.say(expectedOf(issue))));
      return;
    }
    setBusy(true);
    setProblem(null);
    try {
      const { id } = await change(call(api.typedForecast), read.data);
      clear();
      offerUndo(words.tonightsWeatherTold, () => change(call(api.dropForecast, { id })));
      router.replace('/');
    } catch (e) {
      setProblem(words.whatYouEnteredIsKept((e as Error).message));
    } finally {
      setBusy(false);
    }
  };
  const missing = t.lowC === null || t.highC === null || t.windMs === null || t.cloud === null;
  return (
    <View style={{ gap: 18 }}>
      <Sentence parts={readBack(t, format)} />
      <Labelled label={words.lowestOfTheNight}>
        <Stepper
          label={words.lowest}
          value={own(t.lowC)}
          start={own(0)!}
          onChange={(v) => put({ lowC: format.fromUnit(v) })}
          step={1}
          bigStep={5}
          digits={0}
          unit={`°${format.unit}`}
          min={own(-60)!}
          max={own(45)!}
          signed
          large
          testID="typed-low"
        />
      </Labelled>
      <ClockStepper
        label={words.itIsLowestAbout}
        valueAtMs={t.lowAtMs!}
        fromAtMs={nowAtMs}
        toAtMs={nowAtMs + 30 * HOUR_MS}
        onChange={(lowAtMs) => put({ lowAtMs })}
      />
      <Labelled label={words.highestByDay}>
        <Stepper
          label={words.highest}
          value={own(t.highC)}
          start={own(t.lowC ?? 0)! + 5}
          onChange={(v) => put({ highC: format.fromUnit(v) })}
          step={1}
          bigStep={5}
          digits={0}
          unit={`°${format.unit}`}
          min={own(-60)!}
          max={own(60)!}
          signed
          testID="typed-high"
        />
      </Labelled>
      <Choose
        label={words.windInTheNight}
        value={t.windMs}
        options={WIND.map(({ value, word }) => ({ value, label: windLabel(value, word, format) }))}
        onChange={(windMs) => put({ windMs })}
      />
      <Choose
        label={words.skyInTheNight}
        value={t.cloud}
        options={SKY}
        onChange={(cloud) => put({ cloud })}
      />
      <Choose
        label={words.whatFallsInTheNight}
        value={FALLS.findIndex((f) => f.rainMm === t.rainMm && f.snowMm === t.snowMm)}
        options={FALLS.map((f, value) => ({ value, label: fallsLabel(f, format) }))}
        onChange={(i) => put({ rainMm: FALLS[i]!.rainMm, snowMm: FALLS[i]!.snowMm })}
      />
      <Choose
        label={words.howSureItSounds}
        value={t.sure}
        options={SURE.map((value) => ({ value, label: SURE_WORDS[value] }))}
        onChange={(sure) => put({ sure })}
      />
      {problem ? <Problem>{problem}</Problem> : null}
      <Button
        wide
        kind="main"
        label={words.lowestHighestWindAndSky(missing)}
        disabled={missing || busy}
        onPress={() => void save()}
        testID="typed-save"
      />
      <Text kind="small" tone="quiet">
        {words.theHoursBetweenAreShaped}
      </Text>
    </View>
  );
}

export function ForecastScreen() {
  const { data, error } = useFarm();
  const clock = data?.clock;
  // the coming night's sunrise, when it is usually coldest; half past six where the sun does not rise
  const dawn = clock ? (clock.window.sunriseAtMs ?? clock.window.toAtMs - 5.5 * HOUR_MS) : 0;
  const lowAtMs = clock
    ? Math.round((dawn < clock.nowAtMs ? dawn + 24 * HOUR_MS : dawn) / (HOUR_MS / 2)) * (HOUR_MS / 2)
    : 0;
  return (
    <Page testID="forecast">
      <TopLine back={words.now} />
      {clock ? (
        <Form nowAtMs={clock.nowAtMs} lowAtMs={lowAtMs} key={lowAtMs} />
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingTheFarm} />
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 16 }}>
        <Button
          label={words.bringATableOfHours}
          onPress={() => router.push('/import')}
          testID="open-import"
        />
        <Button label={words.letItComeByItself} onPress={() => router.push('/feeds')} testID="open-feeds" />
      </View>
      <ForecastList />
    </Page>
  );
}
