import { InputError } from '../../basics/checks';
import { box, type Prism, solidOf } from '../../solids';
import { type PartDraft } from '../kind';
import { upTo } from '../names';
import { part, X } from './pieces';

/** Thickness of a strip as a share of the case's wood. */
const THICK_SHARE = 0.7;
/** Height of a strip where there is room for it [judgement], mm. */
const HIGH_MM = 90;
/** A strip leaves so much of the opening under its level free, as a share of it. */
const OPENING_SHARE = 0.5;

/** So far from its ends a strip gets no glue while the case only stands dry around it, or it would be fixed in its grooves [judgement], mm. */
export const STRIP_END_MM = 20;
/** What presses a strip up against its level: a throat, for the level has no edge behind it to hook a bar on. */
export const STRIP_CLAMPS = ['f-light', 'trigger', 'c-clamp', 'f-heavy', 'hand-screw', 'parallel-jaw'];

interface CaseForStrips {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly depthMm: number;
  readonly t: number;
  /** Inner face of the right side. */
  readonly inner: number;
  /** How deep grooves are. */
  readonly depthIn: number;
  readonly levels: number;
  /** Underside of a level. */
  readonly z: (level: number) => number;
  readonly backStrips: number;
  readonly laid: 'on-the-back' | 'in-grooves';
}

/** Strips across the back of a case: on it, or under its levels from the top down, with their ends in grooves of the sides. */
export function layStrips(around: CaseForStrips): {
  readonly grooved: boolean;
  readonly highMm: number;
  readonly parts: (species: string) => PartDraft[];
  /** Grooves that they need in a side, which are cut from one place across the case to another. */
  readonly grooves: (across: readonly [number, number]) => Prism[];
} {
  const { widthMm, heightMm, depthMm, t, inner, depthIn, levels, z, backStrips } = around;
  const grooved = around.laid === 'in-grooves';
  const thick = t * THICK_SHARE;
  if (!grooved) {
    const highMm = Math.min(HIGH_MM, (heightMm - 10) / Math.max(1, backStrips) - 5);
    const from = (n: number) =>
      backStrips === 1 ? heightMm - highMm : ((heightMm - highMm) * (n - 1)) / (backStrips - 1);
    return {
      grooved,
      highMm,
      grooves: () => [],
      parts: (species) =>
        upTo(backStrips).map((n) =>
          part(
            'strip',
            n,
            species,
            solidOf(box([0, depthMm, from(n)], [widthMm, depthMm + thick, from(n) + highMm])),
            X,
            [widthMm, highMm, thick],
          ),
        ),
    };
  }
  if (backStrips > levels - 1) {
    throw new InputError(
      'inconsistent',
      'answers.backStrips',
      `${backStrips} strips in grooves find only ${levels - 1} levels to lie under.`,
      `at most ${levels - 1}, or strips on the back`,
    );
  }
  const highMm = Math.min(HIGH_MM, OPENING_SHARE * (z(2) - z(1) - t));
  const under = (n: number) => z(levels - n + 1);
  const cut = (n: number, x0: number, x1: number) =>
    box([x0, depthMm - thick, under(n) - highMm], [x1, depthMm, under(n)]);
  return {
    grooved,
    highMm,
    grooves: ([x0, x1]) => upTo(backStrips).map((n) => cut(n, x0, x1)),
    parts: (species) =>
      upTo(backStrips).map((n) =>
        part('strip', n, species, solidOf(cut(n, t - depthIn, inner + depthIn)), X, [
          inner - t + 2 * depthIn,
          highMm,
          thick,
        ]),
      ),
  };
}
