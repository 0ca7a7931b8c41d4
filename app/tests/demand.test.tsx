/** What is asked for, said and found; what is to be picked, and what is proposed, as they read. */
import { api, call } from '@fogata/contract/client';
import type { CropRow, FillView } from '@fogata/contract/told';
import { cropById } from '@fogata/core';
import { dayOf, isoOf, strip, type RelayYear, UNPLACED } from '@fogata/core/relay';
import { fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { demandWords, DemandPanel, found } from '../src/components/relay/DemandPanel';
import { FillPanel, plantingOf } from '../src/components/relay/FillPanel';
import { PickList } from '../src/components/relay/PickList';
import type { Board } from '../src/components/relay/useBoard';

const mockSave = jest.fn();
const mockChange = jest.fn((..._args: unknown[]) => Promise.resolve({}));
let mockFill: FillView | undefined;
let mockRelay: object;
jest.mock('../src/data/hooks', () => ({
  useFarm: () => ({ data: undefined }),
  useCrops: () => ({ data: [] }),
  useFill: () => ({ data: mockFill, mutate: () => Promise.resolve() }),
  change: (...args: unknown[]) => mockChange(...args),
}));
jest.mock('../src/data/useSaveFarm', () => ({
  useSaveFarm: () => ({
    farm: { relay: mockRelay, nursery: { trayCells: 84, trays: 3 } },
    save: mockSave,
    problem: null,
  }),
}));
jest.mock('expo-router', () => ({ router: {} }));

const line = { crop: 'lettuce', from: '2027-04-05', to: '2027-07-31', kgPerWeek: 6 };
const settings = { demand: [line], cells: null, hoursPerWeek: null, risk: 0.2, never: [], accepted: [] };
const crops = ['lettuce', 'lettuce-leaf', 'leek'].map((id) => ({ id, name: cropById(id).name }) as CropRow);

/** A loaded machine takes its time; what is waited for comes all the same. */
const SLOW = { timeout: 10_000 };

beforeEach(() => {
  mockSave.mockClear();
  mockChange.mockClear();
  mockRelay = settings;
  mockFill = undefined;
});

test('a line says of what, how much, and from when to when', () => {
  expect(demandWords(line, (kg) => `${kg} kg`)).toBe('Lettuce heads, 6 kg a week, 5 Apr 2027 to 31 Jul 2027');
  expect(demandWords({ ...line, crop: null }, (kg) => `${kg} kg`)).toMatch(/^Whatever there is, /);
});

test('crops are found by a part of their name, and whatever there is can always be asked for', () => {
  expect(found(crops, '').map((o) => o.value)).toEqual(['']);
  expect(found(crops, 'lettu').map((o) => o.value)).toEqual(['', 'lettuce', 'lettuce-leaf']);
});

test('a line is taken out and nothing else with it; one that is added is kept', () => {
  render(<DemandPanel today="2027-01-14" />);
  fireEvent.press(screen.getByRole('button', { name: /What is asked for/ }));
  fireEvent.press(screen.getByRole('button', { name: /^Take out: Lettuce heads/ }));
  expect(mockSave).toHaveBeenCalledWith({ relay: { ...settings, demand: [] } }, 'What is asked for');
  fireEvent.press(screen.getByTestId('demand-new'));
  fireEvent.press(screen.getByTestId('demand-add'));
  const [patch] = mockSave.mock.calls.at(-1) as [{ relay: typeof settings }];
  expect(patch.relay.demand).toHaveLength(2);
  expect(patch.relay.demand[1]).toEqual({ crop: null, from: '2027-01-15', to: '2027-07-13', kgPerWeek: 10 });
});

test('where nothing is asked for it says what gaps are filled for then', () => {
  mockRelay = { ...settings, demand: [] };
  render(<DemandPanel today="2027-01-14" />);
  expect(screen.getByText(/Nothing is asked for yet/)).toBeTruthy();
  // trays that were counted are the cells that are reckoned with
  expect(screen.getByText(/^Trays of 252 cells in all/)).toBeTruthy();
});

const today = dayOf('2027-05-01');
const outlook = {
  mean: { growthDd: new Array<number>(73).fill(10), riseDd: new Array<number>(73).fill(10) },
  rows: [0].map((day) => ({
    day,
    ready: { early: 30, middle: 35, late: 40 },
    lostToCold: 0,
    notReady: 0,
    notClear: 0,
    bolted: 0,
    cooked: 0,
    success: 1,
    overDays: 60,
    upDays: 8,
    mildew: 0,
  })),
};
const bed = {
  id: 'b',
  name: 'N1',
  structureId: 'h',
  place: 'House',
  rows: 4,
  lengthM: 10,
  widthM: 1.2,
  headroomM: null,
  ...UNPLACED,
  turnDeg: 90,
};
const standing = (crop: string, days: number) =>
  strip(
    {
      id: crop,
      bedId: 'b',
      crop,
      cultivar: '',
      fromRow: 1,
      toRow: 2,
      lengthM: 10,
      plantedOn: isoOf(today - days),
      clearedOn: null,
      aim: 'grow',
      note: '',
    },
    cropById(crop),
    'sow',
    outlook,
  );
const year: RelayYear = {
  latitude: 45,
  today,
  beds: [bed],
  strips: [standing('spinach', 40), standing('rocket', 5)],
  demand: [],
  cells: null,
  risk: 0.2,
};

test('what is ready is to be picked, with about how much; what is not ready is not on the list', () => {
  const onShow = jest.fn();
  render(<PickList year={year} onShow={onShow} />);
  expect(screen.getAllByTestId('pick')).toHaveLength(1);
  fireEvent.press(screen.getByTestId('pick'));
  expect(onShow).toHaveBeenCalledWith('spinach');
  expect(screen.getByText(/^Spinach, N1 rows 1–2$/)).toBeTruthy();
});

const proposal = {
  crop: 'lettuce',
  how: 'transplant' as const,
  bedId: 'b',
  fromRow: 1,
  toRow: 2,
  lengthM: 10,
  traysOn: '2027-05-10',
  plantedOn: '2027-06-01',
  readyOn: '2027-07-20',
  clearedOn: '2027-08-05',
  kg: 20,
  cells: 80,
  minutes: 60,
  success: 0.9,
  worth: 120,
  fills: { kg: 12, from: '2027-07-20', to: '2027-08-02' },
  idleWeeks: 9,
  instead: { crop: 'radish', less: 30 },
};
const fill: FillView = {
  state: 'ready',
  message: null,
  done: 9,
  of: 9,
  aim: 'supply',
  money: 500,
  boundMoney: 510,
  simpleMoney: 300,
  proposals: [proposal, { ...proposal, crop: 'radish', how: 'sow', traysOn: null, fromRow: 3, toRow: 4 }],
};

test('a proposal says what it fills and risks and what else would do; taken it is a planned planting, refused it is gone', async () => {
  mockFill = fill;
  const put = jest.fn(() => Promise.resolve(true));
  render(<FillPanel board={{ view: { beds: [bed] }, put } as unknown as Board} />);
  expect(
    screen.getByText(
      /In trays from 10 May, 80 cells.*where it is short, 20 Jul to 2 Aug.*90 of 100 years.*Next best radish/,
    ),
  ).toBeTruthy();
  expect(screen.getByText(/no plan can be more than 2 % better/)).toBeTruthy();
  fireEvent.press(screen.getByRole('button', { name: /^Refuse: Sow radish/ }));
  await waitFor(() => expect(screen.getAllByTestId('proposal')).toHaveLength(1), SLOW);
  fireEvent.press(screen.getByTestId('proposal-take'));
  await waitFor(() => expect(screen.queryAllByTestId('proposal')).toHaveLength(0), SLOW);
  expect(put).toHaveBeenCalledWith(
    null,
    expect.objectContaining({ crop: 'lettuce', planned: true, how: 'transplant', clearedOn: '2027-08-05' }),
  );
  expect(plantingOf(proposal)).toMatchObject({ fromRow: 1, toRow: 2, bedId: 'b', plantedOn: '2027-06-01' });
});

test('while it works it says how far it is and can be stopped; what failed says so', () => {
  mockFill = { ...fill, state: 'solving', proposals: [], money: 400, boundMoney: null };
  const board = { view: { beds: [bed] }, put: jest.fn() } as unknown as Board;
  const { rerender } = render(<FillPanel board={board} />);
  expect(screen.getByText(/Working it out.*so far/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('fill-stop'));
  expect(mockChange).toHaveBeenCalledWith(call(api.stopFill));
  mockFill = {
    ...fill,
    state: 'failed',
    message: 'The gaps could not be filled. Nothing of yours is changed.',
    proposals: [],
  };
  rerender(<FillPanel board={{ ...board } as Board} />);
  expect(screen.getByText(/Nothing of yours is changed/)).toBeTruthy();
});
