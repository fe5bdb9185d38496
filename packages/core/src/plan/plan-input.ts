import { InputError } from '../basics/checks';
import { type BuildDocument, type ShopDocument, upgradedBuild } from '../formats';
import { type BuildStart, newBuild, STARTER_SHOP } from '../templates';

/** What a plan may be asked for: a whole document of any version, or a kind with its answers and whatever else is said of it. */
export interface PlanInput extends Partial<Omit<BuildDocument, 'format' | 'version'>> {
  readonly build?: unknown;
  /** Left out: the shop that a new user starts with. */
  readonly shop?: ShopDocument;
}

/** The build and the shop that an input asks about; the build is still to be checked against its schema. */
export interface PlanQuestion {
  readonly build: unknown;
  readonly shop: ShopDocument;
}

/**
 * Fills an input in. Ids of boards of a new panel count from "board-1", so that notes about them may be given along.
 * @throws InputError for neither a build nor a kind, or both; for a document of a later version; for answers that cannot be made.
 */
export function planQuestion({ build, shop = STARTER_SHOP, ...rest }: PlanInput): PlanQuestion {
  if (build !== undefined) {
    const [stray] = Object.keys(rest);
    if (stray !== undefined) {
      throw new InputError(
        'inconsistent',
        stray,
        `A whole build is given; ${stray} belongs into it.`,
        'build and shop alone, or template with answers',
      );
    }
    return { build: upgradedBuild(build), shop };
  }
  const { template, answers = {}, name = 'Unnamed', project = '', service = 'dry', row, ...more } = rest;
  if (template === undefined) {
    throw new InputError(
      'missing',
      'template',
      'Neither a build nor a kind is given.',
      'build, or template with answers',
    );
  }
  const start: BuildStart = { template, name, project, service, answers };
  let next = 0;
  const made = newBuild(start, shop, () => `board-${(next += 1)}`);
  return {
    build: { ...made, ...more, ...(row === undefined ? {} : { row: { ...made.row, ...row } }) },
    shop,
  };
}
