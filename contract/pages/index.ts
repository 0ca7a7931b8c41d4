/** The pages by name, and nothing of what they carry: what the frame of the app needs before its first word. */
export * from '../src/pages';
