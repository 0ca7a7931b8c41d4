/**
 * Plantings typed as in a spreadsheet: arrows go, typing writes over, Enter goes down, Tab on; Shift and arrows take several, Ctrl D
 * fills them from the first, Ctrl C and Ctrl V take blocks out and in. Contract: it shows rows and tells what they become.
 */
import { useCallback, useEffect, useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, TextInput, View } from 'react-native';
import { useTheme } from '../../theme/theme';
import { FONT } from '../../theme/tokens';
import { Text } from '../ui/Text';
import {
  copied,
  filled,
  GRID_COLUMNS,
  isChanged,
  pasted,
  typed,
  type At,
  type GridRow,
} from './plantingGrid';
import { plantingGrid as words } from '@fogata/words/en/screens/season';

interface Props {
  rows: readonly GridRow[];
  wrong: ReadonlyMap<string, string>;
  complete: Parameters<typeof typed>[3];
  onChange: (rows: GridRow[]) => void;
  /** Counted up, the empty row gets the focus. */
  jump: number;
}

interface Key {
  key: string;
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
  altKey: boolean;
  target?: unknown;
  preventDefault: () => void;
  stopPropagation: () => void;
}

const GOES: Record<string, [number, number]> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
  PageDown: [10, 0],
  PageUp: [-10, 0],
};

export function PlantingGrid({ rows, wrong, complete, onChange, jump }: Props) {
  const theme = useTheme();
  const [at, setAt] = useState<At>({ row: rows.length - 1, col: 0 });
  /** The other corner of what is taken together. */
  const [to, setTo] = useState<At>(at);
  const [text, setText] = useState<string | null>(null);
  const grid = useRef<View>(null);
  const element = useCallback(() => grid.current as unknown as HTMLElement | null, []);
  const within = (row: number, col: number): At => ({
    row: Math.min(rows.length - 1, Math.max(0, row)),
    col: Math.min(GRID_COLUMNS.length - 1, Math.max(0, col)),
  });
  const go = (next: At, wide = false) => {
    if (!wide) setAt(next);
    setTo(next);
  };
  const [jumped, setJumped] = useState(jump);
  if (jump !== jumped) {
    setJumped(jump);
    setAt({ row: rows.length - 1, col: 0 });
    setTo({ row: rows.length - 1, col: 0 });
  }
  useEffect(() => {
    if (jump > 0) element()?.focus();
  }, [jump, element]);
  // what the keys are at is seen
  useEffect(() => {
    const here = typeof document === 'undefined' ? null : element();
    if (here?.contains(document.activeElement))
      here.querySelector('[data-here]')?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' });
  }, [at, to, element]);
  const [top, bottom] = [Math.min(at.row, to.row), Math.max(at.row, to.row)];
  const [left, right] = [Math.min(at.col, to.col), Math.max(at.col, to.col)];

  const commit = (by: [number, number]) => {
    if (text !== null) onChange(typed(rows, at, text, complete));
    setText(null);
    element()?.focus();
    // a row that was begun at the end makes room for the next
    const next = { row: Math.min(rows.length, at.row + by[0]), col: at.col + by[1] };
    go({ row: Math.max(0, next.row), col: Math.min(GRID_COLUMNS.length - 1, Math.max(0, next.col)) });
  };
  const clear = () => {
    let next: GridRow[] = [...rows];
    for (let row = top; row <= bottom; row++)
      for (let col = left; col <= right; col++) next = typed(next, { row, col }, '', complete);
    onChange(next);
  };
  const fill = () => {
    let next: GridRow[] = [...rows];
    // one cell alone takes what stands over it
    const from = top === bottom ? top - 1 : top;
    if (from < 0) return;
    for (let col = left; col <= right; col++) next = filled(next, from, bottom, col);
    onChange(next);
  };
  const onKeyDown = (e: Key) => {
    const control = e.ctrlKey || e.metaKey;
    if (text !== null) {
      if (e.key === 'Enter') commit([1, 0]);
      else if (e.key === 'Tab') commit([0, e.shiftKey ? -1 : 1]);
      else if (e.key === 'Escape') {
        setText(null);
        element()?.focus();
      } else if (e.key.length === 1 && !control && (e.target as HTMLElement | null)?.tagName !== 'INPUT') {
        // fingers are quicker than the field that opens under them
        setText((t) => `${t ?? ''}${e.key}`);
      } else return;
      e.preventDefault();
      e.stopPropagation();
      return;
    }
    const by = GOES[e.key];
    if (by) {
      const from = e.shiftKey ? to : at;
      go(within(from.row + by[0], from.col + by[1]), e.shiftKey);
    } else if (e.key === 'Home') go(within(at.row, 0));
    else if (e.key === 'End') go(within(at.row, GRID_COLUMNS.length - 1));
    else if (control && e.key.toLowerCase() === 'd') fill();
    else if (e.key === 'Delete' || e.key === 'Backspace') clear();
    else if (e.key === 'Enter' || e.key === 'F2')
      setText(rows[at.row]?.cells[GRID_COLUMNS[at.col]!.id] ?? '');
    else if (e.key.length === 1 && !control && !e.altKey) setText(e.key);
    else return;
    e.preventDefault();
    // a letter here is no shortcut of the page
    e.stopPropagation();
  };

  useEffect(() => {
    const mine = () => element()?.contains(document.activeElement) === true && text === null;
    const paste = (e: ClipboardEvent) => {
      const block = mine() ? e.clipboardData?.getData('text/plain') : undefined;
      if (!block) return;
      e.preventDefault();
      onChange(pasted(rows, { row: top, col: left }, block, complete));
    };
    const copy = (e: ClipboardEvent) => {
      if (!mine()) return;
      e.preventDefault();
      e.clipboardData?.setData(
        'text/plain',
        copied(rows, { row: top, col: left }, { row: bottom, col: right }),
      );
    };
    if (typeof document === 'undefined') return;
    document.addEventListener('paste', paste);
    document.addEventListener('copy', copy);
    return () => {
      document.removeEventListener('paste', paste);
      document.removeEventListener('copy', copy);
    };
  }, [rows, top, left, bottom, right, text, complete, onChange, element]);

  const cell = { fontFamily: FONT.text, fontSize: 15, color: theme.ink };
  return (
    <ScrollView horizontal contentContainerStyle={{ flexGrow: 1 }}>
      <View
        ref={grid}
        role="grid"
        aria-label={words.plantings}
        aria-rowcount={rows.length}
        tabIndex={0}
        testID="planting-grid"
        style={styles.grid}
        {...({ onKeyDown } as object)}
      >
        <View role="row" style={[styles.row, { borderColor: theme.ink }]}>
          {GRID_COLUMNS.map((c) => (
            <View key={c.id} role="columnheader" style={[styles.cell, { flex: c.wide }]}>
              <Text kind="label" tone="quiet">
                {c.title}
              </Text>
            </View>
          ))}
        </View>
        {rows.map((r, row) => (
          <View
            key={`${row} ${r.id}`}
            role="row"
            style={[styles.row, { borderColor: theme.hairline }]}
            testID="grid-row"
          >
            {GRID_COLUMNS.map((c, col) => {
              const here = at.row === row && at.col === col;
              const taken = row >= top && row <= bottom && col >= left && col <= right;
              const problem = wrong.get(`${row} ${c.id}`);
              const said = r.cells[c.id] ?? '';
              return (
                <Pressable
                  key={c.id}
                  {...({ role: 'gridcell', ...(here ? { dataSet: { here: '' } } : {}) } as object)}
                  aria-selected={taken}
                  aria-label={words.row2({
                    title: c.title,
                    row: row + 1,
                    said: said || 'empty',
                    problem: problem ? words.expected(problem.replace(/^expected /, '')) : '',
                  })}
                  tabIndex={-1}
                  // a space typed in it is a space, and no press
                  disabled={here && text !== null}
                  onPress={() => {
                    if (here) setText(said);
                    else {
                      if (text !== null) onChange(typed(rows, at, text, complete));
                      setText(null);
                      go({ row, col });
                      element()?.focus();
                    }
                  }}
                  style={[
                    styles.cell,
                    { flex: c.wide },
                    taken ? { backgroundColor: theme.raised } : null,
                    here ? { borderColor: theme.ink } : null,
                    problem ? { borderColor: theme.ember } : null,
                  ]}
                >
                  {here && text !== null ? (
                    <TextInput
                      autoFocus
                      value={text}
                      onChangeText={setText}
                      // a field keeps its keys to itself; what ends it is the table's
                      onKeyPress={(e) => onKeyDown(e as unknown as Key)}
                      onBlur={() => {
                        if (text !== said) onChange(typed(rows, at, text, complete));
                        setText(null);
                      }}
                      aria-label={words.row3(c.title, row + 1)}
                      style={[cell, styles.input]}
                    />
                  ) : (
                    <Text kind={isChanged(r) && said !== (r.kept?.[c.id] ?? '') ? 'strong' : 'body'}>
                      {words.newWord({ said, row, count: rows.length - 1, col })}
                    </Text>
                  )}
                </Pressable>
              );
            })}
          </View>
        ))}
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  grid: { minWidth: 980, flexGrow: 1 },
  row: { flexDirection: 'row', borderBottomWidth: 1, minHeight: 40 },
  cell: { paddingHorizontal: 8, justifyContent: 'center', borderWidth: 2, borderColor: 'transparent' },
  input: { padding: 0, height: 32, outlineWidth: 0 } as object,
});
