import { type Finding, finding } from '../findings';
import type { RunEvent } from '../formats';
import { asPlanned, bestOrder, keepsAll, type Outlook, plannedOrBest } from './ahead';
import { readFuse } from './clock';
import type { Moment } from './rest';

/** What is noted in the run when a way is taken. */
export type NotedEvent = Pick<RunEvent, 'kind' | 'operation' | 'joint' | 'payload'>;

/** Something that can be done now, and how the rest comes out then. */
export interface Way {
  readonly what: Finding;
  readonly outlook: Outlook;
  /** Whether every window is kept. */
  readonly keeps: boolean;
  readonly events: readonly NotedEvent[];
}

/** Most pairs of hands at one glue-up. */
const MOST_PEOPLE = 4;

/** More closings than this left for another session are another plan. */
const MOST_LEFT = 12;

/** With more steps than this not every number of joints left is looked at in every order. */
const LARGE = 60;

/** A way with whether it keeps every window. */
export const way = (what: Finding, outlook: Outlook, events: readonly NotedEvent[] = []): Way => ({
  what,
  outlook,
  keeps: keepsAll(outlook),
  // What comes out of another order than the plan's is only true if that order is gone by.
  events: outlook.planned
    ? events
    : [
        ...events,
        {
          kind: 'order',
          payload: { order: outlook.order.map((turn) => ({ ...turn, hands: [...turn.hands] })) },
        },
      ],
});

/**
 * What can be done now, the least upheaval first: go on, another joint first, one more pair of hands, the last joints left for a session
 * of their own, or a joint pulled apart and begun afresh. Each says how the rest comes out by the planned minutes.
 */
export function waysOn(moment: Moment): Way[] {
  const planned = asPlanned(moment);
  const ways = [way(finding('way-go-on', 'informs'), planned)];
  if (keepsAll(planned)) return ways;
  const best = bestOrder(moment);
  const [first] = best.order;
  if (first !== undefined && (best.spareMin ?? 0) > (planned.spareMin ?? 0) + 1e-6) {
    ways.push(way(finding('way-this-first', 'informs', { joint: labelAt(moment, first.operation) }), best));
  }
  if (moment.people < MOST_PEOPLE) {
    const helped = bestOrder({ ...moment, people: moment.people + 1 });
    if ((helped.spareMin ?? 0) > (best.spareMin ?? 0) + 1e-6) {
      ways.push(way(finding('way-helper', 'informs'), helped, [{ kind: 'helper-in' }]));
    }
  }
  return [...ways, ...leaving(moment), ...afresh(moment)];
}

/** The one to take: the first that keeps every window, else that which comes nearest. */
export function bestWay(ways: readonly Way[]): Way | undefined {
  return (
    ways.find((each) => each.keeps) ??
    ways.reduce<Way | undefined>(
      (best, each) =>
        best === undefined || (each.outlook.spareMin ?? 0) > (best.outlook.spareMin ?? 0) ? each : best,
      undefined,
    )
  );
}

function labelAt({ script }: Moment, id: string): string {
  const joints = script.operations.find((operation) => operation.id === id)?.joints ?? [];
  return script.fuses.find(({ joint }) => joints.includes(joint))?.label ?? '';
}

/** Closings from the end, none of them begun, that must wait for another session so that the others keep their windows: as few as can be, in large sessions as few as go by the plan. */
function leaving(moment: Moment): Way[] {
  const large = moment.script.operations.length > LARGE;
  let without: string[] = [];
  for (const joints of notBegun(moment).slice(0, MOST_LEFT)) {
    without = [...without, ...joints];
    const rest = { ...moment, without };
    const outlook = large ? asPlanned(rest) : plannedOrBest(rest);
    if (keepsAll(outlook)) return [leftOut(moment, without, outlook)];
  }
  if (without.length === 0 || !large) return [];
  const outlook = bestOrder({ ...moment, without });
  return keepsAll(outlook) ? [leftOut(moment, without, outlook)] : [];
}

/** Joints of the closings from the last back to the first of which a bead is laid. */
function notBegun({ script, position }: Moment): (readonly string[])[] {
  const closings = script.operations
    .filter(({ kind, id }) => kind === 'close' && !position.done.has(id))
    .sort((a, b) => b.endMin - a.endMin)
    .map(({ joints }) => joints);
  const isLit = (joints: readonly string[]) =>
    script.fuses.some((fuse) => joints.includes(fuse.joint) && position.begunAtMs.has(fuse.lit));
  const begun = closings.findIndex(isLit);
  return begun === -1 ? closings : closings.slice(0, begun);
}

function leftOut({ script }: Moment, joints: readonly string[], outlook: Outlook): Way {
  const labels = script.fuses.filter(({ joint }) => joints.includes(joint)).map(({ label }) => label);
  return way(
    finding('way-leave', 'informs', { joints: labels.join(', '), count: joints.length }),
    outlook,
    joints.map((joint) => ({ kind: 'left-out', joint })),
  );
}

/** The joint with the least time left, and what was closed with it, pulled apart while its glue is wet. */
function afresh(moment: Moment): Way[] {
  const { script, position, nowMs } = moment;
  const [shortest] = script.fuses
    .map((fuse) => readFuse(fuse, position, nowMs))
    .filter(({ leftMin }) => leftMin !== null)
    .sort((a, b) => (a.leftMin ?? 0) - (b.leftMin ?? 0));
  // Once it has grabbed, moving it only makes it weaker.
  if (shortest === undefined || (shortest.state === 'closed' && (shortest.leftMin ?? 0) <= 0)) return [];
  const closing = script.operations.find(({ id }) => id === shortest.fuse.closed);
  const joints = (closing?.joints ?? [shortest.fuse.joint]).filter((joint) =>
    script.fuses.some((fuse) => fuse.joint === joint && position.begunAtMs.has(fuse.lit)),
  );
  const outlook = bestOrder({ ...moment, afresh: joints });
  return [
    way(
      finding('way-afresh', 'informs', { joint: shortest.fuse.label }),
      outlook,
      joints.map((joint) => ({ kind: 'fresh-bead', joint })),
    ),
  ];
}
