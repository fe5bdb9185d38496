import { NOT_OPENED, ROUND } from '@lean-clasp/core/clamps';
import type {
  CheckCode,
  Finding,
  InstructionValues,
  MomentValues,
  ReadyValues,
  RitualValues,
} from '@lean-clasp/core/findings';
import { formatWait } from '@lean-clasp/core/units';
import { clampName } from './catalogue';
import { LESSON_REASONS } from './lessons';
import { READY_REASONS } from './ready';
import { whereSpread } from './spreading';
import type { Format } from './format';
import type { Say, Words } from './values';

/** What is done before the first bead, and looked at while it still moves: the step, and its detail. */
const STEPS: {
  readonly [Code in keyof RitualValues]: readonly [step: string, detail: Say<RitualValues[Code]>];
} = {
  'do-lay-out': ['Lay it out', () => 'everything in order of use, within arm’s reach'],
  'do-bars-open': ['Lay the lower bars', () => 'opened to size, level with each other'],
  'do-film': ['Film down', () => 'under every line and every caul'],
  'do-blocks': ['Blocks in their places', () => 'fixed so that they cannot slip under full pull'],
  'do-level-grid': ['Level the grid', () => 'sight over it both ways before the first plank lies on it'],
  'do-scraped': ['Scraped to bare wood', () => 'closes dry, without force'],
  'do-as-it-stands': ['Lay it out as it will stand', () => 'face marks up, outside edges outside'],
  'do-hinges': ['Tape the hinges', () => 'outside up, knife edges lapped a hair'],
  'do-gun': ['Heat the gun', () => 'a test bead: white and soft, not yellow'],
  'do-bars-as-reference': ['Two bars as the flat reference', () => 'sighted out of wind'],
  'do-masked': ['Masked beside every joint', () => 'while it is together dry'],
  'do-level-table': ['Level the table', () => 'film on it, the hidden face up'],
  'do-form-covered': ['Cover the form', () => 'film, not paper'],
  'do-in-line': ['In line on the bench', () => 'a straightedge along it, film under each slope'],
  'do-iron-set': ['Iron set', () => 'warm, not hot: cotton or just below, no steam; a damp cloth beside it'],
  'do-stitched': [
    'Stitched',
    (_, f) => `strips stretched across every ${f.about(50)} to ${f.about(75)}, one along the seam over them`,
  ],
  'do-dam': [
    'Tent opened',
    () => 'folded back over an edge, tape as the hinge; a tape dam along either side',
  ],
  'do-check-light-through': [
    'Hold it against the light',
    () => 'no light through the seam; film, a flat board and a weight on it, never a clamp',
  ],
  'do-check-fair': ['Sight along it', () => 'fair, no flats between the moulds; beads wiped inside and out'],
  'do-check-splay': [
    'Feet as far apart as the head',
    ({ squareMm }, f) => `within ${f.fine(squareMm)}; a spacer between the feet holds it`,
  ],
  'do-check-hollow': [
    'Tap it all over',
    () => 'where it sounds hollow, once more under the iron and press until cold; then trim',
  ],
  'do-check-gauge': [
    'Leak test',
    () => 'valve shut for a minute, eyes on the gauge; then the pump runs on until it comes out',
  ],
  'do-check-covers': [
    'Bands cover the edges',
    () => 'a fingertip along either face: nowhere below it; what stands proud is trimmed when it is hard',
  ],
  'do-check-squeeze-out': ['Look at the squeeze-out', () => 'a fine bead along every joint, none dry'],
  'do-check-straightedge': [
    'Straightedge',
    ({ flatMm }, f) => `flat within ${f.fine(flatMm)}; ease the bar that bows it`,
  ],
  'do-check-feeler': ['Feeler along every line', () => 'both faces and the ends; the widest gap decides'],
  'do-check-flush': ['Faces flush, ends in line', () => 'a soft mallet over a block moves what is proud'],
  'do-check-diagonals': [
    'Read both diagonals',
    ({ squareMm }, f) => `alike within ${f.fine(2 * squareMm)}; pull the long one`,
  ],
  'do-check-winding': ['Sight for wind', () => 'over two bars; shim the low corner'],
  'do-check-try-square': ['Try square', ({ squareMm }, f) => `square within ${f.fine(squareMm)}`],
  'do-check-bore': ['Clear the bore', () => 'while the glue is wet, if anything has to pass'],
  'do-check-depth': ['Stack below the shoulder', () => 'tap the spacers home'],
  'do-check-angle': ['Check the angle', () => 'with a bevel set to it'],
};

const many = (count: number, one: string, more: string) => (count === 1 ? `one ${one}` : `${count} ${more}`);

/** What to do at the bench. */
const WORK: Words<InstructionValues & MomentValues> = {
  'do-spread': ({ line }) => `Spread ${line}`,
  'do-close': ({ line }) => `Close ${line}`,
  'do-close-joint': ({ line, others }) => `Close ${line}${others > 0 ? ` and ${others} more` : ''}`,
  'do-caul': ({ pair }) => `Cauls, pair ${pair}`,
  'do-set-clamp': ({ clamp }) => `Clamp ${clamp} on`,
  'do-tighten': ({ clamp }) => `Clamp ${clamp} to full pull`,
  'do-set-clamp-on': ({ clamp }) => `Clamp ${clamp} on`,
  'do-tighten-on': ({ clamp }) => `Clamp ${clamp} to its pull`,
  'do-tape': ({ count }) => `Tape, ${many(count, 'strip', 'strips')}`,
  'do-wrap': ({ place, count }) => `Wrap place ${place}, ${many(count, 'turn', 'turns')}`,
  'do-bag': () => 'Into the bag, seal, pull',
  'do-drive-pegs': ({ line, count }) => `Drive ${many(count, 'peg', 'pegs')}, ${line}`,
  'do-coat': ({ coat, coats }) => `Thin coat ${coat} of ${coats}`,
  'do-iron': ({ line }) => `Iron ${line}`,
  'do-corners-down': () => 'Corners down to the base',
  'do-again': () => 'Second squeeze, same order',
  'do-clean-scrape-wet': () => 'Scrape squeeze-out off',
  'do-clean-damp-wipe': () => 'Wipe squeeze-out off',
  'do-clean-peel-masking': () => 'Peel the masking off',
  'do-clean-skin-and-peel': () => 'Peel squeeze-out off',
};

const at = ({ side, atMm }: Pick<InstructionValues['do-tighten'], 'side' | 'atMm'>, f: Format) =>
  `${side}, at ${f.about(atMm)}`;
const rubbery = (fromMin: number, toMin: number) =>
  fromMin < 1
    ? `while it is rubbery: within about ${formatWait(Math.max(1, toMin))} of clamping`
    : `while it is rubbery: about ${formatWait(fromMin)} to ${formatWait(toMin)} after clamping`;
const turned = (turns: number) =>
  turns > 0 ? `, about ${turns === 1 ? 'one turn' : `${turns} turns`} past snug` : '';
/** What is seen to before the first full pull: afterwards nothing slides any more. */
const ONCE: Readonly<Record<string, string>> = {
  flush: 'once what slid is tapped flush, ',
  alike: 'once the diagonals are alike, ',
  both: 'once what slid is tapped flush and the diagonals are alike, ',
};
const firmness = (forceN: number) => (forceN < 700 ? 'just snug' : forceN < 2500 ? 'firm' : 'hard');

/** What goes right round has no line of its own. */
const whereOn = (kind: string, line: string) => (ROUND.includes(kind) ? 'all round' : `on ${line}`);

/** The detail under an instruction. */
const WORK_DETAILS: Words<InstructionValues & MomentValues> = {
  'do-spread': ({ faces, board, method, massG, ...values }, f) =>
    `${faces === 2 ? 'both faces' : `on ${board.length <= 2 ? `the edge of board ${board}` : board}`}, ${method}, ${massG < 1 ? '' : 'about '}${f.mass(massG)}, ${whereSpread(values, f)}`,
  'do-close': ({ board }) =>
    `bring ${board.length <= 2 ? `board ${board}` : board} down, rub along, ends flush`,
  'do-close-joint': ({ board }) => `bring ${board} home`,
  'do-caul': ({ pair, pairs }) => `film under them, snug only – pair ${pair} of ${pairs}`,
  'do-set-clamp': (values, f) => `${at(values, f)}, light; pull through mid-thickness`,
  'do-tighten': (values, f) =>
    `${ONCE[values.once] ?? ''}${at(values, f)}, ${firmness(values.forceN)}: ${f.force(values.forceN)}${turned(values.turns)}`,
  'do-set-clamp-on': ({ kind, line, openingMm }, f) =>
    `${clampName(kind, 1)} ${whereOn(kind, line)}${NOT_OPENED.includes(kind) ? '' : `, opened to ${f.about(openingMm)}`}, light`,
  'do-tighten-on': ({ kind, line, forceN, turns, once }, f) =>
    `${ONCE[once] ?? ''}${whereOn(kind, line)}, ${firmness(forceN)}: ${f.force(forceN)}${turned(turns)}`,
  'do-tape': ({ line }) => `stretched across, from the middle of ${line} outward`,
  'do-wrap': () => 'two layers, every turn stretched; feel the corners slide flush',
  'do-coat': ({ massG, dryLowMin, dryHighMin }, f) =>
    `both faces, ${massG < 1 ? '' : 'about '}${f.mass(massG)}, thinned; dry to the touch in about ${formatWait(dryLowMin)} to ${formatWait(dryHighMin)} in this air`,
  'do-iron': () =>
    'lay it on dry, from the centre outward, edges last; a block follows the iron until it is cold',
  'do-drive-pegs': () =>
    'the middle one first, with glue on it; on the others glue only near the outer face, so that the panel can move',
  'do-bag': () => 'breather over it to the port; smooth it from the middle as it draws down',
  'do-corners-down': ({ count, kind, forceN }, f) =>
    `${count} ${clampName(kind, count)}, ${f.force(forceN)} each, opposite ones in turn`,
  'do-again': ({ waitMin, clamps }) =>
    `${waitMin > 0 ? `after ${formatWait(waitMin)}, once the glue drags: ` : ''}${many(clamps, 'clamp', 'clamps')} brought on again`,
  'do-clean-scrape-wet': ({ lengthMm }, f) =>
    `${f.length(lengthMm)} of it with a sharp putty knife, sawdust after it; no wet rag on open pores`,
  'do-clean-damp-wipe': ({ lengthMm }, f) =>
    `${f.length(lengthMm)} of it with a rag wrung out, over a thin rule in corners`,
  'do-clean-peel-masking': ({ fromMin, toMin }) => rubbery(fromMin, toMin),
  'do-clean-skin-and-peel': ({ fromMin, toMin }) => rubbery(fromMin, toMin),
};

type Step = readonly [step: string, detail: Say<never>];

const ritualWords = (part: (step: Step) => Say<never>): Words<RitualValues> =>
  Object.fromEntries(
    Object.entries<Step>(STEPS).map(([code, step]) => [code, part(step)]),
  ) as unknown as Words<RitualValues>;

/** A bench step in a few words, for reading at two metres and for speaking. */
export const INSTRUCTIONS: Words<RitualValues & InstructionValues & MomentValues> = {
  ...ritualWords(
    ([step]) =>
      () =>
        step,
  ),
  ...WORK,
};

const DETAILS: Words<RitualValues & InstructionValues & MomentValues & ReadyValues> = {
  ...READY_REASONS,
  ...LESSON_REASONS,
  ...ritualWords(([, detail]) => detail),
  ...WORK_DETAILS,
};

/** Kinds of work at the bench, for a table. */
const WORK_NAMES: Readonly<Record<string, string>> = {
  'set-clamp': 'clamps on',
  tighten: 'full pull',
  check: 'readings',
  spread: 'spreading',
  close: 'closing',
  caul: 'cauls',
  tape: 'taping',
  wrap: 'wrapping',
  bag: 'bag',
  coat: 'coats',
  iron: 'ironing',
};

/** A check by its name. */
export const checkName = (check: CheckCode): string => STEPS[`do-check-${check}`][0];

export const workName = (kind: string): string => WORK_NAMES[kind] ?? kind;

/** The detail of a bench step. */
export function detailWords({ code, values }: Finding, f: Format): string {
  return code in DETAILS ? (DETAILS[code as keyof typeof DETAILS] as Say<Finding['values']>)(values, f) : '';
}
