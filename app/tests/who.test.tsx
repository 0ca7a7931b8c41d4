/** Who did it and on what: sent with every change, kept with an act as it was when it was done, asked of nobody. */
import { api, call, Strange } from '@fogata/contract/client';
import { act } from '../src/data/actions';
import { NoServer, request } from '../src/data/api';
import { keepingDevice } from './kit';
import { originHeaders, setWhoUses, thisDevice, whoUses } from '../src/data/who';

const mockRecorded: { by?: string; kind: string }[] = [];
jest.mock('../src/data/hooks', () => ({
  record: (list: { kind: string }[]) => {
    mockRecorded.push(...list);
    return Promise.resolve();
  },
}));

jest.mock('../src/data/undo', () => ({ offerUndo: jest.fn() }));

const fetched = jest.fn();
beforeEach(() => {
  keepingDevice();
  mockRecorded.length = 0;
  fetched.mockReset();
  fetched.mockResolvedValue(
    new Response('{"added":0,"known":0}', {
      status: 200,
      headers: { 'x-fogata': '1', 'content-type': 'application/json' },
    }),
  );
  globalThis.fetch = fetched;
});

const headersOf = (n = 0) =>
  (fetched.mock.calls[n] as [string, { headers: Record<string, string> }])[1].headers;

test('a device has one name for itself, and nobody’s name until one is given', () => {
  expect(thisDevice()).toBe(thisDevice());
  expect(whoUses()).toBe('');
  expect(originHeaders()).toEqual({ 'x-fogata-device': thisDevice() });
});

test('a name of any letters goes in the header as ASCII, cut at forty', async () => {
  setWhoUses('  Señal ');
  expect(whoUses()).toBe('Señal');
  await request(call(api.records), { records: [] });
  expect(headersOf()).toMatchObject({ 'x-fogata-who': 'Se%C3%B1al', 'x-fogata-device': thisDevice() });
  setWhoUses('x'.repeat(60));
  expect(whoUses()).toHaveLength(40);
});

test('what is only read tells nobody who reads', async () => {
  setWhoUses('M');
  await expect(request(call(api.farm))).rejects.toBeInstanceOf(Strange);
  expect(headersOf()).toEqual({});
});

test('an act carries who did it then, whoever holds the phone when it is sent', async () => {
  setWhoUses('M');
  await act('Note kept', [{ kind: 'note', atMs: Date.now(), text: 'x' }], Date.now());
  setWhoUses('');
  await act('Note kept', [{ kind: 'note', atMs: Date.now(), text: 'y' }], Date.now());
  expect(mockRecorded.map((r) => r.by)).toEqual(['M', undefined]);
});

test('an answer without our mark is no answer, whatever it says', async () => {
  fetched.mockResolvedValue(new Response('{"ok":true}', { status: 200 }));
  await expect(request(call(api.farm))).rejects.toBeInstanceOf(NoServer);
  fetched.mockResolvedValue(new Response('<html>', { status: 200, headers: { 'x-fogata': '1' } }));
  await expect(request(call(api.farm))).rejects.toBeInstanceOf(NoServer);
});

test('an answer of another version of the server is told as that, and where it differs', async () => {
  const answer = (body: unknown) =>
    fetched.mockResolvedValueOnce(
      new Response(JSON.stringify(body), { status: 200, headers: { 'x-fogata': '1' } }),
    );
  answer({ timeZone: 'Europe/Madrid', more: 'a newer server says more' });
  await expect(request(call(api.zone, {}, { latitude: 42, longitude: -3 }))).resolves.toEqual({
    timeZone: 'Europe/Madrid',
  });
  expect(fetched).toHaveBeenLastCalledWith(
    expect.stringMatching(/\/api\/zone\?latitude=42&longitude=-3$/),
    expect.objectContaining({ method: 'GET' }),
  );
  answer({ zone: 'Europe/Madrid' });
  await expect(request(call(api.zone))).rejects.toThrow(/does not know \(timeZone\)\. Load the page again/);
});
