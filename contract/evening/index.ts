/** Nights planned from files: the ensemble and the answer. Not part of what a phone loads. */
export * from '../src/eveningResults';
export * from '../src/members';
