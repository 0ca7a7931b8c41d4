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
import { dayShort, upper } from '../season/seasonWords';
import { Problem } from '../ui/Bars';
import { Button, Choice } from '../ui/Button';
import { DateStepper } from '../ui/DateStepper';
import { NoteField } from '../ui/Field';
import { Amount, Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';

type Demand = RelaySettings['demand'][number];

const RISKS = [
  { value: 0.1, label: '1 year in 10' },
  { value: 0.2, label: '2 in 10' },
  { value: 0.3, label: '3 in 10' },
  { value: 0.4, label: '4 in 10' },
] as const;

const at = (date: string) => `${dayShort(date.slice(5))} ${date.slice(0, 4)}`;

/** A line in words. */
export const demandWords = (d: Demand, kilos: (kg: number) => string): string =>
  `${d.crop === null ? 'Whatever there is' : upper(cropById(d.crop).name)}, ${kilos(d.kgPerWeek)} a week, ${at(d.from)} to ${at(d.to)}`;

/** The crops that a word finds; everything where none is typed. */
export function found(crops: readonly CropRow[], text: string): { value: string; label: string }[] {
  const q = text.trim().toLowerCase();
  const everything = { value: '', label: 'whatever there is' };
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
      <NoteField label="Of what" value={text} onChange={setText} placeholder="lettuce" testID="demand-find" />
      <Choice label="Of what" options={found(crops ?? [], text)} value={crop} onChange={setCrop} />
      <Amount
        label="A week"
        unit="kg"
        value={kg}
        onChange={setKg}
        step={1}
        bigStep={10}
        min={0}
        max={100_000}
        testID="demand-kg"
      />
      <DateStepper label="From" value={from} onChange={setFrom} />
      <DateStepper label="To" value={to} onChange={setTo} />
      {to < from ? (
        <Text kind="small" tone="ochre">
          It ends before it begins: put “to” after “from”.
        </Text>
      ) : null}
      <Button
        label="Add it"
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
  const read = text.trim() === '' ? null : readDemandCsv(text);
  return (
    <View style={{ gap: 12, paddingTop: 8 }}>
      <NoteField
        label="A table: crop, from, to, kg_per_week"
        value={text}
        onChange={setText}
        lines={5}
        placeholder={'crop,from,to,kg_per_week\nspinach,2027-11-15,2028-03-01,8'}
        testID="demand-table"
      />
      {read?.badRows.slice(0, 5).map((r) => (
        <Text key={`${r.row} ${r.reason}`} kind="small" tone="ochre">{`▲ Line ${r.row}: ${r.reason}.`}</Text>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          kind="main"
          label={read && read.lines.length > 0 ? `Ask for these ${read.lines.length}` : 'Ask for these'}
          disabled={!read || read.lines.length === 0}
          onPress={() => read && onTake(read.lines)}
          testID="demand-table-take"
        />
        {lines.length > 0 ? (
          <Button
            label="Put what is asked for here"
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
  return cells === null
    ? 'Trays are not counted until you say how many there are.'
    : `Trays of ${cells} cells in all, over everything that is raised at a time.`;
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
      <Fold title="What is asked for, and what there is to do it with" open={relay.demand.length === 0}>
        {problem ? <Problem>{problem}</Problem> : null}
        {relay.demand.length === 0 ? (
          <Text>
            Nothing is asked for yet: gaps are then filled for what sells, ten kilos of a crop a week at its
            full value. Say what boxes, kitchens and the market take, and the board says when it is short.
          </Text>
        ) : null}
        {relay.demand.map((d, n) => (
          <Row key={`${d.crop} ${d.from} ${n}`} first={n === 0}>
            <View style={{ flex: 1 }}>
              <Text>{demandWords(d, format.mass)}</Text>
            </View>
            <Button
              kind="plain"
              label="Take out"
              hint={`Take out: ${demandWords(d, format.mass)}`}
              onPress={() => put({ demand: relay.demand.filter((_, i) => i !== n) }, 'What is asked for')}
            />
          </Row>
        ))}
        {adding ? (
          <NewLine
            today={today}
            onAdd={(d) => {
              put({ demand: [...relay.demand, d] }, 'What is asked for');
              setAdding(false);
            }}
          />
        ) : (
          <View style={{ flexDirection: 'row', paddingTop: 8 }}>
            <Button label="Ask for something" onPress={() => setAdding(true)} testID="demand-new" />
            <Button
              kind="plain"
              label={pasting ? 'No table' : 'From a table'}
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
              put({ demand: [...kept, ...lines] }, 'What is asked for');
              setPasting(false);
            }}
          />
        ) : null}
        <View style={{ gap: 12, paddingTop: 12 }}>
          <View style={{ gap: 6 }}>
            <Text>{cellsWords(farm)}</Text>
            <View style={{ flexDirection: 'row' }}>
              <Button
                label="Trays and where they stand"
                onPress={() => router.push('/nursery')}
                testID="to-nursery"
              />
            </View>
          </View>
          <Amount
            label="Hours of work a week"
            unit="h"
            value={relay.hoursPerWeek}
            onChange={(hoursPerWeek) => put({ hoursPerWeek }, 'Hours')}
            step={1}
            bigStep={10}
            min={0}
            max={10_000}
            note={
              relay.hoursPerWeek === null
                ? 'Not counted until you say how many there are.'
                : 'For sowing, planting, picking and clearing.'
            }
          />
          <Choice
            label="May go wrong in"
            options={RISKS}
            value={RISKS.find((r) => r.value === relay.risk)?.value ?? null}
            onChange={(risk) => put({ risk }, 'Risk')}
          />
        </View>
      </Fold>
    </View>
  );
}
