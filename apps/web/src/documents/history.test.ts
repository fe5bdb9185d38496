import { EMPTY_STACKS, pushed, redoSteps, stacksOf, type Step, undoSteps } from './history';

let value = 0;
const step = (group: string): Step => {
  value += 1;
  return {
    kind: 'edit',
    label: group,
    group,
    patch: [{ op: 'replace', path: '/a', value }],
    inverse: [{ op: 'replace', path: '/a', value: value - 1 }],
  };
};

describe('history', () => {
  it('takes a whole group back, newest first, and does it again in order', () => {
    const log = [step('one'), step('two'), step('two'), step('two')];
    const stacks = stacksOf(log);
    const back = undoSteps(stacks);
    expect(back.map(({ kind, patch }) => [kind, patch])).toEqual([
      ['undo', log[3]?.inverse],
      ['undo', log[2]?.inverse],
      ['undo', log[1]?.inverse],
    ]);
    const after = back.reduce(pushed, stacks);
    expect(after.undo).toEqual([log[0]]);
    expect(redoSteps(after).map(({ patch }) => patch)).toEqual([log[1]?.patch, log[2]?.patch, log[3]?.patch]);
  });

  it('comes out the same from the log as from the steps, undo and redo among them', () => {
    const first = stacksOf([step('a'), step('b')]);
    const undone = undoSteps(first);
    const again = redoSteps(undone.reduce(pushed, first));
    const log = [...first.undo, ...undone, ...again];
    expect(stacksOf(log).undo.map(({ patch }) => patch)).toEqual(first.undo.map(({ patch }) => patch));
    expect(stacksOf(log).redo).toEqual([]);
  });

  it('forgets what could be done again once something else is done', () => {
    const stacks = stacksOf([step('a'), step('b')]);
    const branched = pushed(undoSteps(stacks).reduce(pushed, stacks), step('c'));
    expect(branched.redo).toEqual([]);
    expect(redoSteps(branched)).toEqual([]);
  });

  it('has nothing to take back at the start', () => {
    expect(undoSteps(EMPTY_STACKS)).toEqual([]);
  });
});
