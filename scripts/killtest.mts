/**
 * `npm run killtest -- 100`: kills the server with SIGKILL in the middle of writes (notes, plantings, structures with their
 * beds, measured weather, whole files), as often as asked, and checks that nothing that was acknowledged is lost and nothing
 * is there by half. Ends with exit 1 and what is wrong where something is.
 */
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { aBed, aCover, aStructure } from '../core/tests/fixtures';

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

interface Write {
  what: string;
  id: string;
  acknowledged: boolean;
}
interface Thing {
  id: string;
  structureId?: string;
  bedId?: string;
}
interface FarmFile {
  structures: Thing[];
  beds: Thing[];
  plantings: Thing[];
  covers: Thing[];
  records: {
    id: string;
    kind: string;
    targetId?: string;
    plantingId?: string;
    changes?: { targetId: string; after: unknown }[];
  }[];
  weather: { observations: { atMs: number }[] };
}

const writes: Write[] = [];
const HOURS = 48;
const HOUR_MS = 3_600_000;
/** Each import of weather has a stretch of hours of its own, long ago. */
const stretch = (n: number) => Date.UTC(2000, 0, 1) + n * (HOURS + 24) * HOUR_MS;
let stretches = 0;

const STRUCTURE = aStructure();
const BED = aBed();
const COVER = aCover();
const PLANTING = {
  crop: 'lettuce',
  cultivar: '',
  fromRow: 1,
  toRow: 2,
  lengthM: 5,
  plantedOn: '2026-10-01',
  clearedOn: null,
  aim: 'survive',
  note: '',
};

const post = (path: string, method: string, body: object) =>
  fetch(`${url}${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

function csvOf(n: number): string {
  const rows = Array.from({ length: HOURS }, (_, h) => {
    const time = new Date(stretch(n) + h * HOUR_MS).toISOString();
    return `${time},${(h % 12) - 4},${(h % 12) - 6},1,0.5`;
  });
  return ['time,air °C,dew point °C,wind m/s,cloud fraction', ...rows].join('\n');
}

/** What a writer does again and again; each act is all there or not at all. */
const ACTS: Record<string, (id: string) => Promise<Response>> = {
  note: (id) => post('/api/records', 'POST', { records: [{ id, kind: 'note', atMs: Date.now(), text: id }] }),
  setup: (id) =>
    post('/api/setup', 'POST', {
      structures: [{ ...STRUCTURE, id }],
      beds: ['a', 'b', 'c'].map((x) => ({ ...BED, id: `${id}-${x}`, structureId: id })),
    }),
  planting: (id) => post(`/api/plantings/${id}`, 'PUT', { ...PLANTING, id, bedId: 'kept-bed' }),
  weather: (id) =>
    post('/api/forecasts', 'POST', { name: id, csv: csvOf(Number(id)), as: 'record', dryRun: false }),
  file: async (id) => {
    const two = ['1', '2'].map((x) => ({ ...COVER, id: `${id}-${x}` }));
    const file = (await (await fetch(`${url}/api/farm/file`)).json()) as FarmFile;
    return post('/api/farm/file', 'POST', {
      dryRun: false,
      file: { ...file, covers: [...file.covers, ...two] },
    });
  },
};

async function write(what: string): Promise<void> {
  for (;;) {
    const id = what === 'weather' ? String(stretches++) : randomUUID();
    const entry: Write = { what, id, acknowledged: false };
    writes.push(entry);
    try {
      const res = await ACTS[what]!(id);
      entry.acknowledged = res.ok;
      // a refusal writes nothing: it is not looked for
      if (!res.ok) writes.splice(writes.indexOf(entry), 1);
    } catch {
      return;
    }
  }
}

/** How much of an act is there: of how many parts. */
function partsOf(w: Write, f: FarmFile): [number, number] {
  const count = (...list: boolean[]): [number, number] => [list.filter(Boolean).length, list.length];
  const logged = (id: string) =>
    f.records.some(
      (r) => r.targetId === id || r.plantingId === id || r.changes?.some((c) => c.targetId === id),
    );
  const has = (list: Thing[], id: string) => list.some((x) => x.id === id);
  switch (w.what) {
    case 'note':
      return count(f.records.some((r) => r.id === w.id));
    case 'planting':
      return count(has(f.plantings, w.id), logged(w.id));
    case 'setup': {
      const ids = ['a', 'b', 'c'].map((x) => `${w.id}-${x}`);
      return count(
        has(f.structures, w.id),
        logged(w.id),
        ...ids.flatMap((id) => [has(f.beds, id), logged(id)]),
      );
    }
    case 'file':
      return count(...['1', '2'].flatMap((x) => [has(f.covers, `${w.id}-${x}`), logged(`${w.id}-${x}`)]));
    default: {
      const from = stretch(Number(w.id));
      const n = f.weather.observations.filter(
        (o) => o.atMs >= from && o.atMs < from + HOURS * HOUR_MS,
      ).length;
      return [n, HOURS];
    }
  }
}

let first = true;
for (let round = 1; round <= rounds; round++) {
  const child = await start();
  if (first) {
    await post('/api/structures/kept', 'PUT', { ...STRUCTURE, id: 'kept' });
    await post('/api/beds/kept-bed', 'PUT', { ...BED, id: 'kept-bed', structureId: 'kept' });
    first = false;
  }
  // whole files are brought by themselves in every third round: they would bring away what others write meanwhile
  const kinds = round % 3 === 0 ? ['file'] : ['note', 'note', 'setup', 'planting', 'weather'];
  const writers = kinds.map(write);
  await new Promise((r) => setTimeout(r, 400 + Math.random() * 1400));
  const ended = new Promise((r) => child.once('close', r));
  child.kill('SIGKILL');
  await ended;
  await Promise.all(writers);
}
const child = await start();
const farm = (await (await fetch(`${url}/api/farm/file`)).json()) as FarmFile;
child.kill('SIGTERM');
await new Promise((r) => child.once('close', r));
rmSync(directory, { recursive: true, force: true });
const wrong: string[] = [];
const tally = new Map<string, number>();
for (const w of writes) {
  const [there, of] = partsOf(w, farm);
  if (w.acknowledged) tally.set(w.what, (tally.get(w.what) ?? 0) + 1);
  if (w.acknowledged && there < of) wrong.push(`lost: ${w.what} ${w.id}, ${there} of ${of}`);
  else if (there > 0 && there < of) wrong.push(`half: ${w.what} ${w.id}, ${there} of ${of}`);
}
const acknowledged = [...tally.values()].reduce((a, b) => a + b, 0);
const said = [...tally].map(([what, n]) => `${n} ${what}`).join(', ');
process.stdout.write(
  `${rounds} kills, ${acknowledged} acknowledged writes (${said}), ${wrong.length} lost or half done\n`,
);
if (wrong.length > 0) process.stdout.write(`${wrong.join('\n')}\n`);
process.exit(wrong.length === 0 ? 0 : 1);
