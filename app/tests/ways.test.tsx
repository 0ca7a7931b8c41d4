/** A bed's stacks and what lies on it, and in which ways a sheet may lie: what is shown, and what a tap records. */
import type { OptionRow, PlaceView } from '@fogata/contract/told';
import { asUsed } from '@fogata/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { aCover } from '../../core/tests/fixtures';
import { CoverWays } from '../src/components/plan/CoverWays';
import { OnNow, Options } from '../src/components/place/PlaceOptions';
import { act as mockAct, decide as mockDecide } from '../src/data/actions';
import { bedIn, format as mockFormat } from './kit';

jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../src/data/actions', () => ({
  act: jest.fn(() => Promise.resolve()),
  decide: jest.fn(() => Promise.resolve()),
}));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/hooks', () => ({ useFarm: () => ({ data: undefined }) }));

const fleece = aCover({ id: 'fleece', name: 'Fleece 30' });
const option = (n: number, more: Partial<OptionRow> = {}): OptionRow =>
  ({
    key: `o${n}`,
    names: [`Stack ${n}`],
    leafC: { low: -3, mid: -2, high: -1 },
    loss: 0,
    minutes: 6,
    chosen: false,
    planned: false,
    current: false,
    ...more,
  }) as OptionRow;
const view = (more: Partial<PlaceView>) =>
  ({
    bed: bedIn({ id: 'n1', name: 'N1' }),
    clock: { nowAtMs: 0, window: { night: '2027-01-14' } },
    covers: [],
    options: [],
    ...more,
  }) as unknown as PlaceView;

beforeEach(() => {
  jest.mocked(mockAct).mockClear();
  jest.mocked(mockDecide).mockClear();
});

test('of many stacks the first eight stand there, with the plan, what lies there and nothing at all; the rest on a tap', () => {
  const options = [
    ...Array.from({ length: 20 }, (_, n) => option(n, { chosen: n === 15 })),
    option(20, { key: 'bare', names: [], current: true }),
  ];
  render(<Options view={view({ options })} />);
  expect(screen.getByText('Stack 7')).toBeTruthy();
  expect(screen.queryByText('Stack 8')).toBeNull();
  expect(screen.getByText('Stack 15')).toBeTruthy();
  expect(screen.getByText('Nothing on it')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Show 11 more stacks'));
  expect(screen.getByText('Stack 19')).toBeTruthy();
  expect(screen.queryByTestId('all-options')).toBeNull();
});

test('a stack of two is said with both, and chosen by its own key', () => {
  const both = option(1, {
    key: 'fleece~over+fleece~flat',
    names: ['Fleece 30 (over it)', 'Fleece 30 (laid on)'],
  });
  render(<Options view={view({ options: [both, option(2)] })} />);
  fireEvent.press(screen.getByLabelText('Use Fleece 30 (over it) + Fleece 30 (laid on) on N1'));
  expect(jest.mocked(mockDecide).mock.calls[0]![1]).toEqual([
    { bedId: 'n1', key: 'fleece~over+fleece~flat' },
  ]);
});

test('what lies there is taken off as it lies; the same sheet in another way is another row', () => {
  const covers = [
    { cover: fleece, on: true, recordId: 'r' },
    { cover: asUsed(fleece, 'flat'), use: 'flat' as const, on: false, recordId: null },
  ];
  render(<OnNow view={view({ covers })} />);
  expect(screen.getByText('Fleece 30, on hoops: is on')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Fleece 30, laid on: put it on'));
  fireEvent.press(screen.getByLabelText('Fleece 30, on hoops: took it off'));
  const records = jest.mocked(mockAct).mock.calls.map(([, [r]]) => r);
  expect(records).toMatchObject([
    { coverId: 'fleece', use: 'flat', on: true },
    { coverId: 'fleece', on: false },
  ]);
  // the usual way is not written: it stays the usual way should that be changed
  expect(records[1]).not.toHaveProperty('use');
});

test('a sheet’s other ways start as its cloth bears, and become the grower’s with the first change', () => {
  const told = jest.fn();
  function Ways() {
    const [cover, setCover] = useState(fleece);
    return (
      <CoverWays
        cover={cover}
        onChange={(ways) => {
          told(ways);
          setCover({ ...cover, ways });
        }}
      />
    );
  }
  render(<Ways />);
  expect(screen.getByText(/As its cloth usually bears/)).toBeTruthy();
  expect(screen.getByTestId('cover-way-flat').props.accessibilityState).toMatchObject({ checked: true });
  expect(screen.queryByTestId('cover-way-hoops')).toBeNull();
  fireEvent.press(screen.getByTestId('cover-way-flat'));
  expect(told).toHaveBeenLastCalledWith(['over']);
  fireEvent.press(screen.getByTestId('cover-way-over'));
  expect(told).toHaveBeenLastCalledWith([]);
  expect(screen.getByText(/As you set it/)).toBeTruthy();
});
