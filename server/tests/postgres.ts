/** A PostgreSQL server of Debian's for a test: its own directory and port, gone with the test. */
import { execFileSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Where Debian puts each version's programs; the newest. */
function programs(): string {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : [];
  const found = versions.map((v) => join(base, v, 'bin')).find((d) => existsSync(join(d, 'initdb')));
  if (!found) throw new Error('PostgreSQL is missing (as root: apt-get install postgresql)');
  return found;
}

export async function freePort(): Promise<number> {
  const s = createServer();
  await new Promise<void>((done) => s.listen(0, '127.0.0.1', done));
  const { port } = s.address() as AddressInfo;
  await new Promise((done) => s.close(done));
  return port;
}

export interface TestPostgres {
  /** A new, empty database. */
  make(name: string): string;
  stop(): void;
}

export async function startPostgres(): Promise<TestPostgres> {
  const bin = programs();
  const dir = mkdtempSync(join(tmpdir(), 'fogata-pg-'));
  const port = await freePort();
  // the server refuses to run as root
  const root = process.getuid?.() === 0;
  const run = (line: string) =>
    root
      ? execFileSync('su', ['postgres', '-s', '/bin/sh', '-c', line], { stdio: 'pipe', cwd: '/' })
      : execFileSync('/bin/sh', ['-c', line], { stdio: 'pipe' });
  if (root) execFileSync('chown', ['postgres', dir]);
  else chmodSync(dir, 0o700);
  const data = join(dir, 'data');
  run(`${bin}/initdb -D ${data} -A trust -U fogata --no-sync`);
  run(
    `${bin}/pg_ctl -D ${data} -w -l ${dir}/log -o "-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=${dir} -c fsync=off" start`,
  );
  return {
    make: (name) => {
      run(`${bin}/createdb -h 127.0.0.1 -p ${port} -U fogata ${name}`);
      return `postgres://fogata@127.0.0.1:${port}/${name}`;
    },
    stop: () => {
      run(`${bin}/pg_ctl -D ${data} -w -m immediate stop`);
      rmSync(dir, { recursive: true, force: true });
    },
  };
}
