import { type Answer, answersTo } from '../mishaps';
import { type Drill, drillMoment, type Handled, noted } from './drill';

/** What helps now for the mishap that waits, each with how it would come out by now. */
export function answersNow(drill: Drill): readonly Answer[] {
  const { pending, people } = drill;
  if (pending === null) return [];
  // Who has gone already is not taken away once more.
  const before = people + (pending.mishap === 'helper-away' ? 1 : 0);
  return answersTo(pending.mishap, { ...drillMoment(drill), people: before });
}

/** Answers the mishap that waits: what the answer does to joints and people is done, and whoever holds the device takes its minutes. */
export function answerMishap(drill: Drill, chosen: Answer): Drill {
  const { pending, atMin, script } = drill;
  const best = pending?.answers[0];
  if (pending === null || best === undefined) return drill;
  const { operation, mishap, sinceMin } = pending;
  const handled: Handled = { operation, mishap, sinceMin, thoughtMin: atMin - sinceMin, chosen, best };
  const joints = new Set(chosen.events.flatMap(({ joint }) => joint ?? []));
  const dropped = new Set(
    script.operations.filter((each) => each.joints.some((joint) => joints.has(joint))).map(({ id }) => id),
  );
  const helped = chosen.events.some(({ kind }) => kind === 'helper-in');
  // A helper that went is gone already.
  const told = chosen.events.filter(({ kind }) => kind !== 'helper-out');
  return {
    ...drill,
    events: told.reduce((all, event) => noted(all, event, atMin), [...drill.events]),
    people: drill.people + (helped ? 1 : 0),
    hands: [
      ...drill.hands.map((busy, hand) => {
        if (hand === 0) return { operation: null, untilMin: atMin + chosen.takesMin };
        return busy !== null && dropped.has(busy.operation ?? '') ? null : busy;
      }),
      ...(helped ? [null] : []),
    ],
    pending: null,
    handled: [...drill.handled, handled],
  };
}
