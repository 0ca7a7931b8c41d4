/**
 * A sheet of paper: a title, what it says first, parts of lines that can be ticked. Contract: `sheetText` is all of it as plain
 * text, to be sent; `printSheet` puts it alone on the browser's page, prints, and leaves nothing behind.
 */
import type { Sheet, SheetPart } from '@fogata/words/sheet';

const box = (done: boolean | null) => (done === null ? '' : done ? '[x] ' : '[ ] ');

export function sheetText(s: Sheet): string {
  const lines = (p: SheetPart) =>
    p.lines.flatMap((l) => [
      `${box(l.done)}${l.at ? `${l.at}  ` : ''}${l.text}`,
      ...(l.note ? [`      ${l.note}`] : []),
    ]);
  return [
    s.title,
    '',
    ...(s.first ? [s.first, ''] : []),
    ...s.parts.flatMap((p) => [p.title.toUpperCase(), ...lines(p), '']),
    ...s.mind.map((m) => `! ${m}`),
  ]
    .join('\n')
    .trimEnd()
    .concat('\n');
}

/** The browser's document; null where there is none to print from. */
const paperOf = (): Document | null => (typeof document === 'undefined' ? null : document);

export function printSheet(s: Sheet): boolean {
  const page = paperOf();
  if (!page) return false;
  const add = (to: HTMLElement, tag: string, text = '', name = ''): HTMLElement => {
    const el = page.createElement(tag);
    el.textContent = text;
    if (name) el.className = name;
    return to.appendChild(el);
  };
  page.getElementById('paper')?.remove();
  const paper = add(page.body, 'section');
  paper.id = 'paper';
  if (s.tags) paper.className = 'tags';
  add(paper, 'h1', s.title);
  if (s.first) add(paper, 'p', s.first);
  for (const part of s.parts) {
    const block = add(paper, 'div', '', 'part');
    add(block, 'h2', part.title);
    for (const line of part.lines) {
      const row = add(block, 'div', '', 'row');
      add(row, 'span', line.done === null ? '' : line.done ? '☑' : '☐', 'box');
      add(row, 'span', line.at, 'at');
      const said = add(row, 'div', '', 'said');
      add(said, 'div', line.text);
      if (line.note) add(said, 'small', line.note);
    }
  }
  for (const m of s.mind) add(paper, 'p', `▲ ${m}`);
  window.addEventListener('afterprint', () => paper.remove(), { once: true });
  window.print();
  return true;
}
