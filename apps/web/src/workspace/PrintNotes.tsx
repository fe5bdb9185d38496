import { type RowPlan, stageOpeningsMm } from '@lean-clasp/core/plan';
import { useFormat } from '../quantities/use-format';

/** On paper only: what the drawing is of, and its clamps in the order in which they stand along it. */
export function PrintNotes({ name, row }: { readonly name: string; readonly row: RowPlan }) {
  const f = useFormat();
  const { panel, clampSet } = row;
  const open = stageOpeningsMm(row).map(f.length).join(' · ');
  return (
    <div className="print-only">
      <h2>
        {name}: {panel.boards.length} boards, {f.length(panel.widthMm)} × {f.length(panel.lengthMm)} ×{' '}
        {f.length(panel.thicknessMm)}
      </h2>
      <table cellPadding={6}>
        <thead>
          <tr>
            {['clamp', 'kind', 'side', 'at', 'open to', 'pull', 'tighten as'].map((heading) => (
              <th key={heading} align="left">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {clampSet.clamps.map((clamp) => (
            <tr key={clamp.placed.id}>
              <td>{clamp.number}</td>
              <td>{clamp.kindName}</td>
              <td>{clamp.placed.side}</td>
              <td>{f.about(clamp.placed.xMm)}</td>
              <td>{open}</td>
              <td>{f.force(clamp.forceN)}</td>
              <td>{clamp.tightenAs}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
