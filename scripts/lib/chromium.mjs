import { existsSync } from 'node:fs';

/**
 * Debian's Chromium, the plain one without windows first: the other brings its own pages into every window, which take half of a
 * machine of two cores for seconds.
 */
export const BROWSERS = {
  'chromium-headless-shell': '/usr/bin/chromium-headless-shell',
  chromium: '/usr/bin/chromium',
};

/** The browser to drive: the one that was named, else the first of Debian's that is there. */
export const findBrowser = () =>
  [process.env.CHROMIUM_PATH, ...Object.values(BROWSERS)].find((path) => path && existsSync(path));

/** Without a screen and without its own traffic. */
export const CHROMIUM = {
  // Looked up when it is started: it may have been installed since.
  get executablePath() {
    return findBrowser() ?? BROWSERS.chromium;
  },
  args: [
    '--no-sandbox',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    // Without a graphics card the emulated one is for 3-D only: to put a page together it takes a tenth of a second.
    '--disable-gpu-compositing',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-dev-shm-usage',
  ],
};
