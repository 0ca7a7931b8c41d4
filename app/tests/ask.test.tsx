/** Ask first: what is lacking is said, arcs go on at a tap, what is sent is what was said, and it is kept only when asked to. */
import { api, call } from '@fogata/contract/client';
import type { AskBody } from '@fogata/contract';
import type { AskView, TownRow } from '@fogata/contract/told';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { request } from '../src/data/api';
import { change } from '../src/data/hooks';
import { offerUndo } from '../src/data/undo';
import { AskScreen } from '../src/screens/AskScreen';
import { keepingDevice, format as mockFormat } from './kit';

const mockNow = Date.parse('2027-01-14T13:00:00Z');
const mockTowns: TownRow[] = [
  {
    name: 'Aldea',
    country: 'Nowhere',
    latitude: 43,
    longitude: -5,
    elevationM: 700,
    timeZone: 'Nowhere/Else',
  },
  {
    name: 'Vega',
    country: 'Nowhere',
    latitude: 42,
    longitude: -4,
    elevationM: 800,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  },
];
const mockCrops = [
  { id: 'spinach', name: 'spinach' },
  { id: 'leek', name: 'leeks' },
];
let mockEmpty = true;
jest.mock('../src/data/api', () => ({ request: jest.fn() }));
jest.mock('../src/data/hooks', () => ({
  change: jest.fn(() => Promise.resolve({ recordId: 'r1' })),
  useCrops: () => ({ data: mockCrops }),
  useStyle: () => ({ units: { temperature: 'C', length: 'm' }, hours: 24, timeZone: 'UTC', currency: '€' }),
  useTowns: (text: string) => ({
    data: mockTowns.filter((t) => text !== '' && t.name.toLowerCase().startsWith(text.toLowerCase())),
  }),
  useTownGuess: () => mockTowns.at(-1) ?? null,
  useFarm: () => ({
    data: {
      farm: { name: 'Farm', latitude: 50, longitude: 5, elevationM: 9, timeZone: 'UTC' },
      clock: { nowAtMs: mockNow },
      emptyFarm: mockEmpty,
    },
  }),
}));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/actions', () => ({ retract: jest.fn() }));
jest.mock('../src/data/undo', () => ({ offerUndo: jest.fn() }));
jest.mock('../src/components/ui/Frame', () => ({ useWide: () => false }));
jest.mock('expo-router', () => ({ router: { push: jest.fn(), replace: jest.fn(), canGoBack: () => false } }));

const asked = jest.mocked(request);
const answer: AskView = {
  timeZone: 'UTC',
  sentence: [{ text: 'The leaves of the spinach see −2.0 °C', tone: 'frost' }],
  leafC: { low: -3, mid: -2, high: -1 },
  minAtMs: mockNow + 16 * 3_600_000,
  outsideC: -5,
  harmC: -6,
  hardening: 0.8,
  harmChance: 0.02,
  verdict: 'safe',
  more: [
    {
      what: 'With frost blanket besides',
      leafC: { low: 0, mid: 1, high: 2 },
      harmChance: 0,
      verdict: 'safe',
    },
  ],
  less: {
    what: 'Under the open sky',
    leafC: { low: -9, mid: -8, high: -7 },
    harmChance: 0.9,
    verdict: 'leaf burn',
  },
  day: { airC: 31.4, atMs: mockNow + 24 * 3_600_000, tooHot: true },
  assumed: ['Loam, moist.'],
  cautions: [],
};
const tap = (label: string | RegExp, times = 1) => {
  for (let i = 0; i < times; i++) fireEvent.press(screen.getByLabelText(label));
};
const pause = () => act(async () => new Promise((r) => setTimeout(r, 450)));
const sent = () => asked.mock.calls.at(-1)![1] as AskBody;

beforeEach(() => {
  keepingDevice();
  mockEmpty = true;
  asked.mockReset();
  asked.mockResolvedValue(answer);
  jest.mocked(change).mockClear();
});

test('it says what is lacking, takes the town from the device’s clock, and asks nothing before all is said', async () => {
  render(<AskScreen />);
  expect(screen.getByTestId('ask-sentence')).toHaveTextContent(
    /say what grows there and tonight’s lowest\.$/,
  );
  expect(screen.getByText('Near Vega, Nowhere')).toBeTruthy();
  tap('spinach');
  expect(screen.getByTestId('ask-sentence')).toHaveTextContent(/say tonight’s lowest\.$/);
  await pause();
  expect(asked).not.toHaveBeenCalled();
  expect(screen.getByTestId('ask-keep').props.accessibilityState).toMatchObject({ disabled: true });
});

test('the arcs go round at a tap; what is sent is what is drawn, and the answer opens the page', async () => {
  render(<AskScreen />);
  const outer = () => screen.getByTestId('arc-outer');
  for (const words of ['a film house', 'a glasshouse', 'a cold frame']) {
    fireEvent.press(outer());
    expect(outer()).toHaveTextContent(words);
  }
  fireEvent.press(screen.getByTestId('arc-middle'));
  // over a frame there are no hoops
  expect(screen.getByTestId('arc-middle')).toHaveTextContent('fleece over that');
  fireEvent.press(screen.getByTestId('arc-laid'));
  tap('spinach');
  tap('Tonight’s lowest, outside down 5');
  await pause();
  expect(sent()).toMatchObject({
    outer: 'cold-frame',
    middle: 'fleece',
    laid: true,
    crop: 'spinach',
    weeks: 6,
    site: { latitude: 42, longitude: -4, elevationM: 800 },
    typed: { lowC: -5, highC: 4, cloud: 0.05, windMs: 0.5 },
  });
  expect(screen.getByTestId('ask-sentence')).toHaveTextContent('The leaves of the spinach see −2.0 °C');
  expect(screen.getByTestId('ask-day')).toHaveTextContent(/▲ Left shut .* reaches 31\.4 °C/);
  expect(screen.getByTestId('ask-result')).toHaveTextContent(
    /With frost blanket besides.*✓ safe.*Under the open sky.*❄ leaf burn/,
  );
  expect(screen.getByTestId('ask-in-sight', { includeHiddenElements: true })).toHaveTextContent(
    /Leaf −2\.0 °C.*✓ safe/,
  );
});

test('a crop that is not among the usual is found by its name, one that is not known is said', () => {
  render(<AskScreen />);
  expect(screen.queryByLabelText('leeks')).toBeNull();
  fireEvent.changeText(screen.getByTestId('ask-crop'), 'lee');
  tap('leeks');
  fireEvent.changeText(screen.getByTestId('ask-crop'), 'banana');
  expect(screen.getByText(/None of that name is known/)).toBeTruthy();
});

test('kept, it is the same answers once, with a way back; a refusal keeps what was said', async () => {
  render(<AskScreen />);
  tap('spinach');
  tap('Tonight’s lowest, outside down 5');
  await pause();
  jest.mocked(change).mockRejectedValueOnce(new Error('No connection to the farm’s server.'));
  await act(async () => fireEvent.press(screen.getByTestId('ask-keep')));
  expect(screen.getByText(/No connection .* What you said is kept here\./)).toBeTruthy();
  await act(async () => fireEvent.press(screen.getByTestId('ask-keep')));
  expect(change).toHaveBeenLastCalledWith(call(api.keepAsked), sent());
  expect(offerUndo).toHaveBeenCalledWith('Your first bed: kept', expect.any(Function));
});

test('on a farm that is set up its own place is asked about, and no town', async () => {
  mockEmpty = false;
  render(<AskScreen />);
  expect(screen.queryByText(/^Near /)).toBeNull();
  tap('spinach');
  tap('Tonight’s lowest, outside down 5');
  await pause();
  expect(sent().site).toEqual({ latitude: 50, longitude: 5, elevationM: 9 });
});
