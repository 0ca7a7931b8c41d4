/** Which beds have no sheet of a material of their own, and how to cut them from the rolls there are. */
import type { CutView } from '@fogata/contract';
import {
  cutProblem,
  holdingFor,
  lackingSheets,
  orderFor,
  sharedSizes,
  sheetNeeds,
  type CutNeed,
  type MaterialId,
} from '@fogata/core';
import type { FarmData } from '../farm/store';
import type { NightPool } from './pool';

/** `shared` cuts sizes that serve several beds. The rolls of one material are used. Solved in a thread: nobody else waits. */
export async function cutView(
  pool: Pick<NightPool, 'solve'>,
  data: FarmData,
  material: MaterialId,
  shared: boolean,
): Promise<CutView> {
  const { structures, beds, covers, farm } = data;
  const lacking = lackingSheets(
    structures,
    beds,
    covers.filter((c) => c.material === material),
  );
  const sizes = (
    shared
      ? sharedSizes(lacking)
      : lacking.map((n) => ({ widthM: n.widthM, lengthM: n.lengthM, beds: [n.bedName] }))
  ).map((s) => ({ ...s, count: s.beds.length }));
  const needs = sizes.map((s, i): CutNeed => ({ id: `s${i}`, label: s.beds.join(', '), ...s }));
  const rolls = farm.rolls.filter((r) => r.material === material);
  let plan: CutView['plan'] = null;
  if (needs.length > 0) {
    const problem = cutProblem(needs, rolls);
    plan = problem.read(
      (await pool.solve({ lp: problem.lp, seconds: 10 }, new AbortController().signal)).values,
    );
  }
  const hold = lacking
    .map((n) => holdingFor(n.lengthM, n.widthM, farm.wind))
    .reduce(
      (a, b) => ({ bags: a.bags + b.bags, pegs: a.pegs + b.pegs, perimeterM: a.perimeterM + b.perimeterM }),
      { bags: 0, pegs: 0, perimeterM: 0 },
    );
  return {
    needs: sheetNeeds(structures, beds).length,
    lacking,
    sizes,
    rolls,
    material,
    plan,
    order: plan ? orderFor(plan.missing) : [],
    hold,
    gear: farm.gear,
  };
}
