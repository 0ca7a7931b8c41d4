/** Shade of rows, against the sun's way worked by hand. */
import fc from 'fast-check';
import { dayOf, mayBeOver, shadeOn } from '../relay';

const EQUINOX = dayOf('2027-03-21');

describe('shade of a tall row', () => {
  test('at the equinox a row to the south shades all day or not at all: the sun stands over an east-west line at the height of its noon', () => {
    // at 45° the slope is 1, all day: 1.5 m over a crop half a metre behind shades it from dawn to dusk, 0.45 m never
    expect(shadeOn(45, EQUINOX, 1.5, 0.5, 180).hours).toBeGreaterThan(11);
    expect(shadeOn(45, EQUINOX, 0.45, 0.5, 180).hours).toBeLessThan(1);
    expect(mayBeOver(45, EQUINOX, 0.5, 180, 2)).toBeCloseTo(0.5, 1);
  });

  test('a row to the east takes the morning: 5.1 hours of 1.5 m at half a metre at 45°', () => {
    // slope on the east side: cos 45° / tan(hour angle); under 3 from 13.3° before noon on
    const hours = (90 - (Math.atan(Math.cos(Math.PI / 4) / 3) * 180) / Math.PI) / 15;
    expect(hours).toBeCloseTo(5.1, 1);
    expect(shadeOn(45, EQUINOX, 1.5, 0.5, 90).hours).toBeCloseTo(hours, 0);
    expect(shadeOn(45, EQUINOX, 1.5, 0.5, 270).hours).toBeCloseTo(hours, 0);
  });

  test('in midsummer the sun rises and sets behind a northern row; in the south of the world it is the northern one that shades', () => {
    expect(shadeOn(50, dayOf('2027-06-21'), 1.5, 0.3, 0).hours).toBeGreaterThan(3);
    expect(shadeOn(50, dayOf('2027-12-21'), 1.5, 0.3, 0).hours).toBe(0);
    expect(shadeOn(-40, EQUINOX, 1.5, 0.5, 0).hours).toBeGreaterThan(11);
    expect(shadeOn(-40, EQUINOX, 1.5, 0.5, 180).hours).toBeLessThan(1);
  });

  test('more height never shades less, more room never more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -65, max: 65 }),
        fc.integer({ min: 20000, max: 20365 }),
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (latitude, day, azimuth, over, apart) => {
          const here = shadeOn(latitude, day, over, apart, azimuth);
          expect(shadeOn(latitude, day, over * 1.5, apart, azimuth).hours).toBeGreaterThanOrEqual(here.hours);
          expect(shadeOn(latitude, day, over, apart * 1.5, azimuth).hours).toBeLessThanOrEqual(here.hours);
          expect(here.share).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});
