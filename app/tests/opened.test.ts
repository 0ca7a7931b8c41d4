/** The passcode: what was asked before it was given is refused late, and must not shut what is open by then. */
import { api, call } from '@fogata/contract/client';
import { Refused, request } from '../src/data/api';

const realFetch = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = realFetch;
});

const answer = (status: number, body: unknown = null) =>
  new Response(status === 204 ? null : JSON.stringify(body), {
    status,
    headers: { 'x-fogata': 'farm-of-the-test' },
  });
const LOCKED = { detail: 'This farm asks for its passcode.' };
const HEALTH = { status: 'ok', empty: true, nowAtMs: 0 };

test('what was on its way as the passcode was given is asked again, and not refused', async () => {
  let refuse: (r: Response) => void = () => {};
  const late = new Promise<Response>((resolve) => (refuse = resolve));
  const asked: string[] = [];
  globalThis.fetch = (async (url: string) => {
    asked.push(url);
    if (url.endsWith('/session')) return answer(204);
    return asked.length === 1 ? late : answer(200, HEALTH);
  }) as typeof fetch;
  const before = request(call(api.health));
  await request(call(api.session), { passcode: 'a long winter' });
  refuse(answer(401, LOCKED));
  expect(await before).toEqual(HEALTH);
  expect(asked).toEqual(['/api/health', '/api/session', '/api/health']);
});

test('what is asked after it and refused is refused, once; so is a wrong passcode', async () => {
  const asked: string[] = [];
  globalThis.fetch = (async (url: string) => {
    asked.push(url);
    return answer(401, LOCKED);
  }) as typeof fetch;
  await expect(request(call(api.health))).rejects.toThrow(Refused);
  await expect(request(call(api.session), { passcode: 'short' })).rejects.toThrow(LOCKED.detail);
  expect(asked).toEqual(['/api/health', '/api/session']);
});
