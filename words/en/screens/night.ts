/** Words of Now, of a night and of all nights, by the part that says them. */
export const forecastList = {
  typed: 'typed',
  fromATable: 'from a table',
  pushed: 'pushed',
  askedFor: 'asked for',
  toTyped: (lowC: string, highC: string) => `${lowC} to ${highC}, typed`,
  whatCameSoFar: 'What came so far',
  tonightGoesByIt: ' · tonight goes by it',
  setAside: (active: boolean) => (active ? '' : ' · set aside'),
  ofUpTo: (when: string, when2: string) => `of ${when}, up to ${when2}`,
  setAsideUseAgain: (active: boolean) => (active ? 'Set aside' : 'Use again'),
  setAsideUseAgain2: (active: boolean, words: string) => `${active ? 'Set aside' : 'Use again'}: ${words}`,
  showAll: (count: number) => `Show all ${count}`,
};

export const nightChart = {
  saidMeasured: ({
    name,
    predictedC,
    measuredMinC,
  }: {
    name: string;
    predictedC: string;
    measuredMinC: string;
  }) => `${name}: said ${predictedC}, measured ${measuredMinC}`,
};

export const nightScreen = {
  log: 'Log',
  nightOf: (dateWords: string) => `Night of ${dateWords}`,
  dotsTheRangeThatWas: 'dots: the range that was said; squares: measured',
  lowestBySpot: 'Lowest, by spot',
  said: (mid: string, low: string) => `Said ${mid} (${low}).`,
  theWeathersPartIsWhat:
    'The weather’s part is what the model gives for the weather as it came, less what was said. The model’s part is what is left: film, joints, soil and spot that differ from the book.',
  upToTheNightBefore: 'up to the night before this one',
  whatTheReadingsTaught: 'What the readings taught',
  lookingBack: 'Looking back',
  nightBefore: 'Night before',
  nightAfter: 'Night after',
};

export const nightsScreen = {
  nights: 'Nights',
  nightOf: (dateWords: string) => `Night of ${dateWords}`,
  noNightYet: 'No night yet.',
  nightOf2: 'Night of',
  outsideSaid: 'Outside, said',
  outsideRead: 'Outside, read',
  insideWithin: 'Inside, within',
  ofWord: (within: number, read: number) => `${within} of ${read}`,
  readLessSaid: 'Read less said',
  furthestOff: 'Furthest off',
  log: 'Log',
  lookingUpTheNights: 'Looking up the nights',
  readLessSaid2: 'read less said',
  saidOutside: (low: string) => `said ${low} outside`,
  nothingWasSaid: 'nothing was said',
  read: (readC: string) => `read ${readC}`,
  ofInsideWithinIt: (within: number, read: number) => `${within} of ${read} inside within it`,
};

export const ribbon = {
  nightOfLeafDownTo: ({
    name,
    minC,
    minAtMs,
    min,
  }: {
    name: string;
    minC: string;
    minAtMs: string;
    min: string;
  }) => `Night of ${name}: leaf down to ${minC} at ${minAtMs}, outside between ${min} at its lowest.`,
  leafAt: (minC: string, minAtMs: string) => `leaf ${minC} at ${minAtMs}`,
  soil5Cm: 'soil 5 cm',
};

export const jobRow = {
  min: (minutes: number) => ` · ${minutes}\u00a0min`,
  fromByWhy: ({ title, kind, dueAtMs }: { title: string; kind: string; dueAtMs: string }) =>
    `${title}, ${kind === 'lift' ? 'from' : 'by'} ${dueAtMs}. Why`,
  late: 'late',
  accepted: ({
    detail,
    minutes,
    accepted,
    done,
    by,
  }: {
    detail: string;
    minutes: string;
    accepted: boolean;
    done: boolean;
    by: string;
  }) => `${detail}${minutes}${accepted && !done ? ' · accepted' : ''}${by ? ` · ${by}` : ''}`,
  doneMarkItDone: (title: string, done: boolean) => `${title}: ${done ? 'done' : 'mark it done'}`,
  accept: 'Accept',
  accepted2: (title: string) => `${title}: accepted`,
  change: 'Change',
  refuse: 'Refuse',
  refused: (title: string) => `${title}: refused`,
};

export const placeLine = {
  leaf: ({ name, crop, mid, verdict }: { name: string; crop: string; mid: string; verdict: string }) =>
    `${name}, ${crop}: leaf ${mid}, ${verdict}`,
  harmBelow: (harmC: string) => ` · harm below ${harmC}`,
};

export const nothingYet = {
  askAboutOneBedFirst:
    'Ask about one bed first: what is over it, what grows there, how cold it gets. It takes a dozen taps, and what you said can stay as your first bed.',
  willItStandTonight: 'Will it stand tonight?',
  startFromAFarmLike: 'Start from a farm like yours',
  orPieceByPieceTo:
    'Or piece by piece. To plan the whole farm Fogata needs three things: where it is, what stands on it, and what covers you own.',
  setThePlace: 'Set the place',
  addAStructure: 'Add a structure',
  seeYourBeds: 'See your beds',
  seeOrChangeTonightsWeather: 'See or change tonight’s weather',
  lowestHighestWindAndSky:
    'Lowest, highest, wind and sky are enough; it takes twenty seconds. Until then no figure of the night is shown.',
  tellTonightsWeather: 'Tell tonight’s weather',
  bringATableOfHours: 'Bring a table of hours',
};

export const nowScreen = {
  fromWhatWasTypedAt: (at: string) => `From what was typed at ${at}`,
  fromTheOf: (name: string, at: string) => `From the ${name} of ${at}`,
  fromOf: ({ name, issuedAtMs, at }: { name: string; issuedAtMs: string; at: string }) =>
    `From “${name}” of ${issuedAtMs} ${at}`,
  whereTheForecastIsFrom: 'Where the forecast is from, and telling another',
  beforeDark: 'Before dark',
  stillWorthDoing: 'Still worth doing',
  thenLift: 'Then lift',
  ofDone: (done: number, count: number) => `${done} of ${count} done`,
  mayStayOnThroughThe: (leftOn: string) =>
    `May stay on through the day: ${leftOn}. The coming night wants it again, and a shut house does not get too hot for it.`,
  showTheThatAreDone: (done: number) => `Show the ${done} that are done`,
  lowestLeafOfTheNight: 'lowest leaf of the night, by the model',
  lowestLeafAsItStands: (state: string, first: boolean) =>
    state === 'computing' && !first ? 'lowest leaf, as it stands' : 'lowest leaf, as planned',
  whatTheNightDidClosest: (phase: string) => (phase === 'morning' ? 'What the night did' : 'Closest to harm'),
  morePlaces: (count: number) => `${count} more places`,
  theNightsToCome: 'The nights to come ›',
  forPaperOrToSend: 'For paper, or to send ›',
  staysCoveredAtRiskAll: (phase: string) => (phase === 'morning' ? 'Stays covered' : 'At risk all the same'),
  takeCare: 'Take care',
  openingTheFarm: 'Opening the farm',
  walkItAsARound: 'Walk it as a round ›',
  saidAndMeasuredLastNight: 'Said and measured, last night',
  theNightIn: (name: string) => `The night in ${name}`,
  jobsAndPlaces: 'Jobs and places',
  hourByHour: (name: string) => `${name}, hour by hour`,
  greyOutsideEightForecastsIn:
    'Grey: outside, eight forecasts in ten. Green: the leaf. Dotted: soil. Hatched: where the crop is harmed.',
  theChosenPlace: 'The chosen place',
};
