/** `npm run -s hardiness -- REQUEST.json` (or `-`): how hard a crop gets through days, and what it then stands. Exit 2 on a bad request. */
import { hardinessResult, readHardinessRequest } from '@fogata/contract/windows';
import { jsonOf, print, refuse } from './lines';

const [path, ...rest] = process.argv.slice(2);
if (path === undefined || rest.length > 0)
  refuse('usage: npm run -s hardiness -- REQUEST.json (or - for standard input)');
const read = readHardinessRequest(jsonOf(path));
if ('problem' in read) refuse(read.problem);
print(hardinessResult(read.request));
