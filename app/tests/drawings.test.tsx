/** Drawings from data: the plan, the cuts, the curves, two stacks side by side, and the jobs before wind. */
import type { StormView } from '@fogata/contract/told';
import type { CutPlan } from '@fogata/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { CompareStacks, type Side } from '../src/components/place/CompareStacks';
import { Curves } from '../src/components/ui/Curves';
import { CutDrawing } from '../src/components/plan/CutDrawing';
import { FarmPlan, type BedMark } from '../src/components/plan/FarmPlan';
import { HeatFlows } from '../src/components/place/HeatFlows';
import { Section } from '../src/components/ui/Section';
import { StormRows } from '../src/components/night/StormRows';
import { act as keep, retract } from '../src/data/actions';
import type { TryResult } from '../src/worker/whatIf';
import { bedIn, format, house } from './kit';

jest.mock('../src/data/hooks', () => ({ useFarm: () => ({ data: undefined }) }));
jest.mock('../src/data/actions', () => ({
  act: jest.fn(() => Promise.resolve()),
  retract: jest.fn(() => Promise.resolve()),
}));
jest.mock('expo-router', () => ({ router: { push: jest.fn() } }));
jest.useFakeTimers();

const NOON = Date.parse('2027-01-14T12:00:00Z');
const label = (id: string) =>
  String(screen.getByTestId(id).props['aria-label'] ?? screen.getByTestId(id).props.accessibilityLabel);

describe('the plan of the farm', () => {
  const marks = new Map<string, BedMark>([
    ['b', { state: 'harmed', word: '−1.0°' }],
    ['c', { state: 'free', word: 'free' }],
  ]);
  const plan = (latitude = 42.7) => (
    <FarmPlan
      structures={[house()]}
      beds={[bedIn(), bedIn({ id: 'c', name: 'Bed 2' })]}
      marks={marks}
      width={900}
      height={600}
      site={{ latitude, longitude: 0 }}
      sunAtMs={NOON}
      windFromDeg={300}
      selected={null}
      onSelect={jest.fn()}
      metres={format.metres}
    />
  );

  test('is told in words to those who do not see it', () => {
    render(plan());
    expect(label('farm-plan')).toBe('Plan of the farm: Long house. 1 beds harmed, 1 free.');
  });

  test.each([78, -78, 0, 42])('draws with the sun of %d° too, whether it rises or not', (latitude) => {
    expect(() => render(plan(latitude))).not.toThrow();
  });

  test('a tap on a house picks it, one beside it none', () => {
    const picked = jest.fn();
    render(<FarmPlan {...plan().props} onSelect={picked} />);
    const { onClick } = screen.getByTestId('farm-plan').props as { onClick: (e: object) => void };
    const tap = (offsetX: number, offsetY: number) => onClick({ nativeEvent: { offsetX, offsetY } });
    tap(450, 300);
    expect(picked).toHaveBeenCalledWith('s');
    picked.mockClear();
    tap(3, 3);
    expect(picked).not.toHaveBeenCalled();
  });
});

test('cuts are told sheet by sheet, with how much of the roll is used', () => {
  const plan: CutPlan = {
    cuts: [
      {
        rollId: 'r',
        rollNo: 1,
        fromM: 0,
        lengthM: 20,
        pieces: [
          { needId: 'a', label: 'N1', acrossM: 0, widthM: 1.6, lengthM: 20, turned: false },
          { needId: 'b', label: 'N2', acrossM: 1.6, widthM: 1.6, lengthM: 20, turned: false },
        ],
      },
    ],
    missing: [],
    usedM2: 64,
    sheetsM2: 64,
    wasteM2: 0,
    boundM2: 0,
  };
  render(
    <CutDrawing
      plan={plan}
      rolls={[{ id: 'r', material: 'fleece-30', widthM: 3.2, lengthM: 100, count: 1 }]}
      width={350}
      format={format}
    />,
  );
  expect(screen.getByText(/20 m of 100 m used/)).toBeTruthy();
  expect(screen.getByLabelText('Roll of 3.2 m: N1 beside N2')).toBeTruthy();
});

const hours = Array.from({ length: 24 }, (_, i) => NOON + i * 3_600_000);
const result = (minLeafC: number, more: Partial<TryResult> = {}): TryResult =>
  ({
    timesAtMs: hours,
    outsideC: hours.map(() => -4),
    leafC: hours.map(() => minLeafC),
    canopyC: hours.map((_, i) => i),
    soil5C: hours.map(() => 4),
    minLeafC,
    minIndex: 18,
    maxIndex: 23,
    frozenH: minLeafC < 0 ? 6 : 0,
    thawAtMs: minLeafC < 0 ? NOON + 21 * 3_600_000 : null,
    ...more,
  }) as TryResult;

test('curves tell their lowest and highest, and a layer that is off leaves a gap', () => {
  render(
    <Curves
      timesAtMs={hours}
      format={format}
      width={360}
      label="N2"
      curves={[
        { name: 'leaf', c: hours.map((_, i) => -2 + i / 4), colour: '#000' },
        { name: 'fleece', c: hours.map((_, i) => (i > 12 ? null : 1)), colour: '#111' },
        { name: 'never on', c: hours.map(() => null), colour: '#222' },
      ]}
    />,
  );
  expect(label('curves')).toBe('N2. leaf from −2.0 °C to 3.8 °C; fleece from 1.0 °C to 1.0 °C');
});

describe('two stacks side by side', () => {
  const side = (title: string, minutes: number, r: TryResult): Side => ({
    title,
    glyph: [],
    covers: title,
    minutes,
    result: r,
  });
  const both = (a: Side, b: Side) =>
    render(
      <CompareStacks held={a} now={b} format={format} width={360} onLetGo={jest.fn()} onSwap={jest.fn()} />,
    );
  const said = () => String(screen.getByTestId('compare-sentence').props.children);

  test('the sentence says how much warmer, and for how much work', () => {
    both(side('held', 6, result(-2)), side('now', 15, result(0.5)));
    expect(said()).toBe('2.5° warmer on the right at the coldest, for 9 min more work.');
  });

  test('colder is said as such, and no difference as none', () => {
    both(side('held', 6, result(-1)), side('now', 0, result(-3)));
    expect(said()).toContain('2.0° colder on the right at the coldest, for 6 min less work');
    screen.unmount();
    both(side('held', 6, result(-1)), side('now', 6, result(-1.05)));
    expect(said()).toBe('The leaf ends as warm under both.');
  });

  test('a leaf that never froze has nothing to thaw', () => {
    both(side('held', 6, result(-2)), side('now', 6, result(1)));
    expect(screen.getByText('never frozen')).toBeTruthy();
    expect(screen.getByText('6 h')).toBeTruthy();
  });
});

test('the section tells sun, soil at every depth and each shell', () => {
  render(
    <Section
      width={360}
      layers={[{ name: 'in the house', on: true, opening: 0, airC: -1 }]}
      outsideC={-4}
      skyC={-20}
      leafC={-2}
      skyWord="clear, still"
      sun={{ heightDeg: 12, wm2: 210 }}
      soil0C={1}
      soil5C={2}
      soil10C={3}
      soil30C={5}
      soilGivesWm2={12}
      t={format.tBare}
      unit="C"
      on="ground"
      harmC={-3}
    />,
  );
  expect(label('section')).toMatch(/soil at 5 cm 2.0°, at 10 cm 3.0°, at 30 cm 5.0°.*sun 210 W\/m²/);
});

test('heat flows stand with their sign, and nothing stands where nothing flows', () => {
  render(
    <HeatFlows
      at="06:00"
      lines={[
        { words: 'most radiates to the sky', wattsM2: 61.4, share: 0.8, way: 'out' },
        { words: 'nearly all is given up by soil, water and air', wattsM2: 60, share: 1, way: 'in' },
      ]}
    />,
  );
  expect(screen.getByText('Most radiates to the sky')).toBeTruthy();
  expect(screen.getByText('−61 W')).toBeTruthy();
  expect(screen.getByText('+60 W')).toBeTruthy();
  screen.unmount();
  render(<HeatFlows at="06:00" lines={[]} />);
  expect(screen.queryByTestId('flows')).toBeNull();
});

describe('before wind and snow', () => {
  const job = (more: Partial<StormView> = {}): StormView => ({
    structureId: 's',
    what: 'wind',
    byAtMs: NOON,
    level: 2,
    title: 'Long house: lash and close up',
    steps: ['Shut the windward end', 'check the fixings'],
    load: 'Gusts to about 58 km/h.',
    caution: 'No wind rating is entered for Long house: nobody here can say what it bears.',
    done: false,
    recordId: null,
    ...more,
  });

  test('a job opens into its steps and what is not known', () => {
    render(<StormRows jobs={[job()]} nowAtMs={NOON} format={format} />);
    expect(screen.queryByText(/nobody here can say/)).toBeNull();
    fireEvent.press(screen.getByTestId('storm-wind'));
    expect(screen.getByText('Shut the windward end, check the fixings.')).toBeTruthy();
    expect(screen.getByText(/nobody here can say/)).toBeTruthy();
  });

  test('ticked it is kept as done; ticked again that is taken back', () => {
    const view = render(<StormRows jobs={[job()]} nowAtMs={NOON} format={format} />);
    fireEvent.press(screen.getByTestId('storm-tick'));
    expect(keep).toHaveBeenCalledWith(
      'Long house: lash and close up: done',
      [{ kind: 'secured', atMs: NOON, structureId: 's', what: 'wind' }],
      NOON,
    );
    view.rerender(<StormRows jobs={[job({ done: true, recordId: 'r1' })]} nowAtMs={NOON} format={format} />);
    fireEvent.press(screen.getByTestId('storm-tick'));
    expect(retract).toHaveBeenCalledWith(['r1'], NOON);
  });

  test('a calm forecast shows nothing at all', () => {
    render(<StormRows jobs={[]} nowAtMs={NOON} format={format} />);
    expect(screen.queryByTestId('storm')).toBeNull();
  });
});
