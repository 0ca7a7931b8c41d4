/** Words of what is mended, needed and counted, by the part that says them. */
export const needPanel = {
  weekOf: (from: string, kg: string) => `week of ${from}: ${kg}`,
  whatItGivesByThe: (words: string) => `What it gives by the week. ${words}`,
  forAWeek: (name: string, kgPerWeek: string) => `${name} for ${kgPerWeek} a week`,
  plantingsOf: (count: number, name: string) => `${count} plantings of ${name}`,
  ofItFindNoFree: (leftM: string) => `▲ ${leftM} of it find no free row there then.`,
  puttingThemOnTheList: (busy: boolean) => (busy ? 'Putting them on the list…' : 'Put them on the list'),
  theFewestMetresInThe:
    'The fewest metres, in the mean year, times the share of years in which a sowing comes off. Yields and seed are starting values.',
  backwardsFromWhatYouNeed: 'Backwards from what you need',
  wantedAWeek: 'Wanted a week',
  from: 'From',
  until: 'Until',
  whatDoIBeginWhen: 'What do I begin when?',
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years: ${done} of ${ofWord} places`,
  thisIsOfWhatWas: '▲ This is of what was asked before; ask again.',
};

export const countersPanel = {
  fruitSetToRipe: 'fruit set to ripe',
  plantingToFlower: 'planting to flower',
  weeksOfColdForBulbs: 'weeks of cold for bulbs',
  warmthToAMark: 'warmth to a mark',
  perCent: (round: number) => `${round} per cent`,
  stop: 'Stop',
  stopCounting: (name: string) => `Stop counting: ${name}`,
  tomatoesFirstTruss: 'Tomatoes, first truss',
  called: 'Called',
  whatIsCounted: 'What is counted',
  tomatoes: 'tomatoes',
  where: 'Where',
  inTheOpen: 'in the open',
  from: 'From',
  coldCountsUpToWarmth: (what: string) => (what === 'cold' ? 'Cold counts up to' : 'Warmth counts over'),
  fullAt: 'Full at',
  daysCDays: (what: string) => (what === 'cold' ? 'days' : '°C days'),
  aStartingValueWhenYours: 'A starting value. When yours was full, put it right: the next one goes by that.',
  countIt: 'Count it',
  counted: 'Counted',
  noLongerCounted: (name: string) => `${name}: no longer counted`,
  countFromADay: 'Count from a day',
  counted2: (name: string) => `${name}: counted`,
};

export const shadeWeeks = {
  clothOff: (name: string) => `${name}: cloth off`,
  nothingThatStandsThereWants: (to: string) =>
    `Nothing that stands there wants it before ${to}, and it takes light.`,
  nothingThatStandsThereWants2: 'Nothing that stands there wants it this year, and it takes light.',
  until: (to: string) => `until ${to}`,
  to: (from: string, to: string) => `${from} to ${to}`,
  clothStaysOnClothOn: (begun: boolean, isOn: boolean) => (begun && isOn ? 'cloth stays on' : 'cloth on'),
  onAWarmBrightDay: ({
    crop,
    openC,
    clothC,
    limitC,
  }: {
    crop: string;
    openC: string;
    clothC: string;
    limitC: string;
  }) =>
    `On a warm bright day then, one in ten, leaves of ${crop} come to ${openC} with everything open and ${clothC} under cloth; above ${limitC} they spoil.`,
  lookingForWeeksThatWant: 'Looking for weeks that want shade',
  shadeCloth: 'Shade cloth',
  fromTheSitesPlausibleYears:
    'From the site’s plausible years; what has no day of clearing counts until its warmth is had. Cloth is set in the house’s own form.',
};

export const mendPanel = {
  itCameUpPatchyOr: 'It came up patchy, or frost thinned it',
  ofAHundredSoMany: 'Of a hundred, so many stand',
  of100: 'of 100',
  sparePlantsInTrays: 'Spare plants in trays',
  plants: 'plants',
  pricingWhatCanBeDone: 'Pricing what can be done',
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years: ${done} of ${ofWord}`,
  overWhatIsLeftOf:
    'Over what is left of its time, less the work at your hourly rate. Values and minutes are starting values; what seed costs is not in it.',
};
