import { type Arranged, type AssemblyBuild, withSessions } from '@lean-clasp/core';

type Edit = (build: AssemblyBuild) => AssemblyBuild;

/** Takes an arrangement over; pins stay. */
export const arrangeAs =
  ({ sessions }: Arranged): Edit =>
  (build) =>
    withSessions(build, sessions);

/** Everything in one go again. */
export const inOneGo: Edit = (build) => {
  const bare = { ...build };
  delete bare.order;
  return bare;
};

/** Puts a joint into another session and pins it there; a session that runs empty goes. */
export const moveJoint =
  (joint: string, session: number): Edit =>
  (build) => {
    const before = build.order?.sessions ?? [];
    const without = before.map((ids) => ids.filter((id) => id !== joint));
    const opened = session >= without.length ? [...without, []] : without;
    return {
      ...build,
      order: {
        ...build.order,
        sessions: opened
          .map((ids, i) => (i === Math.min(session, opened.length - 1) ? [...ids, joint] : ids))
          .filter((ids) => ids.length > 0),
        pinned: [...(build.order?.pinned ?? []).filter((id) => id !== joint), joint],
      },
    };
  };

/** Lets a joint be arranged with the rest again, or keeps it in its session. */
export const pinJoint =
  (joint: string, pinned: boolean): Edit =>
  (build) => {
    if (build.order === undefined) return build;
    const others = build.order.pinned.filter((id) => id !== joint);
    return { ...build, order: { ...build.order, pinned: pinned ? [...others, joint] : others } };
  };

/** Whether earlier sessions are glued inside the rest, put together dry. */
export const glueInDryJig =
  (dryJig: boolean): Edit =>
  (build) =>
    build.order === undefined ? build : { ...build, order: { ...build.order, dryJig } };

/** Whether clamps are opened to size and laid out before the first bead. */
export const preSetClamps =
  (preSet: boolean): Edit =>
  (build) => ({ ...build, preSet });
