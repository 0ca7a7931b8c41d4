/**
 * Nothing moves under a finger. Contract: `over()` resolves once nothing is pressed and what was pressed has had its click, and
 * after three seconds at the latest; answers of the server wait for it, what a press itself does is shown at once.
 */
const LONGEST_MS = 3000;
/** A click comes after the finger has gone, in a turn of its own. */
const CLICK_MS = 40;

export class Press {
  private down = false;
  private waiting: (() => void)[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(target: Pick<EventTarget, 'addEventListener'> | undefined) {
    target?.addEventListener('pointerdown', () => this.begin(), true);
    for (const ends of ['pointerup', 'pointercancel'])
      target?.addEventListener(ends, () => this.endIn(CLICK_MS), true);
  }

  over(): Promise<void> {
    return this.down ? new Promise((resolve) => this.waiting.push(resolve)) : Promise.resolve();
  }

  private begin(): void {
    this.down = true;
    this.endIn(LONGEST_MS);
  }

  private endIn(ms: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.down = false;
      for (const go of this.waiting.splice(0)) go();
    }, ms);
  }
}

/** Of this page; nothing is ever pressed where there is no page. */
export const press = new Press(globalThis.document as Document | undefined);
