import type { SequenceSession } from '../sequence';
import type { SequenceInput } from '../sequence/input';

/** What of a question its answer is held against. */
type Rules = Pick<SequenceInput, 'joints' | 'window' | 'crew' | 'clamps' | 'marginShare'>;

const EPS = 1e-6;

/** Every rule of the contract that these sessions break, in words; empty where all hold. */
export function violationsIn(input: Rules, sessions: readonly SequenceSession[]): string[] {
  const found: string[] = [];
  const wrong = (fine: boolean, what: string) => {
    if (!fine) found.push(what);
  };
  const glued = new Map<string, string>();
  const side = (id: string): string => {
    const up = glued.get(id) ?? id;
    return up === id ? id : side(up);
  };
  const all = sessions.flatMap(({ joints }) => joints);
  wrong(new Set(all).size === all.length && all.length === input.joints.length, 'each joint once');
  for (const { joints, operations, worstMargin, handsOnMin } of sessions) {
    const op = (kind: string, id: string) =>
      operations.find((each) => each.kind === kind && each.joints.includes(id));
    const use: Record<string, number> = {};
    let margin = Infinity;
    for (const id of joints) {
      const joint = input.joints.find((each) => each.id === id);
      const [spread, close, clamp] = ['spread', 'close', 'clamp'].map((kind) => op(kind, id));
      if (joint === undefined || spread === undefined || close === undefined || clamp === undefined) {
        found.push(`${id} is not whole`);
        continue;
      }
      wrong(Math.abs(spread.endMin - spread.startMin - joint.spreadMin) < EPS, `${id} spread time`);
      wrong(Math.abs(clamp.endMin - clamp.startMin - joint.clampMin) < EPS, `${id} clamp time`);
      wrong(close.startMin >= spread.endMin - EPS, `${id} closed before it is spread`);
      wrong(clamp.startMin >= close.endMin - EPS, `${id} clamped before it is closed`);
      const left = 1 - (input.marginShare ?? 0);
      margin = Math.min(
        margin,
        1 - (close.endMin - spread.startMin) / (input.window.openMin * left),
        1 - (clamp.endMin - close.endMin) / (input.window.closedMin * left),
        1 - (clamp.endMin - spread.startMin) / (input.window.totalMin * left),
      );
      for (const [kind, count] of Object.entries(joint.clamps ?? {})) use[kind] = (use[kind] ?? 0) + count;
    }
    wrong(margin >= -EPS, 'a window is overrun');
    wrong(Math.abs(margin - worstMargin) < EPS, 'the margin told is not the margin kept');
    if (input.clamps !== undefined) {
      for (const [kind, count] of Object.entries(use))
        wrong(count <= (input.clamps[kind] ?? 0), `too many ${kind}`);
    }
    for (const operation of operations) {
      for (const other of operations) {
        const overlap =
          operation !== other &&
          operation.startMin < other.endMin - EPS &&
          other.startMin < operation.endMin - EPS;
        wrong(
          !overlap || !operation.hands.some((hand) => other.hands.includes(hand)),
          'hands are in two places',
        );
      }
      wrong(
        operation.hands.every((hand) => hand >= 0 && hand < input.crew),
        'hands that are not there',
      );
    }
    const first = Math.min(...operations.map(({ startMin }) => startMin));
    const last = Math.max(...operations.map(({ endMin }) => endMin));
    wrong(Math.abs(first) < EPS && Math.abs(last - handsOnMin) < EPS, 'the span is not what is told');
    const closings = operations
      .filter(({ kind }) => kind === 'close')
      .sort((x, y) => x.startMin - y.startMin);
    for (const closing of closings) {
      const members = input.joints.filter(({ id }) => closing.joints.includes(id));
      const [one, other] = [side(members[0]?.a ?? ''), side(members[0]?.b ?? '')];
      const between = input.joints.filter(
        ({ a, b }) => [one, other].includes(side(a)) && [one, other].includes(side(b)) && side(a) !== side(b),
      );
      wrong(
        one !== other && between.length === closing.joints.length,
        'joints between two sides close apart',
      );
      const hands = Math.max(...members.map((joint) => joint.hands ?? 1));
      wrong(closing.hands.length === hands, 'hands for closing');
      wrong(
        Math.abs(closing.endMin - closing.startMin - Math.max(...members.map(({ closeMin }) => closeMin))) <
          EPS,
        'closing time',
      );
      glued.set(one, other);
    }
  }
  return found;
}
