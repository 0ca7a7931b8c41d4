/**
 * Invented weather for the demo, practice and tests. Contract: nothing in `src` imports this room, so that nothing of it can
 * enter a prior, a climate or what a real farm is shown.
 */
export * from './issue';
export * from './truth';
