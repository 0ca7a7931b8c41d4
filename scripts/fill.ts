/**
 * `npm run -s fill -- REQUEST.json` (or `-`): gaps of a farm's year filled, to standard output; how far it is, to standard error where that is
 * a screen. Exit 2 on a bad request, with one line that names the field.
 */
import { fillResult, readFillRequest } from '@fogata/contract/relay';
import type { SparseSolver } from '@fogata/core/relay';
import highs from 'highs';
import { dirname, resolve } from 'node:path';
import { jsonOf, print, refuse, textOf } from './lines';

const [path, ...rest] = process.argv.slice(2);
if (path === undefined || rest.length > 0)
  refuse('usage: npm run -s fill -- REQUEST.json (or - for standard input)');
const read = readFillRequest(jsonOf(path));
if ('problem' in read) refuse(read.problem);
const { request } = read;
const here = path === '-' ? process.cwd() : dirname(path);

void (async () => {
  const solver = (await highs()) as unknown as SparseSolver;
  const tell = process.stderr.isTTY;
  const answer = fillResult(request, (csv) => textOf(resolve(here, csv)), solver, {
    nowAtMs: () => performance.now(),
    ...(tell
      ? {
          onProgress: ({ money, boundMoney }) =>
            void process.stderr.write(
              `worth ${money.toFixed(0)}${boundMoney === null ? '' : `, none over ${boundMoney.toFixed(0)}`}\n`,
            ),
        }
      : {}),
  });
  if ('problem' in answer) refuse(answer.problem);
  print(answer.result);
})();
