/** Words of the year and its crops, by the part that says them. */
export const compareScreen = {
  begun: 'Begun',
  sownWhereItGrows: 'sown where it grows',
  plantedFromTrays: 'planted from trays',
  where: 'Where',
  onWord: 'On',
  tooLowForItThere: 'too low for it there',
  comesToNoPicking: 'comes to no picking',
  season: 'Season',
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years: ${done} of ${ofWord}`,
  layingThemSideBySide: 'Laying them side by side',
  closeChange: (open: null | number, i: number) => (open === i ? 'Close' : 'Change'),
  change: (wayTitle: string) => `Change ${wayTitle}`,
  leaveOut: 'Leave out',
  leaveOut2: (wayTitle: string) => `Leave out ${wayTitle}`,
  anotherWay: 'Another way',
  ofAMetreOfRow:
    'Of a metre of row, over a hundred plausible years of this place. Yields, prices and minutes are starting values.',
};

export const dateChance = {
  goingThroughAHundredPlausible: 'Going through a hundred plausible years of it here',
  to: (earliest: string, latest: string) => `${earliest} to ${latest}`,
  onNoDayHereDoes: (spans: string, placeTitle: string) =>
    `${spans === '' ? 'On no day here does it come off in nine years of ten.' : `In nine years of ten it comes off here begun from ${spans}.`} By the model, under ${placeTitle}.`,
  itsWholeYear: 'Its whole year ›',
};

export const yearStrip = {
  nineInTen: 'nine in ten',
  onNoDayDoesIt: 'on no day does it come off in nine years of ten',
  fromTo: (dayWords: string, dayWords2: string) => `from ${dayWords} to ${dayWords2}`,
  itComesOffInNine: (map: string) => `it comes off in nine years of ten ${map}`,
  begunOn: ({
    name,
    count,
    dayWords,
    ofHundred,
  }: {
    name: string;
    count: string;
    dayWords: string;
    ofHundred: string;
  }) => `${name}: ${count}. Begun on ${dayWords}: ${ofHundred}.`,
  words9In10: '9 in 10',
};

export const seasonCropScreen = {
  weeksForEachLayerFrom: 'Weeks for each layer, from the frost dates',
  asTheLightAllows: 'As the light allows',
  comesOffInNineYears: 'Comes off in nine years of ten',
  theThreeSchoolsAndWhy: 'The three schools, and why',
  best: (best: string) => `, best ${best}`,
  to: ({ earliest, latest, best }: { earliest: string; latest: string; best: string }) =>
    `${earliest} to ${latest}${best}. `,
  none: 'none. ',
  season: 'Season',
  openingTheCrop: 'Opening the crop',
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years: ${done} of ${ofWord} places`,
  setUpAStructureWith: 'Set up a structure with a bed: its year is drawn here.',
  begun: 'Begun',
  sownWhereItGrows: 'sown where it grows',
  plantedFromTrays: 'planted from trays',
  onWord: (begun: string) => `${begun} on`,
  whatIfItIsOn: (begun: string) => `What if it is ${begun} on`,
  today: (dayWords: string) => `${dayWords}, today`,
  words4Weeks: '−4 weeks',
  fourWeeksEarlier: 'four weeks earlier',
  words1Week: '−1 week',
  aWeekEarlier: 'a week earlier',
  words1Week2: '+1 week',
  aWeekLater: 'a week later',
  words4Weeks2: '+4 weeks',
  fourWeeksLater: 'four weeks later',
  today2: 'Today',
  sideBySideWithAnother: 'Side by side with another way',
  tooLowForItAs: (tooLow: string) => `Too low for it as it stands when it is picked: ${tooLow}.`,
  whatItStands: 'What it stands',
  nightsUnderSetItBack: (chillingC: string) => ` Nights under ${chillingC} set it back.`,
  leavesBurnFromFreshFrom: ({
    damageC,
    damageC2,
    deathC,
    deathC2,
    chillingC,
  }: {
    damageC: string;
    damageC2: string;
    deathC: string;
    deathC2: string;
    chillingC: string;
  }) =>
    `Leaves burn from ${damageC} fresh from the tray, ${damageC2} hardened; half the plants are lost at ${deathC} and ${deathC2}.${chillingC} Starting values.`,
  openedAsItIsUsual: (climateWords: string, t: string) =>
    `${climateWords} Opened as it is usual for this crop; where a sheet is named it lies on nights that fall under ${t} outside.`,
};

export const jobList = {
  words1Week: '−1 week',
  words1Day: '−1 day',
  words1Day2: '+1 day',
  words1Week2: '+1 week',
  lateMoveItOrOpen: ({ title, dayNumber, late }: { title: string; dayNumber: string; late: boolean }) =>
    `${title}, ${dayNumber}${late ? ', late' : ''}. Move it, or open it`,
  late: 'late',
  markItDone: (title: string) => `${title}: mark it done`,
  done: (title: string) => `${title}: done`,
  move: (title: string) => `Move: ${title}`,
  moved: (title: string) => `${title}: moved`,
  itsDayFollowsFromWhen: 'Its day follows from when it was begun and from the warmth of the year.',
  itsStory: 'Its story ›',
  itsYear: 'Its year ›',
};

export const seasonScreen = {
  until: (latest: string) => `until ${latest}`,
  from: (opens: string) => `from ${opens}`,
  plantSow: ({ planted, name, place }: { planted: boolean; name: string; place: string }) =>
    `${planted ? 'Plant' : 'Sow'} ${name}, ${place}`,
  underOnColdNights: (cover: string) => ` under ${cover} on cold nights`,
  begunNowItComesOff: (ofHundred: string, under: string) => `Begun now it comes off in ${ofHundred}${under}.`,
  itMayBeBegunUntil: (dayWords: string, under: string) => `It may be begun until ${dayWords}${under}.`,
  twoWeeksAfterItIn: ({
    latest,
    failureWords,
    ofHundred,
  }: {
    latest: string;
    failureWords: string;
    ofHundred: string;
  }) => ` Two weeks after ${latest} it ${failureWords} in ${ofHundred}.`,
  also: (also: string) => ` Also ${also}.`,
  anotherCrop: 'Another crop',
  leeks: 'leeks',
  noCropOfThatName: 'No crop of that name is in the list.',
  openingTheSeason: 'Opening the season',
  goingThroughAHundredYears: (done: number, ofWord: number) =>
    `Going through a hundred years: ${done} of ${ofWord}`,
  mayBeBegunNow: 'May be begun now',
  inTheNextThreeWeeks: 'In the next three weeks',
  theBoardEveryRowThrough: 'The board: every row through the year',
  allPlantingsAsATable: 'All plantings, as a table',
  trays: 'Trays',
  seed: 'Seed',
  cropFiguresAreStartingValues: (climateWords: string, t: string) =>
    `${climateWords} Crop figures are starting values; the chances are the model’s, over a hundred plausible years, with a sheet of yours on nights under ${t} outside where one fits.`,
};

export const plantingGrid = {
  bed: 'Bed',
  crop: 'Crop',
  cultivar: 'Cultivar',
  how: 'How',
  inTheGroundOn: 'In the ground on',
  clearBy: 'Clear by',
  row: 'Row',
  toRow: 'to row',
  note: 'Note',
  plantings: 'Plantings',
  expected: (problem: string) => `; expected ${problem}`,
  row2: ({ title, row, said, problem }: { title: string; row: number; said: string; problem: string }) =>
    `${title}, row ${row}: ${said}${problem}`,
  row3: (title: string, row: number) => `${title}, row ${row}`,
  newWord: ({ said, row, count, col }: { said: string; row: number; count: number; col: number }) =>
    said === '' && row === count && col === 0 ? 'new…' : said,
};

export const margins = {
  tonightHarmBelow: (mid: string, harmC: string) => `; tonight ${mid}, harm below ${harmC}`,
  nightsFromUnderWhatHarms: ({
    count,
    night,
    under,
    tonight,
  }: {
    count: number;
    night: string;
    under: number | string;
    tonight: string;
  }) => `${count} nights from ${night}: ${under} under what harms it${tonight}.`,
};
