/**
 * `npm run -s validate`: every situation of docs/published-ranges.csv, run by the engine, beside what is reported.
 * `-- n13 d01` runs only those.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readRanges, SITUATIONS } from '../core/validation';

const ranges = readRanges(readFileSync(join(__dirname, '..', 'docs', 'published-ranges.csv'), 'utf8'));
const only = process.argv.slice(2);
let fits = 0;
let of = 0;
process.stdout.write('| id | situation | quantity | reported | model | fits |\n|---|---|---|---|---|---|\n');
for (const r of ranges) {
  if (only.length > 0 && !only.includes(r.id)) continue;
  const model = SITUATIONS[r.id]!();
  const fit = model >= r.low && model <= r.high;
  of += 1;
  if (fit) fits += 1;
  process.stdout.write(
    `| ${r.id} | ${r.situation} | ${r.quantity} | ${r.low} to ${r.high} (${r.confidence}) | ${model.toFixed(2)} | ${fit ? 'yes' : 'no'} |\n`,
  );
}
process.stdout.write(`\n${fits} of ${of} situations fit.\n`);
