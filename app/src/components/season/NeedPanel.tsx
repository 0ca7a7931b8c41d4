/** Backwards from a need. It answers: so much a week, from then to then: what do I sow when, where, and what will it cost in metres? */
import { api, call, type Query } from '@fogata/contract/client';
import type { NeedSowingView, NeedView } from '@fogata/contract/told';
import { addDays, cropById, type Planting, type Segment } from '@fogata/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { retract } from '../../data/actions';
import { useFormat } from '../../data/format';
import { change, useFarm, useNeed } from '../../data/hooks';
import { newId } from '../../data/id';
import { offerUndo } from '../../data/undo';
import { useTheme } from '../../theme/theme';
import { Problem } from '../ui/Bars';
import { Button } from '../ui/Button';
import { DateStepper } from '../ui/DateStepper';
import { Fold, Measured } from '../ui/Fields';
import { Loading, Row } from '../ui/Page';
import { Sentence } from '../ui/Sentence';
import { Text } from '../ui/Text';
import { needSentence, sowingWords, spotWords } from '@fogata/words/en/screens/needWords';
import { dayShort } from '@fogata/words/en/screens/seasonWords';
import { needPanel as texts } from '@fogata/words/en/screens/seasonPanels';

function Weeks({ view }: { view: NeedView }) {
  const theme = useTheme();
  const format = useFormat();
  const { weeks } = view.answer!;
  const most = Math.max(view.kgPerWeek, ...weeks.map((w) => w.kg));
  const words = weeks
    .map((w) => texts.weekOf(dayShort(w.from.slice(5)), format.mass(Number(w.kg.toFixed(1)))))
    .join('; ');
  return (
    <View
      role="img"
      aria-label={texts.whatItGivesByThe(words)}
      style={[styles.weeks, { borderColor: theme.quiet }]}
    >
      {weeks.map((w) => (
        <View key={w.from} style={styles.week}>
          <View
            style={{
              height: Math.max(1, (70 * w.kg) / most),
              backgroundColor: w.shortKg > 0.05 * view.kgPerWeek ? theme.ochre : theme.pine,
            }}
          />
        </View>
      ))}
      <View
        style={{
          position: 'absolute',
          left: 0,
          right: 0,
          bottom: (70 * view.kgPerWeek) / most,
          borderTopWidth: 1,
          borderStyle: 'dashed',
          borderColor: theme.ink,
        }}
      />
    </View>
  );
}

const plantingsOf = (view: NeedView, s: NeedSowingView, lot: string): Planting[] =>
  s.spots.map((x) => ({
    id: newId(),
    bedId: x.bedId,
    crop: view.crop,
    cultivar: lot,
    fromRow: x.fromRow,
    toRow: x.toRow,
    lengthM: x.lengthM,
    plantedOn: s.date,
    clearedOn: s.overOn,
    aim: cropById(view.crop).aim,
    note: '',
    how: s.how,
    planned: true,
  }));

function Answer({ view }: { view: NeedView }) {
  const format = useFormat();
  const { data: farm } = useFarm();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const answer = view.answer!;
  const placed = answer.sowings.flatMap((s) => plantingsOf(view, s, ''));
  const take = async () => {
    setBusy(true);
    setProblem(null);
    try {
      const { recordId } = await change(call(api.putPlantings), {
        name: texts.forAWeek(view.name, format.mass(view.kgPerWeek)),
        plantings: placed,
      });
      if (recordId)
        offerUndo(texts.plantingsOf(placed.length, view.name), () =>
          retract([recordId], farm?.clock.nowAtMs ?? Date.now()),
        );
    } catch (e) {
      setProblem((e as Error).message);
    }
    setBusy(false);
  };
  const parts: Segment[] = needSentence(view, format);
  return (
    <View style={{ gap: 8 }} testID="need-answer">
      <Sentence parts={parts} />
      {answer.sowings.length > 0 ? <Weeks view={view} /> : null}
      {answer.sowings.map((s, n) => (
        <Row key={`${s.structureId} ${s.date}`} first={n === 0}>
          <View style={{ flex: 1, gap: 2 }}>
            <Text kind="strong">{sowingWords(view, s, format)}</Text>
            <Text kind="small" tone="quiet">
              {spotWords(s, format)}
            </Text>
            {s.leftM > 0 ? (
              <Text kind="small" tone="ochre">
                {texts.ofItFindNoFree(format.metres(Number(s.leftM.toFixed(1))))}
              </Text>
            ) : null}
          </View>
        </Row>
      ))}
      {problem ? <Problem>{problem}</Problem> : null}
      {placed.length > 0 ? (
        <Button
          wide
          kind="main"
          disabled={busy}
          label={texts.puttingThemOnTheList(busy)}
          onPress={() => void take()}
          testID="need-take"
        />
      ) : null}
      <Text kind="small" tone="quiet">
        {texts.theFewestMetresInThe}
      </Text>
    </View>
  );
}

export function NeedPanel({ crop, how, today }: { crop: string; how: 'sow' | 'transplant'; today: string }) {
  const [asked, setAsked] = useState<Query | null>(null);
  const [from, setFrom] = useState(addDays(today, 90));
  const [to, setTo] = useState(addDays(today, 150));
  const [kg, setKg] = useState(5);
  const { data, error } = useNeed(crop, asked);
  if (cropById(crop).yieldKgPerM === null) return null;
  const query = { from, to, kg, how };
  const addressOf = (q: Query) => call(api.need, { crop }, q).address;
  return (
    <Fold title={texts.backwardsFromWhatYouNeed}>
      <View style={{ gap: 12 }}>
        <Measured
          label={texts.wantedAWeek}
          what="mass"
          value={kg}
          onChange={setKg}
          min={0.1}
          max={2000}
          digits={1}
          steps={{ si: [0.5, 5], feet: [1, 10] }}
          testID="need-kg"
        />
        <DateStepper label={texts.from} value={from} onChange={setFrom} />
        <DateStepper label={texts.until} value={to} onChange={setTo} />
        <Button
          kind="main"
          label={texts.whatDoIBeginWhen}
          onPress={() => setAsked(query)}
          testID="need-ask"
        />
        {error ? <Problem>{(error as Error).message}</Problem> : null}
        {data?.progress.state === 'computing' ? (
          <Loading what={texts.goingThroughAHundredYears(data.progress.done, data.progress.of)} />
        ) : null}
        {asked && data?.answer ? <Answer view={data} /> : null}
        {asked && addressOf(asked) !== addressOf(query) ? (
          <Text kind="small" tone="ochre">
            {texts.thisIsOfWhatWas}
          </Text>
        ) : null}
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({
  weeks: { flexDirection: 'row', alignItems: 'flex-end', height: 84, gap: 2, borderBottomWidth: 1 },
  week: { flex: 1, justifyContent: 'flex-end' },
});
