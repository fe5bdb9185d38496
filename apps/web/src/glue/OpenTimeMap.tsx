import type { GlueJob } from '@lean-clasp/core/choice';
import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';

const TEMPERATURES = [6, 10, 14, 18, 22, 26, 30] as const;
const HUMIDITIES = [85, 75, 65, 55, 45, 35, 25] as const;
const CELL = { width: 49, height: 32 };
const ROOM = { left: 58, top: 8, bottom: 26 };

/** Open time over temperature and humidity, the short end in minutes; today's air is marked. */
export function OpenTimeMap({
  job,
  openMin,
}: {
  readonly job: GlueJob;
  readonly openMin: (tempC: number, rhPct: number) => number | null;
}) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const width = ROOM.left + TEMPERATURES.length * CELL.width;
  const height = ROOM.top + HUMIDITIES.length * CELL.height + ROOM.bottom;
  const values = HUMIDITIES.flatMap((rhPct) => TEMPERATURES.map((tempC) => openMin(tempC, rhPct))).filter(
    (value) => value !== null,
  );
  const [least, longest] = [Math.min(...values), Math.max(...values)];
  /** Five steps from the shortest to the longest of these airs. */
  const stepOf = (value: number) =>
    longest > least ? Math.min(4, Math.floor((5 * Math.log(value / least)) / Math.log(longest / least))) : 2;
  const text = { fontSize: 14, fontFamily: FIGURE_FACE, textAnchor: 'middle' as const };
  return (
    <>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        style={{ maxWidth: width }}
        role="img"
        aria-label={`Open time needed ${job.openNeedMin.toFixed(1)} min; now ${openMin(job.tempC, job.rhPct)?.toFixed(1) ?? 'none'} min at ${f.temperature(job.tempC)} and ${job.rhPct} %`}
      >
        {HUMIDITIES.map((rhPct, row) => (
          <g key={rhPct}>
            <text x={ROOM.left - 8} y={centre(row).y + 5} {...text} textAnchor="end" fill={tokens.ink}>
              {rhPct} %
            </text>
            {TEMPERATURES.map((tempC, column) => {
              const value = openMin(tempC, rhPct);
              return (
                <g key={tempC}>
                  <rect
                    x={ROOM.left + column * CELL.width}
                    y={ROOM.top + row * CELL.height}
                    width={CELL.width - 1}
                    height={CELL.height - 1}
                    fill={
                      value === null ? tokens.barGround : (tokens.ramp[stepOf(value)] ?? tokens.barGround)
                    }
                  />
                  <text
                    x={ROOM.left + (column + 0.5) * CELL.width}
                    y={centre(row).y + 5}
                    {...text}
                    fill={value !== null && stepOf(value) > 2 ? tokens.ramp[0] : tokens.ink}
                  >
                    {value === null ? '—' : cellWords(value, job.openNeedMin)}
                  </text>
                </g>
              );
            })}
          </g>
        ))}
        {TEMPERATURES.map((tempC, column) => (
          <text
            key={tempC}
            x={ROOM.left + (column + 0.5) * CELL.width}
            y={height - 8}
            {...text}
            fill={tokens.ink}
          >
            {f.temperature(tempC)}
          </text>
        ))}
        <circle {...today(job)} r={7} fill="none" stroke={tokens.fails} strokeWidth={3} />
      </svg>
      <Typography variant="body2" color="text.secondary">
        Minutes at the short end, ! where that is less than the job takes, a dash where it is refused. This
        job takes {job.openNeedMin.toFixed(1)} min; the ring is today.
      </Typography>
    </>
  );
}

const centre = (row: number) => ({ y: ROOM.top + (row + 0.5) * CELL.height });

/** Where today's air lies on the map, kept on its edge when it lies outside. */
function today({ tempC, rhPct }: GlueJob): { cx: number; cy: number } {
  const along = (value: number, first: number, last: number, count: number) =>
    Math.max(0, Math.min(count - 1, ((value - first) / (last - first)) * (count - 1)));
  const column = along(tempC, TEMPERATURES[0], TEMPERATURES[6], TEMPERATURES.length);
  const row = along(rhPct, HUMIDITIES[0], HUMIDITIES[6], HUMIDITIES.length);
  return {
    cx: ROOM.left + (column + 0.5) * CELL.width,
    cy: ROOM.top + (row + 0.5) * CELL.height,
  };
}

function cellWords(value: number, need: number): string {
  return `${value < need ? '!' : ''}${value < 10 ? value.toFixed(1) : value.toFixed(0)}`;
}
