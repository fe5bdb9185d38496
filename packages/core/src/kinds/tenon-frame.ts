import { InputError } from '../basics/checks';
import { box, type Prism, type Solid } from '../solids';
import { BAR_CLAMPS, defineKind, joint, PADS_MM, part, partId, upTo, X, Y } from './kind';
import { askChoice, askCount, askLength, askSpecies } from './question';

/** A mortise is cut deeper than its tenon is long, for glue and chips, mm. */
const BOTTOM_ROOM_MM = 2;
/** Wood left outside a tenon at the end of a stile, as a share of the rail. */
const HAUNCH_SHARE = 1 / 4;

/** Two stiles and two or more rails, mortised and tenoned or bridled. */
export const TENON_FRAME = defineKind({
  id: 'tenon-frame',
  questions: {
    species: askSpecies('eastern-white-pine'),
    widthMm: askLength(900, 120, 3000),
    heightMm: askLength(1500, 120, 4000),
    memberMm: askLength(70, 20, 300),
    thicknessMm: askLength(27, 12, 120),
    midRails: askCount(1, 0, 6),
    tenonMm: askLength(45, 8, 300),
    joinery: askChoice(['mortise-tenon', 'bridle'], 'mortise-tenon'),
  },
  preparation: ['fresh-faces', 'mark-faces', 'mask-at-dry-fit', 'closes-dry', 'holes-before-closing'],
  cautions: [],
  adhesive: null,
  faces: 2,
  method: 'joint-brush',
  layOut: ({ species, widthMm, heightMm, memberMm, thicknessMm, midRails, tenonMm, joinery }) => {
    const bridle = joinery === 'bridle';
    const reachMm = bridle ? memberMm : tenonMm;
    if (!bridle && tenonMm + BOTTOM_ROOM_MM + 3 > memberMm) {
      throw new InputError(
        'inconsistent',
        'answers.tenonMm',
        `A tenon of ${tenonMm} mm would break out of a stile ${memberMm} mm wide.`,
        `at most ${memberMm - BOTTOM_ROOM_MM - 3} mm, or a wider stile`,
      );
    }
    const rails = midRails + 2;
    const pitch = (heightMm - memberMm) / (rails - 1);
    if (pitch <= memberMm || widthMm <= 2 * memberMm) {
      throw new InputError(
        'inconsistent',
        'answers.memberMm',
        `Members of ${memberMm} mm leave no opening in this frame.`,
        `less than ${Math.floor(Math.min(heightMm / rails, widthMm / 2))} mm`,
      );
    }
    const third = thicknessMm / 3;
    const places = upTo(rails).map((n) => {
      const y = (n - 1) * pitch;
      const cut = bridle ? 0 : memberMm * HAUNCH_SHARE;
      // End rails keep their outer shoulder whole as a haunch, others lose half of it on either side.
      const low = y + (n === 1 ? cut : n === rails ? 0 : cut / 2);
      const high = y + memberMm - (n === rails ? cut : n === 1 ? 0 : cut / 2);
      return { y, low, high, n };
    });
    const tongue = (x0: number, x1: number, { low, high }: { low: number; high: number }) =>
      box([x0, low, third], [x1, high, 2 * third]);
    const stile = (x: number, mortise: (place: (typeof places)[number]) => Prism): Solid => ({
      blocks: [box([x, 0, 0], [x + memberMm, heightMm, thicknessMm])],
      pockets: places.map(mortise),
    });
    const right = widthMm - memberMm;
    const depth = bridle ? memberMm : tenonMm + BOTTOM_ROOM_MM;
    const stiles = [
      stile(0, (place) => tongue(memberMm - depth, memberMm, place)),
      stile(right, (place) => tongue(right, right + depth, place)),
    ];
    const joints = places.flatMap(({ n }) =>
      [1, 2].map((side) =>
        joint(bridle ? 'bridle' : 'mortise-tenon', partId('stile', side), partId('rail', n)),
      ),
    );
    return {
      parts: [
        ...stiles.map((solid, i) =>
          part('stile', i + 1, species, solid, Y, [heightMm, memberMm, thicknessMm]),
        ),
        ...places.map((place) =>
          part(
            'rail',
            place.n,
            species,
            {
              blocks: [
                box([memberMm, place.y, 0], [right, place.y + memberMm, thicknessMm]),
                tongue(memberMm - reachMm, memberMm, place),
                tongue(right, right + reachMm, place),
              ],
              pockets: [],
            },
            X,
            [right - memberMm + 2 * reachMm, memberMm, thicknessMm],
          ),
        ),
      ],
      joints,
      pulls: [
        {
          id: 'across',
          joints: joints.map(({ id }) => id),
          need: 'seat',
          stacked: false,
          axis: X,
          openingMm: widthMm + PADS_MM,
          kinds: BAR_CLAMPS,
        },
      ],
      square: { kind: 'diagonals', abMm: widthMm, bcMm: heightMm },
      flat: { kind: 'wind' },
    };
  },
});
