/** Words of what is done and undone, and of pages that are none, by the part that says them. */
export const api = {
  noConnectionToTheFarms: 'No connection to the farm’s server.',
  theServerRefusedThis: 'The server refused this.',
};

export const steady = {
  outside: 'Outside',
  thisWasWorkedOutAt: (atText: string) =>
    `This was worked out at ${atText}, and the server cannot be reached. `,
  theRoundCanBeNoted: (phase: string) =>
    phase === 'morning' ? 'The round can be noted all the same.' : 'What you note is kept.',
};

export const notFound = {
  thereIsNothingAtThis: 'There is nothing at this address.',
  goToNow: 'Go to Now',
};

export const layout = {
  nothingHereFogataFogata: (page: null | string) =>
    page === null ? 'Nothing here · Fogata' : `${page} · Fogata`,
};

export const later = {
  thisScreenCouldNotBe: 'this screen could not be fetched',
  thisPageHasNotReached: 'This page has not reached this phone yet.',
  itIsFetchedOnceWhere: 'It is fetched once, where there is signal. What you have noted is kept.',
  tryAgain: 'Try again',
  opening: 'Opening …',
};

export const actions = {
  done: (title: string) => `${title}: done`,
};

export const setup = {
  changedAdded: (name: string, was: boolean) => `${name}: ${was ? 'changed' : 'added'}`,
  removed: (name: string) => `${name}: removed`,
  added: (name: string) => `${name}: added`,
  added2: (map: string) => `${map}: added`,
};

export const useSaveFarm = {
  changed: (label: string) => `${label}: changed`,
};

export const night = {
  log: 'Log',
  thereIsNoNight: (night: string) => `There is no night “${night}”.`,
  aNightIsNamedBy: 'A night is named by the date of its evening, as 2027-01-14.',
  goToTheLog: 'Go to the log',
};

export const expects = {
  expected: (what: string) => `Expected ${what}.`,
};
