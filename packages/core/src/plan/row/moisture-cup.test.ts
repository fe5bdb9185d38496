import { ofCode } from '../../findings';
import { cupSagittaMm } from '../../materials';
import { maplePanel, planRow } from '../../test-support/builds';
import { deepFreeze } from '../../test-support/deep-freeze';
import { ringChoices } from './moisture-cup';
import { rowOf, withRow } from './row-job';

const panel = maplePanel({ mcInUse: { lowPct: 6.5, highPct: 11 } });
const heldLater = (heldFlatLater: boolean) =>
  withRow(panel, { holding: { ...rowOf(panel).holding, heldFlatLater } });
const free = heldLater(false);
const choicesOf = (build: typeof panel) => ringChoices(deepFreeze(planRow(build)));
const strayOf = (build: typeof panel, order: string) =>
  choicesOf(build).find((choice) => choice.order === order)?.strayMm ?? Number.NaN;

describe('ringChoices', () => {
  it('says of the way it is laid what the verdict counts', () => {
    const plan = planRow(free);
    const counted = ofCode(plan.verdicts.flat.workings, 'how-flat')?.values['moisture-cup'];
    expect(strayOf(free, 'as-laid')).toBe(counted);
  });

  it('adds boards with hearts one way up to an arc, and alternate ones to a washboard', () => {
    expect(strayOf(free, 'heart-up')).toBeGreaterThan(3 * strayOf(free, 'alternate'));
    expect(strayOf(free, 'heart-up')).toBeCloseTo(strayOf(free, 'heart-down'), 9);
  });

  it('agrees with the sagitta of one arc as wide as the panel', () => {
    const plan = planRow(free);
    const [board] = plan.panel.boards;
    if (board === undefined) throw new Error('no boards');
    const sagitta = cupSagittaMm({
      wood: board.wood,
      widthMm: board.board.widthMm,
      mcFromPct: plan.boardMcPct[0] ?? 0,
      mcToPct: 11,
      ringRadiusMm: board.board.ringRadiusMm,
    });
    // Curvature of one board carried over n of them: n² times the sagitta, for arcs this flat.
    const n = plan.panel.boards.length;
    const wet = choicesOf(free).find(({ order }) => order === 'heart-down')?.wet ?? [];
    const lowest = Math.min(...wet.map(([, z]) => z));
    const highest = Math.max(...wet.map(([, z]) => z));
    expect(highest - lowest).toBeGreaterThan(0.97 * n * n * Math.abs(sagitta) * (1 - 1 / (n * n)));
    expect(highest - lowest).toBeLessThan(1.03 * n * n * Math.abs(sagitta));
  });

  it('leaves a tenth where the panel is held flat in use', () => {
    const held = heldLater(true);
    expect(strayOf(held, 'heart-up')).toBeCloseTo(strayOf(free, 'heart-up') / 10, 9);
  });
});
