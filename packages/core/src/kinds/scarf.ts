import { extruded, solidOf, type Vec2 } from '../solids';
import { defineKind } from './kind';
import { downThrough, joint, part, partId, upTo, X, STRAIGHT_STACK_CLAMPS } from './pieces';
import { askCount, askLength, askNumber, askSpecies } from './question';
import { InputError } from '../basics/checks';

/** Lengths of plank or pole joined end to end on long slopes. */
export const SCARF = defineKind({
  id: 'scarf',
  questions: {
    species: askSpecies('sitka-spruce'),
    pieces: askCount(2, 2, 6),
    lengthMm: askLength(3600, 300, 12000),
    widthMm: askLength(60, 10, 300),
    thicknessMm: askLength(40, 4, 120),
    ratio: askNumber(8, 4, 16, ': 1'),
  },
  preparation: ['fresh-faces', 'prime-thin', 'clamp-feather-ends', 'release-film', 'mark-faces'],
  cautions: ['epoxy'],
  adhesive: 'epoxy-slow',
  faces: 2,
  method: 'stiff-brush',
  layOut: ({ species, pieces, lengthMm, widthMm, thicknessMm: t, ratio }) => {
    const slope = ratio * t;
    const each = (lengthMm - slope) / pieces;
    if (each <= slope + 20) {
      throw new InputError(
        'inconsistent',
        'answers.ratio',
        `Scarfs of ${Math.round(slope)} mm do not fit into ${pieces} pieces of this pole.`,
        `${Math.max(1, Math.floor(lengthMm / (2 * slope + 20)))} pieces, or a slope of less than ${Math.max(1, Math.floor(lengthMm / ((2 * pieces + 1) * t)))} : 1`,
      );
    }
    const joints = upTo(pieces - 1).map((n) => joint('scarf', partId('pole', n), partId('pole', n + 1)));
    return {
      parts: upTo(pieces).map((n) => {
        const [x0, x1] = [(n - 1) * each, n * each];
        const bottom: readonly [number, number] = [n === 1 ? 0 : x0, n === pieces ? lengthMm : x1];
        const top: readonly [number, number] = [
          n === 1 ? 0 : x0 + slope,
          n === pieces ? lengthMm : x1 + slope,
        ];
        // (z, x) as the y direction takes it.
        const outline: Vec2[] = [
          [0, bottom[0]],
          [0, bottom[1]],
          [t, top[1]],
          [t, top[0]],
        ];
        const long = Math.max(bottom[1], top[1]) - Math.min(bottom[0], top[0]);
        return part('pole', n, species, solidOf(extruded('y', outline, 0, widthMm)), X, [long, widthMm, t]);
      }),
      joints,
      oneGo: true,
      inTurn: true,
      pulls: downThrough(joints, t + 60, { kinds: STRAIGHT_STACK_CLAMPS }),
      flat: { kind: 'wind' },
    };
  },
});
