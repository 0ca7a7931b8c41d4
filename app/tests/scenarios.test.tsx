/** Plans side by side, and what earns its row: what is said, what is marked as best, what a tap does. */
import { act as acting, fireEvent, render, screen } from '@testing-library/react-native';
import { api, call } from '@fogata/contract/client';
import type { RelayYear, Tally } from '@fogata/core/relay';
import { amountWords, EarningsPanel } from '../src/components/relay/EarningsPanel';
import { planLines, planSentence, type PlanColumn } from '@fogata/words/en/screens/scenarioWords';
import { ScenariosPanel } from '../src/components/relay/ScenariosPanel';
import { change } from '../src/data/hooks';
import { offerUndo } from '../src/data/undo';
import { format as kitFormat } from './kit';

const mockFormat = { ...kitFormat, money: (x: number) => `€${Math.round(x)}`, currency: '€' };

const mockRelay = {
  today: '2027-01-14',
  latitude: 42,
  beds: [],
  plantings: [],
  outlooks: [],
  demand: [],
  cells: null,
  nursery: { trayCells: 84, trays: null, shelfTrays: null, outTrays: null },
  risk: 0.2,
  accepted: [],
  frost: [],
  progress: { state: 'ready', done: 0, of: 0 },
};
let mockScenarios: object[] = [];
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/id', () => ({ newId: () => 'new' }));
jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../src/data/undo', () => ({ offerUndo: jest.fn() }));
jest.mock('../src/data/actions', () => ({ retract: jest.fn() }));
jest.mock('../src/data/hooks', () => ({
  change: jest.fn(() => Promise.resolve({ recordId: 'r' })),
  useFarm: () => ({ data: { clock: { nowAtMs: 5 } } }),
  useScenarios: () => ({ data: { scenarios: mockScenarios } }),
}));

const tally = (more: Partial<Tally> = {}): Tally => ({
  money: 1000,
  kg: 200,
  hours: 50,
  success: 0.8,
  crops: 10,
  shortKg: 30,
  mostHours: 9,
  ...more,
});
const plan = (name: string, more: Partial<Tally> = {}, ready = true): PlanColumn => ({
  id: name,
  name,
  tally: tally(more),
  ready,
});
const now: PlanColumn = { ...plan('Planned now'), id: null };
const said = (plans: PlanColumn[]) =>
  planSentence(plans, mockFormat)
    .map((p) => p.text)
    .join('');

test('opens with what the best of the plans put by is worth over what is planned, or the other way round', () => {
  expect(said([now])).toMatch(/^Put the plan by under a name/);
  expect(said([now, plan('early', { money: 1200, hours: 56 })])).toMatch(
    /^“early” brings .*200 more than what is planned now, with 6 hours more work\.$/,
  );
  expect(said([now, plan('late', { money: 700 })])).toMatch(
    /^What is planned now brings .*300 more than “late”, the best of those put by\.$/,
  );
  expect(said([now, plan('same', { hours: 49 })])).toMatch(/brings as much .* with 1 hour less work\.$/);
  expect(said([now, plan('early', {}, false)])).toMatch(/Going through the years/);
});

test('of each line the best is marked: most money, fewest hours, least short; none where all are alike', () => {
  const lines = planLines(
    [now, plan('b', { money: 1200, hours: 60, shortKg: 0, success: null })],
    mockFormat,
  );
  const best = Object.fromEntries(lines.map((l) => [l.label, l.best]));
  expect(best['Money']).toEqual([false, true]);
  expect(best['Hours']).toEqual([true, false]);
  expect(best['Short of what is asked']).toEqual([false, true]);
  expect(best['Weighed']).toEqual([false, false]);
  expect(lines.find((l) => l.label === 'Comes off')!.values).toEqual(['80 of 100', '–']);
});

const year: RelayYear = {
  latitude: 42,
  today: 20_832,
  beds: [],
  strips: [],
  demand: [],
  cells: null,
  risk: 0.2,
};

test('a plan is put by, made the plan with a way back, and thrown away', async () => {
  mockScenarios = [{ id: 's1', name: 'early', madeOn: '2027-01-10', relay: mockRelay }];
  render(<ScenariosPanel year={year} />);
  fireEvent.press(screen.getByText(/Plans side by side/));
  fireEvent.press(screen.getByTestId('plan-keep'));
  expect(change).not.toHaveBeenCalled();
  fireEvent.changeText(screen.getByTestId('plan-name'), ' tomatoes sooner ');
  await acting(async () => fireEvent.press(screen.getByTestId('plan-keep')));
  expect(change).toHaveBeenLastCalledWith(
    call(api.keepScenario),
    expect.objectContaining({ name: 'tomatoes sooner' }),
  );
  await acting(async () => fireEvent.press(screen.getByTestId('plan-take')));
  expect(change).toHaveBeenLastCalledWith(call(api.takeScenario, { id: 's1' }));
  expect(offerUndo).toHaveBeenCalledWith('“early” is the plan', expect.any(Function));
  await acting(async () => fireEvent.press(screen.getByLabelText('Throw early away')));
  expect(change).toHaveBeenLastCalledWith(call(api.dropScenario, { id: 's1' }));
});

test('amounts are said in what they are sold by', () => {
  expect(amountWords({ kg: 38.2, stems: 0, bunches: 152.8 }, mockFormat)).toMatch(/38 kg, some 153 bunches$/);
  expect(amountWords({ kg: 0, stems: 420, bunches: 42 }, mockFormat)).toBe('420 stems, some 42 bunches');
  expect(amountWords({ kg: 0, stems: 0, bunches: 0 }, mockFormat)).toBe('');
});

test('with nothing in the ground or planned there is nothing to earn, and no panel', () => {
  render(<EarningsPanel year={year} />);
  expect(screen.queryByText(/What earns its row/)).toBeNull();
});
