/** A spring that is early or late, in words: what it moves of itself, and what each answer does and is worth. */
import type { Segment } from '@fogata/core';
import type { RelayYear, SpringAnswer, SpringMoves } from '@fogata/core/relay';
import type { Format } from '@fogata/core/words';
import { upper } from './seasonWords';
import { moveWords } from './wrongWords';

const TITLE: Record<SpringAnswer['kind'], [early: string, late: string]> = {
  'as-is': ['leave the plan as it is written', 'leave the plan as it is written'],
  all: ['bring everything forward', 'put everything off'],
  hardy: ['bring forward what stands frost', 'put off what stands frost'],
  tender: ['bring forward what frost kills', 'put off what frost kills'],
  following: ['begin each when its row is free', 'let each stand until it is picked, and what follows wait'],
};
export const springTitle = (a: SpringAnswer, days: number): string => upper(TITLE[a.kind][days > 0 ? 0 : 1]);

/** So many moves are named; the rest is counted. */
const NAMED = 3;

export function springDetail(a: SpringAnswer, year: RelayYear, format: Pick<Format, 'money'>): string {
  const money =
    a.kind === 'as-is'
      ? `${format.money(a.money)} in all`
      : `${a.gain < 0 ? '−' : '+'}${format.money(Math.abs(a.gain))} against that`;
  if (a.kind !== 'as-is' && a.moves.length === 0) return 'Nothing is moved by it.';
  const named = a.moves.slice(0, NAMED).map((p) => moveWords(p, year));
  const more = a.moves.length - named.length;
  return upper([...named, ...(more > 0 ? [`${more} more`] : []), money].join('; '));
}

export function springSentence(r: SpringMoves, days: number, year: RelayYear): Segment[] {
  const [best] = r.answers;
  const n = r.shifted.length;
  if (n === 0 || !best) return [{ text: 'Nothing that stands or is planned feels it.', tone: 'plain' }];
  const first = year.strips.find((s) => s.planting.id === r.shifted[0]!.id);
  return [
    {
      text: `${n === 1 ? 'One planting comes' : `${n} plantings come`} ${days > 0 ? 'sooner' : 'later'}, most of all ${first?.crop.name ?? 'one'}. `,
      tone: 'plain',
    },
    { text: `${springTitle(best, days)}.`, tone: best.kind === 'as-is' ? 'pine' : 'ember' },
  ];
}
