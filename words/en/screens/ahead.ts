/** Words of the nights to come, by the part that says them. */
export const aheadScreen = {
  to: (night: string, addDays: string) => `${night} to ${addDays}`,
  atRiskAsPlannedAbout: (lossPlanned: string, lossLeft: string) =>
    `At risk as planned about ${lossPlanned}, left alone ${lossLeft}.`,
  leftAloneItWouldCost: (lossLeft: string) => `Left alone it would cost about ${lossLeft}.`,
  leftAloneItCostsNothing: 'Left alone it costs nothing.',
  wouldSaveAboutMore: (shortWords: string, shortSaves: string) =>
    `▲ ${shortWords} would save about ${shortSaves} more.`,
  outside: (low: string) => `${low} outside`,
  toSpare: (marginK: string) => `${marginK} to spare`,
  tooCold: (marginK: string) => `${marginK} too cold`,
  forWhatComesAfterMore: (saves: string) => `For what comes after, ${saves} more is saved by this:`,
  planTonightSo: 'Plan tonight so',
  tonightPlannedForTheNights: 'Tonight planned for the nights to come',
  now: 'Now',
  openingTheNightsToCome: 'Opening the nights to come',
  workingOutTheNightsOne: (count: number, ofWord: number) =>
    `Working out the nights, one after the other: ${count} of ${ofWord}`,
  tellTheWeather: 'Tell the weather',
  nightByNight: 'Night by night',
  theForecastReachesToNothing: (untilAtMs: string, untilAtMs2: string) =>
    `The forecast reaches to ${untilAtMs} ${untilAtMs2}; nothing is said beyond it. Each night begins where the one before leaves off, with its jobs done as planned. The further off, the more may change.`,
};
