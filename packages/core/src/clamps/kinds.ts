import { InputError } from '../basics/checks';

/**
 * A generic kind of clamp with typical usable force [judgement, ± 30 %]; a force measured by the person wins.
 */
export interface ClampKind {
  readonly id: string;
  readonly name: string;
  /** Typical usable force. Null where the kind gives a pressure instead of a force. */
  readonly forceN: number | null;
  /** Vacuum only: pressure at sea level. */
  readonly pressureMPa: number | null;
  /** Width of the jaw face along the work. */
  readonly padWidthMm: number;
  /** Height of the jaw face. */
  readonly padHeightMm: number;
  /** True for kinds that can pull a panel together across its width. */
  readonly spansPanels: boolean;
  /** Width along the work that a turning handle or a squeezing hand needs [judgement]. */
  readonly handleMm: number;
  /** From the bar or the throat to the end of the jaw [judgement]; 0 where nothing limits it. */
  readonly jawDepthMm: number;
}

function kind(
  id: string,
  name: string,
  forceN: number,
  pad: readonly [number, number],
  {
    spans = false,
    handleMm = 0,
    jawDepthMm = 0,
  }: { readonly spans?: boolean; readonly handleMm?: number; readonly jawDepthMm?: number } = {},
): ClampKind {
  return {
    id,
    name,
    forceN,
    pressureMPa: null,
    padWidthMm: pad[0],
    padHeightMm: pad[1],
    spansPanels: spans,
    handleMm,
    jawDepthMm,
  };
}

/** Turns of elastic at one place, in two layers, and what each pulls with [judgement]. */
const TURNS_A_PLACE = 8;
export const TURN_N = 50;

const KINDS: readonly ClampKind[] = [
  kind('t-bar', 'T-bar sash clamp', 6000, [40, 40], { spans: true, handleMm: 110, jawDepthMm: 55 }),
  kind('pipe', 'pipe clamp', 5000, [45, 50], { spans: true, handleMm: 100, jawDepthMm: 45 }),
  kind('parallel-jaw', 'parallel-jaw clamp', 5000, [45, 95], { spans: true, handleMm: 45, jawDepthMm: 95 }),
  kind('f-heavy', 'heavy F clamp', 4000, [38, 38], { spans: true, handleMm: 45, jawDepthMm: 120 }),
  kind('f-light', 'light F clamp', 1500, [28, 28], { spans: true, handleMm: 40, jawDepthMm: 80 }),
  kind('trigger', 'trigger clamp', 1000, [40, 60], { spans: true, handleMm: 60, jawDepthMm: 80 }),
  kind('c-clamp', 'C clamp', 5000, [25, 25], { handleMm: 90, jawDepthMm: 65 }),
  kind('hand-screw', 'hand screw', 2500, [45, 100], { handleMm: 60, jawDepthMm: 150 }),
  kind('edge', 'edge clamp', 1000, [25, 25], { handleMm: 60, jawDepthMm: 40 }),
  kind('band', 'band clamp', 1200, [25, 50]),
  // A steel strap drawn by a screw, as round a hose; with care it gives what a light bar does.
  kind('screw-band', 'screw band', 4000, [14, 20]),
  kind('cam-mitre', 'cam-action mitre clamp', 800, [20, 40]),
  kind('pointed-spring', 'pointed spring clamp', 250, [3, 3]),
  kind('spring', 'spring clamp', 150, [20, 25]),
  kind('tape', 'strip of tape', 30, [25, 25]),
  // A place is wrapped with up to eight turns in two layers.
  kind('elastic-wrap', 'wrapped place', TURNS_A_PLACE * TURN_N, [25, 25]),
  {
    id: 'vacuum',
    name: 'vacuum bag',
    forceN: null,
    pressureMPa: 0.085,
    padWidthMm: 1000,
    padHeightMm: 1000,
    spansPanels: false,
    handleMm: 0,
    jawDepthMm: 0,
  },
  kind('weight', 'weight', 100, [100, 100]),
];

const byId: ReadonlyMap<string, ClampKind> = new Map(KINDS.map((entry) => [entry.id, entry]));

/** How far a typical force may be off either way [judgement]. */
export const TYPICAL_FORCE_SPREAD = 0.3;

/** All clamp kinds. */
export function listClampKinds(): readonly ClampKind[] {
  return KINDS;
}

/**
 * Looks a clamp kind up.
 * @throws InputError `unknown-id`.
 */
export function findClampKind(id: string, field = 'clampKind'): ClampKind {
  const found = byId.get(id);
  if (found === undefined) {
    throw new InputError(
      'unknown-id',
      field,
      `There is no clamp kind "${id}".`,
      `one of ${[...byId.keys()].join(', ')}`,
    );
  }
  return found;
}

/** Whether a kind presses by air all over, as a bag does, rather than by jaws, straps or strips. */
export const isBag = (kind: string): boolean => findClampKind(kind).pressureMPa !== null;

/** Force of one clamp of a lot, N: measured by the person, else typical of its kind. */
export function lotForceN({
  kind,
  forceN,
}: {
  readonly kind: string;
  readonly forceN: number | null;
}): number {
  return forceN ?? findClampKind(kind).forceN ?? 0;
}

/** How far the jaws of a lot reach in, mm: measured by the person, else typical of its kind; 0 where nothing limits it. */
export const lotReachMm = ({ kind, reachMm }: { readonly kind: string; readonly reachMm?: number }): number =>
  reachMm ?? findClampKind(kind).jawDepthMm;

/** Strips of tape that hold a band or a seam lie no further apart than this; practice is 50 to 75 mm [judgement]. */
export const STRIPS_EVERY_MM = 60;

/** Room between jaws side by side, mm [judgement]. */
export const BETWEEN_JAWS_MM = 5;

/** Straps that are drawn tight once they lie round. */
export const BANDS: readonly string[] = ['band', 'screw-band'];
/** Kinds that go right round. */
export const ROUND: readonly string[] = [...BANDS, 'elastic-wrap'];
/** Kinds that come off a roll, go round or nip: they are not opened to a size. */
export const NOT_OPENED: readonly string[] = [
  ...ROUND,
  'tape',
  'vacuum',
  'weight',
  'spring',
  'pointed-spring',
];
