/** A year's plan in figures, and one plan in the place of another: what stands is never touched. */
import type { Planting } from '../src';
import { earnings, planOf, supply, tally } from '../relay';
import { aBedOf, aStrip, aYear, evenOutlook } from './relayFixture';

const bed = aBedOf('b');
const outlook = (success: number) => evenOutlook(50, { success, overDays: 80 });
const year = aYear(
  [bed],
  [
    aStrip(bed, 'radish', [1, 1], ['2027-04-01', null], outlook(0.6)),
    aStrip(bed, 'spinach', [2, 4], ['2027-04-10', null], outlook(1)),
    aStrip(bed, 'lettuce', [1, 4], ['2026-12-01', null], outlook(0.2), { planned: false }),
  ],
  { demand: [{ crop: null, from: '2027-05-01', to: '2027-07-01', kgPerWeek: 1000 }] },
);
const from = year.strips[0]!.startDay;

test('money, kilos, hours and what is short are those of earnings and supply', () => {
  const t = tally(year, from, 20);
  const list = earnings(year, from, 20);
  expect(t.money).toBeCloseTo(
    list.reduce((s, e) => s + e.money, 0),
    9,
  );
  expect(t.kg).toBeCloseTo(
    list.reduce((s, e) => s + e.kg, 0),
    9,
  );
  const weeks = supply(year, from, 20);
  expect(t.hours).toBeCloseTo(weeks.reduce((s, w) => s + w.minutes, 0) / 60, 9);
  expect(t.mostHours).toBeCloseTo(Math.max(...weeks.map((w) => w.minutes)) / 60, 9);
  expect(t.shortKg).toBeCloseTo(
    weeks.reduce((s, w) => s + w.shortKg, 0),
    9,
  );
});

test('how sure it is counts what is planned alone, by its metres: one row at six in ten, three at ten', () => {
  expect(tally(year, from, 20).success).toBeCloseTo((0.6 + 3 * 1) / 4, 9);
  const stands = aYear([bed], [year.strips[2]!]);
  expect(tally(stands, from, 20).success).toBeNull();
});

const p = (id: string, more: Partial<Planting> = {}): Planting => ({
  ...year.strips[0]!.planting,
  id,
  ...more,
});
const today = '2027-03-01';

test('what stands stays as it is, even where the plan put by had it otherwise', () => {
  const stands = p('a', { planned: false, note: 'as it stands' });
  const plan = planOf([stands, p('b')], [p('a', { note: 'as it was meant' }), p('c')], ['b'], today);
  expect(plan).toEqual([stands, p('c')]);
});

test('what was sown in trays since has happened: it stays, whether the plan put by had it or not', () => {
  const sown = p('a', { done: { sow: '2027-02-20' } });
  expect(planOf([sown, p('b')], [p('a'), p('c')], ['b'], today)).toEqual([sown, p('c')]);
  expect(planOf([sown], [], ['b'], today)).toEqual([sown]);
});

test('what can no longer be planted, or has no bed any more, is left out', () => {
  const kept = [p('late', { plantedOn: '2027-01-02' }), p('no-bed', { bedId: 'gone' }), p('soon')];
  expect(planOf([], kept, ['b'], today).map((x) => x.id)).toEqual(['soon']);
  expect(planOf([], [p('just', { plantedOn: '2027-01-20' })], ['b'], today)).toHaveLength(1);
});
