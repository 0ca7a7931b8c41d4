/** Words of water, by the part that says them. */
export const dripSettings = {
  waterIsSaidInMillimetres:
    'Water is said in millimetres and litres. With drip lines it is said in minutes as well.',
  bedsHaveDripLines: 'Beds have drip lines',
  linesOnABed: 'Lines on a bed',
  lines: 'lines',
  fromEmitterToEmitter: 'From emitter to emitter',
  anEmitterGives: 'An emitter gives',
  asItsMakerSaysAt:
    'As its maker says, at your pressure. On a slope the low end gets more: measure with a cup at both ends.',
  thePoorEndOfA: 'The poor end of a line gets less, by',
  byTheCupAtBoth:
    'By the cup at both ends. The minutes are then for the poor end; the other gets more than it needs: turn the lines round now and then.',
  noDripLines: 'No drip lines',
};

export const waterScreen = {
  dry: 'Dry',
  moist: 'Moist',
  wet: 'Wet',
  perCentOfWhatIt: (round: number, round2: number) =>
    `${round} per cent of what it holds; it wants water at ${round2}`,
  watered: (name: string) => `${name}: watered`,
  closeFeelGive: (open: boolean) => (open ? 'Close' : 'Feel, give'),
  sayHowFeelsOrWhat: (name: string) => `Say how ${name} feels, or what it was given`,
  wateredAsProposed: (name: string) => `${name}: watered as proposed`,
  aFingerDeepItIs: 'A finger deep it is',
  aFingerDeep: (name: string) => `${name} a finger deep`,
  isAFingerDeep: (name: string, feel: string) => `${name} is ${feel} a finger deep`,
  aFingerDeep2: (name: string, feel: string) => `${name}: ${feel} a finger deep`,
  given: 'Given',
  oneMillimetreIsALitre: 'One millimetre is a litre on each square metre.',
  itFreezesWetLeavesAnd: '▲ It freezes: wet leaves and lines burst and burn. The grower decides.',
  wateredToday: 'Watered today',
  itWasGiven: (mm: string) => `It was given ${mm}`,
  waterItAgainHoldIts: (held: boolean) => (held ? 'Water it again' : 'Hold its water back'),
  waterItAgainHoldIts2: (name: string, held: boolean) =>
    `${name}: ${held ? 'water it again' : 'hold its water back, to stop growth'}`,
  wateredAgainWaterHeldBack: (name: string, held: boolean) =>
    `${name}: ${held ? 'watered again' : 'water held back'}`,
  feed: 'Feed',
  lastFed: (last: string) => `last fed ${last}`,
  nobodyHasSaidThatIt: 'nobody has said that it was fed',
  fedAsProposed: (name: string) => `${name}: fed as proposed`,
  fed: (name: string) => `${name}: fed`,
  byGrowthAndASoil:
    '▲ By growth and a soil in good heart, no soil test is known: too much runs to leaf, aphids and the ground water. No fresh manure on what is eaten; keep the days before harvest that your rules ask for.',
  today: 'Today',
  dryAndItFreezes: 'Dry, and it freezes',
  inTheDaysThatAre: 'In the days that are known',
  hasEnough: 'Has enough',
  beds: 'Beds',
  feelingTheSoil: 'Feeling the soil',
  reckonedFromSunWindAnd:
    'Reckoned from sun, wind and warmth under each cover by FAO-56, and from what you say you gave. Soils, roots and pots are starting values: a finger in the soil is worth more. No electric pump in standing water without a residual-current device.',
};
