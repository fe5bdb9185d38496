import type { PanelBuild, PressedPlan, ShopDocument } from '@lean-clasp/core';
import { useEffect, useState } from 'react';
import { arranger } from '../planner/workers';

/** Pause after an edit before the elements are asked, so that a clamp can be dragged without a queue. */
const PAUSE_MS = 120;

/** A panel pressed by finite elements, off the page. */
export interface PressedNow {
  /** Null until the first answer. */
  readonly pressed: PressedPlan | null;
  /** False while an edit is still being worked through. */
  readonly fresh: boolean;
}

/** Asks for the pressure anew a moment after each edit; the last answer stays until the next is there. */
export function usePressed(build: PanelBuild, shop: ShopDocument): PressedNow {
  const [answer, setAnswer] = useState<{ readonly of: PanelBuild; readonly pressed: PressedPlan } | null>(
    null,
  );
  useEffect(() => {
    let overtaken = false;
    const timer = setTimeout(() => {
      arranger()
        .press(build, shop)
        .then(
          (pressed) => {
            if (!overtaken) setAnswer({ of: build, pressed });
          },
          // What is wrong with the build, the plan tells.
          () => undefined,
        );
    }, PAUSE_MS);
    return () => {
      overtaken = true;
      clearTimeout(timer);
    };
  }, [build, shop]);
  return { pressed: answer?.pressed ?? null, fresh: answer?.of === build };
}
