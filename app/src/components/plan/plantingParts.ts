/** The parts of a planting's form: which field stands in which, and what each says while it is shut. */
import type { PlantingBody } from '@fogata/contract';
import { cropById, mayPick } from '@fogata/core';
import type { Format } from '../../data/format';
import { plantingScreen as words } from '@fogata/words/en/screens/planting';
import { dayWords } from '@fogata/words/en/screens/seasonWords';
import { PICKED_WORD } from './PlantingHow';

export const AIMS = [
  { value: 'survive', label: words.surviveTheCold },
  { value: 'grow', label: words.keepGrowing },
  { value: 'flower', label: words.saveFlowersAndFruit },
] as const;

export type StepId = 'what' | 'where' | 'how';
/** In which part a field stands, so that what is wrong is open to be mended. */
export const STEP_OF: Partial<Record<keyof PlantingBody, StepId>> = {
  crop: 'what',
  cultivar: 'what',
  fromRow: 'where',
  toRow: 'where',
  lengthM: 'where',
  plantedOn: 'where',
  clearedOn: 'where',
};

/** What each part says now. */
export function saidOf(p: PlantingBody, format: Format): Record<StepId, string> {
  const rows = p.fromRow === p.toRow ? words.row(p.fromRow) : words.rowsTo(p.fromRow, p.toRow);
  const aim = AIMS.find((a) => a.value === p.aim)?.label ?? '';
  const ways = p.crop === '' ? [] : mayPick(cropById(p.crop));
  const way = p.picked ?? ways[0];
  const becomes = p.forSeed ? words.leftForSeed : way ? words.picked(PICKED_WORD[way]) : null;
  return {
    what: `${p.crop === '' ? words.notSaidYet : cropById(p.crop).name}${p.cultivar ? ` ${p.cultivar}` : ''}`,
    where: `${rows}, ${format.metres(p.lengthM)}, ${dayWords(p.plantedOn.slice(5))}`,
    how: [aim, becomes].filter((x) => x !== null && x !== '').join(', '),
  };
}
