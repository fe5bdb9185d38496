import type { BuildDocument, ShopDocument } from '../formats';
import { layAssembly } from '../kinds';
import { resolveSpecies } from '../materials';
import { findSpreadMethod } from '../spread';
import { adhesiveOf } from './shelf';

/** Moisture by which a build is laid out when only its soundness is asked, %. */
const MIDDLING_PCT = 9;

/**
 * Refuses a build that no plan could answer for: answers that cannot be made, ids that neither catalogue nor shop hold. Lays it out
 * and plans nothing, so that it costs an edit next to nothing.
 * @throws InputError naming the field.
 */
export function checkBuild(build: BuildDocument, shop: ShopDocument): void {
  const { parts } = layAssembly(build, MIDDLING_PCT, shop.woods);
  parts.forEach(({ species }, i) => resolveSpecies(species, `parts.${i}.species`, shop.woods));
  adhesiveOf(build.glue.adhesive, shop, 'glue.adhesive');
  findSpreadMethod(build.glue.method, shop.methods);
}
