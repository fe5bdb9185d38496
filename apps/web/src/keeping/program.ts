import { afterFirstScreen } from '../start/at-rest';

/**
 * Keeps the program itself in the browser, so that it opens without the server. Browsers allow that on this machine and over
 * HTTPS only; elsewhere it opens from the server alone.
 * @param onNewer called when a newer program is ready; what it is given loads it.
 */
export async function keepProgram(onNewer: (load: () => void) => void): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  // Keeping takes everything there is over the wire, which would keep the first screen waiting.
  await afterFirstScreen();
  const { Workbox } = await import('workbox-window');
  const worker = new Workbox('/sw.js');
  worker.addEventListener('waiting', () =>
    onNewer(() => {
      worker.addEventListener('controlling', () => location.reload());
      worker.messageSkipWaiting();
    }),
  );
  await worker.register();
}
