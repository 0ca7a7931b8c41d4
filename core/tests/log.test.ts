/** What is so, from what happened. */
import { apply, applyAll, lying, NOTHING_LAIN, type Act, type CoverAct } from '../src';

let n = 0;
const cover = (on: boolean, atMs: number, bedId = 'b', coverId = 'c'): CoverAct => ({
  kind: 'cover',
  id: `r${n++}`,
  atMs,
  bedId,
  coverId,
  on,
});

test('the newest score of a planting counts, whenever it was told; decisions stand in the order of their telling', () => {
  const harm = (id: string, atMs: number, score: 'tips' | 'dead') =>
    ({ kind: 'harm', id, atMs, plantingId: 'p', score }) as const;
  expect(applyAll([harm('a', 5, 'dead'), harm('b', 3, 'tips')]).harm.get('p')).toEqual({
    score: 'dead',
    atMs: 5,
  });
  expect(applyAll([harm('a', 5, 'dead'), harm('b', 5, 'tips')]).harm.get('p')!.score).toBe('tips');
  const say = (id: string, key: string | null) =>
    ({ kind: 'decision', id, atMs: 1, night: '2027-01-14', bedId: 'b', key, verdict: 'changed' }) as const;
  expect(applyAll([say('x', 'c'), say('y', null)]).decisions.map((d) => d.id)).toEqual(['x', 'y']);
});

describe('covers', () => {
  test('one that was laid lies there for ever, until it is lifted', () => {
    const laid = cover(true, 0);
    const later = applyAll([laid, { kind: 'note', id: 'x', atMs: 400 * 86_400_000 }]);
    expect(lying(later, 'b', 'c')).toBe(1);
    const lifted = apply(later, cover(false, 400 * 86_400_000));
    expect(lying(lifted, 'b', 'c')).toBe(0);
    expect(lifted.spans.get('b')).toMatchObject([{ fromAtMs: 0, toAtMs: 400 * 86_400_000, onId: laid.id }]);
  });

  test('of a double the first laid is the first lifted, and lifting what does not lie there changes nothing', () => {
    const state = applyAll([cover(true, 1), cover(true, 2), cover(false, 5)]);
    expect(state.spans.get('b')).toMatchObject([
      { fromAtMs: 1, toAtMs: 5 },
      { fromAtMs: 2, toAtMs: Infinity },
    ]);
    expect(apply(state, cover(false, 6, 'b', 'other'))).toBe(state);
    expect(apply(state, cover(false, 6, 'elsewhere'))).toBe(state);
  });

  test('a kind that lies in two ways is lifted as was said, and where that is not said, any of it', () => {
    const laid = { ...cover(true, 1), use: 'flat' as const };
    const state = applyAll([laid, cover(true, 2)]);
    expect(state.onBed.get('b')).toMatchObject([{ use: 'flat' }, { sinceAtMs: 2 }]);
    const one = apply(state, cover(false, 3));
    expect(one.onBed.get('b')).toMatchObject([{ use: 'flat', sinceAtMs: 1 }]);
    expect(apply(one, cover(false, 4)).onBed.get('b')).toEqual([]);
    expect(apply(state, { ...cover(false, 3), use: 'flat' }).onBed.get('b')).toMatchObject([
      { sinceAtMs: 2 },
    ]);
  });

  test('never changes the state that it was given', () => {
    const before = applyAll([cover(true, 1)]);
    const said = (x: typeof before) =>
      JSON.stringify([...x.onBed, ...x.spans, ...x.openings, ...x.ventSteps]);
    const kept = said(before);
    apply(before, cover(false, 2));
    apply(before, cover(true, 3));
    apply(before, { kind: 'vent', id: 'v', atMs: 4, structureId: 's', fraction: 1 });
    expect(said(before)).toBe(kept);
  });

  test('whatever is laid and lifted, what lies is what was laid less what was lifted, and spans say the same', () => {
    let seed = 7;
    const random = (m: number) => (seed = (seed * 48271) % 2147483647) % m;
    let state = NOTHING_LAIN;
    const count: Record<string, number> = {};
    for (let t = 0; t < 400; t++) {
      const [bedId, coverId, on] = [`b${random(3)}`, `c${random(2)}`, random(2) === 0];
      const key = `${bedId}/${coverId}`;
      count[key] = Math.max(0, (count[key] ?? 0) + (on ? 1 : -1));
      state = apply(state, cover(on, t, bedId, coverId));
      expect(lying(state, bedId, coverId)).toBe(count[key]);
      const open = (state.spans.get(bedId) ?? []).filter(
        (s) => s.coverId === coverId && s.toAtMs === Infinity,
      );
      expect(open).toHaveLength(count[key]);
    }
  });
});

test('an opening is what the last word says, and each step is kept', () => {
  const vent = (atMs: number, fraction: number): Act => ({
    kind: 'vent',
    id: `v${atMs}${fraction}`,
    atMs,
    structureId: 's',
    fraction,
  });
  const state = applyAll([vent(1, 0.5), vent(3, 0.2), vent(3, 0)]);
  expect(state.openings.get('s')).toMatchObject({ fraction: 0, atMs: 3 });
  expect(state.ventSteps.get('s')).toEqual([
    { atMs: 1, fraction: 0.5 },
    { atMs: 3, fraction: 0 },
  ]);
});
