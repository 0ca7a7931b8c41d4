/** The server as a process: takes its order from the command line and the environment, says why it cannot start, and ends when it is told to. */
import { starting as words } from '@fogata/words/en/told/starting';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve, whyNot } from './serve';

const say = (line: string) => process.stdout.write(`${line}\n`);
const warn = (line: string) => process.stderr.write(`${line}\n`);

async function main(): Promise<void> {
  // of a rehearsal nothing is kept
  const passing = process.argv.includes('--practice')
    ? mkdtempSync(join(tmpdir(), 'fogata-practice-'))
    : null;
  if (passing) process.on('exit', () => rmSync(passing, { recursive: true, force: true }));
  const serving = await serve({ words: process.argv, settings: process.env, passing, say, warn });
  let stopping = false;
  const stop = async () => {
    if (stopping || serving === null) return;
    stopping = true;
    say(words.closing);
    await serving.stop();
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
}

main().catch((error: unknown) => {
  warn(whyNot(error, process.env));
  process.exit(1);
});
