import { adhesiveWindow, type AdhesiveWindow, type WindowConditions } from '../../adhesives';
import {
  type AssemblyFacts,
  deriveAssembly,
  type JointFacts,
  type PartFacts,
  readGaps,
} from '../../assembly';
import { type Finding, finding } from '../../finding';
import type { AssemblyBuild, ShopDocument } from '../../formats';
import { layAssembly } from '../../kinds';
import { LIMITS } from '../../limits';
import { sharedTraits, equilibriumMoisturePct } from '../../materials';
import { closingForceN, panelPressure, type Press } from '../../mechanics';
import { remembered } from '../../remembered';
import { reach, solidPoints } from '../../solids';
import { findSpreadMethod, spread } from '../../spread';
import { type ClosingAdvice, closingAdvice } from '../closing';
import type { Aspect, Verdict } from '../verdict';
import type { AssemblyPlanParts, PlannedJoint } from './assembly-parts';
import type { PlannedPull } from './planned-pull';
import { closingWork, oneGo } from './clock';
import { judgeAssembly } from './judge';
import { orderOf } from './order';
import { type OrderJob, workforceOf } from './order-problem';
import { planPull } from './pulls';
import { adhesiveOf } from '../shelf';
import { squeezeAssembly } from './squeeze';

/** An assembly thought through: its solids, its clock, its pulls and the four verdicts. */
export interface AssemblyPlan extends AssemblyPlanParts {
  readonly verdicts: Readonly<Record<Aspect, Verdict>>;
  readonly totals: {
    readonly massG: number;
    readonly volumeMl: number;
    readonly spreadMin: number;
    readonly onShelfMl: number;
  };
}

/** Joints whose gap clamps can bend shut; in all others a gap is glue or a new cut. */
const BENDABLE: readonly string[] = ['edge', 'face', 'ply', 'band'];

/**
 * Computes everything there is to say about an assembly in a shop, glued in one go.
 * @throws InputError for answers that cannot be made and for ids that the catalogues do not hold.
 */
export function planAssembly(build: AssemblyBuild, shop: ShopDocument): AssemblyPlan {
  const climate = build.climate ?? shop.climate;
  const airMcPct = Math.min(LIMITS.moisturePct.max, equilibriumMoisturePct(climate.tempC, climate.rhPct));
  const facts = deriveAssembly(layAssembly(build, airMcPct));
  const adhesive = adhesiveOf(build.glue.adhesive, shop, 'glue.adhesive');
  const partMcPct = facts.parts.map(({ part }) => part.mcPct ?? airMcPct);
  const pulls = facts.assembly.pulls.map((pull) => planPull(pull, facts, adhesive, shop, build.squeeze));
  // Most joints are of the same wood in the same air: they share one window.
  const windowIn = remembered(
    (conditions: WindowConditions) => adhesiveWindow(adhesive, conditions),
    facts.joints.length,
  );
  const joints = facts.joints.map((joint, i) =>
    planJoint(joint, i === 0, { build, climate, facts, adhesive, partMcPct, pulls, windowIn }),
  );
  const whole = oneGo(joints, pulls, workforceOf({ build, shop }));
  const parts: AssemblyPlanParts = {
    build,
    shop,
    climate,
    facts,
    adhesive,
    partMcPct,
    joints,
    pulls,
    squeeze: null,
    order: null,
    times: whole.times,
    handsOnMin: whole.handsOnMin,
    ...ordered({ facts, joints, pulls, build, shop }),
    findings: [...facts.assembly.findings, ...conditionFindings(facts)],
  };
  const { sets } = facts.assembly;
  const sum = (value: (joint: PlannedJoint) => number) =>
    joints.reduce((total, joint) => total + value(joint), 0);
  return {
    ...parts,
    verdicts: joints.length === 0 ? emptyVerdicts(parts) : judgeAssembly(parts),
    totals: {
      massG: sets * sum((joint) => joint.spread.massG),
      volumeMl: sets * sum((joint) => joint.spread.volumeMl),
      spreadMin: sum((joint) => joint.spread.minutes),
      onShelfMl: shop.bottles
        .filter((bottle) => bottle.adhesive === adhesive.id)
        .reduce((total, bottle) => total + bottle.remainingMl, 0),
    },
  };
}

/**
 * The same plan with its clamps in their places and *Tight* judged by what each joint gets there: by elements where parts
 * lie in a row, by a beam on a layer under cauls, corner by corner under bands.
 */
export function settleAssembly(plan: AssemblyPlan, press: Press = panelPressure): AssemblyPlan {
  if (plan.joints.length === 0) return plan;
  const settled = { ...plan, squeeze: squeezeAssembly(plan, press) };
  return { ...settled, verdicts: { ...plan.verdicts, tight: judgeAssembly(settled).tight } };
}

/** The clock of the sessions that the build names, in place of one go. */
function ordered(job: OrderJob): Partial<Pick<AssemblyPlanParts, 'order' | 'times' | 'handsOnMin'>> {
  const { order } = job.build;
  if (order === undefined || job.joints.length === 0) return {};
  const laid = orderOf(job, order);
  if (laid === null) return {};
  if (laid.impossible !== null) return { order: laid };
  return { order: laid, times: laid.times, handsOnMin: laid.handsOnMin };
}

interface JointContext extends Pick<
  AssemblyPlanParts,
  'build' | 'climate' | 'facts' | 'adhesive' | 'partMcPct'
> {
  readonly pulls: readonly PlannedPull[];
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
  const method = findSpreadMethod(own?.method ?? build.glue.method);
  const dry = facts.gluedMm2 === 0;
  const spreading = spread({
    areaMm2: facts.gluedMm2,
    lengthMm: Math.max(1, facts.lengthMm),
    faces,
    adhesive,
    method,
  });
  const gap = readGaps(facts.joint.gapsMm);
  const closingN = closingForce(facts, gap?.gapMm ?? null, both, adhesive.gapMm);
  const available = context.pulls.find(({ pull }) => pull.joints.includes(facts.joint.id))?.reachN ?? 0;
  const closing = closingWork(facts, both, {
    crew: build.crew,
    setDry: context.facts.assembly.setDry,
  });
  return {
    facts,
    mcPct: Math.max(...moistures),
    mcOtherPct: Math.min(...moistures),
    method,
    // Bottle and spreader are taken up once, for the first joint.
    spread: { ...spreading, minutes: dry ? 0 : spreading.minutes - (first ? 0 : method.setUpMin) },
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
    closing: adviceFor(facts, gap?.gapMm ?? null, closingN, available, adhesive.gapMm),
    closingForceN: closingN,
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
  { joint }: JointFacts,
  gapMm: number | null,
  closingN: number,
  availableN: number,
  glueMm: number,
): ClosingAdvice {
  if (gapMm === null || Math.abs(gapMm) <= glueMm) return 'none';
  return BENDABLE.includes(joint.kind) ? closingAdvice(closingN, availableN) : 'back-to-plane';
}

function conditionFindings({ parts }: AssemblyFacts): Finding[] {
  return parts
    .filter(({ part }) => part.condition !== 'fresh')
    .map(({ part }) => finding(`faces-${part.condition}`, 'warns', { part: part.label }));
}

/** Parts without joints: nothing to judge yet. */
function emptyVerdicts({ build }: AssemblyPlanParts): Readonly<Record<Aspect, Verdict>> {
  const empty = (aspect: Aspect, kind: Verdict['kind']): Verdict => ({
    aspect,
    state: 'close',
    kind,
    figure: null,
    against: build.goals.flatMm,
    sense: 'at-most',
    barShare: 0.5,
    cause: finding('no-joints', 'warns'),
    workings: [],
  });
  return {
    inTime: empty('inTime', 'minutes'),
    tight: empty('tight', 'pressure'),
    square: empty('square', 'fine-length'),
    flat: empty('flat', 'fine-length'),
  };
}
