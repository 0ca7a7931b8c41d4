/**
 * The board in the hand. Contract: what is moved shows at once with its quarrels and odds, is kept when it is let go, and is taken back and done
 * again without limit while the board is open; what the server refuses goes back to where it was, with its reason.
 */
import { api, call } from '@fogata/contract/client';
import type { RelayView } from '@fogata/contract';
import type { Planting } from '@fogata/core';
import { posts, relayChecker, supply } from '@fogata/core/relay';
import { useCallback, useMemo, useState } from 'react';
import { retract } from '../../data/actions';
import { change, refresh, useFarm, useRelay } from '../../data/hooks';
import { yearOf } from './board';

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

export function useBoard() {
  const read = useRelay();
  const view = read.data ?? null;
  const clockMs = useFarm().data?.clock.nowMs;
  const [moved, setMoved] = useState<ReadonlyMap<string, Planting>>(new Map());
  const [past, setPast] = useState<readonly Step[]>([]);
  const [future, setFuture] = useState<readonly Step[]>([]);
  /** What is being dragged, as it was when it was taken hold of. */
  const [held, grab] = useState<Planting | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [checked] = useState(relayChecker);

  const year = useMemo(() => (view ? yearOf(view, moved) : null), [view, moved]);
  const check = useMemo(() => (year ? checked(year) : null), [year, checked]);
  const from = year ? year.today - BACK_DAYS : 0;
  const weeks = useMemo(() => (year ? supply(year, from, BOARD_WEEKS) : []), [year, from]);
  const handed = useMemo(() => (year ? posts(year.strips, year.today) : []), [year]);

  const standing = useCallback(
    (id: string): Planting | null => moved.get(id) ?? view?.plantings.find((p) => p.id === id) ?? null,
    [moved, view],
  );
  /** Shows it there, and does not keep it yet. */
  const show = useCallback((p: Planting) => setMoved((m) => new Map(m).set(p.id, p)), []);
  /** What was shown is the server's again: kept there by now, or refused. */
  const letGo = (p: Planting) =>
    setMoved((m) => (m.get(p.id) === p ? new Map([...m].filter(([id]) => id !== p.id)) : m));
  const keep = async (p: Planting): Promise<{ recordId: string | null } | null> => {
    show(p);
    setProblem(null);
    try {
      return await save(p);
    } catch (e) {
      setProblem((e as Error).message);
      return null;
    } finally {
      letGo(p);
    }
  };
  /** Whether it was kept. */
  const put = async (before: Planting | null, after: Planting): Promise<boolean> => {
    const kept = await keep(after);
    if (!kept) return false;
    setPast((s) => [...s, { before, after, recordId: kept.recordId }]);
    setFuture([]);
    return true;
  };
  const remove = async (recordId: string | null): Promise<boolean> => {
    if (recordId === null || clockMs === undefined) return false;
    await retract([recordId], clockMs);
    await refresh();
    return true;
  };
  const undo = async () => {
    const step = past.at(-1);
    if (!step) return;
    // refused, it stays to be taken back
    if (!(step.before ? await keep(step.before) : await remove(step.recordId))) return;
    setPast(past.slice(0, -1));
    setFuture([...future, step]);
  };
  const redo = async () => {
    const step = future.at(-1);
    const kept = step && (await keep(step.after));
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
    from,
    handed,
    standing,
    show,
    held,
    grab,
    put,
    undo: past.length > 0 ? undo : null,
    redo: future.length > 0 ? redo : null,
    problem,
  };
}
export type Board = ReturnType<typeof useBoard>;
