/**
 * Ways side by side, in words. Contract: `startWays` gives two ways worth comparing of a crop's page; `compareSentence` says which gives most
 * and which is surest; `linesOf` the same lines for every way, with which of them is best.
 */
import type { SeasonCropView, WayAsked, WayView } from '@fogata/contract/told';
import { daysBetween, type Segment } from '@fogata/core';
import type { Format } from '@fogata/core/words';
import { dayShort, failureWords, ofHundred, upper } from './seasonWords';

export const waysText = (ways: readonly WayAsked[]): string =>
  ways.map((w) => [w.crop, w.how, w.structureId, w.date].join(',')).join(';');

export const waysOf = (text: string): WayAsked[] =>
  text
    .split(';')
    .filter(Boolean)
    .map((t) => {
      const [crop = '', how, structureId = '', date = ''] = t.split(',');
      return { crop, how: how === 'transplant' ? 'transplant' : 'sow', structureId, date };
    });

/** The next time that a day of the year comes. */
const nextOf = (md: string, today: string): string => {
  const year = Number(today.slice(0, 4));
  return `${md < today.slice(5) ? year + 1 : year}-${md}`;
};

/** The crop in its first place on the day that is looked at, and the other way or the next place. */
export function startWays(view: SeasonCropView, at: string): string {
  const [a, b] = view.places.filter(
    (p, i, all) => all.findIndex((x) => x.structureId === p.structureId) === i,
  );
  if (!a) return '';
  const date = nextOf(at, view.today);
  const first: WayAsked = { crop: view.crop, how: view.how, structureId: a.structureId, date };
  const other: WayAsked = view.mayTransplant
    ? { ...first, how: view.how === 'sow' ? 'transplant' : 'sow' }
    : { ...first, structureId: (b ?? a).structureId };
  return waysText([first, other]);
}

export const wayTitle = (w: WayView): string =>
  `${upper(w.name)}, ${w.planted ? 'planted' : 'sown'} ${dayShort(w.date.slice(5))}, ${w.place}`;

export function compareSentence(ways: readonly WayView[], format: Pick<Format, 'mass'>): Segment[] {
  const good = ways.filter((w) => w.given);
  if (good.length < 2)
    return [
      {
        text:
          good.length === 0
            ? 'None of these comes to a picking there.'
            : 'Only one of these comes to a picking there.',
        tone: 'ochre',
      },
    ];
  const sure = good.reduce((a, b) => (b.given!.success > a.given!.success ? b : a));
  const weighed = good.filter((w) => w.given!.kgPerM !== null);
  const most = weighed.reduce<WayView | null>(
    (a, b) => (a === null || b.given!.kgPerM! > a.given!.kgPerM! ? b : a),
    null,
  );
  const out: Segment[] = [
    { text: wayTitle(sure), tone: 'pine' },
    { text: ` is the surest: it comes off in ${ofHundred(sure.given!.success)}.`, tone: 'plain' },
  ];
  if (most && most !== sure)
    out.push(
      { text: ` ${wayTitle(most)}`, tone: 'ember' },
      { text: ` gives most, ${format.mass(Number(most.given!.kgPerM!.toFixed(1)))} a metre.`, tone: 'plain' },
    );
  else if (most) out.push({ text: ' It gives most as well.', tone: 'plain' });
  return out;
}

export interface Line {
  label: string;
  values: string[];
  /** Which are best; none where all are alike. */
  best: boolean[];
}

export function linesOf(ways: readonly WayView[], format: Pick<Format, 'mass' | 'money'>): Line[] {
  const line = (
    label: string,
    text: (g: NonNullable<WayView['given']>, w: WayView) => string,
    rank: ((g: NonNullable<WayView['given']>) => number) | null,
  ): Line => {
    const ranks = ways.map((w) => (w.given && rank ? rank(w.given) : NaN));
    const known = ranks.filter((r) => !Number.isNaN(r));
    const top = Math.max(...known);
    const alike = known.every((r) => r === top);
    return {
      label,
      values: ways.map((w) => (w.given ? text(w.given, w) : '–')),
      best: ranks.map((r) => !alike && r === top),
    };
  };
  return [
    line(
      'Comes off',
      (g, w) => `${ofHundred(g.success)}; else it ${failureWords(g.failure, w.crop)}`,
      (g) => Math.round(100 * g.success),
    ),
    line(
      'Picked',
      (g) => `${dayShort(g.readyOn.slice(5))} ${g.readyOn.slice(0, 4)} to ${dayShort(g.overOn.slice(5))}`,
      (g) => -daysBetween('2000-01-01', g.readyOn),
    ),
    line(
      'A metre gives',
      (g) => (g.kgPerM === null ? 'not weighed' : format.mass(Number(g.kgPerM.toFixed(1)))),
      (g) => Number((g.kgPerM ?? NaN).toFixed(1)),
    ),
    line(
      'Its worth',
      (g) => `${format.money(g.moneyPerM)} a metre`,
      (g) => Math.round(g.moneyPerM),
    ),
    line(
      'Work',
      (g) => `${Math.round(g.minutesPerM)} min a metre`,
      (g) => -Math.round(g.minutesPerM),
    ),
    line(
      'Keeps its row',
      (g) => `${g.daysInRow} days`,
      (g) => -g.daysInRow,
    ),
  ];
}
