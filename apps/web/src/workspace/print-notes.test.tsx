import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { rowOf } from '@lean-clasp/core/plan';
import { screen, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { usePlan } from '../planner/plan-context';
import { PrintNotes } from './PrintNotes';

const floor = stageFloor(DEMO_SHOP);
const lines = (floor.boards ?? []).slice(1).map(({ id }, i) => `${floor.boards?.[i]?.id}_${id}`);

function Notes() {
  const { plan } = usePlan();
  return plan?.row == null ? null : <PrintNotes name="Stage floor" row={plan.row} />;
}

describe('what is printed beside the drawing', () => {
  it('lists clamps as they stand, with the opening of each session', async () => {
    renderBuild(<Notes />, {
      order: { sessions: [lines.slice(0, 2), lines.slice(2)], pinned: [] },
    });
    const table = await screen.findByRole('table', { hidden: true });
    const rows = within(table).getAllByRole('row', { hidden: true });
    expect(rows).toHaveLength(rowOf(floor).clamps.length + 1);
    expect(rows[1]?.textContent).toContain('379 mm · 615 mm');
  });
});
