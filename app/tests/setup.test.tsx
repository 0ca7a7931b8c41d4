/** Setting up on a phone: what is answered, what opens, what is kept while one types, and what undo brings back. */
import type { Opening, Snug } from '@fogata/core';
import { act, fireEvent, render, renderHook, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { Amount, Degrees, Fold, Metres } from '../src/components/ui/Fields';
import { OpeningsFields, SnugFields } from '../src/components/plan/StructureFields';
import { Text } from '../src/components/ui/Text';
import { request } from '../src/data/api';
import { copyBed, copyStructure, nextName, removeThing, saveThing } from '../src/data/setup';
import { takeBack } from '../src/data/undo';
import { useDraft } from '../src/data/useDraft';
import { bedIn, house } from './kit';

let mockFeet = false;
jest.mock('../src/data/api', () => ({
  request: jest.fn(() => Promise.resolve(undefined)),
  NoServer: class extends Error {},
  Refused: class extends Error {},
}));
jest.mock('../src/data/format', () => ({
  useFormat: () => ({ length: mockFeet ? 'ft' : 'm', unit: mockFeet ? 'F' : 'C' }),
}));
jest.useFakeTimers();

const sent = jest.mocked(request);
const calls = () =>
  sent.mock.calls.map(([{ address, method }, body]) => ({
    path: address,
    method,
    body: body as Record<string, unknown>,
  }));

beforeEach(() => {
  mockFeet = false;
  sent.mockClear();
  globalThis.localStorage?.clear();
});

describe('three questions about draughts', () => {
  function Asked({ onAnswer }: { onAnswer: (s: Snug) => void }) {
    const [snug, setSnug] = useState<Snug | undefined>(undefined);
    return (
      <SnugFields
        value={snug}
        tightness="average"
        onChange={(s) => {
          setSnug(s);
          onAnswer(s);
        }}
      />
    );
  }

  test('none is answered until the grower does, and an answer to one keeps what was taken for the others', () => {
    const onAnswer = jest.fn();
    render(<Asked onAnswer={onAnswer} />);
    expect(screen.getByText(/not answered yet/)).toBeTruthy();
    for (const radio of screen.getAllByRole('radio')) expect(radio.props['aria-checked']).not.toBe(true);
    fireEvent.press(screen.getAllByLabelText('daylight to see')[1]!);
    expect(onAnswer).toHaveBeenLastCalledWith({ ends: 1, edges: 2, skin: 0 });
    expect(screen.queryByText(/not answered yet/)).toBeNull();
  });
});

describe('what opens', () => {
  function Opens({ start }: { start: Opening[] }) {
    const [value, setValue] = useState(start);
    return (
      <>
        <OpeningsFields value={value} onChange={setValue} />
        <Text testID="value">{JSON.stringify(value)}</Text>
      </>
    );
  }
  const value = () => JSON.parse(String(screen.getByTestId('value').props.children)) as Opening[];

  test('an opening is added, given to a wax cylinder, and taken away', () => {
    render(<Opens start={[]} />);
    fireEvent.press(screen.getByLabelText('Add a vent'));
    expect(value()).toEqual([{ name: 'Vent', kind: 'hinged', areaM2: 0.5 }]);
    fireEvent.press(screen.getByLabelText('a wax cylinder'));
    expect(value()[0]!.wax).toEqual({ startC: 16, fullC: 26 });
    fireEvent.press(screen.getByLabelText('Take vent away'));
    expect(value()).toEqual([]);
  });

  test('what rolls up is told by its length and height: one changed, the other stays', () => {
    render(<Opens start={[{ name: 'Sides', kind: 'roll-up', areaM2: 28 }]} />);
    const length = 'Length of sides, all sides together';
    expect(screen.getByLabelText(`${length}: 28.00 m. Type it`)).toBeTruthy();
    fireEvent.press(screen.getByLabelText(`${length} up 5`));
    expect(value()[0]!.areaM2).toBe(33);
    for (let i = 0; i < 2; i++) fireEvent.press(screen.getByLabelText('How high it rolls up 0.1'));
    expect(value()[0]!.areaM2).toBeCloseTo(39.6, 6);
    expect(screen.getByLabelText(`${length}: 33.00 m. Type it`)).toBeTruthy();
    expect(screen.getByText('39.6 m² wide open.')).toBeTruthy();
  });

  test('a cylinder is never full before it starts', () => {
    render(<Opens start={[{ name: 'Roof', kind: 'hinged', areaM2: 1, wax: { startC: 16, fullC: 17 } }]} />);
    fireEvent.press(screen.getByLabelText('It starts to open at up 1'));
    expect(value()[0]!.wax).toEqual({ startC: 17, fullC: 18 });
    for (let i = 0; i < 3; i++) fireEvent.press(screen.getByLabelText('It is fully open at down 1'));
    expect(value()[0]!.wax!.startC).toBeLessThan(value()[0]!.wax!.fullC);
  });
});

describe('lengths', () => {
  function Length() {
    const [m, setM] = useState(6.096);
    return (
      <>
        <Metres label="Width" value={m} onChange={setM} />
        <Text testID="m">{m}</Text>
      </>
    );
  }

  test('are shown and stepped in feet where the farm measures so, and kept in metres', () => {
    mockFeet = true;
    render(<Length />);
    expect(screen.getByLabelText(/Width: 20.00 ft/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Width up 1'));
    expect(Number(screen.getByTestId('m').props.children)).toBeCloseTo(21 * 0.3048, 3);
  });

  test('temperatures are set in the farm’s own degrees, a difference without the 32', () => {
    mockFeet = true;
    const set = jest.fn();
    render(
      <>
        <Degrees label="Opens at" value={16} onChange={set} min={0} max={50} />
        <Degrees label="Against the centre" value={-0.5} onChange={set} min={-10} max={10} difference />
      </>,
    );
    expect(screen.getByLabelText(/Opens at: 60.8 °F/)).toBeTruthy();
    expect(screen.getByLabelText(/Against the centre: −0.9 °F/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Opens at up 1'));
    expect(set).toHaveBeenLastCalledWith(16.556);
    fireEvent.press(screen.getByLabelText('Against the centre up 1'));
    expect(set).toHaveBeenLastCalledWith(0.056);
  });

  test('a note stands under its amount', () => {
    render(<Amount label="Pieces" value={3} onChange={jest.fn()} unit="pieces" note="all of them" />);
    expect(screen.getByText('all of them')).toBeTruthy();
  });

  test('what most leave alone is shut until it is asked for', () => {
    render(
      <Fold title="Shade, water, heat">
        <Text>inside</Text>
      </Fold>,
    );
    expect(screen.queryByText('inside')).toBeNull();
    fireEvent.press(screen.getByText('Shade, water, heat ›'));
    expect(screen.getByText('inside')).toBeTruthy();
  });
});

describe('a form that is half filled in', () => {
  const stored = new Map<string, string>();
  beforeAll(() => {
    Object.defineProperty(globalThis, 'localStorage', {
      configurable: true,
      value: {
        getItem: (k: string) => stored.get(k) ?? null,
        setItem: (k: string, v: string) => void stored.set(k, v),
        clear: () => stored.clear(),
      },
    });
  });

  test('is still there after a reload, and gone when it was saved', () => {
    const start = { name: 'House', lengthM: 20 };
    const first = renderHook(() => useDraft('structure:new', start));
    act(() => first.result.current[1]({ name: 'Long house' }));
    first.unmount();
    const again = renderHook(() => useDraft('structure:new', start));
    expect(again.result.current[0]).toEqual({ name: 'Long house', lengthM: 20 });
    act(() => again.result.current[2]());
    expect(again.result.current[0]).toEqual(start);
    again.unmount();
    expect(renderHook(() => useDraft('structure:new', start)).result.current[0]).toEqual(start);
  });

  test('two forms do not mix, and nothing is kept until something was typed', () => {
    const a = renderHook(() => useDraft<{ name: string }>('bed:1', { name: 'A' }));
    renderHook(() => useDraft<{ name: string }>('bed:2', { name: 'B' }));
    expect(stored.size).toBe(0);
    act(() => a.result.current[1]({ name: 'A2' }));
    expect([...stored.keys()]).toEqual(['fogata:draft:bed:1']);
  });
});

describe('saving, copying, removing', () => {
  test('a number is counted on, and one that is taken is left out', () => {
    expect(nextName('Bed 1', ['Bed 1'])).toBe('Bed 2');
    expect(nextName('Bed 1', ['Bed 1', 'Bed 2', 'Bed 3'])).toBe('Bed 4');
    expect(nextName('House', ['House'])).toBe('House 2');
  });

  test('undo of a change brings back what was; of something new, takes it away', async () => {
    await saveThing('structure', house({ name: 'New name' }), house());
    await takeBack();
    expect(calls().at(-1)).toMatchObject({
      path: '/api/structures/s',
      method: 'PUT',
      body: { name: 'Long house' },
    });
    await saveThing('bed', bedIn(), null);
    await takeBack();
    expect(calls().at(-1)).toMatchObject({ path: '/api/beds/b', method: 'DELETE' });
  });

  test('what was removed comes back whole', async () => {
    await removeThing('bed', bedIn({ zone: 'door' }));
    await takeBack();
    expect(calls().at(-1)).toMatchObject({ path: '/api/beds/b', method: 'PUT', body: { zone: 'door' } });
  });

  test('a house is copied with its beds in one go, beside itself, and undone in one go', async () => {
    const at = { xM: 2, yM: 0, turnDeg: 90 };
    const copy = await copyStructure(house({ at }), [bedIn(), bedIn({ id: 'c' })], [house()]);
    expect(copy.name).toBe('Long house 2');
    expect(copy.at!.yM).toBeLessThan(-6);
    expect(calls()).toHaveLength(1);
    const { structures, beds } = calls()[0]!.body as {
      structures: unknown[];
      beds: { structureId: string; id: string }[];
    };
    expect(structures).toHaveLength(1);
    expect(beds.every((b) => b.structureId === copy.id)).toBe(true);
    expect(new Set(beds.map((b) => b.id)).size).toBe(2);
    await takeBack();
    expect(calls().at(-1)!.body).toEqual({ remove: { structures: [copy.id], beds: beds.map((b) => b.id) } });
  });

  test('beds alike are named on and never lie where the first was put', async () => {
    await copyBed(bedIn({ at: { alongM: 1, acrossM: 2 } }), [bedIn()], 2);
    const { beds } = calls()[0]!.body as { beds: { name: string; at?: unknown }[] };
    expect(beds.map((b) => b.name)).toEqual(['Bed 2', 'Bed 3']);
    expect(beds.every((b) => b.at === undefined)).toBe(true);
  });

  test('a new bed and its likes go together', async () => {
    await copyBed(bedIn({ name: 'Frame 1' }), [], 1, false);
    const { beds } = calls()[0]!.body as { beds: { name: string }[] };
    expect(beds.map((b) => b.name)).toEqual(['Frame 1', 'Frame 2']);
  });
});
