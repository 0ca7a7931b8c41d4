/**
 * A choice that rests on nothing drawn. Contract: `chooseSure` has each bed's stack chosen, and what was chosen by a figure from some of the members run under
 * everyone and the choice made again, until all that is chosen was. Each round makes one figure more a whole one: it ends. Of a night that is one of several the
 * choice is made once, and what was chosen is run so that what is told of it is whole: all of them are chosen once more, together.
 */
import { choose } from './choice';
import { tryOptions } from './looks';
import { chosenOutcome, type Found, type Work } from './planned';

/** @example await chooseSure({ inputs: await anInputs() }, []) // undefined */
export async function chooseSure(w: Work, found: readonly Found[]): Promise<void> {
  const all = found.flatMap((f) => f.beds);
  for (;;) {
    await choose(all, w);
    let drawn = found.flatMap((f) => f.beds.map((b) => ({ f, b }))).filter(({ b }) => isDrawn(b));
    if (drawn.length === 0) return;
    // under one roof with others they are run as planned anyway, all of them together
    if (w.together > 1) drawn = drawn.filter(({ f }) => f.beds.length < 2);
    await Promise.all(
      drawn.map(({ f, b }) =>
        tryOptions(
          w,
          f,
          b,
          w.inputs.members.length,
          b.options.filter((o) => o.key === b.chosen),
        ),
      ),
    );
    if (w.together > 1) return;
  }
}

const isDrawn = (b: Found['beds'][number]): boolean => chosenOutcome(b).ranUnder !== undefined;
