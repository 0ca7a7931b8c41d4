/**
 * Where messages go. Contract: `send` resolves once it has one; what it rejects is tried again at the next look. The stand-in writes a
 * line of JSON (`fogata-message/1`) to a file that anything may follow: a mail or a text message needs an adapter of these lines.
 */
import type { Message } from '@fogata/contract';
import { appendFile, mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';

export interface MessageSink {
  send(message: Message): Promise<void>;
}

export const fileSink = (path: string): MessageSink => ({
  send: async (message) => {
    await mkdir(dirname(path), { recursive: true });
    await appendFile(path, `${JSON.stringify(message)}\n`);
  },
});
