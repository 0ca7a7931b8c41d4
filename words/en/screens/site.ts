/** Words of the site, by the part that says them. */
export const siteScreen = {
  aMonthAndDayLike: 'a month and day like 04-18',
  fromYourRecords: 'from your records',
  frost: 'Frost',
  lastFrostOfSpringOn: 'Last frost of spring, on average',
  firstFrostOfAutumnOn: 'First frost of autumn, on average',
  howSureEightYearsIn: 'How sure: eight years in ten within',
  frostDates: 'Frost dates',
  daysEitherWay: 'days either way',
  keepTheseDates: 'Keep these dates',
  orFromDailyRecordsA: 'Or from daily records: a date and its lowest in °C on each line',
  reckonTheDatesFromThem: 'Reckon the dates from them',
  fromYearsLastFrostFirst: ({
    years,
    lastSpring,
    firstAutumn,
    eitherWayDays,
  }: {
    years: number;
    lastSpring: string;
    firstAutumn: string;
    eitherWayDays: number;
  }) =>
    `From ${years} years: last frost ${lastSpring}, first ${firstAutumn}, ${eitherWayDays} days either way.`,
  thePlace: 'The place',
  thisDeviceDoesNotTell: 'This device does not tell where it is. Pick a town or type the figures.',
  theDeviceDidNotSay: 'The device did not say where it is. Pick a town or type the figures.',
  kit: 'Kit',
  openingTheSite: 'Opening the site',
  isAtUpOnThe: ({
    name,
    sides,
    measureText,
    timeZone,
  }: {
    name: string;
    sides: string;
    measureText: string;
    timeZone: string;
  }) => `${name} is at ${sides}, ${measureText} up, on the clock of ${timeZone}.`,
  whereIStandNow: 'Where I stand now',
  latitudeNorthPositive: 'Latitude, north positive',
  longitudeEastPositive: 'Longitude, east positive',
  elevation: 'Elevation',
  windAndColdAir: 'Wind and cold air',
  wind: 'Wind',
  sheltered: 'sheltered',
  open: 'open',
  exposed: 'exposed',
  itSetsHowHardGusts: 'It sets how hard gusts are reckoned, and how many bags a sheet takes.',
  hardWindUsuallyComesFrom: 'Hard wind usually comes from',
  fromNorth: '° from north',
  onAStillClearNight: 'On a still, clear night cold air',
  drainsAway: 'drains away',
  staysItIsLevel: 'stays, it is level',
  gathersHere: 'gathers here',
  coldAir: 'Cold air',
  keptWithTheFarmWhat: 'Kept with the farm. What it costs in degrees comes out of your own readings outside.',
};
