import { type Finding, finding } from '../../findings';
import { lookOf } from '../../kinds';
import { type Check, type Field, type Judged, numberAt, wordAt } from './reading';

/** A gap along a line that the thinnest leaf of a feeler finds, mm [judgement]. */
const FEELER_MM = 0.1;
/** A step that a finger feels and a plane would take off, mm [judgement]. */
const FLUSH_MM = 0.3;
/** A stack that stands this far above the shoulder may still be tapped home, mm [judgement]. */
const TAPPED_MM = 0.6;
/** An angle that no bevel shows, degrees [judgement]. */
const ANGLE_DEG = 0.1;
const CORNERS = ['A', 'B', 'C', 'D'] as const;

const TRUE: Judged = { accepted: true, says: [finding('reads-true', 'informs')] };
const toDo = (...says: readonly Finding[]): Judged => ({ accepted: false, says });
/** Told, and left as it is: nothing that clamps could mend. */
const leaveIt = (...says: readonly Finding[]): Judged => ({ accepted: true, says });

const length = (id: string, optional = false): Field => ({ id, ask: 'length', optional });
const word = (id: string, ...choices: readonly string[]): Field => ({ id, ask: 'word', choices });

/** What was read in one field, counted as nothing where a word says that there is nothing. */
const told =
  (id: string, choice: string, none: string): Check['off'] =>
  (values) =>
    wordAt(values, choice) === none ? 0 : numberAt(values, id);

/** A look that finds something or not. */
const seen = (good: string, bad: string, what: () => Finding): Check => ({
  fields: () => [word('seen', good, bad)],
  judge: (values) => (wordAt(values, 'seen') === bad ? toDo(what()) : TRUE),
});

/** Joint by joint: a fine bead, dry, or too much. Only dry ones want something done. */
export const SQUEEZE_OUT: Check = {
  fields: ({ joints }) => joints.map((joint) => word(joint, 'bead', 'dry', 'runs')),
  judge: (values, { joints }) => {
    const dry = joints.filter((joint) => wordAt(values, joint) === 'dry');
    return dry.length === 0 ? TRUE : toDo(finding('draw-over', 'informs', { joints: dry.join(', ') }));
  },
};

/**
 * A straightedge across: how far off in the middle, and which way. A row whose middle stands high is pulled below mid-thickness, and the
 * other way round. On a case it is laid on a part: one that is bowed by itself is left. On a scarf it shows a kink.
 */
export const STRAIGHTEDGE: Check = {
  fields: () => [word('middle', 'true', 'high', 'hollow'), length('off', true)],
  judge: (values, subject) => {
    const middle = wordAt(values, 'middle') ?? 'true';
    const byMm = Math.abs(numberAt(values, 'off') ?? 0);
    if (middle === 'true' || byMm <= subject.within.flatMm) return TRUE;
    switch (lookOf(subject.template, 'straightedge')?.shows ?? 'part') {
      case 'kink':
        return toDo(finding('scarf-kinked', 'informs', { byMm, high: middle === 'high' ? 1 : 0 }));
      case 'part':
        return leaveIt(finding('part-is-bowed', 'informs', { bowMm: byMm }));
      case 'pull':
        return toDo(finding(middle === 'high' ? 'bars-too-low' : 'bars-too-high', 'informs', { byMm }));
    }
  },
  off: told('off', 'middle', 'true'),
};

/** Wedge or feeler along every line: the widest gap decides. */
export const FEELER: Check = {
  fields: ({ joints }) => [
    word('lines', 'all tight', 'some open'),
    ...joints.map((joint) => length(joint, true)),
  ],
  judge: (values, subject) => {
    const joint = subject.joints.reduce<string | null>(
      (worst, each) =>
        (numberAt(values, each) ?? 0) > (worst === null ? FEELER_MM : (numberAt(values, worst) ?? 0))
          ? each
          : worst,
      null,
    );
    if (joint !== null)
      return toDo(finding('gap-open', 'informs', { joint, byMm: numberAt(values, joint) ?? 0 }));
    return wordAt(values, 'lines') === 'some open'
      ? toDo(finding('gap-open', 'informs', { joint: '', byMm: 0 }))
      : TRUE;
  },
  off: (values, { joints }) =>
    wordAt(values, 'lines') === 'all tight'
      ? 0
      : Math.max(0, ...joints.map((joint) => numberAt(values, joint) ?? 0)),
};

/** A step between two parts: where, and by how much. */
export const FLUSH: Check = {
  fields: ({ joints }) => [word('at', 'none', ...joints), length('proud', true)],
  judge: (values) => {
    const joint = wordAt(values, 'at') ?? 'none';
    const byMm = Math.abs(numberAt(values, 'proud') ?? 0);
    return joint === 'none' || byMm <= FLUSH_MM
      ? TRUE
      : toDo(finding('tap-flush', 'informs', { joint, byMm }));
  },
  off: told('proud', 'at', 'none'),
};

/** Two bars sighted over each other: which corner stands high over the plane of the other three, and by how much. */
export const WINDING: Check = {
  fields: () => [word('high', 'none', ...CORNERS), length('wind', true)],
  judge: (values, { within }) => {
    const corner = wordAt(values, 'high') ?? 'none';
    const byMm = Math.abs(numberAt(values, 'wind') ?? 0);
    return corner === 'none' || byMm <= within.flatMm
      ? TRUE
      : toDo(finding('lower-corner', 'informs', { corner, byMm }));
  },
  off: told('wind', 'high', 'none'),
};

/**
 * A try square in a corner: the gap at the end of its blade. A part that is bowed shows a gap too: a bow of s over a length L leans by 4s/L
 * at its end, so that a blade of length b stands off by 4·s·b/L [circular arc, s much smaller than L]. That much is the part, not the corner.
 */
export const TRY_SQUARE: Check = {
  fields: () => [
    word('open', 'none', 'at the corner', 'at the end'),
    length('gap', true),
    length('blade', true),
    { ...word('bows', 'away', 'toward'), optional: true },
    length('bow', true),
    length('part', true),
  ],
  judge: (values, { within }) => {
    const open = wordAt(values, 'open') ?? 'none';
    const gapMm = Math.abs(numberAt(values, 'gap') ?? 0);
    if (open === 'none' || gapMm <= within.squareMm) return TRUE;
    const [bladeMm, bowMm, partMm] = ['blade', 'bow', 'part'].map((id) => numberAt(values, id));
    if (bladeMm !== undefined && bowMm !== undefined && partMm !== undefined && partMm > 0) {
      const leansMm = (4 * Math.abs(bowMm) * bladeMm) / partMm;
      // A part that bows away from the square stands off at its end, one that bows toward it at the corner.
      const opens = wordAt(values, 'bows') === 'toward' ? 'at the corner' : 'at the end';
      if (opens === open && Math.abs(gapMm - leansMm) <= within.squareMm) {
        return leaveIt(finding('part-is-bowed', 'informs', { bowMm: Math.abs(bowMm) }));
      }
    }
    return toDo(finding('square-off', 'informs', { byMm: gapMm, open }));
  },
  off: told('gap', 'open', 'none'),
};

/** A stack of slats and spacers against the shoulder. */
export const DEPTH: Check = {
  fields: () => [word('stack', 'below', 'above'), length('by', true)],
  judge: (values) => {
    const byMm = Math.abs(numberAt(values, 'by') ?? 0);
    if (wordAt(values, 'stack') !== 'above' || byMm === 0) return TRUE;
    return toDo(finding(byMm <= TAPPED_MM ? 'tap-stack' : 'stack-too-high', 'informs', { byMm }));
  },
  off: told('by', 'stack', 'below'),
};

/** A bevel set to the joint: how far it is off, and which way. */
export const ANGLE: Check = {
  fields: () => [
    word('stands', 'right', 'too open', 'too closed'),
    { id: 'off', ask: 'angle', optional: true },
  ],
  judge: (values) => {
    const stands = wordAt(values, 'stands') ?? 'right';
    const byDeg = Math.abs(numberAt(values, 'off') ?? 0);
    if (stands === 'right' || byDeg <= ANGLE_DEG) return TRUE;
    return toDo(finding(stands === 'too open' ? 'close-angle' : 'open-angle', 'informs', { byDeg }));
  },
  off: told('off', 'stands', 'right'),
};

/** Feet against head of an open chain. */
export const SPLAY: Check = {
  fields: () => [length('head'), length('feet')],
  judge: (values, { within }) => {
    const [head, feet] = [numberAt(values, 'head'), numberAt(values, 'feet')];
    if (head === undefined || feet === undefined || Math.abs(feet - head) <= within.squareMm) return TRUE;
    const byMm = Math.abs(feet - head);
    return toDo(finding(feet > head ? 'feet-in' : 'feet-out', 'informs', { byMm }));
  },
  off: (values) => {
    const [head, feet] = [numberAt(values, 'head'), numberAt(values, 'feet')];
    return head === undefined || feet === undefined ? undefined : Math.abs(feet - head);
  },
};

export const BORE = seen('clear', 'blocked', () => finding('clear-bore', 'informs'));
export const LIGHT_THROUGH = seen('none', 'light', () => finding('seam-open', 'informs'));
export const FAIR = seen('fair', 'a flat', () => finding('flat-spot', 'informs'));
export const HOLLOW = seen('solid', 'hollow', () => finding('iron-again', 'informs'));
export const GAUGE = seen('holds', 'falls', () => finding('seal-leaks', 'informs'));
export const COVERS = seen('everywhere', 'not everywhere', () => finding('shift-band', 'informs'));
