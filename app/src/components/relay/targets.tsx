/** Where rows and strips are taken hold of. A strip's whole moves it, its right end moves its clearing; keys do the same. */
import type { Planting } from '@fogata/core';
import { isoOf, type Strip } from '@fogata/core/relay';
import { memo, useState } from 'react';
import { Platform, StyleSheet, View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { useTheme } from '../../theme/theme';
import { dayShort } from '@fogata/words/en/screens/seasonWords';
import { mayMove, movedBy } from './board';
import type { Hand } from './useBoard';
import { targets as words } from '@fogata/words/en/screens/board';

/** Height of a row of the board, px. */
export const LANE = 54;

export const rowsWords = (l: { fromRow: number; toRow: number }): string =>
  l.fromRow === l.toRow ? words.row(l.fromRow) : words.rows(l.fromRow, l.toRow);

export const RowTarget = memo(function RowTarget({
  top,
  width,
  bedId,
  fromRow,
  toRow,
  onRow,
  label,
}: {
  top: number;
  width: number;
  bedId: string;
  fromRow: number;
  toRow: number;
  onRow: (bedId: string, fromRow: number, toRow: number) => void;
  label: string;
}) {
  return (
    <View
      role="button"
      aria-label={label}
      style={[styles.target, { top, left: 0, width, height: LANE - 4 }]}
      {...({ tabIndex: -1, onClick: () => onRow(bedId, fromRow, toRow) } as object)}
    />
  );
});

interface TargetProps {
  strip: Strip;
  bedName: string;
  left: number;
  width: number;
  top: number;
  px: number;
  hand: Hand;
  /** This strip's planting as it was when it was taken hold of. */
  held: Planting | null;
  today: string;
  chosen: boolean;
  onChoose: (id: string | null) => void;
}

/** Where a strip is taken hold of: the whole of it moves it, its right end moves its clearing. */
export const StripTarget = memo(function StripTarget({
  strip: s,
  bedName,
  left,
  width,
  top,
  px,
  hand,
  held,
  today,
  chosen,
  onChoose,
}: TargetProps) {
  const theme = useTheme();
  const [focus, setFocus] = useState(false);
  const moved = (by: number, edge: 'all' | 'end') =>
    movedBy(held ?? s.planting, by, edge, today, isoOf(s.endDay));
  const pan = (edge: 'all' | 'end') =>
    Gesture.Pan()
      .runOnJS(true)
      .minDistance(4)
      .activeOffsetX([-4, 4])
      .onStart(() => {
        hand.grab(s.planting);
        onChoose(s.planting.id);
      })
      .onUpdate((e) => hand.show(moved(Math.round(e.translationX / px), edge)))
      .onEnd((e) => {
        const after = moved(Math.round(e.translationX / px), edge);
        hand.grab(null);
        if (held && (after.plantedOn !== held.plantedOn || after.clearedOn !== held.clearedOn))
          void hand.put(held, after);
      });
  const onKey = (e: { key: string; shiftKey: boolean; preventDefault: () => void }) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
    if (e.key === 'Enter' || e.key === ' ') onChoose(chosen ? null : s.planting.id);
    else if (e.key === 'Escape') onChoose(null);
    else if (by !== undefined)
      void hand.put(
        s.planting,
        movedBy(s.planting, by * (e.shiftKey ? 7 : 1), 'all', today, isoOf(s.endDay)),
      );
    else if (e.key === '[' || e.key === ']')
      void hand.put(s.planting, movedBy(s.planting, e.key === '[' ? -7 : 7, 'end', today, isoOf(s.endDay)));
    else return;
    e.preventDefault();
  };
  const label = words.toInTheGround({
    name: s.crop.name,
    bedName,
    rowsWords: rowsWords(s.planting),
    plantedOn: dayShort(s.planting.plantedOn.slice(5)),
    isoOf: dayShort(isoOf(s.endDay).slice(5)),
    mayMove: mayMove(s.planting),
  });
  return (
    <>
      <GestureDetector gesture={pan('all')}>
        <View
          role="button"
          aria-label={label}
          aria-pressed={chosen}
          testID={`strip-${s.planting.id}`}
          style={[
            styles.target,
            {
              left,
              top,
              width,
              height: LANE - 4,
              borderColor: focus || chosen ? theme.ink : 'transparent',
              borderWidth: chosen || focus ? 1.5 : 0,
            },
            Platform.OS === 'web' ? ({ cursor: mayMove(s.planting) ? 'grab' : 'pointer' } as object) : null,
          ]}
          {...({
            tabIndex: 0,
            onClick: () => onChoose(s.planting.id),
            onKeyDown: onKey,
            onFocus: () => setFocus(true),
            onBlur: () => setFocus(false),
          } as object)}
        />
      </GestureDetector>
      <GestureDetector gesture={pan('end')}>
        <View
          aria-hidden
          testID={`end-${s.planting.id}`}
          style={[
            styles.target,
            { left: left + width - 7, top, width: 14, height: LANE - 4 },
            Platform.OS === 'web' ? ({ cursor: 'ew-resize' } as object) : null,
          ]}
        />
      </GestureDetector>
    </>
  );
});

const styles = StyleSheet.create({ target: { position: 'absolute' } });
