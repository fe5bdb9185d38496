import { leastBy } from '@lean-clasp/core/basics';
import type { PlannedPull, PressedAlong } from '@lean-clasp/core/plan';
import { isSelected, useSelection } from '../drawing/selection';
import { PressureCurves } from './PressureCurves';

/** Pressure along the joints of a stack: the chosen one, or else the weakest, drawn over the others. */
export function AlongJoints({
  along: { lengthMm, clampsMm, lines },
  wanted,
}: {
  readonly along: PressedAlong;
  readonly wanted: PlannedPull['wanted'];
}) {
  const { selected } = useSelection();
  const picked = lines.findIndex(({ joint }) => isSelected(selected, 'joint', joint));
  const weakest = lines.indexOf(leastBy(lines, ({ minMPa }) => minMPa));
  return (
    <PressureCurves
      lengthMm={lengthMm}
      lines={lines}
      chosen={picked < 0 ? weakest : picked}
      wanted={wanted}
      clampsMm={clampsMm}
    />
  );
}
