/** Ahead's words: what the screen opens with, and a night in a line. */
import type { AheadNight, AheadPlace, AheadView } from '@fogata/contract/told';
import type { Segment } from '@fogata/core';
import type { Format } from '@fogata/core/words';

type Told = Pick<Format, 't' | 'range' | 'diff' | 'money'>;

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const weekday = (date: string, days = 0) => DAYS[(new Date(`${date}T12:00:00Z`).getUTCDay() + days) % 7]!;

/** "Tonight", "Friday night". */
export const nightName = (night: string, first: string): string =>
  night === first ? 'Tonight' : `${weekday(night)} night`;

/** Risk that is worth a word, as money or as a chance. */
const AT_RISK = 5;
export const inDanger = (n: AheadNight): AheadPlace[] => n.places.filter((p) => p.harmChance >= 0.2);

export function shortWords(n: AheadNight): string {
  const list = n.short.map((s) => `${s.count} more of ${s.name.toLowerCase()}`);
  return list.length < 2 ? list.join('') : `${list.slice(0, -1).join(', ')} and ${list.at(-1)}`;
}

/** The sentence that Ahead opens with: the hardest night to come, and whether the sheets reach. */
export function aheadSentence(v: AheadView, format: Told): Segment[] {
  const plain = (text: string): Segment => ({ text, tone: 'plain' });
  if (v.lack || (v.nights.length === 0 && v.progress.state === 'empty'))
    return [
      plain(
        v.lack
          ? 'No forecast reaches the coming nights. Tell the weather, and this says how they look.'
          : 'Nothing stands in the beds, so no night can harm it.',
      ),
    ];
  if (v.nights.length === 0) return [];
  const first = v.nights[0]!.night;
  const hardest = v.nights.reduce((a, b) =>
    b.lossPlanned > a.lossPlanned + 0.5 ||
    (b.lossPlanned >= a.lossPlanned - 0.5 && b.outsideC.mid < a.outsideC.mid)
      ? b
      : a,
  );
  const out: Segment[] = [
    plain(
      `${v.nights.length === 1 ? 'One night is' : `${v.nights.length} nights are`} known. ${nightName(hardest.night, first)} is the hardest: `,
    ),
    { text: `${format.t(hardest.outsideC.mid, 0)} outside`, tone: 'frost' },
  ];
  out.push(
    hardest.lossPlanned >= AT_RISK
      ? { text: `, about ${format.money(hardest.lossPlanned)} at risk as planned. `, tone: 'ember' }
      : plain(', and what is planned holds. '),
  );
  const short = v.nights.filter((n) => n.short.length > 0 && n.shortSaves >= AT_RISK);
  if (short.length > 0) {
    const worst = short.reduce((a, b) => (b.shortSaves > a.shortSaves ? b : a));
    out.push({
      text: `${nightName(worst.night, first)} wants ${shortWords(worst)}, worth about ${format.money(worst.shortSaves)}.`,
      tone: 'ochre',
    });
  } else out.push(plain('The sheets reach for all of them.'));
  return out;
}

/** What is done in an evening. */
export function workWords(n: AheadNight): string {
  if (n.laid + n.lifted === 0) return 'Nothing moves.';
  const parts = [n.laid > 0 ? `${n.laid} on` : '', n.lifted > 0 ? `${n.lifted} off` : ''].filter(Boolean);
  return `${parts.join(', ')}, ${Math.round(n.minutes)} min.`;
}

export function nightWords(n: AheadNight, format: Told): string {
  const [closest] = n.places;
  const risk = inDanger(n).map((p) => p.name);
  return [
    closest
      ? `Closest ${closest.name}, ${closest.crop}: leaf ${format.range(closest.leafC.low, closest.leafC.high)}, ${closest.marginK >= 0 ? `${format.diff(closest.marginK).replace('+', '')} to spare` : `${format.diff(-closest.marginK).replace('+', '')} too cold`}.`
      : '',
    risk.length > 1 ? `At risk: ${risk.join(', ')}.` : '',
    n.stays.length > 0 ? `Covers stay in the morning on ${n.stays.join(', ')}.` : '',
    (n.leftOn ?? []).length > 0 ? `Leave covered through the day: ${n.leftOn.join(', ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** What choosing the nights together is worth, and how sure it is the best of all. */
export function togetherWords(t: NonNullable<AheadView['together']>, format: Told): string {
  const gap =
    t.gap === 0 ? 'Nothing better can be done' : `At most ${(100 * t.gap).toFixed(1)} % better could be done`;
  return `The nights are chosen together: what the next night wants again is not carried off and back.${t.saves >= 1 ? ` That saves about ${format.money(t.saves)}.` : ''} ${gap} with these sheets and hands.`;
}

/** "S2: Frost blanket tonight already." */
export const tonightWords = (b: { name: string; covers: string[] }): string =>
  `${b.name}: ${b.covers.length > 0 ? b.covers.join(' and ') : 'nothing'} tonight already`;

/** Sheets that no known night wants: put away for good, or kept at hand. */
export function noSheetsWords(
  n: NonNullable<AheadView['noSheets']>,
  dayShort: (md: string) => string,
): string {
  if (n.past)
    return 'No night that is known wants a sheet, and frost is usually over by now: they can go to the shed for good, dry, clean and counted.';
  return n.lastFrost
    ? `No night that is known wants a sheet. The last frost is usually about ${dayShort(n.lastFrost)}: keep them at hand until then.`
    : 'No night that is known wants a sheet. When frost usually ends here nobody has said: the site knows, once it is told.';
}
