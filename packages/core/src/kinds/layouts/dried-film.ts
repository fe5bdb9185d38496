import { InputError } from '../../basics/checks';
import { finding } from '../../findings';
import { box, extruded, type Solid, solidOf } from '../../solids';
import type { LayOut, PartDraft } from '../kind';
import type { DRIED_FILM } from '../dried-film';
import { arcCorners } from './arcs';
import { joint, part, X, Z } from './pieces';

/** Straight stretches that a curved edge is drawn with. */
const FACETS = 32;
/** The curved edge is drawn on a core no deeper than this share of its radius. */
const DEEPEST_SHARE = 0.95;
/** Dry and warm under the iron, a strip bends round so many times its thickness without breaking [judgement]. */
const BENDS_FROM = 60;
/** Faces are ironed field by field, since glue that is hot lets go again behind the iron [judgement], m². */
const FIELD_M2 = 0.1;

interface Core {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly veneerMm: number;
  readonly radiusMm: number;
}

export const layDriedFilm: LayOut<typeof DRIED_FILM> = ({ on, coreSpecies, veneerSpecies, ...core }) => {
  const { lengthMm, widthMm, thicknessMm, veneerMm } = core;
  const { solids, blankMm } = SHAPES[on](core);
  const laid = (role: 'core' | 'veneer', species: string, solid: Solid, blank: PartDraft['blankMm']) =>
    part(role, 0, species, solid, X, blank, role === 'core' ? Z : null);
  const areaM2 = (lengthMm * (on === 'face' ? widthMm : thicknessMm)) / 1e6;
  const least = BENDS_FROM * veneerMm;
  if (on === 'curved-edge' && core.radiusMm < least) {
    throw new InputError(
      'inconsistent',
      'answers.veneerMm',
      `A strip of ${veneerMm} mm breaks around a radius of ${core.radiusMm} mm under an iron.`,
      `a radius of ${Math.ceil(least)} mm or more, or strips of ${(core.radiusMm / BENDS_FROM).toFixed(2)} mm or thinner`,
    );
  }
  return {
    parts: [
      laid('core', coreSpecies, solids[0], [lengthMm, widthMm, thicknessMm]),
      laid('veneer', veneerSpecies, solids[1], blankMm),
    ],
    joints: [joint(on === 'face' ? 'veneer' : 'band', 'core', 'veneer')],
    oneGo: true,
    inTurn: true,
    pressedBy: 'iron',
    pulls: [],
    flat: { kind: 'none' },
    findings: [
      finding('iron-within', 'informs', { days: 2 }),
      ...(on === 'face' && areaM2 > FIELD_M2
        ? [finding('iron-in-fields', 'warns', { areaM2, fieldM2: FIELD_M2 })]
        : []),
    ],
  };
};

interface Shape {
  readonly solids: readonly [core: Solid, veneer: Solid];
  /** Of the strip: longer and wider all round, to be trimmed. */
  readonly blankMm: PartDraft['blankMm'];
}

/** Left over on every side, to be trimmed when it is cold, mm [judgement]. */
const TRIM_MM = 3;

const blankOf = (lengthMm: number, widthMm: number, veneerMm: number): PartDraft['blankMm'] => [
  lengthMm + 2 * TRIM_MM,
  widthMm + 2 * TRIM_MM,
  veneerMm,
];

const SHAPES: Readonly<Record<'straight-edge' | 'curved-edge' | 'face', (core: Core) => Shape>> = {
  'straight-edge': ({ lengthMm: l, widthMm: w, thicknessMm: t, veneerMm: v }) => ({
    solids: [solidOf(box([0, 0, 0], [l, w, t])), solidOf(box([0, -v, 0], [l, 0, t]))],
    blankMm: blankOf(l, t, v),
  }),
  face: ({ lengthMm: l, widthMm: w, thicknessMm: t, veneerMm: v }) => ({
    solids: [solidOf(box([0, 0, 0], [l, w, t])), solidOf(box([0, 0, t], [l, w, t + v]))],
    blankMm: blankOf(l, w, v),
  }),
  'curved-edge': ({ lengthMm: l, widthMm, thicknessMm: t, veneerMm: v, radiusMm: r }) => {
    if (l > Math.PI * r) {
      throw new InputError(
        'inconsistent',
        'answers.lengthMm',
        `An edge of ${Math.round(l)} mm goes more than half round a radius of ${Math.round(r)} mm.`,
        `up to ${Math.floor(Math.PI * r)} mm at a time, or a radius of ${Math.ceil(l / Math.PI)} mm`,
      );
    }
    const half = l / r / 2;
    const arc = (radius: number) => arcCorners(radius, Math.PI / 2, half, FACETS);
    const ring = (from: number, to: number) =>
      solidOf(extruded('z', [...arc(to), ...arc(from).reverse()], 0, t));
    const inner = r - Math.min(widthMm, DEEPEST_SHARE * r);
    return { solids: [ring(inner, r), ring(r, r + v)], blankMm: blankOf(l, t, v) };
  },
};
