import { createContext, use } from 'react';

/** Whether fields stand under a head that names them: then their label is read out, not shown. */
export const BareContext = createContext(false);

/** How a field says what it is: by a label over it, or, under a head, to those who listen. */
export function useLabelled(label: string): {
  readonly bare: boolean;
  readonly label: string | undefined;
  readonly aria: { readonly 'aria-label'?: string };
} {
  const bare = use(BareContext);
  return bare ? { bare, label: undefined, aria: { 'aria-label': label } } : { bare, label, aria: {} };
}
