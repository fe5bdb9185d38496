import { createContext, type ReactNode, use, useMemo, useState } from 'react';
import type { Fix } from '@lean-clasp/core/fixes';

/** Something in the drawing that is lit, there and in whatever list shows it. */
export interface Selection {
  readonly kind: 'board' | 'clamp' | 'part' | 'joint';
  /** Of the board, clamp, part or joint. */
  readonly id: string;
}

interface SelectionState {
  readonly selected: Selection | null;
  readonly select: (selection: Selection | null) => void;
  /** A proposed fix that the drawing shows as a ghost. */
  readonly ghost: Fix | null;
  readonly showGhost: (fix: Fix | null) => void;
}

const SelectionContext = createContext<SelectionState>({
  selected: null,
  select: () => undefined,
  ghost: null,
  showGhost: () => undefined,
});

/** Holds what is selected across the drawing and the lists beside it. */
export function SelectionProvider({ children }: { readonly children: ReactNode }) {
  const [selected, select] = useState<Selection | null>(null);
  const [ghost, showGhost] = useState<Fix | null>(null);
  const value = useMemo(() => ({ selected, select, ghost, showGhost }), [selected, ghost]);
  return <SelectionContext value={value}>{children}</SelectionContext>;
}

/** What is selected, and how to select. */
export function useSelection(): SelectionState {
  return use(SelectionContext);
}

/** True when the selection is this very thing. */
export function isSelected(selected: Selection | null, kind: Selection['kind'], id: string): boolean {
  return selected !== null && selected.kind === kind && selected.id === id;
}
