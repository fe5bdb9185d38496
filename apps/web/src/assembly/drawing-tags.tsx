import type { AssemblyMarks, PlacedLabel, SideGlyph } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';

/** Radius of a numbered spot, px. */
const SPOT = 11;
/** Room that a numbered spot takes, for labels to keep clear of. */
export const numberBox = ([x, y]: readonly [number, number]) => ({ x, y, width: 2 * SPOT, height: 2 * SPOT });

/** Where two parts are glued: a lozenge, or the joint's number in the order of closing. */
export function JointSpot({
  at: [x, y],
  strong,
  number,
}: {
  readonly at: readonly [number, number];
  readonly strong: boolean;
  readonly number: number | undefined;
}) {
  const { tokens } = useTheme().palette;
  const fill = strong ? tokens.ink : tokens.glue;
  if (number === undefined) {
    return (
      <>
        <circle cx={x} cy={y} r={SPOT} fill="transparent" />
        <path d={`M${x} ${y - 5}l5 5l-5 5l-5 -5Z`} fill={fill} stroke={tokens.ink} strokeWidth={0.8} />
      </>
    );
  }
  return (
    <>
      <circle cx={x} cy={y} r={SPOT} fill={fill} stroke={tokens.ink} strokeWidth={0.8} />
      <text
        x={x}
        y={y + 5}
        textAnchor="middle"
        fontSize={14}
        fontFamily={FIGURE_FACE}
        fill={strong ? tokens.sheet : tokens.woodInk}
      >
        {number}
      </text>
    </>
  );
}

/** Height of a name tag, px. */
export const TAG_HEIGHT = 22;
/** Width of a name tag, px. */
export const tagWidth = (label: string) => label.length * 7.2 + 12;

/** A part's name by its spot, with a line to it where the name had to make way. */
export function NameTag({
  label,
  place,
  spot: [x, y],
}: {
  readonly label: string;
  readonly place: PlacedLabel;
  readonly spot: readonly [number, number];
}) {
  const { tokens } = useTheme().palette;
  const width = tagWidth(label);
  return (
    <>
      {place.away && (
        <>
          <line x1={x} y1={y} x2={place.x} y2={place.y} stroke={tokens.ink} strokeWidth={0.8} />
          <circle cx={x} cy={y} r={2.5} fill={tokens.ink} />
        </>
      )}
      <rect
        x={place.x - width / 2}
        y={place.y - TAG_HEIGHT / 2}
        width={width}
        height={TAG_HEIGHT}
        rx={3}
        fill={tokens.sheet}
        stroke={tokens.ink}
        strokeWidth={0.8}
        opacity={0.92}
      />
      <text x={place.x} y={place.y + 5} textAnchor="middle" fontSize={14} fill={tokens.ink}>
        {label}
      </text>
    </>
  );
}

/** A pencil mark: a loop whose tail runs to the marked edge on the face, a caret on the edge. */
export function Glyph({
  glyph,
  at: [x, y],
}: {
  readonly glyph: SideGlyph;
  readonly at: readonly [number, number];
}) {
  const { tokens } = useTheme().palette;
  const turn = (Math.atan2(glyph.towards[1], glyph.towards[0]) * 180) / Math.PI;
  return (
    <path
      d={glyph.kind === 'face' ? 'M12 0C4 0 -2 -7 -7 -3C-11 1 -6 6 -2 2C1 -1 2 -4 3 -8' : 'M-6 -7L6 0L-6 7'}
      transform={`translate(${x.toFixed(1)} ${y.toFixed(1)}) rotate(${turn.toFixed(1)})`}
      fill="none"
      stroke={tokens.woodInk}
      strokeWidth={1.8}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

/** Overall size along the bottom and up the left side. */
export function Overall({
  marks,
  at,
}: {
  readonly marks: AssemblyMarks;
  readonly at: (point: readonly [number, number]) => [number, number];
}) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const own = marks.parts.length > 0 ? marks : null;
  if (own === null) return null;
  const [x0, y0] = at(marks.from);
  const [x1, y1] = at([marks.from[0] + marks.size[0], marks.from[1] + marks.size[1]]);
  const text = { fontSize: 14, fill: tokens.ink, textAnchor: 'middle' as const, fontFamily: FIGURE_FACE };
  return (
    <g stroke={tokens.ink} strokeWidth={1}>
      <path
        d={`M${x0} ${y1 + 10}V${y1 + 22}M${x1} ${y1 + 10}V${y1 + 22}M${x0} ${y1 + 16}H${x1}`}
        fill="none"
      />
      <path
        d={`M${x0 - 10} ${y0}H${x0 - 22}M${x0 - 10} ${y1}H${x0 - 22}M${x0 - 16} ${y0}V${y1}`}
        fill="none"
      />
      <text x={(x0 + x1) / 2} y={y1 + 37} stroke="none" {...text}>
        {f.length(marks.size[0])}
      </text>
      <text transform={`translate(${x0 - 26} ${(y0 + y1) / 2}) rotate(-90)`} stroke="none" {...text}>
        {f.length(marks.size[1])}
      </text>
    </g>
  );
}
