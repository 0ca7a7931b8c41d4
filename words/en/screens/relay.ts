/** Words of the panels beside the board, by the part that says them. */
export const demandPanel = {
  words1YearIn10: '1 year in 10',
  words2In10: '2 in 10',
  words3In10: '3 in 10',
  words4In10: '4 in 10',
  whateverThereIs: 'Whatever there is',
  aWeekTo: ({ crop, kilos, at, at2 }: { crop: string; kilos: string; at: string; at2: string }) =>
    `${crop}, ${kilos} a week, ${at} to ${at2}`,
  whateverThereIs2: 'whatever there is',
  ofWhat: 'Of what',
  lettuce: 'lettuce',
  aWeek: 'A week',
  kg: 'kg',
  from: 'From',
  to: 'To',
  itEndsBeforeItBegins: 'It ends before it begins: put “to” after “from”.',
  addIt: 'Add it',
  aTableCropFromTo: 'A table: crop, from, to, kg_per_week',
  line: (row: number, reason: string) => `▲ Line ${row}: ${reason}.`,
  askForThese: (count: number) => `Ask for these ${count}`,
  askForThese2: 'Ask for these',
  putWhatIsAskedFor: 'Put what is asked for here',
  traysAreNotCountedUntil: (cells: null | number) =>
    cells === null
      ? 'Trays are not counted until you say how many there are.'
      : `Trays of ${cells} cells in all, over everything that is raised at a time.`,
  whatIsAskedForAnd: 'What is asked for, and what there is to do it with',
  nothingIsAskedForYet:
    'Nothing is asked for yet: gaps are then filled for what sells, ten kilos of a crop a week at its full value. Say what boxes, kitchens and the market take, and the board says when it is short.',
  takeOut: 'Take out',
  takeOut2: (demandWords: string) => `Take out: ${demandWords}`,
  whatIsAskedFor: 'What is asked for',
  askForSomething: 'Ask for something',
  noTableFromATable: (pasting: boolean) => (pasting ? 'No table' : 'From a table'),
  traysAndWhereTheyStand: 'Trays and where they stand',
  hoursOfWorkAWeek: 'Hours of work a week',
  hours: 'Hours',
  notCountedUntilYouSay: (hoursPerWeek: null | number) =>
    hoursPerWeek === null
      ? 'Not counted until you say how many there are.'
      : 'For sowing, planting, picking and clearing.',
  mayGoWrongIn: 'May go wrong in',
  risk: 'Risk',
};

export const earningsPanel = {
  aMetreAWeek: 'a metre a week',
  anHour: 'an hour',
  theYear: 'the year',
  stems: (stems: number) => `${stems} stems`,
  someBunches: (bunches: number) => `some ${bunches} bunches`,
  nothingYet: 'nothing yet',
  whatEarnsItsRow: 'What earns its row',
  fromTodayAYearOn: (all: string, hours: number) =>
    `From today a year on, as it is planned: about ${all} in ${hours} hours of work.`,
  by: 'By',
  min: (minutes: number) => `${minutes} min`,
  ofWork: ({ amountWords, minutes, money }: { amountWords: string; minutes: string; money: string }) =>
    `${amountWords}; ${minutes} of work, ${money}`,
  worthAMetreAndMinutes:
    'Worth a metre and minutes are starting values, yours under Seed and Settings; times the share of years in which it comes off. A bunch is ten stems, or as greens are usually tied.',
};

export const fillPanel = {
  whatIsAskedFor: 'what is asked for',
  theMostMoney: 'the most money',
  manyKinds: 'many kinds',
  inTraysFromCells: (at: string, cells: number) => `In trays from ${at}, ${cells} cells. `,
  aboutFrom: (kg: string, at: string) => `About ${kg} from ${at}`,
  readyOn: (at: string) => `Ready on ${at}`,
  ofItWhereItIs: ({ kg, at, at2 }: { kg: string; at: string; at2: string }) =>
    `, ${kg} of it where it is short, ${at} to ${at2}`,
  nextBestLess: (name: string, less: string) => ` Next best ${name}, ${less} less.`,
  clearOnComesOffIn: ({
    trays,
    gives,
    fills,
    at,
    ofHundred,
    worth,
    instead,
  }: {
    trays: string;
    gives: string;
    fills: string;
    at: string;
    ofHundred: string;
    worth: string;
    instead: string;
  }) =>
    `${trays}${gives}${fills}; clear on ${at}. Comes off in ${ofHundred}; the plan would lose ${worth} without it.${instead}`,
  takeIt: 'Take it',
  take: (title: string) => `Take: ${title}`,
  notThis: 'Not this',
  refuse: (title: string) => `Refuse: ${title}`,
  fillTheGaps: 'Fill the gaps',
  forWord: 'For',
  lookAgainWhatCouldGo: (count: number, size: number) =>
    count > 0 || size > 0 ? 'Look again' : 'What could go in?',
  stop: 'Stop',
  takeAll: (count: number) => `Take all ${count}`,
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years for each crop and place: ${done} of ${ofWord}`,
  noPlanIsOver: (boundMoney: string) => `, no plan is over ${boundMoney}`,
  soFar: (money: string, boundMoney: string) => `: ${money} so far${boundMoney}`,
  workingItOut: (money: string) => `Working it out${money}`,
  noPlanCanBeMore: (max: number) => `; no plan can be more than ${max} % better`,
  theCropThatHasWaited: (simpleMoney: string) =>
    `. The crop that has waited longest in each free row would bring ${simpleMoney}`,
  plantingsTogetherTheyBringAbout: ({
    count,
    money,
    far,
    simpleMoney,
  }: {
    count: number;
    money: string;
    far: string;
    simpleMoney: string;
  }) =>
    `${count} plantings. Together they bring about ${money} over their work, or meet a need that is counted so${far}${simpleMoney}. Values of crops are starting values.`,
  nothingMoreComesOffIn: 'Nothing more comes off in the rows that are free, at the risk that you accept.',
};

export const nextPanel = {
  freeFrom: (from: string) => `free from ${from}`,
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years: ${done} of ${ofWord}`,
  nothingThatYouGrowComes: (dayWords: string) =>
    `Nothing that you grow comes off there in the five weeks from ${dayWords}, at the risk that you accept.`,
  onWord: ({ planted, name, dayWords }: { planted: string; name: string; dayWords: string }) =>
    `${planted} ${name} on ${dayWords}`,
  about: (kg: string) => `, about ${kg}`,
  readyOnClearOnIt: ({
    readyOn,
    clearedOn,
    kg,
    ofHundred,
  }: {
    readyOn: string;
    clearedOn: string;
    kg: string;
    ofHundred: string;
  }) => `Ready on ${readyOn}, clear on ${clearedOn}${kg}. It comes off in ${ofHundred}.`,
  planIt: 'Plan it',
  plan: (name: string) => `Plan ${name}`,
  close: 'Close',
};

export const nurseryScreen = {
  traysByTheWeekAt: (all: number, weekName: string) =>
    `Trays by the week, at most ${all} in the week of ${weekName}`,
  onTheShelf: 'on the shelf',
  outsideToHarden: 'outside to harden',
  traysThereAre: (trays: number) => `- - ${trays} trays there are`,
  trays: 'trays',
  whatThereIs: 'What there is',
  traysInAll: 'Trays in all',
  cellsOfATray: 'Cells of a tray',
  cells: 'cells',
  fitWhereTheyAreRaised: 'Fit where they are raised',
  onTheShelfTheBench: 'On the shelf, the bench, the warm sill.',
  fitWhereTheyHardenOff: 'Fit where they harden off',
  inTheFrameOrAgainst: 'In the frame or against the wall, for the last week.',
  untilItIsPrickedOut:
    'Until it is pricked out a batch stands two hundred to a seed tray; then a cell each, a tenth of them spare. Days on the bench are starting values.',
  season: 'Season',
  whatIsPlantedFromTrays:
    'What is planted from trays comes here from its sowing on, with the tray it takes and where it stands. Plan something that is planted under Season.',
  trayTrays: (weekSpan: string, all: number) => `${weekSpan} · ${all} ${all === 1 ? 'tray' : 'trays'}`,
  theOtherWeeks: (count: number) => `The other ${count} weeks`,
  roomForTrays: 'Room for trays',
  lookingThroughWhatIsPlanned: 'Looking through what is planned',
};
