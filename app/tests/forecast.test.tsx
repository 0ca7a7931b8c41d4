/** Tonight's weather on steppers: read back as it is entered, sent whole, and named where it cannot be. */
import { api, call } from '@fogata/contract/client';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { ForecastScreen } from '../src/screens/ForecastScreen';
import { change } from '../src/data/hooks';
import { keepingDevice, format as mockFormat } from './kit';

const mockNow = Date.parse('2027-01-14T15:30:00Z');
const mockDawn = Date.parse('2027-01-15T07:40:00Z');
jest.mock('../src/data/hooks', () => ({
  change: jest.fn(() => Promise.resolve({ id: 'told' })),
  refresh: jest.fn(),
  useForecasts: () => ({ data: undefined }),
  useFarm: () => ({
    data: {
      farm: { name: 'Farm' },
      clock: { nowAtMs: mockNow, window: { sunriseAtMs: mockDawn, toAtMs: mockDawn + 4 * 3_600_000 } },
    },
  }),
}));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/undo', () => ({ offerUndo: jest.fn() }));
jest.mock('../src/components/night/ForecastList', () => ({ ForecastList: () => null }));
jest.mock('expo-router', () => ({ router: { push: jest.fn(), replace: jest.fn(), canGoBack: () => false } }));

const sent = jest.mocked(change);
const said = () => screen.getByTestId('sentence');
const tap = (label: string | RegExp, times = 1) => {
  for (let i = 0; i < times; i++) fireEvent.press(screen.getByLabelText(label));
};

beforeEach(() => {
  keepingDevice();
  sent.mockClear();
  render(<ForecastScreen />);
});

const enter = () => {
  tap('Lowest down 5');
  tap('Highest up 5');
  tap('still');
  tap('clear');
};

test('it asks first, and reads back what is entered as it is entered', () => {
  expect(said()).toHaveTextContent('What does your forecast say of tonight?');
  tap('Lowest down 5');
  expect(said()).toHaveTextContent(/^−5\.0 °C by 07:30\.$/);
  tap('It is lowest about: half an hour later');
  expect(said()).toHaveTextContent(/by 08:00/);
  tap('still');
  tap('clear');
  expect(said()).toHaveTextContent(/by 08:00, clear and still\.$/);
  tap('snow, 10 cm');
  expect(said()).toHaveTextContent(/clear and still, snow, 10 cm/);
});

test('nothing is sent before all four are said; then the whole is, with what falls', async () => {
  fireEvent.press(screen.getByTestId('typed-save'));
  expect(sent).not.toHaveBeenCalled();
  enter();
  tap('some rain, 3 mm');
  await act(async () => {
    fireEvent.press(screen.getByTestId('typed-save'));
    await Promise.resolve();
  });
  expect(sent).toHaveBeenCalledWith(call(api.typedForecast), {
    lowC: -5,
    lowAtMs: Date.parse('2027-01-15T07:30:00Z'),
    highC: expect.any(Number) as number,
    windMs: 0.5,
    cloud: 0.05,
    sure: 'usual',
    rainMm: 3,
    snowMm: 0,
  });
});

test('a highest under the lowest is named and nothing is sent; what was entered stays', async () => {
  enter();
  tap('Highest down 5', 6);
  await act(async () => {
    fireEvent.press(screen.getByTestId('typed-save'));
    await Promise.resolve();
  });
  expect(sent).not.toHaveBeenCalled();
  expect(screen.getByText(/Highest by day: expected no lower than the lowest/)).toBeTruthy();
  expect(said()).toHaveTextContent(/−5\.0 °C/);
});

test('where the server does not answer it says so and keeps what was entered', async () => {
  sent.mockRejectedValueOnce(new Error('No connection to the farm’s server.'));
  enter();
  await act(async () => {
    fireEvent.press(screen.getByTestId('typed-save'));
    await Promise.resolve();
  });
  expect(
    screen.getByText(/No connection to the farm’s server\. What you entered is kept here\./),
  ).toBeTruthy();
  screen.unmount();
  render(<ForecastScreen />);
  expect(said()).toHaveTextContent(/−5\.0 °C by 07:30/);
});
