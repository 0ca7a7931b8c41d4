/** What was told without being asked: `fogata-message/1`, as the sink writes it and the app reads it. */
import type { WarningKind } from '@fogata/core/planning';

export interface Message {
  format: 'fogata-message/1';
  /** The same for the same thing: told once. */
  key: string;
  kind: WarningKind;
  /** Bed, structure, spot or night that it is about. */
  subject: string;
  urgent: boolean;
  title: string;
  text: string;
  /** ISO 8601, by the farm's clock. */
  at: string;
}

export interface MessagesView {
  nowMs: number;
  /** Of the last three days, the newest first. */
  messages: Message[];
}
