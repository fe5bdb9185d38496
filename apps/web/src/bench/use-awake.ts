import { useEffect } from 'react';

/** Keeps the screen from going dark while `wanted`, where the browser can; asked again when the page comes back. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | undefined;
    const ask = () => {
      // Refused on a low battery: the run goes on, the screen may dim.
      navigator.wakeLock.request('screen').then(
        (held) => {
          lock = held;
        },
        () => undefined,
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
  }, [wanted]);
}
