/** A need answered in words. Contract: `needSentence` opens it; `sowingWords`, `spotWords` say one sowing; nothing short is left unsaid. */
import type { NeedSowingView, NeedView } from '@fogata/contract/told';
import { countWord, type Segment } from '@fogata/core';
import type { Format } from '@fogata/core/words';
import { dayShort, ofHundred, upper } from './seasonWords';

const md = (date: string) => dayShort(date.slice(5));
const metres = (m: number, format: Pick<Format, 'metres'>) => format.metres(Number(m.toFixed(1)));

/** "Three sowings and 31 m of row give 8 kg of spinach a week from 15 Nov to 1 Mar." */
export function needSentence(view: NeedView, format: Pick<Format, 'metres' | 'mass'>): Segment[] {
  const { sowings, metres: all, weeks } = view.answer!;
  const what = `${format.mass(view.kgPerWeek)} of ${view.name} a week from ${md(view.from)} to ${md(view.to)}`;
  if (sowings.length === 0)
    return [
      { text: 'No day and no place of yours', tone: 'ochre' },
      { text: ` with free rows gives ${what} at the risk that you accept.`, tone: 'plain' },
    ];
  const begun = view.planted ? ['planting', 'plantings'] : ['sowing', 'sowings'];
  const short = weeks.filter((w) => w.shortKg > 0.05 * view.kgPerWeek);
  const out: Segment[] = [
    {
      text: `${upper(countWord(sowings.length))} ${begun[sowings.length === 1 ? 0 : 1]} and ${metres(all, format)} of row`,
      tone: 'ember',
    },
    { text: ` give ${what}.`, tone: 'plain' },
  ];
  if (short.length > 0)
    out.push({
      text: ` ${upper(countWord(short.length))} ${short.length === 1 ? 'week is' : 'weeks are'} short all the same, the first that of ${md(short[0]!.from)}.`,
      tone: 'ochre',
    });
  return out;
}

/** "Sow 12 m in North house from 24 Sep". */
export function sowingWords(view: NeedView, s: NeedSowingView, format: Pick<Format, 'metres'>): string {
  return `${view.planted ? 'Plant' : 'Sow'} ${metres(s.metres, format)} in ${s.place} on ${md(s.date)} ${s.date.slice(0, 4)}`;
}

export function spotWords(s: NeedSowingView, format: Pick<Format, 'metres' | 'mass'>): string {
  const where = s.spots
    .map(
      (x) =>
        `${x.name} ${x.fromRow === x.toRow ? `row ${x.fromRow}` : `rows ${x.fromRow} to ${x.toRow}`} of ${metres(x.lengthM, format)}`,
    )
    .join(' and ');
  const seed = s.grams === null ? '' : `${s.grams < 10 ? s.grams.toFixed(1) : Math.round(s.grams)} g of seed`;
  const bench = s.bench ? `${s.bench.cells} cells from ${md(s.bench.from)}` : '';
  return [
    where,
    `picked from ${md(s.readyOn)} to ${md(s.overOn)}, ${format.mass(Math.round(s.kg))} in those weeks`,
    `comes off in ${ofHundred(s.success)}`,
    bench,
    seed,
    s.cover ? `with ${s.cover.toLowerCase()} on cold nights` : '',
  ]
    .filter(Boolean)
    .join('; ');
}
