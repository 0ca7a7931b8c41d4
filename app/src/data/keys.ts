/**
 * Keys on what can be pressed. Contract: `pressByKey(e)` does what a key does on the thing that has the focus and says whether it
 * did: Enter on what looks like a link, Space on boxes, arrows among a group's choices. What the browser does by itself it leaves.
 */
const FORTH = ['ArrowRight', 'ArrowDown'];
const BACK = ['ArrowLeft', 'ArrowUp'];
const BOXES = ['checkbox', 'radio', 'switch'];

/** The choice that an arrow leads to from this one, round the ends; null where it is no choice of a group. */
export function nextChoice(at: HTMLElement, key: string): HTMLElement | null {
  const group = at.closest('[role="radiogroup"]');
  if (!group || at.getAttribute('role') !== 'radio') return null;
  const all = [...group.querySelectorAll<HTMLElement>('[role="radio"]')];
  const by = FORTH.includes(key) ? 1 : BACK.includes(key) ? -1 : 0;
  return by === 0 ? null : all[(all.indexOf(at) + by + all.length) % all.length]!;
}

export function pressByKey(e: Pick<KeyboardEvent, 'key' | 'target' | 'preventDefault'>): boolean {
  const at = e.target as HTMLElement | null;
  const role = at?.getAttribute?.('role');
  if (!at || !role) return false;
  const next = nextChoice(at, e.key);
  if (next) {
    next.focus();
    next.click();
  } else if (e.key === ' ' && BOXES.includes(role)) at.click();
  else if (e.key === 'Enter' && role === 'link' && at.tagName !== 'A') at.click();
  else return false;
  e.preventDefault();
  return true;
}
