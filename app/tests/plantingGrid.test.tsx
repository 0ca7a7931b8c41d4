/** Plantings typed as in a spreadsheet: what cells come to, what is filled and pasted, what is wrong, and the keys. */
import { fireEvent, render, screen, act as acting } from '@testing-library/react-native';
import { api, call } from '@fogata/contract/client';
import type { Planting } from '@fogata/core';
import {
  completed,
  copied,
  filled,
  gridOf,
  isChanged,
  pasted,
  readGrid,
  typed,
} from '../src/components/season/plantingGrid';
import { change } from '../src/data/hooks';
import { PlantingsScreen } from '../src/screens/PlantingsScreen';
import { keepingDevice } from './kit';

const mockBeds = [
  { id: 'b1', name: 'N1', rows: 4, lengthM: 20 },
  { id: 'b2', name: 'N2', rows: 4, lengthM: 20 },
  { id: 'b3', name: 'Frame', rows: 6, lengthM: 3 },
];
const planting: Planting = {
  id: 'p1',
  bedId: 'b1',
  crop: 'spinach',
  cultivar: 'Brasa',
  fromRow: 1,
  toRow: 4,
  lengthM: 20,
  plantedOn: '2026-10-01',
  clearedOn: null,
  aim: 'grow',
  note: '',
};
const mockPlantings = [planting];
const today = '2027-01-14';
jest.mock('../src/data/hooks', () => ({
  change: jest.fn(() => Promise.resolve({ recordId: 'r' })),
  useFarm: () => ({ data: { clock: { nowAtMs: 0 }, farm: {} } }),
  useRelay: () => ({ data: { today: '2027-01-14', beds: mockBeds, plantings: mockPlantings } }),
}));
jest.mock('../src/data/undo', () => ({ offerUndo: jest.fn() }));
jest.mock('expo-router', () => ({ router: { canGoBack: () => false } }));

const complete = (col: Parameters<typeof completed>[0], text: string) =>
  completed(col, text, mockBeds, today);
const rows = () => gridOf(mockPlantings, mockBeds);

test('a cell takes the first letters of a bed or crop, and a day as it is said; what is unclear stays as typed', () => {
  expect(complete('bed', 'fr')).toBe('Frame');
  expect(complete('bed', 'n')).toBe('n');
  expect(complete('crop', 'mach')).toBe(complete('crop', 'mache'));
  expect(complete('how', 'tr')).toBe('transplant');
  expect(complete('planted_on', '14 mar')).toBe('2027-03-14');
  expect(complete('planted_on', '3 Jan')).toBe('2028-01-03');
  expect(complete('planted_on', '5. apr 2029')).toBe('2029-04-05');
  expect(complete('planted_on', 'soon')).toBe('soon');
});

test('the last row is empty, and what is typed there makes a new one after it', () => {
  const before = rows();
  expect(before).toHaveLength(2);
  expect(before.some(isChanged)).toBe(false);
  const after = typed(before, { row: 1, col: 0 }, 'n2', complete);
  expect(after).toHaveLength(3);
  expect(isChanged(after[1]!)).toBe(true);
  expect(isChanged(after[2]!)).toBe(false);
});

test('a block goes in across and down, past the end too, and comes out as it went in', () => {
  const block = 'N2\tspinach\nFrame\tleek\nN1\tonion';
  const after = pasted(rows(), { row: 1, col: 0 }, `${block}\r\n`, complete);
  expect(after).toHaveLength(5);
  const names = (crop: string) => complete('crop', crop);
  expect(copied(after, { row: 1, col: 0 }, { row: 3, col: 1 })).toBe(
    `N2\t${names('spinach')}\nFrame\t${names('leek')}\nN1\t${names('onion')}`,
  );
});

test('moved to a shorter bed a planting is as long as that bed, not wrong in a column that is not there', () => {
  const moved = typed(rows(), { row: 0, col: 0 }, 'frame', complete);
  const { wrong, csv } = readGrid(moved, mockBeds, mockPlantings, today);
  expect([...wrong]).toEqual([]);
  expect(csv.split('\n')[1]).toMatch(/^p1,Frame,/);
});

test('a fill takes the first of some rows down, and nothing above it or beside it', () => {
  const three = pasted(rows(), { row: 1, col: 0 }, 'N2\tspinach\nN2\tleek', complete);
  const after = filled(three, 0, 2, 4);
  expect(after.map((r) => r.cells['planted_on'] ?? '')).toEqual([
    '2026-10-01',
    '2026-10-01',
    '2026-10-01',
    '',
  ]);
  expect(after[2]!.cells['crop']).toBe(three[2]!.cells['crop']);
});

test('only what changed is sent, a kept one by its id; what is wrong is said at its cell', () => {
  expect(readGrid(rows(), mockBeds, mockPlantings, today)).toMatchObject({ csv: '', changed: 0 });
  const late = typed(rows(), { row: 0, col: 5 }, '1 apr', complete);
  const one = readGrid(late, mockBeds, mockPlantings, today);
  expect(one.changed).toBe(1);
  expect(one.wrong.size).toBe(0);
  expect(one.csv.split('\n')[1]).toMatch(/^p1,N1,.*2026-10-01,2027-04-01,1,4,/);
  const bad = pasted(late, { row: 1, col: 0 }, 'N9\tspinach\t\t\t2027-03-40', complete);
  const { wrong } = readGrid(bad, mockBeds, mockPlantings, today);
  expect(wrong.get('1 bed')).toMatch(/^expected the name of a bed of this farm, not N9/);
  expect(wrong.get('1 planted_on')).toMatch(/^expected a day/);
});

describe('by keys', () => {
  const press = (key: string, more: object = {}) =>
    fireEvent(screen.getByTestId('planting-grid'), 'keyDown', {
      key,
      shiftKey: false,
      ctrlKey: false,
      metaKey: false,
      altKey: false,
      preventDefault: () => {},
      stopPropagation: () => {},
      ...more,
    });
  const type = (text: string) => {
    press(text[0]!);
    fireEvent.changeText(screen.getByLabelText(/^[A-Z].*, row \d+$/), text);
  };
  beforeEach(() => {
    keepingDevice();
    jest.mocked(change).mockClear();
  });

  test('a planting is typed across with Tab, its day filled from above, and kept as one change', async () => {
    render(<PlantingsScreen />);
    expect(screen.getByText('1 stand, 0 are planned.', { exact: false })).toBeTruthy();
    type('n2');
    press('Tab');
    type('leek');
    press('Tab');
    press('End');
    press('Home');
    for (let i = 0; i < 4; i++) press('ArrowRight');
    press('d', { ctrlKey: true });
    expect(screen.getByText(/1 row not kept yet/)).toBeTruthy();
    await acting(async () => fireEvent.press(screen.getByTestId('grid-keep')));
    const [asked, body] = jest.mocked(change).mock.calls[0]! as unknown as [unknown, { csv: string }];
    expect(asked).toEqual(call(api.bringPlantings));
    expect(body.csv.split('\n')[1]).toMatch(/^,N2,leeks?,,,2026-10-01,/);
  });

  test('Escape leaves a cell as it was; Delete empties what is taken; all can be left as it was', () => {
    render(<PlantingsScreen />);
    press('ArrowUp');
    press('x');
    press('Escape');
    expect(screen.queryByTestId('grid-keep')).toBeNull();
    press('ArrowRight', { shiftKey: true });
    press('ArrowRight', { shiftKey: true });
    press('Delete');
    expect(screen.getByTestId('grid-wrong')).toHaveTextContent(/Row 1, bed: expected the name of a bed/);
    fireEvent.press(screen.getByTestId('grid-drop'));
    expect(screen.queryByTestId('grid-wrong')).toBeNull();
    expect(screen.getByText('Brasa')).toBeTruthy();
  });
});
