/** Every joint, by its place among these, in exactly one session, and no session empty: what none names is glued in the last. */
export function sessionIndexes(
  joints: readonly string[],
  sessions: readonly (readonly string[])[],
): number[][] {
  const indexOf = new Map(joints.map((id, i) => [id, i]));
  const left = new Set(indexOf.values());
  const taken = sessions.map((ids) =>
    ids.flatMap((id) => {
      const i = indexOf.get(id);
      return i !== undefined && left.delete(i) ? [i] : [];
    }),
  );
  const rest = [...left];
  const last = taken.pop() ?? [];
  return [...taken, [...last, ...rest]].filter((session) => session.length > 0);
}
