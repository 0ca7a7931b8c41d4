/**
 * The longest suites first, so that neither of two workers waits for the other at the end: on a fresh machine none is known to jest. Of the app's one comes before
 * all else: what React Native is made of is compiled by it, once, and the others find it when they come, which is last.
 */
import sequencer from '@jest/test-sequencer';

const LONGEST = [
  'seasonScreens',
  'bands',
  'ahead',
  'opening',
  'exchange',
  'start',
  'log',
  'night',
  'api',
  'backup',
  'shared',
  'fuzz',
  'hands',
  'examples',
  'types',
  'windows',
  'sources',
  'guard',
  'evening',
  'firstAnswer',
  'parting',
  'fill',
  'otherHands',
];
const LAST = ['app', 'screens'];
const rank = ({ path, context }) => {
  const last = LAST.includes(context.config.displayName?.name);
  const at = LONGEST.findIndex((name) => new RegExp(`[\\\\/]${name}\\.test\\.tsx?$`).test(path));
  if (at === 0 || (at > 0 && !last)) return at;
  return LONGEST.length + (last ? 1 : 0);
};

export default class extends sequencer.default {
  sort(tests) {
    return [...tests].sort((a, b) => rank(a) - rank(b) || a.path.localeCompare(b.path));
  }
}
