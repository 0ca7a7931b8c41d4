/** In how many ways a sheet may lie, and that none worth looking at is left out. */
import {
  asUsed,
  bedSpec,
  coverOptions,
  prepareWeather,
  readSheetKey,
  runBed,
  sheetKey,
  waysHere,
  waysOf,
  type Cover,
  type Structure,
} from '../src';
import { aBed, aCover, aFrame, aStructure, nightMin, SITE, weather } from './fixtures';

const house = aStructure();
const open: Structure = { ...house, kind: 'open', lengthM: 20, widthM: 1.2 };
const frame = aFrame();
const inFrame = aBed({ lengthM: 2.8, hoopHeightM: 0 });
const uses = (list: { cover: { use: string } }[]) => list.map((f) => f.cover.use);

test('a fleece that is kept for hoops is laid on a bed without, and over a frame or into it', () => {
  const fleece = aCover();
  expect(uses(waysHere(fleece, open, aBed({ hoopHeightM: 0 })))).toEqual(['flat']);
  expect(uses(waysHere(fleece, frame, inFrame))).toEqual(['flat', 'over']);
  expect(uses(waysHere(fleece, house, aBed()))).toEqual(['hoops', 'flat']);
  // too narrow for the hoops, it is wide enough for the bed
  expect(uses(waysHere(aCover({ widthM: 1.2 }), house, aBed()))).toEqual(['flat']);
});

test('film is not laid on leaves, straw goes on no hoops, and the grower’s word stands above the cloth’s', () => {
  expect(waysOf(aCover({ material: 'pe-film' }))).toEqual(['hoops', 'over']);
  expect(waysOf(aCover({ material: 'straw-mat', use: 'over' }))).toEqual(['over']);
  expect(waysOf(aCover({ material: 'pe-film', ways: ['flat'] }))).toEqual(['hoops', 'flat']);
  expect(waysOf(aCover({ ways: [] }))).toEqual(['hoops']);
  // who never lets a sheet touch a leaf is offered none that does
  expect(waysHere(aCover(), open, aBed({ hoopHeightM: 0 }), false)).toEqual([]);
});

test('one piece in two ways stays one piece: stock is counted by the sheet', () => {
  const one = coverOptions(frame, inFrame, [aCover({ count: 1 })]);
  expect(one.map((o) => o.key).sort()).toEqual(['a~flat', 'a~over', 'bare']);
  const two = coverOptions(frame, inFrame, [aCover({ count: 2 })]);
  const both = two.find((o) => o.covers.length === 2)!;
  expect(both.pieces).toEqual({ a: 2 });
  const { stack } = bedSpec(frame, inFrame, [], both.covers, { deepC: 6 });
  expect(stack.map((l) => [l.material, l.shape])).toEqual([
    ['fleece-30', 'box'],
    ['glass', 'box'],
    ['fleece-30', 'flat'],
  ]);
});

test('a sheet’s key is read back, and its other self is one and the same each time', () => {
  const fleece = aCover();
  expect(asUsed(fleece, 'hoops')).toBe(fleece);
  expect(asUsed(fleece, 'flat')).toBe(asUsed(fleece, 'flat'));
  expect(sheetKey(asUsed(fleece, 'flat'))).toBe('a~flat');
  expect(readSheetKey('a~flat')).toEqual({ id: 'a', use: 'flat' });
  expect(readSheetKey('odd~name')).toEqual({ id: 'odd~name', use: undefined });
});

test('where hoops stand it may lie on them or on the leaves beneath, one of each, or two on hoops', () => {
  const keys = coverOptions(house, aBed(), [aCover()]).map((o) => o.key);
  expect(keys.sort()).toEqual(['a', 'a+a', 'a+a~flat', 'a~flat', 'bare']);
});

test('laid on the leaves is another night than on hoops, and both are better than none', () => {
  const hours = prepareWeather(SITE, weather({ cloud: 0, windMs: 0.3 }));
  const lowest = (covers: Cover[]) =>
    nightMin(runBed(bedSpec(open, aBed(), [], covers, { deepC: 6 }), hours).leafC);
  const fleece = aCover();
  const [bare, hoops, laid] = [[], [fleece], [asUsed(fleece, 'flat')]].map(lowest) as [
    number,
    number,
    number,
  ];
  expect(Math.min(hoops, laid)).toBeGreaterThan(bare + 0.5);
  expect(hoops).not.toBeCloseTo(laid, 2);
});
