/** Trays on screen: what is said where they fit, where they do not, and where nobody said how many there are. */
import { fireEvent, render, screen } from '@testing-library/react-native';
import { cropById } from '@fogata/core';
import { dayOf, type Nursery } from '@fogata/core/relay';
import { nurserySentence, weekSpan, weekWords } from '@fogata/words/en/screens/nurseryWords';
import { NurseryScreen } from '../src/screens/NurseryScreen';

// the chart moves its labels by timers of its own
jest.useFakeTimers();

const mockNursery: Nursery = { trayCells: 84, trays: 10, shelfTrays: null, outTrays: null };
const mockSave = jest.fn();
let mockPlantings: object[] = [];
jest.mock('../src/data/useSaveFarm', () => ({
  useSaveFarm: () => ({ farm: { nursery: mockNursery }, save: mockSave, problem: null }),
}));
jest.mock('../src/data/hooks', () => ({
  useFarm: () => ({ data: undefined }),
  useRelay: () => ({
    data: {
      today: '2027-01-14',
      latitude: 42,
      beds: [{ id: 'n4', name: 'N4', structureId: 'n', place: 'North house', rows: 4, lengthM: 10 }],
      plantings: mockPlantings,
      outlooks: [],
      demand: [],
      cells: 840,
      nursery: mockNursery,
      risk: 0.2,
      accepted: [],
      frost: [],
      progress: { state: 'ready', done: 0, of: 0 },
    },
  }),
}));
jest.mock('expo-router', () => ({ router: { push: jest.fn(), canGoBack: () => false } }));

const lettuce = {
  id: 'p',
  bedId: 'n4',
  crop: 'lettuce',
  cultivar: '',
  fromRow: 1,
  toRow: 4,
  lengthM: 10,
  plantedOn: '2027-03-15',
  clearedOn: null,
  aim: 'grow',
  note: '',
  planned: true,
  how: 'transplant',
};
const said = (parts: { text: string }[]) => parts.map((p) => p.text).join('');

test('a week is said by its first and last day', () => {
  expect(weekSpan(dayOf('2027-01-28'))).toBe('28 Jan to 3 Feb');
});

test('what does not fit is said with the week, what there is, and what to put off', () => {
  const planting = lettuce as never;
  const week = {
    fromDay: dayOf('2027-03-08'),
    shelf: 24,
    out: 0,
    all: 24,
    batches: [
      { planting, trays: 6, where: 'shelf' as const },
      { planting, trays: 1, where: 'out' as const },
    ],
  };
  const over = { week, space: 'shelf' as const, wanted: 24, there: 20, mend: { planting, weeks: 1 } };
  const { name } = cropById('lettuce');
  expect(said(nurserySentence([week], over, mockNursery, () => 'N4'))).toBe(
    `Week of 8 March: 24 trays on the shelf, room for 20. Sow the ${name} for N4 a week later and all fit.`,
  );
  expect(said(nurserySentence([week], { ...over, mend: null }, mockNursery, () => 'N4'))).toMatch(
    /No single sowing put off makes them fit: sow less, or find room\.$/,
  );
  expect(said(nurserySentence([week], null, { ...mockNursery, trays: null }, () => 'N4'))).toMatch(
    /^24 trays at most, in the week of 8 March\. Say how many there are/,
  );
  expect(weekWords(week, () => 'N4')).toBe(
    `On the shelf: ${name} for N4, 6 trays. Outside: ${name} for N4, 1 tray.`,
  );
});

test('weeks in which something stands are listed; what there is is changed by a tap', () => {
  mockPlantings = [lettuce];
  render(<NurseryScreen />);
  expect(screen.getByText(/All trays fit/)).toBeTruthy();
  expect(screen.getAllByTestId('nursery-week').length).toBeGreaterThan(2);
  fireEvent.press(screen.getByLabelText('Trays in all up 1'));
  expect(mockSave).toHaveBeenCalledWith({ nursery: { ...mockNursery, trays: 11 } }, 'Room for trays');
});

test('with nothing planned from trays it says what would come here', () => {
  mockPlantings = [];
  render(<NurseryScreen />);
  expect(screen.getByText('Nothing is raised in trays in these weeks.')).toBeTruthy();
  expect(screen.getByText(/What is planted from trays comes here from its sowing on/)).toBeTruthy();
});
