/** Each farm has its own memory on a device, and none writes into another. */
import { farmHere, heard, openPage, under } from '../src/data/house';
import { originHeaders } from '../src/data/who';
import { readStored, store } from '../src/data/storage';

const kept = new Map<string, string>();
const OURS = 'aaaaaaaa-own-farm';
const THEIRS = 'bbbbbbbb-demo-farm';
let anew = 0;
const answer = (id: string) =>
  heard(id, () => {
    anew += 1;
    openPage();
  });

beforeEach(() => {
  kept.clear();
  anew = 0;
  Object.assign(globalThis, {
    localStorage: {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => void kept.set(k, v),
    },
  });
  openPage();
});
afterAll(() => {
  delete (globalThis as { localStorage?: unknown }).localStorage;
});

test('the first farm that answers is this device’s own, and what was kept before there were several is its', () => {
  store('note', 'half a sentence');
  answer(OURS);
  expect([farmHere(), under('fogata'), anew]).toEqual([OURS, 'fogata', 0]);
  expect(readStored('note', '')).toBe('half a sentence');
  expect(originHeaders()['x-fogata-farm']).toBe(OURS);
});

test('where another answers the page opens anew with that one’s memory; back again, the own is as it was', () => {
  answer(OURS);
  store('note', 'ours');
  answer(THEIRS);
  expect([anew, farmHere(), readStored('note', '')]).toEqual([1, THEIRS, '']);
  store('note', 'theirs');
  kept.delete('fogata:moved'); // ten seconds later
  answer(OURS);
  expect([anew, readStored('note', '')]).toEqual([2, 'ours']);
});

test('two farms that answer by turns do not open the page for ever', () => {
  answer(OURS);
  for (let i = 0; i < 20; i++) answer(i % 2 === 0 ? THEIRS : OURS);
  expect(anew).toBe(1);
});

test('a server that does not say which farm it is changes nothing', () => {
  answer('1');
  expect([farmHere(), anew]).toEqual([null, 0]);
  expect(originHeaders()).not.toHaveProperty('x-fogata-farm');
});
