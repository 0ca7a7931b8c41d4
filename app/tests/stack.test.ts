import { stackArcs, stackWords } from '../src/components/place/stackPath';
import { ribbonScale } from '../src/components/night/ribbonScale';

const layer = (state: 'on' | 'off' | 'planned', opening = 0) => ({ name: 'House', state, opening });

describe('the stack', () => {
  test('has one arc for each layer, each within the one before it', () => {
    const arcs = stackArcs([layer('on'), layer('planned'), layer('off'), layer('on')], {
      width: 40,
      height: 28,
      pad: 2,
    });
    expect(arcs).toHaveLength(4);
    for (let i = 1; i < arcs.length; i++) expect(arcs[i]!.rx).toBeLessThan(arcs[i - 1]!.rx);
    expect(arcs.at(-1)!.rx).toBeGreaterThan(5);
  });

  test('an arc that is open has a gap, a wider one the further it is open', () => {
    const box = { width: 100, height: 70, pad: 2 };
    const shut = stackArcs([layer('on')], box)[0]!.d;
    const ajar = stackArcs([layer('on', 0.2)], box)[0]!.d;
    const wide = stackArcs([layer('on', 1)], box)[0]!.d;
    expect(shut.match(/M/g)).toHaveLength(1);
    expect(ajar.match(/M/g)).toHaveLength(2);
    const gap = (d: string) => {
      const [, first, second] = d.split('M');
      const end = first!.trim().split(/[ A]/).slice(-2).map(Number);
      const start = second!.split('A')[0]!.split(' ').map(Number);
      return Math.hypot(end[0]! - start[0]!, end[1]! - start[1]!);
    };
    expect(gap(wide)).toBeGreaterThan(2 * gap(ajar));
  });

  test('reads aloud what it shows', () => {
    expect(stackWords([layer('on', 0.3), layer('planned')])).toBe('House, open; House, planned');
    expect(stackWords([])).toBe('no cover');
  });
});

describe('the ribbon’s scale', () => {
  const margin = { top: 10, right: 10, bottom: 10, left: 40 };
  const down = ribbonScale({ width: 300, height: 400, way: 'down', margin }, 0, 10, [-7.2, 4]);
  const across = ribbonScale({ width: 300, height: 400, way: 'across', margin }, 0, 10, [-7.2, 4]);

  test('time runs down on a phone and to the right when wide', () => {
    expect(down.y(10, 0)).toBeGreaterThan(down.y(0, 0));
    expect(down.x(0, 3)).toBeGreaterThan(down.x(0, -3));
    expect(across.x(10, 0)).toBeGreaterThan(across.x(0, 0));
    expect(across.y(0, 3)).toBeLessThan(across.y(0, -3));
  });

  test('always shows zero, in whole fives', () => {
    expect(down.domainC).toEqual([-10, 5]);
    expect(
      ribbonScale({ width: 300, height: 400, way: 'down', margin }, 0, 10, [6, 9]).domainC[0],
    ).toBeLessThanOrEqual(0);
    expect(down.ticksC.every((t) => t % 5 === 0)).toBe(true);
  });

  test('a gap in a curve stays a gap', () => {
    const d = down.line([
      { ms: 0, c: 1 },
      { ms: 2, c: 1 },
      { ms: 4, c: NaN },
      { ms: 6, c: 2 },
      { ms: 8, c: 2 },
    ]);
    expect(d.match(/M/g)).toHaveLength(2);
  });
});
