/** Words of forecasts, typed and brought, by the part that says them. */
export const feedsScreen = {
  askedForEveryQuarterOf: 'Asked for every quarter of an hour',
  address: 'Address',
  httpMastLocalWeatherJson: 'http://mast.local/weather.json',
  askingAskItNowAnd: (busy: boolean) => (busy ? 'Asking…' : 'Ask it now and from now on'),
  askItNoMore: 'Ask it no more',
  sentHereByAStation: 'Sent here by a station or a script',
  aTokenIsOutWhoever: (token: boolean) =>
    token
      ? 'A token is out. Whoever has it may send weather and temperatures, and nothing else.'
      : 'With a token, a station or a script may send weather and temperatures, and nothing else.',
  shownThisOnceWriteIt: '▲ Shown this once. Write it down where the station is set up.',
  makeAnotherTheOldOne: (token: boolean) => (token ? 'Make another; the old one is void' : 'Make a token'),
  voidIt: 'Void it',
  postApiFeedWeatherAnd:
    'POST /api/feed/weather and /api/feed/thermometers, with “authorization: Bearer” and the token. The form is in docs/formats.md.',
  theSeasonsJobsInA: 'The season’s jobs in a calendar',
  anAddressIsOutA: (calendar: boolean) =>
    calendar
      ? 'An address is out. A calendar that has it reads what is to be sown, planted and cleared, and nothing else.'
      : 'With an address, a calendar reads what is to be sown, planted and cleared, and follows what is moved.',
  shownThisOnceTheCalendar: '▲ Shown this once. The calendar has to reach this server to read it.',
  makeAnotherTheOldOne2: (calendar: boolean) =>
    calendar ? 'Make another; the old one is void' : 'Make an address',
  anAddressForACalendar: 'An address for a calendar',
  voidTheCalendarsAddress: 'Void the calendar’s address',
  keepItAsAFile: 'Keep it as a file',
  theSeasonsJobsAsA: 'The season’s jobs as a calendar file',
  kit: 'Kit',
  weatherAndThermometersThatCome: 'Weather and thermometers that come by themselves',
  openingTheFeeds: 'Opening the feeds',
};

export const forecastScreen = {
  nothing: 'nothing',
  someRain: 'some rain',
  muchRain: 'much rain',
  someSnow: 'some snow',
  snow: 'snow',
  muchSnow: 'much snow',
  sureOfIt: 'sure of it',
  asSureAsUsual: 'as sure as usual',
  notSure: 'not sure',
  lowestOfTheNight: 'Lowest of the night',
  whenItIsLowest: 'When it is lowest',
  highestByDay: 'Highest by day',
  wind: 'Wind',
  sky: 'Sky',
  howSureItSounds: 'How sure it sounds',
  rain: 'Rain',
  snow2: 'Snow',
  inWord: (word: string, mm: string) => `${word}, ${mm} in`,
  cm: (word: string, mm: number) => `${word}, ${mm} cm`,
  mm: (word: string, mm: number) => `${word}, ${mm} mm`,
  whatDoesYourForecastSay: 'What does your forecast say of tonight?',
  by: (lowC: string, lowAtMs: string) => `${lowC} by ${lowAtMs}`,
  upToByDay: (highC: string) => `. Up to ${highC} by day.`,
  theForecastExpected: (namesWord: string, message: string) =>
    `${namesWord ?? 'The forecast'}: expected ${message}.`,
  tonightsWeatherTold: 'Tonight’s weather: told',
  whatYouEnteredIsKept: (message: string) => `${message} What you entered is kept here.`,
  lowest: 'Lowest',
  itIsLowestAbout: 'It is lowest about',
  highest: 'Highest',
  windInTheNight: 'Wind in the night',
  skyInTheNight: 'Sky in the night',
  whatFallsInTheNight: 'What falls in the night',
  lowestHighestWindAndSky: (missing: boolean) =>
    missing ? 'Lowest, highest, wind and sky first' : 'Work out the night',
  theHoursBetweenAreShaped:
    'The hours between are shaped from these, and what falls is spread evenly from dusk to the lowest. A table of hours is better where snow is coming: what a roof bears, only its maker says.',
  now: 'Now',
  openingTheFarm: 'Opening the farm',
  bringATableOfHours: 'Bring a table of hours',
  letItComeByItself: 'Let it come by itself',
};
