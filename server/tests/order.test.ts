/** What a server is told as it starts: where nothing is said it takes what is usual, and what cannot be is refused by the setting's name. */
import { CannotStart, readOrder, type Order } from '../src/order';

const order = (
  settings: Order['settings'] = {},
  words: string[] = [],
  passing: string | null = null,
): Order => ({
  words,
  settings,
  passing,
  say: () => {},
  warn: () => {},
});
const read = (...of: Parameters<typeof order>) => readOrder(order(...of), '/farm');

test('told nothing it keeps the farm beside the program, for this machine alone', () => {
  expect(read()).toMatchObject({
    demo: false,
    directory: '/farm/.fogata',
    port: 4310,
    guard: { host: '127.0.0.1', names: [], passcode: null },
    databaseUrl: null,
    restore: null,
    members: null,
  });
  expect(read({}, ['--demo']).directory).toBe('/farm/.fogata-demo');
  expect(read({ FOGATA_DATA: '/barn' }, ['--demo']).directory).toBe('/barn');
});

test('a rehearsal is kept where it passes, at a door of its own, and never in the farm’s database', () => {
  const settings = { DATABASE_URL: 'postgres://barn', FOGATA_DATA: '/barn' };
  const words = ['--practice', 'farm.gz', '--on', '2027-02-01'];
  expect(read(settings, words, '/passing')).toMatchObject({
    practice: 'farm.gz',
    on: '2027-02-01',
    directory: '/passing',
    databaseUrl: null,
    port: 4311,
  });
  expect(read(settings)).toMatchObject({ databaseUrl: 'postgres://barn', practice: null, on: null });
});

test('open to the network it wants a passcode of eight; on this machine it takes one where one is given', () => {
  const wants = (settings: Order['settings']) => expect(() => read(settings));
  wants({ HOST: '0.0.0.0' }).toThrow(CannotStart);
  wants({ HOST: '0.0.0.0', FOGATA_PASSCODE: 'winter1' }).toThrow('FOGATA_PASSCODE');
  expect(read({ HOST: '0.0.0.0', FOGATA_PASSCODE: 'winter12' }).guard.passcode).toBe('winter12');
  expect(read({ FOGATA_PASSCODE: 'frost' }).guard.passcode).toBe('frost');
  expect(read({ FOGATA_PASSCODE: '' }).guard.passcode).toBeNull();
  expect(read({ FOGATA_NAMES: ' barn.home, ,phone ' }).guard.names).toEqual(['barn.home', 'phone']);
});

test.each([
  ['PORT', ['0', '65536', '80.5', 'door']],
  ['FOGATA_THREADS', ['0', '65', '1.5', 'none']],
])('%s out of its range is refused by its name, with what was said', (name, values) => {
  for (const value of values) {
    expect(() => read({ [name]: value })).toThrow(CannotStart);
    expect(() => read({ [name]: value })).toThrow(name);
    expect(() => read({ [name]: value })).toThrow(value);
  }
});
