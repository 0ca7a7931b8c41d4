/**
 * Tables as one reads them. Contract: `readTable(text)` gives its rows by the name of their column, each cell as it stands,
 * trimmed; `numberIn` a cell as a number, null for '-' and for nothing; what is neither is an error that names row and column.
 */
export type TableRow = Readonly<Record<string, string>>;

/** @example readTable('id | x\na | 1') // [{ id: 'a', x: '1' }] */
export function readTable(text: string): TableRow[] {
  const [head, ...lines] = text
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((cell) => cell.trim()));
  return lines.map((cells) => {
    if (cells.length > head!.length)
      throw new Error(`${cells[0]}: ${cells.length} cells for ${head!.length} columns`);
    return Object.fromEntries(head!.map((name, i) => [name, cells[i] ?? '']));
  });
}

/** @example numberIn({ id: 'a', x: '-' }, 'x') // null */
export function numberIn(row: TableRow, column: string): number | null {
  const cell = row[column];
  if (cell === undefined) throw new Error(`no column ${column}`);
  if (cell === '' || cell === '-') return null;
  const x = Number(cell);
  if (!Number.isFinite(x)) throw new Error(`${row['id']}: ${column} is ${cell}, a number was expected`);
  return x;
}

/** @example needed({ id: 'a', x: '1.5' }, 'x') // 1.5 */
export function needed(row: TableRow, column: string): number {
  const x = numberIn(row, column);
  if (x === null) throw new Error(`${row['id']}: ${column} is missing`);
  return x;
}
