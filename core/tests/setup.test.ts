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
  onFarm,
  tightnessOf,
  ventAreaOf,
  zoneOffsetC,
} from '../src';
import { aBed, aStructure, simulationCase } from './fixtures';

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
