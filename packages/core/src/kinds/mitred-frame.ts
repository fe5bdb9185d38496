import { defineKind } from './kind';
import { upTo } from './names';
import {
  type Answers,
  askAngles,
  askChoice,
  askCount,
  askEachLength,
  askLength,
  askLengths,
  askSpecies,
  later,
} from './question';

/** Sets are made as fast as clamps come free: they should let go within this, min [judgement]. */
const RELEASE_MIN = 5;

/** Names of the members by the answers, in the order of the sides. */
function memberNames({ sidesMm, anglesDeg }: Answers): string[] {
  const sides = Array.isArray(sidesMm) ? sidesMm.length : 0;
  const square = Array.isArray(anglesDeg) && sides === 4 && anglesDeg.every((angle) => angle === 90);
  return square
    ? ['bottom rail', 'right stile', 'top rail', 'left stile']
    : upTo(sides).map((n) => `member ${n}`);
}

/** A flat frame of any shape with mitred corners, closed or with its last side left open. */
export const MITRED_FRAME = defineKind({
  id: 'mitred-frame',
  questions: {
    species: askSpecies('black-walnut'),
    sidesMm: askLengths([420, 560, 420, 560], 3, 8),
    anglesDeg: askAngles([90, 90, 90, 90], 3, 8),
    widthMm: askLength(48, 8, 250),
    thicknessMm: askLength(22, 4, 100),
    chain: askChoice(['closed', 'open'], 'closed'),
    pressed: askChoice(['round', 'corner-by-corner', 'band-with-spacer'], 'round'),
    frames: askCount(1, 1, 100),
    memberWidthsMm: askEachLength(memberNames, 8, 250),
    rebateMm: later(askLength(0, 0, 40)),
    clearanceMm: later(askLength(1.5, 0, 6)),
  },
  preparation: [
    'fresh-faces',
    'inside-corners',
    'size-end-grain',
    'mark-faces',
    'mask-at-dry-fit',
    'closes-dry',
  ],
  cautions: ['springs', 'saw-work'],
  adhesive: null,
  faces: 2,
  method: 'finger',
});

/** What both kinds of trim start from: hot melt that lets go of the clamp within a minute. */
const HOT_MELT = {
  cautions: ['hot', 'springs'],
  adhesive: 'polyurethane-hot-melt',
  faces: 1,
  method: 'hot-nozzle',
  asksOfGlue: { freeForNextMin: RELEASE_MIN },
  preparation: ['fresh-faces', 'pre-clamp-dry', 'heat-gun-up', 'test-bead', 'inside-corners'],
} as const;

/** Trim around an opening, its inside as large as that. */
const askTrim = (
  start: Readonly<Record<'openingWidthMm' | 'openingHeightMm' | 'widthMm' | 'sets', number>>,
) => ({
  species: askSpecies('yellow-poplar'),
  openingWidthMm: askLength(start.openingWidthMm, 80, 3000),
  openingHeightMm: askLength(start.openingHeightMm, 80, 3000),
  widthMm: askLength(start.widthMm, 8, 200),
  thicknessMm: askLength(18, 4, 60),
  sets: askCount(start.sets, 1, 100),
});

/** Mitred trim for openings, made in sets. */
export const TRIM_SET = defineKind({
  id: 'trim-set',
  questions: askTrim({ openingWidthMm: 500, openingHeightMm: 700, widthMm: 44, sets: 6 }),
  ...HOT_MELT,
});

/** Two legs and a head round a hatch or a door: an open chain whose feet nothing holds but a batten. */
export const CASING = defineKind({
  id: 'casing',
  questions: askTrim({ openingWidthMm: 620, openingHeightMm: 540, widthMm: 60, sets: 1 }),
  ...HOT_MELT,
});
