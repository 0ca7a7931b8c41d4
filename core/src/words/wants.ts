/**
 * What a schema expects of a field, through Zod, which carries text alone. Contract: `wants` is a rule's message, checked against the
 * words there are without loading them; `wantIn` reads it back, null where a message is somebody else's.
 */
import { isSaid, said, type MessageId, type Said } from './said';

type WantId = Extract<MessageId, `want.${string}`>;

/** @example wantIn(wants('want.crop')) // { say: 'want.crop' } */
export const wants = <I extends WantId>(...args: Parameters<typeof said<I>>): string =>
  JSON.stringify(said(...args));

/** @example wantIn('Invalid input') // null */
export function wantIn(message: string): Said | null {
  if (!message.startsWith('{"say":"want.')) return null;
  const read: unknown = JSON.parse(message);
  return isSaid(read) ? read : null;
}
