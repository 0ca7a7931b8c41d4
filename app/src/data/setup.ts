/** Setting up: save, copy and remove structures, beds and covers, each with its way back for ten seconds. */
import { api, call, type Endpoint } from '@fogata/contract/client';
import type { Bed, Cover, Structure } from '@fogata/core';
import { change } from './hooks';
import { newId } from './id';
import { offerUndo } from './undo';
import { setup as words } from '@fogata/words/en/screens/data';

type Thing = Structure | Bed | Cover;
const PUT: Record<'structure' | 'bed' | 'cover', Endpoint<Thing, `/api/${string}/:id`>> = {
  structure: api.putStructure,
  bed: api.putBed,
  cover: api.putCover,
};
const DROP = { structure: api.dropStructure, bed: api.dropBed, cover: api.dropCover } as const;
type Kind = keyof typeof PUT;
const keep = (kind: Kind, thing: Thing) => change(call(PUT[kind], { id: thing.id }), thing);
const drop = (kind: Kind, { id }: Thing) => change(call(DROP[kind], { id }));

/** Saves; `was` is what undo brings back, null for something new. */
export async function saveThing(kind: Kind, thing: Thing, was: Thing | null): Promise<void> {
  await keep(kind, thing);
  offerUndo(words.changedAdded(thing.name, Boolean(was)), async () => {
    if (was) await keep(kind, was);
    else await drop(kind, thing);
  });
}

export async function removeThing(kind: Kind, thing: Thing): Promise<void> {
  await drop(kind, thing);
  offerUndo(words.removed(thing.name), () => keep(kind, thing));
}

/** "Bed 2" after "Bed 1", "House, second" never: the first number that is free. */
export function nextName(name: string, taken: readonly string[]): string {
  const stem = name.replace(/\s*\d+$/, '');
  for (let n = 2; ; n++) {
    const next = `${stem} ${n}`;
    if (!taken.includes(next)) return next;
  }
}

/** A structure and its beds once more, beside it; what stands in them is not copied. */
export async function copyStructure(
  s: Structure,
  beds: readonly Bed[],
  structures: readonly Structure[],
): Promise<Structure> {
  const at = s.at ? { ...s.at, yM: s.at.yM - s.widthM - 3 } : undefined;
  const copy: Structure = {
    ...s,
    id: newId(),
    order: structures.length,
    name: nextName(
      s.name,
      structures.map((x) => x.name),
    ),
    ...(at ? { at } : {}),
  };
  const own = beds.map((b) => ({ ...b, id: newId(), structureId: copy.id }));
  await change(call(api.setup), { structures: [copy], beds: own });
  offerUndo(words.added(copy.name), () =>
    change(call(api.setup), { remove: { structures: [copy.id], beds: own.map((b) => b.id) } }),
  );
  return copy;
}

/** A bed and `times` more of it in its structure, at once; `already` where the first of them is there. */
export async function copyBed(bed: Bed, beds: readonly Bed[], times = 1, already = true): Promise<void> {
  const taken = [...beds.map((b) => b.name), bed.name];
  const made: Bed[] = already ? [] : [bed];
  for (let i = 0; i < times; i++) {
    const { at: _at, ...rest } = bed;
    const copy = { ...rest, id: newId(), name: nextName(bed.name, taken), order: beds.length + i + 1 };
    taken.push(copy.name);
    made.push(copy);
  }
  await change(call(api.setup), { beds: made });
  offerUndo(words.added2(made.map((b) => b.name).join(', ')), () =>
    change(call(api.setup), { remove: { beds: made.map((b) => b.id) } }),
  );
}
