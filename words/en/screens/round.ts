/** Words of the round, by the part that says them. */
export const round = {
  noted: (name: string, minC: string) => `${name}: ${minC} noted`,
  ofRead: (done: number, count: number) => `${done} of ${count} read`,
  morningRound: 'Morning round',
  lowest: (name: string) => `${name}, lowest`,
  lowest2: (name: string) => `${name} lowest`,
  said: (mid: string, low: string) => `Said ${mid} (${low}).`,
  nothingWasPredictedForIt: 'Nothing was predicted for it.',
  thermometerReadsHighest: (minC: string, maxC: string) => ` Thermometer reads ${minC}, highest ${maxC}.`,
  highest: 'Highest',
  highest2: (name: string) => `${name} highest`,
  takeTheThermometers: 'Take the thermometer’s',
  noteItNext: (name: string) => `Note it, next: ${name}`,
  noteIt: 'Note it',
  everyThermometerHasBeenRead: 'Every thermometer has been read.',
  correct: 'Correct',
  correct2: (name: string) => `Correct ${name}`,
};

export const roundStops = {
  outside: 'Outside',
  roundNothingIsToBe: (name: string) => `${name} round: nothing is to be done anywhere just now.`,
  roundAllOfItIs: (name: string) => `${name} round: all of it is done.`,
  round: (name: string) => `${name} round: `,
  thingThingsAtPlacePlaces: ({
    countWord,
    things,
    countWord2,
    count,
  }: {
    countWord: string;
    things: number;
    countWord2: string;
    count: number;
  }) =>
    `${countWord} ${things === 1 ? 'thing' : 'things'} at ${countWord2} ${count === 1 ? 'place' : 'places'}`,
  aboutMin: (max: number) => `, about ${max} min.`,
};

export const roundScreen = {
  water: (name: string, crops: string) => `Water ${name} · ${crops}`,
  wateredAsProposed: (name: string) => `${name}: watered as proposed`,
  watered: (name: string) => `${name}: watered`,
  doneToDo: (left: number) => (left === 0 ? 'done' : `${left} to do`),
  read: (spot: string) => `read ${spot}`,
  job: (key: string) => `job ${key}`,
  open: (structureId: string) => `open ${structureId}`,
  storm: (what: string) => `storm ${what}`,
  water2: (bedId: string) => `water ${bedId}`,
  now: 'Now',
  layingOutTheRound: 'Laying out the round',
  stopsInWalkingOrder: 'Stops in walking order',
  doneToDo2: (name: string, isDone: boolean) => `${name}: ${isDone ? 'done' : 'to do'}`,
  onTo: (name: string) => `On to ${name}`,
  withoutSignalWhatIsTicked:
    'Without signal what is ticked is kept on this phone and sent once. Ticked by two, it is done once.',
};
