/** What is seen of a glue-up that went wrong. */
export const SYMPTOMS = [
  'open-at-end',
  'starved',
  'ridge',
  'clamp-bow',
  'out-of-square',
  'wind',
  'stain',
  'stuck',
  'broke',
  'failed-later',
] as const;
/** One of `SYMPTOMS`. */
export type Symptom = (typeof SYMPTOMS)[number];

/** What can have brought it about. */
export const CAUSES = [
  'closed-late',
  'pressed-late',
  'too-little-pressure',
  'too-much-pressure',
  'gap-forced',
  'too-cold',
  'wood-wet',
  'moisture-differs',
  'bottle-old',
  'thin-film',
  'end-grain-drank',
  'off-early',
  'planed-early',
  'out-of-turn',
  'off-centre',
  'not-read',
  'crept-back',
  'bowed-part',
  'base-in-wind',
  'no-release',
  'glue-on-face',
  'iron-stain',
  'glue-creeps',
  'stale-face',
] as const;
/** One of `CAUSES`. */
export type Cause = (typeof CAUSES)[number];

/**
 * What may be known of a glue-up, level by level, with how often each is met in glue-ups of which nothing is known to have gone wrong
 * in that way [judgement]. Those that are asked come from a look at the piece, the rest from the run.
 */
export const FEATURES = {
  /** Share of the likely open time used at the joint that was closest. */
  'open-used': { well: 0.7, near: 0.22, over: 0.08 },
  /** The same of its closed and total times. */
  'press-used': { well: 0.7, near: 0.22, over: 0.08 },
  pressure: { low: 0.06, short: 0.12, good: 0.74, much: 0.08 },
  gap: { closed: 0.6, some: 0.3, wide: 0.1 },
  warmth: { cold: 0.04, near: 0.16, warm: 0.8 },
  moisture: { wet: 0.08, dry: 0.92 },
  'moisture-of-parts': { differs: 0.12, alike: 0.88 },
  bottle: { old: 0.06, ageing: 0.14, fresh: 0.8 },
  'end-grain': { much: 0.15, some: 0.15, none: 0.7 },
  glue: { 'ran-out': 0.04, enough: 0.96 },
  'clamps-off': { early: 0.08, kept: 0.92 },
  planed: { early: 0.12, kept: 0.88 },
  turn: { changed: 0.1, kept: 0.9 },
  'squeeze-out': { even: 0.62, patchy: 0.2, none: 0.06, 'too-much': 0.12 },
  reading: { 'not-taken': 0.2, 'not-accepted': 0.1, accepted: 0.7 },
  coupon: { poor: 0.06, fair: 0.14, sound: 0.8 },
  'closed-as': { wet: 0.8, tacky: 0.14, skinned: 0.06 },
  mishap: { grabbed: 0.04, none: 0.96 },
  off: { much: 0.1, little: 0.9 },
  /** Asked: how the break looks. */
  'break-look': { wood: 0.55, glossy: 0.15, chalky: 0.08, bare: 0.12, thick: 0.1 },
  /** Asked: how the stain looks. */
  'stain-look': { pale: 0.5, grey: 0.25, brown: 0.25 },
  /** Asked: how the line looks along the face. */
  'line-look': { proud: 0.33, sunken: 0.33, stepped: 0.34 },
  /** Asked: what a straightedge says of the parts by themselves. */
  'parts-straight': { straight: 0.85, bowed: 0.15 },
  /** Asked: whether what it lay on is flat. */
  'base-flat': { flat: 0.8, wound: 0.2 },
  /** Asked: where it stands in use. */
  stands: { room: 0.7, warm: 0.12, damp: 0.18 },
  /** Asked: how old the glued faces were. */
  faces: { fresh: 0.8, old: 0.2 },
} as const;
/** Something that may be known. */
export type Feature = keyof typeof FEATURES;
/** One of its levels. */
export type Level = string;

/** What only a person can tell, by looking. */
export const ASKED = [
  'break-look',
  'stain-look',
  'line-look',
  'parts-straight',
  'base-flat',
  'stands',
  'faces',
] as const satisfies readonly Feature[];
/** One of `ASKED`. */
export type Asked = (typeof ASKED)[number];

type Shows = { readonly [F in Feature]?: Partial<Record<keyof (typeof FEATURES)[F], number>> };

/** How a cause works: how often it is behind each symptom, and what is then found, as far as it differs from other glue-ups [judgement]. */
interface CauseModel {
  readonly behind: Readonly<Partial<Record<Symptom, number>>>;
  readonly shows: Shows;
}

export const MODEL: Readonly<Record<Cause, CauseModel>> = {
  'closed-late': {
    behind: { 'open-at-end': 0.12, starved: 0.1, broke: 0.18, 'failed-later': 0.08 },
    shows: {
      'open-used': { over: 0.72, near: 0.22 },
      'closed-as': { skinned: 0.75, tacky: 0.2 },
      'squeeze-out': { none: 0.3, patchy: 0.4 },
      'break-look': { glossy: 0.75, wood: 0.05 },
      coupon: { sound: 0.75, fair: 0.18 },
    },
  },
  'pressed-late': {
    behind: { 'open-at-end': 0.14, starved: 0.04, broke: 0.14, 'failed-later': 0.06 },
    shows: {
      'press-used': { over: 0.75, near: 0.2 },
      'closed-as': { tacky: 0.4, wet: 0.5 },
      mishap: { grabbed: 0.3 },
      'squeeze-out': { patchy: 0.45, none: 0.2 },
      'break-look': { thick: 0.5, glossy: 0.3, wood: 0.05 },
    },
  },
  'too-little-pressure': {
    behind: { 'open-at-end': 0.2, starved: 0.06, broke: 0.12, 'failed-later': 0.06 },
    shows: {
      pressure: { low: 0.7, short: 0.26 },
      'squeeze-out': { patchy: 0.45, none: 0.2 },
      'break-look': { thick: 0.65, wood: 0.08 },
    },
  },
  'too-much-pressure': {
    behind: { starved: 0.22, broke: 0.06, stuck: 0.05 },
    shows: {
      pressure: { much: 0.85 },
      'squeeze-out': { 'too-much': 0.7 },
      'break-look': { bare: 0.6, wood: 0.15 },
    },
  },
  'gap-forced': {
    behind: { 'open-at-end': 0.26, starved: 0.14, broke: 0.08, 'failed-later': 0.14 },
    shows: {
      gap: { wide: 0.78, some: 0.18 },
      'squeeze-out': { patchy: 0.4 },
      'break-look': { thick: 0.7, wood: 0.1 },
    },
  },
  'too-cold': {
    behind: { broke: 0.14, 'failed-later': 0.1, starved: 0.02 },
    shows: {
      warmth: { cold: 0.78, near: 0.2 },
      'break-look': { chalky: 0.8, wood: 0.05 },
      coupon: { poor: 0.6, fair: 0.25 },
    },
  },
  'wood-wet': {
    behind: { broke: 0.06, 'failed-later': 0.12, ridge: 0.1 },
    shows: {
      moisture: { wet: 0.88 },
      coupon: { poor: 0.3, fair: 0.4 },
      'break-look': { glossy: 0.3, thick: 0.3, wood: 0.15 },
    },
  },
  'moisture-differs': {
    behind: { ridge: 0.28, 'open-at-end': 0.08, wind: 0.1, 'failed-later': 0.12 },
    shows: {
      'moisture-of-parts': { differs: 0.88 },
      'line-look': { stepped: 0.85 },
      'break-look': { wood: 0.75 },
    },
  },
  'bottle-old': {
    behind: { broke: 0.12, 'failed-later': 0.08, starved: 0.02 },
    shows: {
      bottle: { old: 0.8, ageing: 0.16 },
      coupon: { poor: 0.7, fair: 0.2 },
      'break-look': { chalky: 0.3, glossy: 0.4, wood: 0.06 },
    },
  },
  'thin-film': {
    behind: { starved: 0.26, 'open-at-end': 0.04, broke: 0.06 },
    shows: {
      glue: { 'ran-out': 0.6 },
      'squeeze-out': { none: 0.6, patchy: 0.3 },
      'break-look': { bare: 0.75, wood: 0.1 },
      pressure: { much: 0.03 },
    },
  },
  'end-grain-drank': {
    behind: { starved: 0.16, broke: 0.1, 'failed-later': 0.06 },
    shows: { 'end-grain': { much: 0.85, some: 0.13 }, 'break-look': { bare: 0.7, glossy: 0.2, wood: 0.04 } },
  },
  'off-early': {
    behind: { 'open-at-end': 0.08, broke: 0.08, 'failed-later': 0.08 },
    shows: { 'clamps-off': { early: 0.9 }, 'break-look': { thick: 0.4, glossy: 0.3, wood: 0.1 } },
  },
  'planed-early': {
    behind: { ridge: 0.3 },
    shows: { planed: { early: 0.88 }, 'line-look': { sunken: 0.92 } },
  },
  'out-of-turn': {
    behind: { 'open-at-end': 0.08, 'clamp-bow': 0.2, 'out-of-square': 0.18 },
    shows: { turn: { changed: 0.85 } },
  },
  'off-centre': {
    behind: { 'clamp-bow': 0.4 },
    shows: { off: { much: 0.8 }, reading: { 'not-accepted': 0.3 } },
  },
  'not-read': {
    behind: { 'clamp-bow': 0.24, 'out-of-square': 0.3, wind: 0.24 },
    shows: { reading: { 'not-taken': 0.88, 'not-accepted': 0.08 } },
  },
  'crept-back': {
    behind: { 'out-of-square': 0.24 },
    shows: {
      reading: { accepted: 0.9, 'not-taken': 0.03 },
      'parts-straight': { straight: 0.95 },
      turn: { kept: 0.95 },
    },
  },
  'bowed-part': {
    behind: { 'out-of-square': 0.2, wind: 0.16, 'clamp-bow': 0.12 },
    shows: { 'parts-straight': { bowed: 0.94 } },
  },
  'base-in-wind': {
    behind: { wind: 0.44 },
    shows: { 'base-flat': { wound: 0.94 } },
  },
  'no-release': {
    behind: { stuck: 0.85 },
    shows: { 'squeeze-out': { even: 0.6, 'too-much': 0.3 }, pressure: { good: 0.85, much: 0.03 } },
  },
  'glue-on-face': {
    behind: { stain: 0.55 },
    shows: { 'stain-look': { pale: 0.93 } },
  },
  'iron-stain': {
    behind: { stain: 0.28 },
    shows: { 'stain-look': { grey: 0.93 } },
  },
  'glue-creeps': {
    behind: { ridge: 0.26, 'failed-later': 0.16 },
    shows: { 'line-look': { proud: 0.9 }, stands: { warm: 0.6 }, 'break-look': { thick: 0.35, wood: 0.3 } },
  },
  'stale-face': {
    behind: { broke: 0.1, 'failed-later': 0.06, starved: 0.04 },
    shows: { faces: { old: 0.9 }, 'break-look': { glossy: 0.7, wood: 0.06 } },
  },
};

/** Chance of a level where a cause is at work: what is told of it, and what is left over as it usually is. */
export function chance(cause: Cause, feature: Feature, level: Level): number {
  const base: Readonly<Record<Level, number>> = FEATURES[feature];
  const told = (MODEL[cause].shows[feature] ?? {}) as Readonly<Record<Level, number>>;
  const given = told[level];
  if (given !== undefined) return given;
  const rest = 1 - Object.values(told).reduce((sum, each) => sum + each, 0);
  const untold = Object.entries(base).reduce((sum, [each, share]) => sum + (each in told ? 0 : share), 0);
  return untold === 0 ? 0 : (rest * (base[level] ?? 0)) / untold;
}
