import { within } from '../checks';
import { type Finding, finding } from '../finding';
import { LIMITS } from '../limits';
import { equilibriumMoisturePct, type GluingTraits, vapourPressureDeficitKPa } from '../materials';
import { clamp, type Range, scaleRange } from '../range';
import type { Adhesive, Chemistry } from './adhesive';

/** Conditions of one glue line: air, wood and glue share one temperature. */
export interface WindowConditions {
  readonly tempC: number;
  readonly rhPct: number;
  /** How many of the two faces are wetted. */
  readonly faces: 1 | 2;
  readonly traits: GluingTraits;
  /** Moisture content of the wood; defaults to equilibrium with the air. */
  readonly mcPct?: number | undefined;
}

/** Climate coefficients, all [judgement] with the shape taken from physics; the logbook calibrates them. */
const CLIMATE_MODEL = Object.freeze({
  /** Vapour pressure deficit at 20 °C and 50 %. */
  vpdRefKPa: 1.167,
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
});

/** Working and waiting times at given conditions, in minutes. Null when the family is refused. */
export interface AdhesiveWindow {
  readonly refused: boolean;
  readonly openMin: Range | null;
  readonly closedMin: Range | null;
  readonly totalMin: Range | null;
  readonly clampMin: Range | null;
  readonly machineMin: number | null;
  readonly fullCureMin: number | null;
  readonly findings: readonly Finding[];
  /** Everything that went into the answer, so that anybody can recompute it. */
  readonly used: Readonly<Record<string, number | string>>;
}

interface Factors {
  readonly open: number;
  readonly closed: number;
  readonly setting: number;
  readonly parts: Readonly<Record<string, number>>;
}

/**
 * Open, closed and total assembly time and waiting times of a family in a given climate.
 *
 * Water-borne: open × film^0.7·(VPD_ref/VPD)^0.5·absorb, clipped to 0.4–2.2. Closed time does not evaporate:
 * only moisture, absorption and temperature move it, clipped to 0.7–1.3. Reactive resins: 2^((20 − T)/10).
 * Total scales by the mean of the open and closed factors weighted by their likely minutes, so that open +
 * closed = total stays true of the likely figures.
 * Range: from the family's minimum temperature to 60 °C; below the minimum the line is refused, not slowed.
 * Source: reference times [label], climate [judgement].
 */
export function adhesiveWindow(adhesive: Adhesive, conditions: WindowConditions): AdhesiveWindow {
  const tempC = within(conditions.tempC, 'tempC', LIMITS.tempC);
  const rhPct = within(conditions.rhPct, 'rhPct', LIMITS.relativeHumidityPct);
  const mcPct = within(
    conditions.mcPct ?? Math.min(LIMITS.moisturePct.max, equilibriumMoisturePct(tempC, rhPct)),
    'mcPct',
    LIMITS.moisturePct,
  );
  const factors = FACTORS[adhesive.chemistry]({ tempC, rhPct, mcPct, conditions });
  const closedRef = adhesive.closedMin ?? difference(adhesive.totalMin, adhesive.openMin);
  const totalFactor =
    (adhesive.openMin.likely * factors.open + closedRef.likely * factors.closed) /
    (adhesive.openMin.likely + closedRef.likely);
  const findings = findingsFor(adhesive, tempC, mcPct, conditions.traits);
  const refused = tempC < adhesive.minTempC;
  const used = {
    adhesive: adhesive.id,
    tempC,
    rhPct,
    mcPct,
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
    machineMin: adhesive.machineMin * factors.setting,
    fullCureMin: adhesive.fullCureMin * factors.setting,
    findings,
    used,
  };
}

interface ClimateInput {
  readonly tempC: number;
  readonly rhPct: number;
  readonly mcPct: number;
  readonly conditions: WindowConditions;
}

const FACTORS: Readonly<Record<Chemistry, (input: ClimateInput) => Factors>> = {
  'water-borne': ({ tempC, rhPct, mcPct, conditions }) => {
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
    const cooler = m.tempRefC - tempC;
    return {
      open: clamp(film ** m.filmExponent * drying * absorb, m.openFactor.min, m.openFactor.max),
      closed: clamp(absorb * 2 ** (cooler / m.closedHalvingC), m.closedFactor.min, m.closedFactor.max),
      setting: clamp(
        2 ** (cooler / m.settingHalvingC) * (1 + m.settingPerPctMc * (mcPct - m.mcRefPct)),
        m.settingFactor.min,
        m.settingFactor.max,
      ),
      parts: { vpdKPa, vpdRefKPa: m.vpdRefKPa, film, absorb },
    };
  },
  'reactive-resin': ({ tempC }) => {
    const factor = 2 ** ((CLIMATE_MODEL.tempRefC - tempC) / CLIMATE_MODEL.resinHalvingC);
    return { open: factor, closed: factor, setting: factor, parts: {} };
  },
};

function findingsFor(adhesive: Adhesive, tempC: number, mcPct: number, traits: GluingTraits): Finding[] {
  const found: Finding[] = [];
  if (tempC < adhesive.minTempC) {
    found.push(finding('too-cold', 'refuses', { tempC, minTempC: adhesive.minTempC }));
  } else if (tempC < adhesive.minTempC + 2) {
    found.push(finding('near-cold-limit', 'warns', { tempC, minTempC: adhesive.minTempC }));
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

function difference(total: Range, open: Range): Range {
  return { low: total.low - open.low, likely: total.likely - open.likely, high: total.high - open.high };
}

function rangeEntries(name: string, range: Range): Record<string, number> {
  return {
    [`${name}LowMin`]: range.low,
    [`${name}LikelyMin`]: range.likely,
    [`${name}HighMin`]: range.high,
  };
}
