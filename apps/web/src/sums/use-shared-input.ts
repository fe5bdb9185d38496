import { useCallback, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { CalculationListing } from '../api/api';

type Input = Readonly<Record<string, unknown>>;

/** Part of the address that holds what was put in. */
const PARAMETER = 'given';

/**
 * What was put into a sum, kept in the address, so that a copied link shows the same sum with the same answer.
 * An address that cannot be read starts from the example; fields that the sum does not have are left out.
 */
export function useSharedInput(listing: CalculationListing): readonly [Input, (input: Input) => void] {
  const [search, setSearch] = useSearchParams();
  const [input, setInput] = useState<Input>(
    () => readInput(search.get(PARAMETER), listing) ?? listing.example,
  );
  const share = useCallback(
    (next: Input) => {
      // The address follows a moment later; fields must not wait for it.
      setInput(next);
      setSearch({ [PARAMETER]: JSON.stringify(next) }, { replace: true });
    },
    [setSearch],
  );
  return [input, share];
}

function readInput(text: string | null, listing: CalculationListing): Input | null {
  if (text === null) return null;
  try {
    const parsed: unknown = JSON.parse(text);
    if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed)) return null;
    return Object.fromEntries(Object.entries(parsed).filter(([field]) => field in listing.input.properties));
  } catch {
    return null;
  }
}
