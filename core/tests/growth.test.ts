/** Growth by warmth and light, known answers; what becomes of a planting, day by day. */
import { acclimate, cropById, CROPS, FRESH, type Crop } from '../src';
import { YEAR_DAYS } from '../src/climate/climate';
import type { Under } from '../src/climate/underCover';
import { course, season, standsFor, wayToPick, type Season } from '../src/growth/course';
import {
  degreeDays,
  growthOf,
  lightShare,
  packetDays,
  pickDdOfPacket,
  risingDays,
} from '../src/growth/thermal';
import { dayLengths } from '../src/windows/request';
import { darkWeeks } from '../src/windows/schools';

const lettuce = cropById('lettuce');

/** Days of a place as a test wants them: by day of the series, three years. */
function place(of: (day: number) => Partial<Record<Exclude<keyof Under, 'count'>, number>>): Under {
  const n = 3 * YEAR_DAYS;
  const make = (f: (o: ReturnType<typeof of>, d: number) => number) =>
    Float32Array.from({ length: n }, (_, d) => f(of(d), d));
  const mean = (o: ReturnType<typeof of>) => o.meanC ?? 12;
  return {
    count: 3,
    meanC: make(mean),
    leafMinC: make((o) => o.leafMinC ?? mean(o) - 3),
    maxC: make((o) => o.maxC ?? mean(o) + 3),
    soilC: make((o) => o.soilC ?? mean(o)),
    lightMol: make((o) => o.lightMol ?? 30),
    damp: Uint8Array.from({ length: n }, (_, d) => of(d).damp ?? 0),
  };
}
const at = (crop: Crop, under: Under, latitude = 47): Season => season(crop, under, dayLengths(latitude));

describe('warmth', () => {
  test('degree days of a day that swings: over base all day the mean, partly under it more than the mean says', () => {
    expect(degreeDays(10, 14, lettuce)).toBeCloseTo(8, 5);
    expect(degreeDays(0, 8, lettuce)).toBeCloseTo(1.29, 2);
    expect(degreeDays(-5, 3, lettuce)).toBe(0);
    // past the best it falls off again, and stops
    expect(degreeDays(24, 24, lettuce)).toBeCloseTo(7, 5);
    expect(degreeDays(31, 33, lettuce)).toBe(0);
  });

  test.each([
    // Bierhuizen and Wagenvoort 1974: sum over (warmth less the least)
    ['carrot', 10, 170 / 8.7],
    ['onion', 15, 219 / 13.6],
    ['lettuce', 12, 71 / 8.5],
    ['tomato', 18, 88 / 9.3],
    ['parsley', 8, 268 / 8],
  ])('%s comes up in a seedbed of %s °C after the days of the tables', (id, soilC, days) => {
    const s = at(
      cropById(id),
      place(() => ({ soilC })),
    );
    expect(course(s, 100, 'sow').upDay - 100).toBe(Math.ceil(days) - 1);
  });

  test('lettuce does not come up in a bed of 29 °C, spinach rots where it lies two months', () => {
    expect(risingDays(29, lettuce.emergence!)).toBe(0);
    expect(
      course(
        at(
          lettuce,
          place(() => ({ soilC: 29 })),
        ),
        10,
        'sow',
      ).fate,
    ).toBe('never-up');
    expect(
      course(
        at(
          cropById('spinach'),
          place(() => ({ soilC: 1 })),
        ),
        10,
        'sow',
      ).fate,
    ).toBe('never-up');
  });

  test("a packet's days are this place's days by its warmth: there and back", () => {
    for (const c of CROPS.filter((x) => x.emergence))
      expect(pickDdOfPacket(c, packetDays(c))).toBeCloseTo(c.pickDd, 6);
    expect(packetDays(cropById('radish'))).toBeGreaterThan(20);
    expect(packetDays(cropById('radish'))).toBeLessThan(40);
    expect(packetDays(cropById('leek'))).toBeGreaterThan(100);
  });
});

describe('light', () => {
  test('leaves stand still in the dark weeks however warm it is; flowers go on, slower', () => {
    expect(lightShare(lettuce.light.darkMol, lettuce.light)).toBe(0);
    expect(lightShare(100, lettuce.light)).toBe(1);
    expect(growthOf(lettuce, 12, 20, 2)).toBe(0);
    const stock = cropById('stock');
    expect(growthOf(stock, 8, 14, 1)).toBeGreaterThan(0);
    expect(growthOf(stock, 8, 14, 1)).toBeLessThan(growthOf(stock, 8, 14, 20));
  });

  test.each([
    // as tables of sunrise and sunset have it: about 14 November to 27 January, 7 November to 4 February, 28 October to 15 February
    [40, [315, 319], [24, 29]],
    [44, [307, 313], [31, 37]],
    [51.5, [298, 303], [43, 48]],
  ])('at %s° the day is shorter than ten hours from late autumn on', (latitude, from, to) => {
    const dark = darkWeeks(dayLengths(latitude))!;
    expect(dark.from).toBeGreaterThanOrEqual(from[0]!);
    expect(dark.from).toBeLessThanOrEqual(from[1]!);
    expect(dark.to).toBeGreaterThanOrEqual(to[0]!);
    expect(dark.to).toBeLessThanOrEqual(to[1]!);
  });

  test('where no day is so short there are no dark weeks; in the south they are in June', () => {
    expect(darkWeeks(dayLengths(20))).toBeNull();
    const south = darkWeeks(dayLengths(-44))!;
    expect(south.from).toBeGreaterThan(120);
    expect(south.to).toBeLessThan(225);
  });
});

describe('a planting', () => {
  test('is ready when it has what it needs, sown later or planted from trays sooner', () => {
    const s = at(
      lettuce,
      place(() => ({ meanC: 15 })),
    );
    const a_day = growthOf(lettuce, 12, 18, 30);
    const planted = course(s, 100, 'transplant');
    expect(planted.readyDay! - 100).toBe(Math.ceil(wayToPick(lettuce, 'transplant') / a_day) - 1);
    expect(course(s, 100, 'sow').readyDay!).toBeGreaterThan(planted.readyDay!);
  });

  test('stands for its time, what is cut and grows again for all its cuts', () => {
    const spinach = cropById('spinach');
    expect(standsFor(spinach)).toBe(spinach.standDd + 2 * spinach.againDd!);
    expect(standsFor(lettuce)).toBe(lettuce.standDd);
    const s = at(
      lettuce,
      place(() => ({ meanC: 15 })),
    );
    const c = course(s, 100, 'transplant');
    expect(c.fate).toBe('over');
    expect((c.endDay - c.readyDay!) * growthOf(lettuce, 12, 18, 30)).toBeGreaterThan(lettuce.standDd);
  });

  test('dies of the cold of one night where it is soft, and stands the same night hardened', () => {
    // mild until one night of −7 on day 60
    const night = (leadC: number) =>
      place((d) => (d === 160 ? { meanC: 0, leafMinC: -7.5 } : { meanC: leadC }));
    const endive = cropById('endive');
    expect(course(at(endive, night(15)), 120, 'transplant')).toMatchObject({ fate: 'cold', endDay: 160 });
    expect(course(at(endive, night(4)), 60, 'transplant').endDay).toBeGreaterThan(160);
  });

  test('garlic and mâche outlive lettuce; no tomato goes into a freezing house', () => {
    const winter = place((d) => ({
      meanC: 3 + 8 * Math.cos((2 * Math.PI * (d - 200)) / 365),
      leafMinC: d % 365 === 15 ? -11 : 0,
    }));
    const fate = (id: string) => course(at(cropById(id), winter), 290, 'transplant').fate;
    expect(fate('lettuce')).toBe('cold');
    for (const id of ['garlic', 'mache', 'leek']) expect(fate(id)).not.toBe('cold');
    const tomato = at(
      cropById('tomato'),
      place(() => ({ meanC: 6, leafMinC: -2 })),
    );
    expect(course(tomato, 80, 'transplant')).toMatchObject({ fate: 'cold', endDay: 80 });
  });

  test('runs to flower in long days, after a winter, or in heat, each by its kind', () => {
    const mild = place(() => ({ meanC: 14 }));
    expect(course(at(cropById('spinach'), mild, 55), 140, 'sow').fate).toBe('bolted');
    expect(course(at(cropById('spinach'), mild, 47), 240, 'sow').fate).not.toBe('bolted');
    const winter = place((d) => ({ meanC: 12 - 7 * Math.cos((2 * Math.PI * (d - 20)) / 365) }));
    const kale = course(at(cropById('kale'), winter), 200, 'transplant');
    expect(kale.fate).toBe('bolted');
    expect(kale.endDay % 365).toBeGreaterThan(80);
    expect(kale.endDay % 365).toBeLessThan(170);
    expect(
      course(
        at(
          lettuce,
          place(() => ({ meanC: 19, maxC: 32 })),
        ),
        100,
        'transplant',
      ).fate,
    ).toBe('bolted');
    expect(
      course(
        at(
          lettuce,
          place(() => ({ meanC: 19, maxC: 38 })),
        ),
        100,
        'transplant',
      ).fate,
    ).toBe('cooked');
  });

  test('hardness along a course is that of `acclimate`, day by day', () => {
    const under = place((d) => ({ meanC: 8 + 9 * Math.sin(d / 7), leafMinC: 5 }));
    const s = at(lettuce, under);
    let state = FRESH;
    let h = FRESH.h;
    let rooted = 0;
    for (let i = 0; i < 200; i++) {
      const before = rooted;
      rooted += Math.max(0, under.meanC[i]!);
      state = acclimate(state, under.meanC[i]!, lettuce);
      const limit = rooted >= 200 ? 1 : 0.7 + 0.3 * (rooted / 200);
      if (s.loss[i]! > 0) h = Math.max(0, h - s.loss[i]!);
      else if (before >= 30) h += s.gain[i]! * Math.max(0, limit - h);
      expect(h).toBeCloseTo(state.h, 5);
    }
  });

  test.each(['spinach', 'lettuce', 'carrot', 'tomato', 'kale', 'anemone', 'leek'])(
    '%s sown later is never of picking size sooner',
    (id) => {
      const year = place((d) => ({
        meanC: 11 - 9 * Math.cos((2 * Math.PI * (d - 20)) / 365) + 3 * Math.sin(d * 1.7),
        leafMinC: 3,
        lightMol: 18 - 14 * Math.cos((2 * Math.PI * (d - 355)) / 365),
      }));
      const s = at(cropById(id), year);
      for (const how of ['sow', 'transplant'] as const) {
        let last = -Infinity;
        const sooner: number[] = [];
        for (let day = 0; day < 400; day += 3) {
          const ready = course(s, day, how, undefined, 'ready').readyDay;
          if (ready === null) continue;
          if (ready < last) sooner.push(day);
          last = ready;
        }
        expect(sooner).toEqual([]);
      }
    },
  );
});
