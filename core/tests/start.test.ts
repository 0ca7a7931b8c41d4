/** What a farm begins with: what is made of a few counts and answers fits together, whatever they are. */
import {
  askedFarm,
  fitCover,
  isFit,
  lackingSheets,
  OUTER,
  START_KINDS,
  startFarm,
  usualBed,
  FORM_INFO,
  FORMS,
  type StartCounts,
  type Structure,
} from '../src';

const counts = (more: Partial<StartCounts> = {}): StartCounts => ({
  houses: 0,
  bedsInHouse: 4,
  frames: 0,
  tunnels: 0,
  openBeds: 0,
  fleeces: 0,
  blankets: 0,
  ...more,
});

test.each(START_KINDS.map((k) => [k.label, k.counts] as const))(
  '%s: every sheet goes on a bed of it',
  (_label, c) => {
    const f = startFarm(c, 'x');
    const ids = [...f.structures, ...f.beds, ...f.covers].map((t) => t.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(f.beds.length).toBe(c.houses * c.bedsInHouse + c.frames + c.tunnels + c.openBeds);
    for (const cover of f.covers) {
      const on = f.beds.filter((b) => {
        const s = f.structures.find((x) => x.id === b.structureId)!;
        const fit = fitCover(cover, s, b);
        return isFit(fit) && fit.pieces === 1;
      });
      expect(on.length).toBeGreaterThan(0);
    }
    // as many fleeces as there are beds with hoops: none of them lacks one
    const hooped = f.beds.filter((b) => b.hoopHeightM > 0).length;
    if (hooped > 0 && c.fleeces + c.blankets >= hooped)
      expect(lackingSheets(f.structures, f.beds, f.covers)).toEqual([]);
  },
);

test('a house is as wide as its beds and their paths need, and the names say which is which', () => {
  const f = startFarm(counts({ houses: 2, bedsInHouse: 8, openBeds: 3 }), 'x');
  expect(f.structures.map((s) => s.name)).toEqual(['House 1', 'House 2', 'Open beds']);
  expect(f.structures[0]!.widthM).toBe(12);
  expect(f.beds.filter((b) => b.structureId === f.structures[2]!.id).map((b) => b.name)).toEqual([
    'Bed 1',
    'Bed 2',
    'Bed 3',
  ]);
  for (const b of f.beds) {
    const s = f.structures.find((x) => x.id === b.structureId)!;
    expect(b.lengthM).toBeLessThanOrEqual(s.lengthM);
    expect(b.widthM).toBeLessThanOrEqual(s.widthM);
  }
});

test('nothing that stands needs no sheets; the same counts and id are the same farm', () => {
  expect(startFarm(counts({ fleeces: 9 }), 'x')).toEqual({ structures: [], beds: [], covers: [] });
  expect(startFarm(counts({ frames: 2, blankets: 1 }), 'x')).toEqual(
    startFarm(counts({ frames: 2, blankets: 1 }), 'x'),
  );
  // over frames a blanket lies over the whole
  expect(startFarm(counts({ frames: 2, blankets: 1 }), 'x').covers[0]!.use).toBe('over');
});

test.each(FORMS.flatMap((f) => FORM_INFO[f].templates.map((t) => [`${f}, ${t.label}`, t.draft] as const)))(
  'an ordinary bed fits into %s',
  (_label, draft) => {
    const s: Structure = { ...draft, id: 's', order: 0 };
    const b = usualBed(s, 2, 'b');
    expect(b.name).toBe('Bed 2');
    expect(b.lengthM).toBeLessThanOrEqual(s.lengthM + 1e-9);
    expect(b.widthM).toBeLessThanOrEqual(s.widthM + 1e-9);
    expect(b.on).toBe(s.form === 'bench-row' || s.form === 'nursery-shelf' ? 'bench' : 'ground');
  },
);

test('what is asked about is planted so many weeks ago, in every row', () => {
  for (const outer of OUTER) {
    const { planting, bed, covers } = askedFarm(
      { outer, middle: 'none', laid: false, crop: 'kale', weeks: 10 },
      'x',
      '2027-01-14',
    );
    expect(planting).toMatchObject({
      crop: 'kale',
      plantedOn: '2026-11-05',
      bedId: bed.id,
      fromRow: 1,
      toRow: bed.rows,
    });
    expect(covers).toEqual([]);
  }
});
