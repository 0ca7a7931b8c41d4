/**
 * The pages of this farm that are open on the device. Contract: `tell()` says to the others that the outbox has changed;
 * `lives(tab)` resolves to whether that page is still there, true where it cannot be asked. Each page answers for itself.
 */
import { under } from './house';

/** A page that is there answers in a few milliseconds; one put to sleep by the browser does not, and then sends nothing either. */
const ANSWERS_IN_MS = 1500;

type Said = 'changed' | { asks: string } | { here: string };

export class Tabs {
  private readonly channel: BroadcastChannel | null =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(under('fogata-outbox'));
  private readonly asked = new Map<string, () => void>();

  constructor(
    private readonly me: string,
    changed: () => void,
  ) {
    if (!this.channel) return;
    // where tests run a channel would keep the process waiting
    (this.channel as { unref?: () => void }).unref?.();
    this.channel.onmessage = ({ data }: MessageEvent<Said>) => {
      if (data === 'changed') changed();
      else if ('asks' in data) {
        if (data.asks === me) this.say({ here: me });
      } else this.asked.get(data.here)?.();
    };
  }

  private say(what: Said): void {
    this.channel?.postMessage(what);
  }

  tell(): void {
    this.say('changed');
  }

  lives(tab: string): Promise<boolean> {
    if (!this.channel || tab === this.me) return Promise.resolve(true);
    return new Promise((resolve) => {
      const answered = (yes: boolean) => {
        clearTimeout(timer);
        this.asked.delete(tab);
        resolve(yes);
      };
      const timer = setTimeout(() => answered(false), ANSWERS_IN_MS);
      this.asked.set(tab, () => answered(true));
      this.say({ asks: tab });
    });
  }
}
