import type { Finding } from '../findings';
import { findFixes } from '../fixes';
import type { ShopDocument } from '../formats';
import { type FullSizeItem, fullSizeItems, type FullSizeKind } from '../full-size';
import { buildToDate, type GlueWanted, glueWanted, type Plan } from '../plan';

/** What has to be there before several builds are glued up. */
export interface ShopList {
  readonly builds: readonly string[];
  /** Every glue that they take, the greatest lack first. */
  readonly glue: readonly GlueWanted[];
  /** Clamps that the rack does not hold, build by build; one after the other they may be the same. */
  readonly borrow: readonly { readonly build: string; readonly what: Finding }[];
  /** What is made beforehand, build by build. */
  readonly make: readonly { readonly build: string; readonly item: FullSizeItem }[];
  /** Builds that no plan can be made of, and why. */
  readonly left: readonly { readonly build: string; readonly why: string }[];
}

/** What is sawn or planed; strips and sticks are only printed. */
const MADE: readonly FullSizeKind[] = ['caul-crown', 'block', 'u-block', 'bend-form'];
const BORROWED: readonly Finding['code'][] = ['borrow-clamps', 'borrow-deep'];

/**
 * Goes through settled plans for what to buy, to borrow and to make. Borrowed is what would mend a verdict that fails: the first such
 * fix of a build, which is the one that mends most.
 */
export function shopList(plans: readonly Plan[], shop: ShopDocument, left: ShopList['left'] = []): ShopList {
  return {
    left,
    builds: plans.map(({ build }) => build.name),
    glue: glueWanted(
      plans.map((plan) => buildToDate('', plan)),
      shop,
    ),
    borrow: plans.flatMap((plan) => {
      const { build, verdicts } = plan;
      if (Object.values(verdicts).every(({ state }) => state !== 'fails')) return [];
      const fix = Object.values(findFixes(plan, shop))
        .flat()
        .find(({ change }) => BORROWED.includes(change.code));
      return fix === undefined ? [] : [{ build: build.name, what: fix.change }];
    }),
    make: plans.flatMap((plan) =>
      fullSizeItems(plan)
        .filter(({ kind }) => MADE.includes(kind))
        .map((item) => ({ build: plan.build.name, item })),
    ),
  };
}
