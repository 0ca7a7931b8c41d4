/** Words of files and of tables brought, by the part that says them. */
export const filesScreen = {
  theWholeFarm: 'The whole farm',
  oneJsonFileSettingsStructures:
    'One JSON file: settings, structures, beds, plantings, covers and the log, with every forecast and temperature.',
  plantingsAsATable: 'Plantings, as a table',
  csvForAnySpreadsheetRows:
    'CSV for any spreadsheet. Rows that come are added or changed; none is taken away. Bed, crop and planted_on are enough of a row.',
  cultivarsAsATable: 'Cultivars, as a table',
  aRowACultivarWhat:
    'A row a cultivar: what it has other than the book, with the units in the names of the columns.',
  seedLotsAsATable: 'Seed lots, as a table',
  aRowAPacketOr: 'A row a packet or bag: crop and year are enough.',
  theLibraryOfCropsAs: 'The library of crops, as a table',
  everyCropWithItsFigures:
    'Every crop with its figures. What you change there counts here in place of the book.',
  structuresAndBedsAsA: 'Structures and beds, as a map',
  geojsonForAnyMapProgram: 'GeoJSON for any map program. What was moved there comes back moved.',
  coversInStockAsA: 'Covers in stock, as a table',
  csvForAnySpreadsheet: 'CSV for any spreadsheet.',
  andMore: (names: string, count: number) => `${names} and ${count} more`,
  itHoldsWhatTheFarm: (nothing: boolean, taken: boolean) =>
    nothing ? 'It holds what the farm holds already.' : taken ? 'Taken.' : 'It would change this:',
  come: (list: string) => `Come: ${list}.`,
  change: (list: string) => `Change: ${list}.`,
  go: (list: string) => `▲ Go: ${list}.`,
  entriesJoinTheLog: (records: number) => `${records} entries join the log.`,
  rowsOfWeatherAndForecasts: (weather: number) => `${weather} rows of weather and forecasts join it.`,
  stayAsTheyAre: (same: number) => `${same} stay as they are.`,
  orPasteItFromA: 'Or paste it from a spreadsheet, with its line of names',
  lookAtWhatItChanges: 'Look at what it changes',
  taken: (title: string) => `${title}: taken`,
  expectedJsonAsItWas: (name: string) => `${name}: expected JSON, as it was kept from here.`,
  kit: 'Kit',
  theFarmIsYoursTo: 'The farm is yours to take along',
  take: (name: string) => `Take ${name}`,
  leaveTheFarmAsIt: 'Leave the farm as it is',
  aBackupOfEverything: 'A backup of everything',
  theWholeDatabaseInOne:
    'The whole database in one file, checked before it is given: the farm, the log, every forecast and temperature. The server keeps one a day as well. How to restore it is in docs/reliability.md; with npm run practice and this file you rehearse a cold night on a copy, under invented weather.',
  makeABackup: 'Make a backup',
  keepAFile: 'Keep a file',
  keepAFile2: (title: string) => `${title}: keep a file`,
  bringAFile: 'Bring a file',
  bringAFile2: (title: string) => `${title}: bring a file`,
  theTable: 'the table',
  thePlanAsADrawing: 'The plan, as a drawing',
  openTheDrawingToScale: 'Open the drawing, to scale 1:200',
};

export const importScreen = {
  aForecast: 'a forecast',
  weatherThatWasMeasured: 'weather that was measured',
  aLoggingThermometer: 'a logging thermometer',
  myForecast: 'my forecast',
  outside: 'outside',
  kit: 'Kit',
  bringWeatherOrTemperaturesAs: 'Bring weather or temperatures as a table',
  aHeaderAndATime: (as: string) =>
    as === 'logger'
      ? 'A header, and a time and a temperature in each row. The unit is read from the header.'
      : 'A header, and rows one to three hours apart: time, air temperature, wind; dew point or humidity, cloud, sun, rain and snow if you have them. Units are read from the header; one that is not known is refused. All of it is taken or none.',
  whatItIs: 'What it is',
  whereItHangs: 'Where it hangs',
  name: 'Name',
  pasteItHere: 'Paste it here',
  timeTempCDewPoint: 'time,temp (°C),dew point (°C),wind (km/h),cloud (%)\n2027-01-14T15:00,4.1,-5.2,3,5',
  takeAFile: 'Take a file',
  lookAtIt: 'Look at it',
  taken: 'Taken',
  notTakenNothingHasChanged: (count: number) =>
    count > 0 ? 'Not taken, nothing has changed' : 'Understood as',
  readingsHoursToLowest: ({
    rows,
    as,
    fromAtMs,
    fromAtMs2,
    toAtMs,
    toAtMs2,
    minC,
  }: {
    rows: number;
    as: string;
    fromAtMs: string;
    fromAtMs2: string;
    toAtMs: string;
    toAtMs2: string;
    minC: string;
  }) =>
    `${rows} ${as === 'logger' ? 'readings' : 'hours'}, ${fromAtMs} ${fromAtMs2} to ${toAtMs} ${toAtMs2}, lowest ${minC}.`,
  notInTheTableAnd: (estimated: string) => `▲ Not in the table and estimated: ${estimated}.`,
  row: (row: number) => `row ${row}`,
  firstHours: 'First hours',
  dewPointCloud: ({
    airC,
    dewPointC,
    measureText,
    cloudFraction,
  }: {
    airC: string;
    dewPointC: string;
    measureText: string;
    cloudFraction: number;
  }) => `${airC} · dew point ${dewPointC} · ${measureText} · cloud ${cloudFraction} %`,
  takeAllReadingsHours: (rows: number, as: string) =>
    `Take all ${rows} ${as === 'logger' ? 'readings' : 'hours'}`,
  theNightIsBeingWorked: (as: string) =>
    as === 'forecast'
      ? 'The night is being worked out with it.'
      : 'It is kept, and the nights that were are seen with it.',
};
