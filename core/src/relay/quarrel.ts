/**
 * What plantings have against each other. Contract: a quarrel names its rule, its plantings, its days and the figures that it rests on;
 * its id stays the same while they are moved, so that one that was accepted stays silent. Words are the caller's (contract).
 */
export const RULES = [
  'rows-twice',
  'not-clear',
  'starved',
  'hungry',
  'shaded',
  'swamped',
  'crowded',
  'under',
  'too-tall',
  'reach',
  'walks',
  'fails',
  'rotation',
  'not-hot',
  'crosses',
  'glut',
  'trays',
] as const;
export type RuleId = (typeof RULES)[number];

export interface Quarrel {
  id: string;
  rule: RuleId;
  /** The bed it is in; null for what is the whole farm's. */
  bedId: string | null;
  /** First the one that can mend it best. */
  plantings: string[];
  fromDay: number;
  toDay: number;
  values: Record<string, number | string>;
}

/** @example quarrel('fails', 'b', ['q', 'p'], [1, 2], {}).id // 'fails p q' */
export const quarrel = (
  rule: RuleId,
  bedId: string | null,
  plantings: string[],
  days: [number, number],
  values: Quarrel['values'],
  also = '',
): Quarrel => ({
  id: [rule, ...[...plantings].sort(), ...(also ? [also] : [])].join(' '),
  rule,
  bedId,
  plantings,
  fromDay: days[0],
  toDay: days[1],
  values,
});
