import type { Finding, FlatPart, SquarePart, WorkingValues } from '@lean-clasp/core/findings';
import { formatClock, formatCount } from '@lean-clasp/core/units';
import type { Format } from './format';

/** How a figure was got: the rule in words, the numbers put into it, where it comes from and how far it holds. */
export interface Working {
  readonly title: string;
  readonly rule: string;
  readonly inputs: readonly (readonly [name: string, value: string])[];
  readonly source: string;
}

type Explain<Values> = (values: Readonly<Values>, f: Format) => Working;

const two = (value: number) => value.toFixed(2);

const PART_NAMES: Readonly<Record<FlatPart | SquarePart, string>> = {
  'bow-from-pull': 'bow from a pull off mid-thickness',
  'faces-not-flush': 'steps between faces',
  'moisture-cup': 'cup through the year',
  'cauls-bend': 'what cauls bend away by, for want of crown',
  'boards-bowed': 'bow read at the dry fit, after curing',
  'boards-twisted': 'twist read at the dry fit, after curing',
  'ends-stopped': 'creep against a stop',
  'ends-free': 'creep without a stop',
  'lengths-differ': 'difference in board length',
  'diagonals-differ': 'from the dry-fit diagonals',
};

function parts(values: Partial<Record<FlatPart | SquarePart, number>>, f: Format): [string, string][] {
  return (Object.keys(PART_NAMES) as (FlatPart | SquarePart)[]).flatMap((code): [string, string][] => {
    const mm = values[code];
    return mm === undefined ? [] : [[PART_NAMES[code], f.fine(mm)]];
  });
}

const EXPLANATIONS: { readonly [Code in keyof WorkingValues]: Explain<WorkingValues[Code]> } = {
  'how-pull': ({ line, reachN, neededN, need, areaMm2, lowMPa, clamps }, f) => ({
    title: `Pull on ${line}: ${f.force(reachN)} of ${f.force(neededN)}`,
    rule:
      need === 'seat'
        ? 'Shoulders and housings need seating, not line pressure. One force goes through all joints behind each other, as at both ends of a rail, so that each line of pull wants what the stiffest of its joints does; a shoulder is asked to bear half of what crushes it at most.'
        : need === 'band'
          ? 'A band of tension T presses a corner of inside angle θ with T·sin(θ/2), without friction; the sharpest corner gets least. Mitres that fit want to be closed rather than pressed: 0.1 MPa and more.'
          : 'Least pressure wanted × glued area; stacked joints share one force.',
    inputs: [
      ['glued area', `${(areaMm2 / 100).toFixed(0)} cm²`],
      ['pressure wanted', f.pressure(lowMPa)],
      ['clamps taken from the rack', String(clamps)],
    ],
    source:
      'Pressures by density and family as under Sums; seating forces and what a fitted mitre wants: judgement.',
  }),
  'how-ironed': ({ mm, seconds, mostMm }, f) => ({
    title: `Heat through ${f.fine(mm)}`,
    rule: 'Heat of a warm iron spreads through wood as x²/(2a); thin strips let it through in seconds, thick ones scorch first.',
    inputs: [
      ['time until the film is warm', `about ${seconds.toFixed(1)} s`],
      ['comfortable up to', f.fine(mostMm)],
    ],
    source:
      'Diffusivity of wood across its grain 0.15 mm²/s (wood handbooks); what an iron may do: judgement.',
  }),
  'how-one-sided': ({ lowMm, highMm, filmGPerM2 }, f) => ({
    title: `Bow of a sheet veneered on one face: ${f.fine(lowMm)} to ${f.fine(highMm)}`,
    rule: 'The veneer swells with the water of the film, is glued down so and shrinks again: a strip of two layers bends by its strain, the larger of across the grain over the width and along the grain over the length. 15 to 35 % of the film is water that goes into the veneer; creep leaves 30 to 100 % of it.',
    inputs: [['glue', `${filmGPerM2.toFixed(0)} g/m²`]],
    source: 'Beam theory of two layers (Timoshenko); shares of water and creep are judgement.',
  }),
  'how-crossed': ({ gluedMm, movesMm, perPct, lowPct, highPct }, f) => ({
    title: `Moves ${f.fine(movesMm)} to either side where grain crosses`,
    rule: 'Half the width that is glued across the grain × movement for each per cent × (wettest − driest of the year).',
    inputs: [
      ['glued across', f.length(gluedMm)],
      ['movement', `${(100 * perPct).toFixed(2)} % for each % of moisture`],
      ['moisture over the year', `${lowPct} to ${highPct} %`],
    ],
    source: `Shrinkage coefficients of the Wood Handbook, flat-sawn. ${f.fine(0.5)} is well, past ${f.fine(1)} it fails: judgement.`,
  }),
  'how-splay': ({ mm, legMm, errorDeg }, f) => ({
    title: `Splay of a free end: ${f.fine(mm)}`,
    rule: 'Both cuts of its corner are off by ε: the leg swings by 2ε, its end by leg × tan(2ε).',
    inputs: [
      ['leg', f.length(legMm)],
      ['error of each cut', `${errorDeg}°`],
    ],
    source: 'Plane geometry; the error of a careful saw set-up is judgement.',
  }),
  'how-diagonals': ({ abMm, bcMm, diagonalMm }, f) => ({
    title: 'Diagonals',
    rule: 'A four-sided frame with true sides is square when its diagonals are alike; pull the long one by half their difference.',
    inputs: [
      ['sides', `${f.length(abMm)} × ${f.length(bcMm)}`],
      ['each diagonal when square', f.fine(diagonalMm)],
    ],
    source: 'Plane geometry.',
  }),
  'how-mitres': ({ corners, errorDeg, faceMm }, f) => ({
    title: 'Opening of the last mitre',
    rule: 'Both cuts of each corner are off by ε; with the other corners closed, the last of n shows w·tan(2nε)/sin(θ/2).',
    inputs: [
      ['corners', String(corners)],
      ['error of each cut', `${errorDeg}°`],
      ['face of the mitre', f.length(faceMm)],
    ],
    source: 'Plane geometry; the error of a careful saw set-up is judgement.',
  }),
  'how-springback': ({ mm }, f) => ({
    title: `Springback: the ends move ${f.fine(mm)}`,
    rule: 'The curvature of n plies opens by about 1/n²; the form is made tighter by as much.',
    inputs: [['at the ends', f.fine(mm)]],
    source: 'Textbook rule for laminations of equal plies.',
  }),
  'how-window': (
    {
      window,
      windowMin,
      openRefLowMin,
      openRefHighMin,
      totalRefLowMin,
      totalRefHighMin,
      tempC,
      rhPct,
      mcPct,
      openFactor,
      closedFactor,
    },
    f,
  ) => ({
    title: `Window: ${window} time at the unfavourable end, ${formatClock(windowMin)}`,
    rule: 'Open time = label time × film^0.7 × √(reference drying ÷ today’s drying) × absorption, kept between 0.4 and 2.2 times the label. Closed time does not evaporate: only temperature, moisture and absorption move it, 0.7 to 1.3 times. Resins: half the time for every 10 °C warmer.',
    inputs: [
      ['label open time', `${openRefLowMin}–${openRefHighMin} min`],
      ['label total time', `${totalRefLowMin}–${totalRefHighMin} min`],
      ['air', `${f.temperature(tempC)}, ${rhPct} %`],
      ['wood moisture', `${mcPct.toFixed(1)} %`],
      ['open factor', two(openFactor)],
      ['closed factor', two(closedFactor)],
    ],
    source:
      'Label times: typical published sheets of the family; your bottle’s label wins. Climate: judgement, shape from physics.',
  }),
  'how-time-used': ({
    line,
    usedMin,
    crew,
    clamps,
    spreadMin,
    handsOnMin,
    spreadPace,
    closePace,
    pressPace,
    learnedRuns,
  }) => ({
    title: `Work on ${line}: ${formatClock(usedMin)}`,
    rule: 'Spreading, closing, cauls, clamps and the second pass, each by whoever is free; a joint burns from its first bead until what presses it is at full pull.',
    inputs: [
      ['pairs of hands', String(crew)],
      ['clamps', String(clamps)],
      ['spreading it', formatClock(spreadMin)],
      ['pace: spreading', `× ${two(spreadPace)}`],
      ['closing', `× ${two(closePace)}`],
      ['clamps', `× ${two(pressPace)}`],
      ['whole session', formatClock(handsOnMin)],
    ],
    source:
      learnedRuns > 0
        ? `Minutes for each move: judgement for one practised person, at your own pace as learned from ${learnedRuns} glue-ups.`
        : 'Minutes for each move: judgement for one practised person. The logbook shows how near they were.',
  }),
  'how-target': ({ lowMPa, highMPa, sg }, f) => ({
    title: `Pressure wanted: ${f.pressure(lowMPa)} to ${f.pressure(highMPa)}`,
    rule: 'Water-borne glue wants a thin line, and dense wood gives less: up to specific gravity 0.42 0.7–1.0 MPa, up to 0.58 0.9–1.2, above 1.2–1.7. Where woods differ the softer sets it. Resins want contact only.',
    inputs: [['specific gravity of the softer wood', two(sg)]],
    source: 'Density-matched shop practice; see docs/models.md.',
  }),
  'how-mean-pressure': ({ meanMPa, totalN, lengthMm, heightMm, typical, spreadPct }, f) => ({
    title: `Mean pressure: ${f.pressure(meanMPa)}`,
    rule: 'Sum of the clamp forces ÷ (length of the line × its height). Every line carries the whole force.',
    inputs: [
      ['all clamps', f.force(totalN)],
      ['line', `${f.length(lengthMm)} × ${f.length(heightMm)}`],
      ['clamps with a typical force', `${typical} (± ${spreadPct} %)`],
    ],
    source: 'Statics. Typical forces by kind are judgement; measure your own and enter them under Shop.',
  }),
  'how-lowest-pressure': ({ line, minMPa, depthMm, meanMPa, maxMPa }, f) => ({
    title: `Lowest on ${line}: ${f.pressure(minMPa)}`,
    rule: 'Each clamp’s push spreads through the wood as a bell whose width grows with the distance from jaw to line; the bells add up, and free ends get less than gaps between clamps.',
    inputs: [
      ['jaw to line, nearer edge', f.length(depthMm)],
      ['mean', f.pressure(meanMPa)],
      ['highest', f.pressure(maxMPa)],
    ],
    source:
      'Closed form fitted to fine-mesh finite elements; ± 8 % of the mean for three boards or more. See docs/models.md.',
  }),
  'how-pressed': ({ line, minMPa, meanMPa, maxMPa, unknowns, iterations }, f) => ({
    title: `Lowest on ${line}: ${f.pressure(minMPa)}`,
    rule: 'Every board is cut into small rectangles, stiff along the grain and soft across it; wet lines pass on push, never pull; where a line would have to pull, it opens. The forces that then hold the lines apart are the pressure.',
    inputs: [
      ['mean', f.pressure(meanMPa)],
      ['highest', f.pressure(maxMPa)],
      ['unknowns', formatCount(unknowns)],
      ['rounds until contact settled', String(iterations)],
    ],
    source:
      'Finite elements in orthotropic plane stress with contact; within 2 % of the mean of finer ones. See docs/models.md.',
  }),
  'how-closing-order': ({ line, worstFirstN, inTurnN }, f) => ({
    title: `Order of closing: ${line} first saves pull`,
    rule: 'Boards that are already together bend as one deep beam. A sprung line closed while both its neighbours are still loose takes least; closed last, it may never close.',
    inputs: [
      ['worst gap first', f.force(worstFirstN)],
      ['in turn from the first edge', inTurnN < 0 ? 'does not close' : f.force(inTurnN)],
    ],
    source: 'Beam with shear on a bed that cannot pull; see docs/models.md.',
  }),
  'how-light-squeeze': ({ lowMPa, fromMin, toMin, strengthLow, strengthHigh }, f) => ({
    title: `Light squeeze: ${f.pressure(lowMPa)} and more, then once again`,
    rule: `A thick line of glue that fills, pressed lightly, and squeezed a second time after ${fromMin} to ${toMin} minutes. It is weaker than a thin line.`,
    inputs: [
      [
        'strength of a thin line that may be expected',
        `${Math.round(100 * strengthLow)}–${Math.round(100 * strengthHigh)} %`,
      ],
    ],
    source: 'Judgement: a school for rough outdoor work. A proof coupon from the same glue tells more.',
  }),
  'how-cauls': ({ crownMm, endForceN, loadNPerMm, pullNPerMm, strutNPerMm, boardsNPerMm, haveMm }, f) => ({
    title: `Cauls: crown ${f.fine(crownMm)}, ${f.force(endForceN)} at each end`,
    rule: 'A caul presses with what works against flat: the moment of a pull off mid-thickness (9.6 × moment ÷ width²), a share of the pull against popping (3 %), and what flattens the boards’ own bow and twist. Its crown is what it bends by under that.',
    inputs: [
      ['along each caul', `${two(loadNPerMm)} N/mm`],
      ['from the line of pull', `${two(pullNPerMm)} N/mm`],
      ['against popping', `${two(strutNPerMm)} N/mm`],
      ['from the boards', `${two(boardsNPerMm)} N/mm`],
      ['crown they have', f.fine(haveMm)],
    ],
    source: 'Beam and plate theory; the 3 % is the usual rule for bracing struts. See docs/models.md.',
  }),
  'how-square': ({ figureMm, trimMm, diagonalsRead, ...values }, f) => ({
    title: `Ends out of square: ${f.fine(figureMm)} over the width`,
    rule: 'Creep of the boards + difference in length + what the dry-fit diagonals say ((d₁² − d₂²) ÷ 4·length), less what is left long and sawn off.',
    inputs: [
      ...parts(values, f),
      ['left long at each end', f.length(trimMm)],
      ['diagonals read', diagonalsRead],
    ],
    source: 'Geometry; creep with and without stops is judgement.',
  }),
  'how-strut': ({ loadShare, lineLoadNPerMm, bucklingNPerMm, thicknessMm, widthMm, heldBy }, f) => ({
    title: `Load across the panel: ${two(loadShare)} of what pops it`,
    rule: 'A flat panel pressed edge to edge is a strut across the grain: it pops at π² × cross-grain stiffness × thickness³ ÷ (12 × width²) unless bars touch both faces or cauls hold it.',
    inputs: [
      ['pull per length', `${two(lineLoadNPerMm)} N/mm`],
      ['pops at', `${two(bucklingNPerMm)} N/mm`],
      ['thickness, width', `${f.length(thicknessMm)}, ${f.length(widthMm)}`],
      ['held by', heldBy],
    ],
    source: 'Euler strut, pinned edges (the worst case).',
  }),
  'how-lift': ({ freeMm, downMm }, f) => ({
    title: 'Lift from the pull, corners held down',
    rule: 'A pull off the middle lifts the middle or the ends; what is clamped to a flat base while it cures keeps three tenths of that [judgement].',
    inputs: [
      ['lift, free', f.fine(freeMm)],
      ['what stays', f.fine(downMm)],
    ],
    source: 'Beam under an off-centre pull; share that stays: judgement.',
  }),
  'how-flat': (values, f) => ({
    title: 'Out of flat, part by part',
    rule: 'The unfavourable ends of every part added up.',
    inputs: parts(values, f),
    source: 'Cup: stress-free map of the rings. Steps and what stays after curing: judgement.',
  }),
};

/** The codes of the workings. */
export const EVERY_WORKING = Object.keys(EXPLANATIONS);

/** Opens a working up; undefined for a code that nobody has explained. */
export function workingOf(finding: Finding, f: Format): Working | undefined {
  const explain = EXPLANATIONS[finding.code as keyof WorkingValues] as Explain<Finding['values']> | undefined;
  return explain?.(finding.values, f);
}
