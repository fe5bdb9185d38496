import { howLightly } from './how-lightly';
import { type PlanFinding, finding, type Severity } from '../findings';
import { leastBy } from '../basics/least-by';
import type { PlannedJoint } from '../plan/joints/planned-joint';
import type { PlanParts } from '../plan/plan';
import { ironed } from './ironed';
import type { Judged } from './judged';
import type { PlannedPull } from '../plan/pulls/planned-pull';
import { blockClampsOf, blockClampTrouble } from '../plan/squeeze/block-clamps';
import { leastOf } from '../plan/squeeze/least';
import { unfitGlue } from './unfit-glue';

/** Whether every joint is pressed as its glue wants, by the pull that has the least of it. */
export function tight(parts: PlanParts): Judged {
  const { joints, adhesive, facts, squeeze } = parts;
  const unfit = unfitGlue({ ...parts, lightly: parts.build.squeeze?.school === 'light' });
  const open = joints.find(({ closing }) => closing === 'back-to-plane');
  if (facts.assembly.pressedBy === 'iron') {
    const judged = ironed(parts);
    if (unfit !== undefined) return { ...judged, state: 'fails', margin: -0.5, cause: unfit };
    // A thin face follows a hollow under the iron, or does not: a dried film fills nothing.
    return open === undefined || judged.state !== 'holds'
      ? judged
      : { ...judged, state: 'close', cause: hollowUnderIron(open, adhesive.gapMm) };
  }
  const pulls = parts.pulls.map((pull) => leastOf(pull, squeeze));
  const share = ({ reachMPa, wanted }: PlannedPull) => reachMPa / wanted.lowMPa;
  const weakest = leastBy(pulls, share);
  const said = squeeze?.pulls.flatMap(({ findings }) => findings) ?? [];
  const blocking = said.find(({ severity }) => severity === 'refuses');
  const trouble =
    blockClampTrouble(blockClampsOf(parts)) ?? said.find(({ severity }) => severity === 'warns');
  const costly = joints.find(({ closing }) => closing === 'costly');
  const cause =
    unfit ??
    (open === undefined ? undefined : gap('joint-gap', 'refuses', open, adhesive.gapMm)) ??
    (weakest.taken.length === 0 && weakest.drawnMm === null ? nothingFor(weakest) : undefined) ??
    blocking ??
    (costly === undefined ? undefined : gap('joint-gap-costs', 'warns', costly, adhesive.gapMm)) ??
    tooMuch(parts) ??
    pullCause(weakest, trouble);
  const state = cause.severity === 'refuses' ? 'fails' : cause.severity === 'warns' ? 'close' : 'holds';
  const margin = share(weakest) < 1 ? share(weakest) - 1 : Math.min(1, share(weakest) - 1 + 0.2);
  return {
    state,
    ...(weakest.seats
      ? { kind: 'force', figure: weakest.leastMet.reachN, against: weakest.leastMet.neededN }
      : { figure: weakest.reachMPa, against: weakest.wanted.lowMPa }),
    margin: state === 'fails' ? Math.min(margin, -0.02) : margin,
    cause,
    workings: [
      finding('how-pull', 'informs', {
        line: weakest.leastMet.label,
        need: weakest.pull.need,
        areaMm2: weakest.areaMm2,
        neededN: weakest.leastMet.neededN,
        reachN: weakest.leastMet.reachN,
        clamps: weakest.pieces.length,
        lowMPa: weakest.wanted.lowMPa,
      }),
      ...(parts.build.squeeze?.school === 'light' ? [howLightly(weakest.wanted.lowMPa)] : []),
    ],
  };
}

/** What the rack would have to hold. */
const nothingFor = ({ joint: line, pull: { need, openingMm, bag } }: PlannedPull): PlanFinding =>
  bag === undefined || need !== 'vacuum'
    ? finding('nothing-to-pull-with', 'refuses', { line, need, openingMm })
    : finding('no-bag', 'refuses', { line, ...bag });

/** A joint that gets more than its glue wants, the worst first: above what starves it it fails, above high it is close. */
function tooMuch({ squeeze, pulls }: PlanParts): PlanFinding | undefined {
  const gets =
    squeeze === null
      ? pulls
          .filter(({ seats }) => !seats)
          .map(({ joint, wanted, reachMPa }) => ({ line: joint, meanMPa: reachMPa, wanted }))
      : squeeze.pulls.flatMap(({ planned, joints }) =>
          joints.map(({ label, meanMPa }) => ({ line: label, meanMPa, wanted: planned.wanted })),
        );
  const over = ({ meanMPa, wanted }: (typeof gets)[number]) => meanMPa / wanted.highMPa;
  const [worst] = [...gets].sort((a, b) => over(b) - over(a));
  if (worst === undefined || over(worst) <= 1 + 1e-9) return undefined;
  const { line, meanMPa, wanted } = worst;
  return meanMPa > wanted.mostMPa
    ? finding('line-starves', 'refuses', { line, meanMPa, mostMPa: wanted.mostMPa })
    : finding('more-than-needed', 'warns', { line, meanMPa, highMPa: wanted.highMPa });
}

function gap(
  code: 'joint-gap' | 'joint-gap-costs',
  severity: Severity,
  { facts, gap: read, closingForceN }: PlannedJoint,
  glueMm: number,
): PlanFinding {
  return finding(code, severity, {
    line: facts.label,
    gapMm: Math.abs(read?.gapMm ?? 0),
    forceN: closingForceN,
    glueMm,
  });
}

const hollowUnderIron = ({ facts, gap: read }: PlannedJoint, glueMm: number): PlanFinding =>
  finding('hollow-under-iron', 'warns', { line: facts.label, gapMm: Math.abs(read?.gapMm ?? 0), glueMm });

function pullCause(
  { word, leastMet: { label: line, neededN, reachN }, reachMPa, drawnMm }: PlannedPull,
  trouble: PlanFinding | undefined,
): PlanFinding {
  const values = { line, neededN, reachN, minMPa: reachMPa };
  if (word === 'crushes') return finding('pull-crushes', 'refuses', values);
  if (word === 'under-pressed') return finding('pull-short', 'refuses', values);
  if (word === 'light') return finding('pull-light', 'warns', values);
  if (trouble !== undefined) return trouble;
  if (drawnMm !== null) return finding('pegs-draw', 'informs', { line, offsetMm: drawnMm });
  return finding('pull-meets', 'informs', values);
}
