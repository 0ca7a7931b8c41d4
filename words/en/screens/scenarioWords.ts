/** Plans laid side by side, in lines: what each brings, what it takes, how sure it is; the best of each line is marked. */
import type { Tally } from '@fogata/core/relay';
import type { Format } from '@fogata/core/words';
import type { Segment } from '@fogata/core';

export interface PlanColumn {
  /** Null of what is planned now. */
  id: string | null;
  name: string;
  tally: Tally;
  /** Whether its places are gone through: until then its figures are of what is known. */
  ready: boolean;
}

export interface PlanLine {
  label: string;
  values: string[];
  best: boolean[];
}

export function planLines(plans: readonly PlanColumn[], format: Pick<Format, 'money' | 'mass'>): PlanLine[] {
  const line = (
    label: string,
    of: (t: Tally) => number | null,
    text: (x: number) => string,
    higher: boolean,
  ): PlanLine => {
    const values = plans.map((p) => of(p.tally));
    const known = values.filter((v): v is number => v !== null).map((v) => (higher ? v : -v));
    const top = Math.max(...known);
    const alike = known.every((v) => text(Math.abs(v)) === text(Math.abs(top)));
    return {
      label,
      values: values.map((v) => (v === null ? '–' : text(v))),
      best: values.map((v) => !alike && v !== null && (higher ? v : -v) === top),
    };
  };
  const hours = (x: number) => `${Math.round(x)} h`;
  return [
    line(
      'Money',
      (t) => t.money,
      (x) => format.money(x),
      true,
    ),
    line(
      'Weighed',
      (t) => t.kg,
      (x) => format.mass(Math.round(x)),
      true,
    ),
    line('Hours', (t) => t.hours, hours, false),
    line('Fullest week', (t) => t.mostHours, hours, false),
    line(
      'Comes off',
      (t) => t.success,
      (x) => `${Math.round(100 * x)} of 100`,
      true,
    ),
    line('Crops', (t) => t.crops, String, true),
    line(
      'Short of what is asked',
      (t) => t.shortKg,
      (x) => format.mass(Math.round(x)),
      false,
    ),
  ];
}

/** "“Early tomatoes” brings €120 more than what is planned now, and 6 hours more work." */
export function planSentence(plans: readonly PlanColumn[], format: Pick<Format, 'money'>): Segment[] {
  const [now, ...kept] = plans;
  const plain = (text: string): Segment => ({ text, tone: 'plain' });
  if (!now || kept.length === 0)
    return [
      plain('Put the plan by under a name, change what you like, and see here what the change is worth.'),
    ];
  if (plans.some((p) => !p.ready)) return [plain('Going through the years of these plans…')];
  const best = kept.reduce((a, b) => (b.tally.money > a.tally.money ? b : a));
  const more = best.tally.money - now.tally.money;
  const hours = Math.round(best.tally.hours - now.tally.hours);
  const work =
    hours === 0
      ? 'the same work'
      : `${Math.abs(hours)} ${Math.abs(hours) === 1 ? 'hour' : 'hours'} ${hours > 0 ? 'more' : 'less'} work`;
  if (Math.abs(more) < 1)
    return [plain(`“${best.name}” brings as much as what is planned now, with ${work}.`)];
  return more > 0
    ? [
        { text: `“${best.name}” brings ${format.money(more)} more`, tone: 'pine' },
        plain(` than what is planned now, with ${work}.`),
      ]
    : [
        plain(
          `What is planned now brings ${format.money(-more)} more than “${best.name}”, the best of those put by.`,
        ),
      ];
}
