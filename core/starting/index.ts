/** What is said to whoever starts the server: in the terminal, in no farm's units. */
export { starting } from '../src/words/en/starting';
