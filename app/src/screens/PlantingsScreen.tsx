/** All plantings, typed. It answers: what is in the plan, and how do I put twenty in without leaving the keys? */
import { api, call } from '@fogata/contract/client';
import type { Segment } from '@fogata/core';
import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';
import { completed, gridOf, isChanged, readGrid, type GridRow } from '../components/season/plantingGrid';
import { PlantingGrid } from '../components/season/PlantingGrid';
import { Problem } from '../components/ui/Bars';
import { Button, Choice } from '../components/ui/Button';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { Text } from '../components/ui/Text';
import { retract } from '../data/actions';
import { change, useFarm, useRelay } from '../data/hooks';
import { offerUndo } from '../data/undo';
import { useDraft } from '../data/useDraft';
import { plantingsScreen as words } from '@fogata/words/en/screens/planting';

const SHOWN = [
  { value: 'open', label: words.standingAndPlanned },
  { value: 'all', label: words.pastOnesToo },
] as const;

function sentenceOf(standing: number, planned: number, changed: number): Segment[] {
  const count = (n: number, what: string) => `${n} ${what}`;
  const plain = (text: string): Segment => ({ text, tone: 'plain' });
  if (standing + planned === 0 && changed === 0) return [plain(words.nothingIsPlantedOrPlanned)];
  const held = plain(`${count(standing, 'stand')}, ${count(planned, words.arePlanned)}. `);
  return changed === 0
    ? [held, plain(words.typeOverAnyCellWhat)]
    : [held, { text: words.rowRowsNotKeptYet(changed), tone: 'ember' }];
}

export function PlantingsScreen() {
  const { data, error } = useRelay();
  const nowAtMs = useFarm().data?.clock.nowAtMs;
  const [shown, setShown] = useState<'open' | 'all'>('open');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [jump, setJump] = useState(0);
  const listed = useMemo(
    () =>
      (data?.plantings ?? [])
        .filter((p) => shown === 'all' || p.clearedOn === null || p.clearedOn > data!.today)
        .sort((a, b) => a.bedId.localeCompare(b.bedId) || a.plantedOn.localeCompare(b.plantedOn)),
    [data, shown],
  );
  const start = useMemo(() => ({ rows: data ? gridOf(listed, data.beds) : [] }), [data, listed]);
  const [held, put, clear] = useDraft<{ rows: GridRow[] }>('plantings', start);
  const dirty = held?.rows.some(isChanged) ?? false;
  // what nobody has typed in follows what is kept
  const rows = dirty && held ? held.rows : start.rows;
  const onChange = useCallback((next: GridRow[]) => put({ rows: next }), [put]);
  const { today, beds, plantings } = data ?? { today: '', beds: [], plantings: [] };
  const complete = useCallback<Parameters<typeof PlantingGrid>[0]['complete']>(
    (col, text) => completed(col, text, beds, today),
    [beds, today],
  );
  const read = useMemo(
    () => (dirty ? readGrid(rows, beds, plantings, today) : null),
    [dirty, rows, beds, plantings, today],
  );
  const first = read ? [...read.wrong][0] : undefined;
  const keep = async () => {
    if (!read) return;
    setBusy(true);
    setProblem(null);
    try {
      const { recordId } = await change(call(api.bringPlantings), { csv: read.csv, dryRun: false });
      clear();
      if (recordId && nowAtMs !== undefined)
        offerUndo(words.plantingsKept(read.changed), () => retract([recordId], nowAtMs));
    } catch (e) {
      setProblem(words.whatYouTypedIsKept((e as Error).message));
    }
    setBusy(false);
  };
  const standing = plantings.filter(
    (p) => p.planned !== true && (p.clearedOn === null || p.clearedOn > today),
  ).length;
  return (
    <Page testID="plantings" width={1240}>
      <TopLine back={words.season} />
      {data ? (
        <>
          <Sentence
            parts={sentenceOf(
              standing,
              plantings.filter((p) => p.planned === true).length,
              read?.changed ?? 0,
            )}
          />
          <View
            style={{
              flexDirection: 'row',
              flexWrap: 'wrap',
              gap: 12,
              paddingVertical: 10,
              alignItems: 'center',
            }}
          >
            <Button label={words.aNewRow} onPress={() => setJump(jump + 1)} testID="grid-new" />
            {dirty ? (
              <>
                <Button
                  kind="main"
                  label={words.keepingThemKeepThem(busy)}
                  disabled={busy || first !== undefined}
                  onPress={() => void keep()}
                  testID="grid-keep"
                />
                <Button kind="plain" label={words.leaveAllAsItWas} onPress={clear} testID="grid-drop" />
              </>
            ) : (
              <Choice label={words.shown} options={[...SHOWN]} value={shown} onChange={setShown} />
            )}
          </View>
          {problem ? <Problem>{problem}</Problem> : null}
          {first ? (
            <Text tone="ember" live testID="grid-wrong">
              {words.row({
                split: Number(first[0].split(' ')[0]) + 1,
                replaceAll: first[0].split(' ')[1]!.replaceAll('_', ' '),
                first: first[1],
              })}
            </Text>
          ) : null}
          <PlantingGrid
            rows={rows}
            wrong={read?.wrong ?? NONE}
            complete={complete}
            onChange={onChange}
            jump={jump}
          />
          <Text kind="small" tone="quiet">
            {words.arrowsGoFromCellTo}
          </Text>
        </>
      ) : error ? (
        <Problem>{(error as Error).message}</Problem>
      ) : (
        <Loading what={words.openingThePlantings} />
      )}
    </Page>
  );
}
const NONE: ReadonlyMap<string, string> = new Map();
