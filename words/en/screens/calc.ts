/** Words of the sums, by the part that says them. */
export const parts = {
  theWorking: 'The working',
};

export const dripCalc = {
  lengthOfTheBed: 'Length of the bed',
  widthOfTheBed: 'Width of the bed',
  linesAlongIt: 'Lines along it',
  lines: 'lines',
  fromEmitterToEmitter: 'From emitter to emitter',
  flowOfAnEmitter: 'Flow of an emitter',
  howMuch: 'How much',
  millimetresOnTheBed: 'depth on the bed',
  litresForEachPot: 'so much for each pot',
  millimetres: 'Depth of water',
  litresForEachPot2: 'Water for each pot',
  minutes: (n1: string) => `${n1} minutes`,
  emittersOnEachLineIn: ({ perLine, emitters, m }: { perLine: number; emitters: number; m: string }) =>
    `${perLine} emitters on each line, ${emitters} in all, on ${m} of line.`,
  mmOnAreL: (v: { depth: string; length: string; width: string; water: string }) =>
    `${v.depth} on ${v.length} × ${v.width} are ${v.water}.`,
  lForEachOfPots: (v: { each: string; emitters: number; water: string }) =>
    `${v.each} for each of ${v.emitters} pots are ${v.water}.`,
  allTogetherTheyGiveL: (water: string) => `All together they give ${water} an hour.`,
  neverOnAFreezingDay: 'Never on a freezing day: wet plants and soil freeze hard. A day ahead at the latest.',
  withTheSameLinesAnd: 'with the same lines and amount',
  byZone: 'By zone',
  nothingToGive: (name: string) => `${name}: nothing to give.`,
  minLOnBedBeds: (v: { name: string; minutes: string; water: string; beds: number }) =>
    `${v.name}: ${v.minutes} min, ${v.water} on ${v.beds} ${v.beds === 1 ? 'bed' : 'beds'}.`,
};

export const mixCalc = {
  gardenSoil: 'garden soil',
  cratesOrPots: 'Crates or pots',
  vessels: 'vessels',
  litresInEach: 'Each holds',
  itSettlesBy: 'It settles by',
  part: (n: number) => `Part ${n}`,
  partsOf: (name: string) => `Parts of ${name}`,
  parts: 'parts',
  oneMorePart: 'One more part',
  leafMould: 'leaf mould',
  takeTheLastAway: 'Take the last away',
  litresInAll: (soil: string) => `${soil} in all`,
  lAndForWhatSettles: (v: { vessels: number; each: string; settles: number }) =>
    `${v.vessels} × ${v.each}, and ${v.settles} % for what settles.`,
  ofPart: (name: string, soil: string) => `${name}: ${soil}.`,
};

export const nurseryCalcs = {
  lengthOfTheBench: 'Length of the bench',
  widthOfTheBench: 'Width of the bench',
  benchesLikeItInThe: 'Benches like it in the house',
  benches: 'benches',
  lengthOfACrate: 'Length of a crate',
  widthOfACrate: 'Width of a crate',
  gapBetweenCrates: 'Gap between crates',
  plantsInEach: 'Plants in each',
  plants: 'plants',
  cratesPlants: (crates: number, plants: number) => `${crates} crates, ${plants} plants`,
  cratesAcrossTheBenchCrates: ({
    turned,
    inRow,
    rows,
    perBench,
    m,
    m2,
  }: {
    turned: boolean;
    inRow: number;
    rows: number;
    perBench: number;
    m: string;
    m2: string;
  }) =>
    `${turned ? 'Crates across the bench' : 'Crates along the bench'}: ${inRow} in a row, ${rows} ${rows === 1 ? 'row' : 'rows'}, ${perBench} on a bench of ${m} × ${m2}.`,
  onEachOfBenchBenches: ({
    perBench,
    benches,
    crates,
  }: {
    perBench: number;
    benches: number;
    crates: number;
  }) => `${perBench} on each of ${benches} ${benches === 1 ? 'bench' : 'benches'}: ${crates} crates.`,
  plantsInEach2: (plantsEach: number, plants: number) => `${plantsEach} plants in each: ${plants}.`,
  plantsWanted: 'Plants wanted',
  ofAHundredSeedsSo: 'Of a hundred seeds, so many come up',
  of100: 'of 100',
  toSpare: 'To spare',
  cellsOfATray: 'Cells of a tray',
  cells: 'cells',
  seedsInEachCell: 'Seeds in each cell',
  seeds: 'seeds',
  lengthOfATray: 'Length of a tray',
  widthOfATray: 'Width of a tray',
  depthOfTheShelf: 'Depth of the shelf',
  traysOfShelf: (trays: number, m: string) => `${trays} trays, ${m} of shelf`,
  plantsAndToSpareFrom: ({
    plants,
    spare,
    sownCells,
  }: {
    plants: number;
    spare: number;
    sownCells: number;
  }) => `${plants} plants and ${spare} % to spare, from cells of which some stay empty: ${sownCells} cells.`,
  seedsInEachCell2: (seeds: number, seedsPerCell: number) => `${seeds} seeds, ${seedsPerCell} in each cell.`,
  cellsAtATrayTrays: ({ sownCells, cells, trays }: { sownCells: number; cells: number; trays: number }) =>
    `${sownCells} cells at ${cells} a tray: ${trays} trays.`,
  trayTraysDeepOnThe: (rows: number, m: string) =>
    `${rows} ${rows === 1 ? 'tray' : 'trays'} deep on the shelf: ${m} of it.`,
};

export const heatCalcs = {
  thisReckoningRunsANight:
    'This reckoning runs a night of a bed of yours. Plant something in a bed first, then it can be worked out here.',
  warmerAtTheColdestBy: 'Warmer at the coldest by',
  aJugHolds: 'A jug holds',
  runningTheNightWithMore: 'Running the night with more and more water',
  moreThanJugs: (round: number) => `More than ${round} jugs`,
  jugsOfL: (jugs: number, jug: string) => `${jugs} jugs of ${jug}`,
  tonightUnderTheCoversThat: (name: string) => `${name} tonight, under the covers that are planned:`,
  onEach: (water: string, area: string) => `${water} on each ${area}`,
  lOnEachMLeaf: (onEach: string, leafC: string) => `${onEach}: leaf ${leafC}.`,
  even80LOnEach: (onEach: string) => `Even ${onEach} do not bring it: another cover does more.`,
  lOnEachMOf: (onEach: string, area: string) => `${onEach} of ${area}.`,
  waterThatStoodInThe: 'Water that stood in the sun by day. Jugs that freeze burst; leave room in them.',
  cloth: 'Cloth',
  runningTheDayWithAnd: 'Running the day with and without it',
  atTheWarmest: (hot: string) => `${hot} at the warmest`,
  coversOffByDayAs: (name: string, dayWord: string) =>
    `${name} ${dayWord}, covers off by day, as far open as it is:`,
  withoutClothAt: (hot: string, timesAtMs: string) => `without cloth ${hot} at ${timesAtMs};`,
  underItAt: (hot: string, timesAtMs: string) => `under it ${hot} at ${timesAtMs}.`,
  leftOnOvernightTheLeaf: (minLeafC: string, minLeafC2: string) =>
    `Left on overnight, the leaf is at ${minLeafC} instead of ${minLeafC2}.`,
  inTheDarkWeeksLight: 'In the dark weeks light is what limits growth: shade costs it.',
  forTheBed: 'For the bed',
  workingOutTheNight: 'Working out the night',
};

export const seedsCalc = {
  carrots: 'carrots',
  sown: 'Sown',
  alongARow: 'along a row',
  inHolesOrCellsOne: 'in holes or cells, one plant in each',
  rowToSow: 'Row to sow',
  plantsWanted: 'Plants wanted',
  aMetre: 'a metre',
  holesOrCells: 'Holes or cells',
  holes: 'holes',
  testedOfAHundredSeeds: 'Tested: of a hundred seeds, so many come up',
  of100: 'of 100',
  notTestedFreshAsIs: (usual: number) =>
    `Not tested: ${usual} fresh, as is usual, and what its age has left.`,
  asTestedItsAgeCounts: 'As tested; its age counts no more.',
  theSeedsAge: "The seed's age",
  years: 'years',
  soilAtTheSeedsDepth: "Soil at the seed's depth",
  howSureOfTheStand: 'How sure of the stand',
  words8In10: '8 in 10',
  words9In10: '9 in 10',
  words98In100: '98 in 100',
  toSpare: 'To spare',
  aMetreAHole: (per: string) => (per === 'metre' ? 'a metre' : 'a hole'),
  seedsGInAll: ({ seeds, per, grams }: { seeds: number; per: string; grams: string | number }) =>
    `${seeds} seeds ${per}, ${grams} g in all`,
  of100SeedsGerminateFresh: ({
    usual,
    germinationNow,
    ageYears,
    halfLifeYears,
  }: {
    usual: number;
    germinationNow: number;
    ageYears: number;
    halfLifeYears: number;
  }) =>
    `Of 100 seeds ${usual} germinate fresh, ${germinationNow} after ${ageYears} ${ageYears === 1 ? 'year' : 'years'}: half are gone in ${halfLifeYears}.`,
  of100SeedsGerminateAs: (germination: number) => `Of 100 seeds ${germination} germinate, as tested.`,
  inSoilOfItIs: ({ soilC, daysUp, comesUp }: { soilC: string; daysUp: number; comesUp: number }) =>
    `In soil of ${soilC} it is up after about ${daysUp} days; of 100 seeds ${comesUp} get there.`,
  giveWhatIsWantedIn: ({ seeds, per, confidence }: { seeds: number; per: string; confidence: number }) =>
    `${seeds} ${per} give what is wanted in ${confidence} of 100.`,
  seedsWithToSpareMg: ({ all, spare, n1 }: { all: number; spare: number; n1: string }) =>
    `${all} seeds with ${spare} % to spare, ${n1} mg each.`,
  germinationHalfLifeAndDays:
    'Germination, half-life and days are starting values; a test of your own lot on wet paper is better.',
};

export const sheetCalc = {
  lengthOfTheBed: 'Length of the bed',
  widthOverTheHoopsFeet: 'Width over the hoops’ feet',
  heightOfTheHoops: 'Height of the hoops',
  onTheGroundAtEach: 'On the ground at each side',
  itsEnds: 'Its ends',
  comeDownToTheGround: 'come down to the ground',
  stayOpen: 'stay open',
  overTheHoopsHalfAn: ({ m, m2, m3 }: { m: string; m2: string; m3: string }) =>
    `Over the hoops, half an ellipse ${m} wide and ${m2} high: ${m3}.`,
  laidFlat: (m: string) => `Laid flat: ${m}.`,
  widthAndTwiceUpTo: ({ m, m2, m3 }: { m: string; m2: string; m3: string }) =>
    `Width: ${m} and twice ${m2}, up to the next tenth: ${m3}.`,
  lengthAndTwiceAtThe: ({ m, m2, m3 }: { m: string; m2: string; m3: string }) =>
    `Length: ${m} and twice ${m2} at the ends: ${m3}.`,
  toHoldItAsA: (bags: number, pegs: number) =>
    `To hold it, as a starting value: ${bags} sandbags or ${pegs} pegs.`,
  widthBetweenTheirFeet: 'Width between their feet',
  height: 'Height',
  noFurtherApartThan: 'No further apart than',
  inTheGroundAtEach: 'In the ground at each foot',
  hoopsOf: (hoops: number, m: string) => `${hoops} hoops of ${m}`,
  inGapsEach: ({ m, hoops, m2 }: { m: string; hoops: number; m2: string }) =>
    `${m} in ${hoops} gaps, ${m2} each.`,
  eachRodOverTheBed: (m: string, m2: string) => `Each rod: ${m} over the bed and twice ${m2} in the ground.`,
  ofRodInAll: (m: string) => `${m} of rod in all.`,
  closerWhereSnowLiesOr: 'Closer where snow lies or wind is hard; the maker of the rod knows what it bears.',
};

export const calcScreen = {
  theSheetOverABed: 'The sheet over a bed',
  sheetSize: 'Sheet size',
  hoopsAndHowFarApart: 'Hoops and how far apart',
  hoops: 'Hoops',
  jugsOfWaterForSo: 'Jugs of water for so many degrees',
  jugsOfWater: 'Jugs of water',
  whatShadeClothTakesOff: 'What shade cloth takes off',
  shadeCloth: 'Shade cloth',
  minutesOfDrip: 'Minutes of drip',
  drip: 'Drip',
  cratesOnABench: 'Crates on a bench',
  crates: 'Crates',
  seedForAStand: 'Seed for a stand',
  seed: 'Seed',
  seedTraysAndShelf: 'Seed trays and shelf',
  trays: 'Trays',
  soilMixByVolume: 'Soil mix by volume',
  soilMix: 'Soil mix',
  kit: 'Kit',
  thereIsNoSuchReckoning: 'There is no such reckoning',
  openingTheBeds: 'Opening the beds',
  theCoversInStore: 'The covers in store ›',
};
