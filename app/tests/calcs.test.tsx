/** Reckonings on the back of an envelope: what each says and how it got there, by hand; in metres and litres, in feet and gallons; and which figure makes no sense. */
import { PLAIN, told } from '@fogata/core/words';
import { fireEvent, render, screen } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { DripCalc } from '../src/components/calc/DripCalc';
import { MixCalc } from '../src/components/calc/MixCalc';
import { CratesCalc, TraysCalc } from '../src/components/calc/NurseryCalcs';
import { HoopsCalc, SheetCalc } from '../src/components/calc/SheetCalc';
import type { Format } from '../src/data/format';
import { bedIn, format, house } from './kit';

let mockFormat: Format = format;
let mockBeds: unknown;
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/data/hooks', () => ({
  useBeds: () => ({ data: mockBeds }),
  useFarm: () => ({ data: undefined }),
}));

const FEET = {
  ...format,
  length: 'ft',
  metres: (m: number) => `${Number((m / 0.3048).toFixed(1))} ft`,
  say: <T,>(said: T) => told(said, { ...PLAIN, units: { temperature: 'F', length: 'ft' } }),
} as unknown as Format;

const show = (calc: ReactElement, as: Format = format) => {
  mockFormat = as;
  return render(calc);
};
const tap = (label: string, times = 1) => {
  for (let i = 0; i < times; i++) fireEvent.press(screen.getByLabelText(label));
};
const said = () => screen.getByTestId('calc-answer').props.children as string;
const working = () => screen.getAllByTestId('calc-working').map((e) => e.props.children as string);
const refused = () => screen.getByTestId('calc-problem').props.children as string;

beforeEach(() => {
  mockBeds = undefined;
});

describe('drip', () => {
  test('5 mm on a bed of 20 × 1 m through two lines are 28 minutes', () => {
    show(<DripCalc bed={bedIn({ lengthM: 20, widthM: 1 })} />);
    // 134 emitters of 1.6 l/h give 214.4 l an hour; 100 l take 27.98 minutes
    expect(said()).toBe('28 minutes');
    expect(working()).toEqual([
      '67 emitters on each line, 134 in all, on 40 m of line.',
      '5 mm on 20 m × 1 m are 100 l.',
      'All together they give 214.4 l an hour.',
      'Never on a freezing day: wet plants and soil freeze hard. A day ahead at the latest.',
    ]);
  });

  test('the same bed on a farm in feet is told in inches and gallons, and lasts as long', () => {
    show(<DripCalc bed={bedIn({ lengthM: 20, widthM: 1 })} />, FEET);
    expect(said()).toBe('28 minutes');
    expect(working().slice(0, 3)).toEqual([
      '67 emitters on each line, 134 in all, on 131.2 ft of line.',
      '0.2 in on 65.6 ft × 3.3 ft are 26.4 gal.',
      'All together they give 56.6 gal an hour.',
    ]);
    expect(working().join()).not.toMatch(/\d (mm|l|m)\b/);
  });

  test('by the pot each emitter feeds one', () => {
    show(<DripCalc bed={bedIn({ lengthM: 20, widthM: 1 })} />);
    tap('so much for each pot');
    expect(working()[1]).toBe('1 l for each of 134 pots are 134 l.');
    expect(said()).toBe('37.5 minutes');
  });

  test('nothing to give is named, and no answer pretends', () => {
    show(<DripCalc bed={bedIn({ lengthM: 20, widthM: 1 })} />);
    tap('Depth of water down 5');
    expect(refused()).toBe('▲ Millimetres: more than 0.');
    expect(screen.queryByTestId('calc-answer')).toBeNull();
    tap('Depth of water up 5');
    expect(said()).toBe('28 minutes');
  });

  test('each zone takes as long as its longest, and as much as all its beds', () => {
    const structure = house();
    mockBeds = {
      structures: [
        {
          structure,
          beds: [{ bed: bedIn({ lengthM: 20, widthM: 1 }) }, { bed: bedIn({ lengthM: 10, widthM: 1 }) }],
        },
        { structure: house({ id: 's2', name: 'Empty' }), beds: [] },
      ],
    };
    show(<DripCalc bed={bedIn({ lengthM: 20, widthM: 1 })} />);
    expect(screen.getByText('Long house: 28 min, 150 l on 2 beds.')).toBeTruthy();
    expect(screen.queryByText(/Empty/)).toBeNull();
  });
});

describe('soil mix', () => {
  test('26 crates of 30 l that settle by 15 % take 918 l, half of it compost', () => {
    show(<MixCalc />);
    expect(said()).toBe('918 l in all');
    expect(working()).toEqual([
      '26 × 30 l, and 15 % for what settles.',
      'compost: 458.8 l.',
      'garden soil: 229.4 l.',
      'sand: 229.4 l.',
    ]);
  });

  test('in gallons it is the same soil', () => {
    show(<MixCalc />, FEET);
    expect(said()).toBe('243 gal in all');
    expect(working()[0]).toBe('26 × 7.9 gal, and 15 % for what settles.');
    expect(working()[1]).toBe('compost: 121.2 gal.');
  });

  test('a part more, and the last taken away', () => {
    show(<MixCalc />);
    fireEvent.press(screen.getByText('One more part'));
    expect(working().at(-1)).toBe('leaf mould: 183.5 l.');
    fireEvent.press(screen.getByText('Take the last away'));
    expect(working()).toHaveLength(4);
  });

  test('no crate, no soil', () => {
    show(<MixCalc />);
    tap('Crates or pots down 10', 3);
    expect(refused()).toBe('▲ Vessels: more than 0.');
  });
});

describe('the nursery', () => {
  test('crates stand the better way round, on every bench', () => {
    show(<CratesCalc bed={null} />);
    const [crates, plants] = /^(\d+) crates, (\d+) plants$/.exec(said())!.slice(1).map(Number) as [
      number,
      number,
    ];
    tap('Benches like it in the house up 1');
    expect(said()).toBe(`${2 * crates} crates, ${2 * plants} plants`);
  });

  test('a hundred plants more take more trays; a shelf too shallow for one is named in the farm’s unit', () => {
    show(<TraysCalc />);
    const trays = () => Number(/^(\d+) trays/.exec(said())![1]);
    const before = trays();
    tap('Plants wanted up 100', 3);
    expect(trays()).toBeGreaterThan(before);
    tap('Depth of the shelf down 0.2', 2);
    expect(refused()).toMatch(
      /^▲ Depth of the shelf: (more than 0|at least [\d.]+ m, the width of a tray)\.$/,
    );
  });

  test('seeds of which none come up are no answer', () => {
    show(<TraysCalc />);
    tap('Of a hundred seeds, so many come up down 20', 5);
    expect(refused()).toBe('▲ Share that comes up: more than 0, up to 1.');
  });
});

describe('sheets and hoops', () => {
  test('a sheet is longer and wider than its bed', () => {
    show(<SheetCalc bed={bedIn({ lengthM: 12, widthM: 1, hoopHeightM: 0.5 })} />);
    expect(said()).toMatch(/\d/);
    const [length] = /([\d.]+) m/.exec(said())!.slice(1).map(Number);
    expect(length).toBeGreaterThan(1);
  });

  test('one hoop more than there are gaps, no further apart than asked', () => {
    show(<HoopsCalc bed={bedIn({ lengthM: 12, widthM: 1, hoopHeightM: 0.5 })} />);
    expect(said()).toMatch(/^\d+ hoops/);
    expect(working().length).toBeGreaterThan(1);
  });
});
