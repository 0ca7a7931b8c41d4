/**
 * `npm run -s simulate -- CASE.json` (or `-`): runs a case in the open format and prints its result. Exit 2 on a bad case
 * or bad factors. */
import { readFileSync } from 'node:fs';
import { readCase, readFactors } from '@fogata/contract';
import { simulate } from '@fogata/core';

function refuse(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(2);
}

const [path, flag, factors] = process.argv.slice(2);
const USAGE =
  'usage: npm run -s simulate -- CASE.json (or - for standard input) [--factors leakage=1.2,filmTransparency=1,soilExchange=1,zoneOffsetC=-0.4]';
if (path === undefined || (flag !== undefined && flag !== '--factors')) refuse(USAGE);
const calibration = flag === undefined ? undefined : readFactors(factors ?? '');
if (typeof calibration === 'string') refuse(calibration);
let json: unknown;
try {
  json = JSON.parse(readFileSync(path === '-' ? 0 : path, 'utf8'));
} catch (error) {
  refuse(`${path}: ${error instanceof SyntaxError ? `not JSON: ${error.message}` : 'cannot be read'}`);
}
const read = readCase(json);
if ('problem' in read) refuse(read.problem);
process.stdout.write(`${JSON.stringify(simulate(read.case, calibration ? { calibration } : {}), null, 1)}\n`);
