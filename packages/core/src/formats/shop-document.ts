import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { LIMITS } from '../basics/limits';
import { ClimateSchema } from './build-sections';
import { LearnedSchema } from './learned';
import { ShopLessonsSchema } from './lesson';
import { between, bounded, Day, Id, oneOf, orNull, ShortText, strictObject, wholeBounded } from './schema';

/** How many lots, bottles, woods and spreaders a shop holds at most. */
export const SHOP_ROOM = {
  benches: 20,
  rack: 60,
  cauls: 30,
  blocks: 30,
  bottles: 60,
  woods: 60,
  methods: 30,
} as const;

/** A lot of equal clamps on the rack. */
export const RackLotSchema = strictObject({
  id: Id,
  kind: ShortText,
  count: wholeBounded(LIMITS.clampCount),
  maxOpeningMm: bounded(LIMITS.clampOpeningMm),
  /** Measured by the person; null means typical of the kind. */
  forceN: orNull(bounded(LIMITS.clampForceN)),
  padWidthMm: bounded(LIMITS.padSideMm),
  padHeightMm: bounded(LIMITS.padSideMm),
  /** From the bar or the throat to the end of the jaw; left out: typical of the kind. */
  reachMm: Type.Optional(bounded(LIMITS.jawReachMm)),
  /** Pull that one turn of the handle past snug adds, as measured; left out where nobody has. */
  perTurnN: Type.Optional(bounded(LIMITS.perTurnN)),
  /** Each time that somebody measured its pull: at the most turns that were read, of one turn, and how unsure the first is. */
  measured: Type.Optional(
    Type.Array(
      strictObject({
        on: Day,
        forceN: bounded(LIMITS.clampForceN),
        perTurnN: orNull(bounded(LIMITS.perTurnN)),
        errorN: orNull(Type.Number({ minimum: 0, maximum: LIMITS.clampForceN.max })),
      }),
      { maxItems: 12 },
    ),
  ),
  /** Inside of a vacuum bag; what is left out is as large as is wanted. */
  bag: Type.Optional(
    strictObject({ lengthMm: orNull(bounded(LIMITS.bagSideMm)), widthMm: orNull(bounded(LIMITS.bagSideMm)) }),
  ),
});

/** A lot of equal cauls. */
const CaulLotSchema = strictObject({
  id: Id,
  count: wholeBounded(LIMITS.clampCount),
  species: ShortText,
  lengthMm: bounded(LIMITS.caulLengthMm),
  /** Across the span, flat on the work, and in the direction of the pull. */
  widthMm: bounded(LIMITS.caulSectionMm),
  depthMm: bounded(LIMITS.caulSectionMm),
  /** Middle above the ends of its crowned edge; 0 for a straight one. */
  crownMm: bounded(LIMITS.crownMm),
});

/** A lot of equal blocks or battens that go under jaws. */
const BlockLotSchema = strictObject({
  id: Id,
  kind: oneOf(['block', 'batten']),
  count: wholeBounded(LIMITS.clampCount),
  lengthMm: bounded(LIMITS.caulLengthMm),
  thicknessMm: bounded(LIMITS.padThicknessMm),
  face: oneOf(['bare', 'abrasive', 'cork']),
  /** Pull at which it slid over what pressed it down, as measured; null: as its face usually does. */
  friction: orNull(bounded(LIMITS.friction)),
});

const minutesBetween = between(LIMITS.minutes);

/** Figures read off a bottle; null where it says nothing. */
const LabelSchema = strictObject({
  openMin: minutesBetween,
  totalMin: minutesBetween,
  clampMin: minutesBetween,
  minTempC: orNull(bounded(LIMITS.tempC)),
  pressureMPa: between(LIMITS.labelPressureMPa),
  gapMm: orNull(bounded(LIMITS.labelGapMm)),
  spreadGPerM2: orNull(bounded(LIMITS.labelSpreadGPerM2)),
  potLifeMin: orNull(bounded(LIMITS.minutes)),
});

/** A bottle on the glue shelf. */
export const BottleSchema = strictObject({
  id: Id,
  adhesive: ShortText,
  openedOn: orNull(Day),
  remainingMl: bounded(LIMITS.shelfMl),
  /** What its own label says; it comes before the catalogue. Bottles from before labels leave it out. */
  label: Type.Optional(LabelSchema),
  pricePerLitre: Type.Optional(orNull(Type.Number({ minimum: 0, maximum: 10000 }))),
});

/** A bench, a table or the floor that glue-ups stand on. */
const BenchSchema = strictObject({
  id: Id,
  name: Type.String({ minLength: 1, maxLength: 60 }),
  lengthMm: bounded(LIMITS.benchSideMm),
  widthMm: bounded(LIMITS.benchSideMm),
  /** Largest gap under a straightedge, or between winding sticks, whichever is more; null where nobody has looked. */
  flatMm: orNull(bounded(LIMITS.benchFlatMm)),
});

/** A wood of the person's own. */
const OwnWoodSchema = strictObject({
  id: Id,
  name: Type.String({ minLength: 1, maxLength: 60 }),
  /** Id of a wood of the catalogue; whatever is not told is taken from it. */
  like: ShortText,
  /** At about 12 % moisture content. */
  densityKgPerM3: bounded(LIMITS.woodDensityKgPerM3),
  /** Radial and tangential change per per cent moisture; null: as the wood it is like. */
  cR: orNull(bounded(LIMITS.changePerPct)),
  cT: orNull(bounded(LIMITS.changePerPct)),
  openPored: Type.Boolean(),
  resinous: Type.Boolean(),
  oily: Type.Boolean(),
});

/** A person's own way of getting glue onto the wood. */
const OwnMethodSchema = strictObject({
  id: Id,
  name: Type.String({ minLength: 1, maxLength: 60 }),
  /** Metres of bead a minute. */
  beadMPerMin: bounded(LIMITS.spreadingMPerMin),
  /** Along an edge, m/min, and over a face, m²/min; null where the bead is left as it is laid. */
  alongMPerMin: orNull(bounded(LIMITS.spreadingMPerMin)),
  areaM2PerMin: orNull(bounded(LIMITS.spreadingM2PerMin)),
  /** Share of the glue that stays on the tool, the rag and the floor. */
  waste: bounded(LIMITS.waste),
});

/** What the air usually does at one hour of the day. */
const HourSchema = strictObject({
  hour: Type.Integer({ minimum: 0, maximum: 23 }),
  tempC: bounded(LIMITS.tempC),
  rhPct: bounded(LIMITS.relativeHumidityPct),
});

/** What the workshop has and how it is. Version 1. */
export const ShopDocumentSchema = strictObject({
  format: Type.Literal('lean-clasp/shop'),
  version: Type.Literal(1),
  name: Type.String({ minLength: 1, maxLength: 120 }),
  climate: ClimateSchema,
  hours: Type.Array(HourSchema, { maxItems: 24 }),
  /**
   * What wood that nobody has metered would have come to by the air of the last weeks, for so many days until it comes to balance;
   * left out where no sensor has kept readings: then by the usual air.
   */
  airMeans: Type.Optional(
    Type.Array(
      strictObject({
        days: Type.Number({ minimum: 0.1, maximum: 1000 }),
        mcPct: bounded(LIMITS.moisturePct),
      }),
      { maxItems: 12 },
    ),
  ),
  /** A thermo-hygrometer that is asked over HTTP; left out where there is none. */
  sensor: Type.Optional(
    strictObject({
      address: Type.String({ minLength: 8, maxLength: 300, pattern: '^https?://[^\\s]+$' }),
      /** Plans go by it; otherwise by the air that was typed in. */
      follow: Type.Boolean(),
    }),
  ),
  /** Working hours and benches; left out by shops from before calendars. */
  week: Type.Optional(
    strictObject({
      hours: Type.Array(
        strictObject({
          day: wholeBounded({ min: 0, max: 6, unit: '' }),
          fromMin: wholeBounded({ min: 0, max: 1440, unit: 'min' }),
          toMin: wholeBounded({ min: 0, max: 1440, unit: 'min' }),
        }),
        { maxItems: 21 },
      ),
      /** How many, where they are not listed one by one. */
      benches: wholeBounded({ min: 1, max: SHOP_ROOM.benches, unit: '' }),
    }),
  ),
  benches: Type.Optional(Type.Array(BenchSchema, { maxItems: SHOP_ROOM.benches })),
  crew: Type.Array(ShortText, { minItems: 1, maxItems: LIMITS.crew.max }),
  rack: Type.Array(RackLotSchema, { maxItems: SHOP_ROOM.rack }),
  /** Pairs that are at hand where cauls are not listed one by one. */
  caulPairs: wholeBounded(LIMITS.cauls),
  cauls: Type.Optional(Type.Array(CaulLotSchema, { maxItems: SHOP_ROOM.cauls })),
  blocks: Type.Optional(Type.Array(BlockLotSchema, { maxItems: SHOP_ROOM.blocks })),
  /** Height above the sea, for what a vacuum can give; left out: at the sea. */
  altitudeM: Type.Optional(bounded(LIMITS.altitudeM)),
  /** Woods and spreading methods beside the catalogues; left out: none. */
  woods: Type.Optional(Type.Array(OwnWoodSchema, { maxItems: SHOP_ROOM.woods })),
  methods: Type.Optional(Type.Array(OwnMethodSchema, { maxItems: SHOP_ROOM.methods })),
  /** Lessons of its own; left out by shops from before lessons. */
  lessons: Type.Optional(ShopLessonsSchema),
  bottles: Type.Array(BottleSchema, { maxItems: SHOP_ROOM.bottles }),
  /** What the log has taught; left out by shops from before learning. */
  learned: Type.Optional(LearnedSchema),
  /** This person's minutes over the built-in ones: 1.2 is a fifth slower. */
  paceFactor: Type.Number({ minimum: 0.3, maximum: 4 }),
});

export type RackLot = Static<typeof RackLotSchema>;
export type CaulLot = Static<typeof CaulLotSchema>;
export type BlockLot = Static<typeof BlockLotSchema>;
export type Bench = Static<typeof BenchSchema>;
export type Bottle = Static<typeof BottleSchema>;
export type ShopDocument = Static<typeof ShopDocumentSchema>;
