/** Writes the service worker of the web export: the app opens without a server, and lists are shown as last known. */
import path from 'node:path';
import { generateSW } from 'workbox-build';

/** Larger files than any of ours. */
const MOST_BYTES = 10_000_000;
/** Lists are asked of the server first, and for so long, s. */
const ASK_S = 4;

/** Writes `sw.js` into the folder of the export. Returns the number of files that it keeps. */
export async function writeServiceWorker(folder) {
  const { count, warnings } = await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{html,js,css,ttf,png,webmanifest}'],
    // Their names carry their contents.
    dontCacheBustURLsMatching: /-[0-9a-f]{32}\.|\.[0-9a-f]{32}\./,
    maximumFileSizeToCacheInBytes: MOST_BYTES,
    swDest: path.join(folder, 'sw.js'),
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
    // A new version waits until its user wants it.
    skipWaiting: false,
    clientsClaim: true,
    cleanupOutdatedCaches: true,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api/, /^\/sign-in/],
    runtimeCaching: [
      {
        urlPattern: /\/api\/(cooks|pits|plans|shelf|access)$/,
        handler: 'NetworkFirst',
        options: { cacheName: 'lists', networkTimeoutSeconds: ASK_S },
      },
    ],
  });
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
  return count;
}
