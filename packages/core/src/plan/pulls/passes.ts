import type { PlannedPull } from './planned-pull';

/** Pulls that come on together, and the joints that they press first of all pulls. */
export interface Pass {
  readonly joints: readonly string[];
  /** The one that brings the joints home, then what presses some of them again, as clamps through the cheeks of a bridle do. */
  readonly pulls: readonly PlannedPull[];
}

/** Pulls as they come on, in their order: one whose joints are all pressed already joins the pass of its first joint. */
export function passesOf(pulls: readonly PlannedPull[]): Pass[] {
  const passes: { joints: string[]; pulls: PlannedPull[] }[] = [];
  for (const planned of pulls) {
    const { joints } = planned.pull;
    const earlier = passes.find((pass) => pass.joints.some((joint) => joints.includes(joint)));
    const claimed = new Set(passes.flatMap((pass) => pass.joints));
    const own = joints.filter((joint) => !claimed.has(joint));
    if (own.length > 0) passes.push({ joints: own, pulls: [planned] });
    else earlier?.pulls.push(planned);
  }
  return passes;
}

/** Those of a pass that press some of these joints. */
export const pressing = ({ pulls }: Pass, joints: readonly string[]): readonly PlannedPull[] =>
  pulls.filter(({ pull }) => pull.joints.some((joint) => joints.includes(joint)));
