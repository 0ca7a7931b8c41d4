/** Words of the settings, by the part that says them. */
export const hands = {
  anHourOfWork: 'An hour of work',
  thePlanWeighsMinutesAgainst: 'The plan weighs minutes against what they save.',
  hourlyRate: 'Hourly rate',
  anHour: (currency: string) => `${currency} an hour`,
  peopleWhoCoverInThe: 'People who cover in the evening',
  howMuchCanBeDone: 'How much can be done before dark, and when each job has to be begun.',
  people: 'People',
  whenNobodyIsHere: 'When nobody is here',
  whatIsOpenedAndShut: 'What is opened and shut by day is planned for when somebody can do it.',
};

export const measures = {
  units: 'Units',
  temperature: 'Temperature',
  length: 'Length',
  metresKg: 'metres, kg',
  feetLb: 'feet, lb',
  clock: 'Clock',
  words24Hours: '24 hours',
  words12Hours: '12 hours',
  theme: 'Theme',
  byTheSun: 'by the sun',
  day: 'day',
  night: 'night',
};

export const schools = {
  whatACoverIsFor: 'What a cover is for',
  hardyCropsMayFreezeAnd:
    'Hardy crops may freeze and thaw, it hardens and sweetens them; or they are kept growing. Each planting can differ. This sets what a new one starts with.',
  asTheCropNeeds: 'as the crop needs',
  survive: 'survive',
  keepGrowing: 'keep growing',
  aim: 'Aim',
  whenToUncover: 'When to uncover',
  frozenLeavesBreakWhenTouched:
    'Frozen leaves break when touched and burn in sudden sun; but every hour of winter light counts.',
  afterTheThaw: 'after the thaw',
  atFirstLight: 'at first light',
  aCoverOnTheLeaves: 'A cover on the leaves',
  whatTouchesASheetIs: 'What touches a sheet is colder; the plan counts it so. Or sheets go on hoops only.',
  mayLieOnThem: 'may lie on them',
  onlyOnHoops: 'only on hoops',
  coverOnTheLeaves: 'Cover on the leaves',
  warmDaysColdNights: 'Warm days, cold nights',
  cropsOfTwoYearsRun:
    'Crops of two years run to flower after cold; wide swings of it in spring help them to. A house opened earlier swings less, and grows less.',
  notMinded: 'not minded',
  dampedForWhatBolts: 'damped for what bolts',
  waterBeforeAFrost: 'Water before a frost',
  wetSoilStoresHeatWet:
    'Wet soil stores heat; wet plants and lines freeze hard. Either way nothing is watered on a freezing day.',
  leaveItDry: 'leave it dry',
  waterTheDayBefore: 'water the day before',
};

export const theFarm = {
  theFarm: 'The farm',
  nameOfTheFarm: 'Name of the farm',
  timeZone: 'Time zone',
  europeMadrid: 'Europe/Madrid',
  keepNameAndZone: 'Keep name and zone',
  nameAndZone: 'Name and zone',
  whereItIsWindAnd: 'Where it is, wind and frost',
  whoUsesThisDevice: 'Who uses this device',
  aNameOrAMark:
    'A name or a mark of yours stands then beside what is done on it. It stays empty where one does it all.',
  nameOnThisDevice: 'Name on this device',
  dripLines: 'Drip lines',
  asMostOfYourBeds: 'As most of your beds have them.',
};

export const settingsScreen = {
  themeByTheSun: 'theme by the sun',
  dayTheme: 'day theme',
  nightTheme: 'night theme',
  metresKgFeetLbHours: ({
    temperature,
    count,
    clock,
    themesWord,
  }: {
    temperature: string;
    count: string;
    clock: number;
    themesWord: string;
  }) => `°${temperature}, ${count === 'm' ? 'metres, kg' : 'feet, lb'}, ${clock} hours, ${themesWord}`,
  uncoveredAfterTheThawAt: (uncover: string, touch: string) =>
    `uncovered ${uncover === 'thaw' ? 'after the thaw' : 'at first light'}, sheets ${touch === 'both' ? 'may lie on leaves' : 'on hoops only'}`,
  personPeopleAnHour: ({
    countWord,
    hands,
    hourlyRate,
    currency,
  }: {
    countWord: string;
    hands: number;
    hourlyRate: number;
    currency: string;
  }) => `${countWord} ${hands === 1 ? 'person' : 'people'}, ${hourlyRate} ${currency} an hour`,
  whatIsToldAndWhen: 'what is told, and when it is quiet',
  kit: 'Kit',
  howThisFarmMeasuresAnd: 'How this farm measures and decides',
  openingTheSettings: 'Opening the settings',
  unitsAndTheme: 'Units and theme',
  whichSchool: 'Which school',
  handsAndHours: 'Hands and hours',
  messages: 'Messages',
  aBedNearHarmWhose:
    'A bed near harm whose sheet is still off, a house that should be open, a forecast that turned colder, a thermometer gone silent. Each is told once, on Now.',
  theFarmAndThisDevice: 'The farm and this device',
};
