import { asDriedFilm } from '../adhesives';
import { type AssemblyFacts, panelOf } from '../assembly';
import { finding, type PlanFinding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import { measureBuild } from '../kinds';
import { storedMoisturePct } from '../air';
import { PLAIN_TRAITS, toMill, usualRough } from '../materials';
import { panelPressure, type Press } from '../mechanics';
import { covers, LEAST_CUP_ML } from '../spread';
import { judge, judgeTight } from '../verdicts';
import { firstCoatG } from './first-coats';
import { planJoints, weighGaps } from './joints/plan-joint';
import type { PlannedJoint } from './joints/planned-joint';
import { momentFindings } from './order/moments';
import { usualOrder } from './order/usual-order';
import type { Plan, PlanParts } from './plan';
import type { PlannedPull } from './pulls/planned-pull';
import { planPulls, type PullInputs } from './pulls/plan-pulls';
import { planRow } from './row/plan-row';
import type { RowPlan } from './row/row-plan';
import { settleRow } from './row/settle-row';
import { adhesiveOf } from './shelf';
import { squeezePlan, wantsElements } from './squeeze';

/** A board as thick as most, for what is laid out before its own thickness is known, mm. */
const BOARD_MM = 20;

/**
 * Computes everything there is to say about a build in a shop, whatever its kind. Pure and fast enough to run for every
 * keystroke and for every candidate fix.
 * @throws InputError for answers that cannot be made and for ids that the catalogues do not hold.
 */
export function planBuild(build: BuildDocument, shop: ShopDocument): Plan {
  const climate = build.climate ?? shop.climate;
  const facts = measureBuild(build, storedMoisturePct(BOARD_MM, PLAIN_TRAITS, shop), shop.woods);
  const bottled = adhesiveOf(build.glue.adhesive, shop, 'glue.adhesive');
  const adhesive = facts.assembly.pressedBy === 'iron' ? asDriedFilm(bottled) : bottled;
  const partMcPct = facts.parts.map(
    ({ part, traits }) => part.mcPct ?? storedMoisturePct(Math.min(...part.blankMm), traits, shop),
  );
  const bare = planJoints({ build, climate, facts, adhesive, partMcPct, methods: shop.methods ?? [] });
  const row = facts.assembly.row
    ? planRow({ build, shop, adhesive, panel: panelOf(facts), boardMcPct: partMcPct, joints: bare })
    : null;
  const parts = pulledInOrder(bare, { build, shop, facts, adhesive, row });
  const weighed: PlanParts = {
    build,
    shop,
    climate,
    facts,
    adhesive,
    partMcPct,
    row,
    squeeze: null,
    ...parts,
    times: parts.order?.times ?? [],
    handsOnMin: parts.order?.handsOnMin ?? 0,
    findings: [...facts.assembly.findings, ...conditionFindings(facts), ...roughFindings(facts, build)],
  };
  const planned: PlanParts = {
    ...weighed,
    findings: [...weighed.findings, ...momentFindings(weighed), ...unspreadFindings(parts.joints)],
  };
  return { ...planned, verdicts: judge(planned), totals: gluedTotals(planned) };
}

/** Glue for the joints of a plan, or for some of them. */
export function gluedTotals(planned: PlanParts): Plan['totals'] {
  const { adhesive, shop, facts } = planned;
  const { sets } = facts.assembly;
  const sum = (value: (joint: PlannedJoint) => number) =>
    planned.joints.reduce((total, joint) => total + value(joint), 0);
  const coatG = sets * firstCoatG(planned);
  const spreadMl = sets * sum((joint) => joint.spread.volumeMl) + coatG / adhesive.densityGPerMl;
  // Mixed glue is measured out by the cup, not by the drop.
  const volumeMl =
    adhesive.potLifeMin === null || spreadMl === 0 ? spreadMl : Math.max(LEAST_CUP_ML, spreadMl);
  return {
    massG: volumeMl * adhesive.densityGPerMl,
    coatG,
    volumeMl,
    spreadMin: sum((joint) => joint.spread.minutes),
    onShelfMl: shop.bottles
      .filter((bottle) => bottle.adhesive === adhesive.id)
      .reduce((total, bottle) => total + bottle.remainingMl, 0),
  };
}

/**
 * The same plan with its clamps in their places and *Tight* judged by what each joint gets there: by elements where parts
 * lie in a row or a stack, by a beam on a layer under cauls, corner by corner under bands.
 */
export function settlePlan(plan: Plan, press: Press = panelPressure): Plan {
  if (plan.joints.length === 0) return plan;
  const row = plan.row === null ? null : settleRow(plan.row, press);
  const pressed = { ...plan, row, joints: row === null ? plan.joints : inRow(plan.joints, row) };
  const settled = { ...pressed, squeeze: squeezePlan(pressed, press) };
  return { ...settled, verdicts: { ...plan.verdicts, tight: judgeTight(settled) } };
}

/** A plan as far as it is told without finite elements: settled where those have nothing to say. */
export const settledAtOnce = (plan: Plan, press?: Press): Plan =>
  wantsElements(plan) ? plan : settlePlan(plan, press);

/** Pulls from what the rack holds, gaps weighed against them, and the sessions on the clock. */
function pulledInOrder(
  bare: readonly PlannedJoint[],
  inputs: PullInputs,
): Pick<PlanParts, 'joints' | 'pulls' | 'order'> {
  const { build, shop, facts, row, adhesive } = inputs;
  const withPulls = (pulls: readonly PlannedPull[]) => {
    const availableN = (id: string) =>
      Math.max(0, ...pulls.filter(({ pull }) => pull.joints.includes(id)).map(({ mostN }) => mostN));
    const joints = row === null ? weighGaps(bare, availableN, adhesive.gapMm) : inRow(bare, row);
    return { joints, pulls, ...usualOrder({ facts, joints, pulls, row, build, shop }) };
  };
  const { beyondRack, ...first } = withPulls(planPulls(inputs, !facts.assembly.oneGo));
  if (!beyondRack) return first;
  // No order makes do with the rack: then nothing is counted on twice.
  const { joints, pulls, order } = withPulls(planPulls(inputs, false));
  return { joints, pulls, order };
}

/** Joints of a row as row mechanics see them. */
const inRow = (joints: readonly PlannedJoint[], { lines }: RowPlan): PlannedJoint[] =>
  joints.map((joint, i) => {
    const line = lines[i];
    if (line === undefined) return joint;
    const { target, closing, closingForceN, crushMPa } = line;
    return { ...joint, target, closing, closingForceN, crushMPa };
  });

/** The widest face that a bead alone would leave dry. */
function unspreadFindings(joints: readonly PlannedJoint[]): PlanFinding[] {
  const dry = joints
    .map(({ facts, method }) => ({ facts, method, widthMm: facts.gluedMm2 / Math.max(1, facts.lengthMm) }))
    .filter(({ method, widthMm }) => !covers(method, widthMm))
    .sort((a, b) => b.widthMm - a.widthMm)
    .slice(0, 1);
  return dry.map(({ facts: { label: line }, widthMm }) =>
    finding('bead-on-wide-face', 'warns', { line, widthMm }),
  );
}

function conditionFindings({ parts }: AssemblyFacts): PlanFinding[] {
  return parts.flatMap(({ part: { condition, label: part } }) =>
    condition === 'fresh' ? [] : [finding(`faces-${condition}`, 'warns', { part })],
  );
}

/** Rough boards that are too small for what is to be made of them. */
function roughFindings({ parts }: AssemblyFacts, { partNotes }: BuildDocument): PlanFinding[] {
  return parts.flatMap(({ part }) => {
    const rough = partNotes.find(({ id }) => id === part.id)?.roughMm;
    if (rough === undefined) return [];
    const wanted = usualRough(part.blankMm);
    return toMill(part.blankMm, rough).short.map((what) => {
      const i = (['length', 'width', 'thickness'] as const).indexOf(what);
      const wantMm = what === 'length' ? (part.blankMm[0] ?? 0) : (wanted[i] ?? 0);
      return finding('rough-too-small', 'warns', { part: part.label, what, haveMm: rough[i] ?? 0, wantMm });
    });
  });
}
