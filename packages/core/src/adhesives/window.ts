import { within } from '../basics/checks';
import { finding, type PlanFinding } from '../findings';
import { LIMITS } from '../basics/limits';
import { type GluingTraits, inBalancePct, vapourPressureDeficitKPa } from '../materials';
import { clamp, type Range, scaleRange, subtractRanges } from '../basics/range';
import type { Adhesive, Chemistry } from './adhesive';

/** Conditions of one glue line; wood and glue are as warm as the air unless said otherwise. */
export interface WindowConditions {
  readonly tempC: number;
  readonly rhPct: number;
  /** How many of the two faces are wetted. */
  readonly faces: 1 | 2;
  readonly traits: GluingTraits;
  /** Moisture content of the wood; defaults to equilibrium with the air. */
  readonly mcPct?: number | undefined;
  /** Wood that has just been brought in, or a bottle from a cold shelf. */
  readonly woodTempC?: number | undefined;
  readonly glueTempC?: number | undefined;
  /** Specific gravity of the wood, which draws heat from a melt; 0.5 if not said. */
  readonly sg?: number | undefined;
}

/** Vapour pressure deficit at 20 °C and 50 %. */
export const VPD_REF_KPA = 1.167;

/** Climate coefficients, all [judgement] with the shape taken from physics; the logbook calibrates them. */
const CLIMATE_MODEL = Object.freeze({
  vpdRefKPa: VPD_REF_KPA,
  vpdExponent: 0.5,
  filmExponent: 0.7,
  /** Wet film relative to the reference film when both faces are wetted. */
  filmBothFaces: 1.6,
  openFactor: Object.freeze({ min: 0.4, max: 2.2 }),
  closedFactor: Object.freeze({ min: 0.7, max: 1.3 }),
  absorb: Object.freeze({ min: 0.6, max: 1.15 }),
  mcRefPct: 9,
  /** Drier wood drinks faster: share of the open time per per cent of moisture. */
  absorbPerPctMc: 0.025,
  openPoredAbsorb: 0.93,
  /** Closed time of water-borne glue halves every so many degrees. */
  closedHalvingC: 46,
  /** Setting of water-borne glue halves its time every so many degrees. */
  settingHalvingC: 15,
  /** Extra setting time per per cent of moisture above the reference. */
  settingPerPctMc: 0.06,
  settingFactor: Object.freeze({ min: 0.6, max: 3 }),
  /** Reactive resins double their speed every so many degrees. */
  resinHalvingC: 10,
  tempRefC: 20,
  /** A hide glue put on at the first temperature gels at the second. */
  gel: Object.freeze({ hotC: 60, setsC: 35, min: 0.4, max: 3 }),
  /** A melt is laid on at the first temperature and no longer wets wood at the second. */
  melt: Object.freeze({ hotC: 120, setsC: 60, min: 0.4, max: 2 }),
  sgRef: 0.5,
  sgExponent: 0.3,
  moistureExponent: 0.5,
  instantFactor: Object.freeze({ min: 0.4, max: 2.5 }),
});

/** What went into a window, by name; these among it, whatever the family. */
export interface WindowFigures extends Readonly<Record<string, number | string>> {
  readonly tempC: number;
  readonly rhPct: number;
  readonly mcPct: number;
  readonly openRefLowMin: number;
  readonly openRefHighMin: number;
  readonly totalRefLowMin: number;
  readonly totalRefHighMin: number;
  readonly openFactor: number;
  readonly closedFactor: number;
}

/** Working and waiting times at given conditions, in minutes. Null when the family is refused. */
export interface AdhesiveWindow {
  readonly refused: boolean;
  readonly openMin: Range | null;
  readonly closedMin: Range | null;
  readonly totalMin: Range | null;
  readonly clampMin: Range | null;
  readonly machineMin: number | null;
  readonly fullCureMin: number | null;
  readonly findings: readonly PlanFinding[];
  /** Everything that went into the answer, so that anybody can recompute it. */
  readonly used: WindowFigures;
}

interface Factors {
  readonly open: number;
  readonly closed: number;
  /** Of the time in clamps. */
  readonly setting: number;
  /** Of the times until it may be machined and is fully cured. */
  readonly cure: number;
  readonly parts: Readonly<Record<string, number>>;
}

/**
 * Open, closed and total assembly time and waiting times of a family in a given climate.
 *
 * Water-borne: open × film^0.7·(VPD_ref/VPD)^0.5·absorb, clipped to 0.4–2.2. Closed time does not evaporate:
 * only moisture, absorption and temperature move it, clipped to 0.7–1.3. Reactive resins: 2^((20 − T)/10).
 * Moisture-curing: the same for open and closed; curing also × (absolute humidity ref/actual)^0.5. Hot hide and hot
 * melt: time to cool from hot to setting, ln((hot − T)/(sets − T)), T that of the wood; denser wood cools a melt sooner,
 * × (0.5/SG)^0.3. Instant glue: (absolute humidity ref/actual)^0.5, clipped to 0.4–2.5.
 * Total scales by the mean of the open and closed factors weighted by their likely minutes, so that open +
 * closed = total stays true of the likely figures.
 * Range: from the family's minimum temperature to 60 °C; below the minimum the line is refused, not slowed.
 * Source: reference times [label], climate [judgement].
 */
export function adhesiveWindow(adhesive: Adhesive, conditions: WindowConditions): AdhesiveWindow {
  const tempC = within(conditions.tempC, 'tempC', LIMITS.tempC);
  const rhPct = within(conditions.rhPct, 'rhPct', LIMITS.relativeHumidityPct);
  const mcPct = within(conditions.mcPct ?? inBalancePct({ tempC, rhPct }), 'mcPct', LIMITS.moisturePct);
  const woodTempC = within(conditions.woodTempC ?? tempC, 'woodTempC', LIMITS.tempC);
  const glueTempC = within(conditions.glueTempC ?? tempC, 'glueTempC', LIMITS.tempC);
  const factors = FACTORS[adhesive.chemistry]({ tempC, woodTempC, rhPct, mcPct, conditions });
  const closedRef = adhesive.closedMin ?? subtractRanges(adhesive.totalMin, adhesive.openMin);
  const totalFactor =
    (adhesive.openMin.likely * factors.open + closedRef.likely * factors.closed) /
    (adhesive.openMin.likely + closedRef.likely);
  // Heated glues come to the joint warm whatever the shelf.
  const coldestC = Math.min(tempC, woodTempC, isHeated(adhesive) ? Number.POSITIVE_INFINITY : glueTempC);
  const findings = findingsFor(adhesive, { tempC, woodTempC, glueTempC, coldestC, mcPct }, conditions.traits);
  const refused = coldestC < adhesive.minTempC;
  const used = {
    adhesive: adhesive.id,
    tempC,
    rhPct,
    mcPct,
    ...(woodTempC === tempC ? {} : { woodTempC }),
    ...(glueTempC === tempC ? {} : { glueTempC }),
    ...(adhesive.labelled.length === 0 ? {} : { fromTheLabel: adhesive.labelled.join(', ') }),
    minTempC: adhesive.minTempC,
    ...rangeEntries('openRef', adhesive.openMin),
    ...rangeEntries('closedRef', closedRef),
    ...rangeEntries('totalRef', adhesive.totalMin),
    ...rangeEntries('clampRef', adhesive.clampMin),
    machineRefMin: adhesive.machineMin,
    fullCureRefMin: adhesive.fullCureMin,
    openFactor: factors.open,
    closedFactor: factors.closed,
    totalFactor,
    settingFactor: factors.setting,
    cureFactor: factors.cure,
    ...factors.parts,
  };
  if (refused) {
    return {
      refused,
      openMin: null,
      closedMin: null,
      totalMin: null,
      clampMin: null,
      machineMin: null,
      fullCureMin: null,
      findings,
      used,
    };
  }
  return {
    refused,
    openMin: scaleRange(adhesive.openMin, factors.open),
    closedMin: scaleRange(closedRef, factors.closed),
    totalMin: scaleRange(adhesive.totalMin, totalFactor),
    clampMin: scaleRange(adhesive.clampMin, factors.setting),
    machineMin: adhesive.machineMin * factors.cure,
    fullCureMin: adhesive.fullCureMin * factors.cure,
    findings,
    used,
  };
}

interface ClimateInput {
  readonly tempC: number;
  readonly woodTempC: number;
  readonly rhPct: number;
  readonly mcPct: number;
  readonly conditions: WindowConditions;
}

/** Setting of water-borne glue: slower in the cold and in damp wood. */
function waterSetting({ tempC, mcPct }: ClimateInput): number {
  const m = CLIMATE_MODEL;
  return clamp(
    2 ** ((m.tempRefC - tempC) / m.settingHalvingC) * (1 + m.settingPerPctMc * (mcPct - m.mcRefPct)),
    m.settingFactor.min,
    m.settingFactor.max,
  );
}

/** Reaction speed: doubles every 10 °C. */
const reaction = (tempC: number): number =>
  2 ** ((CLIMATE_MODEL.tempRefC - tempC) / CLIMATE_MODEL.resinHalvingC);

/** Water vapour in air relative to 20 °C and 50 %: vapour pressure over absolute temperature. */
function vapourShare(tempC: number, rhPct: number): number {
  const vapour = (t: number, rh: number) => vapourPressureDeficitKPa(t, 100 - rh) / (t + 273.15);
  return Math.max(vapour(tempC, rhPct), 1e-6) / vapour(CLIMATE_MODEL.tempRefC, 50);
}

/** Time to cool from hot to setting, relative to parts at 20 °C (Newton's law of cooling). */
function cooling(
  { hotC, setsC, min, max }: { hotC: number; setsC: number; min: number; max: number },
  partsC: number,
): number {
  const logOf = (t: number) => Math.log((hotC - t) / Math.max(setsC - t, 1e-3));
  return clamp(logOf(Math.min(partsC, setsC)) / logOf(CLIMATE_MODEL.tempRefC), min, max);
}

const FACTORS: Readonly<Record<Chemistry, (input: ClimateInput) => Factors>> = {
  'water-borne': (input) => {
    const { tempC, rhPct, mcPct, conditions } = input;
    const m = CLIMATE_MODEL;
    const vpdKPa = vapourPressureDeficitKPa(tempC, rhPct);
    const film = conditions.faces === 2 ? m.filmBothFaces : 1;
    const absorb = clamp(
      (1 + m.absorbPerPctMc * (mcPct - m.mcRefPct)) * (conditions.traits.openPored ? m.openPoredAbsorb : 1),
      m.absorb.min,
      m.absorb.max,
    );
    // Saturated air has no deficit: the quotient is then unbounded and the clip decides.
    const drying = vpdKPa <= 0 ? Number.POSITIVE_INFINITY : (m.vpdRefKPa / vpdKPa) ** m.vpdExponent;
    const setting = waterSetting(input);
    return {
      open: clamp(film ** m.filmExponent * drying * absorb, m.openFactor.min, m.openFactor.max),
      closed: clamp(
        absorb * 2 ** ((m.tempRefC - tempC) / m.closedHalvingC),
        m.closedFactor.min,
        m.closedFactor.max,
      ),
      setting,
      cure: setting,
      parts: { vpdKPa, vpdRefKPa: m.vpdRefKPa, film, absorb },
    };
  },
  gel: (input) => {
    const factor = cooling(CLIMATE_MODEL.gel, input.woodTempC);
    const setting = waterSetting(input);
    return { open: factor, closed: factor, setting, cure: setting, parts: {} };
  },
  'reactive-resin': ({ tempC }) => {
    const factor = reaction(tempC);
    return { open: factor, closed: factor, setting: factor, cure: factor, parts: {} };
  },
  'moisture-cure': ({ tempC, rhPct }) => {
    const factor = reaction(tempC);
    const vapour = vapourShare(tempC, rhPct);
    const cure = factor / vapour ** CLIMATE_MODEL.moistureExponent;
    return { open: factor, closed: factor, setting: cure, cure, parts: { vapourShare: vapour } };
  },
  'hot-melt': ({ tempC, woodTempC, rhPct, conditions }) => {
    const m = CLIMATE_MODEL;
    const dense = (m.sgRef / (conditions.sg ?? m.sgRef)) ** m.sgExponent;
    const factor = clamp(cooling(m.melt, woodTempC) * dense, m.melt.min, m.melt.max);
    const vapour = vapourShare(tempC, rhPct);
    return {
      open: factor,
      closed: factor,
      setting: factor,
      cure: reaction(tempC) / vapour ** m.moistureExponent,
      parts: { densityFactor: dense, vapourShare: vapour },
    };
  },
  // It is dry: neither air nor wood takes anything more out of it.
  'dried-film': () => ({ open: 1, closed: 1, setting: 1, cure: 1, parts: {} }),
  instant: ({ tempC, rhPct }) => {
    const m = CLIMATE_MODEL;
    const vapour = vapourShare(tempC, rhPct);
    const factor = clamp(vapour ** -m.moistureExponent, m.instantFactor.min, m.instantFactor.max);
    return { open: factor, closed: factor, setting: factor, cure: factor, parts: { vapourShare: vapour } };
  },
};

/** Codes of refusals by air, wood or glue that is too cold. */
export const COLD_REFUSALS: readonly string[] = ['too-cold', 'wood-too-cold', 'glue-too-cold'];

/** Whether a glue is brought to the joint hot. */
const isHeated = ({ chemistry }: Adhesive): boolean => chemistry === 'gel' || chemistry === 'hot-melt';

interface Temperatures {
  readonly tempC: number;
  readonly woodTempC: number;
  readonly glueTempC: number;
  readonly coldestC: number;
  readonly mcPct: number;
}

function findingsFor(adhesive: Adhesive, given: Temperatures, traits: GluingTraits): PlanFinding[] {
  const { tempC, woodTempC, glueTempC, coldestC, mcPct } = given;
  const { minTempC } = adhesive;
  const found: PlanFinding[] = [];
  if (tempC < minTempC) {
    found.push(finding('too-cold', 'refuses', { tempC, minTempC }));
  } else if (woodTempC < minTempC) {
    found.push(finding('wood-too-cold', 'refuses', { tempC: woodTempC, minTempC }));
  } else if (glueTempC < minTempC && !isHeated(adhesive)) {
    found.push(finding('glue-too-cold', 'refuses', { tempC: glueTempC, minTempC }));
  } else if (coldestC < minTempC + 2) {
    found.push(finding('near-cold-limit', 'warns', { tempC: coldestC, minTempC }));
  }
  if (mcPct > adhesive.moisturePct.max) {
    found.push(finding('wood-too-wet', 'refuses', { mcPct, maxPct: adhesive.moisturePct.max }));
  } else if (mcPct < adhesive.moisturePct.min) {
    found.push(finding('wood-very-dry', 'warns', { mcPct, minPct: adhesive.moisturePct.min }));
  }
  if (traits.oily) found.push(finding('oily-wood', 'warns'));
  if (traits.resinous) found.push(finding('resinous-wood', 'informs'));
  return found;
}

function rangeEntries<Name extends string>(
  name: Name,
  range: Range,
): Record<`${Name}${'Low' | 'Likely' | 'High'}Min`, number> {
  const entries = {
    [`${name}LowMin`]: range.low,
    [`${name}LikelyMin`]: range.likely,
    [`${name}HighMin`]: range.high,
  };
  return entries as Record<`${Name}${'Low' | 'Likely' | 'High'}Min`, number>;
}
