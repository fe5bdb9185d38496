import { type Aspect, barShareOf, type FigureKind, type Verdict } from '../verdict';
import type { AssemblyPlanParts } from './assembly-parts';
import { flat } from './flat';
import { inTime } from './in-time';
import type { Judged } from './judged';
import { square } from './square';
import { tight } from './tight';

/** In time, tight, square and flat for an assembly glued in one go. */
export function judgeAssembly(parts: AssemblyPlanParts): Readonly<Record<Aspect, Verdict>> {
  return {
    inTime: verdict('inTime', 'minutes', 'at-least', inTime(parts)),
    tight: verdict('tight', 'pressure', 'at-least', tight(parts)),
    square: verdict('square', 'fine-length', 'at-most', square(parts)),
    flat: verdict('flat', 'fine-length', 'at-most', flat(parts)),
  };
}

function verdict(aspect: Aspect, kind: FigureKind, sense: Verdict['sense'], judged: Judged): Verdict {
  const { margin, ...rest } = judged;
  return { aspect, sense, barShare: barShareOf(margin), ...rest, kind: judged.kind ?? kind };
}
