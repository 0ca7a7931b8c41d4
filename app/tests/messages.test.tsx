/** Messages on a device: the urgent first, read once, shown by the browser once. */
import type { Message } from '@fogata/contract/told';
import { notify, unread } from '../src/data/messages';

jest.mock('../src/data/hooks', () => ({ useRead: () => ({ data: undefined }) }));

const message = (key: string, urgent: boolean, at: string): Message => ({
  format: 'fogata-message/1',
  key,
  kind: 'silent',
  subject: 's',
  urgent,
  title: key,
  text: 'text',
  at,
});
const all = [
  message('a', false, '2027-01-14T18:00:00Z'),
  message('b', true, '2027-01-14T16:00:00Z'),
  message('c', true, '2027-01-14T17:00:00Z'),
];

test('what cannot wait stands first, the newest before the older; what was read is gone', () => {
  expect(unread(all, []).map((m) => m.key)).toEqual(['c', 'b', 'a']);
  expect(unread(all, ['c', 'a']).map((m) => m.key)).toEqual(['b']);
});

describe('the browser', () => {
  const shown: string[] = [];
  class Notice {
    static permission = 'granted';
    constructor(title: string, options: { tag: string }) {
      shown.push(`${title}/${options.tag}`);
    }
  }
  const kept = new Map<string, string>();
  beforeAll(() =>
    Object.assign(globalThis, {
      Notification: Notice,
      localStorage: {
        getItem: (k: string) => kept.get(k) ?? null,
        setItem: (k: string, v: string) => void kept.set(k, v),
      },
    }),
  );
  afterAll(() => {
    delete (globalThis as { Notification?: unknown }).Notification;
    delete (globalThis as { localStorage?: unknown }).localStorage;
  });

  test('shows each once, also after the page was opened anew, and none where it was not allowed to', () => {
    Notice.permission = 'denied';
    notify(all);
    expect(shown).toEqual([]);
    Notice.permission = 'granted';
    notify(all.slice(0, 2));
    notify(all);
    expect(shown).toEqual(['a/a', 'b/b', 'c/c']);
  });
});
