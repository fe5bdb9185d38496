import { useEffect, useState } from 'react';

/** Whether the screen stays bright: asked for, held, or not to be had. */
export type Awake = 'asked' | 'held' | 'refused' | 'unknown-here';

/** Keeps the screen from going dark, where the browser can; asked again when the page comes back. */
export function useAwake(): Awake {
  const there = 'wakeLock' in navigator;
  const [awake, setAwake] = useState<Awake>(there ? 'asked' : 'unknown-here');
  useEffect(() => {
    if (!there) return undefined;
    let lock: WakeLockSentinel | undefined;
    const ask = () => {
      navigator.wakeLock.request('screen').then(
        (held) => {
          lock = held;
          setAwake('held');
        },
        // As on a low battery: the run goes on, the screen may go dark.
        () => setAwake('refused'),
      );
    };
    const onVisible = () => {
      if (document.visibilityState === 'visible') ask();
    };
    ask();
    document.addEventListener('visibilitychange', onVisible);
    return () => {
      document.removeEventListener('visibilitychange', onVisible);
      void lock?.release();
    };
  }, [there]);
  return awake;
}

/** What to do where the screen may go dark; empty where it stays bright. */
export const awakeWords = (awake: Awake): string =>
  awake === 'unknown-here'
    ? 'This browser does not keep the screen bright: set it to stay on in the device’s own settings. The clock runs on in the dark.'
    : awake === 'refused'
      ? 'The device does not let the screen stay bright, as when its battery is low: put it on its charger. The clock runs on in the dark.'
      : '';
