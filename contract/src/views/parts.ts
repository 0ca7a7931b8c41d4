/** What passes through an answer as core has it: checked for being there, not once more for what it is. */
import { en, isSaid, type Said } from '@fogata/core/words';
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
/** A sentence by its id; one that this page has no words for is refused, since page and server are then of different versions. */
export const sentence = z.custom<Said>((x) => isSaid(x) && x.say in en);
/** A sentence, or none. */
export const saying = z.union([sentence, z.literal('')]);
/** A thing's own name, or what it is called where it has none. */
export const naming = z.union([z.string(), sentence]);
