/** Gaps filled, from a file: not part of what a phone loads. */
export * from '../src/fillRequest';
export * from '../src/fillResult';
