/** Words of structures, by the part that says them. */
export const whatFits = {
  whatFitsItOfWhat: 'What fits it, of what there is',
  takesOverlappedThereIsAre: (pieces: number, count: number) =>
    `takes ${pieces} overlapped, there ${count === 1 ? 'is' : 'are'} ${count}`,
  oneCoversItMin: (minutes: number) => `one covers it, ${minutes} min`,
  overlappedMin: (pieces: number, minutes: number) => `${pieces} overlapped, ${minutes} min`,
};

export const structureFields = {
  noDraughtToFeel: 'no draught to feel',
  some: 'some',
  daylightToSee: 'daylight to see',
  atTheEndsAndRound: 'At the ends and round the doors',
  alongTheGround: 'Along the ground',
  throughSeamsHolesAndPanes: 'Through seams, holes and panes',
  notAnsweredYet: 'not answered yet',
  howSnugIsIt: 'How snug is it',
  door: 'door',
  rollUp: 'roll-up',
  lid: 'lid',
  hinged: 'hinged',
  lengthOfAllSidesTogether: (name: string) => `Length of ${name}, all sides together`,
  howHighItRolls: 'How high it rolls',
  wideOpen: (measureText: string) => `${measureText} wide open.`,
  eachWithItsAreaWide: 'each with its area wide open',
  whatOpens: 'What opens',
  howItOpens: 'How it opens',
  areaOf: (name: string) => `Area of ${name}`,
  whatOpensIt: 'What opens it',
  aHand: 'a hand',
  aWaxCylinder: 'a wax cylinder',
  itStartsToOpenAt: 'It starts to open at',
  itIsFullyOpenAt: 'It is fully open at',
  takeAway: (name: string) => `Take ${name} away`,
  aDoor: 'a door',
  door2: 'Door',
  aRollUpSide: 'a roll-up side',
  rollUpSide: 'Roll-up side',
  aVent: 'a vent',
  vent: 'Vent',
  add: (label: string) => `Add ${label}`,
};

export const structureExtras = {
  freshManureGlovesAndNone:
    'Fresh manure: gloves, and none on what is eaten raw for the months your rules ask.',
  onlyWithAResidualCurrent:
    'Only with a residual-current device, laid and checked by a licensed electrician.',
  onlyAsTheMakerAnd:
    'Only as the maker and local code allow: ventilation, a carbon monoxide alarm, never beside fabric.',
  shadeWaterHeat: 'Shade, water, heat',
  shadeClothThatStaysOn: 'Shade cloth that stays on',
  none: 'none',
  waterInJugsAndBarrels: 'Water in jugs and barrels',
  heatIfAny: 'Heat, if any',
  fermentingManure: 'fermenting manure',
  soilCable: 'soil cable',
  airHeater: 'air heater',
  heatForEachMOf: 'Heat for each m² of floor',
  ageAndWhatItsMaker: 'Age, and what its maker rates it for',
  coveredInTheYear: 'Covered in the year',
  oldFilmPassesLessLight: 'Old film passes less light and tears sooner; the night is not much colder for it.',
  snowItIsRatedFor: 'Snow it is rated for',
  windItIsRatedFor: 'Wind it is rated for',
  onlyTheMakersOrAn:
    '▲ Only the maker’s or an engineer’s figure counts here. Leave it empty where you have none: the tool then says so.',
};

export const structureScreen = {
  openToTheSkyLong: (name: string, lengthM: string) => `${name}: open to the sky, ${lengthM} long.`,
  doesNotOpen: 'does not open',
  opensOfItsFloor: (max: number) => `opens ${max} % of its floor`,
  whatStandsHere: 'What stands here?',
  whatStandsHere2: 'What stands here',
  nearestInSize: 'Nearest in size',
  pickTheNearestEveryFigure: 'Pick the nearest; every figure can be changed.',
  beds: 'Beds',
  thereIsNoSuchStructure: 'There is no such structure. It may have been removed.',
  openingTheStructure: 'Opening the structure',
  nameAndSize: 'Name and size',
  name: 'Name',
  length: 'Length',
  width: 'Width',
  heightAtItsTallest: 'Height at its tallest',
  itsShape: 'Its shape',
  hoops: 'hoops',
  uprightWalls: 'upright walls',
  whatIsOverIt: 'What is over it',
  whatOpens: 'What opens',
  shadeWaterHeatRatings: 'Shade, water, heat, ratings',
  addSave: (isNew: boolean, name: string) => (isNew ? `Add ${name}` : 'Save'),
  startAgainFromAnother: 'Start again from another',
  benchesAndRows: 'benches and rows',
  bedsInIt: 'Beds in it',
  change: 'Change',
  change2: (name: string) => `Change ${name}`,
  addABed: 'Add a bed',
  whereItLiesOnThe: 'Where it lies, on the plan',
  copyItWithItsBeds: 'Copy it with its beds',
  removeItTakeItsBeds: (count: number) => (count > 0 ? 'Remove it (take its beds out first)' : 'Remove it'),
  itLiesMEastWest: ({
    abs,
    xM,
    abs2,
    yM,
    turnDeg,
  }: {
    abs: number;
    xM: number;
    abs2: number;
    yM: number;
    turnDeg: number;
  }) =>
    `It lies ${abs} m ${xM >= 0 ? 'east' : 'west'} and ${abs2} m ${yM >= 0 ? 'north' : 'south'} of the farm’s own point, its length turned ${turnDeg}° from north.`,
};
