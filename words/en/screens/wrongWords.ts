/** What goes wrong, in words: what an answer does to which planting, and what it is worth. */
import { cropById, type Planting, type Segment } from '@fogata/core';
import { dayOf, type GoneWrong, type RelayYear, type WentWrong } from '@fogata/core/relay';
import type { Format } from '@fogata/core/words';
import { dayShort, upper } from './seasonWords';

const short = (date: string | null) => (date === null ? '' : dayShort(date.slice(5)));

/** "Lettuce 9 days later, on 2 May". */
export function moveWords(p: Planting, year: RelayYear): string {
  const s = year.strips.find((x) => x.planting.id === p.id);
  const was = s?.planting;
  if (!was)
    return `${cropById(p.crop).name}, ${p.lengthM === 0 ? '' : `${p.fromRow === p.toRow ? 'one row' : `${p.toRow - p.fromRow + 1} rows`} `}on ${short(p.plantedOn)}`;
  const name = s.crop.name;
  if (p.bedId !== was.bedId) {
    const bed = year.beds.find((b) => b.id === p.bedId)?.name ?? '';
    return `${name} in ${bed}, from row ${p.fromRow}`;
  }
  const days = dayOf(p.plantedOn) - dayOf(was.plantedOn);
  if (days === 0) return `${name} cleared on ${short(p.clearedOn)}`;
  return `${name} ${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'later' : 'sooner'}, on ${short(p.plantedOn)}`;
}

const TITLE: Record<GoneWrong['kind'], string> = {
  'as-is': 'leave the plan as it is written',
  wait: 'let it finish, the others wait',
  'cut-short': 'clear it on the day for the next',
  elsewhere: 'put the next in other rows',
  sooner: 'begin the next sooner',
  'leave-out': 'leave the next out',
  spares: 'plant the spares from its trays first',
  again: 'begin the same again',
  other: 'put something else in until the next',
};
export const wrongTitle = (a: GoneWrong): string => upper(TITLE[a.kind]);

export function wrongDetail(a: GoneWrong, year: RelayYear, format: Pick<Format, 'money'>): string {
  const dropped = a.dropped.map(
    (id) => `without ${year.strips.find((s) => s.planting.id === id)?.crop.name ?? 'it'}`,
  );
  const money =
    a.kind === 'as-is'
      ? `${format.money(a.money)} in all`
      : `${a.gain < 0 ? '−' : '+'}${format.money(Math.abs(a.gain))} against that`;
  return upper([...a.moves.map((p) => moveWords(p, year)), ...dropped, money].join('; '));
}

export function wrongSentence(list: readonly GoneWrong[], w: WentWrong): Segment[] {
  const [best] = list;
  const what =
    w.lateDays === null ? 'Lost: ' : `${Math.abs(w.lateDays)} days ${w.lateDays >= 0 ? 'late' : 'early'}: `;
  if (list.length < 2 || !best)
    return [{ text: `${what}nothing is planned after it in these rows, nothing moves.`, tone: 'plain' }];
  return [
    { text: what, tone: 'plain' },
    { text: `${TITLE[best.kind]}.`, tone: best.kind === 'as-is' ? 'pine' : 'ember' },
  ];
}
