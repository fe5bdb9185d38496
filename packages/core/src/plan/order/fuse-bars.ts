import type { Plan } from '../plan';
import type { OrderedSession } from './ordered-sessions';

/** A joint's fuse on the clock of its session, min from the first bead; unfavourable ends of its windows. */
export interface FuseBar {
  readonly joint: string;
  readonly label: string;
  /** First bead. */
  readonly fromMin: number;
  /** Faces together. */
  readonly closedMin: number;
  /** Under full pressure. */
  readonly toMin: number;
  /** When it must be: by its closed assembly time or its total, whichever ends first. */
  readonly limitMin: number;
  readonly spareMin: number;
}

/** The fuses of a session, tightest first; none where a dried film is ironed on, which keeps for days. */
export function fuseBars(plan: Plan, session: Pick<OrderedSession, 'joints'>): FuseBar[] {
  if (plan.facts.assembly.pressedBy === 'iron') return [];
  return plan.joints
    .flatMap(({ facts, window: { closedMin, totalMin } }, i): FuseBar[] => {
      const time = plan.times[i];
      if (time === undefined || !session.joints.includes(facts.joint.id)) return [];
      if (closedMin === null || totalMin === null) return [];
      const { spreadStartMin, closedAtMin, pressedAtMin } = time;
      const limitMin = Math.min(spreadStartMin + totalMin.low, closedAtMin + closedMin.low);
      return [
        {
          joint: facts.joint.id,
          label: facts.label,
          fromMin: spreadStartMin,
          closedMin: closedAtMin,
          toMin: pressedAtMin,
          limitMin,
          spareMin: limitMin - pressedAtMin,
        },
      ];
    })
    .sort((a, b) => a.spareMin - b.spareMin);
}
