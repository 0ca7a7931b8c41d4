/** A farm like yours: counted, painted with what grows, and sent as one; and the table and keys of a wide screen. */
import { api, call, type Call } from '@fogata/contract/client';
import type { CropRow, TownRow } from '@fogata/contract/told';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Text } from 'react-native';
import { Table } from '../src/components/ui/Table';
import { change } from '../src/data/hooks';
import { pressByKey } from '../src/data/keys';
import { StartScreen } from '../src/screens/StartScreen';
import { keepingDevice, format as mockFormat } from './kit';

const mockNow = Date.parse('2027-01-14T13:00:00Z');
const mockTowns = [
  {
    name: 'Vega',
    country: 'Nowhere',
    latitude: 42,
    longitude: -4,
    elevationM: 800,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  },
] as TownRow[];
const mockCrops = [
  { id: 'spinach', name: 'spinach' },
  { id: 'lettuce-leaf', name: 'leaf lettuce' },
] as CropRow[];
jest.mock('../src/data/hooks', () => ({
  change: jest.fn(() => Promise.resolve({ recordId: 'r1' })),
  useCrops: () => ({ data: mockCrops }),
  useTowns: (text: string) => ({
    data: mockTowns.filter((t) => text !== '' && t.name.toLowerCase().startsWith(text.toLowerCase())),
  }),
  useTownGuess: () => mockTowns.at(-1) ?? null,
  useFarm: () => ({ data: { farm: { name: 'Farm' }, clock: { nowAtMs: mockNow }, emptyFarm: true } }),
}));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/actions', () => ({ retract: jest.fn() }));
jest.mock('../src/data/undo', () => ({ offerUndo: jest.fn() }));
jest.mock('../src/components/ui/Frame', () => ({ useWide: () => false }));
jest.mock('expo-router', () => ({ router: { push: jest.fn(), replace: jest.fn(), canGoBack: () => false } }));

const tap = (label: string | RegExp, times = 1) => {
  for (let i = 0; i < times; i++) fireEvent.press(screen.getByLabelText(label));
};
const said = () => screen.getByTestId('sentence');
interface Sent {
  farm: { latitude: number };
  structures: { id: string }[];
  beds: { id: string }[];
  covers: { name: string; count: number }[];
  plantings: { bedId: string; crop: string; plantedOn: string }[];
}

describe('a farm like yours', () => {
  beforeEach(() => {
    keepingDevice();
    jest.mocked(change).mockClear();
    render(<StartScreen />);
  });

  test('the counts are read back as they are changed; another kind begins anew', () => {
    expect(said()).toHaveTextContent('3 structures, 6 beds, 6 sheets in store, near Vega.');
    tap('Cold frames down 1');
    expect(said()).toHaveTextContent('2 structures, 5 beds, 6 sheets in store, near Vega.');
    tap('low tunnels and open beds');
    expect(said()).toHaveTextContent('4 structures, 6 beds, 3 sheets in store, near Vega.');
    expect(screen.queryByTestId('start-bedsInHouse')).toBeNull();
  });

  test('beds are painted: all at once, one anew, one made bare again; and all is sent as one', async () => {
    fireEvent.press(screen.getByTestId('start-all'));
    tap('spinach');
    fireEvent.press(screen.getByTestId('start-bed-5'));
    fireEvent.press(screen.getByTestId('start-bed-0'));
    fireEvent.press(screen.getByTestId('start-bed-0'));
    expect(screen.getByTestId('start-bed-0')).toHaveTextContent(/nothing yet/);
    await act(async () => fireEvent.press(screen.getByTestId('start-make')));
    const [asked, sent] = jest.mocked(change).mock.calls[0]! as unknown as [Call<unknown>, Sent];
    expect(asked).toEqual(call(api.start));
    expect(sent.structures).toHaveLength(3);
    expect(sent.plantings.map((p) => p.crop)).toEqual(
      [...Array<string>(4).fill('lettuce-leaf'), 'spinach'].slice(0, 5),
    );
    expect(sent.plantings.every((p) => sent.beds.some((b) => b.id === p.bedId))).toBe(true);
    expect(sent.plantings[0]!.plantedOn).toBe('2026-12-03');
    expect(sent.covers.map((c) => [c.name, c.count])).toEqual([
      ['Fleece 30', 4],
      ['Frost blanket', 2],
    ]);
    expect(sent.farm.latitude).toBe(42);
  });

  test('nothing that stands cannot be a farm', () => {
    tap('Film houses down 1');
    tap('Cold frames down 1', 2);
    expect(said()).toHaveTextContent('0 structures, 0 beds, 0 sheets in store, near Vega.');
    expect(screen.getByTestId('start-make').props.accessibilityState).toMatchObject({ disabled: true });
    expect(screen.getByTestId('start-make')).toHaveTextContent('Something that stands first');
  });
});

describe('a table', () => {
  const rows = [
    { id: 'a', name: 'Fleece', n: 4 },
    { id: 'b', name: 'Blanket', n: 12 },
    { id: 'c', name: 'Straw mat', n: 2 },
  ];
  const opened = jest.fn();
  beforeEach(() => {
    render(
      <Table
        label="Covers"
        testID="t"
        rows={rows}
        idOf={(r) => r.id}
        nameOf={(r) => r.name}
        onOpen={opened}
        empty="None yet."
        columns={[
          {
            id: 'name',
            title: 'Name',
            value: (r) => r.name,
            show: (r) => <Text testID="name">{r.name}</Text>,
          },
          { id: 'n', title: 'Pieces', value: (r) => r.n, number: true },
        ]}
      />,
    );
  });
  const names = () => screen.getAllByTestId('name').map((x) => String(x.props.children));

  test('is sorted by a press on a column, and the other way by another; numbers as numbers', () => {
    expect(names()).toEqual(['Fleece', 'Blanket', 'Straw mat']);
    tap('Sort by pieces');
    expect(names()).toEqual(['Straw mat', 'Fleece', 'Blanket']);
    tap('Sort by pieces');
    expect(names()).toEqual(['Blanket', 'Fleece', 'Straw mat']);
    tap('Sort by name');
    expect(names()).toEqual(['Blanket', 'Fleece', 'Straw mat']);
  });

  test('is searched as one types, and says where nothing is found', () => {
    fireEvent.changeText(screen.getByTestId('t-search'), 'straw');
    expect(names()).toEqual(['Straw mat']);
    fireEvent.changeText(screen.getByTestId('t-search'), 'glass');
    expect(screen.queryAllByTestId('name')).toHaveLength(0);
    expect(screen.getByText('Nothing here has “glass” in it.')).toBeTruthy();
  });
});

describe('keys on what can be pressed', () => {
  interface Thing {
    tagName: string;
    getAttribute: (name: string) => string | null;
    closest: () => { querySelectorAll: () => Thing[] } | null;
    click: jest.Mock;
    focus: jest.Mock;
  }
  const thing = (role: string | null, tagName = 'DIV', group: Thing[] | null = null): Thing => ({
    tagName,
    getAttribute: (name) => (name === 'role' ? role : null),
    closest: () => (group ? { querySelectorAll: () => group } : null),
    click: jest.fn(),
    focus: jest.fn(),
  });
  const press = (key: string, at: Thing) => {
    const preventDefault = jest.fn();
    const did = pressByKey({ key, target: at as unknown as EventTarget, preventDefault });
    expect(preventDefault).toHaveBeenCalledTimes(did ? 1 : 0);
    return did;
  };

  test.each([
    ['Enter', 'link', 'DIV', true],
    ['Enter', 'link', 'A', false],
    [' ', 'link', 'DIV', false],
    [' ', 'checkbox', 'DIV', true],
    [' ', 'switch', 'DIV', true],
    [' ', 'button', 'DIV', false],
    ['x', 'checkbox', 'DIV', false],
    ['Enter', null, 'DIV', false],
  ] as const)('%s on a %s (%s): %s', (key, role, tag, does) => {
    const at = thing(role, tag);
    expect(press(key, at)).toBe(does);
    expect(at.click).toHaveBeenCalledTimes(does ? 1 : 0);
  });

  test('arrows go round a group’s choices and choose', () => {
    const group: Thing[] = [];
    for (let i = 0; i < 3; i++) group.push(thing('radio', 'DIV', group));
    expect(press('ArrowRight', group[2]!)).toBe(true);
    expect(group[0]!.click).toHaveBeenCalledTimes(1);
    expect(group[0]!.focus).toHaveBeenCalledTimes(1);
    expect(press('ArrowUp', group[0]!)).toBe(true);
    expect(group[2]!.click).toHaveBeenCalledTimes(1);
    expect(press('Tab', group[0]!)).toBe(false);
  });
});
