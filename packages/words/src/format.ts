import {
  formatInches,
  formatLength,
  formatScaled,
  scaledNumber,
  scaledUnit,
  type UnitSystem,
} from '@lean-clasp/core/units';

/** Prints core values in the person's own units. */
export interface Format {
  readonly system: UnitSystem;
  /** Sizes measured with a tape. */
  readonly length: (mm: number) => string;
  /** Where a clamp stands, how far it opens, how large a bench is: set by eye, so to the millimetre or a sixteenth of an inch. */
  readonly about: (mm: number) => string;
  /** Several sizes of one thing, such as length, width and thickness. */
  readonly sizes: (mm: readonly number[]) => string;
  /** Amounts measured with feelers. */
  readonly fine: (mm: number) => string;
  readonly pressure: (mpa: number) => string;
  readonly pressureNumber: (mpa: number) => string;
  readonly pressureUnit: string;
  readonly force: (n: number) => string;
  readonly temperature: (c: number) => string;
  readonly volume: (ml: number) => string;
  readonly area: (mm2: number) => string;
  readonly weight: (kg: number) => string;
  readonly mass: (g: number) => string;
  /** Of a glue: its mass, and its volume behind. */
  readonly amount: (g: number, ml: number) => string;
}

/** Glue that nobody would weigh: less than about a millilitre or a gram, or what ounces to a tenth cannot tell. */
const FEW_DROPS: Readonly<Record<UnitSystem, number>> = { metric: 1, imperial: 1.5 };
const DROPS = 'a few drops';
/** What an inch is divided into on a tape that is read at arm's length. */
const SIXTEENTHS = 16;

/** Makes the printers for a unit system. */
export function formatFor(system: UnitSystem): Format {
  const isDrops = (amount: number) => amount > 0 && amount < FEW_DROPS[system];
  const mass = (g: number) => (isDrops(g) ? DROPS : formatScaled(g, 'mass', system));
  const volume = (ml: number) => (isDrops(ml) ? DROPS : formatScaled(ml, 'volume', system));
  return {
    system,
    length: (mm) => formatLength(mm, system),
    about: (mm) =>
      system === 'imperial' ? formatInches(mm, SIXTEENTHS) : formatLength(Math.round(mm), system),
    sizes: (mm) => {
      const printed = mm.map((each) => formatLength(each, system));
      // The unit once, at the end, where it is a word.
      return printed
        .map((text, i) => (i < printed.length - 1 ? text.replace(/ [a-z]+$/, '') : text))
        .join(' × ');
    },
    fine: (mm) => formatLength(mm, system, true),
    pressure: (mpa) => formatScaled(mpa, 'pressure', system),
    pressureNumber: (mpa) => scaledNumber(mpa, 'pressure', system),
    pressureUnit: scaledUnit('pressure', system),
    force: (n) => formatScaled(n, 'force', system),
    temperature: (c) => formatScaled(c, 'temperature', system),
    volume,
    area: (mm2) => formatScaled(mm2, 'area', system),
    weight: (kg) => formatScaled(kg, 'weight', system),
    mass,
    amount: (g, ml) => (isDrops(ml) ? DROPS : `${mass(g)} (${volume(ml)})`),
  };
}
