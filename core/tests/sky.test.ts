import {
  clearSkyWm2,
  cloudyWm2,
  dayLengthH,
  dewPointC,
  diffuseShare,
  relativeHumidity,
  saturationPa,
  skyC,
  sunPosition,
  sunTimes,
} from '../src';

describe('sun', () => {
  test('stands at 61.9° over London at noon of the June solstice, due south', () => {
    const p = sunPosition(Date.parse('2026-06-21T12:02:00Z'), 51.5, 0);
    expect(p.elevationDeg).toBeCloseTo(61.9, 0);
    expect(p.azimuthDeg).toBeGreaterThan(178);
    expect(p.azimuthDeg).toBeLessThan(182);
  });

  test('stands due north at noon in Melbourne', () => {
    const noon = sunTimes(Date.parse('2026-06-21T02:00:00Z'), -37.8, 145)!.noonAtMs;
    const p = sunPosition(noon, -37.8, 145);
    expect(Math.min(p.azimuthDeg, 360 - p.azimuthDeg)).toBeLessThan(1.5);
    expect(p.elevationDeg).toBeCloseTo(90 - 37.8 - 23.44, 0);
  });

  test.each([
    ['2026-12-21', 52, 7.7],
    ['2026-06-21', 52, 16.8],
    ['2026-03-20', 0, 12.1],
    ['2026-12-21', -52, 16.8],
  ])('day of %s at latitude %d lasts %d h', (date, latitude, hours) => {
    expect(dayLengthH(Date.parse(`${date}T12:00:00Z`), latitude)).toBeCloseTo(hours, 0);
  });

  test('does not rise in polar night and does not set in polar day', () => {
    expect(dayLengthH(Date.parse('2026-12-21T12:00:00Z'), 75)).toBe(0);
    expect(dayLengthH(Date.parse('2026-06-21T12:00:00Z'), 75)).toBe(24);
    expect(sunTimes(Date.parse('2026-12-21T12:00:00Z'), 75, 20)).toBeNull();
  });

  test('rises and sets where the elevation is just under the horizon', () => {
    const t = sunTimes(Date.parse('2027-01-14T12:00:00Z'), 42.7, -5.4)!;
    expect(sunPosition(t.riseAtMs, 42.7, -5.4).elevationDeg).toBeCloseTo(-0.833, 0);
    expect(sunPosition(t.setAtMs, 42.7, -5.4).elevationDeg).toBeCloseTo(-0.833, 0);
  });
});

describe('radiation', () => {
  test('clear sky is what FAO-56 has for a day at sea level, more on a mountain, less in moist air, none by night', () => {
    // (0.75 + 2e-5 z) of what comes from outside, within a twentieth, over the sun's middle heights
    for (const cos of [0.6, 0.75, 0.9]) {
      expect(clearSkyWm2(cos, 0, 1200) / (1367 * cos)).toBeGreaterThan(0.71);
      expect(clearSkyWm2(cos, 0, 1200) / (1367 * cos)).toBeLessThan(0.79);
    }
    expect(clearSkyWm2(0.7, 1500)).toBeGreaterThan(1.02 * clearSkyWm2(0.7, 0));
    expect(clearSkyWm2(0.7, 0, 2500)).toBeLessThan(clearSkyWm2(0.7, 0, 400));
    expect(clearSkyWm2(-0.2)).toBe(0);
  });

  test('full cloud leaves a quarter', () => {
    expect(cloudyWm2(800, 1)).toBeCloseTo(200);
    expect(cloudyWm2(800, 0)).toBe(800);
  });

  test('is all diffuse under thick cloud and mostly direct on a clear noon', () => {
    expect(diffuseShare(50, 0.5)).toBeGreaterThan(0.97);
    expect(diffuseShare(1000, 0.95)).toBeLessThan(0.3);
  });

  test('a clear sky is some 20 K colder than the air, an overcast one hardly', () => {
    expect(skyC(0, -4, 0)).toBeLessThan(-17);
    expect(skyC(0, -4, 0)).toBeGreaterThan(-26);
    expect(skyC(0, -1, 1)).toBeGreaterThan(-5);
  });
});

describe('moist air', () => {
  test.each([
    [0, 611],
    [20, 2333],
    [-10, 287],
  ])('saturation at %d °C is about %d Pa', (c, pa) => {
    expect(Math.abs(saturationPa(c) - pa) / pa).toBeLessThan(0.01);
  });

  test('dew point and relative humidity are each other’s inverse', () => {
    for (const c of [-15, 0, 12, 30])
      for (const rh of [0.2, 0.6, 0.99]) expect(relativeHumidity(c, dewPointC(c, rh))).toBeCloseTo(rh, 5);
  });
});
