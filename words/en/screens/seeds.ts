/** Words of seed, by the part that says them. */
export const figureRows = {
  book: 'book',
  yours: 'yours',
  yourScores: 'your scores',
  of100: 'of 100',
  cDays: '°C days',
  theBook: (figureText: string) => `the book: ${figureText}`,
  closeChange: (open: null | string, id: string) => (open === id ? 'Close' : 'Change'),
  change: (figureName: string) => `Change ${figureName}`,
  asTheBookHasIt: (figureText: string) => `As the book has it: ${figureText}`,
};

export const lotRows = {
  seedOfChanged: (year: number) => `Seed of ${year}: changed`,
  seed: (old: undefined | boolean, lotWords: string) => `${old ? '▲ ' : ''}Seed ${lotWords}`,
  closeCountOrTest: (open: null | string, id: string) => (open === id ? 'Close' : 'Count or test'),
  countOrTestTheSeed: (year: number) => `Count or test the seed of ${year}`,
  seedsLeft: 'Seeds left',
  seeds: 'seeds',
  leftOfIt: 'Left of it',
  testedTodayOfAHundred: 'Tested today: of a hundred seeds, so many came up',
  of100: 'of 100',
  tenSeedsOnWetPaper: 'Ten seeds on wet paper in the warm tell more than any table.',
  usedUpOrThrownOut: 'Used up or thrown out',
  seedOfGone: (year: number) => `Seed of ${year}: gone`,
};

export const cultivarScreen = {
  noHarm: 'no harm',
  leafTips: 'leaf tips',
  leaves: 'leaves',
  dead: 'dead',
  seed: 'Seed',
  openingTheBox: 'Opening the box',
  changed: (rowName: string) => `${rowName}: changed`,
  figuresHereCountForEvery: (name: string) =>
    name === ''
      ? 'Figures here count for every planting of it that names no cultivar of its own.'
      : 'Nobody has scored it after a frost yet: score a planting the morning after, and its figures follow.',
  inTheBox: 'In the box',
  grown: 'Grown',
  willingly: 'willingly',
  asAnyOther: 'as any other',
  neverAgain: 'never again',
  nightsThatYouScored: 'Nights that you scored',
  leaf: ({ parse, leafC, scoresWord }: { parse: string; leafC: string; scoresWord: string }) =>
    `${parse}: leaf ${leafC}, ${scoresWord}`,
  itsStory: 'Its story',
  takeBack: 'Take back',
  takeBackTheScoreOf: (night: string) => `Take back the score of ${night}`,
  scoreTakenBack: 'Score taken back',
  itsFigures: 'Its figures',
  theBooksFiguresAreStarting:
    'The book’s figures are starting values. Yours go before them; what your scores teach moves the cold limits of both.',
};

export const packetFields = {
  daysToHarvest: (days: number) => `${days} days to harvest`,
  of100ComeUp: (germination: number) => `${germination} of 100 come up`,
  seedsAGram: (seedsPerGram: number) => `${seedsPerGram} seeds a gram`,
  apart: (spacingM: string) => `${spacingM} apart`,
  seeds: (seeds: number) => `${seeds} seeds`,
  nothingOtherThanTheBook: 'nothing other than the book',
  ofOfNobodyHasSaid: (amount: string | boolean, year: number) =>
    amount ? `${amount}, of ${year}` : `of ${year}, nobody has said how much`,
  whatItIs: 'What it is',
  cultivar: 'Cultivar',
  brasaVerde: 'Brasa Verde',
  whatItSays: 'What it says',
  onlyWhatThePacketSays: 'Only what the packet says: the rest stays as the book has it.',
  daysToHarvest2: 'Days to harvest',
  days: 'days',
  ofAHundredSeedsSo: 'Of a hundred seeds, so many come up',
  of100: 'of 100',
  seedsInAGram: 'Seeds in a gram',
  aGram: 'a gram',
  fromPlantToPlant: 'From plant to plant',
  whatIsInIt: 'What is in it',
  ofTheYear: 'Of the year',
  itHoldsSoMuchBy: 'It holds so much, by',
  weight: 'weight',
  numberOfSeeds: 'number of seeds',
  weight2: 'Weight',
  seeds2: 'Seeds',
  seeds3: 'seeds',
};

export const packetScreen = {
  theBook: ({
    figureName,
    figureText,
    figureText2,
  }: {
    figureName: string;
    figureText: string;
    figureText2: string;
  }) => `${figureName}: ${figureText}, the book ${figureText2}.`,
  whatThatMeansHere: 'What that means here',
  itSaysWhatTheBook: 'It says what the book says.',
  aPacketCountsItsDays:
    'A packet counts its days in mild spring weather. Your own place and week decide: Season reckons them from the warmth and light that there are.',
  seed: 'Seed',
  openingTheBox: 'Opening the box',
  aPacket: (name: string, name2: string) => `${name} ${name2}: a packet`,
  whatYouTypedIsKept: (message: string) => `${message} What you typed is kept here.`,
  whatStandsOnThePacket: 'What stands on the packet?',
  putItIntoTheBox: 'Put it into the box',
};

export const cultivars = {
  ofWhatYouHave: 'Of what you have',
  seedOf: (name: string, max: number) => `${name}, seed of ${max}`,
};

export const seedsScreen = {
  plantingPlantings: (plantings: number) => `${plantings} ${plantings === 1 ? 'planting' : 'plantings'}`,
  figureFiguresOfItsOwn: (own: number) =>
    own > 0 ? `${own} ${own === 1 ? 'figure' : 'figures'} of its own` : '',
  neverAgain: 'never again',
  grownWillingly: (liked: undefined | string) => (liked === 'yes' ? 'grown willingly' : ''),
  seed: 'Seed',
  noSeedIsNotedYet: 'No seed is noted yet.',
  crop: 'Crop',
  cultivar: 'Cultivar',
  inTheBox: 'In the box',
  comesUp: 'Comes up',
  knownOfIt: 'Known of it',
  season: 'Season',
  openingTheBox: 'Opening the box',
  typeInAPacket: 'Type in a packet',
  tablesInAndOut: 'Tables in and out',
  whatYouGrowAndIts: 'What you grow, and its seed',
  open: 'Open',
  open2: (rowName: string) => `Open ${rowName}`,
  germinationByAgeIsA:
    'Germination by age is a starting value of each crop, for seed kept cool and dry. A test of your own on wet paper counts for more.',
};
