import { finding } from '../../findings';
import type { Plan, PlanParts } from '../plan';
import type { PlannedPull } from '../pulls/planned-pull';
import { paceOf } from './paces';
import type { Draft } from './planned-operation';

/** A peg picked up, glued at its head and driven, min [judgement]. */
const PEG_MIN = 0.25;

/** Pegs through one joint, and what driving them takes at the built-in pace. */
export interface JointPegs {
  readonly joint: string;
  readonly count: number;
  readonly minutes: number;
}

/** Pegs through the joints of a pull; none where it has none. */
export const pegsOf = ({ pull: { joints, pegs } }: PlannedPull): JointPegs[] =>
  pegs === undefined
    ? []
    : joints.map((joint) => ({ joint, count: pegs.each, minutes: pegs.each * PEG_MIN }));

/** Pegs that are driven once clamps have brought these joints home; those that draw them home themselves are part of pressing. */
const pegsAfter = (pulls: readonly PlannedPull[], joints: readonly string[]): JointPegs[] =>
  pulls
    .filter(({ drawnMm }) => drawnMm === null)
    .flatMap(pegsOf)
    .filter(({ joint }) => joints.includes(joint));

/** What those take at the shop's pace, min. */
export const pegsAfterMin = (
  { pulls, shop }: Pick<PlanParts, 'pulls' | 'shop'>,
  joints: readonly string[],
): number => pegsAfter(pulls, joints).reduce((sum, { minutes }) => sum + minutes, 0) * paceOf(shop)('press');

/** The same as operations, one joint after the other, from that minute of the session on: its fuse is out by then. */
export function pegDrafts(plan: Plan, joints: readonly string[], fromMin: number): Draft[] {
  const pace = paceOf(plan.shop)('press');
  let startMin = fromMin;
  return pegsAfter(plan.pulls, joints).map(({ joint, count, minutes }) => {
    const endMin = startMin + minutes * pace;
    const draft: Draft = {
      id: `tap:${joint}`,
      kind: 'tap',
      joints: [],
      clamps: [],
      hands: [0],
      startMin,
      endMin,
      wait: null,
      asks: null,
      instruction: drivePegs(plan, joint, count),
    };
    startMin = endMin;
    return draft;
  });
}

/** So many pegs through a joint, by its name. */
export const drivePegs = ({ joints }: Plan, id: string, count: number) =>
  finding('do-drive-pegs', 'informs', {
    count,
    line: joints.find(({ facts }) => facts.joint.id === id)?.facts.label ?? '',
  });
