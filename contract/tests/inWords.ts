import { PLAIN, told } from '@fogata/core/words';

/** A reader whose refusals come as they are read. */
export const inWords =
  <A extends unknown[], R>(read: (...args: A) => R) =>
  (...args: A) =>
    told(read(...args), PLAIN);
