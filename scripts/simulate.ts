/** `npm run -s simulate -- CASE.json` (or `-`): runs a case in the open format and prints its result. Exit 2 on a bad case. */
import { readFileSync } from 'node:fs';
import { readCase } from '@fogata/contract';
import { simulate } from '@fogata/core';

function refuse(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(2);
}

const path = process.argv[2];
if (path === undefined) refuse('usage: npm run -s simulate -- CASE.json (or - for standard input)');
let json: unknown;
try {
  json = JSON.parse(readFileSync(path === '-' ? 0 : path, 'utf8'));
} catch (error) {
  refuse(`${path}: ${error instanceof SyntaxError ? `not JSON: ${error.message}` : 'cannot be read'}`);
}
const read = readCase(json);
if ('problem' in read) refuse(read.problem);
process.stdout.write(`${JSON.stringify(simulate(read.case), null, 1)}\n`);
