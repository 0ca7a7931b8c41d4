/**
 * Which farm this device is with. Contract: `farmHere()` is the one that answered last; `heard(id)` is told by every answer, and
 * where another farm answers at the address it opens the app anew with that one's own memory. `under(name)` keeps each farm's
 * things apart; those of the first farm have no mark, as before there were several.
 */
const HOME = 'fogata:home';
const HERE = 'fogata:here';
const MOVED = 'fogata:moved';
/** Two farms that answer by turns would open the page for ever. */
const REST_MS = 10_000;

function read(name: string): string | null {
  try {
    return globalThis.localStorage?.getItem(name) ?? null;
  } catch {
    return null;
  }
}
function keep(name: string, value: string): boolean {
  try {
    globalThis.localStorage?.setItem(name, value);
    return globalThis.localStorage !== undefined;
  } catch {
    return false;
  }
}

let home = read(HOME);
let here = read(HERE) ?? home;

export const farmHere = (): string | null => here;

/** The name of something kept for this farm alone. */
export const under = (name: string): string => (here === home || here === null ? name : `${here}:${name}`);

const openAnew = () => globalThis.location?.reload?.();

export function heard(id: string, anew: () => void = openAnew): void {
  // a server that does not say which farm it is
  if (id.length < 8 || id === here) return;
  if (here === null) {
    home = here = id;
    keep(HOME, id);
    keep(HERE, id);
    return;
  }
  const lately = Number(read(MOVED) ?? 0);
  if (Date.now() - lately < REST_MS || !keep(HERE, id)) return;
  keep(MOVED, String(Date.now()));
  here = id;
  anew();
}

/** Forgets what the module holds, as a new page does. */
export function openPage(): void {
  home = read(HOME);
  here = read(HERE) ?? home;
}
