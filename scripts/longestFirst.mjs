/** The longest suites first, so that neither of two workers waits for the other at the end: on a fresh machine none is known to jest. */
import sequencer from '@jest/test-sequencer';

const LONGEST = [
  'bands',
  'ahead',
  'exchange',
  'start',
  'log',
  'night',
  'api',
  'backup',
  'shared',
  'opening',
  'fuzz',
  'hands',
  'windows',
  'sources',
  'guard',
];
const rank = ({ path }) => {
  const at = LONGEST.findIndex((name) => path.endsWith(`/${name}.test.ts`));
  return at < 0 ? LONGEST.length : at;
};

export default class extends sequencer.default {
  sort(tests) {
    return [...tests].sort((a, b) => rank(a) - rank(b) || a.path.localeCompare(b.path));
  }
}
