/** A table of weather: understood before any of it counts, refused by row with what was pasted kept, and taken whole or not at all. */
import { said } from '@fogata/core';
import type { ImportView } from '@fogata/contract';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Refused } from '../src/data/api';
import { change } from '../src/data/hooks';
import { pickFile } from '../src/data/pickFile';
import { ImportScreen } from '../src/screens/ImportScreen';
import { format as mockFormat, house as mockHouse, keepingDevice } from './kit';

jest.mock('../src/data/hooks', () => ({
  change: jest.fn(),
  useBeds: () => ({
    data: {
      structures: [
        { structure: mockHouse({ id: 'north', name: 'North house' }), beds: [] },
        { structure: mockHouse({ id: 'field', name: 'Field', kind: 'open' }), beds: [] },
      ],
    },
  }),
  useFarm: () => ({ data: undefined }),
}));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/pickFile', () => ({ pickFile: jest.fn() }));
jest.mock('../src/components/night/ForecastList', () => ({ ForecastList: () => null }));
jest.mock('../src/components/ui/Frame', () => ({ useWide: () => false }));
jest.mock('expo-router', () => ({ router: { push: jest.fn(), canGoBack: () => false } }));

const START = Date.parse('2027-01-14T15:00:00Z');
const view = (more: Partial<ImportView> = {}): ImportView => ({
  taken: false,
  rows: 30,
  fromAtMs: START,
  toAtMs: START + 29 * 3_600_000,
  minC: -6.2,
  columns: [
    { header: 'temp (°C)', meaning: said('column.meaning', { field: 'air', unit: '°C', order: null }) },
  ],
  badRows: [],
  estimated: [],
  preview: [{ time: '2027-01-14T15:00:00.000Z', airC: 4.1, dewPointC: -5.2, windMs: 2, cloudFraction: 0.05 }],
  ...more,
});
const answer = (a: unknown) => jest.mocked(change).mockResolvedValueOnce(a as never);
const refuse = (e: Error) => jest.mocked(change).mockRejectedValueOnce(e);
const press = (of: string) => act(async () => fireEvent.press(screen.getByTestId(of)));
const paste = (text: string) => fireEvent.changeText(screen.getByTestId('csv'), text);
const bodies = () => jest.mocked(change).mock.calls.map(([, body]) => body);
const result = () => screen.getByTestId('import-result');
const TABLE = 'time,temp (°C),wind (m/s)\n2027-01-14T15:00Z,4.1,2';

beforeEach(() => {
  jest.clearAllMocks();
  keepingDevice();
  render(<ImportScreen />);
});

test('with nothing pasted there is nothing to look at', () => {
  expect(screen.getByTestId('preview')).toBeDisabled();
  expect(screen.queryByTestId('take-import')).toBeNull();
});

test('what was understood is shown before it counts: columns, span, lowest, the first hours', async () => {
  paste(TABLE);
  answer(view());
  await press('preview');
  expect(bodies()).toEqual([{ name: 'my forecast', csv: TABLE, as: 'forecast', dryRun: true }]);
  expect(result()).toHaveTextContent(/^Understood as/);
  expect(result()).toHaveTextContent(/temp \(°C\): air temperature, °C/);
  expect(result()).toHaveTextContent(/30 hours, 2027-01-14 15:00 to 2027-01-15 20:00, lowest −6\.2 °C\./);
  expect(result()).toHaveTextContent(/4\.1 °C · dew point −5\.2 °C · 2 m\/s · cloud 5 %/);
  expect(screen.getByTestId('take-import')).toHaveTextContent('Take all 30 hours');
});

test('it is taken whole, the field is empty again, and what follows is said', async () => {
  paste(TABLE);
  answer(view());
  await press('preview');
  answer(view({ taken: true }));
  await press('take-import');
  expect((bodies()[1] as { dryRun: boolean }).dryRun).toBe(false);
  expect(result()).toHaveTextContent(/^Taken/);
  expect(result()).toHaveTextContent(/The night is being worked out with it\.$/);
  expect(screen.getByTestId('csv')).toHaveProp('value', '');
  expect(screen.queryByTestId('take-import')).toBeNull();
});

test('bad rows are named by number and reason; nothing can be taken, and the table stays', async () => {
  paste(TABLE);
  const bad = view({
    badRows: [{ row: 7, reason: said('row.outside', { field: 'air', text: '99', unit: '°C' }) }],
  });
  refuse(new Refused('row 7', undefined, 422, bad));
  await press('preview');
  expect(result()).toHaveTextContent(/^Not taken, nothing has changed/);
  expect(result()).toHaveTextContent(/row 7air temperature 99 °C is outside −60 to 60 °C/);
  expect(screen.queryByTestId('take-import')).toBeNull();
  expect(screen.getByTestId('csv')).toHaveProp('value', TABLE);
});

test('what is estimated is said in so many words', async () => {
  paste(TABLE);
  answer(view({ estimated: [said('column.dewEstimated'), said('column.cloudEstimated')] }));
  await press('preview');
  expect(result()).toHaveTextContent(
    /▲ Not in the table and estimated: dew point, from the lowest around each hour; cloud, as half of the sky\./,
  );
});

test('a change of the text takes the look back: what was looked at is what is taken', async () => {
  paste(TABLE);
  answer(view());
  await press('preview');
  paste(`${TABLE}\n2027-01-14T16:00Z,3,2`);
  expect(screen.queryByTestId('import-result')).toBeNull();
});

test('a logger’s table hangs where it is said to, and never in the open field', async () => {
  fireEvent.press(screen.getByText('a logging thermometer'));
  expect(screen.queryByText('Field')).toBeNull();
  fireEvent.press(screen.getByText('North house'));
  paste(TABLE);
  answer(view({ preview: [] }));
  await press('preview');
  expect(bodies()).toEqual([{ spot: 'north', csv: TABLE, dryRun: true }]);
  expect(result()).toHaveTextContent(/30 readings/);
});

test('what the server says otherwise is said as it is, and what was pasted is there when the page is opened again', async () => {
  paste(TABLE);
  refuse(new Error('csv: expected at most 4000000 letters'));
  await press('preview');
  expect(screen.getByText(/csv: expected at most 4000000 letters/)).toBeTruthy();
  screen.unmount();
  render(<ImportScreen />);
  expect(screen.getByTestId('csv')).toHaveProp('value', TABLE);
});

test('a file gives its text and its name', async () => {
  jest.mocked(pickFile).mockResolvedValueOnce({ name: 'mast.csv', text: TABLE });
  await act(async () => fireEvent.press(screen.getByText('Take a file')));
  answer(view());
  await press('preview');
  expect(bodies()).toEqual([{ name: 'mast', csv: TABLE, as: 'forecast', dryRun: true }]);
});
