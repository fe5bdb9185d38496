import { lookOf, ritualOf } from '../../kinds';
import type { JointFacts } from '../../assembly';
import { type Finding, finding, type InstructionValues } from '../../findings';
import type { SessionOperation } from '../../sequence';
import type { Plan } from '../plan';
import { passesOf, pressing } from '../pulls/passes';
import type { PlannedPull } from '../pulls/planned-pull';
import { ACROSS } from '../row/row-job';
import { workforceOf } from './workforce';
import { driedFilmDrafts } from './dried-film';
import { checksOf, cornersDraft, momentsOf } from './moments';
import type { OrderedSession } from './ordered-sessions';
import { drivePegs, pegDrafts } from './pegs';
import type { Draft, PlannedOperation } from './planned-operation';
import { type PressStep, pressSteps } from './press-steps';

/** The operations of one session in order of starting. */
export function operationsOf(plan: Plan, session: OrderedSession): PlannedOperation[] {
  const dried = plan.facts.assembly.pressedBy === 'iron';
  const worked = dried
    ? driedFilmDrafts(plan, session)
    : session.operations.flatMap((operation) => expanded(plan, operation));
  const { before: preparing } = ritualOf(plan.build.template);
  const hasBlocks = plan.facts.assembly.aids.length > 0;
  const before = preparing
    .filter(({ what }) => what !== 'blocks' || hasBlocks)
    .map(({ kind, what }): Draft => ({
      id: `before:${what}`,
      kind,
      joints: [],
      clamps: [],
      hands: [0],
      startMin: 0,
      endMin: 0,
      wait: null,
      asks: null,
      instruction: finding(`do-${what}`, 'informs'),
    }));
  const workedMin = dried ? Math.max(0, ...worked.map(({ endMin }) => endMin)) : session.handsOnMin;
  const pegs = pegDrafts(plan, session.joints, workedMin);
  const peggedMin = Math.max(workedMin, ...pegs.map(({ endMin }) => endMin));
  const corners = dried ? [] : cornersDraft(plan, peggedMin);
  const downMin = Math.max(peggedMin, ...corners.map(({ endMin }) => endMin));
  const checks = checksOf(plan, session, downMin);
  const readMin = Math.max(downMin, ...checks.map(({ endMin }) => endMin));
  const moments = dried ? [] : momentsOf(plan, session, readMin);
  const drafts = [...before, ...worked, ...pegs, ...corners, ...checks, ...moments];
  const sorted = drafts
    .map((draft, i) => ({ draft, i }))
    .sort((a, b) => a.draft.startMin - b.draft.startMin || a.draft.endMin - b.draft.endMin || a.i - b.i)
    .map(({ draft }) => draft);
  return sorted.map((draft, i) => ({
    ...draft,
    after: sorted
      .slice(0, i)
      .filter((earlier) => earlier.endMin <= draft.startMin + 1e-9 && comesBefore(earlier, draft))
      .map(({ id }) => id),
  }));
}

/** On the same hands, or on a joint that both concern. */
const comesBefore = (one: Draft, other: Draft): boolean =>
  one.hands.some((hand) => other.hands.includes(hand)) ||
  one.joints.some((joint) => other.joints.includes(joint));

function expanded(plan: Plan, operation: SessionOperation): Draft[] {
  const { kind, joints, hands, startMin, endMin } = operation;
  if (kind === 'clamp') return clampDrafts(plan, operation);
  const [joint = ''] = joints;
  const spread = kind === 'spread';
  // What is left dry is brought together like the rest.
  if (spread && endMin === startMin) return [];
  return [
    {
      id: spread ? `spread:${joint}` : `close:${joints.join('+')}`,
      kind,
      joints,
      clamps: [],
      hands,
      startMin,
      endMin,
      wait: null,
      asks: null,
      instruction: spread ? spreadInstruction(plan, joint) : closeInstruction(plan, joints),
    },
  ];
}

function spreadInstruction(plan: Plan, id: string): Finding {
  const planned = plan.joints.find(({ facts }) => facts.joint.id === id);
  if (planned === undefined) throw new Error(`no joint ${id} is planned`);
  const { facts, faces, method, spread } = planned;
  const { kind, a, gluedShare } = facts.joint;
  return finding('do-spread', 'informs', {
    line: facts.label,
    board: labelOf(plan, a),
    joint: kind,
    faces,
    method: method.name,
    massG: spread.massG,
    middleMm: gluedShare < 1 ? gluedShare * facts.lengthMm : 0,
  });
}

function closeInstruction(plan: Plan, ids: readonly string[]): Finding {
  const joints = plan.joints.filter(({ facts }) => ids.includes(facts.joint.id));
  const [first] = joints;
  const values = {
    line: first?.facts.label ?? '',
    // Several joints close as the part comes that they have in common.
    board: labelOf(plan, partOfAll(joints.map(({ facts }) => facts)) ?? first?.facts.joint.b ?? ''),
    others: joints.length - 1,
  };
  return plan.row === null
    ? finding('do-close-joint', 'informs', values)
    : finding('do-close', 'informs', values);
}

const labelOf = ({ facts }: Plan, id: string): string =>
  facts.parts.find(({ part }) => part.id === id)?.part.label ?? '';

/** One pass with clamps, pull after pull and clamp by clamp. */
function clampDrafts(plan: Plan, { joints, startMin, endMin }: SessionOperation): Draft[] {
  const pass = passesOf(plan.pulls).find((each) => each.joints.some((joint) => joints.includes(joint)));
  if (pass === undefined) return [];
  const pulls = pressing(pass, joints).map((pull) => ({
    pull,
    ...pressSteps(pull, plan.row, workforceOf(plan)),
  }));
  const inAllMin = pulls.reduce((sum, { minutes }) => sum + minutes, 0);
  // Where only some of its joints are closed in this session, the pass is as much shorter.
  const stretch = inAllMin === 0 ? 0 : (endMin - startMin) / inAllMin;
  let fromMin = startMin;
  return pulls.flatMap(({ pull, steps, minutes }) => {
    const drafts = pullDrafts(plan, pull, steps, { joints, fromMin, stretch });
    fromMin += minutes * stretch;
    return drafts;
  });
}

/** What is done with the clamps of one pull in a pass. */
function pullDrafts(
  plan: Plan,
  pull: PlannedPull,
  steps: readonly PressStep[],
  {
    joints,
    fromMin,
    stretch,
  }: { readonly joints: readonly string[]; readonly fromMin: number; readonly stretch: number },
): Draft[] {
  const own = steps.filter((step) => concerns(plan, pull, step, joints));
  const first = firstNumberOf(plan, pull);
  const firstFull = pull === plan.pulls[0] ? own.find(({ kind }) => kind === 'tighten') : undefined;
  return own.map((step, i) => {
    const number = numberOf(plan, pull, step, first);
    return {
      id: `${step.kind}:${pull.pull.id}:${step.joint ?? step.item ?? `all${i}`}`,
      kind: step.kind,
      joints: step.joint === undefined ? joints : [step.joint],
      clamps: number === null ? [] : [number],
      hands: [step.hand],
      startMin: fromMin + step.startMin * stretch,
      endMin: fromMin + step.endMin * stretch,
      wait: null,
      asks: null,
      instruction: pressInstruction(plan, pull, step, number, step === firstFull ? seenToBefore(plan) : ''),
    };
  });
}

/** Whether a step is for some of these joints; what has no place of its own is for all of its pull. */
function concerns(
  plan: Plan,
  pull: PlannedPull,
  { item, joint }: PressStep,
  joints: readonly string[],
): boolean {
  if (joint !== undefined) return joints.includes(joint);
  // Clamps of a row press all its lines.
  if (isRow(plan, pull)) return true;
  const clamp = plan.squeeze?.pulls.find(({ planned }) => planned.pull.id === pull.pull.id)?.clamps[
    item ?? -1
  ];
  return (
    clamp === undefined || clamp.joints.length === 0 || clamp.joints.some((joint) => joints.includes(joint))
  );
}

/** Clamps count over all pulls from 1. */
function firstNumberOf({ pulls }: Plan, pull: PlannedPull): number {
  const before = pulls.slice(0, pulls.indexOf(pull));
  return 1 + before.reduce((sum, { pieces }) => sum + pieces.length, 0);
}

function numberOf(plan: Plan, pull: PlannedPull, { kind, item }: PressStep, first: number): number | null {
  if (item === null) return null;
  if (kind === 'caul') return item + 1;
  return isRow(plan, pull) ? (plan.row?.clampSet.clamps[item]?.number ?? null) : first + item;
}

/** Whether a pull is that across a row. */
const isRow = ({ row }: Plan, { pull }: PlannedPull): boolean => row !== null && pull.id === ACROSS;

/** What a first full pull waits for: afterwards nothing slides any more. */
function seenToBefore({ build }: Plan): InstructionValues['do-tighten']['once'] {
  const flush = lookOf(build.template, 'flush') !== undefined;
  const alike = lookOf(build.template, 'diagonals') !== undefined;
  return flush && alike ? 'both' : flush ? 'flush' : alike ? 'alike' : '';
}

function pressInstruction(
  plan: Plan,
  pull: PlannedPull,
  { kind, item, count, joint }: PressStep,
  number: number | null,
  once: string,
): Finding {
  const { row, squeeze } = plan;
  if (kind === 'caul') {
    return finding('do-caul', 'informs', { pair: number ?? 0, pairs: row?.job.holding.caulPairs ?? 0 });
  }
  if (kind === 'tape') return finding('do-tape', 'informs', { count, line: tapedTo(plan, pull) });
  if (kind === 'wrap') {
    return finding('do-wrap', 'informs', { place: number ?? 0, count, line: pull.joint });
  }
  if (kind === 'bag') return finding('do-bag', 'informs');
  if (kind === 'tap') return drivePegs(plan, joint ?? '', count);
  const piece = pull.pieces[item ?? -1];
  const onRow = row?.clampSet.clamps.find((clamp) => clamp.number === number);
  const placed = squeeze?.pulls.find(({ planned }) => planned.pull.id === pull.pull.id)?.clamps[item ?? -1];
  const values = {
    clamp: number ?? 0,
    kind: onRow?.lot.kind ?? piece?.lot.kind ?? '',
    forceN: onRow?.forceN ?? piece?.forceN ?? 0,
    line: pull.joint,
    openingMm: pull.pull.openingMm,
    turns: turnsOf(onRow?.lot ?? piece?.lot, onRow?.forceN ?? piece?.forceN ?? 0),
    once,
  };
  const code = kind === 'tighten' ? 'do-tighten' : 'do-set-clamp';
  return onRow === undefined
    ? finding(`${code}-on`, 'informs', {
        ...values,
        line: placed === undefined ? pull.joint : standsOn(plan, placed.joints, pull),
      })
    : finding(code, 'informs', { ...values, atMm: onRow.placed.xMm, side: onRow.placed.side });
}

/** Parts named in one breath. */
const MOST_NAMED = 2;

/** Turns of the handle past snug, to the quarter that a hand can tell; 0 where it is not known what one adds. */
const turnsOf = (lot: { readonly perTurnN?: number } | undefined, forceN: number): number =>
  lot?.perTurnN === undefined ? 0 : Math.max(0.25, Math.round((4 * forceN) / lot.perTurnN) / 4);

/** What strips are stretched over: a joint, or the parts that are held to others by them. */
function tapedTo({ facts }: Plan, { pull, joint }: PlannedPull): string {
  if (pull.joints.length === 1) return joint;
  const ends = new Set(
    facts.joints.flatMap((own) => (pull.joints.includes(own.joint.id) ? [own.joint.b] : [])),
  );
  const names = facts.parts.flatMap(({ part }) => (ends.has(part.id) ? [part.label] : []));
  return names.length > MOST_NAMED ? joint : names.join(' and ');
}

/** Where a clamp stands, by name: the part that it draws home at both ends, else the first joint that it closes. */
function standsOn(plan: Plan, ids: readonly string[], { pull, joint }: PlannedPull): string {
  const closed = plan.facts.joints.filter((each) => ids.includes(each.joint.id));
  const [first] = closed;
  if (first === undefined) return joint;
  const drawn = pull.stacked || closed.length === 1 ? undefined : partOfAll(closed);
  return drawn === undefined ? first.label : labelOf(plan, drawn);
}

/** The part that all of some joints have in common. */
function partOfAll(joints: readonly JointFacts[]): string | undefined {
  const [first, ...others] = joints.map(({ joint }) => [joint.b, joint.a]);
  return first?.find((part) => others.every((ends) => ends.includes(part)));
}
