/** A planting's steps: their days from the day in the ground, what is done and moved, what a week's list asks after. */
import { addDays, cropById, type Planting } from '../src';
import { bench, openSteps, stepsOf, withStep } from '../season';

const planting = (more: Partial<Planting> = {}): Planting => ({
  id: 'p',
  bedId: 'b',
  crop: 'lettuce',
  cultivar: '',
  fromRow: 1,
  toRow: 2,
  lengthM: 20,
  plantedOn: '2027-03-10',
  clearedOn: null,
  aim: 'grow',
  note: '',
  planned: true,
  how: 'transplant',
  ...more,
});
const lettuce = cropById('lettuce');
const spinach = cropById('spinach');
const expected = { upDays: 14, readyDays: 60 };
const ids = (p: Planting, crop = lettuce) => stepsOf(p, crop, expected).map((s) => s.id);
const dateOf = (p: Planting, id: string, crop = lettuce) =>
  stepsOf(p, crop, expected).find((s) => s.id === id)?.date;

test('from trays: sown as long before as trays take, hardened off for a week, gaps filled, picked, cleared', () => {
  const p = planting({ clearedOn: '2027-06-01' });
  expect(ids(p)).toEqual(['sow', 'harden', 'plant', 'gaps', 'pick', 'clear']);
  expect(dateOf(p, 'sow')).toBe(addDays('2027-03-10', -bench(lettuce)));
  expect(dateOf(p, 'harden')).toBe('2027-03-03');
  expect(dateOf(p, 'pick')).toBe('2027-05-09');
});

test('what stands long in trays from small seed is pricked out between', () => {
  const celery = cropById('celery');
  expect(bench(celery)).toBeGreaterThan(30);
  const steps = ids(planting({ crop: 'celery' }), celery);
  expect(steps.slice(0, 3)).toEqual(['sow', 'prick', 'harden']);
});

test('sown where it grows it is looked after once most of it should be up; what never comes is not expected', () => {
  const p = planting({ crop: 'spinach', how: 'sow' });
  expect(ids(p, spinach)).toEqual(['sow', 'gaps', 'pick']);
  expect(dateOf(p, 'gaps', spinach)).toBe('2027-03-31');
  expect(stepsOf(p, spinach, { upDays: null, readyDays: null }).map((s) => s.id)).toEqual(['sow']);
});

test('put into the ground late, all that follows is later, and it is no longer only planned', () => {
  const p = withStep(planting(), lettuce, 'plant', '2027-03-15', true);
  expect(p).toMatchObject({ plantedOn: '2027-03-15', done: { plant: '2027-03-15' } });
  expect('planned' in p).toBe(false);
  expect(dateOf(p, 'pick')).toBe('2027-05-14');
});

test('sown into trays on another day, the day of planting stands; moved, it goes along', () => {
  const sown = withStep(planting(), lettuce, 'sow', '2027-02-01', true);
  expect(sown.plantedOn).toBe('2027-03-10');
  expect(dateOf(sown, 'sow')).toBe('2027-02-01');
  const before = dateOf(planting(), 'sow')!;
  const moved = withStep(planting(), lettuce, 'sow', addDays(before, 7), false);
  expect(moved.plantedOn).toBe('2027-03-17');
  expect(moved.planned).toBe(true);
  expect(
    withStep(planting({ clearedOn: '2027-06-01' }), lettuce, 'clear', '2027-06-08', false),
  ).toMatchObject({
    clearedOn: '2027-06-08',
    plantedOn: '2027-03-10',
  });
});

describe('a week’s list', () => {
  const open = (p: Planting, today: string, days = 27) =>
    openSteps(p, stepsOf(p, lettuce, expected), today, days).map((s) => s.id);

  test('holds what is due and what was left undone, not what is done nor what is far off', () => {
    expect(open(planting(), '2027-03-04')).toEqual(['sow', 'harden', 'plant', 'gaps']);
    const sown = planting({ done: { sow: '2027-02-10', harden: '2027-03-03' } });
    expect(open(sown, '2027-03-04')).toEqual(['plant', 'gaps']);
    expect(open(sown, '2027-02-11')).toEqual(['plant']);
    expect(open(sown, '2027-02-11', 20)).toEqual([]);
  });

  test('of what was in the ground before there was a list, trays and planting are not asked after', () => {
    const { planned: _, ...standing } = planting({ clearedOn: '2027-05-20' });
    expect(open(standing, '2027-03-12')).toEqual(['gaps']);
    expect(open(standing, '2027-05-15')).toEqual(['pick', 'clear']);
    // a picking that was expected long ago is not, a clearing is
    expect(open(standing, '2027-06-10')).toEqual(['clear']);
  });

  test('a plan that nobody began is asked after for six weeks, then left alone', () => {
    expect(open(planting(), '2027-04-10')).toContain('plant');
    expect(open(planting(), '2027-05-10')).not.toContain('plant');
  });
});
