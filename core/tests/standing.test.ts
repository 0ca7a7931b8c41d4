/** What an answer carries of the state is enough to go on from: a phone that folds its own acts on it stands where the server does. */
import fc from 'fast-check';
import {
  applyAll,
  foldOn,
  jobAsItStands,
  NOTHING_LAIN,
  stackAsItStands,
  standingOf,
  type Act,
  type Lain,
} from '../src';

const acts = fc.array(
  fc.oneof(
    fc.record({
      kind: fc.constant('cover' as const),
      bedId: fc.constantFrom('a', 'b'),
      coverId: fc.constantFrom('fleece', 'blanket'),
      on: fc.boolean(),
    }),
    fc.record({
      kind: fc.constant('vent' as const),
      structureId: fc.constantFrom('north', 'south'),
      fraction: fc.constantFrom(0, 0.3, 1),
    }),
  ),
  { minLength: 1, maxLength: 14 },
);
const dated = (list: object[]): Act[] => list.map((a, i) => ({ ...a, id: `r${i}`, atMs: i * 1000 }) as Act);
const NONE = new Set<string>();
/** What lies and is open, in an order that does not depend on how it was written down. */
const told = (s: Lain) => ({
  lies: [...s.onBed].flatMap(([bed, list]) => list.map((x) => `${bed} ${x.coverId} ${x.recordId}`)).sort(),
  open: [...s.openings].map(([id, o]) => `${id} ${o.fraction}`).sort(),
});

test('acts folded on an answer give what the server has after them', () => {
  fc.assert(
    fc.property(acts, fc.nat(14), (list, at) => {
      const all = dated(list);
      const answer = standingOf(applyAll(all.slice(0, at)), 0);
      expect(told(foldOn(answer, all.slice(at), NONE))).toEqual(told(applyAll(all)));
    }),
  );
});

test('the last act taken back on an answer that had it stands as if it had never been', () => {
  fc.assert(
    fc.property(acts, (list) => {
      const all = dated(list);
      const last = all.at(-1)!;
      const without = applyAll(all.slice(0, -1));
      const shown = told(foldOn(standingOf(applyAll(all), 0), [], new Set([last.id])));
      expect(shown.lies).toEqual(told(without).lies);
      // of a house that was moved once only it is not known how it stood before
      if (last.kind !== 'vent') expect(shown.open).toEqual(told(without).open);
      else for (const o of shown.open) expect(told(without).open).toContain(o);
    }),
  );
});

const item = (lying: number, on = true) => ({
  bedId: 'a',
  coverId: 'fleece',
  on,
  lying,
  done: false,
  recordId: null as string | null,
});
const job = (items: ReturnType<typeof item>[]) => ({
  kind: items[0]?.on === false ? 'lift' : 'cover',
  structureId: 'north',
  items,
  accepted: false,
  done: false,
  doneAtMs: null,
  recordIds: [] as string[],
});
const sheets = (n: number) =>
  dated(Array.from({ length: n }, () => ({ kind: 'cover', bedId: 'a', coverId: 'fleece', on: true })));

test('of two sheets one is laid: the first item is done, the second waits; taken back it expects none there', () => {
  const two = job([item(0), item(1)]);
  const one = jobAsItStands(two, applyAll(sheets(1)), NONE);
  expect(one.items.map((i) => i.recordId)).toEqual(['r0', null]);
  expect(one.done).toBe(false);
  const both = jobAsItStands(two, applyAll(sheets(2)), NONE);
  expect([both.done, both.doneAtMs, both.recordIds]).toEqual([true, 1000, ['r0', 'r1']]);
  const again = jobAsItStands(both, NOTHING_LAIN, NONE);
  expect(again.items.map((i) => [i.done, i.lying])).toEqual([
    [false, 0],
    [false, 1],
  ]);
  expect(jobAsItStands(again, applyAll(sheets(2)), NONE).done).toBe(true);
});

test('what was accepted of a night is said at once, until the last word on one of its beds is another', () => {
  const say = (id: string, bedId: string, verdict: string, night = '2027-01-14') =>
    ({ kind: 'decision', id, atMs: 0, night, bedId, key: 'fleece', verdict }) as Act;
  const answer = standingOf(applyAll([say('x', 'a', 'accepted')]), 0, '2027-01-14');
  const two = job([item(0), { ...item(0), bedId: 'b' }]);
  const shown = (acts: Act[], back = NONE) => jobAsItStands(two, foldOn(answer, acts, back), NONE).accepted;
  expect(shown([])).toBe(false);
  expect(shown([say('y', 'b', 'accepted')])).toBe(true);
  expect(shown([say('y', 'b', 'accepted'), say('z', 'a', 'refused')])).toBe(false);
  expect(shown([say('y', 'b', 'accepted')], new Set(['x']))).toBe(false);
  expect(shown([say('y', 'b', 'accepted', '2027-01-13')])).toBe(false);
  // and what a later answer no longer has is taken from the job again
  expect(jobAsItStands({ ...two, accepted: true }, foldOn(answer, [], NONE), NONE).accepted).toBe(false);
});

test('a sheet laid in another way than the item asks does not do it, and what lay there before does not either', () => {
  const one = job([item(0)]);
  const flat = dated([{ kind: 'cover', bedId: 'a', coverId: 'fleece', on: true, use: 'flat' }]);
  expect(jobAsItStands(one, applyAll(flat), NONE).done).toBe(false);
  expect(jobAsItStands(one, applyAll(sheets(1)), new Set(['r0'])).done).toBe(false);
});

test('two sheets are lifted one after the other, each by its own act', () => {
  const lift = job([item(2, false), item(1, false)]);
  const off = (id: string, atMs: number) =>
    ({ kind: 'cover', id, atMs, bedId: 'a', coverId: 'fleece', on: false }) as Act;
  const one = jobAsItStands(lift, applyAll([...sheets(2), off('x', 5000)]), NONE);
  expect(one.items.map((i) => i.recordId)).toEqual(['x', null]);
  const both = jobAsItStands(lift, applyAll([...sheets(2), off('x', 5000), off('y', 6000)]), NONE);
  expect([both.done, both.recordIds]).toEqual([true, ['x', 'y']]);
  // a lifting that the answer had long before is none of these
  const before = applyAll([...sheets(2), off('x', 5000)]);
  expect(jobAsItStands(lift, before, new Set(['x'])).items.some((i) => i.done)).toBe(false);
});

test('a stack is drawn as it lies: planned sheets that were laid are on, lifted ones are gone, the house as far open as it is', () => {
  const stack = [
    { name: 'North', state: 'on' as const, opening: 0.5 },
    { name: 'Fleece', state: 'planned' as const, opening: 0, coverId: 'fleece' },
    { name: 'Blanket', state: 'on' as const, opening: 0, coverId: 'blanket' },
  ];
  const shut = { kind: 'vent', id: 'v', atMs: 9, structureId: 'north', fraction: 0 } as Act;
  const drawn = stackAsItStands(stack, 'a', 'north', applyAll([...sheets(1), shut]));
  expect(drawn.map((l) => [l.name, l.state, l.opening])).toEqual([
    ['North', 'on', 0],
    ['Fleece', 'on', 0],
  ]);
});
