/** Words of plans side by side, and of what went wrong, by the part that says them. */
export const againPanel = {
  row: (fromRow: number) => `row ${fromRow}`,
  rows: (fromRow: number, toRow: number) => `rows ${fromRow}–${toRow}`,
  inFrom: ({
    name,
    cultivar,
    bedName,
    fromRow,
    plantedOn,
    plantedOn2,
  }: {
    name: string;
    cultivar: string;
    bedName: string;
    fromRow: string;
    plantedOn: string;
    plantedOn2: string;
  }) => `${name}${cultivar} in ${bedName}, ${fromRow}, from ${plantedOn} ${plantedOn2}`,
  lastYearAgainOneBed: 'Last year again, one bed on',
  ofLastYearsPlantingsFind: (count: number) =>
    `${count} of last year’s plantings find their rows free a year on, each one bed further in its structure, so that no family comes back at once.`,
  noneOfLastYearsPlantings: 'None of last year’s plantings finds its rows free a year on, one bed further.',
  puttingThemThere: 'Putting them there…',
  putAllOnTheBoard: (count: number) => `Put all ${count} on the board`,
  putItThere: 'Put it there',
  putItThere2: (words: string) => `Put it there: ${words}`,
  leftOutOfItsRows: ({
    name,
    bedName,
    why,
    bed,
  }: {
    name: string;
    bedName: string;
    why: string;
    bed: string;
  }) =>
    `Left out: ${name} of ${bedName}; ${why === 'taken' ? `its rows in ${bed} are taken then` : `${bed} has fewer rows`}.`,
};

export const wrongPanel = {
  itGoesWrongLateEarly: 'It goes wrong: late, early or lost',
  whatHappened: 'What happened',
  late: 'late',
  early: 'early',
  lost: 'lost',
  daysLaterSoonerThanIts: (what: string) =>
    `Days ${what === 'late' ? 'later' : 'sooner'} than its middle year`,
  days: 'days',
  doIt: 'Do it',
  byTheCropsWorthWhat:
    'By the crops’ worth, what is taken of each by its clearing, and the odds of the day it would be begun on. For a stand with gaps ask the planting itself.',
};

export const springPanel = {
  theSpringIsEarlyOr: 'The spring is early, or late',
  itIs: 'It is',
  early: 'early',
  late: 'late',
  daysThatEverythingIsAhead: (early: boolean) => `Days that everything is ${early ? 'ahead' : 'behind'}`,
  days: 'days',
  doIt: 'Do it',
  whatStandsGainsOrLoses:
    'What stands gains or loses the days from now on. An early spring does not move the last frost: what is begun sooner has the odds of its own day.',
};

export const scenariosPanel = {
  plansSideBySide: 'Plans side by side',
  what: 'What',
  makeItThePlan: 'Make it the plan',
  makeThePlan: (name: string) => `Make ${name} the plan`,
  throwAway: 'Throw away',
  throwAway2: (name: string) => `Throw ${name} away`,
  plannedNow: 'Planned now',
  isThePlan: (name: string) => `“${name}” is the plan`,
  putWhatIsPlannedNow: 'Put what is planned now by, under the name',
  earlyTomatoes: 'early tomatoes',
  putItBy: 'Put it by',
  ofTheYearFromToday:
    'Of the year from today, by the middle year and the share of years in which it comes off. To go back, put the plan by first: what is planned now is replaced, what stands is not.',
};
