import { type Plan, whichBench } from '../plan';
import type { Vec2 } from '../solids';
import {
  arc,
  box,
  type Figure,
  type FigureLabel,
  type FigurePath,
  line,
  outline,
  word,
} from './figures/figure';

/** What stands ready beside the work, for one session. */
interface Standing {
  readonly number: number;
  readonly openingMm: number;
  readonly side: 'left' | 'right';
}

/** How far one reaches without a step, mm, and the room beside the work that things stand in [judgement]. */
const REACH_MM = 750;
const ROOM_MM = 320;
/** Room that a pot, a bucket or a mallet takes up, mm. */
const THING_MM = 200;
/** Width at which a clamp standing ready is drawn, and its pitch, mm. */
const BAR_MM = 18;
const PITCH_MM = 42;
/** Most clamps drawn on a side; the rest stand behind them. */
const MOST_A_SIDE = 12;

/**
 * The bench seen from above, to scale: the work in the middle, its clamps standing ready left and right in the order in which they go on,
 * glue and spreader by the right hand, water and rag behind them, mallet and square by the left hand, and how far one reaches.
 */
export function benchLayout(plan: Plan, session: number): Figure {
  const { facts, order } = plan;
  const [lengthMm, widthMm] = [facts.toMm[0] - facts.fromMm[0], facts.toMm[1] - facts.fromMm[1]];
  const own = new Set(order?.sessions[session]?.joints);
  const clamps = standing(plan, own);
  const which = whichBench(plan);
  const top = which?.top ?? [lengthMm + 2 * ROOM_MM, widthMm + 2 * ROOM_MM];
  const [atEndsMm, inFrontMm] = [(top[0] - lengthMm) / 2, (top[1] - widthMm) / 2];
  const paths: FigurePath[] = [
    box(-atEndsMm, -inFrontMm, top[0], top[1], 'thin'),
    box(0, 0, lengthMm, widthMm, 'wood'),
  ];
  const labels: FigureLabel[] = [word([lengthMm / 2, widthMm / 2], 'above', 'the work')];
  for (const side of ['left', 'right'] as const) {
    const there = clamps.filter((clamp) => clamp.side === side);
    there.slice(0, MOST_A_SIDE).forEach(({ openingMm }, i) => {
      const x =
        side === 'left'
          ? -ROOM_MM + 30 + i * PITCH_MM * squash(there)
          : lengthMm + 30 + i * PITCH_MM * squash(there);
      const high = Math.min(openingMm, widthMm + ROOM_MM);
      paths.push(box(x, (widthMm - high) / 2, BAR_MM, high, 'mark'));
    });
    if (there.length > 0) {
      const x = side === 'left' ? -ROOM_MM : lengthMm + ROOM_MM;
      labels.push(
        word([x, widthMm + Math.max(ROOM_MM / 2, inFrontMm)], 'above', `clamps ${numbersOf(there)}`),
      );
    }
  }
  // On a narrow bench they stand past the clamps at its ends, else before and behind the work.
  const isPast = inFrontMm < THING_MM && atEndsMm >= ROOM_MM + THING_MM;
  const [left, right] = isPast
    ? [-ROOM_MM - THING_MM / 2, lengthMm + ROOM_MM + THING_MM / 2]
    : [lengthMm * 0.15, lengthMm * 0.85];
  const [near, far] = isPast ? [widthMm * 0.2, widthMm * 0.8] : [-ROOM_MM / 2, widthMm + ROOM_MM / 2];
  const things: readonly (readonly [Vec2, string])[] = [
    [[right, near], 'glue'],
    [[right, far], 'water'],
    [[left, near], 'mallet'],
    [[left, far], plan.row?.cauls == null ? 'pads' : 'cauls'],
  ];
  for (const [at, text] of things) {
    paths.push(outline(arc(at, 45, 0, 360, 20), 'glue'));
    labels.push(word(at, 'right', text));
  }
  for (const x of standsAt(lengthMm, plan.build.crew)) {
    const at: Vec2 = [x, -Math.max(0, inFrontMm) - 120];
    paths.push(line(arc(at, REACH_MM, 20, 160), 'ghost'), outline(arc(at, 90, 0, 360, 20), 'ghost'));
  }
  return { paths, labels, enlarged: 1 };
}

const squash = (there: readonly Standing[]): number =>
  Math.min(1, (ROOM_MM - 60) / (PITCH_MM * Math.max(1, Math.min(there.length, MOST_A_SIDE))));

/** Where people stand along the front. */
const standsAt = (lengthMm: number, crew: number): number[] =>
  crew === 1 ? [lengthMm / 2] : Array.from({ length: crew }, (_, i) => (lengthMm * (i + 0.5)) / crew);

/** Clamps of a session in the order in which they go on, odd places to the right hand, even ones to the left. */
function standing({ row, squeeze, facts }: Plan, own: ReadonlySet<string>): Standing[] {
  const widthMm = facts.toMm[1] - facts.fromMm[1];
  const found =
    row !== null
      ? [...row.clampSet.clamps]
          .sort((a, b) => a.tightenAs - b.tightenAs)
          .map(({ number }) => ({ number, openingMm: widthMm + 100 }))
      : (squeeze?.pulls ?? [])
          .filter(({ planned }) => planned.pull.joints.some((joint) => own.has(joint)))
          .flatMap(({ planned, clamps }) =>
            clamps.map(({ number }) => ({ number, openingMm: planned.pull.openingMm })),
          );
  return found.map((clamp, i) => ({ ...clamp, side: i % 2 === 0 ? 'right' : 'left' }));
}

/** Numbers, runs of them drawn together. */
function numbersOf(clamps: readonly Standing[]): string {
  const numbers = clamps.map(({ number }) => number).sort((a, b) => a - b);
  return numbers.length > 4 ? `${numbers.slice(0, 2).join(', ')} … ${numbers.at(-1)}` : numbers.join(', ');
}
