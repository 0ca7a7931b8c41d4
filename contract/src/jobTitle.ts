/** A season's job named, as every screen and calendar names it. */
import type { SeasonJob } from './views/season';

/** What begins and ends where nothing grows. */
const REST: Record<string, [string, string]> = {
  rest: ['Let the rows rest', 'The rest of the rows is over'],
  solarised: ['Water well and lay clear film to solarise', 'Take the solarising film off'],
};

/** "Sow spinach in N2". */
export function jobTitle(j: SeasonJob): string {
  const what = j.cultivar === '' ? j.name : `${j.name} ${j.cultivar}`;
  const rest = REST[j.crop];
  if (rest) return `${rest[j.step === 'clear' ? 1 : 0]}, ${j.bed}`;
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
