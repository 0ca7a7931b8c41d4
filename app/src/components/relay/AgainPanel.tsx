/** Last year onto the coming one: what would go where, before anything goes; put on the board one by one or all, each undone there. */
import { cropById, type Planting } from '@fogata/core';
import { yearAgain } from '@fogata/core/relay';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { newId } from '../../data/id';
import { dayShort, upper } from '../season/seasonWords';
import { Button } from '../ui/Button';
import { Fold } from '../ui/Fields';
import { Row } from '../ui/Page';
import { Text } from '../ui/Text';
import type { Board } from './useBoard';

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
    `${upper(cropById(p.crop).name)}${p.cultivar ? ` ${p.cultivar}` : ''} in ${bedName(p.bedId)}, ${p.fromRow === p.toRow ? `row ${p.fromRow}` : `rows ${p.fromRow}–${p.toRow}`}, from ${dayShort(p.plantedOn.slice(5))} ${p.plantedOn.slice(0, 4)}`;
  const take = async (list: readonly Planting[]) => {
    setBusy(true);
    for (const p of list) if (!(await board.put(null, p))) break;
    setBusy(false);
  };
  return (
    <View testID="again">
      <Fold title="Last year again, one bed on">
        <Text>
          {again.plantings.length > 0
            ? `${again.plantings.length} of last year’s plantings find their rows free a year on, each one bed further in its structure, so that no family comes back at once.`
            : 'None of last year’s plantings finds its rows free a year on, one bed further.'}
        </Text>
        {again.plantings.length > 0 ? (
          <View style={{ flexDirection: 'row', paddingTop: 8 }}>
            <Button
              kind="main"
              disabled={busy}
              label={busy ? 'Putting them there…' : `Put all ${again.plantings.length} on the board`}
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
              label="Put it there"
              hint={`Put it there: ${words(p)}`}
              onPress={() => void take([p])}
            />
          </Row>
        ))}
        {again.left.map(({ planting: p, bed, why }) => (
          <Text key={p.id} kind="small" tone="quiet" style={{ paddingVertical: 4 }}>
            {`Left out: ${cropById(p.crop).name} of ${bedName(p.bedId)}; ${why === 'taken' ? `its rows in ${bed} are taken then` : `${bed} has fewer rows`}.`}
          </Text>
        ))}
      </Fold>
    </View>
  );
}
