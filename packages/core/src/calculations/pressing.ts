import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { InputError } from '../basics/checks';
import { type Finding, finding } from '../findings';
import { bounded, oneOf, orNull, strictObject } from '../formats';
import { LIMITS } from '../basics/limits';
import { resolveSpecies } from '../materials';
import { caulCrown, panelPressure as pressureOf, panelStrut, type PressedBoard } from '../mechanics';
import { calculation } from './calculation';
import { FindingsSchema, optional, SpeciesSchema } from './shared-schemas';

const Cut = oneOf(['flat', 'quarter', 'rift']);
const width = bounded(LIMITS.boardWidthMm);
const thickness = bounded(LIMITS.boardThicknessMm);
const force = Type.Number({ minimum: 0, maximum: LIMITS.clampForceN.max });
const Board = strictObject({
  widthMm: width,
  species: SpeciesSchema,
  cut: Cut,
  thicknessMm: optional(thickness),
});
const Boards = Type.Array(Board, { minItems: 1, maxItems: 60 });
/** A board that may be shorter than the panel. */
const OwnStretch = strictObject({
  ...Board.properties,
  fromMm: optional(Type.Number({ minimum: 0, maximum: LIMITS.boardLengthMm.max })),
  lengthMm: optional(bounded(LIMITS.boardLengthMm)),
});
const Batten = strictObject({
  widthMm: width,
  thicknessMm: thickness,
  species: SpeciesSchema,
  cut: optional(Cut),
});

function boardsOf(
  boards: readonly (Static<typeof Board> & Pick<Static<typeof OwnStretch>, 'fromMm' | 'lengthMm'>)[],
  thicknessMm: number,
): PressedBoard[] {
  return boards.map((board, i) => ({
    widthMm: board.widthMm,
    cut: board.cut,
    thicknessMm: board.thicknessMm ?? thicknessMm,
    fromMm: board.fromMm,
    lengthMm: board.lengthMm,
    wood: resolveSpecies(board.species, `boards.${i}.species`).properties,
  }));
}

const Maple = { widthMm: 120, species: 'hard-maple', cut: 'flat' as const };

/** Pressure along the glue lines of a panel, by finite elements. */
export const panelPressure = calculation({
  name: 'panel-pressure',
  doc: 'Pressure along every glue line of an edge-clamped panel, by finite elements with contact.',
  input: strictObject({
    boards: Type.Array(OwnStretch, { minItems: 1, maxItems: 60 }),
    /** May be left out where every board says its own. */
    lengthMm: optional(bounded(LIMITS.boardLengthMm)),
    thicknessMm: thickness,
    clamps: Type.Array(
      strictObject({
        xMm: bounded(LIMITS.clampPositionMm),
        forceN: force,
        padMm: bounded(LIMITS.padSideMm),
      }),
      {
        maxItems: 120,
      },
    ),
    battens: optional(Batten),
    gaps: optional(
      Type.Array(
        strictObject({
          line: Type.Integer({ minimum: 0, maximum: 60 }),
          profileMm: Type.Array(Type.Number({ minimum: -20, maximum: 20 }), { minItems: 2, maxItems: 400 }),
        }),
        { maxItems: 60 },
      ),
    ),
    samples: optional(Type.Integer({ minimum: 2, maximum: 1001 })),
  }),
  output: strictObject({
    lines: Type.Array(
      strictObject({
        pressureMPa: Type.Array(Type.Number()),
        openMm: Type.Array(Type.Number()),
        minMPa: Type.Number(),
        meanMPa: Type.Number(),
        maxMPa: Type.Number(),
        closed: Type.Boolean(),
        /** Where along the panel its two boards meet; stations run from one to the other. */
        fromMm: Type.Number(),
        toMm: Type.Number(),
      }),
    ),
    status: oneOf(['converged', 'not-converged', 'unstable']),
    effort: strictObject({ dof: Type.Integer(), iterations: Type.Integer(), ms: Type.Number() }),
    findings: FindingsSchema,
  }),
  example: {
    boards: [Maple, Maple, Maple, Maple, Maple],
    lengthMm: 1000,
    thicknessMm: 20,
    clamps: [125, 375, 625, 875].map((xMm) => ({ xMm, forceN: 3000, padMm: 30 })),
  },
  compute: ({ boards: given, lengthMm: whole, thicknessMm, clamps, battens, gaps, samples }) => {
    const boards = boardsOf(given, thicknessMm);
    const lengthMm = whole ?? lengthOf(boards);
    const batten =
      battens === undefined
        ? undefined
        : {
            widthMm: battens.widthMm,
            thicknessMm: battens.thicknessMm,
            cut: battens.cut ?? 'flat',
            wood: resolveSpecies(battens.species, 'battens.species').properties,
          };
    const pressed = pressureOf({ boards, lengthMm, clamps, batten, gaps, samples });
    return {
      lines: pressed.lines.map(({ pressureMPa, openMm, minMPa, meanMPa, maxMPa, closed, fromMm, toMm }) => ({
        pressureMPa: [...pressureMPa],
        openMm: [...openMm],
        minMPa,
        meanMPa,
        maxMPa,
        closed,
        fromMm,
        toMm,
      })),
      status: pressed.status,
      effort: {
        dof: pressed.unknowns,
        iterations: pressed.iterations,
        // The caller knows the clock.
        ms: 0,
      },
      findings: pressingFindings(boards, clamps, pressed.lines).map((each) => ({
        ...each,
        values: { ...each.values },
      })),
    };
  },
});

/** The panel that boards with their own stretch make. */
function lengthOf(boards: readonly PressedBoard[]): number {
  const open = boards.findIndex(({ lengthMm }) => lengthMm === undefined);
  if (open !== -1) {
    throw new InputError(
      'missing',
      'lengthMm',
      `Neither the panel nor board ${open + 1} says how long it is.`,
      'lengthMm of the panel, or of every board',
    );
  }
  return Math.max(...boards.map(({ fromMm = 0, lengthMm = 0 }) => fromMm + lengthMm));
}

/** Clamps nearer to each other than this press as one, mm. */
const SAME_PLACE_MM = 5;

/** What to know of a pressure beside its numbers. */
function pressingFindings(
  boards: readonly PressedBoard[],
  clamps: readonly { readonly xMm: number; readonly forceN: number; readonly padMm: number }[],
  lines: readonly { readonly openMm: readonly number[]; readonly closed: boolean }[],
): Finding[] {
  const found: Finding[] = [];
  if (clamps.every(({ forceN }) => forceN === 0)) found.push(finding('no-pull', 'warns'));
  clamps.forEach((clamp, i) => {
    const twin = clamps.findIndex((other, k) => k > i && Math.abs(other.xMm - clamp.xMm) < SAME_PLACE_MM);
    if (twin >= 0)
      found.push(finding('clamps-in-one-place', 'warns', { first: i + 1, second: twin + 1, xMm: clamp.xMm }));
  });
  lines.forEach(({ openMm, closed }, line) => {
    if (!closed) found.push(finding('line-open', 'warns', { line, openMm: Math.max(...openMm) }));
    const [one, other] = [boards[line]?.thicknessMm ?? 0, boards[line + 1]?.thicknessMm ?? 0];
    if (one !== other) {
      found.push(finding('thickness-differs', 'informs', { line, thicknessMm: Math.min(one, other) }));
    }
  });
  const thickest = Math.max(...boards.map(({ thicknessMm }) => thicknessMm));
  const shortest = Math.min(...clamps.map(({ padMm }) => padMm));
  if (shortest < thickest) {
    found.push(finding('pads-short', 'informs', { padMm: shortest, thicknessMm: thickest }));
  }
  return found;
}

/** Bow of a panel pulled off its middle. */
export const panelBow = calculation({
  name: 'panel-bow',
  doc: 'Bow of a panel whose clamps pull above or below mid-thickness, whether the faces part, and whether it pops.',
  input: strictObject({
    boards: Boards,
    lengthMm: bounded(LIMITS.boardLengthMm),
    thicknessMm: thickness,
    clamps: Type.Array(
      strictObject({
        xMm: bounded(LIMITS.clampPositionMm),
        forceN: force,
        offsetMm: bounded(LIMITS.lineOfPullOffsetMm),
      }),
      { maxItems: 120 },
    ),
    /** Bars or cauls lie against both faces. */
    restrained: optional(Type.Boolean()),
  }),
  output: strictObject({
    /** Null where it pops. */
    sagittaMm: orNull(Type.Number()),
    fullContact: Type.Boolean(),
    kernRatio: Type.Number(),
    jointOpenMm: Type.Number(),
    loadShare: Type.Number(),
    findings: FindingsSchema,
  }),
  example: {
    boards: [Maple, Maple, Maple, Maple, Maple],
    lengthMm: 1000,
    thicknessMm: 20,
    clamps: [125, 375, 625, 875].map((xMm) => ({ xMm, forceN: 1500, offsetMm: -2 })),
  },
  compute: ({ boards: given, lengthMm, thicknessMm, clamps, restrained = false }) => {
    const totalN = clamps.reduce((sum, { forceN }) => sum + forceN, 0);
    const offsetMm =
      totalN === 0 ? 0 : clamps.reduce((sum, clamp) => sum + clamp.forceN * clamp.offsetMm, 0) / totalN;
    if (Math.abs(offsetMm) >= thicknessMm / 2) {
      throw new InputError(
        'inconsistent',
        'clamps',
        `The pull passes ${Math.abs(offsetMm).toFixed(1)} mm off the middle, outside a panel ${thicknessMm} mm thick.`,
        `less than ${thicknessMm / 2} mm off the middle`,
      );
    }
    const strut = panelStrut({
      boards: boardsOf(given, thicknessMm),
      thicknessMm,
      lineLoadNPerMm: totalN / lengthMm,
      offsetMm,
    });
    const pops = !restrained && strut.loadShare >= 1;
    return {
      sagittaMm: restrained ? 0 : strut.bowMm === null ? null : Math.abs(strut.bowMm),
      fullContact: strut.kernRatio <= 1,
      kernRatio: strut.kernRatio,
      jointOpenMm: strut.jointOpenMm,
      loadShare: strut.loadShare,
      findings: pops
        ? [{ code: 'buckles', severity: 'refuses' as const, values: { loadShare: strut.loadShare } }]
        : [],
    };
  },
});

/** Crown of a caul. */
export const caul = calculation({
  name: 'caul',
  doc: 'Crown to plane onto a caul so that it presses evenly once its ends are pulled down.',
  input: strictObject({
    lengthMm: bounded({ min: 50, max: 3000, unit: 'mm' }),
    widthMm: bounded({ min: 5, max: 300, unit: 'mm' }),
    depthMm: bounded({ min: 5, max: 300, unit: 'mm' }),
    species: SpeciesSchema,
    lineLoadNPerMm: Type.Number({ exclusiveMinimum: 0, maximum: 500 }),
  }),
  output: strictObject({
    crownMm: Type.Number(),
    endForceN: Type.Number(),
    profile: Type.Array(strictObject({ xMm: Type.Number(), yMm: Type.Number() })),
    bendingStressMPa: Type.Number(),
  }),
  example: { lengthMm: 600, widthMm: 40, depthMm: 50, species: 'hard-maple', lineLoadNPerMm: 5 },
  compute: ({ species, ...size }) => {
    const { profile, ...crown } = caulCrown({ ...size, eMPa: resolveSpecies(species).properties.eLMPa });
    return { ...crown, profile: profile.map((point) => ({ ...point })) };
  },
});
