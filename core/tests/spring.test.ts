/** A spring that is early or late everywhere: what moves by hand, what it is worth, and that nothing is planted onto what stands. */
import fc from 'fast-check';
import { dayOf, isoOf, sharedRows, springMoves, springOf, strip, type Outlook, type Strip } from '../relay';
import { cropById, type Planting } from '../src';
import { howOf } from '../season';
import { aBedOf, aStrip, aYear, evenOutlook } from './relayFixture';

const bed = aBedOf('S1');
const TODAY = dayOf('2027-03-01');

/** Ready after 40 days, over after 60; what is begun before a day is lost to cold in six years of ten. */
const look = (frostUntil = '01-01', readyDays = 40): Outlook => {
  const even = evenOutlook(readyDays, { overDays: readyDays + 20, success: 0.9 });
  const last = (Date.parse(`2027-${frostUntil}T00:00:00Z`) - Date.parse('2027-01-01T00:00:00Z')) / 86_400_000;
  return {
    ...even,
    rows: even.rows.map((r) => (r.day < last ? { ...r, success: 0.4, lostToCold: 0.6 } : r)),
  };
};
const remakeBy =
  (of: (p: Planting) => Outlook) =>
  (p: Planting): Strip => {
    const crop = cropById(p.crop);
    return strip(p, crop, howOf(p, crop), of(p));
  };
const outlookOf = (p: Planting) => (p.crop === 'tomato' ? look('05-01') : look());
const make = (crop: string, rows: [number, number], days: [string, string | null], more = {}) =>
  aStrip(bed, crop, rows, days, crop === 'tomato' ? look('05-01') : look(), more);
const remake = remakeBy(outlookOf);
const asked = (strips: Strip[], days: number) =>
  springMoves(aYear([bed], strips, { today: TODAY }), days, remake);
const of = (r: ReturnType<typeof asked>, kind: string) => r.answers.find((a) => a.kind === kind)!;

test('spring is from February to the longest day, the next one that is not over, and half a year on in the south', () => {
  const said = (lat: number, today: string) => {
    const { fromDay, toDay } = springOf(lat, dayOf(today));
    return [isoOf(fromDay), isoOf(toDay)];
  };
  expect(said(45, '2027-03-01')).toEqual(['2027-02-01', '2027-06-21']);
  expect(said(45, '2027-07-01')).toEqual(['2028-02-01', '2028-06-21']);
  expect(said(-40, '2027-03-01')).toEqual(['2027-08-01', '2027-12-21']);
});

test('what stands gains the days from now on; what is ready already stays so; what is over ends sooner', () => {
  const standing = make('spinach', [1, 2], ['2027-02-10', '2027-05-01'], { planned: false });
  const ready = make('radish', [3, 3], ['2027-01-15', '2027-03-20'], { planned: false });
  const r = asked([standing, ready], 10);
  expect(r.shifted).toContainEqual({ id: standing.planting.id, readyDays: -10, overDays: -10 });
  // ready on 24 February, it is over ten days sooner all the same
  expect(r.shifted.find((s) => s.id === ready.planting.id)!.readyDays).toBe(0);
  expect(asked([standing, ready], 0).shifted).toEqual([]);
});

test('what follows goes in when the one before it is over, and never onto it', () => {
  const spinach = make('spinach', [1, 2], ['2027-02-20', '2027-05-10'], { planned: false });
  const lettuce = make('lettuce', [1, 2], ['2027-05-10', '2027-07-10']);
  const r = asked([spinach, lettuce], 12);
  // over on 21 April by the mean year, on 9 April now; twelve days sooner is 28 April
  const moved = of(r, 'following').moves.find((p) => p.id === lettuce.planting.id)!;
  expect(moved.plantedOn).toBe('2027-04-28');
  const out = of(r, 'following').moves.find((p) => p.id === spinach.planting.id)!;
  expect(out.clearedOn).toBe('2027-04-28');
});

test('an early spring does not move the last frost: tender ones brought forward are worth less, hardy ones go alone', () => {
  const tomato = make('tomato', [1, 2], ['2027-05-03', '2027-07-20']);
  const lettuce = make('lettuce', [3, 4], ['2027-04-20', '2027-06-25']);
  const r = asked([tomato, lettuce], 14);
  expect(
    of(r, 'all')
      .moves.map((p) => p.crop)
      .sort(),
  ).toEqual(['lettuce', 'tomato']);
  expect(of(r, 'hardy').moves.map((p) => p.crop)).toEqual(['lettuce']);
  expect(of(r, 'all').gain).toBeLessThan(of(r, 'hardy').gain);
  expect(of(r, 'as-is').gain).toBe(0);
  expect(r.answers.length).toBeGreaterThanOrEqual(3);
});

test('a late spring leaves what is cleared on its day half picked; those after it may wait', () => {
  const spinach = make('spinach', [1, 2], ['2027-02-25', '2027-04-20'], { planned: false });
  const lettuce = make('lettuce', [1, 2], ['2027-04-20', null]);
  const r = asked([spinach, lettuce], -15);
  expect(r.shifted.find((s) => s.id === spinach.planting.id)!.readyDays).toBe(15);
  const moved = of(r, 'following').moves.find((p) => p.id === lettuce.planting.id)!;
  expect(moved.plantedOn).toBe('2027-05-05');
});

test('what is put off keeps nothing in its row but the one it has it from: not the one before that', () => {
  const day = (n: number) => isoOf(TODAY + n);
  const strips = [
    make('spinach', [2, 2], [day(-18), day(12)], { planned: false }),
    make('spinach', [2, 2], [day(12), day(42)]),
    make('tomato', [2, 2], [day(42), day(72)]),
  ];
  const moves = of(asked(strips, -1), 'tender').moves;
  expect(moves.find((m) => m.crop === 'tomato')!.plantedOn).toBe(day(43));
  expect(moves.some((m) => m.id === strips[0]!.planting.id)).toBe(false);
});

test('whatever the plan and the spring: the best comes first, gains are over leaving it, and no row is given twice that was not', () => {
  const one = fc.record({
    crop: fc.constantFrom('spinach', 'lettuce', 'tomato', 'radish'),
    row: fc.integer({ min: 1, max: 3 }),
    from: fc.integer({ min: -40, max: 90 }),
    stands: fc.integer({ min: 30, max: 80 }),
  });
  fc.assert(
    fc.property(fc.array(one, { maxLength: 8 }), fc.integer({ min: -25, max: 25 }), (list, days) => {
      const strips: Strip[] = [];
      for (const o of list) {
        const start = TODAY + o.from;
        const s = make(o.crop, [o.row, o.row], [isoOf(start), isoOf(start + o.stands)], {
          planned: start > TODAY,
        });
        const clash = strips.some(
          (x) => sharedRows(x.planting, s.planting) > 0 && x.startDay < s.endDay && s.startDay < x.endDay,
        );
        if (!clash) strips.push(s);
      }
      const r = asked(strips, days);
      for (const [n, a] of r.answers.entries()) {
        expect(a.gain).toBeCloseTo(a.money - of(r, 'as-is').money, 6);
        if (n > 0) expect(a.money).toBeLessThanOrEqual(r.answers[n - 1]!.money + 1e-9);
        const after = strips.map((s) => remake(a.moves.find((m) => m.id === s.planting.id) ?? s.planting));
        for (const x of after)
          for (const y of after)
            if (x !== y && sharedRows(x.planting, y.planting) > 0)
              expect(x.startDay < y.endDay && y.startDay < x.endDay).toBe(false);
      }
    }),
    { numRuns: 150 },
  );
});
