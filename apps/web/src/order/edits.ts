import type { BuildDocument } from '@lean-clasp/core/formats';
import { type Arranged, withSessions } from '@lean-clasp/core/plan';

type Edit = (build: BuildDocument) => BuildDocument;

/** Takes an arrangement over; pins stay. */
export const arrangeAs =
  ({ sessions }: Arranged): Edit =>
  (build) =>
    withSessions(build, sessions);

/** As it is worked out by itself again. */
export const asWorkedOut: Edit = (build) => {
  const bare = { ...build };
  delete bare.order;
  return bare;
};

/**
 * Puts a joint into another session and pins it there; a session that runs empty goes.
 * @param now the sessions on show, which become the person's own where they were worked out.
 */
export const moveJoint =
  (joint: string, session: number, now: readonly (readonly string[])[]): Edit =>
  (build) => {
    const before = build.order?.sessions ?? now;
    const without = before.map((ids) => ids.filter((id) => id !== joint));
    const opened = session >= without.length ? [...without, []] : without;
    return {
      ...build,
      order: {
        ...build.order,
        sessions: opened
          .map((ids, i) => (i === Math.min(session, opened.length - 1) ? [...ids, joint] : [...ids]))
          .filter((ids) => ids.length > 0),
        pinned: [...(build.order?.pinned ?? []).filter((id) => id !== joint), joint],
      },
    };
  };

/** Lets a joint be arranged with the rest again, or keeps it in its session. */
export const pinJoint =
  (joint: string, pinned: boolean, now: readonly (readonly string[])[]): Edit =>
  (build) => {
    const order = build.order ?? { sessions: now.map((ids) => [...ids]), pinned: [] };
    const others = order.pinned.filter((id) => id !== joint);
    return { ...build, order: { ...order, pinned: pinned ? [...others, joint] : others } };
  };

/** Glued in these stages, whatever was pinned before. */
export const inStages =
  (sessions: readonly (readonly string[])[]): Edit =>
  (build) =>
    withSessions({ ...build, order: { sessions: [], pinned: [] } }, sessions);

/** The lines of a row as two halves and the line between them. */
export function halvesOf(lines: readonly string[]): string[][] {
  const middle = Math.floor(lines.length / 2);
  return [lines.slice(0, middle), lines.slice(middle + 1), lines.slice(middle, middle + 1)]
    .map((ids) => [...ids])
    .filter((ids) => ids.length > 0);
}

/** Whether earlier sessions are glued inside the rest, put together dry. */
export const glueInDryJig =
  (dryJig: boolean): Edit =>
  (build) =>
    build.order === undefined ? build : { ...build, order: { ...build.order, dryJig } };

/** Whether clamps are opened to size and laid out before the first bead. */
export const preSetClamps =
  (preSet: boolean): Edit =>
  (build) => ({ ...build, preSet });
