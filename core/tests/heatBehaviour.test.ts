/** What every grower knows must come out of the physics. */
import { prepareWeather, runBed } from '../src';
import {
  bed,
  BLANKET,
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

const leaf = (...args: Parameters<typeof night>) => nightMin(night(...args).leafC);

describe('a clear calm night', () => {
  const outside = nightMin(weather().map((e) => e.airC));

  test('a single film ends near the outside temperature, and may be below it', () => {
    const house = nightMin(night([HOUSE]).layerAirC[0]!);
    expect(Math.abs(house - outside)).toBeLessThan(2);
  });

  test('an open leaf is colder than the air', () => {
    expect(leaf([])).toBeLessThan(outside - 1);
  });

  test('the same film with a fleece close over the crop is several degrees warmer', () => {
    expect(leaf([HOUSE, FLEECE]) - leaf([HOUSE])).toBeGreaterThan(2.5);
  });

  test('a third layer over that still pays', () => {
    expect(leaf([HOUSE, BLANKET, FLEECE]) - leaf([HOUSE, FLEECE])).toBeGreaterThan(1);
  });

  test('film that stops thermal radiation is warmer than film that lets it through', () => {
    expect(leaf([{ ...HOUSE, material: 'pe-film-ir' }])).toBeGreaterThan(leaf([HOUSE]));
  });

  test('an aluminised blanket beats a tarp', () => {
    expect(leaf([{ ...TUNNEL, material: 'foil-blanket' }])).toBeGreaterThan(
      leaf([{ ...TUNNEL, material: 'tarp' }]),
    );
  });

  test('two plies beat one', () => {
    expect(leaf([{ ...HOUSE, plies: 2 }])).toBeGreaterThan(leaf([HOUSE]));
  });

  test('wet soil beats dry', () => {
    const wet = leaf([HOUSE], {}, { ground: { deepC: 6, wetness: 'wet' } });
    const dry = leaf([HOUSE], {}, { ground: { deepC: 6, wetness: 'dry' } });
    expect(wet - dry).toBeGreaterThan(1);
  });

  test('under a cover of its own a bed in the ground beats a bench', () => {
    const on = (where: 'bench' | 'ground') => leaf([HOUSE, FLEECE], {}, { ground: { deepC: 6, on: where } });
    // by how much is held to what is reported (n30)
    expect(on('ground') - on('bench')).toBeGreaterThan(0.2);
  });

  test('mulch keeps the soil warm and makes the leaf above it colder', () => {
    const mulched = { ground: { deepC: 6, mulch: { material: 'straw' as const, thicknessM: 0.05 } } };
    expect(leaf([HOUSE], {}, mulched)).toBeLessThan(leaf([HOUSE]) - 0.5);
    expect(nightMin(night([HOUSE], {}, mulched).soilC[1])).toBeGreaterThan(nightMin(night([HOUSE]).soilC[1]));
  });

  test('a sheet that lies on the leaves leaves them colder than one on hoops', () => {
    const flat = { ...FLEECE, shape: 'flat' as const, heightM: 0.1, touchesCrop: true };
    expect(leaf([HOUSE, flat])).toBeLessThan(leaf([HOUSE, FLEECE]));
  });

  test('heat from below and in the air lifts the leaf', () => {
    expect(leaf([FRAME], {}, { heat: { bottomWm2: 60 } })).toBeGreaterThan(leaf([FRAME]) + 1);
    expect(leaf([FRAME], {}, { heat: { airWm2: 60 } })).toBeGreaterThan(leaf([FRAME]) + 1);
  });
});

describe('wind and cloud', () => {
  test('cloud and wind bring inside and outside together', () => {
    const calm = night([HOUSE]);
    const rough = night([HOUSE], { windMs: 8, cloud: 1 });
    const gap = (r: typeof calm) => Math.abs(nightMin(r.coverC[0]!) - nightMin(r.outsideC));
    expect(gap(rough)).toBeLessThan(gap(calm));
  });

  test('a tight house beats a draughty one in wind', () => {
    const w = { windMs: 6, cloud: 1 };
    const gain = leaf([{ ...HOUSE, tightness: 'tight' }], w) - leaf([{ ...HOUSE, tightness: 'drafty' }], w);
    expect(gain).toBeGreaterThan(0.3);
  });

  test('a big house beats a small one', () => {
    expect(leaf([{ ...HOUSE, lengthM: 40, widthM: 9, heightM: 3.5 }], { windMs: 2 })).toBeGreaterThan(
      leaf([{ ...HOUSE, lengthM: 4, widthM: 1.5, heightM: 0.8 }], { windMs: 2 }),
    );
  });

  test('the middle of wide ground beats a narrow strip: the edge leaks heat', () => {
    const narrow = night([{ ...TUNNEL, widthM: 0.5, heightM: 0.5 }], { windMs: 2 });
    const wide = night([{ ...TUNNEL, widthM: 3, heightM: 0.5 }], { windMs: 2 });
    expect(nightMin(wide.soilC[3])).toBeGreaterThan(nightMin(narrow.soilC[3]));
  });
});

describe('by day', () => {
  const spring = { startAtMs: Date.parse('2027-04-20T00:00:00Z'), meanC: 12, swingK: 7, windMs: 1 };
  const open = [{ from: new Date(spring.startAtMs).toISOString(), fraction: 1 }];

  test('a closed frame in full sun goes far beyond what any crop stands', () => {
    expect(nightMax(night([FRAME], spring).canopyAirC)).toBeGreaterThan(38);
  });

  test('an opening of a tenth of its floor takes most of that off', () => {
    const top = nightMax(weather(spring).map((e) => e.airC));
    const shut = nightMax(night([FRAME], spring).layerAirC[0]!) - top;
    const vented = nightMax(night([{ ...FRAME, open }], spring).layerAirC[0]!) - top;
    expect(vented / shut).toBeLessThan(0.5);
  });

  test('shade cloth lowers the peak by several degrees', () => {
    const shade = { ...HOUSE, lengthM: 20.2, widthM: 6.2, heightM: 2.7, material: 'shade-50' as const };
    expect(
      nightMax(night([HOUSE], spring).canopyAirC) - nightMax(night([shade, HOUSE], spring).canopyAirC),
    ).toBeGreaterThan(3);
  });

  test('water jugs take off both extremes', () => {
    const jugs = { mass: { waterLitres: 50 } };
    const plain = night([FRAME], { meanC: 4, windMs: 1 });
    const held = night([FRAME], { meanC: 4, windMs: 1 }, jugs);
    expect(nightMin(held.leafC)).toBeGreaterThan(nightMin(plain.leafC) + 0.5);
    expect(nightMax(held.canopyAirC)).toBeLessThan(nightMax(plain.canopyAirC));
  });

  test('an opaque blanket forgotten by day costs the day’s heat and the next night', () => {
    const at = (h: number) => new Date(Date.parse('2027-01-14T12:00:00Z') + h * 3_600_000).toISOString();
    const nightly = {
      ...BLANKET,
      on: [
        { from: at(4), to: at(21) },
        { from: at(28), to: at(48) },
      ],
    };
    const forgotten = { ...BLANKET, on: [{ from: at(4), to: at(48) }] };
    const second = (l: typeof nightly) => {
      const r = night([HOUSE, l, FLEECE]);
      return { day: Math.max(...r.canopyAirC.slice(22, 28)), night: Math.min(...r.leafC.slice(30, 46)) };
    };
    expect(second(nightly).day - second(forgotten).day).toBeGreaterThan(4);
    expect(second(nightly).night - second(forgotten).night).toBeGreaterThan(0.2);
  });

  test('a layer that is off is told as off, and the crop stands within a degree of where it would without it', () => {
    const off = runBed(bed([HOUSE, { ...FLEECE, on: [] }]), prepareWeather(SITE, weather()));
    expect(off.layerAirC[1]!.every(Number.isNaN)).toBe(true);
    expect(Math.abs(nightMin(off.leafC) - leaf([HOUSE]))).toBeLessThan(1);
  });
});

describe('snow, rain, poles', () => {
  const snowy = weather().map((e, i) => ({ ...e, snowMm: i > 2 && i < 8 ? 20 : 0 }));

  test('snow on a tunnel keeps it warmer in the night and darker by day', () => {
    const white = runBed(bed([TUNNEL]), prepareWeather(SITE, snowy));
    const bare = runBed(bed([TUNNEL]), prepareWeather(SITE, weather()));
    expect(nightMin(white.leafC)).toBeGreaterThan(nightMin(bare.leafC) + 1);
    expect(white.energyErrorWm2).toBeLessThan(0.5);
  });

  test('rain closes a film to thermal radiation', () => {
    const rainy = weather().map((e) => ({ ...e, rainMm: 1 }));
    const wet = runBed(bed([HOUSE]), prepareWeather(SITE, rainy));
    expect(nightMin(wet.leafC)).toBeGreaterThan(leaf([HOUSE]));
  });

  test.each([
    ['polar night', 78, '2027-01-10T00:00:00Z'],
    ['polar day', 78, '2026-06-20T00:00:00Z'],
    ['southern winter', -45, '2026-07-10T00:00:00Z'],
  ])('%s runs and balances', (_, latitude, start) => {
    const run = runBed(
      bed([HOUSE, FLEECE]),
      prepareWeather({ latitude, longitude: 20 }, weather({ startAtMs: Date.parse(start) })),
    );
    expect(run.energyErrorWm2).toBeLessThan(0.5);
    expect(run.leafC.every(Number.isFinite)).toBe(true);
  });
});
