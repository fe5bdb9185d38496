import type { ReactNode } from 'react';
import { useTurn } from './turns';

/** Part of a long page: comes once what stands before it has been drawn, bit by bit, and gives way to whatever is done there. */
export function InTurn({ children }: { readonly children: ReactNode }) {
  return useTurn(true) && children;
}
