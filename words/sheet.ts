/** What stands on a sheet of paper: made of words, printed or sent by the app (`components/sheets/sheet.ts`). */
export interface SheetLine {
  /** A box to tick; null for none. */
  done: boolean | null;
  /** When, or where, in front. */
  at: string;
  text: string;
  /** In small letters under it. */
  note?: string;
}
export interface SheetPart {
  title: string;
  lines: SheetLine[];
}
export interface Sheet {
  title: string;
  first: string;
  parts: SheetPart[];
  /** What to mind, at the foot. */
  mind: string[];
  /** Each part by itself, to be cut out. */
  tags?: boolean;
}
