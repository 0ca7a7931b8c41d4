/** Season's screens: rows of one crop together, a date moved, another way to begin, and what each state says. */
import type {
  SeasonCropView,
  SeasonJob,
  SeasonRow,
  SeasonView,
  ShadeRow,
  ShadeView,
} from '@fogata/contract/told';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { SeedsCalc } from '../src/components/calc/SeedsCalc';
import { DateChance } from '../src/components/season/DateChance';
import { SeasonCropScreen } from '../src/screens/SeasonCropScreen';
import { SeasonScreen } from '../src/screens/SeasonScreen';
import { format as mockFormat } from './kit';

let mockSeason: { data?: SeasonView; error?: Error } = {};
let mockShade: ShadeView | undefined;
let mockCrop: { data?: SeasonCropView; error?: Error } = {};
const mockAsked: [string | null, string | null][] = [];
const mockAgain = jest.fn();
const mockRecord = jest.fn((_records: object[]) => Promise.resolve(true));
jest.mock('../src/data/hooks', () => ({
  useSeason: () => mockSeason,
  useSeasonCrop: (crop: string | null, how: string | null) => {
    mockAsked.push([crop, how]);
    return crop === null ? {} : mockCrop;
  },
  useCrops: () => ({
    data: [
      { id: 'leek', name: 'leeks', family: 'Amaryllidaceae' },
      { id: 'kale', name: 'kale', family: 'Brassicaceae' },
    ],
  }),
  useFarm: () => ({
    data: { farm: { name: 'Farm' }, clock: { nowAtMs: Date.parse('2027-08-25T08:00:00Z') } },
  }),
  seasonAgain: () => mockAgain(),
  record: (records: object[]) => mockRecord(records),
  useNeed: () => ({}),
  useCounters: () => ({}),
  useShade: () => ({ data: mockShade }),
}));
jest.mock('../src/data/format', () => ({ useFormat: () => mockFormat }));
jest.mock('../src/components/ui/Frame', () => ({ useWide: () => false }));
jest.mock('expo-router', () => ({
  router: { push: jest.fn(), replace: jest.fn(), canGoBack: () => false },
  Link: ({ children }: { children: unknown }) => children,
}));

const climate = {
  from: 'monthly',
  town: null,
  years: 0,
  lastSpring: '05-06',
  firstAutumn: '10-11',
  missed: [],
} as SeasonView['climate'];
const row = (more: Partial<SeasonRow>): SeasonRow => ({
  crop: 'spinach',
  name: 'spinach',
  planted: false,
  structureId: 'n',
  place: 'North house',
  cover: null,
  inDays: 0,
  opens: '07-15',
  latest: '09-20',
  leftDays: 26,
  success: 0.98,
  after: 0.5,
  afterIs: 'notReady',
  readyDays: 50,
  ...more,
});
const season = (more: Partial<SeasonView> = {}): SeasonView => ({
  today: '2027-08-25',
  jobs: [],
  climate,
  rows: [],
  next: null,
  progress: { state: 'ready', done: 4, of: 4 },
  places: 2,
  ...more,
});

test('a crop stands once, by its first place to shut, with the others after it; soon apart from now', () => {
  mockSeason = {
    data: season({
      rows: [
        row({}),
        row({ place: 'Frames', structureId: 'f', latest: '10-30', leftDays: 66 }),
        row({ crop: 'kale', name: 'kale', planted: true, inDays: 9, opens: '09-03' }),
      ],
    }),
  };
  render(<SeasonScreen />);
  expect(screen.getAllByTestId('season-row')).toHaveLength(2);
  expect(screen.getByText('Sow spinach, North house')).toBeTruthy();
  expect(
    screen.getByText(
      /98 of 100 years\. Two weeks after 20 Sep it does not get there in 50 of 100 years\. Also Frames until 30 Oct\./,
    ),
  ).toBeTruthy();
  expect(screen.getByText('Plant kale, North house')).toBeTruthy();
  expect(screen.getByText('from 3 Sep')).toBeTruthy();
});

test('shade cloth: when it goes on and why, how long it stays, and that it may come off where nothing wants it', () => {
  const cloth = (more: Partial<ShadeRow>): ShadeRow => ({
    structureId: 'n',
    name: 'North house',
    what: 'on',
    from: '2028-06-12',
    to: '2028-08-06',
    isOn: false,
    why: { crop: 'lettuce heads', limitC: 32, openC: 34.4, clothC: 31 },
    ...more,
  });
  mockSeason = { data: season() };
  mockShade = {
    today: '2027-08-25',
    progress: { state: 'ready', done: 2, of: 2 },
    rows: [
      cloth({}),
      cloth({ structureId: 's', name: 'South house', from: '2027-08-23', to: '2027-09-05', isOn: true }),
      cloth({
        structureId: 'x',
        name: 'Shed house',
        what: 'off',
        from: null,
        to: '2028-06-12',
        isOn: true,
        why: null,
      }),
    ],
  };
  render(<SeasonScreen />);
  expect(screen.getByText('North house: cloth on, 12 Jun to 6 Aug')).toBeTruthy();
  expect(
    screen.getAllByText(
      /one in ten, leaves of lettuce heads come to 34.4.°C .* 31.0.°C under cloth; above 32.0.°C/,
    ),
  ).toHaveLength(2);
  expect(screen.getByText('South house: cloth stays on, until 5 Sep')).toBeTruthy();
  expect(
    screen.getByText(/Nothing that stands there wants it before 12 Jun, and it takes light/),
  ).toBeTruthy();
  mockShade = undefined;
});

const job = (more: Partial<SeasonJob> = {}): SeasonJob => ({
  plantingId: 'p1',
  step: 'sow',
  date: '2027-08-27',
  mayMove: true,
  crop: 'spinach',
  name: 'spinach',
  cultivar: '',
  bedId: 'n2',
  bed: 'N2',
  place: 'North house',
  rows: 2,
  metres: 30,
  planted: false,
  chance: { then: 0.95, today: 0.95, todayIs: 'notReady' },
  ...more,
});

test('a job is done by one tap and moved by another; what is waited for is neither ticked nor moved', async () => {
  mockSeason = { data: season({ jobs: [job(), job({ step: 'pick', chance: null, mayMove: false })] }) };
  render(<SeasonScreen />);
  expect(screen.getByTestId('sentence')).toHaveTextContent('This week: sow spinach in N2, Friday.');
  expect(screen.getAllByTestId('season-tick')).toHaveLength(1);
  await act(async () => fireEvent.press(screen.getByTestId('season-tick')));
  const step = { kind: 'step', plantingId: 'p1', step: 'sow' };
  expect(mockRecord.mock.lastCall![0]).toMatchObject([{ ...step, on: '2027-08-25', done: true }]);
  fireEvent.press(screen.getAllByTestId('season-job')[0]!);
  await act(async () => fireEvent.press(screen.getByText('+1 week')));
  expect(mockRecord.mock.lastCall![0]).toMatchObject([{ ...step, on: '2027-09-03', done: false }]);
});

test('any crop is found by its name or family; what is not in the list is said', () => {
  mockSeason = { data: season() };
  render(<SeasonScreen />);
  fireEvent.changeText(screen.getByTestId('season-find'), 'brassi');
  expect(screen.getAllByTestId('season-found')).toHaveLength(1);
  expect(screen.getByText('Kale')).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('season-find'), 'moon');
  expect(screen.getByText('No crop of that name is in the list.')).toBeTruthy();
});

test('while it works it says how far; what failed can be tried again; without a server that is said', () => {
  mockSeason = { data: season({ progress: { state: 'computing', done: 3, of: 9 } }) };
  const { rerender } = render(<SeasonScreen />);
  expect(screen.getByText(/hundred years: 3 of 9/)).toBeTruthy();
  mockSeason = {
    data: season({ progress: { state: 'failed', done: 3, of: 9, message: 'It could not be.' } }),
  };
  rerender(<SeasonScreen />);
  expect(screen.getByText(/It could not be\./)).toBeTruthy();
  fireEvent.press(screen.getByText(/again/i));
  expect(mockAgain).toHaveBeenCalled();
  mockSeason = { error: new Error('The server does not answer.') };
  rerender(<SeasonScreen />);
  expect(screen.getByText(/does not answer/)).toBeTruthy();
});

const dates = Array.from({ length: 73 }, (_, i) => {
  const d = new Date(Date.UTC(2001, 0, 1 + i * 5)).toISOString().slice(5, 10);
  const autumn = d >= '07-15' && d <= '09-20';
  return {
    date: d,
    readyDays: autumn ? 50 : null,
    lostToCold: autumn ? 0 : 0.7,
    notReady: 0,
    notClear: 0,
    bolted: autumn ? 0.02 : 0.3,
    cooked: 0,
    mildew: 0,
    success: autumn ? 0.98 : 0,
  };
});
const crop = (more: Partial<SeasonCropView> = {}): SeasonCropView => ({
  crop: 'spinach',
  name: 'spinach',
  how: 'sow',
  mayTransplant: true,
  planted: false,
  today: '2027-08-25',
  latitude: 47,
  climate,
  tooLow: ['Low tunnels'],
  places: [
    {
      id: 'n',
      structureId: 'n',
      name: 'North house',
      cover: null,
      dates,
      windows: [
        {
          school: 'risk',
          season: 'autumn',
          earliest: '07-15',
          best: '08-15',
          latest: '09-20',
          reasons: [{ edge: 'latest', why: 'sown on 09-25 it is not ready in 30 of 100 years' }],
        },
        {
          school: 'risk',
          season: 'spring',
          earliest: null,
          best: null,
          latest: null,
          reasons: [{ edge: 'best', why: 'no date comes off in any year' }],
        },
      ],
    },
  ],
  progress: { state: 'ready', done: 1, of: 1 },
  damageC: [-5, -9],
  deathC: [-8, -14],
  chillingC: null,
  ...more,
});

test('a date moved takes the chance and the first picking with it, and today brings it back', () => {
  mockCrop = { data: crop() };
  render(<SeasonCropScreen crop="spinach" />);
  expect(
    screen.getByText(/Sown on 25 August: first picking about 14 Oct\. It comes off in 98 of 100 years\./),
  ).toBeTruthy();
  for (let i = 0; i < 2; i++) fireEvent.press(screen.getByText('+4 weeks'));
  expect(
    screen.getByText(
      /Sown on 20 October: in most years it never comes to a picking\. It comes off in 0 of 100 years; it is lost to cold in 70 of 100 years, runs to flower in 30 of 100 years\./,
    ),
  ).toBeTruthy();
  fireEvent.press(screen.getByText('Today'));
  expect(screen.getByText('25 August, today')).toBeTruthy();
  expect(screen.getByText(/Too low for it .* Low tunnels\./)).toBeTruthy();
  expect(
    screen.getByText(/Leaves burn from −5\.0 °C .* −9\.0 °C hardened; .* −8\.0 °C and −14\.0 °C\./),
  ).toBeTruthy();
  fireEvent.press(screen.getByText('planted from trays'));
  expect(mockAsked.at(-1)).toEqual(['spinach', 'transplant']);
});

test('the schools say why, and a window that there is not says that', () => {
  mockCrop = { data: crop() };
  render(<SeasonCropScreen crop="spinach" />);
  fireEvent.press(screen.getByText(/The three schools, and why/));
  expect(screen.getByText(/Autumn: 15 Jul to 20 Sep, best 15 Aug\. Latest: sown on 09-25/)).toBeTruthy();
  expect(screen.getByText(/Spring: none\. No date comes off in any year\./)).toBeTruthy();
});

test('under a planting’s date stands what becomes of it there, and nothing where no crop is chosen', () => {
  mockCrop = { data: crop() };
  const { rerender } = render(<DateChance crop="spinach" structureId="n" date="2027-08-25" />);
  expect(screen.getByText(/Sown on 25 August/)).toBeTruthy();
  expect(screen.getByText(/begun from 15 Jul to 20 Sep\. By the model, under North house\./)).toBeTruthy();
  // as it would be used: with the sheet of cold nights, where one fits
  const [alone] = crop().places;
  mockCrop = { data: crop({ places: [alone!, { ...alone!, id: 'n+f', cover: 'Fleece 30' }] }) };
  rerender(<DateChance crop="spinach" structureId="n" date="2027-08-25" />);
  expect(screen.getByText(/under North house, Fleece 30 on cold nights\./)).toBeTruthy();
  rerender(<DateChance crop="" structureId="n" date="2027-08-25" />);
  expect(screen.queryByText(/Sown on/)).toBeNull();
  mockCrop = { data: crop({ places: [], progress: { state: 'computing', done: 0, of: 2 } }) };
  rerender(<DateChance crop="spinach" structureId="n" date="2027-08-25" />);
  expect(screen.getByText(/Going through a hundred plausible years/)).toBeTruthy();
});

test('seed for a stand: more of it from an older lot, tested it is as tested', () => {
  render(<SeedsCalc />);
  const grams = () =>
    Number(/([\d.]+) g in all/.exec(String(screen.getByTestId('calc-answer').props.children))![1]);
  const before = grams();
  expect(before).toBeGreaterThan(0);
  fireEvent.press(screen.getByLabelText(/The seed.s age up 1/));
  expect(grams()).toBeGreaterThan(before);
  expect(screen.getByText(/germinate fresh, .* after 2 years: half are gone in 3\./)).toBeTruthy();
});
