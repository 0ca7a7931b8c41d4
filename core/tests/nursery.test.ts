/** Trays before the bed: when each stands where, how many, and what is put off where they do not fit. */
import { cropById } from '../src/crops/crops';
import { batchesOf, nurseryWeeks, overOf, traysOn, type Nursery } from '../src/relay/nursery';
import type { Strip } from '../src/relay/year';
import { dayOf } from '../src/relay/course';
import { bench } from '../src/windows/schools';
import type { Planting } from '../src';
import { aBedOf, aStrip, evenOutlook } from './relayFixture';

const PLANTED = '2027-04-12';
const bed = aBedOf('s2');
const raised = (id: string, crop: string, more: Partial<Omit<Planting, 'how'>> = {}): Strip =>
  aStrip(bed, crop, [1, 4], [more.plantedOn ?? PLANTED, null], evenOutlook(60), {
    id,
    how: 'transplant',
    ...more,
  });
const none: Nursery = { trayCells: 84, trays: null, shelfTrays: null, outTrays: null };
const from = dayOf('2027-02-01');

test('a batch is sown its days before planting, and its last week stands outside; planted it stands nowhere', () => {
  const lettuce = cropById('lettuce');
  const [b] = batchesOf([raised('a', 'lettuce')]);
  const plant = dayOf(PLANTED);
  expect(b).toMatchObject({
    plantDay: plant,
    outDay: plant - 7,
    fromDay: plant - Math.round(bench(lettuce)),
  });
  // forty metres at its spacing, a tenth spare
  expect(b!.cells).toBe(Math.ceil((40 / lettuce.spacingM) * 1.1));
  expect(traysOn(b!, b!.fromDay - 1, 84)).toBe(0);
  expect(traysOn(b!, plant - 1, 84)).toBe(Math.ceil(b!.cells / 84));
  expect(traysOn(b!, plant, 84)).toBe(0);
});

test('small seed that stands long is thick until it is pricked out', () => {
  const [b] = batchesOf([raised('a', 'celeriac')]);
  expect(b!.prickDay).not.toBeNull();
  expect(traysOn(b!, b!.prickDay! - 1, 84)).toBe(Math.ceil(b!.cells / 200));
  expect(traysOn(b!, b!.prickDay!, 84)).toBe(Math.ceil(b!.cells / 84));
});

test('what was done counts as it was done; what is sown where it grows, and what is planted, takes no tray', () => {
  const [b] = batchesOf([raised('a', 'lettuce', { done: { sow: '2027-03-01', harden: '2027-04-01' } })]);
  expect(b).toMatchObject({ fromDay: dayOf('2027-03-01'), outDay: dayOf('2027-04-01') });
  const sown = aStrip(bed, 'radish', [1, 4], [PLANTED, null], evenOutlook(40), { how: 'sow' });
  const stands = raised('s', 'lettuce', { planned: false });
  expect(batchesOf([sown, stands])).toEqual([]);
});

test('what should have been planted and was not stands in its trays still', () => {
  const late = raised('a', 'lettuce');
  const today = dayOf(PLANTED) + 10;
  const [b] = batchesOf([late], today);
  expect(traysOn(b!, today, 84)).toBeGreaterThan(0);
  expect(traysOn(batchesOf([late])[0]!, today, 84)).toBe(0);
});

test('weeks add up at their fullest day, and every tray is on the shelf or outside', () => {
  const list = batchesOf([raised('a', 'lettuce'), raised('b', 'leek', { plantedOn: '2027-05-03' })]);
  const weeks = nurseryWeeks(list, from, 16, 84);
  for (const w of weeks) {
    expect(w.batches.reduce((t, b) => t + b.trays, 0)).toBe(w.all);
    expect(w.all).toBeLessThanOrEqual(w.shelf + w.out);
    expect(w.all).toBeGreaterThanOrEqual(Math.max(w.shelf, w.out));
  }
  expect(weeks.some((w) => w.out > 0 && w.shelf > 0)).toBe(true);
  expect(weeks[0]!.all).toBe(0);
});

test('the first week that is over is said, with the batch that put off makes every week fit', () => {
  const strips = [raised('a', 'lettuce'), raised('b', 'lettuce-romaine', { plantedOn: '2027-04-19' })];
  const list = batchesOf(strips);
  const weeks = nurseryWeeks(list, from, 20, 84);
  const one = traysOn(list[0]!, list[0]!.plantDay - 1, 84);
  expect(overOf(list, weeks, none)).toBeNull();
  expect(overOf(list, weeks, { ...none, shelfTrays: 2 * one })).toBeNull();
  const over = overOf(list, weeks, { ...none, trays: one })!;
  expect(over).toMatchObject({ space: 'all', wanted: 2 * one, there: one });
  // put off as it says, it fits, and a week less does not
  const { mend } = over;
  expect(mend).not.toBeNull();
  const after = (by: number) =>
    strips.map((s) =>
      s.planting.id === mend!.planting.id
        ? raised(s.planting.id, s.crop.id, {
            plantedOn: new Date(Date.parse(s.planting.plantedOn) + by * 7 * 86_400_000)
              .toISOString()
              .slice(0, 10),
          })
        : s,
    );
  const fits = (by: number) => {
    const moved = batchesOf(after(by));
    return overOf(moved, nurseryWeeks(moved, from, 20, 84), { ...none, trays: one }) === null;
  };
  expect(fits(mend!.weeks)).toBe(true);
  expect(fits(mend!.weeks - 1)).toBe(false);
  // with room for nothing no putting off helps
  expect(overOf(list, weeks, { ...none, trays: 0 })!.mend).toBeNull();
});
