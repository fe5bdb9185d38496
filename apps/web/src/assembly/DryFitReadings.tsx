import Typography from '@mui/material/Typography';
import { FieldRow } from '../parts/FieldRow';
import { usePlan } from '../planner/plan-context';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';
import { ReadingField } from './ReadingField';

/** Diagonals this near to each other are alike, mm. */
const ALIKE_MM = 0.5;

/** Diagonals, bow and twist read while it is together dry, and what they ask for in words. */
export function DryFitReadings() {
  const { build } = useOpenBuild();
  const { plan } = usePlan();
  const f = useFormat();
  const square = plan?.facts.assembly.square;
  const { acMm, bdMm } = build.dryFit;
  return (
    <>
      <FieldRow>
        {square?.kind === 'diagonals' && (
          <>
            <ReadingField
              label="Diagonal A–C"
              reading="acMm"
              bounds="diagonalMm"
              hint="near left to far right"
            />
            <ReadingField
              label="Diagonal B–D"
              reading="bdMm"
              bounds="diagonalMm"
              hint="near right to far left"
            />
          </>
        )}
        <ReadingField label="Largest bow" reading="bowMm" bounds="deviationMm" hint="of any part" />
        <ReadingField label="Twist" reading="twistMm" bounds="deviationMm" hint="over winding sticks" />
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
