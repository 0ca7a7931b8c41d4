/** Rules of the relay by hand: seed, what goes under, reach and ways, slow beside fast, new soil, a planting's own way of picking. */
import {
  asPicked,
  cropById,
  cropOf,
  CROPS,
  mayPick,
  pathsOf,
  savingOf,
  standingIn,
  withOwn,
  type Bed,
} from '../src';
import { checkRelay, dayOf, flowersOf, isoOf, kgBetween, mayBeUnder, posts, underChoices } from '../relay';
import { aStructure } from './fixtures';
import { aBedOf, aStrip, aYear, evenOutlook } from './relayFixture';

const bed = aBedOf('S1');
type Strips = ReturnType<typeof aStrip>[];
const of = (rule: string, strips: Strips, beds = [bed], more = {}) =>
  checkRelay(aYear(beds, strips, more)).quarrels.filter((q) => q.rule === rule);

describe('seed saving', () => {
  // ready in 40 days and over in 70: in flower from day 91 to 121, seed on day 156
  const look = evenOutlook(40, { overDays: 70 });
  const mizuna = aStrip(bed, 'mizuna', [1, 1], ['2027-01-10', null], look, { forSeed: true });

  test('what is kept for seed stands until it is ripe, and nothing is picked of it', () => {
    expect(flowersOf(mizuna)).toEqual({
      fromDay: dayOf('2027-01-10') + 91,
      toDay: dayOf('2027-01-10') + 121,
    });
    expect(mizuna.endDay - mizuna.startDay).toBe(156);
    expect(kgBetween(mizuna, mizuna.startDay, mizuna.endDay)).toBe(0);
  });

  test('crosses with its kin in flower near by, by another crop’s name too; not with its own kind', () => {
    const turnips = aStrip(bed, 'turnip', [3, 3], ['2027-01-12', null], look, { forSeed: true });
    const own = aStrip(bed, 'mizuna', [2, 2], ['2027-01-12', null], look, { forSeed: true });
    // turnips stand 200 degree days, 20 days here: they flower from the 83rd day to the 113th
    const [q, ...others] = of('crosses', [mizuna, turnips, own]);
    expect(q!.values).toMatchObject({ species: 'turnip kin', by: 'insects', days: 22 });
    // each of the two kinds of mizuna with the turnips, and never with the other
    expect(others).toHaveLength(1);
    // picked and cleared before it shoots, it does no harm
    const picked = aStrip(bed, 'turnip', [3, 3], ['2027-01-12', null], look);
    expect(of('crosses', [mizuna, picked])).toEqual([]);
    // nor does what flowers two months later
    const late = aStrip(bed, 'turnip', [3, 3], ['2027-03-12', null], look, { forSeed: true });
    expect(of('crosses', [mizuna, late])).toEqual([]);
  });

  test('lettuce, which keeps to itself, needs a bed or two between; spinach half a parish', () => {
    const far = aBedOf('far', { yM: 12, structureId: 'other' });
    const pair = (crop: string, a: string, b: string) => [
      aStrip(bed, crop, [1, 1], ['2027-01-10', null], look, { forSeed: true, cultivar: a }),
      aStrip(far, crop, [1, 1], ['2027-01-10', null], look, { forSeed: true, cultivar: b }),
    ];
    expect(of('crosses', pair('lettuce', 'Brasa', 'Lumbre'), [bed, far])).toEqual([]);
    expect(of('crosses', pair('spinach', 'Brasa', 'Lumbre'), [bed, far])).toHaveLength(1);
    expect(of('crosses', pair('spinach', 'Brasa', ' brasa'), [bed, far])).toEqual([]);
  });

  test('every crop has its way of being kept, and only kept ones of a species share it', () => {
    for (const c of CROPS) {
      const s = savingOf(c.id);
      if (s) expect(s.apartM).toBeGreaterThan(0);
    }
    expect(savingOf('garlic')).toBeNull();
    expect(savingOf('kale')?.species).toBe(savingOf('kohlrabi')?.species);
    expect(savingOf('radish')?.species).not.toBe(savingOf('turnip')?.species);
  });
});

describe('sown under what stands', () => {
  const look = evenOutlook(70, { overDays: 160 });
  const tomatoes = aStrip(bed, 'tomato', [1, 2], ['2027-05-01', '2027-10-05'], look);
  const clover = (day: string) => aStrip(bed, 'crimson-clover', [1, 2], [day, '2028-03-01'], evenOutlook(80));

  test('clover under tomatoes that stand is neither a row given twice nor a hand-over; under young ones it is too early', () => {
    const good = checkRelay(aYear([bed], [tomatoes, clover('2027-07-15')])).quarrels;
    expect(good.map((q) => q.rule)).toEqual([]);
    expect(posts([tomatoes, clover('2027-07-15')], dayOf('2027-01-01'))).toEqual([]);
    const [q] = of('under', [tomatoes, clover('2027-05-10')]);
    expect(q!.values['against']).toBe('too-early');
    expect(q!.values['fromDay']).toBe(dayOf('2027-05-01') + 35);
  });

  test('never under what is lifted, what leaves no light, or what it outgrows', () => {
    const at = (crop: string, under: string) =>
      mayBeUnder(
        aStrip(bed, crop, [1, 1], ['2027-05-01', '2027-10-05'], look),
        cropById(under),
        dayOf('2027-07-20'),
      );
    expect(at('carrot', 'crimson-clover')).toBe('lifted');
    expect(at('squash', 'crimson-clover')).toBe('dark');
    expect(at('lettuce', 'white-mustard')).toBe('taller');
    expect(at('tomato', 'white-mustard')).toBeNull();
  });

  test('what may go under is named, clovers first, while there is time for it to cover the ground', () => {
    const [first] = underChoices(tomatoes, dayOf('2027-01-01'));
    expect(first!.crop.family).toBe('Fabaceae');
    expect(first!.fromDay).toBe(dayOf('2027-05-01') + 35);
    for (const c of underChoices(tomatoes, dayOf('2027-01-01')))
      expect(mayBeUnder(tomatoes, c.crop, c.fromDay)).toBeNull();
    expect(underChoices(tomatoes, dayOf('2027-09-10'))).toEqual([]);
  });
});

describe('reach and ways', () => {
  const look = evenOutlook(40, { overDays: 120 });
  test('the middle of a wide bed is out of reach for what is picked again and again, not for what is pulled once', () => {
    const wide = aBedOf('W', { widthM: 2, rows: 4 });
    const chard = (rows: [number, number], b = wide) => aStrip(b, 'chard', rows, ['2027-03-01', null], look);
    // rows 0.5 m apart: the second is 0.75 m from its side, and with a path on one side alone the third is not
    expect(of('reach', [chard([2, 3])], [wide])).toEqual([]);
    const wall = { ...wide, paths: [true, false] as const };
    expect(of('reach', [chard([2, 3], wall)], [wall])[0]!.values['awayM']).toBeCloseTo(1.25, 6);
    const beets = aStrip(wall, 'beetroot', [3, 3], ['2027-03-01', null], look);
    expect(of('reach', [beets], [wall])).toEqual([]);
    // where no path is known nothing is said
    const shut = { ...wide, paths: [false, false] as const };
    expect(of('reach', [chard([2, 3], shut)], [shut])).toEqual([]);
  });

  test('nobody reaches through a trellis while it is high', () => {
    const wall = aBedOf('W', { paths: [true, false] });
    const cucumbers = aStrip(wall, 'cucumber', [1, 1], ['2027-03-01', '2027-09-01'], look);
    const basil = aStrip(wall, 'basil', [2, 2], ['2027-04-01', '2027-08-01'], look);
    const [q] = of('reach', [cucumbers, basil], [wall]);
    expect(q!.plantings).toEqual([cucumbers.planting.id, basil.planting.id]);
    const other = { ...wall, paths: [true, true] as const };
    expect(of('reach', [cucumbers, basil], [other])).toEqual([]);
  });

  test('one crop picked twice a week half a kilometre apart is forty minutes of walking, less near by', () => {
    const far = (m: number) => aBedOf('F', { structureId: 'far', xM: m });
    const rows = (b: ReturnType<typeof far>) => aStrip(b, 'chard', [1, 2], ['2027-03-01', null], look);
    const [q] = of('walks', [rows(bed), rows(far(500))], [bed, far(500)]);
    expect(q!.values['minutes']).toBeCloseTo((2 * 2 * 500) / 70, 6);
    expect(of('walks', [rows(bed), rows(far(120))], [bed, far(120)])).toEqual([]);
  });

  test('paths are where one can walk: between beds and to the wall, and everywhere around a bed in the open', () => {
    const b = (id: string, acrossM: number): Bed => ({
      id,
      structureId: 'h',
      name: id,
      lengthM: 10,
      widthM: 1,
      rows: 4,
      on: 'ground',
      texture: 'loam',
      wetness: 'moist',
      mulchM: 0,
      hoopHeightM: 0,
      order: 0,
      at: { alongM: 0, acrossM },
    });
    const house = aStructure({ id: 'h', widthM: 5, lengthM: 20 });
    const at = pathsOf(house, [b('wall', -2), b('middle', -0.95), b('free', 1)]);
    expect(at.get('wall')).toEqual([false, false]);
    expect(at.get('middle')).toEqual([false, true]);
    expect(at.get('free')).toEqual([true, true]);
    expect(pathsOf({ ...house, kind: 'open' }, [b('wall', -2)]).get('wall')).toEqual([true, true]);
  });
});

test('a quick crop beside a slow one is out before that closes over it', () => {
  const narrow = aBedOf('N', { widthM: 1, rows: 4 });
  const sprouting = aStrip(
    narrow,
    'purple-sprouting',
    [2, 2],
    ['2027-03-01', null],
    evenOutlook(80, { overDays: 150 }),
  );
  const radish = (to: string) => aStrip(narrow, 'rocket', [1, 1], ['2027-03-01', to], evenOutlook(30));
  const [q] = of('crowded', [sprouting, radish('2027-07-01')], [narrow]);
  expect(q!.plantings[1]).toBe(sprouting.planting.id);
  expect(q!.fromDay).toBeGreaterThan(dayOf('2027-04-01'));
  // pulled by the day that it names, there is nothing to say
  expect(of('crowded', [sprouting, radish(isoOf(q!.fromDay))], [narrow])).toEqual([]);
  // with a row free between them neither
  const apart = aStrip(narrow, 'rocket', [4, 4], ['2027-03-01', '2027-07-01'], evenOutlook(30));
  expect(of('crowded', [sprouting, apart], [narrow])).toEqual([]);
});

describe('new soil', () => {
  const look = evenOutlook(30);
  const radish = (year: number, b = bed) =>
    aStrip(b, 'radish', [1, 1], [`${year}-03-01`, `${year}-04-15`], look, { planned: year >= 2027 });
  const film = (from: string, to: string) => aStrip(bed, 'solarised', [1, 4], [from, to], null);

  test('four hot weeks under film count as new soil, in June here and in January south of the equator', () => {
    const kin = [radish(2026), radish(2028)];
    expect(of('rotation', kin)).toHaveLength(1);
    const summer = film('2027-06-20', '2027-07-25');
    expect(of('rotation', [...kin, summer])).toEqual([]);
    expect(of('not-hot', [summer])).toEqual([]);
    expect(of('rotation', [...kin, summer], [bed], { latitude: -38 })).toHaveLength(1);
    const spring = film('2027-04-20', '2027-05-25');
    expect(of('rotation', [...kin, spring])).toHaveLength(1);
    expect(of('not-hot', [spring])[0]!.values).toEqual({ hotDays: 0, wantedDays: 28 });
  });

  test('crates rotate as beds do, until they are filled anew', () => {
    const bench = aBedOf('B', { bench: true });
    const kin = [radish(2026, bench), radish(2027, bench)];
    expect(of('rotation', kin, [bench])[0]!.values['bench']).toBe(1);
    expect(of('rotation', kin, [{ ...bench, mixOn: '2026-12-01' }])).toEqual([]);
    // what was filled before the kin stood is no new soil, and a bed in the ground has none
    expect(of('rotation', kin, [{ ...bench, mixOn: '2026-01-01' }])).toHaveLength(1);
    const ground = [radish(2026), radish(2027)];
    expect(of('rotation', ground, [{ ...bed, mixOn: '2026-12-01' }])).toHaveLength(1);
  });

  test('a rest is nothing that a night could harm', () => {
    const at = (crop: string) => ({
      ...aStrip(bed, crop, [1, 4], ['2026-11-01', null], null).planting,
      planned: false,
    });
    const [rest, film, mache] = [at('rest'), at('solarised'), at('mache')];
    expect(standingIn(bed.id, [rest, film, mache], '2027-01-14')).toEqual([mache]);
  });

  test('a rest holds its rows, and has nothing against anybody', () => {
    const rest = aStrip(bed, 'rest', [1, 4], ['2027-05-01', '2027-09-01'], null);
    expect(checkRelay(aYear([bed], [rest])).quarrels).toEqual([]);
    const next = aStrip(bed, 'radish', [2, 2], ['2027-06-01', '2027-08-01'], look);
    expect(of('rows-twice', [rest, next])).toHaveLength(1);
  });
});

describe('a planting’s own way of picking', () => {
  const lettuce = cropById('lettuce');
  test('outer leaves come sooner, longer and a little more; cut sooner still; back to whole is what it was', () => {
    const leaves = asPicked(lettuce, 'leaves');
    const cut = asPicked(lettuce, 'cut');
    expect(cut.pickDd).toBeLessThan(leaves.pickDd);
    expect(leaves.pickDd).toBeLessThan(lettuce.pickDd);
    expect(leaves.yieldKgPerM!).toBeGreaterThan(lettuce.yieldKgPerM!);
    expect(leaves.standDd).toBeGreaterThan(lettuce.standDd);
    const back = asPicked(leaves, 'whole');
    expect(back.pickDd).toBeCloseTo(lettuce.pickDd, -1);
    expect(back.yieldKgPerM!).toBeCloseTo(lettuce.yieldKgPerM!, 9);
    expect(asPicked(lettuce, 'whole')).toBe(lettuce);
    // leaf lettuce cut, grown on to a head, is about a head of lettuce
    const heads = asPicked(cropById('lettuce-leaf'), 'whole');
    expect(Math.abs(heads.pickDd - lettuce.pickDd)).toBeLessThan(0.1 * lettuce.pickDd);
  });

  test('a root or a tomato has one way', () => {
    expect(mayPick(cropById('carrot'))).toEqual([]);
    expect(mayPick(cropById('tomato'))).toEqual([]);
    expect(asPicked(cropById('carrot'), 'cut')).toBe(cropById('carrot'));
  });

  test('a planting carries it beside its cultivar’s own figures', () => {
    const p = { ...aStrip(bed, 'lettuce', [1, 1], ['2027-03-01', null], null).planting, cultivar: 'Brasa' };
    const own = [
      {
        id: 'c',
        crop: 'lettuce',
        name: 'Brasa',
        figures: { harvest_degree_days: 600 },
        liked: 'plain',
        note: '',
      },
    ] as const;
    const [whole, leaves] = withOwn([p, { ...p, id: 'q', picked: 'leaves' }], own, new Map());
    expect(cropOf(whole!).pickDd).toBe(600);
    expect(cropOf(leaves!)).toMatchObject({ habit: 'leaves', pickDd: 400 });
  });
});
