import { type Adhesive, adhesiveWindow, type AdhesiveWindow, type WindowConditions } from '../../adhesives';
import { type AssemblyFacts, type JointFacts, type PartFacts, type Pull, readGaps } from '../../assembly';
import type { BuildDocument, Climate } from '../../formats';
import { sharedTraits } from '../../materials';
import { closingForceN } from '../../mechanics';
import { remembered } from '../../basics/remembered';
import { reach, solidPoints } from '../../solids';
import { findSpreadMethod, type OwnMethod, spread, TAKE_UP_MIN } from '../../spread';
import { type ClosingAdvice, closingAdvice } from './closing';
import { closingWork } from './closing-work';
import type { JointNeed, PlannedJoint } from './planned-joint';
import { pressureWanted } from './pressure-wanted';

/** What joints are planned from. */
export interface JointInputs {
  readonly build: BuildDocument;
  readonly climate: Climate;
  readonly facts: AssemblyFacts;
  readonly adhesive: Adhesive;
  readonly partMcPct: readonly number[];
  /** Spreading methods of the shop's own. */
  readonly methods: readonly OwnMethod[];
}

/** Joints whose gap clamps can bend shut; in all others a gap is glue or a new cut. */
const BENDABLE: readonly string[] = ['edge', 'face', 'ply', 'band'];

/** Every joint with its glue, window and minutes; what presses it is weighed later. */
export function planJoints(inputs: JointInputs): PlannedJoint[] {
  // Most joints are of the same wood in the same air: they share one window.
  const windowIn = remembered(
    (conditions: WindowConditions) => adhesiveWindow(inputs.adhesive, conditions),
    inputs.facts.joints.length,
  );
  return inputs.facts.joints.map((joint, i) => planJoint(joint, i === 0, { ...inputs, windowIn }));
}

/** The same joints, their gaps weighed against the pull that there is for each. */
export function weighGaps(
  joints: readonly PlannedJoint[],
  availableN: (joint: string) => number,
  glueMm: number,
): PlannedJoint[] {
  return joints.map((planned) => ({
    ...planned,
    closing: adviceFor(planned, availableN(planned.facts.joint.id), glueMm),
  }));
}

/** Mean opening of a hollow edge over its largest: the edge is a parabola. */
const HOLLOW_MEAN = 2 / 3;
/** Glue and spreader are taken up anew for a joint as long as this; short ones follow each other in one go [judgement]. */
const TAKEN_UP_FROM_MM = 300;

interface JointContext extends JointInputs {
  readonly windowIn: (conditions: WindowConditions) => AdhesiveWindow;
}

function planJoint(facts: JointFacts, first: boolean, context: JointContext): PlannedJoint {
  const { build, climate, adhesive, partMcPct } = context;
  const at = (id: string) => context.facts.parts.findIndex(({ part }) => part.id === id);
  const indices = [at(facts.joint.a), at(facts.joint.b)];
  const both = indices.map((i) => context.facts.parts[i]).filter((part) => part !== undefined);
  const moistures = indices.map((i) => partMcPct[i] ?? 0);
  const own = build.jointNotes.find(({ id }) => id === facts.joint.id)?.spread;
  const faces = own?.faces ?? build.glue.faces;
  const method = findSpreadMethod(own?.method ?? build.glue.method, context.methods);
  const dry = facts.gluedMm2 === 0;
  const gap = readGaps(facts.joint.gapsMm);
  const closingN = closingForce(facts, gap?.gapMm ?? null, both, adhesive.gapMm);
  const spreading = spread({
    areaMm2: facts.gluedMm2,
    lengthMm: Math.max(1, facts.lengthMm),
    faces,
    openMm: closingN > 0 && Number.isFinite(closingN) ? 0 : HOLLOW_MEAN * Math.abs(gap?.gapMm ?? 0),
    adhesive,
    method,
  });
  const takenUp = first || facts.lengthMm >= TAKEN_UP_FROM_MM;
  const closing = closingWork(facts, both, {
    crew: build.crew,
    setDry: context.facts.assembly.setDry,
    pressedBy: context.facts.assembly.pressedBy,
    flushed: context.facts.assembly.row && build.row?.holding.flushed === true,
  });
  return {
    facts,
    mcPct: Math.max(...moistures),
    mcOtherPct: Math.min(...moistures),
    faces,
    method,
    spread: { ...spreading, minutes: dry ? 0 : spreading.minutes - (takenUp ? 0 : faces * TAKE_UP_MIN) },
    window: context.windowIn({
      tempC: climate.tempC,
      rhPct: climate.rhPct,
      faces,
      traits: sharedTraits(both),
      mcPct: Math.max(...moistures),
      sg: Math.min(...both.map(({ wood }) => wood.sg)),
      woodTempC: build.wishes?.woodTempC ?? undefined,
      glueTempC: build.wishes?.glueTempC ?? undefined,
    }),
    closeMin: closing.minutes,
    closeHands: closing.hands,
    gap,
    closing: 'none',
    closingForceN: closingN,
    ...wantedBy(facts, context, both),
  };
}

/** What each way of pressing asks of a joint. */
const NEEDS: Readonly<Record<Pull['need'], JointNeed>> = {
  line: 'press',
  band: 'press',
  vacuum: 'press',
  seat: 'seat',
  tape: 'touch',
};

/** What a joint wants of clamps, and the pressure between which it is right. */
function wantedBy(
  facts: JointFacts,
  { build, facts: { assembly }, adhesive }: JointContext,
  both: readonly PartFacts[],
): Pick<PlannedJoint, 'need' | 'target' | 'crushMPa'> {
  const pulls = assembly.pulls.filter(({ joints }) => joints.includes(facts.joint.id));
  // What is pressed through its cheeks is held by those, not by its shoulders.
  const pull = pulls.find((own) => own.need === 'line') ?? pulls[0];
  const ironed = assembly.pressedBy === 'iron';
  const need =
    facts.gluedMm2 === 0 ? 'none' : ironed ? 'touch' : pull === undefined ? 'none' : NEEDS[pull.need];
  const asked = need === 'press' || need === 'touch';
  return {
    need,
    target:
      asked && pull !== undefined
        ? pressureWanted(
            pull.need,
            [facts.joint.kind],
            adhesive,
            both.map(({ wood }) => wood.sg),
            build.squeeze?.school,
          )
        : null,
    crushMPa: Math.min(...both.map(({ wood }) => wood.compPerpMPa)),
  };
}

/** Pull that bends a gap shut, from both parts as beams; zero where nothing is open or clamps cannot help. */
function closingForce(
  { joint, contacts, lengthMm, contactMm2 }: JointFacts,
  gapMm: number | null,
  both: readonly PartFacts[],
  glueMm: number,
): number {
  const [one, other] = both;
  const normal = contacts[0]?.normal;
  if (gapMm === null || gapMm === 0 || !BENDABLE.includes(joint.kind)) return 0;
  if (one === undefined || other === undefined || normal === undefined) return 0;
  const beam = ({ part, wood }: PartFacts) => {
    const [low, high] = reach(solidPoints(part.solid), normal);
    return { widthMm: high - low, wood, cut: 'flat' as const };
  };
  return closingForceN({
    lengthMm,
    thicknessMm: contactMm2 / lengthMm,
    boards: [beam(one), beam(other)],
    gapMm,
    remainingMm: Math.min(glueMm, 0.1),
    pulls: [],
  });
}

function adviceFor(
  { facts: { joint }, gap, closingForceN: closingN }: PlannedJoint,
  availableN: number,
  glueMm: number,
): ClosingAdvice {
  if (gap === null || Math.abs(gap.gapMm) <= glueMm) return 'none';
  return BENDABLE.includes(joint.kind) ? closingAdvice(closingN, availableN) : 'back-to-plane';
}
