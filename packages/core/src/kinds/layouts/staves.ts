import { stave } from '../../geometry';
import { extruded, solidOf, turned, type Vec2 } from '../../solids';
import type { LayOut } from '../kind';
import { upTo } from '../names';
import type { MITRED_POST } from '../staves';
import { joint, part, partId, X, Y, Z } from './pieces';

/** What goes round a post, and what may press a square one in opposed pairs, lightest first. */
const GO_ROUND = ['band', 'screw-band', 'elastic-wrap'];
const OPPOSED = ['trigger', 'f-light', 'hand-screw', 'f-heavy', 'parallel-jaw', 'c-clamp'];

export const layMitredPost: LayOut<typeof MITRED_POST> = ({
  species,
  staves,
  acrossFlatsMm,
  thicknessMm,
  lengthMm,
  posts,
}) => {
  const { widthMm, bevelDeg } = stave({ sides: staves, outsideAcrossFlatsMm: acrossFlatsMm, thicknessMm });
  const apothem = acrossFlatsMm / 2;
  const inside = (widthMm * (apothem - thicknessMm)) / apothem;
  // Outside face up, seen along the post; (y, z) about its middle.
  const section: Vec2[] = [
    [-inside / 2, apothem - thicknessMm],
    [inside / 2, apothem - thicknessMm],
    [widthMm / 2, apothem],
    [-widthMm / 2, apothem],
  ];
  const straight = extruded('x', section, 0, lengthMm);
  const id = (n: number) => partId('stave', ((n - 1) % staves) + 1);
  const joints = upTo(staves).map((n) => joint('mitre', id(n), id(n + 1), { angleDeg: 180 - 2 * bevelDeg }));
  return {
    parts: upTo(staves).map((n) =>
      part('stave', n, species, solidOf(turned(straight, X, (-2 * Math.PI * (n - 1)) / staves)), X, [
        lengthMm,
        widthMm,
        thicknessMm,
      ]),
    ),
    joints,
    oneGo: true,
    pulls: [
      {
        id: 'round',
        joints: joints.map(({ id: name }) => name),
        need: 'band',
        stacked: true,
        axis: [0, 0, 1],
        openingMm: acrossFlatsMm,
        kinds: staves === 4 ? [...GO_ROUND, ...OPPOSED, 'tape'] : [...GO_ROUND, 'tape'],
        ...(staves === 4 ? { opposedAxes: [Y, Z] as const } : {}),
      },
    ],
    square: {
      kind: 'mitres',
      corners: staves,
      faceMm: thicknessMm,
      lastAngleDeg: 180 - 2 * bevelDeg,
    },
    sets: posts,
    dimensions: [],
  };
};
