/** The solver against analytic answers, conservation, symmetry and refinement. */
import fc from 'fast-check';
import { MATERIAL_IDS, simulate, type Layer } from '../src';
import { exchangeFactors, spread, type Pile } from '../src/heat/optics';
import { heatContent, heatSlope } from '../src/heat/soil';
import { solveSymmetric } from '../src/heat/solve';
import { archLengthM, layerGeometry } from '../src/heat/geometry';
import { bed, BLANKET, FLEECE, FRAME, HOUSE, SITE, TUNNEL, weather } from './fixtures';
import { prepareWeather, runBed } from '../src';

const share = (a: number, b: number) => fc.double({ min: a, max: b, noNaN: true });

function pileOf(sheets: { t: number; r: number }[]): Pile {
  const count = sheets.length + 1;
  return {
    count,
    passed: Float64Array.from([...sheets.map((s) => s.t), 0]),
    reflectedTop: Float64Array.from([...sheets.map((s) => s.r * (1 - s.t)), 0.05]),
    reflectedBottom: Float64Array.from([...sheets.map((s) => s.r * (1 - s.t)), 0]),
  };
}

describe('radiation between sheets', () => {
  const sheets = fc.array(fc.record({ t: share(0, 0.95), r: share(0, 0.95) }), {
    minLength: 0,
    maxLength: 6,
  });

  test('what the sky sends is absorbed or goes back: nothing is lost', () => {
    fc.assert(
      fc.property(sheets, (list) => {
        const p = pileOf(list);
        const absorbed = new Float64Array(16);
        const back = spread(p, 100, -1, 0, 0, absorbed);
        expect(back + absorbed.slice(0, p.count).reduce((s, a) => s + a, 0)).toBeCloseTo(100, 8);
      }),
    );
  });

  test('exchange factors are symmetric, and at one temperature nothing flows', () => {
    fc.assert(
      fc.property(sheets, (list) => {
        const p = pileOf(list);
        const m = p.count;
        const f = new Float64Array(16 * 17);
        exchangeFactors(p, f);
        for (let j = 0; j < m; j++) {
          let sum = 0;
          for (let k = 0; k <= m; k++) sum += f[j * (m + 1) + k]!;
          expect(sum).toBeCloseTo(0, 8);
          for (let k = 0; k < j; k++) expect(f[j * (m + 1) + k]).toBeCloseTo(f[k * (m + 1) + j]!, 8);
        }
      }),
    );
  });

  test('one black sheet over black ground halves the exchange with the sky', () => {
    const p = pileOf([{ t: 0, r: 0 }]);
    p.reflectedTop[1] = 0;
    const f = new Float64Array(64);
    exchangeFactors(p, f);
    expect(f[1 * 3 + 0]).toBeCloseTo(1);
    expect(f[1 * 3 + 2]).toBeCloseTo(0);
  });
});

test('the symmetric solver agrees with multiplication', () => {
  fc.assert(
    fc.property(fc.array(share(-1, 1), { minLength: 36, maxLength: 36 }), (v) => {
      const n = 6;
      const a = new Float64Array(36);
      for (let i = 0; i < n; i++)
        for (let j = 0; j <= i; j++) a[i * n + j] = a[j * n + i] = i === j ? 8 + v[i]! : v[i * n + j]!;
      const x = v.slice(0, n);
      const b = Float64Array.from({ length: n }, (_, i) => x.reduce((s, xj, j) => s + a[i * n + j]! * xj, 0));
      solveSymmetric(a.slice(), b, n);
      for (let i = 0; i < n; i++) expect(b[i]).toBeCloseTo(x[i]!, 8);
    }),
  );
});

test('heat content is continuous, rises, and holds the latent heat in full', () => {
  for (let c = -3; c < 2; c += 0.05) {
    expect(heatContent(c + 1e-6, 2, 30) - heatContent(c, 2, 30)).toBeCloseTo(heatSlope(c, 2, 30) * 1e-6, 8);
  }
  expect(heatContent(1, 2, 30) - heatContent(-2, 2, 30)).toBeCloseTo(2 * 3 + 30, 10);
});

test('geometry: a half circle is π r, a box with boards has its lid for a cover', () => {
  expect(archLengthM(2, 1)).toBeCloseTo(Math.PI, 5);
  const g = layerGeometry(FRAME);
  expect(g.coverM2).toBeCloseTo(3.6);
  expect(g.boardM2).toBeCloseTo(8.4 * 0.4 * 0.85);
});

test('steady heat through the ground: an insulated bed under constant weather settles at the conduction answer', () => {
  // overcast at constant 5 °C with saturated air: sky, air and ground are all near 5; the deep ground at 10 feeds a flux
  const still = weather({ meanC: 5, swingK: 0, dewK: 0, cloud: 1, windMs: 8, hours: 48 }).map((e) => ({
    ...e,
    globalWm2: 0,
  }));
  const looped = Array.from({ length: 6 }, () => still.slice(0, 48))
    .flat()
    .map((e, i) => ({
      ...e,
      time: new Date(Date.parse('2027-01-01T00:00:00Z') + i * 3_600_000).toISOString(),
    }));
  const run = runBed(
    { ground: { deepC: 10 }, stack: [], crop: { groundCover: 0.02 } },
    prepareWeather(SITE, looped),
  );
  const last = run.leafC.length - 1;
  const [s0, s5, s10, s30] = run.soilC.map((s) => s[last]!) as [number, number, number, number];
  // the profile is close to straight near the surface: the same slope in each layer, towards the deep ground
  expect(s10 - s5).toBeGreaterThan(0);
  expect((s30 - s10) / 0.2).toBeCloseTo((s10 - s5) / 0.05, -1);
  expect(s0).toBeGreaterThan(4);
  expect(s0).toBeLessThan(10);
});

describe('books and refinement', () => {
  const stacks: [string, Layer[]][] = [
    ['open', []],
    ['house', [HOUSE]],
    ['house and fleece', [HOUSE, FLEECE]],
    ['three layers', [HOUSE, BLANKET, FLEECE]],
    ['frame', [FRAME]],
    [
      'four layers',
      [
        HOUSE,
        BLANKET,
        { ...TUNNEL, widthM: 1.3 },
        { ...FLEECE, shape: 'flat', heightM: 0.1, touchesCrop: true },
      ],
    ],
  ];

  test.each(stacks)(
    '%s: energy balances and halving step and grid moves the leaf’s minimum by under 0.1 °C',
    (_, stack) => {
      const input = {
        format: 'fogata-case/1' as const,
        site: SITE,
        weather: weather(),
        ground: { deepC: 6 },
        stack,
      };
      const coarse = simulate(input).summary;
      const fine = simulate(input, { refine: 2, maxStepS: 300 }).summary;
      expect(coarse.energyErrorWm2).toBeLessThan(0.5);
      expect(Math.abs(coarse.minLeafC - fine.minLeafC)).toBeLessThan(0.1);
    },
  );

  test('any stack of any material in any weather stays finite and balances', () => {
    const layer = fc.record({
      material: fc.constantFrom(...MATERIAL_IDS),
      shape: fc.constantFrom('arch' as const, 'box' as const, 'flat' as const),
      plies: fc.constantFrom(1 as const, 2 as const),
      tightness: fc.constantFrom('tight' as const, 'average' as const, 'drafty' as const),
    });
    const world = fc.record({
      meanC: share(-15, 25),
      windMs: share(0, 15),
      cloud: share(0, 1),
      swingK: share(0, 9),
      dewK: share(0.5, 10),
    });
    fc.assert(
      fc.property(
        fc.array(layer, { maxLength: 4 }),
        world,
        fc.constantFrom('ground' as const, 'bench' as const),
        (layers, w, on) => {
          const stack = layers.map((l, i) => ({
            ...l,
            lengthM: 12 - i,
            widthM: 4 - 0.8 * i,
            heightM: 2 - 0.45 * i,
            ventAreaM2: 2,
            open: [{ from: weather()[6]!.time, fraction: 0.5 }],
          }));
          const run = runBed(
            bed(stack, { ground: { deepC: w.meanC, on } }),
            prepareWeather(SITE, weather({ ...w, hours: 24 })),
          );
          expect(run.energyErrorWm2).toBeLessThan(0.5);
          for (const c of run.leafC) expect(c > -60 && c < 90).toBe(true);
        },
      ),
      // one draw for all, so that a red run can be run again
      { numRuns: 80, seed: 20270114 },
    );
  });
});

test('what was opened and is shut is shut at once, in steps of an hour as in steps of a minute', () => {
  const sunny = weather({ meanC: 10, cloud: 0.05, windMs: 2, startAtMs: Date.parse('2027-04-12T00:00:00Z') });
  const at = (hour: number) => `2027-04-12T${String(hour).padStart(2, '0')}:00:00Z`;
  const house: Layer = {
    ...HOUSE,
    ventAreaM2: 14,
    open: [
      { from: at(8), fraction: 0.5 },
      { from: at(14), fraction: 0 },
    ],
  };
  const leafAt = (stepS: number, hour: number) => {
    const run = runBed({ ground: { deepC: 10 }, stack: [house] }, prepareWeather(SITE, sunny, stepS));
    return run.leafC[run.entryAtMs.indexOf(Date.parse(at(hour)))]!;
  };
  // an hour after, a coefficient still on its way from open to shut was 7 K too cold
  for (const hour of [15, 16, 17]) expect(Math.abs(leafAt(3600, hour) - leafAt(60, hour))).toBeLessThan(1.6);
  expect(leafAt(3600, 15) - leafAt(3600, 14)).toBeGreaterThan(4);
});
