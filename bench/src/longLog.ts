/** A log of years: how long Now, Log and a night take with a hundred thousand entries and a million temperatures. */
import { randomUUID } from 'node:crypto';
import { median, timed, withServer } from './server';

const EVENTS = 100_000;
const READINGS = 1_000_000;
const AT = Date.parse('2027-01-14T14:30:00Z');

async function post(url: string, body: object, token?: string): Promise<unknown> {
  const res = await fetch(url, {
    method: 'POST',
    headers: {
      'content-type': 'application/json',
      ...(token ? { authorization: `Bearer ${token}` } : {}),
    },
    body: JSON.stringify(body),
  });
  if (!res.ok) throw new Error(`${url}: ${res.status} ${await res.text()}`);
  return res.json();
}

async function figures(url: string): Promise<string> {
  const of = async (path: string) => {
    const all: number[] = [];
    for (let i = 0; i < 9; i++)
      all.push((await timed(async () => (await fetch(url + path)).arrayBuffer()))[0]);
    return median(all).toFixed(0);
  };
  return `Now ${await of('/api/now')} ms, Log ${await of('/api/log')} ms, a night ${await of('/api/nights/2027-01-12')} ms, a note kept ${await keep(url)} ms`;
}

async function keep(url: string): Promise<string> {
  const all: number[] = [];
  for (let i = 0; i < 9; i++) {
    const note = { id: randomUUID(), kind: 'note', atMs: AT, text: `note ${i}` };
    all.push((await timed(() => post(`${url}/api/records`, { records: [note] })))[0]);
  }
  return median(all).toFixed(0);
}

/** Waits until the night is worked out, so that what is timed is the answer and not the engine. */
async function settled(url: string): Promise<void> {
  for (let i = 0; i < 300; i++) {
    const now = (await (await fetch(`${url}/api/now`)).json()) as { progress: { state: string } };
    if (now.progress.state !== 'computing') return;
    await new Promise((r) => setTimeout(r, 200));
  }
}

export async function longLog(say: (line: string) => void): Promise<void> {
  say('\nThe demo farm with a log of years');
  await withServer(4398, true, async (url) => {
    await settled(url);
    say(`  as it comes: ${await figures(url)}`);
    const { token } = (await post(`${url}/api/feeds/token`, {})) as { token: string };
    const [filled] = await timed(async () => {
      for (let n = 0; n < EVENTS; n += 500)
        await post(`${url}/api/records`, {
          records: Array.from({ length: 500 }, (_, i) => ({
            id: randomUUID(),
            kind: 'note',
            atMs: AT - (n + i + 1) * 1_800_000,
            text: `entry ${n + i}`,
          })),
        });
      for (let n = 0; n < READINGS; n += 5000)
        await post(
          `${url}/api/feed/thermometers`,
          {
            readings: Array.from({ length: 5000 }, (_, i) => ({
              spot: (n + i) % 2 ? 'outside' : 'north',
              time: new Date(AT - (n + i + 1) * 60_000).toISOString(),
              c: Math.round(80 * Math.sin(n + i)) / 10,
            })),
          },
          token,
        );
    });
    await settled(url);
    say(
      `  ${EVENTS} entries and ${READINGS} temperatures more, taken in ${(filled / 1000).toFixed(0)} s: ${await figures(url)}`,
    );
    const size = { bytes: 0 };
    const [backup] = await timed(async () => {
      size.bytes = (await (await fetch(`${url}/api/backup`)).arrayBuffer()).byteLength;
    });
    say(
      `  a backup of all that, read back: ${(backup / 1000).toFixed(0)} s, ${(size.bytes / 1e6).toFixed(0)} MB`,
    );
  });
}
