/** Which code computes. Contract: `versionOf(root)` names the built server and its threads by what they are, so that a new Fogata works a night out anew. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

export function versionOf(root: string): string {
  const hash = createHash('sha1');
  for (const file of ['serve.mjs', 'worker.mjs'])
    hash.update(readFileSync(join(root, 'server', 'dist', file)));
  return hash.digest('hex').slice(0, 12);
}
