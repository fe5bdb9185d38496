import { gatherList } from '../../bench';
import { ofCode } from '../../findings';
import { panelPressure } from '../../mechanics';
import { evenBars, maplePanel, type PanelChange, roundTop, TEST_SHOP } from '../../test-support/builds';
import { planBuild, settlePlan } from '../plan-build';
import { rowOpenings, rowTightening } from './row-tightening';
import type { RowPlan } from './row-plan';
import { stageOfLine } from './stages';

const LINES = (maplePanel().boards ?? [])
  .slice(1)
  .map(({ id }, i) => `${maplePanel().boards?.[i]?.id}_${id}`);
const [AB = '', BC = '', CD = '', DE = ''] = LINES;
const HALVES = [[AB, BC, DE], [CD]];
const BOARD_BY_BOARD = LINES.map((id) => [id]);

const inSessions = (sessions: readonly (readonly string[])[], change: PanelChange = {}) =>
  planBuild(
    maplePanel({ ...change, order: { sessions: sessions.map((ids) => [...ids]), pinned: [] } }),
    TEST_SHOP,
  );
function rowIn(sessions: readonly (readonly string[])[], change: PanelChange = {}): RowPlan {
  const { row } = inSessions(sessions, change);
  if (row === null) throw new Error('a panel is a row');
  return row;
}
const labelsOf = ({ stages }: RowPlan) => stages.map(({ panel }) => panel.boards.map(({ label }) => label));
const widthsOf = ({ stages }: RowPlan) => stages.map(({ panel }) => panel.widthMm);

describe('a row glued in stages', () => {
  it('lies in its bars as a whole where it is glued in one go', () => {
    const row = rowIn([]);
    expect(row.stages).toHaveLength(1);
    expect(row.stages[0]?.panel).toBe(row.panel);
    expect(rowIn([LINES]).stages[0]?.panel.widthMm).toBe(600);
  });

  it('has two halves in the same bars, the middle line dry, then the halves as two wide boards', () => {
    const row = rowIn(HALVES);
    expect(labelsOf(row)).toEqual([
      ['A', 'B', 'C', 'D', 'E'],
      ['A–C', 'D–E'],
    ]);
    expect(row.stages[1]?.panel.boards.map(({ board }) => board.widthMm)).toEqual([360, 240]);
    expect(row.stages[1]?.panel.lines.map(({ id, depthMm }) => [id, depthMm])).toEqual([[CD, 240]]);
  });

  it('grows board by board, so that a line near the edge has less wood behind it', () => {
    const row = rowIn(BOARD_BY_BOARD);
    expect(labelsOf(row)).toEqual([
      ['A', 'B'],
      ['A–B', 'C'],
      ['A–C', 'D'],
      ['A–D', 'E'],
    ]);
    expect(widthsOf(row)).toEqual([240, 360, 480, 600]);
    expect(stageOfLine(row.stages, BC).line.depthMm).toBe(120);
    expect(stageOfLine(row.stages, BC).line.atMm).toBe(240);
    // In one go the same line lies 240 mm deep.
    expect(stageOfLine(rowIn([]).stages, BC).line.depthMm).toBe(240);
  });

  it('is put to what was glued before on either side of it, and leaves further boards off', () => {
    const row = rowIn([[DE], [AB], [CD], [BC]]);
    expect(labelsOf(row)).toEqual([
      ['D', 'E'],
      ['A', 'B'],
      ['C', 'D–E'],
      ['A–B', 'C–E'],
    ]);
  });

  it('glues lines that no session names in the last', () => {
    const row = rowIn([[AB], [CD]]);
    expect(row.stages.map(({ glued }) => glued)).toEqual([[AB], [BC, CD, DE]]);
  });

  it('keeps boards of another wood, sawing or thickness apart after they have cured', () => {
    const boards = (maplePanel().boards ?? []).map((board, i) =>
      i === 1 ? { ...board, species: 'black-walnut' } : board,
    );
    expect(labelsOf(rowIn(HALVES, { boards }))[1]).toEqual(['A', 'B', 'C', 'D–E']);
  });

  it('presses less evenly where fewer boards spread the pull, with the same pull over every line', () => {
    const clamps = evenBars('long', [150, 500, 850]);
    const whole = rowIn([], { clamps });
    const staged = rowIn(BOARD_BY_BOARD, { clamps });
    whole.lines.forEach((line, i) => {
      expect(staged.lines[i]?.pressure.meanMPa).toBeCloseTo(line.pressure.meanMPa, 9);
    });
    const least = (row: RowPlan, i: number) => row.lines[i]?.pressure.minMPa ?? 0;
    expect(least(staged, 1)).toBeLessThan(0.9 * least(whole, 1));
    expect(least(staged, 0)).toBeLessThanOrEqual(least(whole, 0) + 1e-9);
  });

  it('is pressed by the elements stage by stage: the middle line as between two boards of their width', () => {
    const settled = settlePlan(inSessions(HALVES)).row;
    const [first] = maplePanel().boards ?? [];
    if (first === undefined || settled === null) throw new Error('a panel has boards');
    const alone = settlePlan(
      planBuild(
        maplePanel({
          boards: [
            { ...first, id: 'left', widthMm: 360 },
            { ...first, id: 'right', widthMm: 240 },
          ],
        }),
        TEST_SHOP,
      ),
    ).row;
    const [own, other] = [settled.lines[2]?.pressure, alone?.lines[0]?.pressure];
    expect(own?.minMPa).toBeCloseTo(other?.minMPa ?? 0, 9);
    expect(own?.pressureMPa).toEqual(other?.pressureMPa);
    expect(settled.pressed?.status).toBe('converged');
    expect(settled.pressed?.lines).toHaveLength(4);
    const whole = settlePlan(inSessions([])).row;
    // The first stage holds all five boards as one go does, the dry line with them.
    expect(settled.lines[0]?.pressure.minMPa).toBeCloseTo(whole?.lines[0]?.pressure.minMPa ?? 0, 9);
  });

  it('asks the elements once for each stage', () => {
    let asked = 0;
    settlePlan(inSessions(BOARD_BY_BOARD), (panel) => {
      asked += 1;
      return panelPressure(panel);
    });
    expect(asked).toBe(4);
  });

  it('closes a gap against what lies beside it in its stage only', () => {
    const gaps = [{ line: 1, gapMm: 0.6 }];
    const closing = (sessions: readonly (readonly string[])[]) =>
      rowIn(sessions, { gaps }).lines[1]?.closingForceN ?? 0;
    const two = closing([[AB], [BC], [CD, DE]]);
    // A–B is one deep board by then, and C stands alone: stiffer than two single boards.
    expect(two).toBeGreaterThan(closing([]));
    // Both sides grown together are the stiffest.
    expect(closing([[AB, CD, DE], [BC]])).toBeGreaterThan(two);
  });

  it('forbids a jaw that stands where an outer board of any stage is not', () => {
    const boards = (maplePanel().boards ?? []).map((board, i) =>
      i === 1 ? { ...board, lengthMm: 700 } : board,
    );
    const clamps = evenBars('long', [80, 300, 520, 800]);
    const cause = (sessions: readonly (readonly string[])[]) =>
      inSessions(sessions, { boards, clamps }).verdicts.tight.cause.code;
    expect(cause([])).not.toBe('clamp-off-end');
    expect(cause(BOARD_BY_BOARD)).toBe('clamp-off-end');
  });

  it('takes the softest wood that a jaw ever bears on for its bite', () => {
    const boards = (maplePanel().boards ?? []).map((board, i) =>
      i === 2 ? { ...board, species: 'eastern-white-pine' } : board,
    );
    const limit = (sessions: readonly (readonly string[])[]) =>
      rowIn(sessions, { boards }).clampSet.clamps[0]?.crushLimitMPa ?? 0;
    expect(limit(BOARD_BY_BOARD)).toBeLessThan(0.5 * limit([]));
    // In halves the pine lies inside: no jaw ever touches it.
    expect(limit(HALVES)).toBe(limit([]));
  });

  it('takes all clamps in every session, each closed to what lies in it', () => {
    const plan = inSessions(HALVES);
    const row = rowIn(HALVES);
    const [one, two] = plan.order?.sessions ?? [];
    const clampMin = (session: typeof one) =>
      (session?.operations ?? [])
        .filter(({ kind }) => kind === 'clamp')
        .reduce((sum, { startMin, endMin }) => sum + endMin - startMin, 0);
    expect(clampMin(two)).toBeCloseTo(clampMin(one), 9);
    const across = rowOpenings(rowIn(BOARD_BY_BOARD)).filter(({ use }) => use === 'across');
    expect(across.map(({ session, openingMm, count }) => [session, openingMm, count])).toEqual([
      [0, 255, 6],
      [1, 375, 6],
      [2, 495, 6],
      [3, 615, 6],
    ]);
    expect(rowOpenings(row).find(({ use }) => use === 'spare')?.openingMm).toBe(615);
    expect(ofCode(gatherList(inSessions(BOARD_BY_BOARD)), 'gather-clamps')?.values).toMatchObject({
      session: 1,
      openingMm: 255,
    });
  });

  it('says what lies in the bars in each session, and what stays dry', () => {
    const said = rowTightening(inSessions(HALVES)).filter(({ code }) => code === 'row-stage');
    expect(said.map(({ values }) => values)).toEqual([
      { session: 1, of: 2, from: 'A', to: 'E', glued: 'A–B, B–C, D–E', dry: 'C–D', openingMm: 615 },
      { session: 2, of: 2, from: 'A–C', to: 'D–E', glued: 'C–D', dry: '', openingMm: 615 },
    ]);
    expect(rowTightening(inSessions([])).map(({ code }) => code)).not.toContain('row-stage');
  });
});

it('keeps a round top whole in its blocks, whatever its sessions', () => {
  const round = roundTop();
  const ids = planBuild(round, TEST_SHOP).joints.map(({ facts }) => facts.joint.id);
  const { row } = planBuild({ ...round, order: { sessions: ids.map((id) => [id]), pinned: [] } }, TEST_SHOP);
  expect(row?.stages.map(({ panel }) => panel.widthMm)).toEqual(ids.map(() => 900));
  expect(row?.panel.stands).toEqual(planBuild(round, TEST_SHOP).row?.panel.stands);
});
