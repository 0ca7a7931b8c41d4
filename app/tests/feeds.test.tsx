/** Feeds: what is out is said, a token and an address are shown once and can be voided, and how the last asking went. */
import { api } from '@fogata/contract/client';
import type { FeedView } from '@fogata/contract/told';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Linking } from 'react-native';
import { change } from '../src/data/hooks';
import { FeedsScreen } from '../src/screens/FeedsScreen';
import { format as mockFormat } from './kit';

let mockFeeds: { data?: FeedView; error?: Error } = {};
jest.mock('../src/data/hooks', () => ({
  change: jest.fn(),
  useFeeds: () => mockFeeds,
  useFarm: () => ({ data: undefined }),
}));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/components/ui/Frame', () => ({ useWide: () => false }));
jest.mock('expo-router', () => ({ router: { push: jest.fn(), canGoBack: () => false } }));

const feeds = (more: Partial<FeedView> = {}): FeedView => ({
  token: false,
  calendar: false,
  poll: null,
  ...more,
});
const show = (more: Partial<FeedView> = {}) => {
  mockFeeds = { data: feeds(more) };
  return render(<FeedsScreen />);
};
const press = (of: string) => act(async () => fireEvent.press(screen.getByTestId(of)));
const answer = (a: unknown) => jest.mocked(change).mockResolvedValueOnce(a as never);
const asked = () => jest.mocked(change).mock.calls.map(([c, body]) => [c.method, c.address, body]);

beforeEach(() => jest.clearAllMocks());

test('with nothing out each says what it would be for', () => {
  show();
  expect(screen.getByText(/^With a token, a station or a script may send weather/)).toBeTruthy();
  expect(screen.getByText(/^With an address, a calendar reads what is to be sown/)).toBeTruthy();
  expect(screen.queryByText('Void it')).toBeNull();
  expect(screen.queryByTestId('poll-words')).toBeNull();
  expect(screen.getByTestId('poll-save')).toBeDisabled();
});

test('a token is shown once, and is void when it is voided', async () => {
  const { rerender } = show();
  answer({ token: 'abc-123' });
  await press('make-token');
  expect(screen.getByTestId('token')).toHaveTextContent(/^abc-123▲ Shown this once\./);
  mockFeeds = { data: feeds({ token: true }) };
  rerender(<FeedsScreen />);
  expect(screen.getByText(/^A token is out\./)).toBeTruthy();
  answer(undefined);
  await act(async () => fireEvent.press(screen.getByText('Void it')));
  expect(screen.queryByTestId('token')).toBeNull();
  expect(asked().map(([method]) => method)).toEqual([api.makeToken.method, api.voidToken.method]);
});

test('a calendar’s address is shown whole, once', async () => {
  show();
  answer({ path: '/api/calendar/k7.ics' });
  await press('make-calendar');
  expect(screen.getByTestId('calendar-address')).toHaveTextContent(
    /\/api\/calendar\/k7\.ics▲ Shown this once\./,
  );
});

test('an address is asked, and how it went stands under it with its time', async () => {
  show({
    poll: {
      url: 'http://mast.local/w.json',
      lastAtMs: Date.parse('2027-01-14T15:30:00Z'),
      went: 'Asked in vain: it answered 500.',
    },
  });
  expect(screen.getByTestId('poll-words')).toHaveTextContent(
    '2027-01-14 15:30: Asked in vain: it answered 500.',
  );
  fireEvent.changeText(screen.getByTestId('poll-url'), '  http://mast.local/new.json ');
  answer(feeds());
  await press('poll-save');
  expect(asked()).toEqual([[api.poll.method, api.poll.path, { url: 'http://mast.local/new.json' }]]);
});

test('one that was never asked yet has no time', () => {
  show({ poll: { url: 'http://x', lastAtMs: null, went: 'Not asked yet.' } });
  expect(screen.getByTestId('poll-words')).toHaveTextContent('Not asked yet.');
});

test('it is asked no more when told so', async () => {
  show({ poll: { url: 'http://x', lastAtMs: null, went: 'Not asked yet.' } });
  answer(feeds());
  await act(async () => fireEvent.press(screen.getByText('Ask it no more')));
  expect(asked()).toEqual([[api.poll.method, api.poll.path, { url: null }]]);
});

test('what is refused is said, and what was typed stays', async () => {
  show();
  fireEvent.changeText(screen.getByTestId('poll-url'), 'ftp://mast');
  jest
    .mocked(change)
    .mockRejectedValueOnce(new Error('url: expected an address that begins with http:// or https://'));
  await press('poll-save');
  expect(screen.getByText(/expected an address that begins with http/)).toBeTruthy();
  expect(screen.getByTestId('poll-url')).toHaveProp('value', 'ftp://mast');
});

test('the season’s jobs can be kept as a file', () => {
  const open = jest.spyOn(Linking, 'openURL').mockResolvedValue(true);
  show();
  fireEvent.press(screen.getByText('Keep it as a file'));
  expect(open).toHaveBeenCalledWith('/api/season.ics');
  open.mockRestore();
});

test('a farm that cannot be reached is said; while it is opened nothing is claimed', () => {
  mockFeeds = {};
  const { rerender } = render(<FeedsScreen />);
  expect(screen.getByText(/Opening the feeds/)).toBeTruthy();
  mockFeeds = { error: new Error('The farm’s server does not answer.') };
  rerender(<FeedsScreen />);
  expect(screen.getByText(/does not answer/)).toBeTruthy();
});
