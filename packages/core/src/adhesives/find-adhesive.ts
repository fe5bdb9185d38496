import { InputError } from '../basics/checks';
import { type Adhesive, type Service, SERVICES } from './adhesive';
import { ADHESIVE_TABLE } from './catalogue';

const byId: ReadonlyMap<string, Adhesive> = new Map(ADHESIVE_TABLE.map((entry) => [entry.id, entry]));

/** The catalogue in its own order. */
export function listAdhesives(): readonly Adhesive[] {
  return ADHESIVE_TABLE;
}

/**
 * Looks an adhesive family up.
 * @throws InputError `unknown-id` when the catalogue does not hold it.
 */
export function findAdhesive(id: string, field = 'adhesive'): Adhesive {
  const found = byId.get(id);
  if (found === undefined) {
    throw new InputError(
      'unknown-id',
      field,
      `There is no adhesive family "${id}" in the catalogue.`,
      `one of ${[...byId.keys()].join(', ')}`,
    );
  }
  return found;
}

/** True when a family made for `rated` also stands `wanted`. */
export function standsService(rated: Service, wanted: Service): boolean {
  return SERVICES.indexOf(rated) >= SERVICES.indexOf(wanted);
}
