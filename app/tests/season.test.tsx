/** Season's words and its strip: what is said of a window, and twelve months as they are typed. */
import { jobTitle } from '@fogata/contract';
import type { SeasonJob, SeasonPlaceView, SeasonRow, SeasonView, StoryView } from '@fogata/contract/told';
import { render, screen } from '@testing-library/react-native';
import { readMonths } from '../src/components/plan/Months';
import {
  climateWords,
  dateSentence,
  dayOf,
  daysOn,
  rowAt,
  seasonSentence,
} from '@fogata/words/en/screens/seasonWords';
import { jobDetail, jobGroups, jobSentence } from '@fogata/words/en/screens/jobWords';
import { format as mockFormat } from './kit';
import { Margins } from '../src/components/season/Margins';
import { boltWords, stepWords, storySentence } from '@fogata/words/en/screens/storyWords';
import { YearStrip } from '../src/components/season/YearStrip';

const row = (more: Partial<SeasonRow> = {}): SeasonRow => ({
  crop: 'spinach',
  name: 'spinach',
  planted: false,
  structureId: 'n',
  place: 'North house',
  cover: null,
  inDays: 0,
  opens: '08-09',
  latest: '09-28',
  leftDays: 12,
  success: 0.98,
  after: 0.4,
  afterIs: 'notReady',
  readyDays: 60,
  ...more,
});
const view = (more: Partial<SeasonView> = {}): SeasonView => ({
  today: '2027-09-16',
  jobs: [],
  climate: { from: 'monthly', years: 0, lastSpring: '05-06', firstAutumn: '10-11', missed: [], town: null },
  rows: [],
  next: null,
  progress: { state: 'ready', done: 1, of: 1 },
  places: 2,
  ...more,
});
const said = (v: SeasonView) =>
  seasonSentence(v)
    .map((p) => p.text)
    .join('');

test('opens with what shuts soon and what a fortnight later costs', () => {
  expect(said(view({ rows: [row()] }))).toBe(
    'Sow spinach in North house before 29 September. Two weeks later it does not get there in 60 of 100 years.',
  );
  // where a fortnight costs next to nothing, no loss is made of it
  expect(said(view({ rows: [row({ after: 0.97 })] }))).toMatch(
    /before 29 September\. Two weeks later it costs little\.$/,
  );
  expect(said(view({ rows: [row({ planted: true, leftDays: 200 })] }))).toMatch(/^Nothing presses/);
  expect(said(view({ rows: [row({ inDays: 6, opens: '09-22' })] }))).toMatch(/From 22 September sow spinach/);
});

test('with nothing to begin it says what is next; with nothing set up, what to do; while it works, that', () => {
  const next = { crop: 'kale', name: 'kale', planted: true, place: 'Frames', date: '03-27', inDays: 40 };
  expect(said(view({ next }))).toMatch(/Next is kale in Frames, from 27 March/);
  expect(said(view({ places: 0 }))).toMatch(/^Set up a structure with a bed/);
  expect(said(view({ progress: { state: 'computing', done: 0, of: 9 } }))).toMatch(/plausible years/);
  expect(said(view())).toMatch(/nothing comes off here/);
});

test('says what it is reckoned from, and when the months do not go with the frost dates', () => {
  const climate = view().climate;
  const format = { far: (km: number) => `${km} km`, diff: (k: number) => `+${k}°` };
  expect(climateWords(climate, format)).toMatch(/twelve months typed .* 6 May and 11 Oct\.$/);
  expect(climateWords({ ...climate, from: 'table' }, format)).toMatch(
    /coarse table by latitude .* Kit, The site/,
  );
  expect(climateWords({ ...climate, from: 'table', town: { name: 'Burgos', km: 40 } }, format)).toMatch(
    /coarse table’s months of Burgos, 40 km away, good to some 2° there/,
  );
  expect(climateWords({ ...climate, missed: ['lastSpring'] }, format)).toMatch(/check them/);
});

test('the strip says in words what it draws, also over the turn of the year', () => {
  const place: SeasonPlaceView = {
    id: 'n',
    structureId: 'n',
    name: 'North house',
    cover: null,
    windows: [
      { school: 'risk', season: 'autumn', earliest: '11-20', best: '12-01', latest: '01-10', reasons: [] },
      { school: 'light', season: 'autumn', earliest: null, best: null, latest: null, reasons: [] },
    ],
    dates: ['01-01', '04-01', '08-01', '12-01'].map((date) => ({
      date,
      readyDays: 60,
      lostToCold: 0,
      notReady: 0.1,
      notClear: 0,
      bolted: 0,
      cooked: 0,
      mildew: 0,
      success: 0.9,
    })),
  };
  render(<YearStrip place={place} width={354} today="01-14" at="12-01" latitude={47} />);
  expect(
    screen.getByLabelText(
      /North house: it comes off in nine years of ten from 20 November to 10 January\. Begun on 1 December: 90 of 100 years\./,
    ),
  ).toBeTruthy();
  expect(dayOf('12-31')).toBe(364);
  expect(daysOn('12-30', 5)).toBe('01-04');
  expect(daysOn('01-02', -7)).toBe('12-26');
});

test('a date is said with its first picking, its chance, and what goes wrong most first', () => {
  const date = (md: string, more: object) => ({
    date: md,
    readyDays: 60 as number | null,
    lostToCold: 0,
    notReady: 0,
    notClear: 0,
    bolted: 0,
    cooked: 0,
    mildew: 0,
    success: 1,
    ...more,
  });
  const dates = [
    date('01-01', { success: 0.9 }),
    date('11-27', { readyDays: null, success: 0.3, lostToCold: 0.5, bolted: 0.18, cooked: 0.02 }),
  ];
  expect(rowAt(dates, '12-30').date).toBe('11-27');
  expect(rowAt(dates, '01-01').date).toBe('01-01');
  expect(dateSentence(dates[1]!, '12-01', 'sown')).toBe(
    'Sown on 1 December: in most years it never comes to a picking. It comes off in 30 of 100 years; it is lost to cold in 50 of 100 years, runs to flower in 18 of 100 years.',
  );
  expect(dateSentence(dates[0]!, '01-02', 'planted')).toMatch(
    /^Planted on 2 January: first picking about 3 Mar\. It comes off in 90 of 100 years\.$/,
  );
  expect(dateSentence(date('10-20', { mildew: 0.124 }), '10-20', 'sown')).toMatch(
    /100 of 100 years\. Damp weeks shut in leave mildew on some 12 in 100 of its leaves by then: air it/,
  );
});

test('twelve months as a page has them: spaces, commas, decimal commas, true minus signs', () => {
  expect(readMonths('-3 -3 0 4 8 11 13 13 9 6 1 −2')).toEqual([-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2]);
  expect(readMonths('1,2,3,4,5,6,7,8,9,10,11,12')).toHaveLength(12);
  expect(readMonths('1,5 2 3 4 5 6 7 8 9 10 11 12')).toEqual([1.5, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
  expect(readMonths('1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12')).toHaveLength(12);
  expect(readMonths('1 2 3')).toBe('twelve numbers from January, these are 3');
  expect(readMonths('1 2 warm')).toBe('“warm” is not a number');
});

describe('a season’s job in words', () => {
  const job = (more: Partial<SeasonJob> = {}): SeasonJob => ({
    plantingId: 'p',
    step: 'sow',
    date: '2027-09-20',
    mayMove: true,
    crop: 'spinach',
    name: 'spinach',
    cultivar: '',
    bedId: 'n2',
    bed: 'N2',
    place: 'North house',
    rows: 3,
    metres: 42,
    planted: false,
    chance: { then: 0.95, today: 0.95, todayIs: 'notReady' },
    ...more,
  });
  const tray = { chance: null, name: 'lettuce', cultivar: 'Farolillo' } as const;
  const today = '2027-09-16';

  test.each([
    [job(), 'Sow spinach in N2'],
    [job({ planted: true, name: 'garlic' }), 'Plant garlic in N2'],
    [job(tray), 'Sow lettuce Farolillo in trays, for N2'],
    [job({ ...tray, step: 'harden' }), 'Begin to harden off lettuce Farolillo, for N2'],
    [job({ ...tray, step: 'clear' }), 'Clear the lettuce Farolillo from N2'],
  ])('names what and where: %#', (j, words) => expect(jobTitle(j)).toBe(words));

  test('late it says what that costs, or that it costs little', () => {
    const said = (more: Partial<SeasonJob>) => jobDetail(job(more), today, mockFormat);
    expect(said({})).toBe('42 m in 3 rows; begun then it comes off in 95 of 100 years');
    const lost = { then: 0.9, today: 0.6, todayIs: 'notReady' } as const;
    expect(said({ date: '2027-09-01', chance: lost })).toMatch(
      /on its day it came off in 90 of 100 years, begun today in 60: else it does not get there$/,
    );
    expect(said({ date: '2027-09-14' })).toMatch(/being late has cost little/);
    expect(said(tray)).toBe('42 m in 3 rows');
  });

  test('Season opens with what goes into the ground first, its day as one says it, and how much more there is', () => {
    const said = (jobs: SeasonJob[]) =>
      jobSentence(jobs, today)
        ?.map((p) => p.text)
        .join('') ?? null;
    expect(said([job({ ...tray, step: 'harden', date: '2027-09-17' }), job()])).toBe(
      'This week: sow spinach in N2, Monday. And one thing more.',
    );
    expect(said([job({ date: '2027-09-12' })])).toBe('This week: sow spinach in N2, 4 days late.');
    expect(said([job({ date: '2027-09-30' })])).toBeNull();
    expect(said([job({ step: 'pick', chance: null })])).toBeNull();
  });

  test('weeks are told apart, what is late first', () => {
    const jobs = ['2027-09-10', '2027-09-16', '2027-09-22', '2027-09-23', '2027-10-05'].map((date) =>
      job({ date }),
    );
    expect(jobGroups(jobs, today).map((g) => [g.title, g.jobs.length])).toEqual([
      ['Late', 1],
      ['This week', 2],
      ['Next week', 1],
      ['Then', 1],
    ]);
  });
});

describe('a planting’s story', () => {
  const view = (more: Partial<StoryView> = {}): StoryView => ({
    planting: {
      id: 'p',
      bedId: 'n1',
      crop: 'spinach',
      cultivar: 'Brasa Verde',
      fromRow: 1,
      toRow: 3,
      lengthM: 22,
      plantedOn: '2026-09-24',
      clearedOn: null,
      aim: 'survive',
      note: '',
    },
    cropName: 'spinach',
    bed: { id: 'n1', name: 'N1', place: 'North house' },
    today: '2027-01-14',
    nowAtMs: Date.parse('2027-01-14T15:30:00Z'),
    stands: true,
    daysIn: 112,
    hardening: 0.9,
    planted: false,
    progress: { state: 'ready', done: 1, of: 1 },
    steps: [],
    nights: [
      { night: '2027-01-12', leafC: -4, harmC: -9 },
      { night: '2027-01-13', leafC: -6.6, harmC: -9 },
    ],
    tonight: null,
    bolts: null,
    harvestedKg: 0,
    entries: [],
    ...more,
  });
  const told = (more: Partial<StoryView> = {}) =>
    storySentence(view(more), mockFormat, (d) => d.slice(5))
      .map((p) => p.text)
      .join('');

  test('opens with how near harm it came, in which night, or how far below it', () => {
    expect(told()).toMatch(
      /112 days in the ground, hardened\. The nearest it came to harm was 2\.4° over it, on 01-13\.$/,
    );
    const deep = [{ night: '2027-01-13', leafC: -10.5, harmC: -9 }];
    expect(told({ nights: deep })).toMatch(
      /In the night of 01-13 its leaves fell 1\.5° below what harms it\.$/,
    );
    expect(told({ nights: [] })).toMatch(/No night of it is reckoned yet\.$/);
  });

  test('of what is only planned, or is cleared, it claims no nights', () => {
    expect(told({ daysIn: -20, stands: false, nights: [] })).toMatch(/planned for 09-24\.$/);
    const cleared = { ...view().planting, clearedOn: '2027-01-10' };
    expect(told({ stands: false, planting: cleared })).toMatch(/cleared on 01-10\.$/);
  });

  test('that it may run to flower is said with what can still be done: another day, or how it is kept', () => {
    const words = (more: Partial<StoryView>) => boltWords(view(more), (d) => d.slice(5));
    expect(words({})).toBeNull();
    const bolts = { share: 0.32, better: { date: '2027-03-04', share: 0.05 } };
    expect(words({ bolts, stands: false })).toBe(
      'In 32 of 100 years it runs to flower before its first picking. Sown on 03-04 in 5.',
    );
    expect(words({ bolts: { share: 0.32, better: null } })).toMatch(
      /Even days help: air it before it is warm/,
    );
    const planting = { ...view().planting, crop: 'cauliflower' };
    expect(words({ planting, bolts, planted: true })).toMatch(
      /^In 32 of 100 years it makes buttons, small heads too early .* Planted on 03-04 in 5\.$/,
    );
  });

  test('what is no seed was planted, though it never stood in trays', () => {
    const step = { id: 'sow', date: '2026-09-05', done: true } as const;
    expect(stepWords(step, true)).toBe('Planted');
    expect(stepWords(step, false)).toBe('Sown');
    expect(stepWords({ ...step, id: 'pick', done: false }, true)).toBe('First picking, about');
  });

  test('its nights are told in words as well as drawn: how many were under what harms it', () => {
    const tonight = { leafC: { low: -8, mid: -7, high: -6 }, harmC: -9 };
    const nights = [...view().nights, { night: '2027-01-11', leafC: -9.4, harmC: -9 }];
    render(
      <Margins view={view({ nights, tonight })} width={300} format={mockFormat} day={(d) => d.slice(5)} />,
    );
    expect(screen.getByTestId('margins').props['aria-label']).toMatch(
      /3 nights .* 1 under what harms it; tonight −7\.0 °C/,
    );
  });
});
