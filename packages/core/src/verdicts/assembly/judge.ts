import { COLD_REFUSALS } from '../../adhesives';
import { standsService } from '../../adhesives';
import { type Finding, finding } from '../../finding';
import { mitrePolygon } from '../../geometry';
import { COMFORTABLE_MARGIN } from '../in-time';
import { type Aspect, barShareOf, type FigureKind, type Verdict, type VerdictState } from '../verdict';
import type { AssemblyPlanParts, PlannedJoint } from './assembly-parts';
import type { PlannedPull } from './planned-pull';
import { leastOf } from './squeeze/least';

/** How far a saw that was set up with care may be off at each mitre, degrees [judgement]. */
export const CAREFUL_SAW_DEG = 0.05;
/** Share of a measured twist or bow that stays in the work after curing on a flat base [judgement]. */
const STAYS_CLAMPED_DOWN = 0.3;
/** A verdict with less than this share of the allowance left is close. */
const CLOSE_SHARE = 0.3;
/** Moisture of parts in one wide joint that differs by this much or more is worth a warning, %. */
const MISMATCH_PCT = 2;

interface Judged {
  /** What its figure counts, where not what the verdict usually does. */
  readonly kind?: FigureKind;
  readonly state: VerdictState;
  readonly figure: number | null;
  readonly against: number;
  readonly margin: number;
  readonly cause: Finding;
  readonly workings: readonly Finding[];
}

/** In time, tight, square and flat for an assembly glued in one go. */
export function judgeAssembly(parts: AssemblyPlanParts): Readonly<Record<Aspect, Verdict>> {
  return {
    inTime: verdict('inTime', 'minutes', 'at-least', inTime(parts)),
    tight: verdict('tight', 'pressure', 'at-least', tight(parts)),
    square: verdict('square', 'fine-length', 'at-most', square(parts)),
    flat: verdict('flat', 'fine-length', 'at-most', flat(parts)),
  };
}

function verdict(aspect: Aspect, kind: FigureKind, sense: Verdict['sense'], judged: Judged): Verdict {
  const { margin, ...rest } = judged;
  return { aspect, sense, barShare: barShareOf(margin), ...rest, kind: judged.kind ?? kind };
}

function inTime({ joints, times, build, shop, handsOnMin, order }: AssemblyPlanParts): Judged {
  const refusal = joints
    .flatMap(({ window }) => window.findings)
    .find(({ code }) => COLD_REFUSALS.includes(code));
  if (refusal !== undefined) {
    return { state: 'fails', figure: null, against: 0, margin: -1, cause: refusal, workings: [] };
  }
  if (order?.impossible) {
    const { session, code, joints: held } = order.impossible;
    const cause = finding(`order-${code}`, 'refuses', {
      session: session + 1,
      line: held[0] ?? '',
      others: held.length - 1,
    });
    return { state: 'fails', figure: null, against: 0, margin: -1, cause, workings: [] };
  }
  const uses = joints.flatMap(({ facts, window, spread }, i) => {
    const time = times[i];
    if (
      time === undefined ||
      facts.gluedMm2 === 0 ||
      window.openMin === null ||
      window.closedMin === null ||
      window.totalMin === null
    )
      return [];
    const use = (name: string, usedMin: number, windowMin: number) => ({
      label: facts.label,
      window: name,
      usedMin,
      windowMin,
      margin: 1 - usedMin / windowMin,
      spread,
    });
    return [
      use('open', time.closedAtMin - time.spreadStartMin, window.openMin.low),
      use('closed', time.pressedAtMin - time.closedAtMin, window.closedMin.low),
      use('total', time.pressedAtMin - time.spreadStartMin, window.totalMin.low),
    ];
  });
  if (uses.length === 0) return { ...atRest(0, finding('nothing-glued', 'warns')), state: 'close' };
  const worst = uses.reduce((a, b) => (b.margin < a.margin ? b : a));
  const missed = worst.margin < 0;
  return {
    state: missed ? 'fails' : worst.margin < COMFORTABLE_MARGIN ? 'close' : 'holds',
    figure: worst.windowMin - worst.usedMin,
    against: worst.windowMin,
    margin: worst.margin / (2 * COMFORTABLE_MARGIN),
    cause: finding(missed ? 'window-missed' : 'tightest-window', missed ? 'refuses' : 'informs', {
      line: worst.label,
      window: worst.window,
      usedMin: worst.usedMin,
      windowMin: worst.windowMin,
    }),
    workings: [
      finding('how-one-go', 'informs', {
        joints: joints.length,
        spreadMin: joints.reduce((sum, { spread }) => sum + spread.minutes, 0),
        closeMin: joints.reduce((sum, { closeMin }) => sum + closeMin, 0),
        crew: build.crew,
        paceFactor: shop.paceFactor,
        handsOnMin,
      }),
    ],
  };
}

function tight(parts: AssemblyPlanParts): Judged {
  const { joints, adhesive, build, squeeze } = parts;
  const pulls = parts.pulls.map((pull) => leastOf(pull, squeeze));
  const share = ({ reachMPa, wanted }: PlannedPull) => reachMPa / wanted.lowMPa;
  const weakest = pulls.reduce((a, b) => (share(b) < share(a) ? b : a));
  const said = squeeze?.pulls.flatMap(({ findings }) => findings) ?? [];
  const blocking = said.find(({ severity }) => severity === 'refuses');
  const trouble = said.find(({ severity }) => severity === 'warns');
  const wet = joints.flatMap(({ window }) => window.findings).find(({ code }) => code === 'wood-too-wet');
  const open = joints.find(({ closing }) => closing === 'back-to-plane');
  const costly = joints.find(({ closing }) => closing === 'costly');
  const cause =
    wet ??
    (standsService(adhesive.service, build.service)
      ? undefined
      : finding('service-too-hard', 'refuses', { rated: adhesive.service, wanted: build.service })) ??
    (open === undefined ? undefined : gap('joint-gap', 'refuses', open, adhesive.gapMm)) ??
    (weakest.taken.length === 0
      ? finding('nothing-to-pull-with', 'refuses', {
          line: weakest.joint,
          need: weakest.pull.need,
          openingMm: weakest.pull.openingMm,
        })
      : undefined) ??
    blocking ??
    (costly === undefined ? undefined : gap('joint-gap-costs', 'warns', costly, adhesive.gapMm)) ??
    pullCause(weakest, trouble);
  const state = cause.severity === 'refuses' ? 'fails' : cause.severity === 'warns' ? 'close' : 'holds';
  const margin = share(weakest) < 1 ? share(weakest) - 1 : Math.min(1, share(weakest) - 1 + 0.2);
  return {
    state,
    ...(weakest.seats
      ? { kind: 'force', figure: weakest.reachN, against: weakest.neededN }
      : { figure: weakest.reachMPa, against: weakest.wanted.lowMPa }),
    margin: state === 'fails' ? Math.min(margin, -0.02) : margin,
    cause,
    workings: [
      finding('how-pull', 'informs', {
        line: weakest.joint,
        need: weakest.pull.need,
        areaMm2: weakest.areaMm2,
        neededN: weakest.neededN,
        reachN: weakest.reachN,
        clamps: weakest.taken.reduce((sum, { count }) => sum + count, 0),
        lowMPa: weakest.wanted.lowMPa,
      }),
    ],
  };
}

function gap(
  code: string,
  severity: Finding['severity'],
  { facts, gap: read, closingForceN }: PlannedJoint,
  glueMm: number,
): Finding {
  return finding(code, severity, {
    line: facts.label,
    gapMm: Math.abs(read?.gapMm ?? 0),
    forceN: closingForceN,
    glueMm,
  });
}

function pullCause(
  { word, joint, pull, reachMPa, wanted, neededN, reachN }: PlannedPull,
  trouble: Finding | undefined,
): Finding {
  const values = { line: joint, need: pull.need, minMPa: reachMPa, lowMPa: wanted.lowMPa, neededN, reachN };
  if (word === 'crushes') return finding('pull-crushes', 'refuses', values);
  if (word === 'under-pressed') return finding('pull-short', 'refuses', values);
  if (word === 'light') return finding('pull-light', 'warns', values);
  if (trouble !== undefined) return trouble;
  return finding('pull-meets', 'informs', values);
}

function square({ facts, build }: AssemblyPlanParts): Judged {
  const check = facts.assembly.square;
  const limit = build.goals.squareMm;
  const { acMm, bdMm } = build.dryFit;
  if (check.kind === 'none') return atRest(limit, finding('nothing-to-square', 'informs'));
  if (check.kind === 'diagonals' && (acMm === null || bdMm === null)) {
    return {
      state: 'close',
      figure: null,
      against: limit,
      margin: 0,
      cause: finding('diagonals-unread', 'warns', sizesOf(check)),
      workings: [finding('how-diagonals', 'informs', sizesOf(check))],
    };
  }
  if (check.kind === 'diagonals') {
    const figure = Math.abs((acMm ?? 0) - (bdMm ?? 0)) / 2;
    return against(
      figure,
      limit,
      (over) => finding('diagonals-read', over ? 'refuses' : 'informs', { mm: figure, ...sizesOf(check) }),
      [finding('how-diagonals', 'informs', sizesOf(check))],
    );
  }
  const cutErrorDeg = build.squeeze?.cutErrorDeg ?? CAREFUL_SAW_DEG;
  const { gapMm } = mitrePolygon({
    sidesMm: Array.from({ length: check.corners }, () => 100),
    anglesDeg: Array.from({ length: check.corners }, () => check.lastAngleDeg),
    memberWidthMm: check.faceMm,
    cutErrorDeg,
  });
  const values = { mm: gapMm, errorDeg: cutErrorDeg, corners: check.corners, faceMm: check.faceMm };
  return against(gapMm, limit, (over) => finding('last-mitre-opens', over ? 'warns' : 'informs', values), [
    finding('how-mitres', 'informs', values),
  ]);
}

const sizesOf = ({ abMm, bcMm }: { readonly abMm: number; readonly bcMm: number }) => ({
  abMm,
  bcMm,
  diagonalMm: Math.hypot(abMm, bcMm),
});

function flat({ facts, build, joints }: AssemblyPlanParts): Judged {
  const check = facts.assembly.flat;
  const limit = build.goals.flatMm;
  const { twistMm, bowMm } = build.dryFit;
  if (check.kind === 'balance' && !check.bothFaces) {
    return {
      state: 'fails',
      figure: null,
      against: limit,
      margin: -0.5,
      cause: finding('one-sided-bends', 'refuses'),
      workings: [],
    };
  }
  if (check.kind === 'springback') {
    return against(
      check.springbackMm,
      Math.max(limit, check.springbackMm),
      () => finding('springback', 'informs', { mm: check.springbackMm }),
      [finding('how-springback', 'informs', { mm: check.springbackMm })],
    );
  }
  const mismatch = joints.find((joint) => joint.mcPct - joint.mcOtherPct >= MISMATCH_PCT);
  if (mismatch !== undefined) {
    return {
      state: 'close',
      figure: null,
      against: limit,
      margin: 0,
      cause: finding('moisture-differs', 'warns', {
        line: mismatch.facts.label,
        mcPct: mismatch.mcPct,
        otherPct: mismatch.mcOtherPct,
      }),
      workings: [],
    };
  }
  if (check.kind === 'none') return atRest(limit, finding('nothing-to-flatten', 'informs'));
  if (twistMm === null && bowMm === null) {
    return { ...atRest(limit, finding('flatness-unread', 'warns')), state: 'close', margin: 0 };
  }
  const stays = build.squeeze?.clampedDown === true ? STAYS_CLAMPED_DOWN : 1;
  const figure = stays * Math.max(Math.abs(twistMm ?? 0), Math.abs(bowMm ?? 0));
  const code = Math.abs(twistMm ?? 0) >= Math.abs(bowMm ?? 0) ? 'boards-twisted' : 'boards-bowed';
  return against(figure, limit, (over) => finding(code, over ? 'refuses' : 'informs', { mm: figure }), []);
}

function atRest(limit: number, cause: Finding): Judged {
  return { state: 'holds', figure: null, against: limit, margin: 1, cause, workings: [] };
}

function against(
  figure: number,
  limit: number,
  cause: (over: boolean) => Finding,
  workings: readonly Finding[],
): Judged {
  const margin = 1 - figure / limit;
  const over = margin < -1e-9;
  const said = cause(over);
  return {
    state: over
      ? said.severity === 'warns'
        ? 'close'
        : 'fails'
      : margin < CLOSE_SHARE && said.code !== 'springback'
        ? 'close'
        : 'holds',
    figure,
    against: limit,
    margin,
    cause: said,
    workings,
  };
}
