/** Words of covers, kit and the cut list, by the part that says them. */
export const indoors = {
  packingRoom: 'Packing room',
  indoorsAndLowerDown: 'Indoors and lower down',
  cratesAndPotsCanBe:
    'Crates and pots can be carried in before a bitter night, or set down on the floor, if the plan knows where to and how many fit.',
  againstTheBench: (warmerKOf: string) => `${warmerKOf} against the bench`,
  downToAtNight: (nightCOf: string) => `down to ${nightCOf} at night`,
  roomForCrates: (countWord: string, isLower: string) => `room for ${countWord} crates · ${isLower}`,
  inIt: (beds: string) => `in it: ${beds}`,
  change: 'Change',
  change2: (name: string) => `Change ${name}`,
  addAPlaceForCrates: 'Add a place for crates',
  floorOf: (house: string) => `Floor of ${house}`,
  name: 'Name',
  whatItIs: 'What it is',
  aRoom: 'a room',
  lowerDownIn: (name: string) => `lower down in ${name}`,
  lowerDownUnderTheBench:
    'Lower down: under the bench or on the floor of the same house, for crates that stand there.',
  cratesThatItHasRoom: 'Crates that it has room for',
  crates: 'crates',
  aBedOfCratesGoes:
    'A bed of crates goes in whole or not at all: part a long bench into two beds where half of it would do.',
  warmerThereThanOnThe: 'Warmer there than on the bench',
  layAThermometerThereAnd: (usuallowerkWord: string) =>
    `Lay a thermometer there and one on the bench for a clear night. Until then ${usuallowerkWord} is a starting value.`,
  theColdestItGetsThere: 'The coldest it gets there in a night',
  asYouKnowItOr: 'As you know it, or as a thermometer left there shows: the plan takes your word for it.',
  minutesToSetOneDown: (lower: boolean) => (lower ? 'Minutes to set one down' : 'Minutes to carry one in'),
  min: 'min',
  itIsDarkAndDamp: (lower: boolean) =>
    lower
      ? '▲ It is dark and damp down there: up again by day. Keep the paths clear. Heavy crates are for two.'
      : '▲ Not beside a heater that burns: carbon monoxide, and dry heat on cold leaves. Heavy crates are for two.',
};

export const coverWays = {
  onHoops: 'on hoops',
  laidOnTheCrop: 'laid on the crop',
  overFramesAndTunnels: 'over frames and tunnels',
  carriedIn: 'carried in',
  itMayAlsoLie: 'It may also lie',
  asItsClothUsuallyBears: (asCloth: boolean) =>
    asCloth
      ? 'As its cloth usually bears; change it where yours does not.'
      : 'As you set it. The plan uses each where it fits.',
  mayAlsoLie: (wayWords: string) => `may also lie ${wayWords}`,
};

export const sheetFields = {
  minToLayOne: (minutes: number) => `${minutes} min to lay one`,
  piecePieces: ({
    lengthM,
    widthM,
    countWord,
    count,
  }: {
    lengthM: string;
    widthM: string;
    countWord: string;
    count: number;
  }) => `${lengthM} × ${widthM}, ${countWord} ${count === 1 ? 'piece' : 'pieces'}`,
  orInOtherWayWays: (countWord: string, ways: number) =>
    `, or in ${countWord} other ${ways === 1 ? 'way' : 'ways'}`,
  whatItIs: 'What it is',
  madeOf: 'Made of',
  name: 'Name',
  theirState: 'Their state',
  good: 'good',
  worn: 'worn',
  torn: 'torn',
  aTornOneCountsAs: 'A torn one counts as draughty on the bed, and is not counted on for a bed of its own.',
  howLargeHowMany: 'How large, how many',
  length: 'Length',
  width: 'Width',
  pieces: 'Pieces',
  pieces2: 'pieces',
  howItLies: 'How it lies',
  howItUsuallyLies: 'How it usually lies',
  onHoops: 'on hoops',
  laidOnTheCrop: 'laid on the crop',
  overFramesAndTunnels: 'over frames and tunnels',
  whereItIsKept: 'Where it is kept',
  whereTheyAreKept: 'Where they are kept',
  shedLeftWall: 'shed, left wall',
  cutOrSewnFor: 'Cut or sewn for',
  theLongBeds: 'the long beds',
  minutesToFetchAndLay: 'Minutes to fetch and lay one',
  min: 'min',
};

export const coverScreen = {
  fleece30: 'Fleece 30',
  kit: 'Kit',
  thereIsNoSuchCover: 'There is no such cover. It may have been removed.',
  openingTheCover: 'Opening the cover',
  aPlaceForCratesA: ({ isNew, indoors, name }: { isNew: boolean; indoors: boolean; name: string }) =>
    isNew ? (indoors ? 'A place for crates' : 'A cover in store') : name,
  addSave: (isNew: boolean, name: string) => (isNew ? `Add ${name}` : 'Save'),
  removeIt: 'Remove it',
};

export const cutDrawing = {
  rollOf: (widthM: string, map: string) => `Roll of ${widthM}: ${map}`,
  rollWideOfUsed: ({
    no,
    widthM,
    used,
    lengthM,
  }: {
    no: number;
    widthM: string;
    used: string;
    lengthM: string;
  }) => `Roll ${no}, ${widthM} wide: ${used} of ${lengthM} used`,
};

export const cutScreen = {
  noBedHasHoopsOf: 'No bed has hoops of its own yet; a sheet is cut for hoops.',
  everyBedOnHoopsHas: (name: string) => `Every bed on hoops has a sheet of ${name} to its name.`,
  ofBedsOnHoopsHas: ({
    countWord,
    countWord2,
    count,
    name,
  }: {
    countWord: string;
    countWord2: string;
    count: number;
    name: string;
  }) => `${countWord} of ${countWord2} beds on hoops ${count === 1 ? 'has' : 'have'} no sheet of ${name}.`,
  thereIsNoRollOf: (beds: string) => `${beds} There is no roll of it to cut from.`,
  theRollsAreEnough: 'The rolls are enough.',
  theRollsAreShortOf: (countWord: string) => `The rolls are short of ${countWord}.`,
  rollsChanged: 'Rolls: changed',
  rollsOf: (name: string) => `Rolls of ${name}`,
  roll: (n: number) => `Roll ${n}`,
  widthOfTheRoll: 'Width of the roll',
  lengthLeftOnIt: 'Length left on it',
  rollsLikeIt: 'Rolls like it',
  rolls: 'rolls',
  takeThisRollAway: 'Take this roll away',
  addARoll: 'Add a roll',
  kit: 'Kit',
  workingOutTheCuts: 'Working out the cuts',
  sheetsOf: 'Sheets of',
  sizes: 'Sizes',
  fewerForSeveralBeds: 'fewer, for several beds',
  oneForEachBed: 'one for each bed',
  markItOnTheEdge: 'mark it on the edge of each sheet',
  sizesToCut: 'Sizes to cut',
  forWord: (beds: string) => `for ${beds}`,
  howASheetIsReckoned: 'How a sheet is reckoned ›',
  wasteLeastPossible: (area: string, area2: string) => `waste ${area}, least possible ${area2}`,
  fromTheRolls: 'From the rolls',
  cutOffTheRollAt: ({ n, lengthM, fromM }: { n: number; lengthM: string; fromM: string }) =>
    `Cut ${n}: ${lengthM} off the roll, at ${fromM}`,
  turned: (size: string, turned: boolean) => `${size}${turned ? ', turned' : ''}`,
  toBuy: 'To buy',
  atLeastWide: (name: string, widthM: string) => `${name}, at least ${widthM} wide`,
  startingValues: 'starting values',
  toHoldThemDown: 'To hold them down',
  sandbagsOrPegsForOf: ({
    bags,
    pegs,
    perimeterM,
    sandbags,
    pegs2,
  }: {
    bags: number;
    pegs: number;
    perimeterM: string;
    sandbags: number;
    pegs2: number;
  }) =>
    `${bags} sandbags or ${pegs} pegs for ${perimeterM} of edge. In store: ${sandbags} bags, ${pegs2} pegs.`,
};

export const kitScreen = {
  onHoops: 'on hoops',
  laidOnTheCrop: 'laid on the crop',
  overFramesAndTunnels: 'over frames and tunnels',
  indoors: 'indoors',
  covers: 'Covers',
  ofFree: ({ name, count, count2 }: { name: string; count: number; count2: number }) =>
    `${name}, ${count} of ${count2} free`,
  noCoverInStoreYet: 'No cover in store yet.',
  cover: 'Cover',
  madeOf: 'Made of',
  size: 'Size',
  lies: 'Lies',
  free: 'Free',
  ofWord: (count: number, count2: number) => `${count} of ${count2}`,
  outOn: 'Out on',
  state: 'State',
  kept: 'Kept',
  change: 'Change',
  change2: (name: string) => `Change ${name}`,
  pieces: (name: string, count: number) => `${name}: ${count} pieces`,
  openingTheStore: 'Opening the store',
  noCoverInStoreYet2: 'No cover in store yet. Without one the plan can only say how cold it will get.',
  piecesInAllOfThem: (countWord: string, out: string) => `${countWord} pieces in all, ${out} of them out.`,
  kept2: (keptAt: string) => `kept: ${keptAt}`,
  forWord: (madeFor: string) => `for ${madeFor}`,
  onWord: (beds: string) => `on ${beds}`,
  closeCount: (open: null | string, id: string) => (open === id ? 'Close' : 'Count'),
  count: (name: string) => `Count ${name}`,
  piecesInAll: 'Pieces in all',
  piecesOf: (name: string) => `Pieces of ${name}`,
  pieces2: 'pieces',
  changeIt: 'Change it',
  minutesToFetchAndLay: 'Minutes to fetch and lay one',
  minutesFor: (name: string) => `Minutes for ${name}`,
  min: 'min',
  addACover: 'Add a cover',
  cutSheetsFromRolls: 'Cut sheets from rolls',
  reckon: 'Reckon',
  theFarm: 'The farm',
  settings: 'Settings',
  theSite: 'The site',
  tonightsWeather: 'Tonight’s weather',
  bringWeatherOrALogger: 'Bring weather or a logger',
  feeds: 'Feeds',
  filesInAndOut: 'Files in and out',
  hoops: 'hoops',
  clips: 'clips',
  sandbags: 'sandbags',
  pegs: 'pegs',
  jugs: 'jugs',
  props: 'props',
  whatHoldsAndProps: 'What holds and props',
  countThem: (label: string, gear: number) => `${label}: ${gear}. Count them`,
  countOf: (open: string) => `Count of ${open}`,
};

export const coverFields = {
  itsOwnCover: 'its own cover',
  houseFilm: 'house film',
  thermalFilm: 'thermal film',
  perforatedFilm: 'perforated film',
  twinWallSheet: 'twin-wall sheet',
  glass: 'glass',
  doubleGlass: 'double glass',
  snug: 'snug',
  someDraught: 'some draught',
  draughty: 'draughty',
  notYetAskedHowSnug: 'not yet asked how snug',
  twoLayersOneLayer: ({ shell, plies, snug }: { shell: string; plies: number; snug: string }) =>
    `${shell}, ${plies === 2 ? 'two layers' : 'one layer'}, ${snug}`,
  nothingYet: 'nothing yet',
  shadeCloth: 'shade cloth',
  water: 'water',
  heat: 'heat',
  ratedNoRating: (snowRatingKgM2: undefined | null | number) => (snowRatingKgM2 ? 'rated' : 'no rating'),
  coveredWith: 'Covered with',
  inHowManyLayers: 'In how many layers',
  one: 'one',
  twoWithAirBetween: 'two, with air between',
  howItStands: 'How it stands',
  onTheGround: 'on the ground',
  earthAgainstItsSides: 'earth against its sides',
  letIntoTheGround: 'let into the ground',
};
