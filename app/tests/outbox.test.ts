/** The outbox against a server that answers, refuses, and is away. */
import type { FarmRecord } from '@fogata/contract';

const note = (id: string): FarmRecord => ({ id, kind: 'note', atMs: 1, text: id });
const kept = new Map<string, string>();
type Answer = (records: FarmRecord[]) => { status: number; body?: unknown } | 'away';
let answer: Answer;

beforeEach(() => {
  jest.resetModules();
  kept.clear();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => kept.set(k, v),
    },
    fetch: (_url: string, init: { body: string }) => {
      const a = answer((JSON.parse(init.body) as { records: FarmRecord[] }).records);
      if (a === 'away') return Promise.reject(new Error('refused'));
      return Promise.resolve({
        ok: a.status < 400,
        status: a.status,
        json: () => Promise.resolve(a.body ?? {}),
      });
    },
  });
});

const load = () => jest.requireActual<typeof import('../src/data/outbox')>('../src/data/outbox').outbox;

test('what the server has taken leaves the outbox', async () => {
  answer = () => ({ status: 201 });
  const outbox = load();
  expect(await outbox.add([note('a')])).toBe(true);
  expect(outbox.count).toBe(0);
});

test('while the server is away records wait on the device, over a reload, and go out in order', async () => {
  answer = () => 'away';
  const outbox = load();
  expect(await outbox.add([note('a')])).toBe(false);
  await outbox.add([note('b')]);
  expect(outbox.count).toBe(2);
  jest.resetModules();
  const sent: string[] = [];
  answer = (records) => {
    sent.push(...records.map((r) => r.id));
    return { status: 201 };
  };
  const again = load();
  expect(again.count).toBe(2);
  await again.flush();
  expect(sent).toEqual(['a', 'b']);
  expect(again.count).toBe(0);
});

test('one that is refused leaves with its reason and does not hold up the others', async () => {
  answer = (records) =>
    records.some((r) => r.id === 'bad')
      ? { status: 422, body: { detail: 'text: expected some words' } }
      : { status: 201 };
  const outbox = load();
  await outbox.add([note('a'), note('bad'), note('c')]);
  expect(outbox.count).toBe(0);
  expect(outbox.refused).toBe('text: expected some words');
});

test('a server in trouble is no reason to drop anything', async () => {
  answer = () => ({ status: 500, body: { detail: 'broken' } });
  const outbox = load();
  await outbox.add([note('a')]);
  expect(outbox.count).toBe(1);
  expect(outbox.refused).toBeNull();
});
