/**
 * What is asked for by the week, and what the plan has to do with: trays, hands, the risk. It answers: what do I have to have, when, and what
 * have I to do it with? Kept as it is changed, each change taken back by one tap.
 */
import { cellsInAll, type Farm, type RelaySettings } from '@fogata/contract';
import type { CropRow } from '@fogata/contract/told';
import { addDays, cropById } from '@fogata/core';
import { readDemandCsv, toDemandCsv } from '@fogata/core/relay';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { useCrops } from '../../data/hooks';
import { useSaveFarm } from '../../data/useSaveFarm';
import { dayShort, upper } from '@fogata/words/en/screens/seasonWords';
import { Problem } from '../ui/Bars';
import { Button, Choice } from '../ui/Button';
import { DateStepper } from '../ui/DateStepper';
import { NoteField } from '../ui/Field';
import { Amount, Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import { demandPanel as words } from '@fogata/words/en/screens/relay';

type Demand = RelaySettings['demand'][number];

const RISKS = [
  { value: 0.1, label: words.words1YearIn10 },
  { value: 0.2, label: words.words2In10 },
  { value: 0.3, label: words.words3In10 },
  { value: 0.4, label: words.words4In10 },
] as const;

const at = (date: string) => `${dayShort(date.slice(5))} ${date.slice(0, 4)}`;

/** A line in words. */
export const demandWords = (d: Demand, kilos: (kg: number) => string): string =>
  words.aWeekTo({
    crop: d.crop === null ? words.whateverThereIs : upper(cropById(d.crop).name),
    kilos: kilos(d.kgPerWeek),
    at: at(d.from),
    at2: at(d.to),
  });

/** The crops that a word finds; everything where none is typed. */
export function found(crops: readonly CropRow[], text: string): { value: string; label: string }[] {
  const q = text.trim().toLowerCase();
  const everything = { value: '', label: words.whateverThereIs2 };
  if (q === '') return [everything];
  return [
    everything,
    ...crops.filter((c) => c.name.toLowerCase().includes(q)).map((c) => ({ value: c.id, label: c.name })),
  ].slice(0, 7);
}

function NewLine({ today, onAdd }: { today: string; onAdd: (d: Demand) => void }) {
  const { data: crops } = useCrops();
  const [text, setText] = useState('');
  const [crop, setCrop] = useState('');
  const [kg, setKg] = useState(10);
  const [from, setFrom] = useState(addDays(today, 1));
  const [to, setTo] = useState(addDays(today, 180));
  return (
    <View style={{ gap: 12, paddingTop: 8 }}>
      <NoteField
        label={words.ofWhat}
        value={text}
        onChange={setText}
        placeholder={words.lettuce}
        testID="demand-find"
      />
      <Choice label={words.ofWhat} options={found(crops ?? [], text)} value={crop} onChange={setCrop} />
      <Amount
        label={words.aWeek}
        unit={words.kg}
        value={kg}
        onChange={setKg}
        step={1}
        bigStep={10}
        min={0}
        max={100_000}
        testID="demand-kg"
      />
      <DateStepper label={words.from} value={from} onChange={setFrom} />
      <DateStepper label={words.to} value={to} onChange={setTo} />
      {to < from ? (
        <Text kind="small" tone="ochre">
          {words.itEndsBeforeItBegins}
        </Text>
      ) : null}
      <Button
        label={words.addIt}
        kind="main"
        disabled={to < from}
        onPress={() => onAdd({ crop: crop === '' ? null : crop, from, to, kgPerWeek: kg })}
        testID="demand-add"
      />
    </View>
  );
}

/** A table from a spreadsheet: all of it, or the rows that are wrong. */
function Pasted({ lines, onTake }: { lines: readonly Demand[]; onTake: (d: Demand[]) => void }) {
  const [text, setText] = useState('');
  const format = useFormat();
  const read = text.trim() === '' ? null : readDemandCsv(text);
  return (
    <View style={{ gap: 12, paddingTop: 8 }}>
      <NoteField
        label={words.aTableCropFromTo}
        value={text}
        onChange={setText}
        lines={5}
        placeholder={'crop,from,to,kg_per_week\nspinach,2027-11-15,2028-03-01,8'}
        testID="demand-table"
      />
      {read?.badRows.slice(0, 5).map((r) => (
        <Text key={`${r.row} ${r.reason.say}`} kind="small" tone="ochre">
          {words.line(r.row, format.say(r.reason))}
        </Text>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          kind="main"
          label={read && read.lines.length > 0 ? words.askForThese(read.lines.length) : words.askForThese2}
          disabled={!read || read.lines.length === 0}
          onPress={() => read && onTake(read.lines)}
          testID="demand-table-take"
        />
        {lines.length > 0 ? (
          <Button
            label={words.putWhatIsAskedFor}
            onPress={() => setText(toDemandCsv(lines))}
            testID="demand-table-out"
          />
        ) : null}
      </View>
    </View>
  );
}

function cellsWords(farm: Farm): string {
  const cells = cellsInAll(farm);
  return words.traysAreNotCountedUntil(cells);
}

export function DemandPanel({ today }: { today: string }) {
  const format = useFormat();
  const { farm, save, problem } = useSaveFarm();
  const [adding, setAdding] = useState(false);
  const [pasting, setPasting] = useState(false);
  if (!farm) return null;
  const { relay } = farm;
  const put = (more: Partial<RelaySettings>, label: string) => save({ relay: { ...relay, ...more } }, label);
  return (
    <View testID="demand">
      <Fold title={words.whatIsAskedForAnd} open={relay.demand.length === 0}>
        {problem ? <Problem>{problem}</Problem> : null}
        {relay.demand.length === 0 ? <Text>{words.nothingIsAskedForYet}</Text> : null}
        {relay.demand.map((d, n) => (
          <Row key={`${d.crop} ${d.from} ${n}`} first={n === 0}>
            <View style={{ flex: 1 }}>
              <Text>{demandWords(d, format.mass)}</Text>
            </View>
            <Button
              kind="plain"
              label={words.takeOut}
              hint={words.takeOut2(demandWords(d, format.mass))}
              onPress={() => put({ demand: relay.demand.filter((_, i) => i !== n) }, words.whatIsAskedFor)}
            />
          </Row>
        ))}
        {adding ? (
          <NewLine
            today={today}
            onAdd={(d) => {
              put({ demand: [...relay.demand, d] }, words.whatIsAskedFor);
              setAdding(false);
            }}
          />
        ) : (
          <View style={{ flexDirection: 'row', paddingTop: 8 }}>
            <Button label={words.askForSomething} onPress={() => setAdding(true)} testID="demand-new" />
            <Button
              kind="plain"
              label={words.noTableFromATable(pasting)}
              onPress={() => setPasting(!pasting)}
              testID="demand-paste"
            />
          </View>
        )}
        {pasting && !adding ? (
          <Pasted
            lines={relay.demand}
            onTake={(lines) => {
              // a table that was put here, changed and taken again stands for what was asked for
              const kept = relay.demand.filter(
                (d) => !lines.some((l) => l.crop === d.crop && l.from === d.from),
              );
              put({ demand: [...kept, ...lines] }, words.whatIsAskedFor);
              setPasting(false);
            }}
          />
        ) : null}
        <View style={{ gap: 12, paddingTop: 12 }}>
          <View style={{ gap: 6 }}>
            <Text>{cellsWords(farm)}</Text>
            <View style={{ flexDirection: 'row' }}>
              <Button
                label={words.traysAndWhereTheyStand}
                onPress={() => router.push('/nursery')}
                testID="to-nursery"
              />
            </View>
          </View>
          <Amount
            label={words.hoursOfWorkAWeek}
            unit="h"
            value={relay.hoursPerWeek}
            onChange={(hoursPerWeek) => put({ hoursPerWeek }, words.hours)}
            step={1}
            bigStep={10}
            min={0}
            max={10_000}
            note={words.notCountedUntilYouSay(relay.hoursPerWeek)}
          />
          <Choice
            label={words.mayGoWrongIn}
            options={RISKS}
            value={RISKS.find((r) => r.value === relay.risk)?.value ?? null}
            onChange={(risk) => put({ risk }, words.risk)}
          />
        </View>
      </Fold>
    </View>
  );
}
