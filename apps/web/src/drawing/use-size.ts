import { useCallback, useState } from 'react';

/** Size of an element in CSS pixels. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Follows the size of whichever element gets the returned ref; `initial` stands until it is known. */
export function useSize(initial: Size): readonly [(element: HTMLElement | null) => void, Size] {
  const [size, setSize] = useState(initial);
  const ref = useCallback((element: HTMLElement | null) => {
    if (element === null || typeof ResizeObserver === 'undefined') return undefined;
    const observer = new ResizeObserver(([entry]) => {
      if (entry !== undefined && entry.contentRect.width > 0) {
        setSize({ width: Math.floor(entry.contentRect.width), height: Math.floor(entry.contentRect.height) });
      }
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
