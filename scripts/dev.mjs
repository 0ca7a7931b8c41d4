/** `npm run dev`: the server restarts on every change, the app reloads through Expo's own server, which asks this one. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureInstalled, root, say } from './common.mjs';

await ensureInstalled();
const { watchServer } = await import('./build-server.mjs');
const port = process.env.PORT ?? '4310';
let server = null;
const start = () => {
  const next = () =>
    (server = spawn(
      process.execPath,
      [join(root, 'server', 'dist', 'main.mjs'), '--demo', ...process.argv.slice(2)],
      { cwd: root, stdio: 'inherit', env: { ...process.env, FOGATA_DEV: '1' } },
    ));
  if (!server || server.exitCode !== null) return next();
  server.once('close', next);
  server.kill('SIGTERM');
};
const watcher = await watchServer(start);
say('Starting Expo; the app is at the address it prints, the API at the port above.');
const expo = spawn('npx', ['expo', 'start', '--web', '--port', '8081'], {
  cwd: join(root, 'app'),
  stdio: 'inherit',
  env: {
    ...process.env,
    EXPO_NO_TELEMETRY: '1',
    EXPO_OFFLINE: '1',
    EXPO_PUBLIC_FOGATA_API: `http://127.0.0.1:${port}`,
  },
});
const stop = () => {
  void watcher.dispose();
  expo.kill();
  server?.kill('SIGTERM');
};
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop);
expo.on('close', stop);
