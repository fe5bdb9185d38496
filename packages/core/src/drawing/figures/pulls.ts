import { handCalibration } from '../../calculations/clamping';
import { angledClamp, band } from '../../calculations/geometry';
import { N_PER_KG } from '../../clamps';
import type { Vec2 } from '../../solids';
import { arrow, drawn, line, number, outline, polar } from './figure';

/** The pull on a slanted joint, split into what presses and what slides. */
export const angledClampFigure = drawn(angledClamp, (input, { normalN, slideN, slides }) => {
  const { jointAngleDeg, pullAngleDeg, offsetMm, faceMm } = input;
  const half = faceMm / 2;
  const along = (distance: number) => polar([0, 0], jointAngleDeg, distance);
  const across = jointAngleDeg + 90;
  const body = (side: 1 | -1) =>
    outline([
      along(-half),
      along(half),
      polar(along(half), across, side * faceMm * 0.8),
      polar(along(-half), across, side * faceMm * 0.8),
    ]);
  const at = along(Math.max(-half, Math.min(half, offsetMm)));
  const from = polar(at, pullAngleDeg + 180, faceMm);
  const share = (force: number) => (faceMm * 0.8 * force) / Math.max(input.forceN, 1e-9);
  const presses = Math.sin(((pullAngleDeg - jointAngleDeg) * Math.PI) / 180) >= 0 ? across : across + 180;
  const creeps =
    Math.cos(((pullAngleDeg - jointAngleDeg) * Math.PI) / 180) >= 0 ? jointAngleDeg : jointAngleDeg + 180;
  return {
    paths: [
      body(1),
      body(-1),
      line([along(-half), along(half)], 'glue'),
      arrow(from, at),
      arrow(at, polar(at, presses, share(normalN)), 'mark'),
      arrow(at, polar(at, creeps, share(slideN)), slides ? 'force' : 'thin'),
    ],
    labels: [
      number(from, from[0] < 0 ? 'left' : 'right', 'forceN', input.forceN),
      number(polar(at, presses, share(normalN)), 'right', 'normalN', normalN, 'presses'),
      number(polar(at, creeps, share(slideN)), 'below', 'slideN', slideN, 'slides'),
    ],
  };
});

/** Each corner by itself, in turn, with the press that the band gives it. */
export const bandFigure = drawn(band, (_, { corners }) => {
  const most = Math.max(...corners.map(({ pressureMPa }) => pressureMPa), 1e-9);
  const room = 130;
  return {
    paths: corners.flatMap(({ angleDeg, pressureMPa }, i) => {
      const tip: Vec2 = [i * room, 0];
      const leg = (turn: number, length: number) => polar(tip, -90 + turn, length);
      const half = angleDeg / 2;
      return [
        line([leg(-half, 60), tip, leg(half, 60)]),
        line([tip, leg(0, 60)], 'glue'),
        arrow([tip[0], 60 * (pressureMPa / most) + 8], [tip[0], 6]),
      ];
    }),
    labels: corners.flatMap(({ angleDeg, pressureMPa }, i) => [
      number([i * room, 60 * (pressureMPa / most) + 8], 'above', 'pressureMPa', pressureMPa),
      number([i * room, -62], 'below', 'angleDeg', angleDeg),
    ]),
  };
});

/** Readings over the turns past snug, and the line through them. */
export const handCalibrationFigure = drawn(
  handCalibration,
  ({ readings, lever }, { perTurnN, snugN, mostN }) => {
    const [wide, high] = [100, 60];
    const turns = readings.map((reading) => reading.turns);
    const [least, most] = [Math.min(...turns), Math.max(...turns)];
    const pulls = readings.map(({ kg }) => kg * N_PER_KG * lever);
    const top = Math.max(...pulls, mostN);
    const at = (turn: number, forceN: number): Vec2 => [
      (wide * turn) / Math.max(most, 1e-9),
      (high * forceN) / Math.max(top, 1e-9),
    ];
    const cross = ([x, y]: Vec2) => [
      line(
        [
          [x - 1.5, y - 1.5],
          [x + 1.5, y + 1.5],
        ],
        'force',
      ),
      line(
        [
          [x - 1.5, y + 1.5],
          [x + 1.5, y - 1.5],
        ],
        'force',
      ),
    ];
    const first = mostN - perTurnN * (most - least);
    return {
      paths: [
        line([
          [0, high],
          [0, 0],
          [wide, 0],
        ]),
        line([at(least, first), at(most, mostN)], 'glue'),
        ...readings.flatMap(({ turns: turn }, i) => cross(at(turn, pulls[i] ?? 0))),
      ],
      labels: [
        number(at(0, snugN), 'left', 'snugN', snugN, 'snug'),
        number(at(most, mostN), 'right', 'mostN', mostN),
        number([wide / 2, 0], 'below', 'perTurnN', perTurnN, 'a turn adds'),
      ],
    };
  },
);
