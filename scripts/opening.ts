/**
 * `npm run -s opening -- CASE.json --limits LIMITS.json`: the case with its `open` and `on` steps filled in, to be run by
 * `npm run -s simulate`. Exit 2 on a case or limits that cannot be read, with one line that names the field.
 */
import { readCase } from '@fogata/contract';
import { readLimits } from '@fogata/contract/day';
import { openingPlan } from '@fogata/core/day';
import { jsonOf, print, refuse } from './lines';

const [path, flag, limitsPath, ...rest] = process.argv.slice(2);
if (path === undefined || flag !== '--limits' || limitsPath === undefined || rest.length > 0)
  refuse('usage: npm run -s opening -- CASE.json (or - for standard input) --limits LIMITS.json');
const given = readCase(jsonOf(path));
if ('problem' in given) refuse(given.problem);
const limits = readLimits(jsonOf(limitsPath));
if ('problem' in limits) refuse(limits.problem, limitsPath);
print(openingPlan(given.case, limits.limits));
