import { DEMO_SHOP } from '../../demo';
import { demoAssembly } from '../../test-support/builds';
import { planBuild } from '../plan-build';
import { arrangedInTurn } from './arrange-in-turn';
import { withSessions } from './arrange-order';
import { lineByLine } from './line-by-line';

const warm = {
  ...demoAssembly('proscenium'),
  crew: 2,
  glue: { adhesive: 'pva-interior', method: 'trowel', faces: 1 as const },
  climate: { tempC: 22, rhPct: 35 },
};
const plan = planBuild(warm, DEMO_SHOP);
const free = plan.joints.map(() => null);
const ids = plan.joints.map(({ facts }) => facts.joint.id);

/** Every cut of the lines into runs of neighbours, as bits between them. */
function marginOfCut(bits: number): { sessions: number; margin: number } {
  const runs = ids.reduce<number[][]>((made, _, i) => {
    if (i === 0 || (bits >> (i - 1)) & 1) return [...made, [i]];
    return [...made.slice(0, -1), [...(made.at(-1) ?? []), i]];
  }, []);
  const margins = runs.map(
    (run) =>
      lineByLine(
        plan,
        run.map((i) => plan.joints.slice(i, i + 1)),
      ).worstMargin,
  );
  return { sessions: runs.length, margin: Math.min(...margins) };
}

describe('lines that are glued as they lie', () => {
  it('are cut as the best of all cuts into neighbours is', () => {
    const all = Array.from({ length: 2 ** (ids.length - 1) }, (_, bits) => marginOfCut(bits));
    const found = arrangedInTurn(plan, free);
    const enough = all.filter(({ margin }) => margin >= found.askedMargin);
    const fewest = Math.min(...enough.map(({ sessions }) => sessions));
    expect(found.status).toBe('proven');
    expect(found.sessions).toHaveLength(fewest);
    expect(found.sessions.flat()).toEqual(ids);
    const most = Math.max(
      ...enough.filter(({ sessions }) => sessions === fewest).map(({ margin }) => margin),
    );
    const made = planBuild(withSessions(warm, found.sessions), DEMO_SHOP).order?.sessions ?? [];
    expect(Math.min(...made.map(({ worstMargin }) => worstMargin))).toBeCloseTo(most, 9);
  });

  it('keep pins, and say which contradict each other', () => {
    const pinned = arrangedInTurn(plan, [1, ...free.slice(1)]);
    expect(pinned).toMatchObject({ status: 'infeasible', impossible: [{ code: 'pins-contradict' }] });
    const last = arrangedInTurn(plan, [...free.slice(1), 5]);
    expect(last.sessions[5]).toEqual(ids.slice(-1));
  });

  it('are told apart from those that no session can hold', () => {
    const slowly = { ...warm.glue, method: 'roller' };
    const hot = planBuild({ ...warm, crew: 1, glue: slowly, climate: { tempC: 30, rhPct: 35 } }, DEMO_SHOP);
    expect(arrangedInTurn(hot, free)).toMatchObject({
      status: 'infeasible',
      sessions: [],
      impossible: [{ code: 'window-too-short' }],
    });
  });
});
