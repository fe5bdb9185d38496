import { type FullSizeItem, type Shape, shapePoints } from '@lean-clasp/core/full-size';
import { shapeLabelWords } from '@lean-clasp/words';
import { useTheme } from '@mui/material/styles';
import type { Tokens } from '../app/tokens';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';

const HIGH_PX = 150;
/** Around the template, as a share of its larger side. */
const AROUND = 0.04;
/** Words smaller than this on the screen are left out, px. */
const LEAST_PX = 7;

/** A template, made small enough to see all of it. */
export function TemplateView({ item, title }: { readonly item: FullSizeItem; readonly title: string }) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const points = item.shapes.flatMap(shapePoints);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const around = AROUND * Math.max(right - left, high - low);
  const [wide, tall] = [right - left + 2 * around, high - low + 2 * around];
  const scale = Math.min(HIGH_PX / tall, WIDE_PX / wide);
  return (
    <svg
      role="img"
      aria-label={`${title}, drawn small`}
      width="100%"
      height={tall * scale}
      viewBox={`${left - around} ${-(high + around)} ${wide} ${tall}`}
      style={{ display: 'block', maxWidth: WIDE_PX }}
    >
      <g fill="none" strokeWidth={1.4 / scale}>
        {item.shapes.map((shape, i) => (
          <ShapeLine key={i} shape={shape} stroke={strokeOf(shape, tokens)} />
        ))}
      </g>
      <g fill={tokens.ink} fontFamily={FIGURE_FACE} textAnchor="middle" aria-hidden>
        {item.labels
          .filter(({ highMm }) => highMm * scale >= LEAST_PX)
          .map(({ at: [x, y], highMm, ...label }) => (
            <text key={`${x} ${y}`} x={x} y={-y} fontSize={highMm}>
              {shapeLabelWords(label, f)}
            </text>
          ))}
      </g>
    </svg>
  );
}

const WIDE_PX = 560;

const strokeOf = ({ layer }: Shape, tokens: Tokens): string =>
  ({ cut: tokens.ink, mark: tokens.action, drill: tokens.holds })[layer];

function ShapeLine({ shape, stroke }: { readonly shape: Shape; readonly stroke: string }) {
  switch (shape.kind) {
    case 'line':
      return (
        <path
          d={`M${shape.points.map(([x, y]) => `${x} ${-y}`).join('L')}${shape.closed ? 'Z' : ''}`}
          stroke={stroke}
        />
      );
    case 'circle':
      return <circle cx={shape.centre[0]} cy={-shape.centre[1]} r={shape.radiusMm} stroke={stroke} />;
    case 'arc': {
      const [from = [0, 0], to = [0, 0]] = [shapePoints(shape)[0], shapePoints(shape).at(-1)];
      const large = shape.toDeg - shape.fromDeg > 180 ? 1 : 0;
      const r = shape.radiusMm;
      return <path d={`M${from[0]} ${-from[1]}A${r} ${r} 0 ${large} 0 ${to[0]} ${-to[1]}`} stroke={stroke} />;
    }
  }
}
