/**
 * A table for a wide screen: sorted by a press on a column's name, searched as one types, gone through by arrow keys, opened by
 * Enter. Contract: columns say how a row's value is compared and how it is written; the table never changes a row.
 */
import {
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { useRef, useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useTheme } from '../../theme/theme';
import { TOUCH } from '../../theme/tokens';
import { NoteField } from './Field';
import { Text } from './Text';
import { table as words } from '@fogata/words/en/screens/ui';

export interface Column<T> {
  id: string;
  title: string;
  /** What it is sorted and searched by. */
  value: (row: T) => string | number;
  /** What is shown, where that is not the value itself. */
  show?: (row: T) => ReactNode;
  /** Share of the width. */
  wide?: number;
  number?: boolean;
}

interface Props<T> {
  label: string;
  rows: readonly T[];
  columns: readonly Column<T>[];
  idOf: (row: T) => string;
  /** Said of a row to those who hear it, and Enter on it opens it. */
  nameOf: (row: T) => string;
  onOpen?: (row: T) => void;
  /** What can be pressed at the end of a row. */
  end?: (row: T) => ReactNode;
  empty: string;
  testID?: string;
}

export function Table<T>({ label, rows, columns, idOf, nameOf, onOpen, end, empty, testID }: Props<T>) {
  const theme = useTheme();
  const [sorting, setSorting] = useState<SortingState>([]);
  const [text, setText] = useState('');
  const body = useRef<View>(null);
  const defs = columns.map((c): ColumnDef<T> => ({
    id: c.id,
    accessorFn: c.value,
    sortingFn: c.number ? 'basic' : 'alphanumeric',
  }));
  // eslint-disable-next-line react-hooks/incompatible-library -- its rows are read in this render only
  const table = useReactTable({
    data: rows as T[],
    columns: defs,
    state: { sorting, globalFilter: text },
    onSortingChange: setSorting,
    onGlobalFilterChange: setText,
    globalFilterFn: 'includesString',
    getRowId: idOf,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  const shown = table.getRowModel().rows;
  /** The row above or below gets the focus. */
  const move = (from: HTMLElement, by: number) => {
    const all = [
      ...((body.current as unknown as HTMLElement | null)?.querySelectorAll<HTMLElement>('[role="row"]') ??
        []),
    ];
    all[Math.min(all.length - 1, Math.max(0, all.indexOf(from) + by))]?.focus();
  };
  const keys = (row: T) => ({
    onKeyDown: (e: { key: string; target: unknown; currentTarget: unknown; preventDefault: () => void }) => {
      if (e.target !== e.currentTarget) return;
      const by = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10, Home: -1e6, End: 1e6 }[e.key];
      if (by !== undefined) move(e.currentTarget as HTMLElement, by);
      else if (e.key === 'Enter' && onOpen) onOpen(row);
      else return;
      e.preventDefault();
    },
  });
  const width = (c: Column<T>) => ({ flex: c.wide ?? 1 });
  return (
    <View style={{ gap: 10 }} testID={testID}>
      <View style={{ maxWidth: 360 }}>
        <NoteField
          label={words.search(label.toLowerCase())}
          value={text}
          onChange={setText}
          testID={testID ? `${testID}-search` : undefined}
        />
      </View>
      <View role="table" aria-label={label} aria-rowcount={shown.length}>
        <View role="row" style={[styles.row, { borderColor: theme.ink }]}>
          {columns.map((c) => {
            const sorted = table.getColumn(c.id)!.getIsSorted();
            return (
              <View
                key={c.id}
                role="columnheader"
                aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                style={width(c)}
              >
                <Pressable
                  role="button"
                  aria-label={words.sortBy(c.title.toLowerCase())}
                  onPress={() => table.getColumn(c.id)!.toggleSorting(sorted === 'asc')}
                  style={styles.head}
                >
                  <Text kind="label" tone="quiet">
                    {`${c.title}${sorted === 'asc' ? ' ▲' : sorted === 'desc' ? ' ▼' : ''}`}
                  </Text>
                </Pressable>
              </View>
            );
          })}
          {end ? <View role="columnheader" aria-label={words.whatCanBeDone} style={styles.end} /> : null}
        </View>
        <View ref={body} role="rowgroup">
          {shown.map(({ id, original }) => (
            <View
              key={id}
              role="row"
              tabIndex={0}
              aria-label={nameOf(original)}
              style={[styles.row, { borderColor: theme.hairline }]}
              {...(keys(original) as object)}
            >
              {columns.map((c) => (
                <View key={c.id} role="cell" style={width(c)}>
                  {c.show ? (
                    c.show(original)
                  ) : (
                    <Text kind={c.number ? 'label' : 'body'}>{String(c.value(original))}</Text>
                  )}
                </View>
              ))}
              {end ? (
                <View role="cell" style={styles.end}>
                  {end(original)}
                </View>
              ) : null}
            </View>
          ))}
        </View>
      </View>
      {shown.length === 0 ? <Text tone="quiet">{words.nothingHereHasInIt(text, empty)}</Text> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    minHeight: TOUCH,
    borderBottomWidth: 1,
    paddingVertical: 4,
  },
  head: { minHeight: TOUCH, justifyContent: 'center' },
  end: { width: 110, alignItems: 'flex-end' },
});
