/**
 * A first answer, in the time that it takes to read the sentence above it. Contract: `firstChoice` gives copies of the beds with none or one sheet chosen for
 * each, under a few members of the forecast, by the same programme; the beds themselves keep what was run and lose nothing.
 */
import { choose } from './choice';
import { coversOf, FIRST_LOOK, tryOptions } from './looks';
import { optionKey } from './options';
import { layAtMs, type Found, type PlannedBed, type Work } from './planned';
import { plannedSpec } from './tasks';

/** As it stands now: what is run on later is not in it. */
const copyOf = (b: PlannedBed): PlannedBed => ({
  ...b,
  outcome: { ...b.outcome },
  loss: { ...b.loss },
  calm: { ...b.calm },
  options: b.options.filter((o) => b.loss[o.key] !== undefined),
});

export async function firstChoice(w: Work, found: readonly Found[]): Promise<PlannedBed[]> {
  const looked = await Promise.all(
    found.flatMap((f) =>
      f.beds.map(async (b) => {
        const on = optionKey(b.on);
        const simple = b.options.filter((o) => o.covers.length < 2 || o.key === on || o.key === b.fixed);
        await tryOptions(w, f, b, FIRST_LOOK, simple);
        return copyOf(b);
      }),
    ),
  );
  await choose(looked, w);
  for (const b of looked)
    b.plannedSpec = plannedSpec(
      w.inputs,
      b.structure,
      b.bed,
      b.plantings,
      b.on,
      coversOf(b),
      layAtMs(w.inputs, b),
    );
  return looked;
}
