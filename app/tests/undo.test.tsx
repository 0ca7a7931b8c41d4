import { act, render, screen } from '@testing-library/react-native';
import { Text } from 'react-native';
import { readStored, store } from '../src/data/storage';
import { newId } from '../src/data/id';
import { offerUndo, takeBack, useUndo } from '../src/data/undo';

jest.useFakeTimers();

function Shown() {
  return <Text testID="offer">{useUndo()?.label ?? 'none'}</Text>;
}

const offer = () => screen.getByTestId('offer').props.children as string;

test('an act can be taken back for ten seconds, then no longer', async () => {
  const undone = jest.fn(() => Promise.resolve());
  render(<Shown />);
  act(() => offerUndo('Close North house: done', undone));
  expect(offer()).toBe('Close North house: done');
  act(() => void jest.advanceTimersByTime(9_000));
  expect(offer()).toBe('Close North house: done');
  act(() => void jest.advanceTimersByTime(1_500));
  expect(offer()).toBe('none');
  await act(() => takeBack());
  expect(undone).not.toHaveBeenCalled();
});

test('a new act replaces the offer, and its ten seconds begin anew', async () => {
  const first = jest.fn(() => Promise.resolve());
  const second = jest.fn(() => Promise.resolve());
  render(<Shown />);
  act(() => offerUndo('first', first));
  act(() => void jest.advanceTimersByTime(8_000));
  act(() => offerUndo('second', second));
  act(() => void jest.advanceTimersByTime(8_000));
  expect(offer()).toBe('second');
  await act(() => takeBack());
  expect(second).toHaveBeenCalledTimes(1);
  expect(first).not.toHaveBeenCalled();
  expect(offer()).toBe('none');
});

test('a device that keeps nothing breaks nothing', () => {
  const broken = {
    getItem: () => {
      throw new Error('forbidden');
    },
    setItem: () => {
      throw new Error('full');
    },
  };
  Object.defineProperty(globalThis, 'localStorage', { value: broken, configurable: true });
  expect(readStored('x', 7)).toBe(7);
  expect(store('x', 1)).toBe(false);
});

test('ids are UUIDs, also where the browser has no randomUUID', () => {
  const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
  expect(newId()).toMatch(uuid);
  const { webcrypto } = jest.requireActual<typeof import('node:crypto')>('node:crypto');
  Object.defineProperty(globalThis, 'crypto', {
    value: { getRandomValues: webcrypto.getRandomValues.bind(webcrypto) },
    configurable: true,
  });
  expect(newId()).toMatch(uuid);
  expect(newId()).not.toBe(newId());
});
