/** What a reckoning on the back of an envelope does not take, and why. */
import type { Telling } from '@fogata/core/words';

const FIELD = {
  length: 'Length',
  width: 'Width',
  arc: 'Arc',
  spacing: 'Spacing',
  foot: 'Foot',
  lines: 'Lines',
  flow: 'Flow of an emitter',
  litresPerPot: 'Litres for each pot',
  mm: 'Millimetres',
  benchLength: 'Length of the bench',
  benchWidth: 'Width of the bench',
  benches: 'Benches',
  crateLength: 'Length of a crate',
  crateWidth: 'Width of a crate',
  gap: 'Gap',
  plantsEach: 'Plants for each crate',
  plants: 'Plants',
  emerges: 'Share that comes up',
  spare: 'Spare',
  cells: 'Cells of a tray',
  seedsPerCell: 'Seeds for each cell',
  trayLength: 'Length of a tray',
  trayWidth: 'Width of a tray',
  shelfDepth: 'Depth of the shelf',
  vessels: 'Vessels',
  litresEach: 'Litres for each',
  settles: 'Share that settles',
  parts: 'Parts',
  crop: 'Crop',
  soilC: 'Soil temperature',
  germination: 'Germination',
};
export type CalcField = keyof typeof FIELD;

export const sums = {
  'calc.refused': (v: { field: CalcField; expected: string }) => `${FIELD[v.field]}: ${v.expected}.`,
  'calc.fewYears': (v: { years: number }) =>
    `The records hold ${v.years} whole ${v.years === 1 ? 'year' : 'years'} of days; at least three with frost are needed.`,
  'want.shareAbove0': () => 'more than 0, up to 1',
  'want.shareUnder1': () => '0 or more, under 1',
  'want.trayFits': (v: { leastM: number }, tell: Telling) =>
    `at least ${tell.length(v.leastM)}, the width of a tray`,
  'want.parts': () => 'at least one part, none under 0',
  'want.sownCrop': () => 'one that is sown',
  'want.comesUp': (v: { overC: number; notOverC: number | null }, tell: Telling) =>
    `one at which it comes up within two months: over ${tell.t(v.overC, 0)}${v.notOverC === null ? '' : ` and not over ${tell.t(v.notOverC, 0)}`}`,
  'want.betterLot': () => 'a lot of which more comes up: no number of seeds gives that stand',
};
