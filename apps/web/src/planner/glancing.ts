import type { BuildDocument } from '@lean-clasp/core/formats';
import type { Glance } from './planner-answers';

/** Looks at a build that is not kept, as one in which something is being dragged; null is the end of it. */
export type Look = (build: BuildDocument | null) => void;

interface Glancing {
  readonly look: Look;
  /** An end for what has been looked at so far: called later, it leaves alone what somebody has begun to look at since. */
  readonly endingSoFar: () => () => void;
}

/**
 * Has builds looked at one at a time, of those that come up meanwhile only the newest, and shows each while somebody looks.
 * @param ask what fails is not shown: it is told once it is kept.
 */
export function glancing(
  ask: (build: BuildDocument) => Promise<Glance | null>,
  show: (glance: Glance | null) => void,
): Glancing {
  let wanted: BuildDocument | null = null;
  let busy = false;
  const lookFrom = async (first: BuildDocument) => {
    busy = true;
    for (let build: BuildDocument | null = first; build !== null; build = wanted === build ? null : wanted) {
      const glance = await ask(build).catch(() => null);
      if (wanted !== null) show(glance);
    }
    busy = false;
  };
  const look = (build: BuildDocument | null) => {
    wanted = build;
    if (build === null) show(null);
    else if (!busy) void lookFrom(build);
  };
  const endingSoFar = () => {
    const soFar = wanted;
    return () => {
      if (wanted === soFar) look(null);
    };
  };
  return { look, endingSoFar };
}
