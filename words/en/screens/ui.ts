/** Words that every screen shares: bars, fields, tables, by the part that says them. */
export const page = {
  backTo: (back: string) => `Back to ${back}`,
  fogata: 'Fogata',
};

export const bars = {
  thisBrowserKeepsNothingLeave: (onDevice: boolean, count: number) =>
    !onDevice
      ? `This browser keeps nothing: leave the page open until ${count === 0 ? 'what you enter' : `your ${count === 1 ? 'entry' : `${count} entries`}`} has been sent.`
      : count === 0
        ? 'What you enter is kept on this device and sent later.'
        : `${count} ${count === 1 ? 'entry is' : 'entries are'} kept on this device and will be sent.`,
  oneEntryWasNotTaken: (refused: string) => `▲ One entry was not taken: ${refused}`,
  read: 'Read',
  noServerThisIsWhat: (offline: boolean, kept: string) =>
    offline ? `▲ No server. This is what was last known. ${kept}` : `Sending. ${kept}`,
  undo: 'Undo',
  theDemosClock: "The demo's clock",
  practiceOnACopyOf: (practice: boolean, nowAtMs: string) =>
    `${practice ? 'Practice on a copy of your farm: weather and readings are invented and nothing here is kept. The' : 'Demo: the'} clock stands at ${nowAtMs} until you move it.`,
  demoClockOneHourOn: 'Demo clock one hour on',
  closingTime: 'Closing time',
  demoClockToClosingTime: 'Demo clock to closing time',
  nextMorning: 'Next morning',
  demoClockToNextMorning: 'Demo clock to next morning',
  backToJanuaryADay: (spring: boolean) => (spring ? 'Back to January' : 'A day in April'),
  demoClockTo14January: (spring: boolean) =>
    spring ? 'Demo clock to 14 January, 15:30' : 'Demo clock to 20 April, 07:00',
  tryAgain: 'Try again',
};

export const passcodeGate = {
  thisFarmAsksForIts: 'This farm asks for its passcode',
  passcode: 'Passcode',
  openTheFarm: 'Open the farm',
  whoeverRunsTheServerSet:
    'Whoever runs the server set it there. It is asked for once in ninety days on each device.',
};

export const frame = {
  now: 'Now',
  beds: 'Beds',
  season: 'Season',
  log: 'Log',
  kit: 'Kit',
  words1To5: '1 to 5',
  nowBedsSeasonLogKit: 'Now, Beds, Season, Log, Kit',
  aNewNote: 'a new note',
  takeTheLastActBack: 'take the last act back',
  spaceEnter: 'Space, Enter',
  tickOpen: 'tick, open',
  amongChoicesDownATable: 'among choices, down a table',
  thisList: 'this list',
  esc: 'Esc',
  screens: 'Screens',
  keys: 'Keys',
};

export const stepper = {
  downUp: ({ label, by, abs }: { label: string; by: number; abs: number }) =>
    `${label} ${by < 0 ? 'down' : 'up'} ${abs}`,
  typeIt: ({ label, shown, unit }: { label: string; shown: string; unit: string }) =>
    `${label}: ${shown} ${unit}. Type it`,
  keypadFor: (label: string) => `Keypad for ${label}`,
  typeANumber: 'Type a number',
  deleteWord: (k: string) => (k === '⌫' ? 'Delete' : k),
  changeTheSign: 'Change the sign',
  to: (sign: string, max: number) => `${sign} to ${max}`,
  set: 'Set',
};

export const dateStepper = {
  typeIt: (label: string, dateWords: string) => `${label}, ${dateWords}: type it`,
  expectedADayLike14: (label: string) => `${label}: expected a day like 14 mar or 2027-03-14.`,
  asDayAndMonth: (label: string) => `${label}, as day and month`,
  words4Weeks: '−4 weeks',
  fourWeeksEarlier: (label: string) => `${label} four weeks earlier`,
  words1Week: '−1 week',
  aWeekEarlier: (label: string) => `${label} a week earlier`,
  words1Day: '−1 day',
  aDayEarlier: (label: string) => `${label} a day earlier`,
  words1Day2: '+1 day',
  aDayLater: (label: string) => `${label} a day later`,
  words1Week2: '+1 week',
  aWeekLater: (label: string) => `${label} a week later`,
};

export const table = {
  search: (label: string) => `Search ${label}`,
  sortBy: (title: string) => `Sort by ${title}`,
  whatCanBeDone: 'What can be done',
  nothingHereHasInIt: (text: string, empty: string) =>
    text === '' ? empty : `Nothing here has “${text}” in it.`,
};

export const cropChoice = {
  findACrop: 'Find a crop',
  crop: 'Crop',
  noCropIsCalledIt: (search: string) =>
    `No crop is called “${search}”. It can be kept under the nearest one, with its cultivar.`,
};

export const clockStepper = {
  twoHoursEarlier: (label: string) => `${label}: two hours earlier`,
  halfAnHourEarlier: (label: string) => `${label}: half an hour earlier`,
  halfAnHourLater: (label: string) => `${label}: half an hour later`,
  twoHoursLater: (label: string) => `${label}: two hours later`,
};

export const progress = {
  aFirstLookAtMost: (members: number, ofWord: number) =>
    `A first look: at most one more sheet on a bed, under ${members} of ${ofWord} forecasts. Every cover under every forecast is being worked out.`,
  ofBedsEveryCoverUnder: (ofWord: number, done: number) =>
    ofWord > 0 ? `${done} of ${ofWord} beds, every cover under every forecast` : 'Reading the forecast',
  theNightCouldNotBe: 'The night could not be worked out.',
  workingOutTheNight: 'Working out the night',
};

export const curves = {
  fromTo: ({ name, min, max }: { name: string; min: string; max: string }) => `${name} from ${min} to ${max}`,
};

export const section = {
  outsideSky: ({ outsideC, unit, skyC }: { outsideC: string; unit: string; skyC: string }) =>
    `Outside ${outsideC} ${unit}, sky ${skyC}`,
  leaf: (leafC: string) => `leaf ${leafC}`,
  soilAt5CmAt: ({ soil5C, soil10C, soil30C }: { soil5C: string; soil10C: string; soil30C: string }) =>
    `soil at 5 cm ${soil5C}, at 10 cm ${soil10C}, at 30 cm ${soil30C}`,
  sunWM: (wm2: number) => `sun ${wm2} W/m²`,
  sky: (skyC: string) => `sky ${skyC}`,
  outside: 'outside',
  givingWM: (soilGivesWm2: number) => `giving ${soilGivesWm2} W/m²`,
  storingWM: (soilGivesWm2: number) => `storing ${soilGivesWm2} W/m²`,
  theSoilUnderItsCovers: 'the soil, under its covers',
  theSoilUnderOneCover: (count: number) =>
    count === 1 ? 'the soil, under one cover' : 'the soil, to the open sky',
  atCm: (cm: number) => `at ${cm} cm`,
};

export const messageSettings = {
  thisBrowserShowsThemAs: 'This browser shows them as they come, while Fogata is open in it.',
  thisBrowserWasToldNot: 'This browser was told not to show them. It can be allowed in its own settings.',
  thisBrowserCannotShowThem: 'This browser cannot show them; they stand on Now.',
  messages: 'Messages',
  tellMe: 'tell me',
  never: 'never',
  quietFrom: 'Quiet from',
  quietUntil: 'Quiet until',
  whatCannotWaitUntilThe: 'What cannot wait until the morning',
  wakesMe: 'wakes me',
  waitsToo: 'waits too',
  letThisBrowserShowThem: 'Let this browser show them',
};
