import { finding } from '../finding';
import { extruded, solidOf, type Vec2 } from '../solids';
import { BAR_CLAMPS, defineKind, joint, part, partId, upTo, X, Y } from './kind';
import { askCount, askLength, askSpecies } from './question';

/** Friction of an abrasive-faced block on wood [judgement]. */
const BLOCK_FRICTION = 0.75;
/** A block stops where the edge falls away at this share of its friction. */
const SAFE_SHARE = 0.85;
/** Less of the outer line than this under a block leaves its ends unpressed [judgement]. */
const LEAST_REACH_SHARE = 0.6;
/** Points on each stretch of a curved outline. */
const CURVE_STEPS = 14;

/** Boards side by side, sawn to an oval before gluing: blocks with the same curve give the clamps parallel faces. */
export const ROUND_PANEL = defineKind({
  id: 'round-panel',
  questions: {
    species: askSpecies('hard-maple'),
    boards: askCount(6, 2, 12),
    lengthMm: askLength(900, 150, 3000),
    widthMm: askLength(620, 100, 2000),
    thicknessMm: askLength(24, 6, 80),
    blockMm: askLength(70, 25, 200),
  },
  preparation: ['fresh-faces', 'mark-faces', 'blocks-fixed', 'release-film', 'closes-dry'],
  cautions: [],
  adhesive: null,
  faces: 1,
  method: 'card',
  layOut: ({ species, boards, lengthMm, widthMm, thicknessMm, blockMm }) => {
    const [a, b] = [lengthMm / 2, widthMm / 2];
    const halfChord = (y: number) => a * Math.sqrt(Math.max(0, 1 - (y / b) ** 2));
    const stripMm = widthMm / boards;
    const arc = (from: number, to: number): Vec2[] =>
      Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
        const y = from + ((to - from) * i) / CURVE_STEPS;
        return [halfChord(y), y];
      });
    const parts = upTo(boards).map((n) => {
      const [low, high] = [-b + (n - 1) * stripMm, -b + n * stripMm];
      const right = arc(low, high);
      const left = [...right].reverse().map(([x, y]): Vec2 => [-x, y]);
      const outline = [...right, ...left];
      const longest = 2 * Math.max(...right.map(([x]) => x));
      return part('board', n, species, solidOf(extruded('z', outline, 0, thicknessMm)), X, [
        longest,
        stripMm,
        thicknessMm,
      ]);
    });
    const slope = SAFE_SHARE * BLOCK_FRICTION;
    const outerLine = halfChord(-b + stripMm);
    // Where the edge of the ellipse falls away at that slope.
    const reachMm = Math.min(outerLine, (slope * a * a) / Math.hypot(b, slope * a));
    const blockFrom = b * Math.sqrt(1 - (reachMm / a) ** 2);
    return {
      parts,
      joints: upTo(boards - 1).map((n) => joint('edge', partId('board', n), partId('board', n + 1))),
      aids: [-1, 1].map((side, i) => ({
        id: `block-${i + 1}`,
        role: 'block' as const,
        solid: solidOf(curvedBlock(side, arc(blockFrom, b), b + blockMm, thicknessMm)),
      })),
      pulls: [
        {
          id: 'across',
          joints: upTo(boards - 1).map((n) => `board-${n}_board-${n + 1}`),
          need: 'line',
          stacked: true,
          axis: Y,
          openingMm: widthMm + 2 * blockMm,
          kinds: BAR_CLAMPS,
        },
      ],
      flat: { kind: 'wind' },
      dimensions: [{ from: [-a, -b, 0], to: [a, -b, 0] }],
      findings: [
        finding('block-reach', reachMm < LEAST_REACH_SHARE * outerLine ? 'warns' : 'informs', {
          blockMm: 2 * reachMm,
          lineMm: 2 * outerLine,
          friction: BLOCK_FRICTION,
        }),
      ],
    };
  },
});

/** Wood between an outer board's curve and a flat face for the clamp. */
function curvedBlock(side: number, arc: readonly Vec2[], flatMm: number, thicknessMm: number) {
  const right = arc.map(([x, y]): Vec2 => [x, side * y]);
  const left = [...right].reverse().map(([x, y]): Vec2 => [-x, y]);
  const reachMm = right[0]?.[0] ?? 0;
  const curve = [...right, ...left];
  return extruded('z', [...curve, [-reachMm, side * flatMm], [reachMm, side * flatMm]], 0, thicknessMm);
}
