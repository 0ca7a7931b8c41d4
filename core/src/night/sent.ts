/**
 * Hours on their way to a thread. Contract: `sent` gives a list as one text, made once for the same list; `heard` the list of a text, the same one for the same text,
 * so that what was made of it holds; `firstOf` the first few of a list, again the same ones. A night's work is hundreds of tasks under the same weather. Of the air that a
 * bed is given only what is run goes along.
 */
const texts = new WeakMap<object, string>();
const names = new WeakMap<object, string>();
const firsts = new WeakMap<object, Map<number, unknown[]>>();
const lists = new Map<string, unknown>();
/** The days before and what is to come, of two nights at once. */
const HEARD = 6;

/** @example sent([1, 2]) // '[1,2]' */
export function sent(list: object): string {
  const known = texts.get(list);
  if (known !== undefined) return known;
  const text = JSON.stringify(list);
  texts.set(list, text);
  return text;
}

/** A list by the name of its text, which is far shorter: made once for the same list. */
function named(list: object, nameOf: (text: string) => string): string {
  const known = names.get(list) ?? nameOf(sent(list));
  names.set(list, known);
  return known;
}

/** @example heard('[3]') === heard('[3]') // true */
export function heard<T>(text: string): T {
  const known = lists.get(text);
  if (known !== undefined) return known as T;
  const list = JSON.parse(text) as T;
  lists.set(text, list);
  const [oldest] = lists.keys();
  if (lists.size > HEARD) lists.delete(oldest!);
  return list;
}

/** @example firstOf([1, 2, 3], 2) // [1, 2] */
export function firstOf<T>(list: T[], count: number): T[] {
  if (count >= list.length) return list;
  const known = firsts.get(list) ?? new Map<number, unknown[]>();
  firsts.set(list, known);
  if (!known.has(count)) known.set(count, list.slice(0, count));
  return known.get(count) as T[];
}

/** A task with its hours as texts. */
export type Sent<T> = {
  [K in keyof T]: K extends 'members' | 'history' ? string : K extends 'task' ? Sent<T[K]> : T[K];
};

const HOURS = ['members', 'history'];

/** @example sentTask({ members: [], deepC: 8 }) // { members: '[]', deepC: 8 } */
export const sentTask = <T extends object>(task: T): Sent<T> =>
  over(withoutIdle(task), (list) => sent(list as object)) as Sent<T>;
/**
 * A task as it is known again by: equal ones have equal names of their hours.
 * @example namedTask({ members: [], deepC: 8 }, (text) => `${text.length} long`) // { members: '2 long', deepC: 8 }
 */
export const namedTask = <T extends object>(task: T, nameOf: (text: string) => string): Sent<T> =>
  over(withoutIdle(task), (list) => named(list as object, nameOf)) as Sent<T>;
/** @example heardTask({ members: '[]', deepC: 8 }) // { members: [], deepC: 8 } */
export const heardTask = <T extends object>(task: Sent<T>): T =>
  over(task, (text) => heard(text as string)) as T;

function withoutIdle(task: { given?: unknown; only?: unknown }): object {
  const { given, only } = task;
  if (!Array.isArray(given) || !Array.isArray(only)) return task;
  return { ...task, given: given.map((air: unknown, m) => (only.includes(m) ? air : null)) };
}

const over = (task: object, turned: (hours: unknown) => unknown): object =>
  Object.fromEntries(
    Object.entries(task).map(([key, value]) => {
      if (HOURS.includes(key)) return [key, turned(value)];
      return [key, key === 'task' ? over(value as object, turned) : (value as unknown)];
    }),
  );
