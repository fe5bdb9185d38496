import { type Format, formatFor } from '@lean-clasp/words';
import { useMemo } from 'react';
import { useAppSelector } from '../app/store';

export type { Format };

/** The printers for whatever units the person has chosen. */
export function useFormat(): Format {
  const system = useAppSelector((state) => state.preferences.units);
  return useMemo(() => formatFor(system), [system]);
}
