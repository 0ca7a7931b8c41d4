/** Words of the board, by the part that says them. */
export const supplyBand = {
  kg: (most: number) => `${most} kg`,
};

export const targets = {
  row: (fromRow: number) => `row ${fromRow}`,
  rows: (fromRow: number, toRow: number) => `rows ${fromRow}–${toRow}`,
  toInTheGround: ({
    name,
    bedName,
    rowsWords,
    plantedOn,
    isoOf,
    mayMove,
  }: {
    name: string;
    bedName: string;
    rowsWords: string;
    plantedOn: string;
    isoOf: string;
    mayMove: boolean;
  }) => `${name}, ${bedName} ${rowsWords}, ${plantedOn} to ${isoOf}${mayMove ? '' : ', in the ground'}`,
};

export const boardGrid = {
  lightLightHoursADay: (narrow: boolean) => (narrow ? 'light' : 'light, hours a day'),
  frostOutsideUpToOf: (round: number) => `frost outside, up to ${round} of 10 nights`,
  darkWeeksDarkWeeksLeaves: (narrow: boolean) => (narrow ? 'dark weeks' : 'dark weeks: leaves stand still'),
  in10: (chance: number) => `${chance} in 10`,
  today: (today: string) => `today, ${today}`,
  whatNext: (name: string, rowsWords: string) => `${name}, ${rowsWords}: what next?`,
  kgAWeek: 'kg a week',
};

export const movePanel = {
  inTheMeanYearIt: 'In the mean year it does not come up from that day.',
  inTheMeanYearIt2: (odds: boolean) =>
    odds
      ? 'In the mean year it never comes to a picking from that day.'
      : 'Its place is still being worked out.',
  itIsClearedBeforeThat: (endDay: number, readyDay: number) =>
    endDay <= readyDay ? ' It is cleared before that.' : '',
  upOnReady: (upDay: string) => `up on ${upDay}, ready`,
  overOn: (overDay: string) => `, over on ${overDay}`,
  onInTheMiddleYear: ({
    how,
    readyDay,
    overDay,
    cut,
  }: {
    how: string;
    readyDay: string;
    overDay: string;
    cut: string;
  }) => `${how} on ${readyDay} in the middle year${overDay}.${cut}`,
  forSeedInFlowerFrom: ({ fromDay, toDay, endDay }: { fromDay: string; toDay: string; endDay: string }) =>
    `For seed: in flower from ${fromDay} to ${toDay}, ripe about ${endDay}.`,
  fromOnMayBeSown: (fromDay: string, map: string) => `From ${fromDay} on may be sown under it: ${map}.`,
  begunThenItComesOff: (ofHundred: string) => `Begun then it comes off in ${ofHundred}. `,
  about: (kg: string) => ` About ${kg}.`,
  sownOnPlantedOn: (how: string) => (how === 'sow' ? 'Sown on' : 'Planted on'),
  itIsInTheGround: 'It is in the ground: only its clearing can be moved.',
  standsUntilItIsOver: (clearedOn: null | string) =>
    clearedOn === null ? 'Stands until it is over; cleared on' : 'Cleared on',
  changeIt: 'Change it',
  itsStory: 'Its story',
  close: 'Close',
};

export const pickList = {
  about: (all: string) => `about ${all}`,
  toPickThisWeek: 'To pick this week',
  asItOpens: 'As it opens',
  about2: (said: string) => `About ${said}`,
  theLastOfItBy: ({ amount, leftDays, isoOf }: { amount: string; leftDays: number; isoOf: string }) =>
    `${amount}; ${leftDays <= 14 ? 'the last of it by' : 'it stands until'} ${isoOf}.`,
  byTheMiddleYearEvenly:
    'By the middle year, evenly from the first picking to the last. What you see in the bed is right.',
};

export const quarrelList = {
  toLookAt: 'To look at',
  accepted: (isAccepted: boolean, instead: string) => (isAccepted ? `Accepted. ${instead}` : instead),
  sayItAgainAccept: (isAccepted: boolean) => (isAccepted ? 'Say it again' : 'Accept'),
  sayAgainAccept: (isAccepted: boolean, what: string) => `${isAccepted ? 'Say again' : 'Accept'}: ${what}`,
  fewerMore: (all: boolean, more: number) => (all ? 'Fewer' : `${more} more`),
};

export const boardScreen = {
  year: 'year',
  season: 'season',
  month: 'month',
  undo: 'Undo',
  undoTheLastMove: 'Undo the last move',
  redo: 'Redo',
  doItAgain: 'Do it again',
  theBedsOnPaper: 'The beds on paper ›',
  ofWord: (n: number, count: number) => `${n} of ${count}`,
  season2: 'Season',
  openingTheBoard: 'Opening the board',
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years: ${done} of ${ofWord}`,
  iHaveReadIt: 'I have read it',
  thereIsNoBedYet: 'There is no bed yet. Rows come with beds.',
  setUpABed: 'Set up a bed',
  zoom: 'Zoom',
  dragAStripToMove:
    'Drag a strip to move it, its end to clear it sooner or later; with the keyboard, arrows by days, with Shift by weeks, [ and ] its end. Dates are of the middle year, odds over a hundred; crop figures are starting values.',
};
