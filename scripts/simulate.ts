/**
 * `npm run -s simulate -- CASE.json` (or `-`): runs a case in the open format and prints its result. Exit 2 on a bad case
 * or bad factors. */
import { readCase, readFactors } from '@fogata/contract';
import { simulate } from '@fogata/core';
import { jsonOf, print, refuse } from './lines';

const [path, flag, factors] = process.argv.slice(2);
const USAGE =
  'usage: npm run -s simulate -- CASE.json (or - for standard input) [--factors leakage=1.2,filmTransparency=1,soilExchange=1,zoneOffsetC=-0.4]';
if (path === undefined || (flag !== undefined && flag !== '--factors')) refuse(USAGE);
const calibration = flag === undefined ? undefined : readFactors(factors ?? '');
if (calibration && 'problem' in calibration) refuse(calibration.problem);
const read = readCase(jsonOf(path));
if ('problem' in read) refuse(read.problem);
print(simulate(read.case, calibration ? { calibration } : {}));
