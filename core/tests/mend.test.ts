/** A patchy stand priced by hand: what is left, what is filled, what comes too late. */
import { cropById } from '../src';
import { mends, type MendAsk } from '../relay';
import { evenOutlook } from './relayFixture';

const [row] = evenOutlook(50, { success: 0.8 }).rows;
const spinach = cropById('spinach');
const ask = (more: Partial<MendAsk> = {}): MendAsk => ({
  crop: spinach,
  how: 'sow',
  metres: 100,
  stands: 0.6,
  today: '2027-03-01',
  clearedOn: null,
  then: { ...row!, success: 0.9 },
  now: { sow: row!, transplant: null },
  hourlyRate: 15,
  spares: null,
  others: [],
  ...more,
});
const of = (kind: string, more: Partial<MendAsk> = {}) => mends(ask(more)).find((m) => m.kind === kind);
const value = spinach.valuePerM * 100;

test('left, it is worth what stands; filled, the gaps times today’s chance besides, less the work', () => {
  expect(of('leave')!.worth).toBeCloseTo(value * 0.6 * 0.9);
  const resow = of('resow')!;
  expect(resow.gain).toBeCloseTo(value * 0.4 * 0.8 - (resow.minutes / 60) * 15);
  expect(resow.readyOn).toBe('2027-04-20');
  expect(resow.grams!).toBeGreaterThan(0);
  expect(mends(ask())[0]!.kind).toBe('resow');
});

test('what is not ready before its row is needed brings nothing and costs its work', () => {
  const late = of('resow', { clearedOn: '2027-04-01' })!;
  expect(late).toMatchObject({ late: true });
  expect(late.gain).toBeLessThan(0);
  expect(mends(ask({ clearedOn: '2027-04-01' }))[0]!.kind).toBe('leave');
});

test('nearly nothing stands: begun again, or another crop where that is worth more', () => {
  expect(
    mends(ask({ stands: 0.02, now: { sow: { ...row!, success: 0.95 }, transplant: null } })).map(
      (m) => m.kind,
    ),
  ).toEqual(expect.arrayContaining(['resow', 'again', 'leave']));
  const other = {
    crop: 'radish',
    name: 'radish',
    how: 'sow' as const,
    worth: 3 * value,
    success: 0.9,
    readyOn: '2027-04-10',
  };
  expect(mends(ask({ stands: 0.1, others: [other] }))[0]).toMatchObject({ kind: 'other', crop: 'radish' });
});

test('spares fill as far as they reach, and what came from trays is not sown into', () => {
  const lettuce = cropById('lettuce');
  const few = of('spares', {
    crop: lettuce,
    how: 'transplant',
    spares: 20,
    now: { sow: row!, transplant: row! },
  })!;
  expect(few.plants).toBe(20);
  const many = of('spares', {
    crop: lettuce,
    how: 'transplant',
    spares: 5000,
    now: { sow: row!, transplant: row! },
  })!;
  expect(many.plants).toBe(Math.ceil(40 / lettuce.spacingM));
  expect(many.gain).toBeGreaterThan(few.gain);
  expect(
    of('resow', { crop: lettuce, how: 'transplant', now: { sow: row!, transplant: row! } }),
  ).toBeUndefined();
});

test('where all of it stands leaving it is best, whatever else there is', () => {
  expect(mends(ask({ stands: 1 }))[0]!.kind).toBe('leave');
});

test('the more stands, the more leaving it is worth and the less filling it adds', () => {
  let before = { leave: -1, fill: Infinity };
  for (const stands of [0.1, 0.3, 0.5, 0.7, 0.9]) {
    const now = { leave: of('leave', { stands })!.worth, fill: of('resow', { stands })!.gain };
    expect(now.leave).toBeGreaterThan(before.leave);
    expect(now.fill).toBeLessThan(before.fill);
    before = now;
  }
});
