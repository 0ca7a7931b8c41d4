/** The API by its calls: addresses and what they answer, and nothing of how it is worked out. */
export * from '../src/client';
