/** Setting up: templates that stand, plain answers, zones, and where things lie. */
import {
  bedCentres,
  bedSpec,
  checkCase,
  cornersOf,
  FORM_INFO,
  formOf,
  FORMS,
  layoutOf,
  measureFrom,
  measureIn,
  measureText,
  onFarm,
  prepareWeather,
  runBed,
  runWithWax,
  shadeShown,
  structureIndex,
  tightnessOf,
  ventAreaOf,
  waxShare,
  zoneOffsetC,
} from '../src';
import { aBed, aCover, aStructure, bed, HOUSE, simulationCase, SITE, weather } from './fixtures';

test.each(FORMS)('%s: every template runs in the engine as it is', (form) => {
  const info = FORM_INFO[form];
  expect(info.templates.length).toBeGreaterThan(0);
  for (const { draft } of info.templates) {
    expect(draft.kind).toBe(info.kind);
    expect(formOf(draft)).toBe(form);
    expect(draft.ventAreaM2).toBe(ventAreaOf(draft.openings ?? []));
    const structure = { ...draft, id: 's', order: 0 };
    const spec = bedSpec(structure, aBed({ lengthM: draft.lengthM, widthM: 0.4, hoopHeightM: 0 }), [], [], {
      deepC: 6,
    });
    expect(checkCase({ ...simulationCase(), ...spec })).toBeNull();
  }
});

test('three plain answers make one word, and open ends alone make a house drafty', () => {
  expect(tightnessOf({ ends: 0, edges: 0, skin: 0 })).toBe('tight');
  expect(tightnessOf({ ends: 1, edges: 1, skin: 0 })).toBe('average');
  expect(tightnessOf({ ends: 2, edges: 0, skin: 0 })).toBe('drafty');
  expect(tightnessOf({ ends: 1, edges: 2, skin: 1 })).toBe('drafty');
});

test('a zone has its starting value until it is measured', () => {
  expect(zoneOffsetC({})).toBe(0);
  expect(zoneOffsetC({ zone: 'door' })).toBeLessThan(0);
  expect(zoneOffsetC({ zone: 'door', zoneOffsetC: 0.3 })).toBe(0.3);
});

test('water, shade and a hot bed reach the engine', () => {
  const s = aStructure({
    waterLitres: 600,
    shade: 'shade-50',
    heat: { kind: 'manure', wm2: 50 },
    lengthM: 20,
    widthM: 6,
  });
  const spec = bedSpec(s, aBed(), [], [], { deepC: 6 });
  expect(spec.mass).toEqual({ waterLitres: 5 });
  expect(spec.heat).toEqual({ bottomWm2: 50 });
  expect(spec.stack.map((l) => l.material)).toEqual(['shade-50', 'pe-film']);
  expect(checkCase({ ...simulationCase(), ...spec })).toBeNull();
});

test('shade cloth on a house moves the house one layer in, and steps back for a fourth cover', () => {
  const s = aStructure({ shade: 'shade-30' });
  const one = [aCover({ use: 'hoops' })];
  expect(structureIndex(s, one)).toBe(1);
  expect(bedSpec(s, aBed(), [], one, { deepC: 6 }).stack[1]!.material).toBe('pe-film');
  const three = [one[0]!, one[0]!, aCover({ id: 'x', use: 'flat' })];
  // over a house it stays whatever lies on one of its beds: they share it
  expect(shadeShown(s, three)).toBe(true);
  const tunnel = aStructure({ kind: 'tunnel', shade: 'shade-30' });
  expect(shadeShown(tunnel, three)).toBe(false);
  expect(structureIndex(tunnel, three)).toBe(0);
  expect(bedSpec(tunnel, aBed(), [], three, { deepC: 6 }).stack).toHaveLength(4);
});

describe('what opens by wax', () => {
  const openings = [{ name: 'Roof', kind: 'hinged' as const, areaM2: 3, wax: { startC: 14, fullC: 24 } }];
  const april = prepareWeather(
    SITE,
    weather({ startAtMs: Date.parse('2027-04-10T06:00:00Z'), meanC: 10, hours: 24 }),
  );
  const glass = {
    ...HOUSE,
    shape: 'box' as const,
    material: 'glass' as const,
    lengthM: 6,
    widthM: 3,
    heightM: 2.2,
    ventAreaM2: 3,
  };
  const run = (open: { from: string; fraction: number }[]) => runBed(bed([{ ...glass, open }]), april);
  const peak = (r: ReturnType<typeof run>) => Math.max(...r.layerAirC[0]!);

  test('is shut when it is cold, half way in the middle, wide open when it is hot', () => {
    expect([10, 14, 19, 24, 40].map((c) => waxShare(c, { startC: 14, fullC: 24 }))).toEqual([
      0, 0, 0.5, 1, 1,
    ]);
  });

  test('takes the heat off a sunny day, less than all of it open from the morning', () => {
    const shut = peak(run([]));
    const wide = peak(run([{ from: '2027-04-10T00:00:00Z', fraction: 1 }]));
    const wax = peak(runWithWax(run, 0, openings, 3, () => 0));
    expect(wax).toBeLessThan(shut - 3);
    expect(wax).toBeGreaterThanOrEqual(wide - 0.5);
  });

  test('stays shut through a cold night: the leaf is as under a shut house', () => {
    const night = (r: ReturnType<typeof run>) => Math.min(...Array.from(r.leafC).slice(14, 24));
    // opened by hand for the same hours of the day and shut at night, it comes to the same
    const byNight = (ms: number) =>
      ms >= Date.parse('2027-04-10T20:00:00Z') || ms < Date.parse('2027-04-10T06:00:00Z');
    const opened: { from: string; fraction: number }[] = [];
    const wax = runWithWax(
      (open) => {
        opened.splice(0, opened.length, ...open);
        return run(open);
      },
      0,
      openings,
      3,
      () => 0,
    );
    expect(opened.filter((o) => byNight(Date.parse(o.from))).every((o) => o.fraction < 0.01)).toBe(true);
    expect(night(wax)).toBeGreaterThan(night(run([])) - 0.8);
  });
});

describe('where things lie', () => {
  test('what was never placed lies in a column and does not touch what was', () => {
    const list = [
      aStructure({ id: 'a', at: { xM: 5, yM: 50, turnDeg: 0 } }),
      aStructure({ id: 'b' }),
      aStructure({ id: 'c' }),
    ];
    const layout = layoutOf(list);
    expect(layout.get('a')).toEqual({ xM: 5, yM: 50, turnDeg: 0 });
    const span = (id: string) => {
      const ys = cornersOf(layout.get(id)!, 20, 6).map((p) => p[1]);
      return [Math.min(...ys), Math.max(...ys)] as const;
    };
    expect(span('b')[0]).toBeGreaterThan(span('c')[1]);
  });

  test('turned by 90° from north its length runs east', () => {
    const [x, y] = onFarm({ xM: 1, yM: 2, turnDeg: 90 }, 10, 0);
    expect(x).toBeCloseTo(11);
    expect(y).toBeCloseTo(2);
  });

  test('a turn keeps every length', () => {
    for (const turnDeg of [0, 17, 90, 203, 359]) {
      const c = cornersOf({ xM: 3, yM: -4, turnDeg }, 20, 6);
      expect(Math.hypot(c[0]![0] - c[1]![0], c[0]![1] - c[1]![1])).toBeCloseTo(20);
      expect(Math.hypot(c[1]![0] - c[2]![0], c[1]![1] - c[2]![1])).toBeCloseTo(6);
    }
  });

  test('beds lie side by side within the house, none on another', () => {
    const beds = ['a', 'b', 'c', 'd'].map((id) => aBed({ id, widthM: 1 }));
    const at = [...bedCentres(aStructure({ widthM: 6 }), beds).values()].map((p) => p.acrossM);
    for (let i = 1; i < at.length; i++) expect(at[i]! - at[i - 1]!).toBeGreaterThanOrEqual(1);
    expect(at[0]! - 0.5).toBeGreaterThanOrEqual(-3);
    expect(at[3]! + 0.5).toBeLessThanOrEqual(3);
  });
});

test.each([
  ['area', 10, '10 m²', '107.6 ft²'],
  ['height', 840, '840 m', '2755.9 ft'],
  ['volume', 100, '100 l', '26.4 gal'],
  ['load', 50, '50 kg/m²', '10.2 lb/ft²'],
  ['speed', 10, '10 m/s', '22.4 mph'],
] as const)('%s in both kinds of unit, and back without a loss', (what, x, si, feet) => {
  expect(measureText(x, what, 'm')).toBe(si);
  expect(measureText(x, what, 'ft')).toBe(feet);
  for (const unit of ['m', 'ft'] as const)
    expect(measureFrom(measureIn(x, what, unit), what, unit)).toBeCloseTo(x, 9);
});
