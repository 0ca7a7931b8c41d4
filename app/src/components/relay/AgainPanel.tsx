/** Last year onto the coming one: what would go where, before anything goes; put on the board one by one or all, each undone there. */
import { cropById, type Planting } from '@fogata/core';
import { yearAgain } from '@fogata/core/relay';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { newId } from '../../data/id';
import { dayShort, upper } from '@fogata/words/en/screens/seasonWords';
import { Button } from '../ui/Button';
import { Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import type { Board } from './useBoard';
import { againPanel as texts } from '@fogata/words/en/screens/scenarios';

export function AgainPanel({ board }: { board: Board }) {
  const { view, year } = board;
  const [busy, setBusy] = useState(false);
  const again = useMemo(
    () => (view && year ? yearAgain(year.beds, view.plantings, view.today, newId) : null),
    [view, year],
  );
  if (!again || again.plantings.length + again.left.length === 0) return null;
  const bedName = (id: string) => year?.beds.find((b) => b.id === id)?.name ?? id;
  const words = (p: Planting) =>
    texts.inFrom({
      name: upper(cropById(p.crop).name),
      cultivar: p.cultivar ? ` ${p.cultivar}` : '',
      bedName: bedName(p.bedId),
      fromRow: p.fromRow === p.toRow ? texts.row(p.fromRow) : texts.rows(p.fromRow, p.toRow),
      plantedOn: dayShort(p.plantedOn.slice(5)),
      plantedOn2: p.plantedOn.slice(0, 4),
    });
  const take = async (list: readonly Planting[]) => {
    setBusy(true);
    for (const p of list) if (!(await board.put(null, p))) break;
    setBusy(false);
  };
  return (
    <View testID="again">
      <Fold title={texts.lastYearAgainOneBed}>
        <Text>
          {again.plantings.length > 0
            ? texts.ofLastYearsPlantingsFind(again.plantings.length)
            : texts.noneOfLastYearsPlantings}
        </Text>
        {again.plantings.length > 0 ? (
          <View style={{ flexDirection: 'row', paddingTop: 8 }}>
            <Button
              kind="main"
              disabled={busy}
              label={busy ? texts.puttingThemThere : texts.putAllOnTheBoard(again.plantings.length)}
              onPress={() => void take(again.plantings)}
              testID="again-all"
            />
          </View>
        ) : null}
        {again.plantings.map((p, n) => (
          <Row key={`${p.bedId} ${p.fromRow} ${p.plantedOn} ${p.crop}`} first={n === 0}>
            <Text style={{ flex: 1 }}>{words(p)}</Text>
            <Button
              kind="plain"
              disabled={busy}
              label={texts.putItThere}
              hint={texts.putItThere2(words(p))}
              onPress={() => void take([p])}
            />
          </Row>
        ))}
        {again.left.map(({ planting: p, bed, why }) => (
          <Text key={p.id} kind="small" tone="quiet" style={{ paddingVertical: 4 }}>
            {texts.leftOutOfItsRows({ name: cropById(p.crop).name, bedName: bedName(p.bedId), why, bed })}
          </Text>
        ))}
      </Fold>
    </View>
  );
}
