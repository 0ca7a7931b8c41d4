/** Words of a farm to start from, by the part that says them. */
export const startScreen = {
  filmHouses: 'Film houses',
  bedsInEachHouse: 'Beds in each house',
  coldFrames: 'Cold frames',
  lowTunnels: 'Low tunnels',
  bedsUnderTheOpenSky: 'Beds under the open sky',
  fleecesInStore: 'Fleeces in store',
  frostBlanketsInStore: 'Frost blankets in store',
  openingTheCrops: 'Opening the crops',
  whatGrowsThenTapIts: 'What grows, then tap its beds',
  plantedSoLongAgo: 'Planted so long ago',
  allBeds: (name: string) => `All beds: ${name}`,
  nothingYet: 'nothing yet',
  aTownNearByFirst: 'A town near by first: the sun and the frost are those of the place.',
  theFarmSetUp: 'The farm: set up',
  whatYouEnteredIsKept: (message: string) => `${message} What you entered is kept here.`,
  aFarmLikeYours: 'A farm like yours',
  ofWord: (planted: number, count: number) => `${planted} of ${count}`,
  whatStandsInTheBeds: 'What stands in the beds',
  somethingThatStandsFirstThis: (count: number) =>
    count === 0 ? 'Something that stands first' : 'This is my farm',
  usualSizesAndOrdinaryRepair:
    'Usual sizes and ordinary repair: change any of it afterwards, on Beds and Kit. A thermometer that is read teaches the rest.',
  near: (name: string) => `, near ${name}`,
  structureStructuresBedBedsSheet: ({
    count,
    count2,
    pieces,
    town,
  }: {
    count: number;
    count2: number;
    pieces: number;
    town: string;
  }) =>
    `${count} ${count === 1 ? 'structure' : 'structures'}, ${count2} ${count2 === 1 ? 'bed' : 'beds'}, ${pieces} ${pieces === 1 ? 'sheet' : 'sheets'} in store${town}.`,
  now: 'Now',
  openingTheFarm: 'Opening the farm',
};
