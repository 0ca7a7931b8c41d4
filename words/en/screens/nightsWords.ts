/** What the list of nights opens with: how often it was right, and to which side it leans. */
import type { NightRow } from '@fogata/contract/told';
import type { Segment } from '@fogata/core';
import type { Format } from '@fogata/core/words';

/** A lean of less than this is none that a thermometer would show. */
const LEAN_K = 0.3;

export function nightsSentence(rows: readonly NightRow[], format: Pick<Format, 'diff'>): Segment[] {
  const read = rows.filter((r) => r.read > 0);
  if (rows.length === 0)
    return [{ text: 'No night has been said or read yet. The first stands here tomorrow.', tone: 'plain' }];
  if (read.length === 0) {
    const said = rows.filter((r) => r.saidC !== null).length;
    const nights = (n: number) => (n === 1 ? 'one night' : `${n} nights`);
    return [
      {
        text: `No night here was both said and read inside: ${nights(said)} said, ${nights(rows.filter((r) => r.readC !== null).length)} read outside. `,
        tone: 'plain',
      },
      { text: 'Read a house in the morning, and this says how right it was.', tone: 'plain' },
    ];
  }
  const spots = read.reduce((s, r) => s + r.read, 0);
  const within = read.reduce((s, r) => s + r.within, 0);
  const offK = read.reduce((s, r) => s + r.offK! * r.read, 0) / spots;
  const out: Segment[] = [
    { text: `In ${read.length === 1 ? 'one night' : `${read.length} nights`} `, tone: 'plain' },
    { text: `${within} of ${spots} thermometers`, tone: within / spots >= 0.7 ? 'plain' : 'ochre' },
    { text: ' lay within what was said', tone: 'plain' },
  ];
  const lean = format.diff(Math.abs(offK)).replace('+', '');
  out.push(
    Math.abs(offK) < LEAN_K
      ? { text: ', and it leaned to neither side.', tone: 'plain' }
      : {
          text: `; in the mean they read ${lean} ${offK < 0 ? 'colder' : 'warmer'}.`,
          tone: offK < 0 ? 'ochre' : 'plain',
        },
  );
  return out;
}
