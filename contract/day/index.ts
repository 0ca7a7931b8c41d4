/** A day's limits as a file. Not part of what a phone loads. */
export * from '../src/limits';
