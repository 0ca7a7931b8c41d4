/** Words of plantings, and of one’s story, by the part that says them. */
export const plantingScreen = {
  surviveTheCold: 'survive the cold',
  keepGrowing: 'keep growing',
  saveFlowersAndFruit: 'save flowers and fruit',
  row: (fromRow: number) => `row ${fromRow}`,
  rowsTo: (fromRow: number, toRow: number) => `rows ${fromRow} to ${toRow}`,
  leftForSeed: 'left for seed',
  picked: (pickedwordWord: string) => `picked ${pickedwordWord}`,
  notSaidYet: 'not said yet',
  addedChanged: (name: string, isNew: boolean) => `${name} ${isNew ? 'added' : 'changed'}`,
  whatYouTypedIsKept: (message: string) => `${message} What you typed is kept here.`,
  cleared: (name: string) => `${name} cleared`,
  whatGoesInto: (name: string) => `What goes into ${name}?`,
  inWord: (name: string, name2: string) => `${name} in ${name2}`,
  what: 'What',
  cultivar: 'Cultivar',
  whereAndWhen: 'Where and when',
  fromRow: 'From row',
  ofWord: (rows: number) => `of ${rows}`,
  toRow: 'To row',
  lengthOfRow: 'Length of row',
  plantedOrSown: 'Planted or sown',
  whatForHowPicked: 'What for, how picked',
  whatItsCoverIsFor: 'What its cover is for',
  aim: 'Aim',
  note: 'Note',
  addItKeepTheChange: (isNew: boolean) => (isNew ? 'Add it' : 'Keep the change'),
  clearTheBedOfIt: 'Clear the bed of it today',
  itsStoryStaysInThe: 'Its story stays in the log; the rows are free again.',
  openingThePlanting: 'Opening the planting',
  thisPlantingIsNoLonger: 'This planting is no longer in a bed.',
  beds: 'Beds',
  seedTraysForIt: 'Seed trays for it ›',
};

export const plantingsScreen = {
  standingAndPlanned: 'standing and planned',
  pastOnesToo: 'past ones too',
  nothingIsPlantedOrPlanned:
    'Nothing is planted or planned yet. Type in the first row, or paste from a spreadsheet.',
  arePlanned: 'are planned',
  typeOverAnyCellWhat: 'Type over any cell; what is new goes in the last row.',
  rowRowsNotKeptYet: (changed: number) => `${changed} ${changed === 1 ? 'row' : 'rows'} not kept yet.`,
  plantingsKept: (changed: number) => `${changed} plantings: kept`,
  whatYouTypedIsKept: (message: string) => `${message} What you typed is kept here.`,
  season: 'Season',
  aNewRow: 'A new row',
  keepingThemKeepThem: (busy: boolean) => (busy ? 'Keeping them…' : 'Keep them'),
  leaveAllAsItWas: 'Leave all as it was',
  shown: 'Shown',
  row: ({ split, replaceAll, first }: { split: number; replaceAll: string; first: string }) =>
    `▲ Row ${split}, ${replaceAll}: ${first}.`,
  arrowsGoFromCellTo:
    'Arrows go from cell to cell, typing writes over, Enter goes down, Tab on. Shift with arrows takes several, Ctrl D fills them from the first; one alone takes what stands over it. Blocks go out and in with Ctrl C and Ctrl V. The first letters of a bed or a crop are enough; a day is 2027-03-14 or 14 mar.',
  openingThePlantings: 'Opening the plantings',
};

export const storyScreen = {
  cut: (harvestedKg: string) => ` ${harvestedKg} cut.`,
  row: (fromRow: number) => `Row ${fromRow}`,
  rowsTo: (fromRow: number, toRow: number) => `Rows ${fromRow} to ${toRow}`,
  ofLong: ({
    fromRow,
    name,
    place,
    lengthM,
    kg,
  }: {
    fromRow: string;
    name: string;
    place: string;
    lengthM: string;
    kg: string;
  }) => `${fromRow} of ${name}, ${place}, ${lengthM} long.${kg}`,
  whatBears: (filter: string) => `What ${filter} bears ›`,
  itsNights: 'Its nights',
  pointsAreItsLowestLeaf:
    'Points are its lowest leaf by the model, in the evening’s night; the shore is where harm begins, by how hard it was then. Starting values.',
  itsDays: 'Its days',
  whenItMayBePicked: 'When it may be picked is being gone through.',
  whatWasNoted: 'What was noted',
  nothingYetHarmAndWeights: 'Nothing yet. Harm and weights are noted where it stands, under its bed.',
  takenBack: (title: string, retracted: boolean) => `${title}${retracted ? ' (taken back)' : ''}`,
  changeIt: 'Change it',
  itsBedTonight: 'Its bed tonight ›',
  itsCropsYear: 'Its crop’s year ›',
  season: 'Season',
  openingTheStory: 'Opening the story',
};
