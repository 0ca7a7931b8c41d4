/** What is next for these rows? Two or three crops that come off from the day they fall free; one tap plans it. */
import type { NextChoice } from '@fogata/contract/told';
import { cropById, type Planting } from '@fogata/core';
import { isoOf } from '@fogata/core/relay';
import { View } from 'react-native';
import { useFormat } from '../../data/format';
import { useNext } from '../../data/hooks';
import { newId } from '../../data/id';
import { dayShort, dayWords, ofHundred, upper } from '@fogata/words/en/screens/seasonWords';
import { Button } from '../ui/Button';
import { Loading, Row } from '../ui/Page';
import { PartTitle, Text } from '../ui/Text';
import { freeAfter } from './board';
import { rowsWords } from './targets';
import type { Board } from './useBoard';
import { nextPanel as words } from '@fogata/words/en/screens/relay';

export interface RowsAsked {
  bedId: string;
  fromRow: number;
  toRow: number;
}

export function NextPanel({ board, rows, onClose }: { board: Board; rows: RowsAsked; onClose: () => void }) {
  const format = useFormat();
  const { year } = board;
  const bed = year?.beds.find((b) => b.id === rows.bedId);
  const freeDay = year ? freeAfter(rows.bedId, { ...rows, strips: [] }, year.strips, year.today + 1) : 0;
  const from = isoOf(freeDay);
  const { data, error } = useNext(
    bed ? { bed: bed.id, from, fromRow: rows.fromRow, toRow: rows.toRow } : null,
  );
  if (!year || !bed) return null;
  const plan = (c: NextChoice) => {
    const planting: Planting = {
      id: newId(),
      bedId: bed.id,
      crop: c.crop,
      cultivar: '',
      fromRow: rows.fromRow,
      toRow: rows.toRow,
      lengthM: bed.lengthM,
      plantedOn: c.plantedOn,
      clearedOn: c.clearedOn,
      aim: cropById(c.crop).aim,
      note: '',
      how: c.how,
      planned: true,
    };
    void board.put(null, planting).then((kept) => kept && onClose());
  };
  return (
    <View testID="next">
      <PartTitle
        right={words.freeFrom(dayShort(from.slice(5)))}
      >{`${bed.name}, ${rowsWords(rows)}`}</PartTitle>
      {error ? <Text tone="ochre">{(error as Error).message}</Text> : null}
      {data?.progress.state === 'computing' ? (
        <Loading what={words.goingThroughAHundredYears(data.progress.done, data.progress.of)} />
      ) : null}
      {data?.progress.state === 'ready' && data.choices.length === 0 ? (
        <Text>{words.nothingThatYouGrowComes(dayWords(from.slice(5)))}</Text>
      ) : null}
      {data?.choices.map((c, n) => (
        <Row key={c.crop} first={n === 0}>
          <View style={{ flex: 1, gap: 2 }}>
            <Text kind="strong">
              {words.onWord({
                planted: upper(c.planted ? 'plant' : 'sow'),
                name: c.name,
                dayWords: dayWords(c.plantedOn.slice(5)),
              })}
            </Text>
            <Text kind="small" tone="quiet">
              {words.readyOnClearOnIt({
                readyOn: dayShort(c.readyOn.slice(5)),
                clearedOn: dayShort(c.clearedOn.slice(5)),
                kg: c.kg === null ? '' : words.about(format.mass(c.kg)),
                ofHundred: ofHundred(c.success),
              })}
            </Text>
          </View>
          <Button label={words.planIt} hint={words.plan(c.name)} onPress={() => plan(c)} testID="next-plan" />
        </Row>
      ))}
      <Button kind="plain" label={words.close} onPress={onClose} />
    </View>
  );
}
