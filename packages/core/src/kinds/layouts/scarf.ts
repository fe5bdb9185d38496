import { extruded, solidOf, type Vec2 } from '../../solids';
import { InputError } from '../../basics/checks';
import type { LayOut } from '../kind';
import { upTo } from '../names';
import type { SCARF } from '../scarf';
import { downThrough, joint, part, partId, X, STRAIGHT_STACK_CLAMPS } from './pieces';

export const layScarf: LayOut<typeof SCARF> = ({
  species,
  pieces,
  lengthMm,
  widthMm,
  thicknessMm: t,
  ratio,
}) => {
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
      const top: readonly [number, number] = [n === 1 ? 0 : x0 + slope, n === pieces ? lengthMm : x1 + slope];
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
};
