/**
 * Plans of the year side by side. It answers: what is my change worth, in money, kilos, hours and surety, and which plan do I take? What
 * stands is in all of them and is touched by none.
 */
import { api, call } from '@fogata/contract/client';
import { tally, type RelayYear } from '@fogata/core/relay';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { retract } from '../../data/actions';
import { useFormat } from '../../data/format';
import { change, useFarm, useScenarios } from '../../data/hooks';
import { newId } from '../../data/id';
import { offerUndo } from '../../data/undo';
import { useTheme } from '../../theme/theme';
import { Problem } from '../ui/Bars';
import { Button } from '../ui/Button';
import { NoteField } from '../ui/Field';
import { Fold } from '../ui/Fields';
import { Sentence } from '../ui/Sentence';
import { Text } from '../ui/Text';
import { yearOf } from './board';
import { planLines, planSentence, type PlanColumn } from '@fogata/words/en/screens/scenarioWords';
import { scenariosPanel as words } from '@fogata/words/en/screens/scenarios';

const WEEKS = 52;
const NO_MOVES = new Map();

function Columns({
  plans,
  onTake,
  onDrop,
}: {
  plans: readonly PlanColumn[];
  onTake: (p: PlanColumn) => void;
  onDrop: (p: PlanColumn) => void;
}) {
  const format = useFormat();
  const theme = useTheme();
  return (
    <ScrollView horizontal tabIndex={0} aria-label={words.plansSideBySide}>
      <View role="table" aria-label={words.plansSideBySide} testID="plans">
        <View role="row" style={[styles.row, { borderColor: theme.ink }]}>
          <View role="columnheader" style={styles.label} aria-label={words.what} />
          {plans.map((p) => (
            <View role="columnheader" key={p.id ?? ''} style={styles.cell}>
              <Text kind="strong">{p.name}</Text>
            </View>
          ))}
        </View>
        {planLines(plans, format).map((l) => (
          <View role="row" key={l.label} style={[styles.row, { borderColor: theme.hairline }]}>
            <View role="rowheader" style={styles.label}>
              <Text kind="label" tone="quiet">
                {l.label}
              </Text>
            </View>
            {plans.map((p, n) => (
              <View role="cell" key={p.id ?? ''} style={styles.cell}>
                <Text kind={l.best[n] ? 'strong' : 'body'} tone={l.best[n] ? 'pine' : 'ink'}>
                  {`${l.values[n]}${l.best[n] ? ' ✓' : ''}`}
                </Text>
              </View>
            ))}
          </View>
        ))}
        <View role="row" style={styles.row}>
          <View role="cell" style={styles.label} />
          {plans.map((p) => (
            <View role="cell" key={p.id ?? ''} style={[styles.cell, { gap: 6, paddingTop: 8 }]}>
              {p.id === null ? null : (
                <>
                  <Button
                    label={words.makeItThePlan}
                    hint={words.makeThePlan(p.name)}
                    onPress={() => onTake(p)}
                    testID="plan-take"
                  />
                  <Button
                    kind="plain"
                    label={words.throwAway}
                    hint={words.throwAway2(p.name)}
                    onPress={() => onDrop(p)}
                  />
                </>
              )}
            </View>
          ))}
        </View>
      </View>
    </ScrollView>
  );
}

function Plans({ year }: { year: RelayYear }) {
  const format = useFormat();
  const nowAtMs = useFarm().data?.clock.nowAtMs;
  const { data, error } = useScenarios(true);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const plans = useMemo(
    (): PlanColumn[] => [
      { id: null, name: words.plannedNow, tally: tally(year, year.today, WEEKS), ready: true },
      ...(data?.scenarios ?? []).map((s) => ({
        id: s.id,
        name: s.name,
        tally: tally(yearOf(s.relay, NO_MOVES), year.today, WEEKS),
        ready: s.relay.progress.state !== 'computing',
      })),
    ],
    [year, data],
  );
  const tried = async (run: () => Promise<void>) => {
    setProblem(null);
    try {
      await run();
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const keep = () =>
    tried(async () => {
      await change(call(api.keepScenario), { id: newId(), name: name.trim() });
      setName('');
    });
  const take = (p: PlanColumn) =>
    tried(async () => {
      const { recordId } = await change(call(api.takeScenario, { id: p.id! }));
      if (recordId !== null && nowAtMs !== undefined)
        offerUndo(words.isThePlan(p.name), () => retract([recordId], nowAtMs));
    });
  const drop = (p: PlanColumn) =>
    tried(async () => void (await change(call(api.dropScenario, { id: p.id! }))));
  return (
    <View style={{ gap: 12 }} testID="scenarios">
      <Sentence parts={planSentence(plans, format)} />
      {problem ? <Problem>{problem}</Problem> : null}
      {error ? <Problem>{(error as Error).message}</Problem> : null}
      {plans.length > 1 ? (
        <Columns plans={plans} onTake={(p) => void take(p)} onDrop={(p) => void drop(p)} />
      ) : null}
      <NoteField
        label={words.putWhatIsPlannedNow}
        value={name}
        onChange={setName}
        placeholder={words.earlyTomatoes}
        testID="plan-name"
      />
      <View style={{ flexDirection: 'row' }}>
        <Button
          label={words.putItBy}
          disabled={name.trim() === ''}
          onPress={() => void keep()}
          testID="plan-keep"
        />
      </View>
      <Text kind="small" tone="quiet">
        {words.ofTheYearFromToday}
      </Text>
    </View>
  );
}

export function ScenariosPanel({ year }: { year: RelayYear }) {
  return (
    <Fold title={words.plansSideBySide}>
      <Plans year={year} />
    </Fold>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderBottomWidth: 1, minHeight: 36 },
  label: { width: 150, justifyContent: 'center' },
  cell: { width: 170, paddingHorizontal: 8, justifyContent: 'center' },
});
