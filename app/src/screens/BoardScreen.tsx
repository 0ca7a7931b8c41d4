/**
 * The board. It answers: will every row be clear in time, what is short and when, and what could go in between? It opens with the hand-over that is
 * least sure. Wide: all beds by weeks. On a phone one bed's year a page, swiped from bed to bed.
 */
import { router } from 'expo-router';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import { BoardGrid, type Zoom } from '../components/relay/BoardGrid';
import { awayWords, boardSentence, lackingSentence, type Units } from '@fogata/words/en/screens/boardWords';
import { AgainPanel } from '../components/relay/AgainPanel';
import { DemandPanel } from '../components/relay/DemandPanel';
import { EarningsPanel } from '../components/relay/EarningsPanel';
import { FillPanel } from '../components/relay/FillPanel';
import { MovePanel } from '../components/relay/MovePanel';
import { NextPanel, type RowsAsked } from '../components/relay/NextPanel';
import { PickList } from '../components/relay/PickList';
import { QuarrelList } from '../components/relay/QuarrelList';
import { SpringPanel } from '../components/relay/SpringPanel';
import { ScenariosPanel } from '../components/relay/ScenariosPanel';
import { useBoard, type Board } from '../components/relay/useBoard';
import { Problem } from '../components/ui/Bars';
import { Button, Choice } from '../components/ui/Button';
import { useWide } from '../components/ui/Frame';
import { Loading, Page, TopLine } from '../components/ui/Page';
import { Sentence } from '../components/ui/Sentence';
import { PartTitle, Text } from '../components/ui/Text';
import { useFormat } from '../data/format';
import { patchFarm, seasonAgain, useFarm } from '../data/hooks';
import { boardScreen as words } from '@fogata/words/en/screens/board';

const ZOOMS = [
  { value: 'year', label: words.year },
  { value: 'season', label: words.season },
  { value: 'month', label: words.month },
] as const;

/** Undo and redo by the keys that everybody knows. */
function useUndoKeys(board: Board) {
  const { undo, redo } = board;
  useEffect(() => {
    if (typeof window === 'undefined' || !window.addEventListener) return;
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return;
      const act = e.shiftKey ? redo : undo;
      if (!act) return;
      e.preventDefault();
      void act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
}

function Undoing({ board }: { board: Board }) {
  const { undo, redo } = board;
  return (
    <View style={styles.line}>
      <Button
        label={words.undo}
        hint={words.undoTheLastMove}
        disabled={!undo}
        onPress={() => void undo?.()}
        testID="board-undo"
      />
      <Button
        label={words.redo}
        hint={words.doItAgain}
        disabled={!redo}
        onPress={() => void redo?.()}
        testID="board-redo"
      />
      <Button
        kind="plain"
        label={words.theBedsOnPaper}
        onPress={() => router.push('/sheet?of=beds')}
        testID="board-sheet"
      />
    </View>
  );
}

/** A bed at a time, swiped. */
function Pages({
  board,
  width,
  chosen,
  onChoose,
  onRow,
}: {
  board: Board;
  width: number;
  chosen: string | null;
  onChoose: (id: string | null) => void;
  onRow: (bedId: string, fromRow: number, toRow: number) => void;
}) {
  const beds = board.year?.beds ?? [];
  return (
    <ScrollView horizontal pagingEnabled showsHorizontalScrollIndicator testID="bed-pages" tabIndex={0}>
      {beds.map((b, n) => (
        <View key={b.id} style={{ width }} testID={`page-${b.id}`}>
          <PartTitle right={words.ofWord(n + 1, beds.length)}>{`${b.name}, ${b.place}`}</PartTitle>
          <BoardGrid
            board={board}
            width={width - 4}
            zoom="year"
            bedIds={[b.id]}
            chosen={chosen}
            onChoose={onChoose}
            onRow={onRow}
          />
        </View>
      ))}
    </ScrollView>
  );
}

export function BoardScreen() {
  const board = useBoard();
  const wide = useWide();
  const format = useFormat();
  const { data: farm } = useFarm();
  const [width, setWidth] = useState(0);
  const [zoom, setZoom] = useState<Zoom>('year');
  const [chosen, setChosen] = useState<string | null>(null);
  const [rows, setRows] = useState<RowsAsked | null>(null);
  useUndoKeys(board);
  const { year, check, view, weeks, handed, lacking } = board;
  const units: Units = useMemo(() => ({ metres: format.metres, kilos: format.mass }), [format]);
  const open = check && view ? check.quarrels.filter((q) => !view.accepted.includes(q.id)) : [];
  const choose = useCallback((id: string | null) => {
    setChosen(id);
    setRows(null);
  }, []);
  const askRow = useCallback((bedId: string, fromRow: number, toRow: number) => {
    setRows({ bedId, fromRow, toRow });
    setChosen(null);
  }, []);
  const accept = (id: string, on: boolean) => {
    if (!farm) return;
    const { relay } = farm.farm;
    const accepted = on ? [...relay.accepted, id] : relay.accepted.filter((x) => x !== id);
    void patchFarm({ relay: { ...relay, accepted } });
  };
  const panel = chosen ? (
    <MovePanel board={board} id={chosen} units={units} onClose={() => setChosen(null)} />
  ) : rows ? (
    <NextPanel
      key={`${rows.bedId} ${rows.fromRow}`}
      board={board}
      rows={rows}
      onClose={() => setRows(null)}
    />
  ) : null;
  const list =
    year && view ? (
      <QuarrelList
        quarrels={check?.quarrels ?? []}
        accepted={view.accepted}
        year={year}
        units={units}
        onShow={choose}
        onAccept={accept}
      />
    ) : null;
  return (
    <Page testID="board" width={wide ? 1600 : 640}>
      <TopLine back={words.season2} />
      {year && view && check ? (
        <Sentence
          parts={lacking ? lackingSentence(lacking) : boardSentence(year, handed, open, weeks, units)}
        />
      ) : board.error ? (
        <Problem>{board.error.message}</Problem>
      ) : (
        <Loading what={words.openingTheBoard} />
      )}
      {view?.progress.state === 'computing' ? (
        <Loading what={words.goingThroughAHundredYears(view.progress.done, view.progress.of)} />
      ) : null}
      {view?.progress.state === 'failed' ? (
        <Problem onRetry={() => void seasonAgain()}>{view.progress.message ?? ''}</Problem>
      ) : null}
      {board.problem ? <Problem>{board.problem}</Problem> : null}
      {board.away && view ? (
        <Text kind="small" tone="ochre" live testID="board-away">
          {awayWords(board.waiting)}
        </Text>
      ) : null}
      {board.left.map((line) => (
        <Problem key={line} onRetry={board.seenLeft} retry={words.iHaveReadIt}>
          {line}
        </Problem>
      ))}
      {view && view.beds.length === 0 ? (
        <View style={{ gap: 12, paddingTop: 12 }}>
          <Text>{words.thereIsNoBedYet}</Text>
          <Button kind="main" label={words.setUpABed} onPress={() => router.push('/beds')} />
        </View>
      ) : (
        <>
          <View style={styles.line}>
            <Undoing board={board} />
            {wide ? <Choice label={words.zoom} options={ZOOMS} value={zoom} onChange={setZoom} /> : null}
          </View>
          <View
            onLayout={(e: LayoutChangeEvent) => setWidth(e.nativeEvent.layout.width)}
            style={{ paddingTop: 6 }}
          >
            {width > 0 && wide ? (
              <BoardGrid
                board={board}
                width={width}
                zoom={zoom}
                chosen={chosen}
                onChoose={choose}
                onRow={askRow}
              />
            ) : null}
            {width > 0 && !wide ? (
              <Pages board={board} width={width} chosen={chosen} onChoose={choose} onRow={askRow} />
            ) : null}
          </View>
          <View style={wide ? styles.panes : null}>
            {panel ? <View style={wide ? styles.pane : null}>{panel}</View> : null}
            {list && year ? (
              <View style={wide ? styles.pane : null}>
                {list}
                <PickList year={year} onShow={choose} />
                <EarningsPanel year={year} />
                <ScenariosPanel year={year} />
              </View>
            ) : null}
            {view ? (
              <View style={wide ? styles.pane : null}>
                <FillPanel board={board} />
                <SpringPanel board={board} />
                <AgainPanel board={board} />
                <DemandPanel today={view.today} />
              </View>
            ) : null}
          </View>
          <Text kind="small" tone="quiet" style={{ paddingTop: 12 }}>
            {words.dragAStripToMove}
          </Text>
        </>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', gap: 12, flexWrap: 'wrap', alignItems: 'center', paddingTop: 8 },
  panes: { flexDirection: 'row', gap: 40, alignItems: 'flex-start' },
  pane: { flex: 1, minWidth: 0 },
});
