import { DEMO_SHOP } from '../../demo';
import { ofCode } from '../../findings';
import type { BuildDocument } from '../../formats';
import { buildOf } from '../../test-support/builds';
import { planBuild, settlePlan } from '../plan-build';
import { operationsOf } from './operations';

/** What is done in all sessions of a kind as it starts out, in the order of the bench. */
function operations(template: string, change: Partial<BuildDocument> = {}) {
  const build = {
    ...buildOf({ template, name: 'One', project: '', service: 'dry', answers: {} }),
    ...change,
  };
  const plan = settlePlan(planBuild(build, DEMO_SHOP));
  return { plan, done: (plan.order?.sessions ?? []).flatMap((session) => operationsOf(plan, session)) };
}

describe('a clamp in hand', () => {
  it('is told by the rail or shelf that it draws home, not by the first joint of all', () => {
    const lines = (...of: Parameters<typeof operations>) => [
      ...new Set(
        operations(...of).done.flatMap(({ instruction }) =>
          instruction.code === 'do-set-clamp-on' ? [instruction.values.line] : [],
        ),
      ),
    ];
    expect(lines('tenon-frame')).toEqual(['bottom rail', 'middle rail', 'top rail']);
    expect(lines('case')).toEqual(expect.arrayContaining(['bottom', 'shelf 1', 'shelf 2', 'top']));
  });

  it('goes by a joint in a stack, which one force presses', () => {
    const { done } = operations('face-lamination');
    const set = done.filter(({ instruction }) => instruction.code === 'do-set-clamp-on');
    expect(set.length).toBeGreaterThan(3);
    for (const { instruction } of set)
      expect(instruction.values).toMatchObject({ line: 'layer 1 – layer 2' });
  });

  it('waits, the first time it is drawn, until what slid is tapped flush', () => {
    const drawn = operations('edge-panel').done.flatMap(({ instruction }) =>
      instruction.code === 'do-tighten' ? [instruction.values.once] : [],
    );
    expect(drawn.length).toBeGreaterThan(3);
    expect(drawn).toEqual(drawn.map((_, i) => (i === 0 ? 'flush' : '')));
  });
});

describe('a closing of several joints', () => {
  it('brings home the part that they have in common', () => {
    const closed = operations('tenon-frame').done.flatMap(({ instruction }) =>
      instruction.code === 'do-close-joint' && instruction.values.others > 0
        ? [instruction.values.board]
        : [],
    );
    expect(closed).toEqual(['right stile']);
  });
});

describe('strips of tape', () => {
  it('are told by the bands that they hold', () => {
    const taped = operations('edge-banding').done.flatMap(({ instruction }) =>
      instruction.code === 'do-tape' ? [instruction.values.line] : [],
    );
    expect(taped).toEqual(['front band and back band', 'left band and right band']);
  });
});

describe('glue', () => {
  it('is kept to the middle of a breadboard end, as far as its wood allows', () => {
    const { plan, done } = operations('breadboard');
    const middle = ofCode(plan.facts.assembly.findings, 'glue-the-middle');
    const spread = done.flatMap(({ instruction }) =>
      instruction.code === 'do-spread' ? [instruction.values.middleMm] : [],
    );
    expect(spread).toHaveLength(2);
    for (const mm of spread) expect(mm).toBeCloseTo(middle?.values.gluedMm ?? 0, 6);
  });

  it('goes everywhere else', () => {
    const { done } = operations('edge-panel');
    const spread = done.filter(({ instruction }) => instruction.code === 'do-spread');
    for (const { instruction } of spread)
      expect(instruction.values).toMatchObject({ middleMm: 0, joint: 'edge' });
  });
});

describe('what is looked at', () => {
  const looks = (...of: Parameters<typeof operations>) =>
    operations(...of).done.flatMap(({ asks, instruction }) =>
      asks !== null ? [asks] : instruction.code.startsWith('do-clean') ? ['cleaned'] : [],
    );

  it('is the gauge while a bag presses: nothing in it can be touched', () => {
    expect(looks('veneered-sheet')).toEqual(['gauge']);
    expect(looks('veneered-sheet', { squeeze: { press: 'cauls' } })).toContain('squeeze-out');
  });

  it('is whether a band covers its edge, which it stands proud of on purpose', () => {
    expect(looks('edge-banding')).toContain('covers');
    expect(looks('edge-banding')).not.toContain('flush');
  });
});
