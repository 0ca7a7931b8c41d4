/** The farm's settings and how one is changed: kept at once, with its way back, and a sentence where it is refused. */
import type { Farm, FarmPatch } from '@fogata/contract';
import { useState } from 'react';
import { patchFarm, useFarm } from './hooks';
import { offerUndo } from './undo';
import { useSaveFarm as words } from '@fogata/words/en/screens/data';

/** `onRefused` is told what was to be changed and was not. */
export function useSaveFarm(onRefused?: (patch: FarmPatch) => void) {
  const { data } = useFarm();
  const [problem, setProblem] = useState<string | null>(null);
  const farm = data?.farm;
  const save = (patch: FarmPatch, label: string) => {
    if (!farm) return;
    setProblem(null);
    const before = Object.fromEntries(Object.keys(patch).map((k) => [k, farm[k as keyof Farm]])) as FarmPatch;
    patchFarm(patch)
      .then(() => offerUndo(words.changed(label), async () => void (await patchFarm(before))))
      .catch((e: Error) => {
        setProblem(e.message);
        onRefused?.(patch);
      });
  };
  return { farm, save, problem, setProblem };
}
