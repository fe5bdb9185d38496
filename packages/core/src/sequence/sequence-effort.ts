/** How much may be spent on an answer. Counted in steps, not in time, so that the same question is answered alike. */
export interface SequenceEffort {
  /** Joints up to which every arrangement is gone through where presses tie closings together. */
  readonly exactJoints: number;
  readonly marginSteps: number;
  readonly handsOnSteps: number;
  /** Ways kept side by side while assemblies are taken apart. */
  readonly width: number;
  /** The same where presses tie closings together, each way then being timed as a whole; left out: as many. */
  readonly widthWhereTied?: number;
  /** Times the windows are asked to be used less. */
  readonly rounds: number;
  /** Share of the windows at which nobody asks for less of them; left out: as little as there is. */
  readonly enough?: number;
  /** Steps in all on the way to a proof; none looks for none. */
  readonly proofSteps: number;
  /** Swaps tried in all while stretches of several closings are timed by rules; left out: as many as help. */
  readonly swaps?: number;
  /** Lists of works gone through for each single closing while assemblies are taken apart; left out: as many as prove most of them. */
  readonly lists?: number;
  /** Sets of parts looked at for one sub-assembly before only some ways of taking it apart are seen. */
  readonly mostSets: number;
}

/** What the command line and the server spend. */
export const FULL_EFFORT: SequenceEffort = Object.freeze({
  exactJoints: 6,
  marginSteps: 1_000_000,
  handsOnSteps: 15_000,
  width: 50,
  rounds: 10,
  proofSteps: 1_000_000,
  mostSets: 4_000,
});

/** Joints up to which a proof is looked for; beyond, only bounds tell that nothing is better. */
export const MOST_JOINTS_TO_PROVE = 20;
