import { LIMITS } from '@lean-clasp/core/basics';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { boardLabel } from '@lean-clasp/core/kinds';
import type { ClosingAdvice } from '@lean-clasp/core/plan';
import Typography from '@mui/material/Typography';
import { FieldRow } from '../../../parts/FieldRow';
import { usePlan } from '../../../planner/plan-context';
import { LengthField } from '../../../quantities/fields';
import { useFormat } from '../../../quantities/use-format';
import { noteJoints } from '../../../assembly/edits';
import { ReadingField } from '../../../assembly/ReadingField';
import { useOpenBuild } from '../../open-build';

/** Feeler readings along the lines, diagonals, bow and twist, with what they mean in words. */
export function LineReadings() {
  const { build, edit } = useOpenBuild();
  return (
    <>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        Put it together without glue and read each line with a feeler: + open in the middle, − open at the
        ends.
      </Typography>
      <FieldRow>
        {linesOf(build).map(({ id, label }) => (
          <LengthField
            key={id}
            label={`Gap ${label}`}
            optional
            fine
            value={build.jointNotes.find((note) => note.id === id)?.gapMm ?? null}
            bounds={LIMITS.gapMm}
            onChange={(gapMm) => edit(`Gap ${label}`, noteJoints([id], { gapMm, gapsMm: undefined }))}
            width={116}
          />
        ))}
      </FieldRow>
      <GapWords />
      <FieldRow>
        <ReadingField
          label="Diagonal A to far end"
          reading="acMm"
          bounds="diagonalMm"
          hint="first edge, left, to last, right"
        />
        <ReadingField
          label="The other diagonal"
          reading="bdMm"
          bounds="diagonalMm"
          hint="first edge, right, to last, left"
        />
        <ReadingField
          label="Largest bow of a board"
          reading="bowMm"
          bounds="deviationMm"
          hint="along its length"
        />
        <ReadingField
          label="Largest twist"
          reading="twistMm"
          bounds="deviationMm"
          hint="over winding sticks"
        />
      </FieldRow>
    </>
  );
}

/** Lines between the person's own boards, named as their joints are. */
function linesOf({ boards = [] }: BuildDocument): { readonly id: string; readonly label: string }[] {
  return boards.slice(1).map(({ id }, i) => ({
    id: `${boards[i]?.id ?? ''}_${id}`,
    label: `${boardLabel(i)}–${boardLabel(i + 1)}`,
  }));
}

const CLOSING_WORDS: Readonly<Record<ClosingAdvice, string>> = {
  none: 'the glue fills it',
  easy: 'the clamps close this easily',
  costly: 'the clamps can, but much of their pull goes into it',
  'back-to-plane': 'back to the plane: clamps should not be asked to close this',
};

/** Whether clamps may be asked to close what was read. */
function GapWords() {
  const { plan } = usePlan();
  const f = useFormat();
  const open = plan?.row?.lines.filter(({ gapMm }) => gapMm !== null && gapMm !== 0) ?? [];
  if (plan === null || open.length === 0) return null;
  return (
    <>
      {open.map(({ line, closing, closingForceN }) => (
        <Typography key={line.index} variant="body2" sx={{ mb: 1 }}>
          {line.label}:{' '}
          {Number.isFinite(closingForceN) ? `about ${f.force(closingForceN)} closes it` : 'no pull closes it'}{' '}
          – {CLOSING_WORDS[closing]}.
        </Typography>
      ))}
    </>
  );
}
