/** `npm run -s windows -- REQUEST.json` (or `-`): when a crop may be sown in a place, by three schools. Exit 2 on a bad request. */
import { dirname, resolve } from 'node:path';
import { readWindowsRequest, windowsResult } from '@fogata/contract/windows';
import { jsonOf, print, refuse, textOf } from './lines';

const [path, ...rest] = process.argv.slice(2);
if (path === undefined || rest.length > 0)
  refuse('usage: npm run -s windows -- REQUEST.json (or - for standard input)');
const read = readWindowsRequest(jsonOf(path));
if ('problem' in read) refuse(read.problem);
const here = path === '-' ? process.cwd() : dirname(path);
const answer = windowsResult(read.request, (csv) => textOf(resolve(here, csv)));
if ('problem' in answer) refuse(answer.problem);
print(answer.result);
