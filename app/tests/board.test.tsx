/** The board's plain parts: rows as lanes, moves that keep to what may be moved, and words that name who, when and what else. */
import type { RelayView } from '@fogata/contract/told';
import type { Planting } from '@fogata/core';
import { checkRelay, dayOf, isoOf, posts, RULES, supply, UNPLACED, type Quarrel } from '@fogata/core/relay';
import { render, screen } from '@testing-library/react-native';
import { freeAfter, lanesOf, movedBy, placedOf, yearOf, yetToKnow } from '../src/components/relay/board';
import { boardSentence, gapsOf, lackingSentence, quarrelWords } from '@fogata/words/en/screens/boardWords';
import { drawnHeight } from '../src/components/relay/StripDrawing';
import { QuarrelList } from '../src/components/relay/QuarrelList';

jest.mock('../src/data/hooks', () => ({ useFarm: () => ({ data: undefined }) }));
jest.mock('expo-router', () => ({ router: {} }));

const units = { metres: (m: number) => `${m.toFixed(1)} m`, kilos: (kg: number) => `${kg.toFixed(0)} kg` };
const outlook = (crop: string, how: 'sow' | 'transplant', ready: number) => ({
  structureId: 'h',
  crop,
  how,
  mean: { growthDd: new Array<number>(73).fill(10), riseDd: new Array<number>(73).fill(10) },
  rows: Array.from({ length: 73 }, (_, n) => ({
    day: n * 5,
    ready: { early: ready - 6, middle: ready, late: ready + 6 },
    lostToCold: 0.05,
    notReady: 0,
    notClear: 0,
    bolted: 0,
    cooked: 0,
    success: 0.95,
    overDays: ready + 20,
    upDays: 8,
    mildew: 0,
  })),
});
const planting = (
  id: string,
  crop: string,
  rows: [number, number],
  days: [string, string | null],
  more = {},
): Planting => ({
  id,
  bedId: 'b',
  crop,
  cultivar: '',
  fromRow: rows[0],
  toRow: rows[1],
  lengthM: 10,
  plantedOn: days[0],
  clearedOn: days[1],
  aim: 'grow',
  note: '',
  planned: true,
  ...more,
});
const view: RelayView = {
  today: '2027-01-14',
  latitude: 45,
  beds: [
    {
      id: 'b',
      name: 'N2',
      structureId: 'h',
      place: 'House',
      rows: 5,
      lengthM: 10,
      widthM: 1.2,
      headroomM: 2.5,
      ...UNPLACED,
      turnDeg: 90,
    },
  ],
  plantings: [
    planting('t', 'turnip', [1, 2], ['2027-03-24', '2027-05-14'], { how: 'sow' }),
    planting('c', 'cucumber', [1, 2], ['2027-05-14', null], { how: 'transplant' }),
    planting('s', 'spinach', [4, 4], ['2026-10-01', '2027-03-01'], { how: 'sow', planned: false }),
  ],
  frost: [],
  outlooks: [
    outlook('turnip', 'sow', 50),
    outlook('cucumber', 'transplant', 60),
    outlook('spinach', 'sow', 60),
  ],
  demand: [{ crop: null, from: '2027-01-01', to: '2027-12-31', kgPerWeek: 10 }],
  nursery: { trayCells: 84, trays: null, shelfTrays: null, outTrays: null },
  cells: null,
  risk: 0.2,
  accepted: [],
  progress: { state: 'ready', done: 3, of: 3 },
};
const none = new Map<string, Planting>();
const TODAY = dayOf(view.today);

test('what did not move is the same strip, what moved is another', () => {
  const a = yearOf(view, none);
  const moved = new Map([['c', { ...view.plantings[1]!, plantedOn: '2027-05-20' }]]);
  const b = yearOf(view, moved);
  expect(b.strips[0]).toBe(a.strips[0]);
  expect(b.strips[1]).not.toBe(a.strips[1]);
  expect(isoOf(b.strips[1]!.startDay)).toBe('2027-05-20');
});

test('plantings of the same rows follow each other on one line, and rows that nothing goes through are a line', () => {
  const { strips } = yearOf(view, none);
  const lanes = lanesOf(view.beds[0]!, strips, TODAY - 100, TODAY + 250);
  expect(lanes.map((l) => `${l.fromRow}-${l.toRow}:${l.strips.map((s) => s.planting.id).join('')}`)).toEqual([
    '1-2:tc',
    '3-3:',
    '4-4:s',
    '5-5:',
  ]);
  const { placed, height } = placedOf(view.beds, strips, [TODAY, TODAY + 250], 100, 50);
  expect(placed[0]!.lanes.map((l) => l.ground)).toEqual([146, 196, 246, 296]);
  expect(height).toBe(310);
  expect(freeAfter('b', lanes[1]!, strips, TODAY)).toBe(TODAY);
  expect(isoOf(freeAfter('b', lanes[2]!, strips, TODAY))).toBe('2027-03-01');
});

test('a plan moves with its clearing and never into the past; of what stands only the clearing moves', () => {
  const [turnip, , spinach] = view.plantings as [Planting, Planting, Planting];
  expect(movedBy(turnip, 7, 'all', view.today, '2027-05-14')).toMatchObject({
    plantedOn: '2027-03-31',
    clearedOn: '2027-05-21',
  });
  const early = movedBy(turnip, -200, 'all', view.today, '2027-05-14');
  expect(early).toMatchObject({ plantedOn: '2027-01-15', clearedOn: '2027-03-07' });
  expect(movedBy(spinach, 7, 'all', view.today, '2027-03-01')).toMatchObject({
    plantedOn: '2026-10-01',
    clearedOn: '2027-03-08',
  });
  expect(movedBy(spinach, -300, 'end', view.today, '2027-03-01').clearedOn).toBe('2027-01-15');
});

test('the board opens with the hand-over that is least sure, and what is short', () => {
  const year = yearOf(view, none);
  const check = checkRelay(year);
  const weeks = supply(year, TODAY, 40);
  const said = boardSentence(year, posts(year.strips, TODAY), check.quarrels, weeks, units)
    .map((s) => s.text)
    .join('');
  expect(said).toMatch(/^N2 is clear for cucumbers on 14 May in \d of 10 years, because of salad turnips\./);
  expect(said).toContain('Short from');
  const empty = { ...year, strips: [] };
  expect(boardSentence(empty, [], [], [], units)[0]!.text).toMatch(/^Nothing is planned/);
});

test('while years are gone through nothing is said of the whole: no shortage of what is not known yet', () => {
  const lacking = (known: number, state: RelayView['progress']['state']) => {
    const some = {
      ...view,
      // as it comes from the server, planting by planting anew
      plantings: view.plantings.map((p) => ({ ...p })),
      outlooks: view.outlooks.slice(0, known),
      progress: { state, done: known, of: 3 },
    };
    return yetToKnow(some, yearOf(some, none));
  };
  expect(lacking(0, 'computing')).toEqual({ known: 0, all: 3 });
  expect(lacking(1, 'failed')).toEqual({ known: 1, all: 3 });
  expect(lacking(3, 'computing')).toBeNull();
  // of a crop that no year is known of, no more will be
  expect(lacking(1, 'ready')).toBeNull();
  const said = (known: number, all: number) => lackingSentence({ known, all })[0]!.text;
  expect(said(0, 3)).toMatch(/^0 of 3 plantings have their years so far\. What is short/);
  expect(said(1, 3)).toMatch(/^1 of 3 plantings has its years/);
  expect(said(0, 1)).toMatch(/^0 of one planting have/);
});

test('gaps are spans of weeks that are short, by what is short in them', () => {
  const week = (n: number, shortKg: number) => ({
    fromDay: TODAY + 7 * n,
    kg: 0,
    lowKg: 0,
    highKg: 0,
    demandKg: 10,
    shortKg,
    crops: [],
    minutes: 0,
    cells: 0,
  });
  expect(gapsOf([week(0, 4), week(1, 6), week(2, 0.5), week(3, 8)], TODAY)).toEqual([
    { from: TODAY, to: TODAY + 14, kg: 5 },
    { from: TODAY + 21, to: TODAY + 28, kg: 8 },
  ]);
});

test('every rule has its words: who, when, and what would end it', () => {
  const year = yearOf(view, none);
  const values = {
    rows: 1,
    days: 30,
    allowed: 21,
    chance: 0.34,
    clearBy: dayOf('2027-05-14'),
    untaken: 0.4,
    readyDay: TODAY,
    feedGM2: 3,
    light: 0.5,
    shortGM2: 4,
    hours: 5,
    cutM: 0.6,
    apartM: 0.3,
    roomM: 0.8,
    heightM: 2,
    headroomM: 0.5,
    against: 'too-early',
    fromDay: TODAY,
    awayM: 0.9,
    reachM: 0.75,
    wall: 0,
    places: 3,
    minutes: 12,
    hotDays: 9,
    wantedDays: 28,
    distanceM: 4,
    by: 'insects',
    species: 'turnip kin',
    bench: 0,
    success: 0.4,
    most: 'lostToCold',
    share: 0.5,
    family: 'Brassicaceae',
    nth: 4,
    yearsSince: 1,
    yearsAway: 4,
    disease: 'clubroot',
    crop: 'turnip',
    kg: 30,
    askedKg: 6,
    wanted: 300,
    cells: 120,
  };
  for (const rule of RULES) {
    const q: Quarrel = {
      id: rule,
      rule,
      bedId: 'b',
      plantings: ['t', 'c'],
      fromDay: TODAY,
      toDay: TODAY + 40,
      values,
    };
    const { what, instead } = quarrelWords(q, year, units);
    expect(`${what} ${instead}`).not.toMatch(/undefined|NaN|null/);
    expect(what.endsWith('.') && instead.endsWith('.')).toBe(true);
  }
});

test('what was accepted is silent until all is shown', () => {
  const year = yearOf(view, none);
  const [q] = checkRelay(year).quarrels;
  render(
    <QuarrelList
      quarrels={[q!]}
      accepted={[q!.id]}
      year={year}
      units={units}
      onShow={() => undefined}
      onAccept={() => undefined}
    />,
  );
  expect(screen.queryByTestId(`quarrel-${q!.rule}`)).toBeNull();
  expect(screen.getByText('1 more')).toBeTruthy();
});

test('a tall crop is drawn higher than a low one, and the lowest is still seen', () => {
  expect(drawnHeight(2, 30)).toBe(30);
  expect(drawnHeight(0.06, 30)).toBeGreaterThan(9);
  expect(drawnHeight(0.3, 30)).toBeGreaterThan(drawnHeight(0.1, 30));
});
