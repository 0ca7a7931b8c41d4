/** Covers that a grower does not have, tried in thought: whatever goes in has to be something that could stand. */
import fc from 'fast-check';
import { checkCase, isSaid, MATERIAL_IDS, withTried, type Layer, type MessageId } from '../src';
import { FLEECE, FRAME, HOUSE, simulationCase } from './fixtures';

const BED = { lengthM: 18, widthM: 1, hoopHeightM: 0.5 };
const FLAT: Layer = { ...FLEECE, shape: 'flat', heightM: 0.1, touchesCrop: true };

test('it goes inside what stands and over what lies flat', () => {
  const stack = withTried([HOUSE, FLAT], BED, 'frost-blanket', 'hoops', 0.1) as Layer[];
  expect(stack.map((l) => l.material)).toEqual(['pe-film', 'frost-blanket', 'fleece-30']);
});

test.each([
  ['four layers are the most', [HOUSE, FLEECE, FLEECE, FLEECE], 'hoops', 'try.four'],
  ['two sheets do not lie on one crop', [HOUSE, FLAT], 'flat', 'try.flat'],
  ['hoops need room', [{ ...FRAME, heightM: 0.2 }], 'hoops', 'try.noRoom'],
] as [string, Layer[], 'hoops' | 'flat', MessageId][])('%s, and it says so', (_, stack, use, why) => {
  expect(withTried(stack, BED, 'fleece-17', use, 0.1)).toEqual({ say: why });
});

test('any stack of tried covers passes the engine’s own check', () => {
  const cover = fc.record({
    material: fc.constantFrom(...MATERIAL_IDS),
    use: fc.constantFrom('hoops' as const, 'flat' as const),
  });
  fc.assert(
    fc.property(
      fc.constantFrom<Layer[]>([], [HOUSE], [FRAME], [HOUSE, FLEECE]),
      fc.array(cover, { maxLength: 4 }),
      fc.double({ min: 0.02, max: 0.6, noNaN: true }),
      (start, covers, cropM) => {
        let stack = start;
        for (const c of covers) {
          const next = withTried(stack, BED, c.material, c.use, cropM);
          if (!isSaid(next)) stack = next;
        }
        expect(checkCase(simulationCase(stack))).toBeNull();
      },
    ),
    { numRuns: 200, seed: 5 },
  );
});
