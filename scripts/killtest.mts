/**
 * `npm run killtest -- 50`: kills the server with SIGKILL in the middle of writes, as often as asked, and checks that no
 * record that was acknowledged is lost. Ends with exit 1 and the ids where one is.
 */
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const rounds = Number(process.argv[2] ?? 10);
const directory = mkdtempSync(join(tmpdir(), 'fogata-kill-'));
const port = await new Promise<number>((resolve) => {
  const s = createServer();
  s.listen(0, '127.0.0.1', () => {
    const p = (s.address() as { port: number }).port;
    s.close(() => resolve(p));
  });
});
const url = `http://127.0.0.1:${port}`;

async function start() {
  const child = spawn(process.execPath, [join(root, 'server', 'dist', 'main.mjs')], {
    env: { ...process.env, PORT: String(port), FOGATA_DATA: directory },
    stdio: 'ignore',
  });
  for (let i = 0; i < 1200; i++) {
    try {
      if ((await fetch(`${url}/api/health`)).ok) return child;
    } catch {
      // not up yet
    }
    await new Promise((r) => setTimeout(r, 25));
  }
  throw new Error('the server did not start');
}

const acknowledged = new Set<string>();

/** Writes without pause until the server is gone. */
async function write(): Promise<void> {
  for (;;) {
    const id = randomUUID();
    try {
      const res = await fetch(`${url}/api/records`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          records: [{ id, kind: 'note', atMs: Date.now(), text: `note ${acknowledged.size}` }],
        }),
      });
      if (res.status === 201) acknowledged.add(id);
    } catch {
      return;
    }
  }
}

async function held(): Promise<Set<string>> {
  const ids = new Set<string>();
  for (let offset = 0; ; offset += 60) {
    const page = (await (await fetch(`${url}/api/log?offset=${offset}`)).json()) as {
      entries: { record: { id: string } }[];
      more: boolean;
    };
    for (const e of page.entries) ids.add(e.record.id);
    if (!page.more) return ids;
  }
}

for (let round = 1; round <= rounds; round++) {
  const child = await start();
  const writers = [write(), write(), write()];
  await new Promise((r) => setTimeout(r, 250 + Math.random() * 500));
  const ended = new Promise((r) => child.once('close', r));
  child.kill('SIGKILL');
  await ended;
  await Promise.all(writers);
}
const child = await start();
const found = await held();
const lost = [...acknowledged].filter((id) => !found.has(id));
child.kill('SIGTERM');
await new Promise((r) => child.once('close', r));
rmSync(directory, { recursive: true, force: true });
process.stdout.write(`${rounds} kills, ${acknowledged.size} acknowledged records, ${lost.length} lost\n`);
if (lost.length > 0) process.stdout.write(`${lost.join('\n')}\n`);
process.exit(lost.length === 0 ? 0 : 1);
