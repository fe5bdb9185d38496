/** Debian's Chromium, without a screen and without its own traffic. */
export const CHROMIUM = {
  executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
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
