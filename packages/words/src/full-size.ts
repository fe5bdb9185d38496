import type { FullSizeItem, FullSizeKind, ShapeLabel } from '@lean-clasp/core/full-size';
import type { Format } from './format';

interface ItemWords {
  readonly name: string;
  /** What to do with it, in a line or two. */
  readonly how: string;
}

/** What is made from templates at full size. */
const ITEMS: Readonly<Record<FullSizeKind, ItemWords>> = {
  'caul-crown': {
    name: 'Crown of the cauls',
    how: 'Plane the edge of each caul to the curve; its middle lies on the middle of the panel. It is the curve that the caul bends by, not part of a circle.',
  },
  'clamp-strip': {
    name: 'Clamp strip',
    how: 'Laid along the first edge of the work: a clamp at each number, on the side that is named; cauls where they are drawn.',
  },
  block: {
    name: 'Block',
    how: 'Saw to the line; the sawn face goes against the work, the flat one under the jaw.',
  },
  'u-block': {
    name: 'Block over tenons',
    how: 'Saw it out, chop the slots to their depth: tenon ends stand free in them while the jaw presses the side beside them.',
  },
  'peg-strip': {
    name: 'Peg strip',
    how: 'Its shoulder line lies on the shoulder. Drill the end first, dry and on; then the tongue, apart, by its own row: its holes sit nearer to the shoulder by the offset, and all but the middle one are slots.',
  },
  'key-jig': {
    name: 'Key stick',
    how: 'Stand it in the jig against the fence: set the blade to the line, the fence so that each kerf falls between its two. Try it on waste of the same thickness first.',
  },
  'bend-form': {
    name: 'Form',
    how: 'Tighter than the curve by what will spring back. Stack it to the width of the plies, cover its face with film; a clamp in each hole, pulled straight at the centre; trim at the marks afterwards.',
  },
  'story-stick': {
    name: 'Story stick',
    how: 'Held against the rail or the side: a part stands between each pair of lines.',
  },
};

export const MACHINE_CAUTION =
  'Guards on, push sticks, sharp edges; the machine’s own instructions go first. Print at 100 % and measure the square before anything is cut.';

/** The name of a template, with its number where there are several. */
export function fullSizeName({ kind, id, count }: Pick<FullSizeItem, 'kind' | 'id' | 'count'>): string {
  const number = /-(\d+)$/.exec(id)?.[1];
  const name = number === undefined ? ITEMS[kind].name : `${ITEMS[kind].name} ${number}`;
  return count > 1 ? `${name}, ${count} alike` : name;
}

/** What to do with a template. */
export const fullSizeHow = ({ kind }: Pick<FullSizeItem, 'kind'>): string => ITEMS[kind].how;

/** What is written at a point of a template. */
export function shapeLabelWords({ says }: Pick<ShapeLabel, 'says'>, f: Format): string {
  switch (says.code) {
    case 'length':
      return f.length(says.mm);
    case 'high':
      return `${f.fine(says.mm)} high`;
    case 'openings':
      return `open ${says.mm.map(f.length).join(' · ')}`;
    case 'name':
      return says.name;
    case 'clamp':
      return `${says.number} ${says.side}`;
    case 'caul':
      return 'caul';
    case 'trim':
      return 'trim';
    case 'end':
      return 'end';
    case 'tongue':
      return 'tongue';
    case 'deep':
      return `${f.length(says.mm)} deep`;
    case 'blade':
      return `blade ${f.fine(says.mm)} high`;
  }
}
