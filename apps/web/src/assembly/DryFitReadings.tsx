import { type BuildDocument, LIMITS, type LimitName } from '@lean-clasp/core';
import Typography from '@mui/material/Typography';
import { FieldRow } from '../parts/FieldRow';
import { usePlan } from '../planner/plan-context';
import { LengthField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';

type Reading = keyof BuildDocument['dryFit'];
/** Diagonals this near to each other are alike, mm. */
const ALIKE_MM = 0.5;

/** Diagonals, bow and twist read while it is together dry, and what they ask for in words. */
export function DryFitReadings() {
  const { build, edit } = useOpenBuild();
  const { plan } = usePlan();
  const f = useFormat();
  const square = plan?.facts.assembly.square;
  const reading = (label: string, key: Reading, bounds: LimitName, hint: string) => (
    <LengthField
      label={label}
      optional
      fine={bounds === 'deviationMm'}
      value={build.dryFit[key]}
      bounds={LIMITS[bounds]}
      hint={hint}
      onChange={(value) =>
        edit(label, (before) => ({ ...before, dryFit: { ...before.dryFit, [key]: value } }))
      }
      width={184}
    />
  );
  const { acMm, bdMm } = build.dryFit;
  return (
    <>
      <FieldRow>
        {square?.kind === 'diagonals' && (
          <>
            {reading('Diagonal A–C', 'acMm', 'diagonalMm', 'near left to far right')}
            {reading('Diagonal B–D', 'bdMm', 'diagonalMm', 'near right to far left')}
          </>
        )}
        {reading('Largest bow', 'bowMm', 'deviationMm', 'of any part')}
        {reading('Twist', 'twistMm', 'deviationMm', 'over winding sticks')}
      </FieldRow>
      {square?.kind === 'diagonals' && (
        <Typography variant="body2" sx={{ mb: 1 }}>
          Square, each diagonal is {f.fine(Math.hypot(square.abMm, square.bcMm))}.{' '}
          {acMm !== null && bdMm !== null && rackWords(acMm - bdMm, (mm) => f.fine(mm))}
        </Typography>
      )}
    </>
  );
}

/** Which diagonal to pull, and how far. */
function rackWords(differenceMm: number, fine: (mm: number) => string): string {
  if (Math.abs(differenceMm) <= ALIKE_MM) return 'The diagonals are alike: not racked.';
  const long = differenceMm > 0 ? 'A–C' : 'B–D';
  return `Racked: pull ${long} in by ${fine(Math.abs(differenceMm) / 2)}, read again. If both stay long, a side is not as drawn.`;
}
