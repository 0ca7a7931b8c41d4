/** Words of covers that are tried, by the part that says them. */
export const trial = {
  under: (name: string) => `under ${name}`,
  underTwice: (name: string) => `under ${name}, twice`,
  underTried: (name: string) => `under ${name}, tried`,
  triedCover: (name: string) => `${name}, tried`,
};

export const compareStacks = {
  leafAtItsColdest: 'leaf at its coldest',
  hoursFrozen: 'hours frozen',
  thawedBy: 'thawed by',
  neverFrozen: 'never frozen',
  notByThen: 'not by then',
  soilAt5CmThen: 'soil at 5 cm then',
  warmestAirByDay: 'warmest air by day',
  at: (max: string, timesAtMs: string) => `${max} at ${timesAtMs}`,
  toLay: 'to lay',
  min: (minutes: number) => `${minutes} min`,
  leftIsHeldRightIs: 'left is held, right is what you switch',
  sideBySide: 'Side by side',
  theLeafEndsAsWarm: 'The leaf ends as warm under both.',
  warmerOnTheRightColder: ({
    abs,
    better,
    minutesWords,
  }: {
    abs: string;
    better: number;
    minutesWords: string;
  }) =>
    `${abs} ${better > 0 ? 'warmer on the right' : 'colder on the right'} at the coldest, for ${minutesWords}.`,
  theLeafUnderBothStacks: 'The leaf under both stacks',
  leafHeld: 'leaf, held',
  leafSwitched: 'leaf, switched',
  swapThem: 'Swap them',
  letGoOfTheHeld: 'Let go of the held one',
  theSameWork: 'the same work',
  minMoreLessWork: (abs: number, more: number) => `${abs} min ${more > 0 ? 'more' : 'less'} work`,
};

export const layerSwitches = {
  onOff: (name: string, onWord: boolean) => `${name} ${onWord ? 'on' : 'off'}`,
  tryACoverYouDo: 'Try a cover you do not have',
  howItLies: 'How it lies',
  onHoops: 'on hoops',
  laidOnTheCrop: 'laid on the crop',
  whatItIsMadeOf: 'What it is made of',
  triedOnHoopsLaidOn: (use: string) => `tried, ${use === 'hoops' ? 'on hoops' : 'laid on'} · not in stock`,
  away: 'Away',
  takeTheAwayAgain: (name: string) => `Take the ${name} away again`,
};

export const tryDay = {
  inTheHouse: 'in the house',
  inTheFrame: 'in the frame',
  inTheTunnel: 'in the tunnel',
  airAtTheCrop: 'air at the crop',
  soilAt5Cm: 'soil at 5 cm',
  coversOffFrom: (dayFromAtMs: string) => `covers off from ${dayFromAtMs}`,
  coversStayOn: 'covers stay on',
  dayAndNightEveryLayer: 'Day and night, every layer',
  fromNowToTheEvening: (name: string) => `${name} from now to the evening after`,
  to: (dayFromAtMs: string, dayToAtMs: string) => `${dayFromAtMs} to ${dayToAtMs}`,
  todayByDayTomorrowBy: (dayWord: string) => (dayWord === 'today' ? 'Today, by day' : 'Tomorrow, by day'),
  airAtItsWarmest: ({
    warmest,
    warmest2,
    timesAtMs,
  }: {
    warmest: number;
    warmest2: string;
    timesAtMs: string;
  }) => `${warmest > 28 ? '▲ ' : ''}Air ${warmest2} at its warmest, ${timesAtMs}`,
  coversByDay: 'Covers by day',
  coversOffByDay: 'covers off by day',
  leftOn: 'left on',
  howFarStandsOpenBy: (name: string) => `How far ${name} stands open by day`,
  openingByDay: 'Opening by day',
};

export const tryCovers = {
  nothingOnIt: 'nothing on it',
  theCoversCannotBeTried:
    'The covers cannot be tried in this browser. The plan and the options below still hold.',
  tryingTheCovers: 'Trying the covers',
  coldestHour: (hour: null | number, timesAtMs: string) =>
    `${hour === null ? 'coldest hour, ' : ''}${timesAtMs}`,
  anHourEarlier: 'An hour earlier',
  anHourLater: 'An hour later',
  under: (name: string) => `under ${name}`,
  thePlanCarriesItsCrates: (awayTo: string) =>
    `The plan carries its crates in, to “${awayTo}”. What is drawn here is the bed as if they stayed.`,
  leafAtItsColdestFrom: ({
    minLeafC,
    phase,
    touched,
    awayTo,
  }: {
    minLeafC: string;
    phase: string;
    touched: boolean;
    awayTo: undefined | null | string;
  }) =>
    `Leaf ${minLeafC} at its coldest${phase === 'morning' ? ' from now on' : ''}${touched ? ', as switched' : awayTo ? ', left here' : ', as planned'}`,
  howFarStandsOpenTonight: (name: string) => `How far ${name} stands open tonight`,
  opening: 'Opening',
  planNothingOnItPlan: (plan: string) => (plan === 'bare' ? 'Plan nothing on it' : 'Plan this for tonight'),
  planChanged: (name: string) => `${name}: plan changed`,
  isNowShut: (name: string) => `${name} is now shut`,
  isNowOpen: (name: string, opening: number) => `${name} is now ${opening} % open`,
  open: (name: string, opening: number) => `${name}: ${opening} % open`,
  holdThisToCompareCompare: (touched: boolean) => (touched ? 'Hold this to compare' : 'Compare with another'),
  backToHowItIs: 'Back to how it is',
  heldHeldAsPlanned: (isTouched: boolean) => (isTouched ? 'held' : 'held: as planned'),
  asSwitchedAsPlanned: (touched: boolean) => (touched ? 'as switched' : 'as planned'),
  solidAsSwitched: 'solid: as switched, thin: as planned',
  theNightHourByHour: 'The night, hour by hour',
};
