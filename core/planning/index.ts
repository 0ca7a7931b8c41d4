/** A night planned whole, for who keeps a farm and has hands for the heavy work: the server, a script, a test; not a phone. */
export type { KeptAir } from '../src/night/airs';
export { choose, mayWin } from '../src/night/choice';
export * from '../src/night/jobParts';
export * from '../src/night/jobs';
export * from '../src/night/evening';
export { FIRST_LOOK } from '../src/night/looks';
export * from '../src/night/several';
export * from '../src/night/short';
export * from '../src/night/spell';
export * from '../src/night/spellNights';
export { keptOn } from '../src/night/lifting';
export * from '../src/night/parting';
export * from '../src/night/planned';
export * from '../src/night/programme';
export * from '../src/night/remembering';
export * from '../src/night/tasks';
export * from '../src/night/warnings';
