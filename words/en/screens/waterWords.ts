/**
 * Water in words. Contract: `waterSentence` says what is to be watered today, what waits for the frost and what comes next; `rowWords` one
 * bed; what nobody has said is said to be not known.
 */
import type { WaterRow, WaterView } from '@fogata/contract/told';
import { countWord, daysBetween, joined, perAreaText, upper, type Segment } from '@fogata/core';
import type { Format } from '@fogata/core/words';

/** Nitrogen in a common organic feed: starting value; yours says on its bag. */
const FEED_N = 0.06;

export type Turn = 'now' | 'frost' | 'soon' | 'well';

/** Today, waiting for the frost to pass, within the forecast, or not. */
export function turnOf(r: WaterRow, today: string): Turn {
  if (r.on === null) return 'well';
  if (r.on > today) return 'soon';
  return r.may === today ? 'now' : 'frost';
}

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
export function dayName(date: string, today: string): string {
  const days = daysBetween(today, date);
  if (days <= 0) return 'today';
  return days === 1 ? 'tomorrow' : DAYS[new Date(`${date}T12:00:00Z`).getUTCDay()]!;
}

export function waterSentence(view: WaterView, format: Pick<Format, 'litres'>): Segment[] {
  const of = (t: Turn) => view.rows.filter((r) => turnOf(r, view.today) === t);
  const [now, frost, soon] = [of('now'), of('frost'), of('soon')];
  if (view.rows.length === 0)
    return [{ text: 'Nothing stands in a bed that could want water.', tone: 'plain' }];
  const out: Segment[] = [];
  if (now.length > 0) {
    const litres = now.reduce((s, r) => s + r.litres, 0);
    out.push(
      {
        text: `Water ${joined(now.slice(0, 4).map((r) => r.name))}${now.length > 4 ? ` and ${countWord(now.length - 4)} more` : ''}`,
        tone: 'ember',
      },
      { text: `, ${format.litres(litres)} in all. `, tone: 'plain' },
    );
  }
  if (frost.length > 0) {
    const first = frost
      .map((r) => r.may)
      .filter((d): d is string => d !== null)
      .sort()[0];
    out.push(
      {
        text: `${joined(frost.slice(0, 4).map((r) => r.name))} ${frost.length === 1 ? 'is' : 'are'} dry`,
        tone: 'frost',
      },
      {
        text: view.lack
          ? ', but whether tonight freezes nobody has told: tell the weather first. '
          : `, but no water into this frost${first ? `: ${dayName(first, view.today)} at the earliest` : ''}. `,
        tone: 'plain',
      },
    );
  }
  if (out.length > 0) return out;
  const [next] = soon;
  return [
    { text: 'Nothing wants water today. ', tone: 'plain' },
    ...(next
      ? [{ text: `${next.name} next, ${dayName(next.on!, view.today)}.`, tone: 'plain' as const }]
      : [
          {
            text: view.lack
              ? 'How it goes on nobody knows: there is no forecast.'
              : `Nor in the ${countWord(view.aheadDays)} days that are known.`,
            tone: 'plain' as const,
          },
        ]),
  ];
}

/** What the two schools say of water before tomorrow's frost, with the heat that it is worth here. */
export function bankWords(bank: NonNullable<WaterRow['bank']>, format: Pick<Format, 'diff'>): string {
  const worth =
    Math.abs(bank.worthK) < 0.05
      ? 'nothing to the leaf that night'
      : `${format.diff(bank.worthK)} to the leaf that night`;
  return bank.does
    ? `before tomorrow’s frost, while it is mild: wet soil is worth ${worth}`
    : `left dry before tomorrow’s frost, as you do it; watered today it would be ${worth}`;
}

/** "3.0 g of nitrogen a m²: 50 g of a feed with 6 in a hundred." */
export function feedWords(nGM2: number, format: Pick<Format, 'length'>): string {
  return `${perAreaText(nGM2, format.length)} of nitrogen: ${perAreaText(nGM2 / FEED_N, format.length)} of a feed that has ${Math.round(100 * FEED_N)} in a hundred`;
}

/** "Lacks 11 of 15 mm before it wants water; 0.6 mm used today." */
export function rowWords(
  r: WaterRow,
  view: Pick<WaterView, 'today'>,
  format: Pick<Format, 'litres' | 'rain' | 'diff'>,
): string[] {
  const out: string[] = [];
  const turn = turnOf(r, view.today);
  if (r.kind === 'pots') {
    out.push(`${format.litres(r.litres)} today${r.times > 1 ? `, in ${countWord(r.times)} turns` : ''}`);
  } else if (turn === 'now' || turn === 'soon') {
    out.push(
      [
        `${format.rain(r.mm)}, ${format.litres(r.litres)}`,
        r.minutes === null
          ? ''
          : `${Math.round(r.minutes)} min of its lines${r.uneven ? ', for their poor end' : ''}`,
      ]
        .filter(Boolean)
        .join(', '),
    );
  }
  if (turn === 'frost')
    out.push(
      r.may
        ? `dry; ${dayName(r.may, view.today)}, when it no longer freezes`
        : 'dry; no day without frost is known yet',
    );
  if (r.held) out.push('held back, as you said');
  if (r.bank) out.push(bankWords(r.bank, format));
  if (r.kind === 'seedbed') out.push('a seedbed: its top may not dry until it is up');
  if (r.lacksMm !== null && r.wantsMm !== null)
    out.push(
      `lacks ${format.rain(r.lacksMm)} of full, wants water at ${format.rain(r.wantsMm)}; uses ${format.rain(r.usedMm)} a day`,
    );
  if (r.rough) out.push('roughly, by its cover alone: its hours under it are not worked out yet');
  out.push(
    r.since === null
      ? 'nobody has said when it was watered: feel it once'
      : `watered or felt ${r.since === view.today ? 'today' : `${daysBetween(r.since, view.today)} days ago`}`,
  );
  return out.map(upper);
}
