/** What was told without being asked: `fogata-message/1`, as the sink writes it and the app reads it. */
import { z } from 'zod';
import { warningKind } from './coreNight';

export const message = z.object({
  format: z.literal('fogata-message/1'),
  /** The same for the same thing: told once. */
  key: z.string(),
  kind: warningKind,
  /** Bed, structure, spot or night that it is about. */
  subject: z.string(),
  urgent: z.boolean(),
  title: z.string(),
  text: z.string(),
  /** ISO 8601, by the farm's clock. */
  at: z.string(),
});
export type Message = z.infer<typeof message>;

export const messagesView = z.object({
  nowAtMs: z.number(),
  /** Of the last three days, the newest first. */
  messages: z.array(message),
});
export type MessagesView = z.infer<typeof messagesView>;
