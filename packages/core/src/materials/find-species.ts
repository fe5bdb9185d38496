import { InputError } from '../basics/checks';
import {
  type GluingTraits,
  PLAIN_TRAITS,
  type Species,
  type SpeciesInput,
  type WoodProperties,
} from './species';
import { type OwnWood, speciesOfOwn } from './own-wood';
import { SPECIES_TABLE } from './species-table';

const byId: ReadonlyMap<string, Species> = new Map(SPECIES_TABLE.map((species) => [species.id, species]));

/** The catalogue in its own order: hardwoods, softwoods, sheet goods. */
export function listSpecies(): readonly Species[] {
  return SPECIES_TABLE;
}

/** Looks a species up by id; undefined when the catalogue does not hold it. */
export function findSpecies(id: string): Species | undefined {
  return byId.get(id);
}

/** A wood with whatever plans ask of it. */
export interface ResolvedWood {
  readonly properties: WoodProperties;
  readonly traits: GluingTraits;
  readonly name: string;
  readonly like: string | null;
}

/**
 * Resolves an id or inline properties to properties, traits and a printable name; `like` is the wood of the catalogue that it is
 * or resembles, where there is one.
 * @param own woods of the person's own, beside the catalogue.
 * @throws InputError `unknown-id` for an id that neither holds.
 */
export function resolveSpecies(
  input: SpeciesInput,
  field = 'species',
  own: readonly OwnWood[] = [],
): ResolvedWood {
  if (typeof input !== 'string') {
    return {
      properties: input,
      traits: PLAIN_TRAITS,
      name: 'given wood',
      like: null,
    };
  }
  const species = byId.get(input);
  if (species === undefined) {
    const mine = own.find(({ id }) => id === input);
    if (mine !== undefined) return { ...speciesOfOwn(mine), like: mine.like };
    throw new InputError(
      'unknown-id',
      field,
      `There is no species "${input}" in the catalogue, nor among the shop’s own woods.`,
      `one of ${[...byId.keys(), ...own.map(({ id }) => id)].join(', ')}, or an object of properties`,
    );
  }
  return { ...species, like: species.id };
}
