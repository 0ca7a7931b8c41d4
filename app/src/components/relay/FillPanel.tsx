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
import { dayShort, ofHundred, upper } from '@fogata/words/en/screens/seasonWords';
import { Button, Choice } from '../ui/Button';
import { Problem } from '../ui/Bars';
import { Loading, Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { rowsWords } from './targets';
import type { Board } from './useBoard';
import { fillPanel as words } from '@fogata/words/en/screens/relay';

const AIMS = [
  { value: 'supply', label: words.whatIsAskedFor },
  { value: 'value', label: words.theMostMoney },
  { value: 'variety', label: words.manyKinds },
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
  const trays = p.traysOn ? words.inTraysFromCells(at(p.traysOn), p.cells) : '';
  const gives = p.kg > 0 ? words.aboutFrom(format.mass(p.kg), at(p.readyOn)) : words.readyOn(at(p.readyOn));
  const fills =
    p.fills.kg > 0.5 && p.fills.from && p.fills.to
      ? words.ofItWhereItIs({ kg: format.mass(p.fills.kg), at: at(p.fills.from), at2: at(p.fills.to) })
      : '';
  const instead =
    p.instead && p.instead.less > 0.5
      ? words.nextBestLess(cropById(p.instead.crop).name, format.money(p.instead.less))
      : '';
  return (
    <Row first={first}>
      <View style={{ flex: 1, gap: 2 }} testID="proposal">
        <Text kind="strong">{title}</Text>
        <Text kind="small" tone="quiet">
          {words.clearOnComesOffIn({
            trays,
            gives,
            fills,
            at: at(p.clearedOn),
            ofHundred: ofHundred(p.success),
            worth: format.money(p.worth),
            instead,
          })}
        </Text>
      </View>
      <View style={{ gap: 4 }}>
        <Button label={words.takeIt} hint={words.take(title)} onPress={onTake} testID="proposal-take" />
        <Button kind="plain" label={words.notThis} hint={words.refuse(title)} onPress={onRefuse} />
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
      <PartTitle>{words.fillTheGaps}</PartTitle>
      <Choice label={words.forWord} options={AIMS} value={aim} onChange={setAim} />
      <View style={{ flexDirection: 'row', gap: 8, paddingTop: 8, flexWrap: 'wrap' }}>
        <Button
          kind={open.length > 0 ? 'outline' : 'main'}
          label={words.lookAgainWhatCouldGo(open.length, taken.size)}
          disabled={busy}
          onPress={() => void begin()}
          testID="fill-begin"
        />
        {busy ? (
          <Button
            label={words.stop}
            onPress={() => void change(call(api.stopFill)).then(() => mutate())}
            testID="fill-stop"
          />
        ) : null}
        {open.length > 1 && !busy ? (
          <Button
            kind="main"
            label={words.takeAll(open.length)}
            onPress={() => void take(open)}
            testID="fill-all"
          />
        ) : null}
      </View>
      {problem ? <Problem>{problem}</Problem> : null}
      {fill?.state === 'failed' ? <Problem>{fill.message ?? ''}</Problem> : null}
      {fill?.state === 'looking' ? (
        <Loading what={words.goingThroughAHundredYears(fill.done, fill.of)} />
      ) : null}
      {fill?.state === 'solving' ? (
        <Loading
          what={words.workingItOut(
            fill.money === null
              ? ''
              : words.soFar(
                  format.money(fill.money),
                  fill.boundMoney ? words.noPlanIsOver(format.money(fill.boundMoney)) : '',
                ),
          )}
        />
      ) : null}
      {fill && open.length > 0 && fill.money !== null ? (
        <Text kind="small" tone="quiet" live>
          {words.plantingsTogetherTheyBringAbout({
            count: open.length,
            money: format.money(fill.money),
            far: far === null ? '' : words.noPlanCanBeMore(Math.max(1, Math.ceil(far * 100))),
            simpleMoney: fill.simpleMoney ? words.theCropThatHasWaited(format.money(fill.simpleMoney)) : '',
          })}
        </Text>
      ) : null}
      {fill?.state === 'ready' && fill.proposals.length === 0 ? (
        <Text>{words.nothingMoreComesOffIn}</Text>
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
