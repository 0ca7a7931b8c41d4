/** What is counted. It answers: when is it ripe, in flower, cold enough? Each from its event, by days that were and years that may come. */
import type { Counter } from '@fogata/contract';
import type { CounterView } from '@fogata/contract/told';
import { CROPS, cropById } from '@fogata/core';
import { usualCount } from '@fogata/core/season';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBeds, useCounters, useFarm } from '../../data/hooks';
import { newId } from '../../data/id';
import { useSaveFarm } from '../../data/useSaveFarm';
import { useTheme } from '../../theme/theme';
import { Problem } from '../ui/Bars';
import { Button } from '../ui/Button';
import { CropChoice } from '../ui/CropChoice';
import { DateStepper } from '../ui/DateStepper';
import { NoteField } from '../ui/Field';
import { Amount, Choose, Degrees, Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { counterWords, soFarWords } from '@fogata/words/en/screens/counterWords';
import { countersPanel as words } from '@fogata/words/en/screens/seasonPanels';

const WHAT = [
  { value: 'ripe', label: words.fruitSetToRipe },
  { value: 'bloom', label: words.plantingToFlower },
  { value: 'cold', label: words.weeksOfColdForBulbs },
  { value: 'heat', label: words.warmthToAMark },
] as const;

function Line({
  v,
  today,
  first,
  onRemove,
}: {
  v: CounterView;
  today: string;
  first: boolean;
  onRemove: () => void;
}) {
  const theme = useTheme();
  return (
    <Row first={first}>
      <View style={{ flex: 1, gap: 3 }}>
        <Text kind="strong">{v.counter.name}</Text>
        <Text tone={v.full ? 'ember' : 'ink'}>{counterWords(v, today)}</Text>
        <View
          role="img"
          aria-label={words.perCent(Math.round(100 * v.share))}
          style={[styles.track, { borderColor: theme.hairline }]}
        >
          <View style={{ width: `${100 * v.share}%`, height: 6, backgroundColor: theme.pine }} />
        </View>
        <Text kind="small" tone="quiet">
          {soFarWords(v, today)}
        </Text>
      </View>
      <Button kind="plain" label={words.stop} hint={words.stopCounting(v.counter.name)} onPress={onRemove} />
    </Row>
  );
}

function Fresh({ today, onAdd }: { today: string; onAdd: (c: Counter) => void }) {
  const { data: beds } = useBeds();
  const [c, set] = useState<Counter>(() => ({
    id: newId(),
    name: words.tomatoesFirstTruss,
    what: 'ripe',
    crop: 'tomato',
    structureId: null,
    from: today,
    ...usualCount('ripe', cropById('tomato')),
  }));
  const change = (what: Counter['what'], crop: string | null) => {
    const of = what === 'ripe' || what === 'bloom' ? cropById(crop ?? 'tomato') : null;
    set({ ...c, what, crop: of?.id ?? null, ...usualCount(what, of) });
  };
  return (
    <View style={{ gap: 12 }}>
      <NoteField
        label={words.called}
        value={c.name}
        onChange={(name) => set({ ...c, name })}
        testID="counter-name"
      />
      <Choose
        label={words.whatIsCounted}
        value={c.what}
        options={WHAT}
        onChange={(what) => change(what, c.crop)}
      />
      {c.crop === null ? null : (
        <CropChoice
          crops={CROPS}
          value={c.crop}
          placeholder={words.tomatoes}
          onChange={(id) => change(c.what, id)}
        />
      )}
      <Choose
        label={words.where}
        value={c.structureId ?? ''}
        options={[
          { value: '', label: words.inTheOpen },
          ...(beds?.structures ?? [])
            .filter((s) => s.structure.kind !== 'open')
            .map((s) => ({ value: s.structure.id, label: s.structure.name })),
        ]}
        onChange={(id) => set({ ...c, structureId: id === '' ? null : id })}
      />
      <DateStepper label={words.from} value={c.from} onChange={(from) => set({ ...c, from })} />
      <Degrees
        label={words.coldCountsUpToWarmth(c.what)}
        value={c.baseC}
        onChange={(baseC) => set({ ...c, baseC })}
        step={0.5}
        bigStep={2}
        min={-5}
        max={25}
        signed
      />
      <Amount
        label={words.fullAt}
        value={c.target}
        onChange={(target) => set({ ...c, target })}
        unit={words.daysCDays(c.what)}
        step={c.what === 'cold' ? 7 : 10}
        bigStep={c.what === 'cold' ? 28 : 100}
        min={1}
        max={6000}
        note={words.aStartingValueWhenYours}
      />
      <Button kind="main" label={words.countIt} onPress={() => onAdd(c)} testID="counter-add" />
    </View>
  );
}

export function CountersPanel() {
  const { data } = useCounters();
  const { data: farm } = useFarm();
  const { save, problem } = useSaveFarm();
  const held = farm?.farm.counters ?? [];
  if (!data) return null;
  return (
    <View testID="counters">
      {data.counters.length > 0 ? (
        <PartTitle right={`${data.counters.length}`}>{words.counted}</PartTitle>
      ) : null}
      {data.counters.map((v, n) => (
        <Line
          key={v.counter.id}
          v={v}
          today={data.today}
          first={n === 0}
          onRemove={() =>
            save(
              { counters: held.filter((x) => x.id !== v.counter.id) },
              words.noLongerCounted(v.counter.name),
            )
          }
        />
      ))}
      {problem ? <Problem>{problem}</Problem> : null}
      <Fold title={words.countFromADay} key={held.length}>
        <Fresh today={data.today} onAdd={(c) => save({ counters: [...held, c] }, words.counted2(c.name))} />
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({ track: { height: 8, borderWidth: 1, maxWidth: 320 } });
