import type { ScriptOperation } from '@lean-clasp/core/bench';
import { nextHandOver } from './HandOver';

const step = (id: string, hands: number[], after: string[] = []): ScriptOperation => ({
  id,
  kind: 'close',
  instruction: { code: 'do-bag', severity: 'informs', values: {} },
  joints: [],
  clamps: [],
  hands,
  startMin: 0,
  endMin: 1,
  after,
  wait: null,
  asks: null,
});

describe('nextHandOver', () => {
  const own = step('spread:1', [0]);

  it('calls what is done together before it comes', () => {
    const both = step('close:1', [0, 1]);
    expect(nextHandOver(own, [step('spread:2', [0]), both])).toBe(both);
    expect(nextHandOver(both, [step('close:2', [0, 1])])).toBeNull();
  });

  it('calls what the other goes on with as soon as this is done', () => {
    const others = step('close:1', [1], ['spread:1']);
    expect(nextHandOver(own, [others])).toBe(others);
    expect(nextHandOver(own, [step('close:1', [0], ['spread:1'])])).toBeNull();
  });

  it('is silent about what is far off, and tells idle hands what they wait for', () => {
    const both = step('close:9', [0, 1]);
    const upcoming = [step('a', [0]), step('b', [0]), both];
    expect(nextHandOver(own, upcoming)).toBeNull();
    expect(nextHandOver(null, upcoming)).toBe(both);
  });
});
