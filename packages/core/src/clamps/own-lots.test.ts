import { ofCode } from '../findings';
import type { RackLot } from '../formats';
import { PRACTICE_SHOP, practise } from '../test-support/practice';
import { lotReachMm } from '.';

const withLot = (kind: string, change: Partial<RackLot>) => ({
  ...PRACTICE_SHOP,
  rack: PRACTICE_SHOP.rack.map((lot) => (lot.kind === kind ? { ...lot, ...change } : lot)),
});

describe('a person’s own clamps', () => {
  it('reach as far as was measured, else as far as their kind does', () => {
    expect(lotReachMm({ kind: 'f-heavy' })).toBe(120);
    expect(lotReachMm({ kind: 'f-heavy', reachMm: 200 })).toBe(200);
    expect(lotReachMm({ kind: 'band' })).toBe(0);
  });

  it('press a wide stack to its middle where their throat is deep enough', () => {
    const wide = { species: 'beech', layers: 3, layerMm: 20, widthMm: 260, lengthMm: 300, blanks: 1 };
    const said = (reachMm?: number) =>
      practise({
        template: 'face-lamination',
        shop: {
          ...PRACTICE_SHOP,
          rack: PRACTICE_SHOP.rack
            .filter(({ kind }) => kind === 'c-clamp')
            .map((lot) => ({ ...lot, count: 12, ...(reachMm === undefined ? {} : { reachMm }) })),
        },
        squeeze: { clamps: [{ id: 'own', pull: 'down', rackId: 'c-clamp', alongMm: 150, acrossMm: 130 }] },
        answers: wide,
      }).answer.findings;
    expect(ofCode(said(), 'jaws-do-not-reach')?.values).toMatchObject({ depthMm: 65, neededMm: 130 });
    expect(ofCode(said(150), 'jaws-do-not-reach')).toBeUndefined();
  });

  it('are turned so far past snug as their pull asks, to the quarter turn', () => {
    const turnsIn = (perTurnN?: number) =>
      practise({
        template: 'tenon-frame',
        shop: withLot('t-bar', perTurnN === undefined ? {} : { perTurnN }),
        answers: {},
      }).answer.sessions.flatMap(({ operations }) =>
        operations.flatMap(({ kind, instruction }) =>
          kind === 'tighten' ? [ofCode([instruction], 'do-tighten-on')?.values.turns] : [],
        ),
      );
    expect(turnsIn()).toEqual([0, 0, 0]);
    // Each clamp seats the two ends of its rail with one force: 1,500 N.
    expect(turnsIn(2000)).toEqual([0.75, 0.75, 0.75]);
    expect(turnsIn(20000)).toEqual([0.25, 0.25, 0.25]);
  });
});
