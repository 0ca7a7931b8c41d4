/** `npm run demo` and `npm start`: installs, builds and serves, saying what it is doing. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureInstalled, ensureServer, ensureWeb, root } from './common.mjs';

await ensureInstalled();
await ensureWeb();
await ensureServer();
const child = spawn(process.execPath, [join(root, 'server', 'dist', 'main.mjs'), ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('close', (code) => process.exit(code ?? 0));
