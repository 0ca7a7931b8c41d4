import type { NightReport, RoundItem } from '@fogata/contract/told';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { Choice, Tick, Toggle } from '../src/components/ui/Button';
import { MarginBar } from '../src/components/night/MarginBar';
import { NightChart } from '../src/components/night/NightChart';
import { Round } from '../src/components/night/Round';
import { Sentence } from '../src/components/ui/Sentence';
import { Stepper } from '../src/components/ui/Stepper';
import type { Format } from '../src/data/format';
import { DAY, NIGHT } from '../src/theme/tokens';
import { themeFor } from '../src/theme/theme';

jest.mock('../src/data/hooks', () => ({
  useFarm: () => ({ data: undefined }),
  record: jest.fn(() => Promise.resolve(true)),
}));
jest.mock('expo-router', () => ({ router: { push: jest.fn() } }));
jest.useFakeTimers();

const format = {
  unit: 'C',
  t: (c: number) => `${c.toFixed(1)} °C`,
  range: (a: number, b: number) => `${a} to ${b} °C`,
  inUnit: (c: number) => c,
  fromUnit: (v: number) => v,
} as unknown as Format;

function Counter({ start = 0, min = -10, max = 10 }: { start?: number | null; min?: number; max?: number }) {
  const [value, setValue] = useState<number | null>(start);
  return (
    <Stepper
      label="Lowest"
      value={value}
      onChange={setValue}
      step={0.1}
      bigStep={1}
      digits={1}
      unit="°C"
      min={min}
      max={max}
      signed
      start={-6}
    />
  );
}

describe('the stepper', () => {
  const shown = () =>
    screen.getByLabelText(/Type it/).props.accessibilityLabel ??
    screen.getByLabelText(/Type it/).props['aria-label'];

  test('moves by tenths and whole degrees without drifting', () => {
    render(<Counter />);
    for (let i = 0; i < 3; i++) fireEvent.press(screen.getByLabelText('Lowest down 0.1'));
    fireEvent.press(screen.getByLabelText('Lowest down 1'));
    expect(shown()).toContain('−1.3 °C');
  });

  test('starts from what was predicted when there is no value, and stops at its ends', () => {
    render(<Counter start={null} />);
    expect(shown()).toContain('–');
    fireEvent.press(screen.getByLabelText('Lowest up 0.1'));
    expect(shown()).toContain('−5.9 °C');
    for (let i = 0; i < 30; i++) fireEvent.press(screen.getByLabelText('Lowest down 1'));
    expect(shown()).toContain('−10.0 °C');
  });

  test('takes a typed number, and says the range where it is out of it', () => {
    render(<Counter />);
    fireEvent.press(screen.getByLabelText(/Type it/));
    for (const k of ['1', '2']) fireEvent.press(screen.getByLabelText(k));
    expect(screen.getByText('−10 to 10')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Delete'));
    for (const k of ['.', '5', 'Change the sign', 'Set']) fireEvent.press(screen.getByLabelText(k));
    expect(shown()).toContain('−1.5 °C');
  });
});

test('switches, ticks and choices say their state, and give back the other one', () => {
  const seen: unknown[] = [];
  render(
    <>
      <Toggle on label="Fleece" onChange={(on) => seen.push(on)} />
      <Tick done={false} label="Close" onPress={() => seen.push('tick')} />
      <Choice
        label="Aim"
        value="a"
        options={[
          { value: 'a', label: 'survive' },
          { value: 'b', label: 'grow' },
        ]}
        onChange={(v) => seen.push(v)}
      />
    </>,
  );
  fireEvent.press(screen.getByLabelText('Fleece'));
  fireEvent.press(screen.getByLabelText('Close'));
  fireEvent.press(screen.getByLabelText('grow'));
  expect(seen).toEqual([false, 'tick', 'b']);
});

test('the sentence is one heading, whatever its colours', () => {
  render(
    <Sentence
      parts={[
        { text: '−7 °C by 07:10', tone: 'frost' },
        { text: ', clear.', tone: 'plain' },
      ]}
    />,
  );
  expect(screen.getByTestId('sentence')).toHaveTextContent('−7 °C by 07:10, clear.');
});

test('the margin bar tells its words', () => {
  render(
    <MarginBar
      width={200}
      harmC={-3}
      deathC={-7}
      leafC={{ low: -3, mid: -1, high: 0 }}
      words="lettuce: leaf −1.0 °C"
    />,
  );
  expect(screen.getByLabelText('lettuce: leaf −1.0 °C')).toBeTruthy();
});

describe('the round', () => {
  const items: RoundItem[] = [
    {
      spot: 'outside',
      name: 'Outside',
      predictedC: { low: -9, mid: -7, high: -5 },
      thermometer: { minC: -7.4, maxC: 5 },
      reading: { minC: -7.4, maxC: 5, recordId: 'r' },
    },
    {
      spot: 'north',
      name: 'North house',
      predictedC: null,
      thermometer: { minC: -5.2, maxC: 11 },
      reading: null,
    },
  ];

  test('goes to the first thermometer that has not been read, and names the way', () => {
    render(<Round items={items} night="2027-01-14" nowAtMs={1} format={format} />);
    expect(screen.getByText('North house, lowest')).toBeTruthy();
    expect(screen.getByText(/1 of 2 read/)).toBeTruthy();
    fireEvent.press(screen.getByText('Take the thermometer’s'));
    expect(screen.getByLabelText(/North house lowest: −5.2/)).toBeTruthy();
  });
});

test('the night’s chart tells what was said and measured to those who hear it', () => {
  const report: NightReport = {
    night: '2027-01-14',
    sentence: [],
    learnt: [],
    spots: [
      {
        spot: 'outside',
        name: 'Outside',
        predictedC: { low: -9, mid: -7, high: -5 },
        measuredMinC: -7.4,
        measuredMaxC: 5,
        hindsightC: -7,
        words: '',
      },
    ],
  };
  render(<NightChart report={report} format={format} width={350} />);
  expect(screen.getByLabelText('Outside: said -7.0 °C, measured -7.4 °C')).toBeTruthy();
});

test('the theme follows the sun by the farm’s clock, or the hand', () => {
  expect(themeFor('clock', 5, 10, 20)).toBe(DAY);
  expect(themeFor('clock', 15, 10, 20)).toBe(NIGHT);
  expect(themeFor('clock', 25, 10, 20)).toBe(DAY);
  expect(themeFor('night', 5, 10, 20)).toBe(NIGHT);
  expect(themeFor('clock', 5, null, null)).toBe(DAY);
});

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function contrast(a: string, b: string): number {
  const lum = (hex: string) => {
    const [r, g, bl] = [1, 3, 5]
      .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
      .map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * bl!;
  };
  const [hi, lo] = [lum(a), lum(b)].sort((x, y) => y - x);
  return (hi! + 0.05) / (lo! + 0.05);
}

test.each([DAY, NIGHT])(
  'every text colour of the $name theme has a contrast of 7 to 1 on its ground',
  (p) => {
    for (const colour of [p.ink, p.quiet, p.ember, p.frost, p.ochre, p.pine])
      expect(contrast(colour, p.ground)).toBeGreaterThanOrEqual(7);
  },
);
