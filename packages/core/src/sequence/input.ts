import { InputError } from '../basics/checks';
import type { ClampCount, SequenceProblem } from './problem';
import { waysOut } from './ways-out';

/** A joint as the contract names it. */
export interface SequenceJoint {
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly spreadMin: number;
  readonly closeMin: number;
  readonly clampMin: number;
  readonly hands?: number | undefined;
  /** Ways in which b can leave a. */
  readonly release: readonly string[];
  readonly clamps?: ClampCount | undefined;
}

/** Question for `solveSequence`. */
export interface SequenceInput {
  readonly parts: readonly string[];
  readonly joints: readonly SequenceJoint[];
  readonly window: { readonly openMin: number; readonly closedMin: number; readonly totalMin: number };
  readonly crew: number;
  readonly clamps?: ClampCount | undefined;
  readonly clampTimeMin: number;
  readonly setUpMin?: number | undefined;
  readonly marginShare?: number | undefined;
  /** Joints that a person wants in a session, counted from 1. */
  readonly pins?: Readonly<Record<string, number>> | undefined;
}

/**
 * Indexes and bits for ids and names.
 * @throws InputError for ids that are unknown or given twice, joints of a part with itself, no way out.
 */
export function problemOf(input: SequenceInput): SequenceProblem {
  const { joints, window, marginShare = 0 } = input;
  const known = new Set(input.parts);
  if (known.size < input.parts.length) {
    throw new InputError('inconsistent', 'parts', 'Two parts have the same id.', 'each id once');
  }
  const used: string[] = [];
  const partOf = (id: string, field: string) => {
    if (!known.has(id)) {
      throw new InputError(
        'unknown-id',
        field,
        `There is no part "${id}".`,
        `one of ${input.parts.join(', ')}`,
      );
    }
    if (!used.includes(id)) used.push(id);
    return used.indexOf(id);
  };
  const ids = new Set<string>();
  const works = joints.map((joint, i) => {
    const field = `joints.${i}`;
    if (ids.has(joint.id)) {
      throw new InputError(
        'inconsistent',
        `${field}.id`,
        `There are two joints "${joint.id}".`,
        'each id once',
      );
    }
    ids.add(joint.id);
    if (joint.a === joint.b) {
      throw new InputError(
        'inconsistent',
        `${field}.b`,
        `Joint "${joint.id}" joins "${joint.a}" to itself.`,
        'two different parts',
      );
    }
    const ways = waysOut(joint.release);
    if (ways === 0) {
      throw new InputError(
        'missing',
        `${field}.release`,
        `Joint "${joint.id}" has no direction in which its parts can separate.`,
        'at least one of the 26 directions, such as "+x", or "any"',
      );
    }
    return {
      id: joint.id,
      a: partOf(joint.a, `${field}.a`),
      b: partOf(joint.b, `${field}.b`),
      spreadMin: joint.spreadMin,
      closeMin: joint.closeMin,
      hands: joint.hands ?? 1,
      ways,
    };
  });
  const pins = input.pins ?? {};
  for (const id of Object.keys(pins)) {
    if (!ids.has(id)) {
      throw new InputError('unknown-id', 'pins', `There is no joint "${id}" to pin.`, 'ids of joints');
    }
  }
  const left = 1 - marginShare;
  return {
    parts: used.length,
    joints: works,
    runsInto: null,
    presses: joints.map(({ clampMin, clamps = {} }, i) => ({
      joints: [i],
      clampMin,
      hands: 1,
      clamps,
      whole: true,
    })),
    windows: {
      openMin: window.openMin * left,
      closedMin: window.closedMin * left,
      totalMin: window.totalMin * left,
    },
    crew: input.crew,
    rack: input.clamps ?? null,
    clampTimeMin: input.clampTimeMin,
    setUpMin: input.setUpMin ?? 0,
    pins: joints.map(({ id }) => (pins[id] === undefined ? null : (pins[id] ?? 1) - 1)),
  };
}
