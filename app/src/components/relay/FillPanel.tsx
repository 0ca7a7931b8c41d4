/**
 * Gaps filled by proposal. It answers: what could go into the rows that lie idle, what does it bring, and what does it risk? Each may be taken by
 * itself or all of them; what is refused is left out when it is asked again.
 */
import { api, call } from '@fogata/contract/client';
import type { FillProposal, FillView } from '@fogata/contract/told';
import { cropById, type Planting } from '@fogata/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { change, useFill } from '../../data/hooks';
import { newId } from '../../data/id';
import { dayShort, ofHundred, upper } from '../season/seasonWords';
import { Button, Choice } from '../ui/Button';
import { Problem } from '../ui/Bars';
import { Loading, Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { rowsWords } from './targets';
import type { Board } from './useBoard';

const AIMS = [
  { value: 'supply', label: 'what is asked for' },
  { value: 'value', label: 'the most money' },
  { value: 'variety', label: 'many kinds' },
] as const;
type Aim = FillView['aim'];

const at = (date: string) => dayShort(date.slice(5));

export function plantingOf(p: FillProposal): Planting {
  return {
    id: newId(),
    bedId: p.bedId,
    crop: p.crop,
    cultivar: '',
    fromRow: p.fromRow,
    toRow: p.toRow,
    lengthM: p.lengthM,
    plantedOn: p.plantedOn,
    clearedOn: p.clearedOn,
    aim: cropById(p.crop).aim,
    note: '',
    how: p.how,
    planned: true,
  };
}

const keyOf = (p: FillProposal) => `${p.bedId} ${p.fromRow} ${p.crop} ${p.plantedOn}`;

function Proposal({
  p,
  bed,
  first,
  onTake,
  onRefuse,
}: {
  p: FillProposal;
  bed: string;
  first: boolean;
  onTake: () => void;
  onRefuse: () => void;
}) {
  const format = useFormat();
  const name = cropById(p.crop).name;
  const title = `${upper(p.how === 'sow' ? 'sow' : 'plant')} ${name}, ${bed} ${rowsWords(p)}, ${at(p.plantedOn)}`;
  const trays = p.traysOn ? `In trays from ${at(p.traysOn)}, ${p.cells} cells. ` : '';
  const gives = p.kg > 0 ? `About ${format.mass(p.kg)} from ${at(p.readyOn)}` : `Ready on ${at(p.readyOn)}`;
  const fills =
    p.fills.kg > 0.5 && p.fills.from && p.fills.to
      ? `, ${format.mass(p.fills.kg)} of it where it is short, ${at(p.fills.from)} to ${at(p.fills.to)}`
      : '';
  const instead =
    p.instead && p.instead.less > 0.5
      ? ` Next best ${cropById(p.instead.crop).name}, ${format.money(p.instead.less)} less.`
      : '';
  return (
    <Row first={first}>
      <View style={{ flex: 1, gap: 2 }} testID="proposal">
        <Text kind="strong">{title}</Text>
        <Text kind="small" tone="quiet">
          {`${trays}${gives}${fills}; clear on ${at(p.clearedOn)}. Comes off in ${ofHundred(p.success)}; the plan would lose ${format.money(p.worth)} without it.${instead}`}
        </Text>
      </View>
      <View style={{ gap: 4 }}>
        <Button label="Take it" hint={`Take: ${title}`} onPress={onTake} testID="proposal-take" />
        <Button kind="plain" label="Not this" hint={`Refuse: ${title}`} onPress={onRefuse} />
      </View>
    </Row>
  );
}

export function FillPanel({ board, bedIds }: { board: Board; bedIds?: readonly string[] }) {
  const format = useFormat();
  const [aim, setAim] = useState<Aim>('supply');
  const [on, setOn] = useState(false);
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const [refused, setRefused] = useState<readonly { crop: string; bed: string }[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const { data: fill, mutate } = useFill(on);
  const beds = new Map(board.view?.beds.map((b) => [b.id, b]));
  const begin = async (but = refused) => {
    setProblem(null);
    setTaken(new Set());
    try {
      await change(call(api.startFill), { aim, weeks: 40, refused: but });
      setOn(true);
      await mutate();
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  const take = async (list: readonly FillProposal[]) => {
    for (const p of list) {
      // what is refused is said, and the rest waits
      if (!(await board.put(null, plantingOf(p)))) return;
      setTaken((t) => new Set(t).add(keyOf(p)));
    }
  };
  const busy = fill?.state === 'looking' || fill?.state === 'solving';
  const open = (fill?.proposals ?? []).filter(
    (p) =>
      !taken.has(keyOf(p)) &&
      !refused.some((r) => r.crop === p.crop && r.bed === p.bedId) &&
      (!bedIds || bedIds.includes(p.bedId)),
  );
  const far =
    fill?.boundMoney && fill.money !== null ? (fill.boundMoney - fill.money) / fill.boundMoney : null;
  return (
    <View testID="fill">
      <PartTitle>Fill the gaps</PartTitle>
      <Choice label="For" options={AIMS} value={aim} onChange={setAim} />
      <View style={{ flexDirection: 'row', gap: 8, paddingTop: 8, flexWrap: 'wrap' }}>
        <Button
          kind={open.length > 0 ? 'outline' : 'main'}
          label={open.length > 0 || taken.size > 0 ? 'Look again' : 'What could go in?'}
          disabled={busy}
          onPress={() => void begin()}
          testID="fill-begin"
        />
        {busy ? (
          <Button
            label="Stop"
            onPress={() => void change(call(api.stopFill)).then(() => mutate())}
            testID="fill-stop"
          />
        ) : null}
        {open.length > 1 && !busy ? (
          <Button
            kind="main"
            label={`Take all ${open.length}`}
            onPress={() => void take(open)}
            testID="fill-all"
          />
        ) : null}
      </View>
      {problem ? <Problem>{problem}</Problem> : null}
      {fill?.state === 'failed' ? <Problem>{fill.message ?? ''}</Problem> : null}
      {fill?.state === 'looking' ? (
        <Loading what={`Going through a hundred years for each crop and place: ${fill.done} of ${fill.of}`} />
      ) : null}
      {fill?.state === 'solving' ? (
        <Loading
          what={`Working it out${fill.money === null ? '' : `: ${format.money(fill.money)} so far${fill.boundMoney ? `, no plan is over ${format.money(fill.boundMoney)}` : ''}`}`}
        />
      ) : null}
      {fill && open.length > 0 && fill.money !== null ? (
        <Text kind="small" tone="quiet" live>
          {`${open.length} plantings. Together they bring about ${format.money(fill.money)} over their work, or meet a need that is counted so${far === null ? '' : `; no plan can be more than ${Math.max(1, Math.ceil(far * 100))} % better`}${fill.simpleMoney ? `. The crop that has waited longest in each free row would bring ${format.money(fill.simpleMoney)}` : ''}. Values of crops are starting values.`}
        </Text>
      ) : null}
      {fill?.state === 'ready' && fill.proposals.length === 0 ? (
        <Text>Nothing more comes off in the rows that are free, at the risk that you accept.</Text>
      ) : null}
      {open.map((p, n) => (
        <Proposal
          key={keyOf(p)}
          p={p}
          bed={beds.get(p.bedId)?.name ?? ''}
          first={n === 0}
          onTake={() => void take([p])}
          onRefuse={() => setRefused([...refused, { crop: p.crop, bed: p.bedId }])}
        />
      ))}
    </View>
  );
}
