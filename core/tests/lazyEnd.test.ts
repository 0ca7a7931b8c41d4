/** Where a run ended is put together for who asks: late or at once it is the same, and no later run changes it. */
import { prepareWeather, runBed, runHouse, type BedSpec, type SoilState } from '../src';
import { bed, FLEECE, HOUSE, SITE, weather } from './fixtures';

const days = prepareWeather(SITE, weather({ hours: 30 }));
const mild = prepareWeather(SITE, weather({ hours: 30, meanC: 9 }));
/** All of it, to the last digit. */
const whole = (end: SoilState): string => JSON.stringify(end);

test('asked twice it is the very same, and holds every part that another run goes on from', () => {
  const run = runBed(bed([HOUSE, FLEECE]), days);
  expect(run.end).toBe(run.end);
  expect(run.end.columns).toHaveLength(2);
  expect(Object.keys(run.end.layers!)).toHaveLength(2);
  expect(run.end.crop!.leafC).toBe(run.leafC.at(-1));
});

test('asked after other runs it is what it was: no run writes over another', () => {
  const [first, again] = [runBed(bed([HOUSE]), days), runBed(bed([HOUSE]), days)];
  const atOnce = whole(first.end);
  runBed(bed([HOUSE, FLEECE]), mild);
  runHouse([bed([HOUSE], { shared: 1 }), bed([HOUSE, FLEECE], { shared: 1 })], mild);
  expect(whole(again.end)).toBe(atOnce);
  expect(whole(first.end)).toBe(atOnce);
});

test('a bed that goes on from it goes on as it stood', () => {
  const { end, leafC } = runBed(bed([HOUSE]), days);
  const before = whole(end);
  const on = runBed(bed([HOUSE]), days, { initial: end });
  expect(on.leafC[0]).toBeCloseTo(leafC.at(-1)!, 1);
  expect(whole(end)).toBe(before);
});

test('a bed in the air that its house was found to have ends as it does in the house', () => {
  const specs: BedSpec[] = [bed([HOUSE], { shared: 1 }), bed([HOUSE, FLEECE], { shared: 1 })];
  const house = runHouse(specs, days);
  const rows = Float64Array.from(house.shared.rows);
  const alone = runBed(specs[1]!, days, { given: house.shared });
  // what is given is read, not written
  expect(house.shared.rows).toEqual(rows);
  expect(Math.abs(alone.minLeafC - house.beds[1]!.minLeafC)).toBeLessThan(0.5);
  expect(Math.abs(alone.end.crop!.leafC - house.beds[1]!.end.crop!.leafC)).toBeLessThan(0.5);
});
