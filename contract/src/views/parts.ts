/** What passes through an answer as core has it: checked for being there, not once more for what it is. */
import { z } from 'zod';

/** A value of core, whole. */
export const ofCore = <T>() => z.custom<T>((x) => x !== undefined && x !== null);
/** One of core's words: which ones there are is said there. */
export const word = <T extends string>() => z.custom<T>((x) => typeof x === 'string');
/** A thing of the farm: it was held to its own definition when it was kept. */
export const thing = <T extends { id: string }>() =>
  z.custom<T>((x) => typeof x === 'object' && x !== null && typeof (x as { id?: unknown }).id === 'string');
/** A series with gaps: NaN has no word of its own on the way. */
export const series = z.array(z.union([z.number(), z.nan(), z.null().transform(() => NaN)]));
