/** A season's job named, as every screen and calendar names it. */
import type { SeasonJob } from './views/season';

/** "Sow spinach in N2". */
export function jobTitle(j: SeasonJob): string {
  const what = j.cultivar === '' ? j.name : `${j.name} ${j.cultivar}`;
  switch (j.step) {
    case 'sow':
      return j.chance === null
        ? `Sow ${what} in trays, for ${j.bed}`
        : `${j.planted ? 'Plant' : 'Sow'} ${what} in ${j.bed}`;
    case 'prick':
      return `Prick out ${what}, for ${j.bed}`;
    case 'harden':
      return `Begin to harden off ${what}, for ${j.bed}`;
    case 'plant':
      return `Plant ${what} in ${j.bed}`;
    case 'gaps':
      return `Look for gaps in the ${what}, ${j.bed}`;
    case 'pick':
      return `Expect the first ${what} of ${j.bed}`;
    case 'clear':
      return `Clear the ${what} from ${j.bed}`;
  }
}
