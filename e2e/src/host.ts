/**
 * The process that serves journey after journey. Contract: `serve` answers when the farm's server listens, `stop` when nothing of it is
 * left, and both throw what it said; a process that fell is begun anew by the next that asks, and `end` ends it.
 */
import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';

interface Answer {
  id: number;
  why: string | null;
}

export class Host {
  private readonly flags: string[];
  private child: ChildProcess | null = null;
  private asked = new Map<number, (why: string | null) => void>();
  private id = 0;
  private heard: (line: string) => void = () => {};

  constructor(flags: string[]) {
    // Node 20 can fall over a thread that is ended while something of it is still being compiled beside it
    this.flags = [...flags, '--no-concurrent-recompilation'];
  }

  private begin(): ChildProcess {
    if (this.child?.connected) return this.child;
    const child = fork(join(__dirname, 'host.mjs'), { execArgv: this.flags, silent: true });
    child.on('message', (told: Answer | { line: string }) => {
      if ('line' in told) return this.heard(`${told.line}\n`);
      this.asked.get(told.id)?.(told.why);
      this.asked.delete(told.id);
    });
    for (const stream of [child.stdout, child.stderr])
      stream!.on('data', (chunk: Buffer) => this.heard(String(chunk)));
    child.once('exit', (code, signal) => {
      for (const tell of this.asked.values()) tell(`the process of the servers ended (${code ?? signal})`);
      this.asked.clear();
    });
    return (this.child = child);
  }

  private async ask(what: object): Promise<void> {
    const child = this.begin();
    const why = await new Promise<string | null>((tell) => {
      this.asked.set(++this.id, tell);
      child.send({ id: this.id, ...what });
    });
    if (why !== null) throw new Error(`the server ended: ${why}`);
  }

  serve(port: number, words: string[], settings: object, heard: (line: string) => void): Promise<void> {
    this.heard = heard;
    return this.ask({ port, order: { words, settings: { ...settings, PORT: String(port) } } });
  }

  stop(port: number): Promise<void> {
    return this.ask({ port });
  }

  end(): void {
    if (this.child?.connected) this.child.disconnect();
  }
}
