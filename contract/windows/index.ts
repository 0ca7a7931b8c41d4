/** The open formats by the year: requests and their answers. Not part of what a phone loads. */
export * from '../src/seasonResults';
export * from '../src/windows';
export { reasonSaid, reasonWords } from '../src/windowsWords';
