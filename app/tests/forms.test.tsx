/** Forms in steps: what each part says while it is shut is what it holds. */
import type { Farm } from '@fogata/contract';
import type { Cover } from '@fogata/core';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { SheetFields } from '../src/components/plan/SheetFields';
import { PacketFields } from '../src/components/seeds/PacketFields';
import { SettingsScreen } from '../src/screens/SettingsScreen';
import { format as mockFormat } from './kit';

let mockPart: string | undefined;
const mockSave = jest.fn();
let mockRefuse: (patch: object) => void;
const mockFarm = {
  name: 'Rescoldo',
  timeZone: 'Europe/Madrid',
  currency: '€',
  hourlyRate: 14,
  hands: 2,
  theme: 'clock',
  units: { temperature: 'F', length: 'ft', clock: 12 },
  schools: { aim: 'crop', uncover: 'light', touch: 'hoops', wet: 'dry', swings: 'let' },
  away: [],
  drip: null,
  messages: { on: true, quiet: null },
} as unknown as Farm;
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/useSaveFarm', () => ({
  useSaveFarm: (onRefused?: (patch: object) => void) => {
    if (onRefused) mockRefuse = onRefused;
    return { farm: mockFarm, save: mockSave, problem: null };
  },
}));
jest.mock('../src/data/hooks', () => ({
  useFarm: () => ({ data: { farm: mockFarm, clock: { nowAtMs: 0 } } }),
}));
jest.mock('../src/components/ui/Frame', () => ({ useWide: () => false }));
jest.mock('../src/components/ui/Bars', () => ({ Problem: () => null }));
jest.mock('expo-router', () => ({
  router: { push: jest.fn(), replace: jest.fn(), back: jest.fn(), canGoBack: () => false },
  useLocalSearchParams: () => ({ part: mockPart }),
}));

const sheet: Cover = {
  id: 'f',
  name: 'Fleece 30',
  material: 'fleece-30',
  plies: 1,
  lengthM: 24,
  widthM: 2.1,
  count: 4,
  use: 'hoops',
  minutes: 6,
  order: 1,
  condition: 'worn',
  keptAt: 'shed, left wall',
};

test('a cover’s form says of each part what it holds, and opens the one that is tapped', () => {
  const change = jest.fn();
  render(<SheetFields sheet={sheet} onChange={change} />);
  expect(screen.getByTestId('step-size')).toHaveTextContent(/24.* × 2\.1.*, four pieces/);
  expect(screen.getByTestId('step-lies')).toHaveTextContent(/on hoops, or in two other ways/);
  expect(screen.getByTestId('step-kept')).toHaveTextContent(/shed, left wall, 6 min to lay one/);
  fireEvent.press(screen.getByTestId('step-lies'));
  expect(screen.getByTestId('step-what')).toHaveTextContent(/fleece 30, worn/);
  fireEvent.press(screen.getByRole('radio', { name: 'laid on the crop' }));
  expect(change).toHaveBeenCalledWith({ use: 'flat' });
});

test('a packet’s form says of each part what was typed, and that the rest is as the book has it', () => {
  const set = jest.fn();
  const typed = {
    crop: 'spinach',
    name: 'Vara Larga',
    days: 45,
    germination: 88,
    seedsPerGram: null,
    spacingM: null,
    depthMm: null,
    year: 2027,
    holds: 'grams' as const,
    grams: null,
    seeds: null,
  };
  const { rerender } = render(<PacketFields typed={typed} set={set} year={2027} />);
  expect(screen.getByTestId('step-says')).toHaveTextContent(/45 days to harvest, 88 of 100 come up/);
  expect(screen.getByTestId('step-holds')).toHaveTextContent(/of 2027, nobody has said how much/);
  fireEvent.press(screen.getByTestId('step-holds'));
  expect(screen.getByTestId('step-what')).toHaveTextContent(/spinach Vara Larga/);
  fireEvent.press(screen.getByRole('radio', { name: 'number of seeds' }));
  expect(set).toHaveBeenCalledWith({ holds: 'seeds' });
  rerender(
    <PacketFields typed={{ ...typed, days: null, germination: null, grams: 12 }} set={set} year={2027} />,
  );
  expect(screen.getByTestId('step-says')).toHaveTextContent(/nothing other than the book/);
  fireEvent.press(screen.getByTestId('step-says'));
  expect(screen.getByTestId('step-holds')).toHaveTextContent(/12 g, of 2027/);
});

test('settings open at the part that a link names, and say in a line what the others are', () => {
  mockPart = 'hands';
  render(<SettingsScreen />);
  expect(screen.getByText('People who cover in the evening')).toBeTruthy();
  expect(screen.getByTestId('step-measures')).toHaveTextContent(/°F, feet, lb, 12 hours, theme by the sun/);
  expect(screen.getByTestId('step-schools')).toHaveTextContent(/at first light, sheets on hoops only/);
  expect(screen.getByTestId('step-farm')).toHaveTextContent(/Rescoldo, Europe\/Madrid/);
  fireEvent.press(screen.getByTestId('step-schools'));
  expect(screen.getByTestId('step-hands')).toHaveTextContent(/two people, 14 € an hour/);
  fireEvent.press(screen.getByRole('radio', { name: 'after the thaw' }));
  expect(mockSave).toHaveBeenCalledWith(
    { schools: { ...mockFarm.schools, uncover: 'thaw' } },
    'When to uncover',
  );
});

test('a setting that is refused after its part was shut has it opened again', () => {
  mockPart = 'schools';
  render(<SettingsScreen />);
  act(() => mockRefuse({ hands: 99 }));
  expect(screen.getByText('People who cover in the evening')).toBeTruthy();
  act(() => mockRefuse({ timeZone: 'Nowhere', name: 'Rescoldo' }));
  expect(screen.getByTestId('step-hands')).toHaveTextContent(/two people/);
  expect(screen.getByDisplayValue('Europe/Madrid')).toBeTruthy();
});

test('a link to a part that there is not opens the first', () => {
  mockPart = 'nonsense';
  render(<SettingsScreen />);
  expect(screen.getByRole('radio', { name: '°F' })).toBeTruthy();
});
