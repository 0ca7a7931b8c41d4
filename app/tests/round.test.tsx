/** The morning round with one thumb: what is typed is kept until it is noted, and each thermometer gets its own figure. */
import type { RoundItem } from '@fogata/contract/told';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { Progress } from '../src/components/ui/Progress';
import { Round } from '../src/components/night/Round';
import { act as mockAct } from '../src/data/actions';
import { format, keepingDevice } from './kit';

jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../src/data/actions', () => ({ act: jest.fn(() => Promise.resolve()) }));
jest.mock('../src/data/hooks', () => ({
  change: jest.fn(() => Promise.resolve()),
  refresh: jest.fn(),
  useFarm: () => ({ data: undefined }),
}));

const NOW = Date.parse('2027-01-15T07:00:00Z');
const item = (spot: string, more: Partial<RoundItem> = {}): RoundItem =>
  ({
    spot,
    name: spot,
    predictedC: { low: -6, mid: -4, high: -2 },
    thermometer: { minC: -5.2, maxC: 8.1 },
    reading: null,
    ...more,
  }) as RoundItem;
const read = (spot: string, minC: number) =>
  item(spot, { reading: { minC, maxC: null, recordId: `r-${spot}` } });

const show = (items: RoundItem[]) => <Round items={items} night="2027-01-14" nowAtMs={NOW} format={format} />;
const sent = jest.mocked(mockAct);

beforeEach(() => {
  keepingDevice();
  sent.mockClear();
});

test('nothing is noted before there is a figure; a step starts from what was said', () => {
  render(show([item('outside'), item('north')]));
  fireEvent.press(screen.getByTestId('note-reading'));
  expect(sent).not.toHaveBeenCalled();
  fireEvent.press(screen.getByLabelText('outside lowest down 1'));
  fireEvent.press(screen.getByTestId('note-reading'));
  const [label, [record]] = sent.mock.calls[0]!;
  expect(label).toMatch(/^outside: −[45]\.0 °C noted$/);
  expect(record).toMatchObject({ kind: 'reading', spot: 'outside', night: '2027-01-14', source: 'grower' });
});

test('the thermometer’s own figures are taken as its own, changed ones as the grower’s', () => {
  render(show([item('outside')]));
  fireEvent.press(screen.getByTestId('take-thermometer'));
  fireEvent.press(screen.getByTestId('note-reading'));
  expect(sent.mock.calls[0]![1][0]).toMatchObject({ minC: -5.2, maxC: 8.1, source: 'thermometer' });
  fireEvent.press(screen.getByLabelText('outside lowest down 1'));
  fireEvent.press(screen.getByTestId('note-reading'));
  expect(sent.mock.calls[1]![1][0]).toMatchObject({ minC: -6.2, source: 'grower' });
});

test('what was typed and not noted is there after a reload, at its own thermometer', () => {
  const first = render(show([item('outside'), item('north')]));
  fireEvent.press(screen.getByTestId('take-thermometer'));
  first.unmount();
  render(show([item('outside'), item('north')]));
  fireEvent.press(screen.getByTestId('note-reading'));
  expect(sent.mock.calls[0]![1][0]).toMatchObject({ spot: 'outside', minC: -5.2 });
});

test('the next thermometer begins empty, one that was read is corrected in its place, and the last ends the round', () => {
  const { rerender } = render(show([item('outside'), item('north')]));
  fireEvent.press(screen.getByTestId('take-thermometer'));
  rerender(show([read('outside', -5.2), item('north')]));
  expect(screen.getByText('1 of 2 read', { exact: false })).toBeTruthy();
  fireEvent.press(screen.getByTestId('note-reading'));
  expect(sent).not.toHaveBeenCalled();
  fireEvent.press(screen.getByLabelText('Correct outside'));
  expect(screen.getByText('outside, lowest')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('outside lowest up 1'));
  fireEvent.press(screen.getByTestId('note-reading'));
  expect(sent.mock.calls[0]![1][0]).toMatchObject({ spot: 'outside', minC: -4.2 });
  rerender(show([read('outside', -4.2), read('north', -3)]));
  expect(screen.getByText('Every thermometer has been read.')).toBeTruthy();
});

test('while a night is worked out anew nothing moves: the bar takes no room where a list stands', () => {
  const progress = { state: 'computing', done: 3, of: 6 } as const;
  const { rerender } = render(<Progress progress={progress} still />);
  const bar = () => screen.getByLabelText('Working out the night');
  expect(bar().props.style).toMatchObject({ height: 0 });
  expect(bar().props['aria-valuenow']).toBe(3);
  expect(screen.queryByText(/of 6 beds/)).toBeNull();
  rerender(<Progress progress={progress} />);
  expect(screen.getByText(/3 of 6 beds/)).toBeTruthy();
  // what is a first look says so, and how far it goes
  rerender(<Progress progress={{ ...progress, first: { members: 4, of: 31 } }} />);
  expect(screen.getByText(/A first look: at most one more sheet.*4 of 31 forecasts/)).toBeTruthy();
});
