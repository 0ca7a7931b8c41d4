/** What rows bring: kilos, stems, bunches, money, by metre and by hour; each held to a planting worked out by hand. */
import { cropById } from '../src';
import { amountBetween, bunchKg, earnings, stemsPerM, supply, takenBy } from '../relay';
import { aBedOf, aStrip, aYear, evenOutlook } from './relayFixture';

const bed = aBedOf('b');
const year = (crop: string, success = 1) => {
  const outlook = evenOutlook(50, { success, overDays: 80 });
  return aYear([bed], [aStrip(bed, crop, [1, 4], ['2027-04-01', null], outlook)]);
};

test('stems of what is cut by the stem, from plants a metre and cuts a plant; none of what is weighed', () => {
  const anemone = cropById('anemone');
  expect(stemsPerM(anemone)).toBeCloseTo((anemone.cuts ?? 1) / anemone.spacingM, 9);
  expect(stemsPerM(cropById('spinach'))).toBeNull();
  expect(stemsPerM(cropById('rye'))).toBeNull();
});

test('over all weeks a strip gives what it bears: forty metres of it, once', () => {
  for (const crop of ['anemone', 'radish']) {
    const y = year(crop);
    const [s] = y.strips;
    const all = amountBetween(s!, s!.startDay, s!.endDay);
    const taken = takenBy(s!, s!.endDay);
    expect(all.stems).toBeCloseTo((stemsPerM(s!.crop) ?? 0) * 40 * taken, 6);
    expect(all.kg).toBeCloseTo((s!.crop.yieldKgPerM ?? 0) * 40 * taken, 6);
    // by the week it adds up to the same
    let [kg, stems] = [0, 0];
    for (let day = s!.startDay; day < s!.endDay; day += 7) {
      const week = amountBetween(s!, day, day + 7);
      kg += week.kg;
      stems += week.stems;
    }
    expect(kg).toBeCloseTo(all.kg, 6);
    expect(stems).toBeCloseTo(all.stems, 6);
  }
});

test('bunches: ten stems to one, greens by what a bunch weighs, nothing of what is not tied', () => {
  const of = (crop: string) => {
    const [s] = year(crop).strips;
    return amountBetween(s!, s!.startDay, s!.endDay);
  };
  expect(of('anemone').bunches).toBeCloseTo(of('anemone').stems / 10, 9);
  expect(of('radish').bunches).toBeCloseTo(of('radish').kg / bunchKg('radish')!, 9);
  expect(of('spinach').bunches).toBe(0);
});

test('money is worth a metre times metres times what comes off; by metre and week, and by hour', () => {
  const y = year('radish', 0.8);
  const [s] = y.strips;
  const weeks = Math.ceil((s!.endDay - s!.startDay) / 7);
  const [e] = earnings(y, s!.startDay, weeks);
  const whole = takenBy(s!, s!.endDay);
  expect(e!.money).toBeCloseTo(s!.crop.valuePerM * 40 * whole * 0.8, 6);
  expect(e!.metreWeeks).toBeCloseTo((40 * (s!.endDay - s!.startDay)) / 7, 6);
  expect(e!.perMetreWeek).toBeCloseTo(e!.money / e!.metreWeeks, 9);
  expect(e!.perHour).toBeCloseTo((60 * e!.money) / e!.minutes, 9);
  // the hours are the board's
  const minutes = supply(y, s!.startDay, weeks).reduce((t, w) => t + w.minutes, 0);
  expect(e!.minutes).toBeCloseTo(minutes, 6);
});

test('the best use of a row comes first; a green manure earns nothing and is not listed; before and after, nothing', () => {
  const outlook = evenOutlook(50, { overDays: 80 });
  const y = aYear(
    [bed],
    [
      aStrip(bed, 'radish', [1, 2], ['2027-04-01', null], outlook),
      aStrip(bed, 'spinach', [3, 3], ['2027-04-01', null], outlook),
      aStrip(bed, 'rye', [4, 4], ['2027-04-01', null], outlook),
    ],
  );
  const list = earnings(y, y.strips[0]!.startDay, 20);
  expect(list.map((e) => e.crop).sort()).toEqual(['radish', 'spinach']);
  expect(list[0]!.perMetreWeek!).toBeGreaterThanOrEqual(list[1]!.perMetreWeek!);
  expect(earnings(y, y.strips[0]!.startDay - 70, 5)).toEqual([]);
});
