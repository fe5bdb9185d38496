import { LIMITS } from '@lean-clasp/core/basics';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { LengthField } from '../quantities/fields';
import { useOpenBuild } from '../workspace/open-build';

/** One reading of the whole, taken while it is together dry; bows and twists in fine units. */
export function ReadingField({
  label,
  reading,
  bounds,
  hint,
}: {
  readonly label: string;
  readonly reading: keyof BuildDocument['dryFit'];
  readonly bounds: 'diagonalMm' | 'deviationMm';
  readonly hint: string;
}) {
  const { build, edit } = useOpenBuild();
  return (
    <LengthField
      label={label}
      optional
      fine={bounds === 'deviationMm'}
      value={build.dryFit[reading]}
      bounds={LIMITS[bounds]}
      hint={hint}
      onChange={(value) =>
        edit(label, (before) => ({ ...before, dryFit: { ...before.dryFit, [reading]: value } }))
      }
      width={184}
    />
  );
}
