import { positionOf, waitsUntilMs } from '../position';
import type { BenchScript } from '../script';
import { answersTo } from '../mishaps';
import { drawnMinutes, type Planned } from './drawn';
import {
  BEGUN_MS,
  type Drill,
  drillMoment,
  drillPosition,
  instantOf,
  minuteOf,
  noted,
  readySteps,
} from './drill';

/** Of what was left, what a joint that grabs early still has [judgement]. */
const GRABBED = 0.6;
/** Moments nearer than this are one, min. */
const SAME_MIN = 1e-6;

/**
 * Plays on to a minute: every pair of hands takes the next step that is ready, each lasting as long as the seed has it. The one at the
 * device is held up by a mishap until it is answered; the others go on. Played in one go or in many, it is the same.
 */
export function playOn(drill: Drill, toMin: number): Drill {
  let now = handsFilled(drill);
  while (!now.over) {
    const nextMin = nextChange(now);
    if (nextMin > toMin) return { ...now, atMin: Math.max(now.atMin, toMin) };
    now = playedTo(now, nextMin);
  }
  return now;
}

/** Plays on to the next mishap, or to the end. */
export function playToMishap(drill: Drill): Drill {
  let now = handsFilled(drill);
  while (!now.over && now.pending === null) {
    const nextMin = nextChange(now);
    if (nextMin === Infinity) return now;
    now = playedTo(now, nextMin);
  }
  return now;
}

/** Ends what comes to its end at a minute, and gives free hands what is ready then. */
const playedTo = (drill: Drill, min: number): Drill =>
  handsFilled(stepsEnded({ ...drill, atMin: Math.max(drill.atMin, min) }));

const isFree = ({ hands, pending }: Drill, hand: number): boolean =>
  hands[hand] === null && !(hand === 0 && pending !== null);

/** When something next comes to its end: a step, what was mended, or a wait that free hands stand by. */
function nextChange(drill: Drill): number {
  const { hands, atMin } = drill;
  const ends = hands.flatMap((busy) => busy?.untilMin ?? []);
  if (!hands.some((_, hand) => isFree(drill, hand))) return Math.min(...ends, Infinity);
  const position = drillPosition(drill);
  const waits = position.left.flatMap((step) => {
    const until = waitsUntilMs(step, position);
    return until === null || minuteOf(until) <= atMin + SAME_MIN ? [] : [minuteOf(until)];
  });
  return Math.min(...ends, ...waits, Infinity);
}

/** Gives free hands what is ready, until nothing more can be begun. */
function handsFilled(drill: Drill): Drill {
  let now = drill;
  for (;;) {
    const next = stepBegun(now);
    if (next === null) return now;
    now = next;
  }
}

function stepBegun(drill: Drill): Drill | null {
  const { hands, people, atMin, toCome, start } = drill;
  const free = hands.flatMap((_, hand) => (isFree(drill, hand) ? [hand] : []));
  if (free.length === 0) return null;
  const position = drillPosition(drill);
  for (const step of readySteps(drill, position)) {
    if ((waitsUntilMs(step, position) ?? 0) > instantOf(atMin + SAME_MIN)) continue;
    const needed = Math.max(1, Math.min(step.hands.length, people));
    if (needed > free.length) continue;
    // Whoever the plan has do it, where they are free.
    const own = free.filter((hand) => step.hands.includes(hand));
    const taking = [...own, ...free.filter((hand) => !own.includes(hand))].slice(0, needed);
    const mishap = taking.includes(0) ? toCome.find(({ operation }) => operation === step.id) : undefined;
    if (mishap !== undefined) return comeUp(drill, mishap);
    const untilMin = atMin + drawnMinutes(start.script, start.seed, step);
    return {
      ...drill,
      hands: hands.map((busy, hand) => (taking.includes(hand) ? { operation: step.id, untilMin } : busy)),
    };
  }
  return null;
}

/** A mishap holds up the one at the device; a joint that grabs loses time, a helper that goes is gone, whatever is answered. */
function comeUp(drill: Drill, planned: Planned): Drill {
  const toCome = drill.toCome.filter(({ operation }) => operation !== planned.operation);
  const script = planned.mishap === 'grabs-early' ? shortened(drill, planned.operation) : drill.script;
  const now: Drill = { ...drill, toCome, script };
  const answers = answersTo(planned.mishap, drillMoment(now));
  const there = planned.mishap === 'helper-away' ? helperGone(now) : now;
  return { ...there, pending: { ...planned, sinceMin: drill.atMin, answers } };
}

/** The last pair of hands goes; what it was at is begun anew by another. */
function helperGone(drill: Drill): Drill {
  const people = Math.max(1, drill.people - 1);
  const left = new Set(drill.hands.slice(people).map((busy) => busy?.operation));
  return {
    ...drill,
    people,
    hands: drill.hands
      .slice(0, people)
      .map((busy) => (busy !== null && left.has(busy.operation) ? null : busy)),
  };
}

/** Windows of the joints of a step, as short as after a joint that grabs. */
function shortened(drill: Drill, operation: string): BenchScript {
  const joints = drill.script.operations.find(({ id }) => id === operation)?.joints ?? [];
  const { begunAtMs } = drillPosition(drill);
  return {
    ...drill.script,
    fuses: drill.script.fuses.map((fuse) => {
      const litMs = begunAtMs.get(fuse.lit);
      if (!joints.includes(fuse.joint) || litMs === undefined) return fuse;
      const leftMin = Math.max(0, fuse.totalMin - (drill.atMin - minuteOf(litMs)));
      const lostMin = (1 - GRABBED) * leftMin;
      return {
        ...fuse,
        totalMin: fuse.totalMin - lostMin,
        closedMin: Math.max(0, fuse.closedMin - lostMin),
      };
    }),
  };
}

function stepsEnded(drill: Drill): Drill {
  const { hands, atMin, script } = drill;
  const isEnded = (untilMin: number) => untilMin <= atMin + SAME_MIN;
  const ended = hands.flatMap((busy) =>
    busy !== null && isEnded(busy.untilMin) ? (busy.operation ?? []) : [],
  );
  const events = [...new Set(ended)].reduce(
    (all, operation) => noted(all, { kind: 'done', operation }, atMin),
    [...drill.events],
  );
  const { doneCount, count } = positionOf(script, BEGUN_MS, events);
  return {
    ...drill,
    events,
    hands: hands.map((busy) => (busy !== null && isEnded(busy.untilMin) ? null : busy)),
    over: doneCount === count,
  };
}
