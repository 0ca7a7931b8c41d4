/**
 * Moves of the board that wait for signal, kept on the device. Contract: `withMove` is the list with one more, a planting's moves joined into one, none
 * where it is back where it was; `sendMoves` sends them in order: what was changed elsewhere meanwhile is left as it is there and named.
 */
import type { Planting } from '@fogata/core';
import { NoServer } from '../../data/api';
import { readStored, store } from '../../data/storage';

export interface WaitingMove {
  /** As the server last said it; null of what was added here. */
  before: Planting | null;
  after: Planting;
}

const KEY = 'board-waiting';
export const storedMoves = (): WaitingMove[] => readStored<WaitingMove[]>(KEY, []);
export const storeMoves = (list: readonly WaitingMove[]): boolean => store(KEY, list);

/** What a grower moves of a planting: where it is, and when. */
const placed = (p: Planting): string =>
  JSON.stringify([p.bedId, p.crop, p.fromRow, p.toRow, p.lengthM, p.plantedOn, p.clearedOn]);
export const samePlace = (a: Planting, b: Planting): boolean => placed(a) === placed(b);

export function withMove(
  list: readonly WaitingMove[],
  before: Planting | null,
  after: Planting,
): WaitingMove[] {
  const first = list.find((m) => m.after.id === after.id);
  const was = first ? first.before : before;
  const others = list.filter((m) => m.after.id !== after.id);
  return was && samePlace(was, after) ? others : [...others, { before: was, after }];
}

export interface Sent {
  /** What still waits, because signal went again. */
  left: WaitingMove[];
  /** Plantings that are elsewhere by now, or were refused, each with why. */
  refused: { move: WaitingMove; why: string | null }[];
}

export async function sendMoves(
  list: readonly WaitingMove[],
  now: readonly Planting[],
  save: (p: Planting) => Promise<unknown>,
): Promise<Sent> {
  const refused: Sent['refused'] = [];
  for (const [n, move] of list.entries()) {
    const there = now.find((p) => p.id === move.after.id);
    if (there && samePlace(there, move.after)) continue;
    if (move.before && (!there || !samePlace(there, move.before))) {
      refused.push({ move, why: null });
      continue;
    }
    try {
      await save(move.after);
    } catch (e) {
      if (e instanceof NoServer) return { left: list.slice(n), refused };
      refused.push({ move, why: (e as Error).message });
    }
  }
  return { left: [], refused };
}

/**
 * What waits after some were sent: what signal left, and what was moved meanwhile, which starts from where the sent move of its planting is now.
 * @param stored what waits on the device by now; @param list what was to be sent.
 */
export function waitingAfter(
  stored: readonly WaitingMove[],
  list: readonly WaitingMove[],
  sent: Sent,
): WaitingMove[] {
  const left = new Set(sent.left.map((m) => m.after.id));
  const refused = new Set(sent.refused.map(({ move }) => move.after.id));
  return stored.flatMap((m): WaitingMove[] => {
    const was = list.find((x) => x.after.id === m.after.id);
    if (!was || left.has(m.after.id)) return [m];
    if (samePlace(was.after, m.after)) return [];
    // moved once more while it was sent
    return [refused.has(m.after.id) ? m : { before: was.after, after: m.after }];
  });
}
