/**
 * Smooth noise that can be asked at any instant: a value for (seed, channel, time) that never depends on what was
 * asked before. The integer hash is that of Steele, Lea and Flood (SplitMix, 2014), as 32-bit mixing.
 */

/**
 * A uniform number in (0, 1) from three integers.
 * @example hashUniform(1, 2, 3) === hashUniform(1, 2, 3) // true
 */
export function hashUniform(seed: number, channel: number, index: number): number {
  let x = (seed | 0) ^ Math.imul(channel | 0, 0x9e3779b1) ^ Math.imul(index | 0, 0x85ebca6b);
  x = Math.imul(x ^ (x >>> 16), 0x21f0aaad);
  x = Math.imul(x ^ (x >>> 15), 0x735a2d97);
  x ^= x >>> 15;
  return ((x >>> 0) + 0.5) / 4294967296;
}

/**
 * A standard normal number (Box and Muller).
 * @example hashNormal(1, 2, 3) === hashNormal(1, 2, 4) // false
 */
export function hashNormal(seed: number, channel: number, index: number): number {
  const u = hashUniform(seed, channel * 2 + 1, index);
  const v = hashUniform(seed, channel * 2 + 2, index);
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * v);
}

/**
 * Smooth normal noise of unit variance with knots every `periodH`: cosine weights between knots, rescaled so that the
 * variance is the same between knots as on them.
 * @example smoothNoise(1, 0, 5, 6) === smoothNoise(1, 0, 5, 6) // true
 */
export function smoothNoise(seed: number, channel: number, hours: number, periodH: number): number {
  const x = hours / periodH;
  const i = Math.floor(x);
  const f = x - i;
  const a = 0.5 + 0.5 * Math.cos(Math.PI * f);
  const b = 1 - a;
  return (a * hashNormal(seed, channel, i) + b * hashNormal(seed, channel, i + 1)) / Math.sqrt(a * a + b * b);
}
