/** Words of the plan, its beds and how things lie, by the part that says them. */
export const towns = {
  northSouthEastWest: ({
    abs,
    latitude,
    abs2,
    longitude,
  }: {
    abs: string;
    latitude: number;
    abs2: string;
    longitude: number;
  }) => `${abs}° ${latitude >= 0 ? 'north' : 'south'}, ${abs2}° ${longitude >= 0 ? 'east' : 'west'}`,
  aTownNearBy: 'A town near by',
  salamanca: 'Salamanca',
  theListOfTownsIs: (error: boolean) =>
    error
      ? 'The list of towns is on the server, which does not answer.'
      : 'No town of that name is in the list: try a larger one not far, or type latitude and longitude.',
  near: (name: string, country: string) => `Near ${name}, ${country}`,
  whereAreYou: 'Where are you?',
  somewhereElse: 'Somewhere else',
};

export const bedCrates = {
  ofThemPlants: (count: number, count2: number) => `${count} of them, ${count2} plants`,
  noneSaidYet: 'none said yet',
  theyWereFilledWithNew: 'They were filled with new soil',
  filledWithNewSoilOn: 'Filled with new soil on',
  whatStoodInThemBefore: 'What stood in them before no longer counts for rotation.',
  iDoNotKnowWhen: 'I do not know when',
  cratesOrTraysOnIt: 'Crates or trays on it',
  crates: 'crates',
  lengthOfACrate: 'Length of a crate',
  widthOfACrate: 'Width of a crate',
  plantsInEach: 'Plants in each',
  plants: 'plants',
  kilosThatOneWeighs0: 'Kilos that one weighs, 0 where you do not know',
  kg: 'kg',
  plantsInAll: (count: number) => `${count} plants in all.`,
  soilToFillThem: 'Soil to fill them ›',
  howManyCratesFit: 'How many crates fit ›',
};

export const bedScreen = {
  bed1: 'Bed 1',
  inWord: ({
    name,
    name2,
    lengthM,
    widthM,
  }: {
    name: string;
    name2: string;
    lengthM: string;
    widthM: string;
  }) => `${name} in ${name2}: ${lengthM} × ${widthM}`,
  noHoopsOfItsOwn: (size: string) => `${size}, no hoops of its own.`,
  aSheetOverItsHoops: ({ size, lengthM, widthM }: { size: string; lengthM: string; widthM: string }) =>
    `${size}. A sheet over its hoops is ${lengthM} × ${widthM}.`,
  beds: 'Beds',
  thereIsNoSuchBed: 'There is no such bed. It may have been removed.',
  openingTheBed: 'Opening the bed',
  sizeAndRows: 'Size and rows',
  rows: ({ name, lengthM, widthM, rows }: { name: string; lengthM: string; widthM: string; rows: number }) =>
    `${name}, ${lengthM} × ${widthM}, ${rows} rows`,
  name: 'Name',
  length: 'Length',
  width: 'Width',
  rows2: 'Rows',
  rows3: 'rows',
  heightOfItsHoops0: 'Height of its hoops, 0 for none',
  howTheSheetIsReckoned: 'How the sheet is reckoned ›',
  howManyHoops: 'How many hoops ›',
  whereItIsInThere: 'Where it is in there',
  againstTheCentreOnA: 'Against the centre, on a cold night',
  aStartingValueUntilA: (zoneOffsetC: boolean) =>
    zoneOffsetC ? 'A starting value, until a thermometer has hung there.' : 'Your own figure.',
  soil: 'Soil',
  inCratesOrOnA: ({
    onWord,
    texture,
    wetness,
    mulchM,
  }: {
    onWord: string;
    texture: string;
    wetness: string;
    mulchM: number;
  }) =>
    `${onWord === 'bench' ? 'in crates or on a bench' : 'in the ground'}, ${texture}, ${wetness}${mulchM > 0 ? ', mulched' : ''}`,
  itIs: 'It is',
  inTheGround: 'in the ground',
  onABenchOrIn: 'on a bench or in crates',
  sand: 'sand',
  loam: 'loam',
  clay: 'clay',
  compost: 'compost',
  howWetItIsKept: 'How wet it is kept',
  dry: 'dry',
  moist: 'moist',
  wet: 'wet',
  strawOnIt0For: 'Straw on it, 0 for none',
  cratesOrTrays: 'Crates or trays',
  addSave: (isNew: boolean, name: string) => (isNew ? `Add ${name}` : 'Save'),
  addAlike: (n: number) => `Add ${n} alike`,
  copyIt: 'Copy it',
  removeIt: 'Remove it',
};

export const bedDrawing = {
  free: (name: string) => `${name}: free`,
  inRowsTo: ({ cropName, fromRow, toRow }: { cropName: string; fromRow: number; toRow: number }) =>
    `${cropName} in rows ${fromRow} to ${toRow}`,
};

export const farmPlan = {
  planOfTheFarmBeds: ({ map, count, count2 }: { map: string; count: number; count2: number }) =>
    `Plan of the farm: ${map}. ${count} beds harmed, ${count2} free.`,
};

export const planScreen = {
  free: 'free',
  bedBeds: (n: number) => `${n} ${n === 1 ? 'bed' : 'beds'}`,
  nothingLiesHereYetAdd: 'Nothing lies here yet. Add a structure and it is drawn where it stands.',
  plantedFree: (beds: string, beds2: string) => `${beds} planted, ${beds2} free.`,
  plantedNothingIsKnownOf: (beds: string) => `${beds} planted; nothing is known of tonight yet.`,
  tonightAsPlannedHarmedNear: ({ beds, count, count2 }: { beds: string; count: number; count2: number }) =>
    `Tonight as planned: ${beds} harmed, ${count} near harm, ${count2} safe.`,
  harmedStriped: 'harmed: striped',
  nearHarmPaleBlueEdge: 'near harm: pale, blue edge',
  safeGreenEdge: 'safe: green edge',
  plantedGreenEdge: 'planted: green edge',
  freeBrokenEdge: 'free: broken edge',
  moved: (name: string) => `${name}: moved`,
  beds: 'Beds',
  drawingThePlan: 'Drawing the plan',
  bedsBy: 'Beds by',
  tonightsMargin: 'tonight’s margin',
  whatGrows: 'what grows',
  dottedTheSunsWayOn: (map: string) => `${map}. Dotted: the sun’s way on that day.`,
  day: 'Day',
  backToToday: 'Back to today',
  structure: 'Structure',
  changeIt: 'Change it',
  leaveItWhereItIs: (moving: boolean) => (moving ? 'Leave it where it is' : 'Move and turn it'),
  dragItOnThePlan: 'Drag it on the plan, or step by step here.',
  east: 'East',
  north: 'North',
  itsLengthTurnedFromNorth: 'Its length turned from north',
  touchAStructureOnThe: (count: number) =>
    count > 0 ? 'Touch a structure on the plan, or pick one, to move it.' : '',
  addAStructure: 'Add a structure',
  asADrawingToPrint: 'As a drawing, to print',
  whatIsOnThePlan: 'What is on the plan',
};

export const plantingHow = {
  outerLeavesAgainAndAgain: 'outer leaves, again and again',
  cutAndItComesAgain: 'cut, and it comes again',
  whole: 'whole',
  keepsToItself: 'keeps to itself',
  isCrossedByInsects: 'is crossed by insects',
  isCrossedByTheWind: 'is crossed by the wind',
  howItIsPicked: 'How it is picked',
  firstPickingAfterDegreeDays: ({
    pickDd,
    pickDd2,
    yieldKgPerM,
    yieldKgPerM2,
  }: {
    pickDd: number;
    pickDd2: number;
    yieldKgPerM: number;
    yieldKgPerM2: number;
  }) =>
    `First picking after ${pickDd} degree days instead of ${pickDd2}, ${yieldKgPerM > yieldKgPerM2 ? 'more' : 'less'} in all: starting values.`,
  whatBecomesOfIt: 'What becomes of it',
  picked: 'picked',
  leftForSeed: 'left for seed',
  itStandsUntilItsSeed: ({
    bywordWord,
    species,
    apartM,
    plants,
  }: {
    bywordWord: string;
    species: string;
    apartM: string;
    plants: number;
  }) =>
    `It stands until its seed is ripe. It ${bywordWord}: nothing else of ${species} in flower within ${apartM}; keep ${plants} plants or more. Starting values.`,
};

export const months = {
  isNotANumber: (wrong: string) => `“${wrong}” is not a number`,
  twelveNumbersFromJanuaryThese: (count: number) => `twelve numbers from January, these are ${count}`,
  notTypedYet: 'not typed yet',
  theTwelveMonths: 'The twelve months',
  anyClimatePageOfYour: (name: string) =>
    `Any climate page of your nearest station has them. Until then Season goes by ${name}, from a coarse table, good to some 2 degrees there.`,
  anyClimatePageOfYour2:
    'Any climate page of your nearest station has them. Until then Season goes by a coarse table of latitudes, good to some 5 degrees.',
  seasonReckonsItsPlausibleYears: (climate: boolean, near: string) =>
    climate ? 'Season reckons its plausible years from them.' : near,
  beginWithThoseOf: (name: string) => `Begin with those of ${name}`,
  meanLowOfEachMonth: (unit: string) => `Mean low of each month, January first, in °${unit}`,
  meanHighOfEachMonth: (unit: string) => `Mean high of each month, in °${unit}`,
  ofMonthItIsNot: ({ crossed, crossed2, x }: { crossed: number; crossed2: number; x: null }) =>
    crossed >= 0 ? `of month ${crossed2} it is not over the low` : x,
  keepTheseMonths: 'Keep these months',
  takeThemAway: 'Take them away',
};

export const stationFile = {
  aTableOfDays: 'a table of days',
  aTableOfHours: 'a table of hours',
  aTypicalYearEpw: 'a typical year (EPW)',
  to: (from: null | string, to: null | string) => `, ${from} to ${to}`,
  leftOut: (gaps: number) => `, ${gaps} left out`,
  itIsDays: ({
    kindWord,
    days,
    span,
    gaps,
  }: {
    kindWord: string;
    days: number;
    span: string;
    gaps: string;
  }) => `It is ${kindWord}: ${days} days${span}${gaps}.`,
  januaryToJulyTo: ({
    lowC,
    highC,
    lowC2,
    highC2,
  }: {
    lowC: string;
    highC: string;
    lowC2: string;
    highC2: string;
  }) => ` January ${lowC} to ${highC}, July ${lowC2} to ${highC2}.`,
  itsOwnSpreadColdSpells: ({ use, held, means }: { use: string; held: string; means: string }) =>
    use === 'record'
      ? `${held}${means} Its own spread, cold spells and order of days will be drawn from.`
      : `${held}${means} Too short for a spread of its own: its twelve months will be taken.`,
  aStationsRecordTaken: 'A station’s record: taken',
  aStationsRecord: 'A station’s record',
  seasonGoesByDaysOf: ({ days, from, to }: { days: number; from: string; to: string }) =>
    `Season goes by ${days} days of a station, ${from} to ${to}, rather than by the twelve months.`,
  aFileOfDaysDate:
    'A file of days (date, low, high), of hours (date and hour, air temperature) or an EPW. Three years and more are worth more than twelve means: its own cold spells are drawn from.',
  readingBringAFile: (busy: boolean) => (busy ? 'Reading…' : 'Bring a file'),
  goByTheTwelveMonths: 'Go by the twelve months again',
  notTaken: (why: string) => `Not taken: ${why}.`,
  line: (row: number, reason: string) => `▲ Line ${row}: ${reason}.`,
  andMore: (count: number) => `and ${count} more`,
  takeIt: 'Take it',
  leaveIt: 'Leave it',
};
