/** A season's job named, as every screen and calendar names it. */
import { en } from '@fogata/core/words';
import type { SeasonJob } from './views/season';

/** "Sow spinach in N2". */
export function jobTitle(j: SeasonJob): string {
  const { bed, crop, planted, step } = j;
  const what = j.cultivar === '' ? j.name : `${j.name} ${j.cultivar}`;
  // what begins and ends where nothing grows
  if (crop === 'rest' || crop === 'solarised') return en['job.rest']({ crop, begins: step !== 'clear', bed });
  if (step !== 'sow') return en[`job.${step}`]({ what, bed });
  return j.chance === null ? en['job.sow.trays']({ what, bed }) : en['job.sow']({ what, bed, planted });
}
