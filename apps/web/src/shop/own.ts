import type { ShopDocument } from '@lean-clasp/core/formats';
import { findSpecies } from '@lean-clasp/core/materials';
import { METHOD_OPTIONS, SPECIES_OPTIONS } from '@lean-clasp/words';
import { useMemo } from 'react';
import { useAppSelector } from '../app/store';
import { SHOP_ID } from './shop-id';

interface Option {
  readonly value: string;
  readonly name: string;
}

const NO_WOODS: NonNullable<ShopDocument['woods']> = [];
const NO_METHODS: NonNullable<ShopDocument['methods']> = [];

/** The shop as it is open; undefined until some page has opened it. */
const useOpenShop = () =>
  useAppSelector((state) => state.documents.open[SHOP_ID]?.body as ShopDocument | undefined);

/** Woods of the shop's own. */
export const useOwnWoods = () => useOpenShop()?.woods ?? NO_WOODS;

/** Woods to choose from: the catalogue, then one's own; what a build still has and the shop no more stays as it is called. */
export function useWoodOptions(now: string): readonly Option[] {
  const woods = useOwnWoods();
  return useMemo(() => withNow([...SPECIES_OPTIONS, ...woods.map(asOption)], now), [woods, now]);
}

/** Ways of spreading to choose from: those given, or all of the catalogue, then one's own. */
export function useMethodOptions(now: string, given: readonly Option[] = METHOD_OPTIONS): readonly Option[] {
  const methods = useOpenShop()?.methods ?? NO_METHODS;
  return useMemo(() => withNow([...given, ...methods.map(asOption)], now), [methods, given, now]);
}

const asOption = ({ id, name }: { readonly id: string; readonly name: string }): Option => ({
  value: id,
  name,
});

const withNow = (options: readonly Option[], now: string): readonly Option[] =>
  now === '' || options.some(({ value }) => value === now)
    ? options
    : [...options, { value: now, name: `${now} (no longer in the shop)` }];

/** What a wood is called in the middle of a sentence or at the head of a line. */
export function useWoodName(): (species: string) => string {
  const woods = useOwnWoods();
  return (species) => findSpecies(species)?.name ?? woods.find(({ id }) => id === species)?.name ?? species;
}
