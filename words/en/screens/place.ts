/** Words of a bed tonight and of all beds, by the part that says them. */
export const stackPath = {
  noCover: 'no cover',
  planned: ', planned',
  off: ', off',
  open: (opening: number) => (opening > 0.01 ? ', open' : ''),
};

export const bedsScreen = {
  house: 'house',
  frames: 'frames',
  lowTunnels: 'low tunnels',
  openGround: 'open ground',
  beds: 'Beds',
  inWord: (name: string, name2: string) => `${name} in ${name2}`,
  noBedYet: 'No bed yet.',
  overIt: 'Over it',
  bed: 'Bed',
  inWord2: 'In',
  size: 'Size',
  standsInIt: 'Stands in it',
  days: 'Days',
  soil: 'Soil',
  open: 'Open',
  open2: (name: string) => `Open ${name}`,
  openingTheBeds: 'Opening the beds',
  noBedYetStartWith: 'No bed yet. Start with the structure that matters most tonight.',
  bedsAllOfThemPlanted: (countWord: string) => `${countWord} beds, all of them planted.`,
  bedsFree: (countWord: string, map: string) => `${countWord} beds. Free: ${map}.`,
  thePlanOfTheFarm: 'The plan of the farm',
  water: 'Water',
  drawn: 'drawn',
  asATable: 'as a table',
  open3: (open: number) => `, ${open} % open`,
  addPlanting: 'Add planting',
  addAPlantingIn: (name: string) => `Add a planting in ${name}`,
  days2: (cropName: string, daysSince: number) => `${cropName}, ${daysSince} days ›`,
  changeIn: (cropName: string, name: string) => `Change ${cropName} in ${name}`,
  change: (name: string) => `Change ${name}`,
  addABedHere: 'Add a bed here',
  addABedIn: (name: string) => `Add a bed in ${name}`,
  addAStructure: 'Add a structure',
};

export const placeOptions = {
  mostExpectedFirst: 'most expected first',
  whatTheCoversWouldGive: 'What the covers would give',
  nothingOnIt: 'Nothing on it',
  thePlan: (chosen: boolean, x: null) => (chosen ? '● the plan' : x),
  asItIs: (current: boolean, x: null) => (current ? 'as it is' : x),
  aboutAtRisk: (currency: string, loss: number) => `about ${currency}${loss} at risk`,
  min: (minutes: number) => `${minutes} min`,
  use: 'Use',
  useOn: (names: string, name: string) => `Use ${names} on ${name}`,
  planChanged: (name: string) => `${name}: plan changed`,
  showMore: (more: number) => `Show ${more} more`,
  showMoreStacks: (more: number) => `Show ${more} more stacks`,
  leaveThisBedToThe: 'Leave this bed to the plan',
  backToThePlan: (name: string) => `${name}: back to the plan`,
  onTheBedNow: 'On the bed now',
  isOn: ({ name, wayWords, onWord }: { name: string; wayWords: string; onWord: boolean }) =>
    `${name}, ${wayWords}${onWord ? ': is on' : ''}`,
  tookItOffPutIt: (onWord: boolean) => (onWord ? 'Took it off' : 'Put it on'),
  tookItOffPutIt2: ({ name, wayWords, onWord }: { name: string; wayWords: string; onWord: boolean }) =>
    `${name}, ${wayWords}: ${onWord ? 'took it off' : 'put it on'}`,
  offOn: ({ name, onWord, name2 }: { name: string; onWord: boolean; name2: string }) =>
    `${name} ${onWord ? 'off' : 'on'} ${name2}`,
};

export const sharedRows = {
  rowRowsTo: (a: number, b: number) => (a === b ? `row ${a}` : `rows ${a} to ${b}`),
  inWord: (name: string, rows: string) => `${name} in ${rows}`,
  sharesItsRowsWithSown: (words: string) =>
    `▲ Shares its rows with ${words}. Sown between what still stands, that is as meant; else change the rows or clear the other.`,
};

export const plantingCard = {
  none: 'none',
  leafTips: 'leaf tips',
  leaves: 'leaves',
  dead: 'dead',
  hardenedHalfHardenedHardlyHardened: (h: number) =>
    h > 0.85 ? 'hardened' : h > 0.45 ? 'half hardened' : 'hardly hardened',
  ofThePlants: (percent: string) => `${percent} of the plants`,
  ofTheLeaf: (percent: string) => `${percent} of the leaf`,
  ofTheFlowers: (percent: string) => `${percent} of the flowers`,
  dayDaysOfGrowth: (daysLost: number, daysLost2: number) =>
    `${daysLost} ${daysLost2 < 1.5 ? 'day' : 'days'} of growth`,
  overAllOfThemIt: (parts: string) => ` Over all of them it takes about ${parts}.`,
  row: (fromRow: number) => `row ${fromRow}`,
  rows: (fromRow: number, toRow: number) => `rows ${fromRow}–${toRow}`,
  harmIsUnlikely: ' Harm is unlikely.',
  harmInOf10Outcomes: (max: number, tollWords: string) => ` Harm in ${max} of 10 outcomes.${tollWords}`,
  leafHarmBelow: ({
    cropName,
    mid,
    low,
    verdict,
    harmC,
  }: {
    cropName: string;
    mid: string;
    low: string;
    verdict: null | string;
    harmC: string;
  }) => `${cropName}: leaf ${mid} (${low}), ${verdict}; harm below ${harmC}`,
  harmBelow: (cropName: string, harmC: string) => `${cropName}: harm below ${harmC}`,
  days: ({ rows, daysSince, hardWord }: { rows: string; daysSince: number; hardWord: string }) =>
    `${rows} · ${daysSince} days · ${hardWord}`,
  lastScored: (label: undefined | string) => ` Last scored: ${label}.`,
  cut: (harvestedKg: string) => ` ${harvestedKg} cut.`,
  harmBelowDeathNearIf: ({
    harmC,
    deathC,
    chance,
    lastHarm,
    harvestedKg,
  }: {
    harmC: string;
    deathC: string;
    chance: string;
    lastHarm: string;
    harvestedKg: string;
  }) =>
    `Harm below ${harmC}, death near ${deathC} if it lasts two hours (starting values); a whole night harms sooner.${chance}${lastHarm}${harvestedKg}`,
  scoredDeadNoCoverIs: (lastHarm: null | string) =>
    lastHarm === 'dead'
      ? '▲ Scored dead: no cover is planned for it. Clear it, or score it again.'
      : '▲ Taken for mostly lost in the last nights: little is planned for it. Note what you find.',
  harm: 'Harm',
  scoreHarmOf: (name: string) => `Score harm of ${name}`,
  harvest: 'Harvest',
  harvestOf: (name: string) => `Harvest of ${name}`,
  story: 'Story',
  theStoryOf: (name: string) => `The story of ${name}`,
  change: 'Change',
  change2: (name: string) => `Change ${name}`,
  scoreWhatYouSeeOnce:
    'Score what you see once it has thawed; the dead show days later, and can be scored again.',
  harmOf: (name: string) => `Harm of ${name}`,
  whyIfYouCanTell: 'Why, if you can tell',
  doorEndTouchedTheFilm: 'door end, touched the film…',
  noteTheHarm: 'Note the harm',
  weight: 'Weight',
  aWordAboutIt: 'A word about it',
  outerLeavesOnly: 'outer leaves only',
  noteTheHarvest: 'Note the harvest',
  leavesThatFrozeAndBroke: 'Leaves that froze and broke spoil fast: sort them out before washing.',
};

export const heatFlows = {
  atForEachM: (at: string) => `at ${at}, for each m²`,
  whyWhereItsHeatGoes: 'Why: where its heat goes',
};

export const placeScreen = {
  byHowLongItIs: ({
    over,
    hurt,
    cropName,
    verdict,
    when,
    margin,
  }: {
    over: number;
    hurt: boolean;
    cropName: string;
    verdict: null | string;
    when: string;
    margin: string;
  }) =>
    over >= 0 && hurt
      ? `${cropName}: ${verdict} ${when}, by how long it is so cold or what touches it; its lowest is ${margin} above where two hours harm.`
      : `${cropName}: ${verdict}, ${margin} ${over >= 0 ? 'above' : 'below'} harm ${when}.`,
  openingThePlace: 'Opening the place',
  leaf: (name: string, leaf: boolean) => `${name}${leaf ? ' · leaf ' : ''}`,
  lastNightByTheModel: (phase: string) => (phase === 'morning' ? 'last night, by the model' : 'as planned'),
  nothingStandsHereNowIt: (count: number) =>
    count === 0 ? 'Nothing stands here now. It costs nothing to leave it open.' : '',
  noForecastReachesThroughTonight:
    'No forecast reaches through tonight, so nothing is said of how cold it gets in here.',
  tellTonightsWeather: 'Tell tonight’s weather',
  jugsOfWaterForIt: 'Jugs of water for it ›',
  shadeCloth: 'Shade cloth ›',
  minutesOfDrip: 'Minutes of drip ›',
  whoStandsHere: 'Who stands here',
  addAPlanting: 'Add a planting',
  keepThisNightAsA: 'Keep this night as a file',
  keepTheNightOfAs: (name: string) => `Keep the night of ${name} as a case file`,
  theFileRunsAgainOutside: (factorsOf: string) =>
    `The file runs again outside Fogata: npm run -s simulate -- FILE${factorsOf}`,
  whatItsThermometerTaught: 'What its thermometer taught',
  takeCare: 'Take care',
  factors: (parts: string) => ` --factors ${parts}`,
  now: 'Now',
};
