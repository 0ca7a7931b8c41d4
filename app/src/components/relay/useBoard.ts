/**
 * The board in the hand. Contract: what is moved shows at once with its quarrels and odds, is kept when it is let go, and is taken back and done
 * again without limit while the board is open; what the server refuses goes back to where it was, with its reason. Without signal it is kept on
 * the device, shown as moved, and sent when there is signal again.
 */
import { api, call } from '@fogata/contract/client';
import type { RelayView } from '@fogata/contract/told';
import { cropOf, type Planting } from '@fogata/core';
import { posts, relayChecker, supply } from '@fogata/core/relay';
import { useCallback, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { retract } from '../../data/actions';
import { change, refresh, useFarm, useRelay } from '../../data/hooks';
import { NoServer, request } from '../../data/api';
import { yearOf, yetToKnow } from './board';
import { leftWords } from '@fogata/words/en/screens/boardWords';
import {
  sendMoves,
  storedMoves,
  storeMoves,
  waitingAfter,
  withMove,
  type Sent,
  type WaitingMove,
} from './waitingMoves';

interface Step {
  /** Null of what was added here; it is taken back by its record. */
  before: Planting | null;
  after: Planting;
  recordId: string | null;
}

/** The board shows so many days before today and so many weeks in all. */
export const BACK_DAYS = 70;
export const BOARD_WEEKS = 52;

const save = (p: Planting) => change(call(api.putPlanting, { id: p.id }), asBody(p));
/** What a planting is as a form sends it: what the server works out stays with it. */
function asBody({ planned: _planned, done: _done, ...p }: Planting) {
  return p;
}

/** Without signal it is tried again after so long. */
const AGAIN_MS = 5000;

/** Sends moves against what the server has now: what this page read last may be of before signal went. */
async function sendFresh(list: readonly WaitingMove[]): Promise<Sent> {
  try {
    return await sendMoves(list, (await request(call(api.relay))).plantings, save);
  } catch {
    return { left: [...list], refused: [] };
  }
}

/** Sends what waits as soon as the server answers, one after the other, and again after a while where it does not. */
function useSending(
  waiting: readonly WaitingMove[],
  view: RelayView | null,
  away: boolean,
  onSent: (left: WaitingMove[], sent: Sent) => void,
) {
  const sending = useRef(false);
  const [turn, setTurn] = useState(0);
  const told = useEffectEvent(onSent);
  const some = waiting.length > 0;
  const send = useEffectEvent(async () => {
    if (sending.current) return;
    sending.current = true;
    const list = storedMoves();
    const sent = await sendFresh(list);
    sending.current = false;
    told(waitingAfter(storedMoves(), list, sent), sent);
    // what signal left, and what was moved meanwhile
    if (storedMoves().length > 0) setTimeout(() => setTurn((n) => n + 1), AGAIN_MS);
  });
  const there = some && !away && view !== null;
  useEffect(() => {
    if (there) void send();
  }, [there, turn]);
}

export function useBoard() {
  const read = useRelay();
  const view = read.data ?? null;
  const clockAtMs = useFarm().data?.clock.nowAtMs;
  const [waiting, setWaiting] = useState<readonly WaitingMove[]>(storedMoves);
  const [moved, setMoved] = useState<ReadonlyMap<string, Planting>>(
    () => new Map(storedMoves().map((m) => [m.after.id, m.after])),
  );
  /** Moves that could not be made when signal was there again. */
  const [left, setLeft] = useState<readonly string[]>([]);
  const [past, setPast] = useState<readonly Step[]>([]);
  const [future, setFuture] = useState<readonly Step[]>([]);
  /** What is being dragged, as it was when it was taken hold of. */
  const [held, grab] = useState<Planting | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [checked] = useState(relayChecker);

  const year = useMemo(() => (view ? yearOf(view, moved) : null), [view, moved]);
  const check = useMemo(() => (year ? checked(year) : null), [year, checked]);
  const from = year ? year.today - BACK_DAYS : 0;
  const lacking = useMemo(() => (view && year ? yetToKnow(view, year) : null), [view, year]);
  const weeks = useMemo(
    () => (year && !lacking ? supply(year, from, BOARD_WEEKS) : []),
    [year, from, lacking],
  );
  const handed = useMemo(() => (year ? posts(year.strips, year.today) : []), [year]);

  const standing = useCallback(
    (id: string): Planting | null => moved.get(id) ?? view?.plantings.find((p) => p.id === id) ?? null,
    [moved, view],
  );
  /** Shows it there, and does not keep it yet. */
  const show = useCallback((p: Planting) => setMoved((m) => new Map(m).set(p.id, p)), []);
  /** What was shown is the server's again: kept there by now, or refused. */
  const letGo = useCallback(
    (p: Planting) => setMoved((m) => (m.get(p.id) === p ? new Map([...m].filter(([id]) => id !== p.id)) : m)),
    [],
  );
  const wait = useCallback(
    (before: Planting | null, p: Planting): boolean => {
      const list = withMove(storedMoves(), before, p);
      if (!storeMoves(list)) return false;
      setWaiting(list);
      if (!list.some((m) => m.after.id === p.id)) letGo(p);
      return true;
    },
    [letGo],
  );
  const keep = useCallback(
    async (before: Planting | null, p: Planting): Promise<{ recordId: string | null } | null> => {
      show(p);
      setProblem(null);
      try {
        const kept = await save(p);
        letGo(p);
        return kept;
      } catch (e) {
        if (e instanceof NoServer && wait(before, p)) return { recordId: null };
        setProblem((e as Error).message);
        letGo(p);
        return null;
      }
    },
    [show, letGo, wait],
  );
  useSending(waiting, view, read.away, (left, sent) => {
    setWaiting(left);
    storeMoves(left);
    setMoved(new Map(left.map((m) => [m.after.id, m.after])));
    if (sent.refused.length > 0)
      setLeft(sent.refused.map(({ move, why }) => leftWords(cropOf(move.after).name, why)));
  });
  /** Whether it was kept. */
  const put = useCallback(
    async (before: Planting | null, after: Planting): Promise<boolean> => {
      const kept = await keep(before, after);
      if (!kept) return false;
      setPast((s) => [...s, { before, after, recordId: kept.recordId }]);
      setFuture([]);
      return true;
    },
    [keep],
  );
  /** What a strip is moved by; the same as long as the board is open, so that only what moves is drawn anew. */
  const hand = useMemo(() => ({ show, grab, put }), [show, put]);
  /** One after the other, until one is refused: each is a step to take back. */
  const putAll = async (list: readonly Planting[]): Promise<void> => {
    for (const p of list) {
      if (!(await put(standing(p.id), p))) return;
    }
  };
  const remove = async (recordId: string | null): Promise<boolean> => {
    if (recordId === null || clockAtMs === undefined) return false;
    await retract([recordId], clockAtMs);
    await refresh();
    return true;
  };
  const undo = async () => {
    const step = past.at(-1);
    if (!step) return;
    // refused, it stays to be taken back
    if (!(step.before ? await keep(step.after, step.before) : await remove(step.recordId))) return;
    setPast(past.slice(0, -1));
    setFuture([...future, step]);
  };
  const redo = async () => {
    const step = future.at(-1);
    const kept = step && (await keep(step.before, step.after));
    if (!kept) return;
    setFuture(future.slice(0, -1));
    setPast([...past, { ...step, recordId: kept.recordId ?? step.recordId }]);
  };
  return {
    view: view as RelayView | null,
    error: read.error as Error | undefined,
    year,
    check,
    weeks,
    /** Of what stands, so many have their years; null where all have. */
    lacking,
    from,
    handed,
    standing,
    show,
    held,
    grab,
    put,
    hand,
    putAll,
    undo: past.length > 0 ? undo : null,
    redo: future.length > 0 ? redo : null,
    problem,
    away: read.away || waiting.length > 0,
    waiting: waiting.length,
    left,
    seenLeft: () => setLeft([]),
  };
}
export type Board = ReturnType<typeof useBoard>;
export type Hand = Board['hand'];
