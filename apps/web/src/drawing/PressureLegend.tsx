import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { PressureStep } from '@lean-clasp/core/drawing';
import { useFormat } from '../quantities/use-format';

const STEPS: readonly PressureStep[] = [0, 1, 2, 3, 4, 5];
const SWATCH = { width: 46, height: 14 };

/** The ramp with its limits in the person's unit; hatching marks what is under target. */
export function PressureLegend({ lowMPa, highMPa }: { readonly lowMPa: number; readonly highMPa: number }) {
  const { tokens } = useTheme().palette;
  const { pressureNumber, pressureUnit } = useFormat();
  // Lower limit of each step, as `pressureStep` in the core sets them.
  const limits = [0, lowMPa / 2, lowMPa, (lowMPa + highMPa) / 2, highMPa, 1.25 * highMPa];
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: { xs: 'wrap', sm: 'nowrap' },
        columnGap: 2,
        alignItems: 'center',
        fontSize: '0.875rem',
        pb: 0.5,
      }}
    >
      <Box component="span">{pressureUnit}</Box>
      <svg
        width={SWATCH.width * 6 + 30}
        height={36}
        style={{ flexShrink: 0 }}
        role="img"
        aria-label={`Pressure ramp: hatched below ${pressureNumber(lowMPa)} ${pressureUnit}, right up to ${pressureNumber(highMPa)}`}
      >
        {STEPS.map((step) => {
          const box = { x: step * SWATCH.width, y: 1, ...SWATCH };
          return (
            <g key={step}>
              <rect {...box} fill={tokens.ramp[step]} stroke={tokens.ink} strokeWidth={0.6} />
              {step < 2 && <rect {...box} fill="url(#under-target)" />}
              <text x={box.x} y={32} fontSize={14} fill={tokens.ink}>
                {pressureNumber(limits[step] ?? 0)}
              </text>
            </g>
          );
        })}
      </svg>
      <Box component="span">hatched: under target · solid bar above, dashed below</Box>
    </Box>
  );
}
