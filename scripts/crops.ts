/** `npm run -s crops -- --csv`: prints the library of crops. */
import { libraryCsv } from '@fogata/core/season';
import { refuse } from './lines';

const [flag, ...rest] = process.argv.slice(2);
if (flag !== '--csv' || rest.length > 0) refuse('usage: npm run -s crops -- --csv');
process.stdout.write(libraryCsv());
