/** What each law has to bring about, where an earlier one did not: in wind, on mulch, in thin air, with frost and snow. */
import {
  airHeatJM3K,
  clearSkyWm2,
  clothMsPa,
  drivingPa,
  horizonOf,
  layerGeometry,
  mixingWm2K,
  openGroundWm2K,
  prepareWeather,
  pressurePa,
  runBed,
  skinResistanceSm,
  skyEmissivity,
  soilProps,
  standingCoverWm2K,
  stomataSm,
  surfacePa,
  throughCloth,
  throughOpening,
  windAcross,
  type BedSpec,
  type Layer,
  type WeatherEntry,
} from '../src';
import { saturationSurfacePa } from '../src/sky/air';
import {
  aStructure,
  bed,
  FLEECE,
  FRAME,
  HOUSE,
  night,
  nightMax,
  nightMin,
  SITE,
  TUNNEL,
  weather,
} from './fixtures';

const flat: Layer = { ...FLEECE, shape: 'flat', heightM: 0.1, material: 'fleece-17', touchesCrop: true };
const leaf = (stack: Layer[], sky = {}, more: Partial<BedSpec> = {}) =>
  nightMin(night(stack, sky, more).leafC);

describe('air through cloth', () => {
  test('falls with the weight and is of the order of non-wovens: litres a second for each square metre and Pascal', () => {
    expect(clothMsPa(17)).toBeGreaterThan(0.03);
    expect(clothMsPa(17)).toBeLessThan(0.06);
    expect(clothMsPa(50)).toBeCloseTo(clothMsPa(17) * (17 / 50), 6);
  });

  test('the docstrings’ figures: what drives it, and what goes through a tunnel of 30 g', () => {
    expect(drivingPa(0.5, 5, 0, 0.3)).toBeCloseTo(0.057, 3);
    expect(throughCloth(1.5, clothMsPa(30), 0.056) * 1000).toBeCloseTo(1.05, 1);
  });

  test('a gale takes from fleece on hoops most of what it holds in still air', () => {
    const gain = (windMs: number) => leaf([FLEECE], { windMs, cloud: 1 }) - leaf([], { windMs, cloud: 1 });
    expect(gain(10)).toBeLessThan(0.5 * gain(0.5));
    expect(gain(10)).toBeGreaterThan(0);
  });

  test('by day a gale leaves less than half of the heat under it', () => {
    const spring = { startAtMs: Date.parse('2027-03-01T06:00:00Z'), meanC: 6, swingK: 4, hours: 18 };
    const excess = (windMs: number) => {
      const r = night([FLEECE], { ...spring, windMs });
      return Math.max(...r.canopyAirC.map((c, i) => c - r.outsideC[i]!));
    };
    expect(excess(8)).toBeLessThan(0.5 * excess(0.7));
  });

  test('damp goes through cloth that holds the air: under film it stays, under fleece it leaves', () => {
    expect(nightMin(night([TUNNEL]).humidity)).toBeGreaterThan(nightMin(night([FLEECE]).humidity));
  });
});

describe('the outside of a cover', () => {
  test('a calm night takes 3 to 4 W/(m² K) off a tunnel, a wind of 6 m/s several times that', () => {
    const calm = standingCoverWm2K(0.35, 1.2, 3);
    expect(calm).toBeGreaterThan(2.5);
    expect(calm).toBeLessThan(4);
    expect(standingCoverWm2K(3, 1.2, 1)).toBeGreaterThan(4 * calm);
  });

  test('a sheet that lies exchanges in wind what bare ground does, and a still night under 3', () => {
    expect(openGroundWm2K(6, 0, 0, 0.01)).toBeGreaterThan(15);
    expect(openGroundWm2K(0.3, 5, 0, 0.01)).toBeLessThanOrEqual(2);
  });

  test('on a mulched bed fleece is not colder than none', () => {
    const mulched = { ground: { deepC: 6, mulch: { material: 'straw' as const, thicknessM: 0.05 } } };
    for (const windMs of [0.5, 2, 6])
      for (const cloud of [0, 0.6, 1])
        expect(leaf([flat], { windMs, cloud }, mulched)).toBeGreaterThan(
          leaf([], { windMs, cloud }, mulched) - 0.05,
        );
  });

  test('over the crop a net and a film are not the same: shade lowers the peak of an open house', () => {
    const may = { startAtMs: Date.parse('2027-05-15T00:00:00Z'), meanC: 15, windMs: 2, hours: 24 };
    const open = [{ from: '2027-05-15T00:00:00Z', fraction: 0.5 }];
    const shade = (material: 'shade-30' | 'shade-50'): Layer => ({
      ...HOUSE,
      lengthM: 20.2,
      widthM: 6.2,
      heightM: 2.7,
      material,
      ventAreaM2: 0,
    });
    const peak = (stack: Layer[]) => nightMax(night(stack, may).canopyAirC);
    const bare = peak([{ ...HOUSE, open }]);
    expect(bare - peak([shade('shade-30'), { ...HOUSE, open }])).toBeGreaterThan(0.7);
    expect(bare - peak([shade('shade-50'), { ...HOUSE, open }])).toBeGreaterThan(1.5);
  });
});

test('the air among the leaves mixes the more the warmer it is, and hardly where it lies cold', () => {
  expect(mixingWm2K(0.1, 4, 0.03, 1275)).toBeGreaterThan(1.5 * mixingWm2K(0.1, 1, 0.03, 1275));
  expect(mixingWm2K(0.1, -4, 0.03, 1275)).toBeLessThan(0.5 * mixingWm2K(0.1, 1, 0.03, 1275));
});

describe('dew and frost', () => {
  const humid = { dewK: 3 };

  test('gather on the outer face on a clear night and are carried to the next run', () => {
    const r = night([HOUSE], { ...humid, hours: 17 });
    const layer = Object.values(r.end.layers!)[0]!;
    expect(layer.dewKgM2!).toBeGreaterThan(0.02);
    expect(layer.frostKgM2!).toBeGreaterThan(0.005);
  });

  test('close a plain film to the sky: a damp night costs less than a dry one of the same cold', () => {
    const dry = nightMin(night([HOUSE], { dewK: 14 }).leafC);
    expect(nightMin(night([HOUSE], humid).leafC)).toBeGreaterThan(dry);
  });

  test('a thermal film is never made clearer by water than it was dry', () => {
    const rain = (mm: number): WeatherEntry[] => weather().map((e) => ({ ...e, rainMm: mm }));
    const thermal = bed([{ ...HOUSE, material: 'pe-film-ir' as const }]);
    const at = (mm: number) => nightMin(runBed(thermal, prepareWeather(SITE, rain(mm))).leafC);
    expect(at(0.5)).toBeGreaterThan(at(0) - 0.1);
  });

  test('frost gives off the heat of sublimation: the books close on a night of it', () => {
    expect(night([HOUSE], { ...humid, meanC: -8 }).energyErrorWm2).toBeLessThan(0.5);
    expect(night([], { ...humid, meanC: -8 }).energyErrorWm2).toBeLessThan(0.5);
  });
});

describe('thin air', () => {
  test('holds less heat, sends less from the sky, lets more sun through', () => {
    expect(pressurePa(1500)).toBeCloseTo(84_800, -3);
    expect(airHeatJM3K(pressurePa(1500)) / airHeatJM3K(pressurePa(0))).toBeCloseTo(0.837, 2);
    expect(skyEmissivity(-4, 0, pressurePa(1500))).toBeCloseTo(0.672, 2);
    expect(clearSkyWm2(0.5, 1500)).toBeGreaterThan(clearSkyWm2(0.5, 0));
  });

  test('leaves a leaf colder at 1,500 m than at the sea under the same air', () => {
    const at = (elevationM: number) =>
      nightMin(runBed(bed([]), prepareWeather({ ...SITE, elevationM }, weather({ hours: 24 }))).leafC);
    expect(at(0) - at(1500)).toBeGreaterThan(0.2);
  });

  test('saturation from the table is saturation', () => {
    for (let c = -40; c < 50; c += 0.37) expect(surfacePa(c) / saturationSurfacePa(c)).toBeCloseTo(1, 3);
  });
});

describe('soil', () => {
  test('a field soil holds 1.0 to 1.15 MJ/(m³ K) in what is solid; under a dry crust it is moist', () => {
    const loam = soilProps({ deepC: 5 });
    expect((loam.capacityJm3K - loam.water * 4.18e6) / 1e6).toBeCloseTo(1.05, 2);
    const dry = { deepC: 5, wetness: 'dry' as const };
    expect(soilProps(dry, 0.02).conductivityWmK).toBeLessThan(0.5 * soilProps(dry, 0.2).conductivityWmK);
    expect(soilProps(dry, 0.2)).toEqual(soilProps({ deepC: 5 }, 0.2));
  });

  test('its skin closes as it dries, and a moist bed dries on a sunny day and wets again in the night', () => {
    expect(skinResistanceSm(0.25, 0.42)).toBe(10);
    expect(skinResistanceSm(0.05, 0.42)).toBeGreaterThan(200);
    const spring = { startAtMs: Date.parse('2027-04-20T06:00:00Z'), meanC: 14, windMs: 2 };
    const bare = { crop: { heightM: 0.03, groundCover: 0.05 }, ground: { deepC: 10, surfaceC: 12 } };
    const noon = night([], { ...spring, hours: 10 }, bare).end.skinWater![0]!;
    const later = night([], { ...spring, hours: 24 }, bare).end.skinWater![0]!;
    expect(noon).toBeLessThan(0.24);
    expect(later).toBeGreaterThan(noon);
  });

  test('stomata are open in light and shut in the dark', () => {
    expect(stomataSm(0)).toBeCloseTo(2500);
    expect(stomataSm(150)).toBeCloseTo(120);
  });
});

describe('joints and openings', () => {
  test('an opening passes what the cited law says for its own area, by stack and by wind', () => {
    // Q = (A/2) C_d √(2g (H/2) ΔT/T) with A 2 m², H 1 m, ΔT 10 K
    expect(throughOpening(2, 1, 10, 0)).toBeCloseTo(0.65 * Math.sqrt((9.81 * 10) / 273.15), 3);
    expect(throughOpening(2, 1, 0, 4)).toBeCloseTo(0.65 * Math.sqrt(0.1 * 16), 3);
  });

  test('wind on the long side opens wider than wind along it', () => {
    expect(windAcross(0, 90)).toBeCloseTo(1.6);
    expect(windAcross(0, 180)).toBeCloseTo(0.4);
    expect(windAcross(undefined, 90)).toBe(1);
    expect(windAcross(0, NaN)).toBe(1);
  });
});

describe('frames', () => {
  test('banked is warmer than standing, sunk warmer still', () => {
    const at = (footing: 'standing' | 'banked' | 'sunk') => leaf([{ ...FRAME, footing }]);
    expect(at('banked')).toBeGreaterThan(at('standing') + 0.2);
    expect(at('sunk')).toBeGreaterThan(at('banked'));
  });

  test('with earth against its sides a mat over it is its lid alone', () => {
    expect(layerGeometry({ ...FRAME, sides: 'cover', footing: 'sunk' }).coverM2).toBeCloseTo(3.6);
    expect(layerGeometry({ ...FRAME, sides: 'cover' }).coverM2).toBeGreaterThan(6);
  });
});

describe('snow', () => {
  const fallen = (meanC: number): WeatherEntry[] =>
    weather({ meanC }).map((e, i) => ({ ...e, snowMm: i > 3 && i < 8 ? 25 : 0 }));

  test('that lies on a bed lies there still when a sheet is put over it', () => {
    const on = [
      { from: new Date(Date.parse('2027-01-14T22:00:00Z')).toISOString(), to: '2030-01-01T00:00:00Z' },
    ];
    const r = runBed(bed([{ ...FLEECE, on }]), prepareWeather(SITE, fallen(-4)));
    expect(r.end.snow!.on).toBe('open bed');
    expect(r.end.snow!.depthM).toBeGreaterThan(0.05);
    const bare = runBed(bed([{ ...FLEECE, on }]), prepareWeather(SITE, weather({ meanC: -4 })));
    expect(nightMin(r.leafC)).toBeGreaterThan(nightMin(bare.leafC));
  });

  test('melts without a leap: no hour drops by more than the air and the sky explain', () => {
    for (const stack of [[], [HOUSE], [TUNNEL], [HOUSE, FLEECE]])
      for (const meanC of [-1, 0, 1, 2, 3]) {
        const r = runBed(bed(stack), prepareWeather(SITE, fallen(meanC), 3600), { audit: true });
        for (let i = 1; i < r.leafC.length; i++) expect(r.leafC[i]! - r.leafC[i - 1]!).toBeGreaterThan(-7);
        expect(r.energyErrorWm2).toBeLessThan(0.5);
      }
  });
});

describe('what stands around', () => {
  const at = (xM: number, yM: number) => ({ xM, yM, turnDeg: 90 });
  const here = aStructure({ id: 'a', kind: 'house', at: at(0, 0) });
  const south = aStructure({ id: 'b', kind: 'house', heightM: 4, at: at(0, -9) });

  test('a house to the south stands in the sun’s way, one to the north does not', () => {
    const horizon = horizonOf(here, [here, south])!;
    expect(horizon.deg[18]!).toBeGreaterThan(15);
    expect(horizon.deg[0]).toBe(0);
    expect(horizonOf(here, [here])).toBeNull();
  });

  test('it takes light from a winter’s day and less from a summer’s', () => {
    const horizon = horizonOf(here, [here, south])!;
    const light = (start: string) => {
      const sky = prepareWeather(SITE, weather({ startAtMs: Date.parse(start), hours: 24, meanC: 10 }));
      const sum = (spec: BedSpec) => runBed(spec, sky).cropSunWm2.reduce((s, x) => s + x, 0);
      return sum({ ...bed([HOUSE]), horizon }) / sum(bed([HOUSE]));
    };
    expect(light('2027-01-14T00:00:00Z')).toBeLessThan(0.85);
    expect(light('2027-06-14T00:00:00Z')).toBeGreaterThan(0.9);
  });

  test('a house across the winter sun passes more of it than one along it', () => {
    const sky = prepareWeather(SITE, weather({ hours: 24, startAtMs: Date.parse('2027-01-14T00:00:00Z') }));
    const light = (turnDeg: number) =>
      runBed(bed([{ ...HOUSE, turnDeg }]), sky).cropSunWm2.reduce((s, x) => s + x, 0);
    expect(light(90)).toBeGreaterThan(1.02 * light(0));
  });
});
