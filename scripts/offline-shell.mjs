/** The service worker that lets the app open without the server: the shell only, never the API. */
import { generateSW } from 'workbox-build';

const { count, size, warnings } = await generateSW({
  globDirectory: 'dist',
  globPatterns: ['**/*.{js,html,ttf,svg,png,webmanifest}'],
  swDest: 'dist/sw.js',
  inlineWorkboxRuntime: true,
  maximumFileSizeToCacheInBytes: 8_000_000,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//],
  skipWaiting: true,
  clientsClaim: true,
  sourcemap: false,
});
for (const warning of warnings) process.stderr.write(`${warning}\n`);
process.stdout.write(`offline shell: ${count} files, ${Math.round(size / 1024)} kB\n`);
