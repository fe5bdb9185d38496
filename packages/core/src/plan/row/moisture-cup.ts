import type { Panel } from '../../assembly';
import type { Board, BuildDocument } from '../../formats';
import { cupSagittaMm } from '../../materials';
import type { Vec2 } from '../../solids';
import type { RowJob } from './row-job';
import type { RowPlan } from './row-plan';

/** A panel that breadboard ends or battens hold in use keeps this share of its free moisture cup [judgement]. */
const STAYS_WHEN_HELD = 0.1;

/** What moisture does to a row. */
interface Cupping extends Pick<RowPlan, 'panel' | 'boardMcPct'> {
  readonly build: Pick<BuildDocument, 'mcInUse'>;
  readonly job: Pick<RowJob, 'holding'>;
}

/** Which faces the hearts of the boards are on, from one clamped edge to the other. */
type Hearts = readonly Board['heart'][];

/** Ways to turn the rings of a panel's boards. */
export const RING_ORDERS = ['as-laid', 'alternate', 'heart-down', 'heart-up'] as const;
/** One of `RING_ORDERS`. */
export type RingOrder = (typeof RING_ORDERS)[number];

/** What a way of turning the rings comes to through the year. */
export interface RingChoice {
  readonly order: RingOrder;
  readonly hearts: Hearts;
  /** Largest stray from flat in use, free or held as the build says, mm. */
  readonly strayMm: number;
  /** Sections of the free panel at the dry and the wet end of the year: across, and up, mm. */
  readonly dry: readonly Vec2[];
  readonly wet: readonly Vec2[];
}

/**
 * Each way to turn the rings, with the shape that the panel takes at either end of the year. Boards with hearts
 * alternating give a washboard; all one way adds up to an arc.
 */
export function ringChoices(parts: Cupping): RingChoice[] {
  const laid = parts.panel.boards.map(({ board }) => board.heart);
  const hearts: Readonly<Record<RingOrder, Hearts>> = {
    'as-laid': laid,
    alternate: laid.map((_, i) => (i % 2 === 0 ? 'up' : 'down')),
    'heart-down': laid.map(() => 'down'),
    'heart-up': laid.map(() => 'up'),
  };
  return RING_ORDERS.map((order) => {
    const [dry, wet] = extremesOf(parts.build).map((later) =>
      sectionHeights(parts.panel, hearts[order], parts.boardMcPct, later),
    ) as [Vec2[], Vec2[]];
    return {
      order,
      hearts: hearts[order],
      strayMm: staysOf(parts.job) * Math.max(strayOf(dry), strayOf(wet)),
      dry: aboveChord(dry),
      wet: aboveChord(wet),
    };
  });
}

/**
 * Largest stray from the chord, in mm, of the panel's cross-section as each flat-sawn board cups between today's
 * moisture and either extreme of the year.
 */
export function moistureCupMm({ panel, boardMcPct, build, job }: Cupping): number {
  const hearts = panel.boards.map(({ board }) => board.heart);
  return (
    staysOf(job) *
    Math.max(...extremesOf(build).map((later) => strayOf(sectionHeights(panel, hearts, boardMcPct, later))))
  );
}

const staysOf = ({ holding }: Pick<RowJob, 'holding'>): number =>
  holding.heldFlatLater ? STAYS_WHEN_HELD : 1;
const extremesOf = ({ mcInUse }: Pick<BuildDocument, 'mcInUse'>): readonly number[] => [
  mcInUse.lowPct,
  mcInUse.highPct,
];

/** Places of board edges and middles along the section, following each board's arc from the first edge. */
function sectionHeights(panel: Panel, hearts: Hearts, today: readonly number[], laterPct: number): Vec2[] {
  const points: Vec2[] = [[0, 0]];
  let slope = 0;
  let z = 0;
  panel.boards.forEach(({ board, wood, fromMm }, i) => {
    const hollow =
      board.cut === 'flat'
        ? cupSagittaMm({
            wood,
            widthMm: board.widthMm,
            mcFromPct: today[i] ?? laterPct,
            mcToPct: laterPct,
            ringRadiusMm: board.ringRadiusMm,
          })
        : 0;
    // Positive: upper face hollow. The bark face is up when the heart is down.
    const sagitta = hearts[i] === 'down' ? hollow : -hollow;
    const turn = (8 * sagitta) / board.widthMm;
    const chord = slope + turn / 2;
    points.push([fromMm + board.widthMm / 2, z + (chord * board.widthMm) / 2 - sagitta]);
    z += chord * board.widthMm;
    slope += turn;
    points.push([fromMm + board.widthMm, z]);
  });
  return points;
}

/** Heights above the line through the two outer edges. */
function aboveChord(points: readonly Vec2[]): Vec2[] {
  const [lastX, lastZ] = points.at(-1) ?? [0, 0];
  return points.map(([x, z]) => [x, z - (lastX === 0 ? 0 : (lastZ * x) / lastX)]);
}

function strayOf(points: readonly Vec2[]): number {
  const heights = aboveChord(points).map(([, z]) => z);
  return Math.max(...heights) - Math.min(...heights);
}
