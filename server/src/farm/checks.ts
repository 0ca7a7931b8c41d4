/** What is checked of a farm's things besides their form: each throws a sentence that names the field. */
import { said } from '@fogata/core';
import { Problem } from '../problem';

type Size = { name: string; lengthM: number; widthM: number };

/** A bed is no larger than what it lies in; `changed` says whose figure is at fault. */
export function checkRoom(structure: Size & { kind: string }, bed: Size, changed: 'structure' | 'bed'): void {
  // frames and tunnels stand one beside the other: each as wide as the structure's own width
  for (const [field, what] of [
    ['lengthM', 'length'],
    ['widthM', 'width'],
  ] as const) {
    if (bed[field] <= structure[field] + 1e-9) continue;
    const expected =
      changed === 'bed'
        ? said('want.fitsIn', { most: structure[field], what, name: structure.name })
        : said('want.holds', { least: bed[field], what, name: bed.name });
    throw new Problem(422, said('refuse.expected', { field, expected }), field);
  }
}

export function checkTimeZone(timeZone: string | undefined): void {
  if (timeZone === undefined) return;
  try {
    new Intl.DateTimeFormat('en', { timeZone });
  } catch {
    throw new Problem(422, said('refuse.timeZone'), 'timeZone');
  }
}
