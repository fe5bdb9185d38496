import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { planAhead } from './ahead';

const build = stageFloor(DEMO_SHOP);
const said = (data: unknown) => ({ data }) as MessageEvent<unknown>;

it('plans what will be asked for, and nothing else that is said', () => {
  const first = jest.fn();
  const hear = planAhead({ first });
  hear(said({ ahead: { build, shop: DEMO_SHOP } }));
  expect(first.mock.calls).toEqual([[build, DEMO_SHOP]]);
  for (const other of [null, 'ahead', { id: '1', type: 'APPLY', path: ['first'] }]) hear(said(other));
  expect(first).toHaveBeenCalledTimes(1);
});

it('leaves it to whoever asks to be told what is wrong', () => {
  const first = jest.fn(() => {
    throw new Error('no such wood');
  });
  expect(() => planAhead({ first })(said({ ahead: { build, shop: DEMO_SHOP } }))).not.toThrow();
});
