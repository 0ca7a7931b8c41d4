/** The day's openings on Now: what to move next, what comes after it, and what it is for. */
import type { DayStructure, DayView } from '@fogata/contract/told';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { dayDetail, DayRows, moveWords } from '../src/components/night/DayRows';
import { act as mockAct } from '../src/data/actions';
import { format } from './kit';

let mockDay: { data?: DayView } = {};
jest.mock('../src/data/hooks', () => ({ useDay: () => mockDay, useFarm: () => ({ data: undefined }) }));
jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../src/data/actions', () => ({ act: jest.fn(() => Promise.resolve()) }));

const NOW = Date.parse('2027-04-15T08:00:00Z');
const at = (hour: number) => NOW + (hour - 8) * 3_600_000;
const house = (more: Partial<DayStructure> = {}): DayStructure => ({
  structureId: 'n',
  name: 'North house',
  open: 0,
  recordId: null,
  crop: 'spinach',
  limitC: 27,
  style: 'air',
  steps: [
    { atMs: at(10), fraction: 0.5, lateHotK: null, lateThenK: null },
    { atMs: at(16), fraction: 0, lateHotK: null, lateThenK: null },
  ],
  leftC: { low: 34, mid: 36, high: 38 },
  plannedC: { low: 22, mid: 24, high: 26 },
  lateC: null,
  thereC: null,
  more: null,
  potsC: null,
  hotDays: null,
  ...more,
});
const view = (more: Partial<DayView> = {}): DayView => ({
  nowAtMs: NOW,
  phase: 'morning',
  structures: [house()],
  away: [],
  progress: { state: 'ready', done: 1, of: 1 },
  ...more,
});

test('what an hour late costs is said, and what it is worth to have somebody there', () => {
  const late = house({ lateC: { low: 28, mid: 31, high: 34 } });
  expect(dayDetail(late, format)).toMatch(/An hour late 31(\.0)?.°C\.$/);
  expect(dayDetail(house({ lateC: { low: 22, mid: 24.2, high: 26 } }), format)).not.toMatch(/late/);
  const away = house({ thereC: { low: 20, mid: 21, high: 23 } });
  expect(dayDetail(away, format)).toMatch(
    /nine times in ten it stays under 26(\.0)?.°C, with somebody there 23(\.0)?.°C\.$/,
  );
});

test('what an hour late does at a later move stands beside it', () => {
  const [open, shut] = house().steps;
  const late = house({ steps: [open!, { ...shut!, lateThenK: -2.4 }] });
  expect(dayDetail(late, format)).toMatch(/shut 16:00 \(an hour late: 2.4.+? colder by then\)/);
  const hot = house({ steps: [open!, { atMs: at(12), fraction: 1, lateHotK: 3, lateThenK: null }, shut!] });
  expect(dayDetail(hot, format)).toMatch(/wide 12:00 \(an hour late: 3(\.0)?.+? hotter\), shut 16:00\./);
});

test('hours in which nobody is there are said under the moves', () => {
  mockDay = { data: view({ away: [{ fromAtMs: at(10), toAtMs: at(17) }] }) };
  render(<DayRows format={format} />);
  expect(screen.getByTestId('away-today')).toHaveTextContent(
    /Nobody is here from 10:00 to 17:00: each is left/,
  );
});

test.each([
  [0.5, 0, 'Open North house half'],
  [0.05, 0, 'Open North house a finger’s width'],
  [0.25, 0.5, 'North house to a quarter'],
  [0, 0.5, 'Shut North house'],
  [0.35, 0, 'Open North house 35 %'],
])('a move to %p from %p is said as one says it', (to, from, words) => {
  expect(moveWords('North house', to, from)).toBe(words);
});

test('says what comes after, how hot it gets and what it would spoil; where nothing is to be moved, that', () => {
  expect(dayDetail(house(), format)).toBe(
    'Then shut 16:00. Leaf 24.0 °C at its hottest; left as it is 36 to 38 °C, and spinach spoils over 27.0 °C.',
  );
  expect(dayDetail(house({ leftC: { low: 20, mid: 22, high: 24 } }), format)).not.toContain('spoils');
  expect(dayDetail(house({ steps: [] }), format)).toMatch(/it may stay shut\.$/);
  expect(dayDetail(house({ steps: [], open: 0.25 }), format)).toMatch(/it may stay as it is\.$/);
});

test('a tick is the act: as far as it was to be opened, in that structure', () => {
  mockDay = {
    data: view({ structures: [house(), house({ structureId: 's', name: 'South house', steps: [] })] }),
  };
  render(<DayRows format={format} />);
  expect(screen.getAllByTestId('day-tick')).toHaveLength(1);
  fireEvent.press(screen.getByTestId('day-tick'));
  expect(jest.mocked(mockAct)).toHaveBeenCalledWith(
    'Open North house half: done',
    [{ kind: 'vent', atMs: NOW, structureId: 'n', fraction: 0.5 }],
    NOW,
  );
});

test('what is due is said as now; outside the morning, and before anything is known, nothing is', () => {
  mockDay = {
    data: view({
      structures: [house({ steps: [{ atMs: at(8), fraction: 1, lateHotK: null, lateThenK: null }] })],
    }),
  };
  const { rerender } = render(<DayRows format={format} />);
  expect(screen.getByText('now')).toBeTruthy();
  for (const data of [view({ phase: 'closing' }), view({ structures: [] }), undefined]) {
    mockDay = data ? { data } : {};
    rerender(<DayRows format={format} />);
    expect(screen.queryByTestId('day')).toBeNull();
  }
  mockDay = { data: view({ structures: [], progress: { state: 'computing', done: 0, of: 2 } }) };
  rerender(<DayRows format={format} />);
  expect(screen.getByText(/Working out what is to be opened/)).toBeTruthy();
  mockDay = {
    data: view({
      structures: [],
      progress: { state: 'failed', done: 0, of: 1, message: 'It could not be.' },
    }),
  };
  rerender(<DayRows format={format} />);
  expect(screen.getByText(/It could not be\./)).toBeTruthy();
});

test('where opening is not enough it says what else would take the heat off, and what hot days come to', () => {
  const hot = house({
    more: {
      shadeC: { low: 26, mid: 27, high: 28 },
      lidsOffC: { low: 22, mid: 23, high: 24 },
      fabricC: null,
      mistK: 3.2,
    },
    hotDays: { days: 3, more: 2 },
    potsC: 35,
  });
  const said = dayDetail(hot, format);
  expect(said).toMatch(
    /Opening is not enough: shade cloth makes it 27.*, the lids right off 23.*mist.* 3\.2°/,
  );
  expect(said).toMatch(/The third day in a row over .*: two more end the/);
  expect(said).toMatch(/pots and crates comes to 35/);
  expect(dayDetail(house({ hotDays: { days: 6, more: 0 } }), format)).toContain(
    'will hardly come to anything',
  );
  // one warm day is no spell
  expect(dayDetail(house({ hotDays: { days: 1, more: 4 } }), format)).not.toContain('in a row');
});
