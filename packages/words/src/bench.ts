import type { Finding } from '@lean-clasp/core/basics';
import { findSpreadMethod } from '@lean-clasp/core/spread';
import { clampName } from './causes';
import type { Format } from './format';
import { type Say, sayFrom, type Values } from './values';

/** What is done before the first bead, and looked at while it still moves: the step, and its detail. */
const STEPS: Readonly<Record<string, readonly [step: string, detail: Say]>> = {
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
  'do-check-squeeze-out': ['Look at the squeeze-out', () => 'a fine bead along every joint, none dry'],
  'do-check-straightedge': [
    'Straightedge',
    ({ n }, f) => `flat within ${f.fine(n('flatMm'))}; ease the bar that bows it`,
  ],
  'do-check-flush': ['Faces flush, ends in line', () => 'a soft mallet over a block moves what is proud'],
  'do-check-diagonals': [
    'Read both diagonals',
    ({ n }, f) => `alike within ${f.fine(2 * n('squareMm'))}; pull the long one`,
  ],
  'do-check-winding': ['Sight for wind', () => 'over two bars; shim the low corner'],
  'do-check-try-square': ['Try square', ({ n }, f) => `square within ${f.fine(n('squareMm'))}`],
  'do-check-bore': ['Clear the bore', () => 'while the glue is wet, if anything has to pass'],
  'do-check-depth': ['Stack below the shoulder', () => 'tap the spacers home'],
  'do-check-angle': ['Check the angle', () => 'with a bevel set to it'],
};

const many = (count: number, one: string, more: string) => (count === 1 ? `one ${one}` : `${count} ${more}`);

/** What to do at the bench. */
const INSTRUCTIONS: Readonly<Record<string, Say>> = {
  ...Object.fromEntries(Object.entries(STEPS).map(([code, [step]]): [string, Say] => [code, () => step])),
  'do-spread': ({ s }) => `Spread ${s('line')}`,
  'do-close': ({ s }) => `Close ${s('line')}`,
  'do-close-joint': ({ s, n }) => `Close ${s('line')}${n('others') > 0 ? ` and ${n('others')} more` : ''}`,
  'do-caul': ({ n }) => `Cauls, pair ${n('pair')}`,
  'do-set-clamp': ({ n }) => `Clamp ${n('clamp')} on`,
  'do-tighten': ({ n }) => `Clamp ${n('clamp')} to full pull`,
  'do-set-clamp-on': ({ n }) => `Clamp ${n('clamp')} on`,
  'do-tighten-on': ({ n }) => `Clamp ${n('clamp')} to its pull`,
  'do-tape': ({ n }) => `Tape, ${many(n('count'), 'strip', 'strips')}`,
  'do-wrap': ({ n }) => `Elastic, ${many(n('count'), 'turn', 'turns')}`,
  'do-bag': () => 'Into the bag, seal, pull',
};

const at = ({ s, n }: Values, f: Format) => `${s('side')}, at ${f.length(n('atMm'))}`;
const firmness = (forceN: number) => (forceN < 700 ? 'just snug' : forceN < 2500 ? 'firm' : 'hard');

/** The detail under an instruction. */
const DETAILS: Readonly<Record<string, Say>> = {
  ...Object.fromEntries(Object.entries(STEPS).map(([code, [, detail]]): [string, Say] => [code, detail])),
  'do-spread': ({ s, n }, f) =>
    `${n('faces') === 2 ? 'both faces' : `on ${s('board').length <= 2 ? `the edge of board ${s('board')}` : s('board')}`}, ${findSpreadMethod(s('method')).name}, about ${f.mass(n('massG'))}, full film to both ends`,
  'do-close': ({ s }) =>
    `bring ${s('board').length <= 2 ? `board ${s('board')}` : s('board')} down, rub along, ends flush`,
  'do-close-joint': ({ s }) => `bring ${s('board')} home`,
  'do-caul': ({ n }) => `film under them, snug only – pair ${n('pair')} of ${n('pairs')}`,
  'do-set-clamp': (values, f) => `${at(values, f)}, light; pull through mid-thickness`,
  'do-tighten': (values, f) =>
    `${at(values, f)}, ${firmness(values.n('forceN'))}: ${f.force(values.n('forceN'))}`,
  'do-set-clamp-on': ({ s, n }, f) =>
    `${clampName(s('kind'), 1)} on ${s('line')}, opened to ${f.length(n('openingMm'))}, light`,
  'do-tighten-on': ({ s, n }, f) => `on ${s('line')}, ${firmness(n('forceN'))}: ${f.force(n('forceN'))}`,
  'do-tape': ({ s }) => `stretched across, from the middle of ${s('line')} outward`,
  'do-wrap': () => 'middle first, then the ends, then between',
  'do-bag': () => 'the pump stays on the whole time; read the gauge',
};

/** A bench step in a few words, for reading at two metres and for speaking. */
export const instructionWords = (finding: Finding, f: Format) => sayFrom(INSTRUCTIONS, finding, f);
/** The detail of a bench step. */
export const detailWords = (finding: Finding, f: Format) => sayFrom(DETAILS, finding, f);
