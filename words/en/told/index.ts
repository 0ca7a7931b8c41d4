/** English: every sentence that core and server say, by its id. A value is what its name and unit say; text is put in as it comes. */
import { ask } from './ask';
import { heat } from './heat';
import { jobs } from './jobs';
import { log } from './log';
import { now } from './now';
import { places } from './places';
import { refusals } from './refusals';
import { reports } from './reports';
import { rows } from './rows';
import { season } from './season';
import { storm } from './storm';
import { sums } from './sums';
import { wants } from './wants';
import { warnings } from './warnings';

export const en = {
  ...now,
  ...jobs,
  ...places,
  ...warnings,
  ...storm,
  ...heat,
  ...reports,
  ...ask,
  ...log,
  ...season,
  ...refusals,
  ...rows,
  ...wants,
  ...sums,
};
export type En = typeof en;
