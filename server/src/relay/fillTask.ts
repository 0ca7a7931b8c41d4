/** Gaps filled in a thread. Contract: a task is plain data; how far it is comes through a port, the plan as the answer. */
import type { FillProposal } from '@fogata/contract';
import { cropById, cropOf, kindOf, type Planting } from '@fogata/core';
import {
  fillGaps,
  strip,
  type FillAim,
  type Filled,
  type Nursery,
  type Outlook,
  type RelayBed,
  type SparseSolver,
} from '@fogata/core/relay';
import type { How } from '@fogata/core/season';
import type { MessagePort } from 'node:worker_threads';

export interface FillTask {
  fromDay: number;
  weeks: number;
  beds: RelayBed[];
  plantings: Planting[];
  outlooks: (Outlook & { structureId: string; crop: string; how: How })[];
  /** Crops that may be proposed. */
  crops: { id: string; how: How; valuePerM: number }[];
  demand: { crop: string | null; from: string; to: string; kgPerWeek: number }[];
  cells: number | null;
  nursery: Nursery;
  minutesPerWeek: number | null;
  hourlyRate: number;
  risk: number;
  aim: FillAim;
  refused: string[];
  seconds: number;
  /** Of plantings, how they are begun. */
  hows: Record<string, How>;
}

export interface FillTold {
  money: number;
  boundMoney: number | null;
  proposals: FillProposal[] | null;
}

/** What sells of one crop in a week where nobody asks for any, kg: starting value. */
const SELLS_KG = 10;
const GAP = 0.02;

export async function fillIn(task: FillTask & { port: MessagePort }): Promise<Filled> {
  const highs = (await import('highs')).default as unknown as () => Promise<SparseSolver>;
  const solver = await highs();
  const known = new Map(task.outlooks.map((o) => [`${o.structureId} ${o.crop} ${o.how}`, o]));
  const bedOf = new Map(task.beds.map((b) => [b.id, b]));
  const outlookIn = (bed: RelayBed, kind: string, how: How): Outlook | null =>
    known.get(`${bed.structureId} ${kind} ${how}`) ?? null;
  const strips = task.plantings.flatMap((p) => {
    const bed = bedOf.get(p.bedId);
    if (!bed) return [];
    const crop = cropOf(p);
    const how = task.hows[p.id] ?? 'sow';
    return [strip(p, crop, how, outlookIn(bed, kindOf(p), how))];
  });
  let first: FillProposal[] | null = null;
  let told = 0;
  const tell = (money: number, boundMoney: number | null) => {
    task.port.postMessage({ money, boundMoney, proposals: first } satisfies FillTold);
    first = null;
  };
  return fillGaps(
    {
      ...task,
      strips,
      outlook: (bed, crop, how) => outlookIn(bed, crop.id, how),
      crops: task.crops.map((c) => ({
        crop: cropById(c.id),
        how: c.how,
        valuePerM: c.valuePerM,
        mostM: null,
      })),
      sellsKg: SELLS_KG,
      refused: new Set(task.refused),
    },
    solver,
    {
      seconds: task.seconds,
      gap: GAP,
      nowAtMs: () => performance.now(),
      onFirst: (proposals) => {
        first = proposals;
        tell(
          proposals.reduce((sum, p) => sum + p.worth, 0),
          null,
        );
      },
      onProgress: ({ money, boundMoney }) => {
        // a few times a second is enough
        if (performance.now() - told < 250) return;
        told = performance.now();
        tell(money, boundMoney);
      },
    },
  );
}
