/**
 * The service worker that lets the app open without the server. Contract: keeps the files of the build that it came with, and gives them; a page that is asked for
 * without a network is the shell; what the API says is never kept. A new build's takes over at once.
 */
import { clientsClaim } from 'workbox-core';
import { createHandlerBoundToURL, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/** The files of the build, each with what stands for what is in it: put in by scripts/offline-shell.mjs. */
declare const SHELL: PrecacheEntry[];

void (self as unknown as { skipWaiting: () => Promise<void> }).skipWaiting();
clientsClaim();
precacheAndRoute(SHELL);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));
