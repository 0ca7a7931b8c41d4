/**
 * A first answer, in the time that it takes to read the sentence above it. Contract: `firstChoice` gives copies of the beds with at most one sheet more
 * chosen for each, under a few members of the forecast, by the same programme; the beds themselves keep what was run and lose nothing.
 */
import { choose } from './choice';
import { coversOf, FIRST_LOOK, tryOptions } from './looks';
import { layAtMs, type Found, type PlannedBed, type Work } from './planned';
import { plannedSpec } from './tasks';

/** As it stands now: what is run on later is not in it. */
export const copyOf = (b: PlannedBed): PlannedBed => ({
  ...b,
  outcome: { ...b.outcome },
  loss: { ...b.loss },
  calm: { ...b.calm },
});

/** What lies there, alone or with one sheet more, and what the grower asked for: from a few members nothing is said to be taken off. */
export const oneMore = (b: PlannedBed) =>
  b.options.filter((o) => {
    const rest = [...o.covers];
    const keeps = b.on.every((c) => rest.includes(c) && rest.splice(rest.indexOf(c), 1).length > 0);
    return o.key === b.fixed || (keeps && rest.length < 2);
  });

export async function firstChoice(w: Work, found: readonly Found[]): Promise<PlannedBed[]> {
  const looked = await Promise.all(
    found.flatMap((f) =>
      f.beds.map(async (b) => {
        await tryOptions(w, f, b, FIRST_LOOK, oneMore(b));
        const copy = copyOf(b);
        return { ...copy, options: b.options.filter((o) => b.loss[o.key] !== undefined) };
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
