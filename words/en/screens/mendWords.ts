/** Answers to a patchy stand in words: what is done, what it brings over leaving it, why one brings nothing. */
import type { MendView } from '@fogata/contract/told';
import type { Mend } from '@fogata/core/relay';
import type { Segment } from '@fogata/core';
import type { Format } from '@fogata/core/words';
import { dayShort, ofHundred, upper } from './seasonWords';

const DO: Record<Mend['kind'], (m: Mend, name: string) => string> = {
  leave: () => 'leave it as it is',
  spares: (m) => `plant ${m.plants} spares into the gaps`,
  resow: () => 'sow into the gaps',
  again: (m, name) => `clear it and ${m.how === 'sow' ? 'sow' : 'plant'} ${name} again`,
  other: (m) => `clear it and ${m.how === 'sow' ? 'sow' : 'plant'} ${m.name}`,
};

export const mendTitle = (m: Mend, name: string): string => upper(DO[m.kind](m, name));

export function mendSentence(v: MendView, format: Pick<Format, 'money'>): Segment[] {
  const [best] = v.answers;
  if (!best) return [{ text: 'Nothing is known of its place yet.', tone: 'ochre' }];
  const share = `${Math.round(100 * v.stands)} of 100 stand: `;
  if (best.kind === 'leave')
    return [
      { text: share, tone: 'plain' },
      { text: 'leave it', tone: 'pine' },
      { text: '. Nothing else is worth its work now.', tone: 'plain' },
    ];
  return [
    { text: share, tone: 'plain' },
    { text: DO[best.kind](best, v.name), tone: 'ember' },
    { text: `, for ${format.money(best.gain)} more than leaving it.`, tone: 'plain' },
  ];
}

export function mendWords(m: Mend, format: Pick<Format, 'money'>): string {
  const out = [`worth ${format.money(Math.max(0, m.worth))}`];
  if (m.kind !== 'leave')
    out.push(`${m.gain >= 0 ? '' : '−'}${format.money(Math.abs(m.gain))} against leaving it`);
  if (m.late) out.push('not ready before its row is needed');
  else if (m.readyOn) out.push(`ready about ${dayShort(m.readyOn.slice(5))}`);
  if (m.success !== null && m.kind !== 'leave') out.push(`comes off in ${ofHundred(m.success)}`);
  if (m.minutes > 0) out.push(`${Math.round(m.minutes)} min`);
  if (m.grams !== null) out.push(`${m.grams < 10 ? m.grams.toFixed(1) : Math.round(m.grams)} g of seed`);
  return upper(out.join('; '));
}
