/** One stroke or area of a picture: what it is made of, and its path in a frame of 120 by 64. */
export type Piece = readonly [made: 'steel' | 'wood' | 'glue' | 'line', path: string];

/** Heavy ends for a bar along the foot of the picture. */
const onBar = (jawHigh: number, jawWide: number, barHigh: number): Piece[] => [
  ['steel', `M6 44h108v${barHigh}h-108z`],
  ['steel', `M14 ${44 - jawHigh}h${jawWide}v${jawHigh}h-${jawWide}z`],
  ['steel', `M74 ${44 - jawHigh}h${jawWide}v${jawHigh}h-${jawWide}z`],
];
const screwFrom = (x: number, y: number): Piece => ['steel', `M${x} ${y}h18v4h-18z`];
const crossBar = (x: number, y: number): Piece => ['line', `M${x} ${y - 12}v28`];
const grip = (x: number, y: number): Piece => ['wood', `M${x} ${y}h18a3 3 0 0 1 3 3v6a3 3 0 0 1 -3 3h-18z`];

/** Clamps by their kind, drawn from the side. */
export const CLAMP_PICTURES: Readonly<Record<string, readonly Piece[]>> = {
  't-bar': [...onBar(24, 10, 5), ['steel', 'M6 49h108v3h-108z'], screwFrom(84, 24), crossBar(104, 26)],
  pipe: [...onBar(18, 12, 8), screwFrom(86, 30), crossBar(106, 32), ['line', 'M6 48h108']],
  'parallel-jaw': [...onBar(36, 13, 5), screwFrom(87, 30), grip(96, 26)],
  'f-heavy': [
    ['steel', 'M6 46h108v6h-108z'],
    ['steel', 'M12 8h9v38h-9z'],
    ['steel', 'M78 10h9v40h-9z'],
    ['steel', 'M58 14h44v4h-44z'],
    ['steel', 'M54 9h4v14h-4z'],
    grip(98, 10),
  ],
  'f-light': [
    ['steel', 'M14 44h92v4h-92z'],
    ['steel', 'M20 18h6v26h-6z'],
    ['steel', 'M76 20h6v26h-6z'],
    ['steel', 'M62 22h30v3h-30z'],
    ['steel', 'M59 18h3v11h-3z'],
    ['wood', 'M90 19h14v9h-14z'],
  ],
  trigger: [
    ['steel', 'M6 38h108v5h-108z'],
    ['steel', 'M12 10h9v28h-9z'],
    ['steel', 'M70 10h10v30h-10z'],
    ['wood', 'M70 36h22l6 26h-14l-4 -14h-10z'],
    ['line', 'M74 50l6 10'],
  ],
  'c-clamp': [
    ['steel', 'M34 6h46v9h-37v34h37v9h-46z'],
    ['steel', 'M70 34h4v28h-4z'],
    ['steel', 'M64 30h16v5h-16z'],
    ['line', 'M60 61h24'],
  ],
  'hand-screw': [
    ['wood', 'M22 10h66l12 6v8h-78z'],
    ['wood', 'M22 40h78v8l-12 6h-66z'],
    ['steel', 'M46 4h4v56h-4z'],
    ['steel', 'M72 4h4v56h-4z'],
    ['wood', 'M43 0h10v9h-10z'],
    ['wood', 'M69 55h10v9h-10z'],
  ],
  band: [
    ['line', 'M22 12h76a8 8 0 0 1 8 8v26a8 8 0 0 1 -8 8h-76a8 8 0 0 1 -8 -8v-26a8 8 0 0 1 8 -8z'],
    ['steel', 'M46 44h28v18h-28z'],
    ['line', 'M74 52h22'],
  ],
  'pointed-spring': [['line', 'M48 56l6 -12a20 20 0 1 1 12 0l6 12']],
  spring: [
    ['steel', 'M10 20l52 12 -2 7 -52 -10z'],
    ['steel', 'M10 46l52 -12 -2 -7 -52 10z'],
    ['wood', 'M62 30l48 -18 3 8 -48 16z'],
    ['wood', 'M62 36l48 18 3 -8 -48 -16z'],
  ],
};

const bottle = (x: number): Piece[] => [
  ['line', `M${x} 60v-28l6 -8v-8h14v8l6 8v28z`],
  ['glue', `M${x + 2} 58v-18h22v18z`],
  ['steel', `M${x + 9} 16l2 -12h4l2 12z`],
];

/** What a glue comes in, by how it sets. */
export const GLUE_PICTURES: Readonly<Record<string, readonly Piece[]>> = {
  'water-borne': bottle(47),
  gel: [
    ['line', 'M34 24h52v36h-52z'],
    ['glue', 'M36 38h48v20h-48z'],
    ['wood', 'M66 2l4 2 -12 36 -4 -2z'],
  ],
  'reactive-resin': [...bottle(28), ...bottle(66)],
  'moisture-cure': bottle(47),
  'hot-melt': [
    ['steel', 'M20 14h58v16h-58z'],
    ['wood', 'M56 30h18l8 32h-18z'],
    ['steel', 'M8 18h12v8h-12z'],
    ['glue', 'M78 18h28v8h-28z'],
  ],
  instant: [
    ['line', 'M50 60v-22l6 -6v-10h8v10l6 6v22z'],
    ['glue', 'M52 58v-12h16v12z'],
  ],
};
