/** What the kitchen table says: seed, needs, ways side by side, counters, water; nothing short or unknown is left unsaid. */
import type { CounterView, NeedView, SeedRow, WaterRow, WaterView, WayView } from '@fogata/contract/told';
import { cropById, type Segment } from '@fogata/core';
import {
  lotWords,
  learntWords,
  needWords,
  packetsFor,
  rowName,
  seedsSentence,
  stoodWords,
} from '@fogata/words/en/screens/seedWords';
import { compareSentence, linesOf, waysOf, waysText } from '@fogata/words/en/screens/compareWords';
import { counterWords, soFarWords } from '@fogata/words/en/screens/counterWords';
import { needSentence, sowingWords, spotWords } from '@fogata/words/en/screens/needWords';
import { feedWords, rowWords, turnOf, waterSentence } from '@fogata/words/en/screens/waterWords';
import { format as kit } from './kit';

const format = {
  ...kit,
  money: (x: number) => `€${Math.round(x)}`,
  litres: (l: number) => `${Math.round(l)} l`,
  rain: (mm: number) => `${Math.round(mm)} mm`,
};
const said = (parts: Segment[]) => parts.map((p) => p.text).join('');

describe('seed', () => {
  const lot = (year: number, germination: number, old = false) => ({
    lot: {
      id: `l${year}`,
      crop: 'spinach',
      cultivar: '',
      year,
      tested: null,
      grams: 20,
      seeds: null,
      note: '',
    },
    now: { germination, from: 'usual' as const, seeds: 2000, old },
  });
  const row = (more: Partial<SeedRow>): SeedRow => ({
    crop: 'spinach',
    cropName: 'spinach',
    name: 'Brasa Verde',
    cultivar: null,
    learnt: null,
    scored: [],
    needs: null,
    plantings: 0,
    lots: [],
    ...more,
  });

  test('an empty box says what a packet is good for; an old lot is named, the worst first', () => {
    expect(said(seedsSentence([row({})]))).toContain('No seed is noted yet. Type in a packet');
    expect(said(seedsSentence([row({ lots: [lot(2026, 0.8)] })]))).toBe(
      'One lot in the box. All of it still comes up well enough.',
    );
    const rows = [row({ lots: [lot(2022, 0.3, true)] }), row({ name: 'Otra', lots: [lot(2020, 0.1, true)] })];
    expect(said(seedsSentence(rows))).toBe(
      'Two lots in the box. Spinach Otra of 2020 comes up to 10 of 100: sow it thick, test it or buy new; so with one more.',
    );
  });

  test('a lot says what it weighs and what comes up; what is not sown says neither', () => {
    expect(lotWords(lot(2026, 0.765))).toBe('of 2026, 20 g, about 2,000 seeds: 77 of 100 come up');
    expect(lotWords({ lot: { ...lot(2026, 1).lot, grams: null }, now: null })).toBe('of 2026');
    expect(rowName({ cropName: 'leeks', name: '' })).toBe('Leeks');
  });

  test('what is planned asks for seed: enough and to spare, short, or nothing in the box at all', () => {
    const needs = { grams: 15, seeds: 1500 };
    const held = (grams: number) => ({ ...lot(2026, 0.8), lot: { ...lot(2026, 0.8).lot, grams } });
    expect(needWords(row({ needs, lots: [held(40)] }))).toBe('what is planned takes 15 g; there is enough');
    expect(needWords(row({ needs, lots: [held(10)] }))).toBe(
      'what is planned takes 15 g: 5 g short, order one packet of 10 g with a tenth to spare',
    );
    expect([0.3, 5, 95, 2000].map(packetsFor)).toEqual([
      'one packet of 0.5 g',
      'one packet of 10 g',
      'one packet of 250 g',
      '3 packets of 1000 g',
    ]);
    expect(needWords(row({ needs }))).toBe(
      'what is planned takes 15 g: none in the box, order one packet of 25 g with a tenth to spare',
    );
    expect(needWords(row({}))).toBeNull();
    const rows = [row({ needs, lots: [held(10)] }), row({ name: 'Otra', needs })];
    expect(said(seedsSentence(rows))).toMatch(
      /^Order seed of spinach Otra and spinach Brasa Verde: what is planned takes more than there is\./,
    );
  });

  test('what scores taught is said with its doubt, and where it bears the book out', () => {
    const b = { shiftK: -2, sdK: 0.5, nights: 3 };
    expect(learntWords(b, format)).toBe(
      'By your scores of three nights it stands 2.0° more cold than the book, give or take 0.5°.',
    );
    expect(learntWords({ ...b, shiftK: 0.02, nights: 1 }, format)).toMatch(/^Your scores of one night bear/);
    expect(stoodWords(cropById('spinach'), {}, b, format)).toBe(
      'Hardened, its leaves burn from −11.0 °C; the book says −9.0 °C.',
    );
  });
});

describe('a need', () => {
  const sowing = {
    structureId: 'n',
    place: 'North house',
    cover: 'Fleece 30',
    how: 'sow' as const,
    date: '2027-09-20',
    readyOn: '2027-11-10',
    overOn: '2028-03-01',
    metres: 12,
    success: 0.93,
    kg: 60,
    seeds: 800,
    grams: 8,
    bench: null,
    spots: [{ bedId: 'n1', name: 'N1', fromRow: 1, toRow: 2, lengthM: 6 }],
    leftM: 0,
  };
  const view = (shortKg: number, sowings = [sowing]): NeedView => ({
    crop: 'spinach',
    name: 'spinach',
    planted: false,
    from: '2027-11-15',
    to: '2028-03-01',
    kgPerWeek: 4,
    risk: 0.2,
    answer: {
      sowings,
      metres: 12,
      shortKg,
      weeks: [
        { from: '2027-11-15', kg: 4, lowKg: 3, shortKg: 0 },
        { from: '2027-11-22', kg: 4 - shortKg, lowKg: 2, shortKg },
      ],
    },
    progress: { state: 'ready', done: 1, of: 1 },
  });

  test('says the metres, the weeks that are short all the same, and where nothing gives it', () => {
    expect(said(needSentence(view(0), format))).toBe(
      'One sowing and 12 m of row give 4 kg of spinach a week from 15 Nov to 1 Mar.',
    );
    expect(said(needSentence(view(2), format))).toContain(
      'One week is short all the same, the first that of 22 Nov.',
    );
    expect(said(needSentence(view(4, []), format))).toMatch(/^No day and no place of yours/);
  });

  test('a sowing says where, when, how surely, with how much seed', () => {
    expect(sowingWords(view(0), sowing, format)).toBe('Sow 12 m in North house on 20 Sep 2027');
    expect(spotWords(sowing, format)).toBe(
      'N1 rows 1 to 2 of 6 m; picked from 10 Nov to 1 Mar, 60 kg in those weeks; comes off in 93 of 100 years; 8.0 g of seed; with fleece 30 on cold nights',
    );
  });
});

describe('side by side', () => {
  const way = (more: Partial<NonNullable<WayView['given']>> | null, place = 'North house'): WayView => ({
    crop: 'spinach',
    how: 'sow',
    structureId: 'n',
    date: '2027-02-10',
    name: 'spinach',
    planted: false,
    place,
    cover: null,
    why: more ? null : 'never',
    given: more && {
      readyOn: '2027-04-11',
      overOn: '2027-05-17',
      success: 0.9,
      failure: 'lostToCold',
      failureShare: 0.08,
      kgPerM: 1.1,
      minutesPerM: 4,
      moneyPerM: 6,
      daysInRow: 96,
      ...more,
    },
  });

  test('which is surest, and which gives most where that is another', () => {
    const ways = [way({}), way({ success: 0.7, kgPerM: 2 }, 'Frames')];
    expect(said(compareSentence(ways, format))).toBe(
      'Spinach, sown 10 Feb, North house is the surest: it comes off in 90 of 100 years. Spinach, sown 10 Feb, Frames gives most, 2 kg a metre.',
    );
    expect(said(compareSentence([way({}), way(null)], format))).toMatch(/^Only one of these/);
  });

  test('the best of each line is marked, none where all are alike, nothing where there is nothing', () => {
    const lines = linesOf([way({}), way({ minutesPerM: 2 }), way(null)], format);
    const of = (label: string) => lines.find((l) => l.label === label)!;
    expect(of('Work').best).toEqual([false, true, false]);
    expect(of('A metre gives').best).toEqual([false, false, false]);
    expect(of('Work').values[2]).toBe('–');
  });

  test('ways stand in the address and come back', () => {
    const text = 'spinach,sow,north,2027-02-10;lettuce,transplant,s,2027-03-01';
    expect(waysText(waysOf(text))).toBe(text);
  });
});

describe('counters and water', () => {
  const counter = (more: Partial<CounterView>): CounterView => ({
    counter: {
      id: 'c',
      name: 'Tulips',
      what: 'cold',
      crop: null,
      structureId: null,
      from: '2026-11-02',
      baseC: 9,
      target: 98,
    },
    place: '',
    sofar: 60,
    share: 0.61,
    early: '2027-02-20',
    middle: '2027-02-24',
    late: '2027-03-02',
    full: false,
    ...more,
  });

  test('a counter says its day with early and late years, then since when it is full', () => {
    expect(counterWords(counter({}), '2027-01-14')).toBe(
      'Cold enough about 24 Feb, in 41 days; in an early year 20 Feb, in a late one 2 Mar.',
    );
    expect(counterWords(counter({ full: true, middle: '2027-01-10' }), '2027-01-14')).toBe(
      'Since 10 Jan cold enough: bring them in.',
    );
    expect(counterWords(counter({ early: null, middle: null, late: null }), '2027-01-14')).toMatch(
      /^Not within/,
    );
    expect(soFarWords(counter({}), '2027-01-14')).toBe('60 of 98 days of cold since 2 Nov 2026');
  });

  const row = (more: Partial<WaterRow>): WaterRow => ({
    bedId: 'n4',
    name: 'N4',
    place: 'North house',
    structureId: 'north',
    uneven: false,
    bank: null,
    held: false,
    rough: false,
    feed: null,
    crops: ['rocket'],
    kind: 'bed',
    lacksMm: 25,
    wantsMm: 24,
    holdsMm: 54,
    usedMm: 0.2,
    on: '2027-01-14',
    may: '2027-01-14',
    mm: 26,
    litres: 400,
    minutes: 90,
    times: 1,
    since: '2027-01-12',
    ...more,
  });
  const water = (...rows: WaterRow[]): WaterView => ({ today: '2027-01-14', rows, lack: null, aheadDays: 5 });

  test('before a frost each school is told what wet soil is worth here, and a poor line what its minutes are for', () => {
    const words = (more: Partial<WaterRow>) =>
      rowWords(
        row(more),
        { today: '2027-01-14' },
        {
          litres: (l: number) => `${l} l`,
          rain: (mm: number) => `${mm} mm`,
          diff: (k: number) => `+${k.toFixed(1)}°`,
        },
      ).join(' ');
    expect(words({ bank: { worthK: 0.4, does: true } })).toMatch(
      /while it is mild: wet soil is worth \+0\.4° to the leaf/,
    );
    expect(words({ bank: { worthK: 0.02, does: false } })).toMatch(
      /Left dry .* it would be nothing to the leaf/,
    );
    expect(words({ uneven: true, on: '2027-01-14', may: '2027-01-14', minutes: 12.4 })).toContain(
      '12 min of its lines, for their poor end',
    );
    expect(words({ held: true })).toContain('Held back, as you said');
    expect(words({ rough: true })).toContain('Roughly, by its cover alone');
    expect(words({})).not.toContain('oughly');
    expect(feedWords(3, { length: 'ft' })).toContain('0.98 oz/100 ft² of nitrogen');
    expect(feedWords(3, { length: 'm' })).toBe(
      '3.0 g/m² of nitrogen: 50 g/m² of a feed that has 6 in a hundred',
    );
  });

  test('what is watered today with its litres; what is dry and must wait says until when', () => {
    expect(said(waterSentence(water(row({})), format))).toBe('Water N4, 400 l in all. ');
    const frost = row({ may: '2027-01-18' });
    expect(turnOf(frost, '2027-01-14')).toBe('frost');
    expect(said(waterSentence(water(frost), format))).toBe(
      'N4 is dry, but no water into this frost: Monday at the earliest. ',
    );
    expect(rowWords(frost, water(), format)[0]).toBe('Dry; Monday, when it no longer freezes');
  });

  test('where nothing is due the next is named; what nobody has said is said', () => {
    expect(said(waterSentence(water(row({ on: '2027-01-16' })), format))).toBe(
      'Nothing wants water today. N4 next, Saturday.',
    );
    expect(said(waterSentence(water(row({ on: null })), format))).toContain(
      'Nor in the five days that are known.',
    );
    expect(rowWords(row({ since: null }), water(), format).at(-1)).toMatch(/^Nobody has said/);
  });
});
