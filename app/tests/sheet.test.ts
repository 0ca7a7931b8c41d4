/** What goes on paper says what the screen says, in an order to be walked, and leaves nothing behind in the page. */
import type { KitView, NowView, RelayView } from '@fogata/contract/told';
import type { Sheet } from '@fogata/words/sheet';
import { sheetText } from '../src/components/sheets/sheet';
import { bedsSheet, tagsSheet, tonightSheet } from '@fogata/words/en/screens/sheetWords';

const T = Date.parse('2027-01-14T15:30:00Z');
const format = {
  t: (c: number) => `${c} °C`,
  range: (a: number, b: number) => `${a} to ${b} °C`,
  time: (ms: number) => new Date(ms).toISOString().slice(11, 16),
  day: () => 'Thu 14 Jan',
  money: (x: number) => `€${x}`,
  metres: (m: number) => `${m} m`,
};
const item = (bedId: string, done: boolean) => ({ bedId, coverId: 'f', on: true, done });
const job = (title: string, dueH: number, done: boolean) => ({
  kind: 'cover',
  title,
  detail: 'spinach',
  minutes: 12,
  dueAtMs: T + dueH * 3_600_000,
  onByAtMs: T + (dueH + 0.5) * 3_600_000,
  done,
  items: [item('n2', done), item('n3', done)],
});
const view = {
  clock: { nowAtMs: T, phase: 'closing' },
  sentence: [{ text: '−5 °C by 09:00. ' }, { text: 'Cover two beds.' }],
  night: { lowC: { low: -6, mid: -5, high: -2 }, lowAtMs: T + 15 * 3_600_000 },
  storm: [],
  jobs: [
    job('Fleece 30 on N4', 2, false),
    job('Close North house', 0, true),
    job('Fleece 30 on N2 and N3', 1, false),
  ],
  places: [{ structureName: 'North house' }, { structureName: 'North house' }],
  atRisk: ['N5, potatoes: harm almost surely'],
  cautions: ['Glass: gloves.'],
} as unknown as NowView;
const kit = { covers: [{ id: 'f', name: 'Fleece 30', keptAt: 'shed, left wall' }] } as unknown as KitView;

test('tonight: what is to be fetched and from where, then the jobs by when they begin, those done last, then what to read', () => {
  const sheet = tonightSheet(view, kit, 'Rescoldo', format);
  const text = sheetText(sheet);
  expect(sheet.first).toBe('−5 °C by 09:00. Cover two beds. Outside -6 to -2 °C, lowest about 06:30.');
  expect(sheet.parts.map((p) => p.title)).toEqual([
    'To fetch',
    'Before dark',
    'At risk all the same',
    'To read in the morning',
  ]);
  expect(sheet.parts[1]!.lines.map((l) => l.text)).toEqual([
    'Fleece 30 on N2 and N3',
    'Fleece 30 on N4',
    'Close North house',
  ]);
  expect(text).toContain('[ ] 4 ×  Fleece 30\n      shed, left wall');
  expect(text).toContain('[ ] 16:30  Fleece 30 on N2 and N3\n      spinach · on by 17:00 · 12 min');
  expect(text).toContain('[x] 15:30  Close North house\n      done');
  expect(text.match(/North house: lowest/g)).toHaveLength(1);
  expect(text.endsWith('! Glass: gloves.\n')).toBe(true);
});

test('the beds: rows in order, what stands and what follows; what is cleared is not there, an empty bed says so', () => {
  const planting = (crop: string, fromRow: number, plantedOn: string, clearedOn: string | null) => ({
    bedId: 'n2',
    crop,
    cultivar: '',
    fromRow,
    toRow: fromRow + 1,
    lengthM: 20,
    plantedOn,
    clearedOn,
    note: '',
  });
  const bed = (id: string, acrossM: number) => ({
    id,
    name: id.toUpperCase(),
    place: 'North house',
    rows: 4,
    lengthM: 22,
    acrossM,
    headroomM: 2,
  });
  const board = {
    today: '2027-01-14',
    beds: [bed('n2', -2), bed('n3', 0)],
    plantings: [
      planting('spinach', 3, '2026-10-01', '2027-03-01'),
      planting('lettuce', 3, '2027-03-02', null),
      planting('radish', 1, '2026-11-01', null),
      planting('chard', 1, '2026-05-01', '2026-10-30'),
    ],
  } as unknown as RelayView;
  const { parts } = bedsSheet(board, 'Rescoldo', format);
  expect(parts[0]!.title).toBe('N2 · North house, left side · 22 m, 4 rows');
  expect(parts[0]!.lines.map((l) => [l.at, l.text, l.note])).toEqual([
    ['rows 1–2', 'radish, 20 m', 'since 1 Nov'],
    ['rows 3–4', 'spinach, 20 m', 'since 1 Oct, clear by 1 Mar'],
    ['rows 3–4', 'lettuce heads, 20 m', 'from 2 Mar'],
  ]);
  expect(parts[0]!.lines.map((l) => l.done)).toEqual([null, null, false]);
  expect(parts[1]!.lines[0]!.text).toBe('Nothing stands here and nothing is planned.');
  // a tag for each planting: what, where, since when or from when, by when it goes
  const tags = tagsSheet(board, 'Rescoldo', format);
  expect(tags.tags).toBe(true);
  expect(tags.parts.map((p) => p.title)).toEqual(['radish', 'spinach', 'lettuce heads']);
  expect(tags.parts[1]!.lines.map((l) => `${l.at} ${l.text}`)).toEqual([
    'N2 rows 3 to 4, 20 m',
    'since 1 Oct 2026',
    'clear by 1 Mar 2027',
  ]);
});

test('a sheet without anything is its title alone', () => {
  const empty: Sheet = { title: 'Rescoldo', first: '', parts: [], mind: [] };
  expect(sheetText(empty)).toBe('Rescoldo\n');
});

test('a room that crates are carried into is not among what is fetched', () => {
  const room = { covers: [{ id: 'f', name: 'Packing room', use: 'indoors', keptAt: 'by the yard' }] };
  const sheet = tonightSheet(view, room as unknown as KitView, 'Rescoldo', format);
  expect(sheet.parts.map((p) => p.title)).not.toContain('To fetch');
});
