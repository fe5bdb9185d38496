import { type ParsedQuantity, numberPattern, readNumber, refusal } from './parsed';
import { MM_PER_INCH, type UnitSystem } from './length';

interface ScaledUnit {
  /** Accepted spellings, lower case; the first is printed. */
  readonly names: readonly [string, ...string[]];
  /** core = typed × factor + shift */
  readonly factor: number;
  readonly shift?: number;
  readonly decimals: number;
}

interface Scale {
  readonly metric: ScaledUnit;
  readonly imperial: ScaledUnit;
  readonly others?: readonly ScaledUnit[];
}

/** Pascal per psi: 4.4482216152605 N over one square inch. */
const MPA_PER_PSI = 0.006894757293168361;
const ML_PER_US_FLUID_OUNCE = 29.5735295625;
const N_PER_POUND_FORCE = 4.4482216152605;
const GRAMS_PER_OUNCE = 28.349523125;
const KG_PER_POUND = 0.45359237;

const SCALES = {
  temperature: {
    metric: { names: ['°C', 'c', '°c'], factor: 1, decimals: 0 },
    imperial: { names: ['°F', 'f', '°f'], factor: 5 / 9, shift: -160 / 9, decimals: 0 },
  },
  pressure: {
    metric: { names: ['MPa', 'mpa', 'n/mm²', 'n/mm2'], factor: 1, decimals: 2 },
    imperial: { names: ['psi'], factor: MPA_PER_PSI, decimals: 0 },
    others: [
      { names: ['kPa', 'kpa'], factor: 0.001, decimals: 0 },
      { names: ['bar'], factor: 0.1, decimals: 2 },
    ],
  },
  volume: {
    metric: { names: ['mL', 'ml'], factor: 1, decimals: 0 },
    imperial: { names: ['fl oz', 'floz', 'oz'], factor: ML_PER_US_FLUID_OUNCE, decimals: 1 },
    others: [{ names: ['L', 'l'], factor: 1000, decimals: 2 }],
  },
  force: {
    metric: { names: ['kN', 'kn'], factor: 1000, decimals: 1 },
    imperial: { names: ['lbf', 'lb'], factor: N_PER_POUND_FORCE, decimals: 0 },
    others: [{ names: ['N', 'n'], factor: 1, decimals: 0 }],
  },
  area: {
    metric: { names: ['cm²', 'cm2'], factor: 100, decimals: 0 },
    imperial: { names: ['in²', 'in2', 'sq in'], factor: MM_PER_INCH ** 2, decimals: 1 },
    others: [{ names: ['m²', 'm2'], factor: 1e6, decimals: 2 }],
  },
  weight: {
    metric: { names: ['kg'], factor: 1, decimals: 1 },
    imperial: { names: ['lb'], factor: KG_PER_POUND, decimals: 1 },
  },
  mass: {
    metric: { names: ['g'], factor: 1, decimals: 0 },
    imperial: { names: ['oz'], factor: GRAMS_PER_OUNCE, decimals: 1 },
    others: [{ names: ['kg'], factor: 1000, decimals: 2 }],
  },
} as const satisfies Record<string, Scale>;

/** Quantities that are printed and read by a plain scale: temperature, pressure, volume, force, area, weight, mass. */
export type ScaledQuantity = keyof typeof SCALES;

const EXAMPLES: Readonly<Record<ScaledQuantity, string>> = {
  temperature: '18, 18 °C, 64 °F',
  pressure: '1.2 MPa, 175 psi, 12 bar',
  volume: '250 mL, 8 fl oz',
  force: '5 kN, 5000 N, 1100 lbf',
  area: '120 cm², 18 in²',
  weight: '12 kg, 26 lb',
  mass: '40 g, 1.4 oz',
};

/**
 * Reads a quantity with an optional unit and returns core units (°C, MPa, mL, N, mm², kg, g).
 * A bare number is taken in the person's own unit.
 */
export function parseScaled(text: string, quantity: ScaledQuantity, system: UnitSystem): ParsedQuantity {
  const scale: Scale = SCALES[quantity];
  const match = new RegExp(`^([-−+]?)\\s*(${numberPattern})\\s*(.*)$`).exec(text.trim().toLowerCase());
  if (match?.[2] === undefined) return refusal(EXAMPLES[quantity]);
  const wanted = (match[3] ?? '').trim();
  const units = [scale.metric, scale.imperial, ...(scale.others ?? [])];
  const unit =
    wanted === '' ? scale[system] : units.find((u) => u.names.some((name) => name.toLowerCase() === wanted));
  if (unit === undefined) return refusal(EXAMPLES[quantity]);
  const sign = match[1] === '-' || match[1] === '−' ? -1 : 1;
  return { ok: true, value: sign * readNumber(match[2]) * unit.factor + (unit.shift ?? 0) };
}

/** The number alone in the person's unit, with the decimals usual for the quantity. */
export function scaledNumber(value: number, quantity: ScaledQuantity, system: UnitSystem): string {
  const unit: ScaledUnit = SCALES[quantity][system];
  return ((value - (unit.shift ?? 0)) / unit.factor)
    .toFixed(unit.decimals)
    .replace(/^-(0(?:\.0*)?)$/, '$1')
    .replace('-', '−');
}

/** The unit as printed after a number. */
export function scaledUnit(quantity: ScaledQuantity, system: UnitSystem): string {
  return SCALES[quantity][system].names[0];
}

/** Below this a force is told in newtons: 0.1 kN says too little. */
const SMALL_FORCE_N = 950;

/** Number and unit, such as `1.20 MPa`, `174 psi`, `64 °F`; small forces in newtons. */
export function formatScaled(value: number, quantity: ScaledQuantity, system: UnitSystem): string {
  if (quantity === 'force' && system === 'metric' && value > 0 && value < SMALL_FORCE_N) {
    return `${Math.round(value)} N`;
  }
  return `${scaledNumber(value, quantity, system)} ${scaledUnit(quantity, system)}`;
}
