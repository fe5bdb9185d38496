import { InputError } from '../basics/checks';
import {
  type GluingTraits,
  PLAIN_TRAITS,
  type Species,
  type SpeciesInput,
  type WoodProperties,
} from './species';
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

/**
 * Resolves an id or inline properties to properties, traits and a printable name.
 * @throws InputError `unknown-id` for an id outside the catalogue.
 */
export function resolveSpecies(
  input: SpeciesInput,
  field = 'species',
): { readonly properties: WoodProperties; readonly traits: GluingTraits; readonly name: string } {
  if (typeof input !== 'string') {
    return {
      properties: input,
      traits: PLAIN_TRAITS,
      name: 'given wood',
    };
  }
  const species = byId.get(input);
  if (species === undefined) {
    throw new InputError(
      'unknown-id',
      field,
      `There is no species "${input}" in the catalogue.`,
      `one of ${[...byId.keys()].join(', ')}, or an object of properties`,
    );
  }
  return species;
}
