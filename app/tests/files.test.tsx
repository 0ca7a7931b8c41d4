/** Files: what one would change is shown before it does, taken as one and taken back as one; what cannot be read changes nothing. */
import type { ExchangeView } from '@fogata/contract';
import { said } from '@fogata/core';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Linking } from 'react-native';
import { retract } from '../src/data/actions';
import { change } from '../src/data/hooks';
import { pickFile } from '../src/data/pickFile';
import { offerUndo } from '../src/data/undo';
import { FilesScreen } from '../src/screens/FilesScreen';
import { format as mockFormat } from './kit';

jest.mock('../src/data/hooks', () => ({ change: jest.fn(), useFarm: () => ({ data: undefined }) }));
jest.mock('../src/data/read', () => ({ useTold: (x: unknown) => x && mockFormat.say(x as never) }));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/actions', () => ({ retract: jest.fn() }));
jest.mock('../src/data/undo', () => ({ offerUndo: jest.fn() }));
jest.mock('../src/data/pickFile', () => ({ pickFile: jest.fn() }));
jest.mock('../src/components/ui/Frame', () => ({ useWide: () => false }));
jest.mock('expo-router', () => ({ router: { push: jest.fn(), canGoBack: () => false } }));

const view = (more: Partial<ExchangeView> = {}): ExchangeView => ({
  taken: false,
  added: [],
  changed: [],
  removed: [],
  same: 12,
  records: 0,
  weather: 0,
  recordId: null,
  ...more,
});
const answers = (...all: (ExchangeView | Error)[]) => {
  for (const a of all)
    jest
      .mocked(change)
      .mockImplementationOnce(() => (a instanceof Error ? Promise.reject(a) : Promise.resolve(a)) as never);
};
const picked = (text: string, name = 'farm.json') =>
  jest.mocked(pickFile).mockResolvedValueOnce({ name, text });
const press = (of: string) => act(async () => fireEvent.press(screen.getByTestId(of)));
const bodies = () => jest.mocked(change).mock.calls.map(([, body]) => body);
const shown = () => screen.getByTestId('exchange');

beforeEach(() => {
  jest.clearAllMocks();
  render(<FilesScreen />);
});

test('what a file would change is named before it does, in the grower’s words for what has no name', async () => {
  picked('{"format":"fogata-farm/1"}');
  answers(
    view({
      added: ['N2', said('exchange.nameless')],
      changed: [said('exchange.settings')],
      removed: ['S1'],
      records: 3,
      weather: 40,
    }),
  );
  await press('bring-farm');
  expect(bodies()).toEqual([{ file: { format: 'fogata-farm/1' }, dryRun: true }]);
  expect(shown()).toHaveTextContent(/^It would change this:/);
  expect(shown()).toHaveTextContent(/Come: N2, something without a name\./);
  expect(shown()).toHaveTextContent(/Change: the farm’s settings\./);
  expect(shown()).toHaveTextContent(/▲ Go: S1\./);
  expect(shown()).toHaveTextContent(/3 entries join the log\./);
  expect(shown()).toHaveTextContent(/40 rows of weather and forecasts join it\./);
  expect(shown()).toHaveTextContent(/12 stay as they are\.$/);
});

test('of many names six are said, and how many more', async () => {
  picked('{}');
  answers(view({ added: Array.from({ length: 9 }, (_, i) => `B${i}`) }));
  await press('bring-farm');
  expect(shown()).toHaveTextContent(/Come: B0, B1, B2, B3, B4, B5 and 3 more\./);
});

test('it is taken when asked, offered back as one, and cannot be taken twice', async () => {
  picked('{}');
  answers(view({ added: ['N2'] }), view({ added: ['N2'], taken: true, recordId: 'r9' }));
  await press('bring-farm');
  expect(offerUndo).not.toHaveBeenCalled();
  await press('exchange-take');
  expect(bodies().map((b) => (b as { dryRun: boolean }).dryRun)).toEqual([true, false]);
  expect(shown()).toHaveTextContent(/^Taken\./);
  expect(screen.queryByTestId('exchange-take')).toBeNull();
  const [label, undo] = jest.mocked(offerUndo).mock.calls[0]!;
  expect(label).toBe('The whole farm: taken');
  await undo();
  expect(jest.mocked(retract).mock.calls[0]![0]).toEqual(['r9']);
});

test('what changes nothing says so, and nothing is offered back', async () => {
  picked('{}');
  answers(view(), view({ taken: true }));
  await press('bring-farm');
  expect(shown()).toHaveTextContent(/It holds what the farm holds already\./);
  await press('exchange-take');
  expect(offerUndo).not.toHaveBeenCalled();
});

test('the farm can be left as it is', async () => {
  picked('{}');
  answers(view({ removed: ['S1'] }));
  await press('bring-farm');
  await act(async () => fireEvent.press(screen.getByText('Leave the farm as it is')));
  expect(screen.queryByTestId('exchange')).toBeNull();
  expect(bodies()).toHaveLength(1);
});

test('a file that is no JSON is named, and nothing is sent', async () => {
  picked('<html>', 'page.json');
  await press('bring-geojson');
  expect(screen.getByText(/page\.json: expected JSON, as it was kept from here\./)).toBeTruthy();
  expect(change).not.toHaveBeenCalled();
});

test('what the server refuses is said as it says it; the next file begins anew', async () => {
  picked('{}');
  answers(new Error('beds[0].lengthM: expected at most 300 m'));
  await press('bring-farm');
  expect(screen.getByText(/beds\[0\]\.lengthM: expected at most 300 m/)).toBeTruthy();
  expect(screen.queryByTestId('exchange-take')).toBeNull();
  picked('{}');
  answers(view({ added: ['N3'] }));
  await press('bring-farm');
  expect(screen.queryByText(/at most 300 m/)).toBeNull();
  expect(shown()).toHaveTextContent(/Come: N3\./);
});

test('no file chosen, nothing happens', async () => {
  jest.mocked(pickFile).mockResolvedValueOnce(null);
  await press('bring-stock');
  expect(change).not.toHaveBeenCalled();
  expect(screen.queryByTestId('exchange')).toBeNull();
});

test.each(['plantings', 'cultivars', 'lots', 'library', 'stock'])(
  'a table of %s is sent as text',
  async (what) => {
    picked('id,name\n1,a', 'table.csv');
    answers(view());
    await press(`bring-${what}`);
    expect(bodies()).toEqual([{ csv: 'id,name\n1,a', dryRun: true }]);
  },
);

test('a table is pasted as it was copied from a spreadsheet', async () => {
  expect(screen.queryByTestId('paste-look')).toBeNull();
  fireEvent.changeText(screen.getByTestId('paste-plantings'), 'bed\tcrop\nN2\tspinach');
  answers(view({ added: ['spinach'] }));
  await press('paste-look');
  expect(bodies()).toEqual([{ csv: 'bed\tcrop\nN2\tspinach', dryRun: true }]);
  expect(screen.getByTestId('exchange-take')).toHaveTextContent('Take the table');
});

test('every kind is kept from its own address, and the backup from its', () => {
  const open = jest.spyOn(Linking, 'openURL').mockResolvedValue(true);
  for (const title of ['The whole farm', 'Plantings, as a table', 'Covers in stock, as a table'])
    fireEvent.press(screen.getByLabelText(`${title}: keep a file`));
  fireEvent.press(screen.getByTestId('backup'));
  expect(open.mock.calls.map(([url]) => url)).toEqual([
    '/api/farm/file',
    '/api/plantings.csv',
    '/api/kit/stock.csv',
    '/api/backup',
  ]);
  open.mockRestore();
});
