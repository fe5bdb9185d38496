import { coatDriesMin, DRIED_COATS } from '../../adhesives';
import { finding } from '../../findings';
import type { Plan } from '../plan';
import { workforceOf } from './workforce';
import type { OrderedSession } from './ordered-sessions';
import type { Draft } from './planned-operation';

/**
 * A film that is left to dry and then ironed: every coat on all its joints, each wait by the air, then the iron from joint to joint.
 * On a clock that waits included runs from the first coat.
 */
export function driedFilmDrafts(plan: Plan, session: OrderedSession): Draft[] {
  const own = plan.joints.filter(({ facts }) => session.joints.includes(facts.joint.id));
  const { pace } = workforceOf(plan);
  const dry = coatDriesMin(plan.climate);
  const coatMin =
    own.reduce((sum, { spread, method }) => sum + spread.minutes * pace('spread', method.id), 0) /
    DRIED_COATS;
  const massG = own.reduce((sum, { spread }) => sum + spread.massG, 0) / DRIED_COATS;
  const base = { clamps: [], hands: [0], asks: null };
  let clock = 0;
  const next = (workMin: number, waits: boolean) => {
    const startMin = clock;
    clock += (waits ? dry.likely : 0) + workMin;
    return { startMin, endMin: clock, wait: waits ? ({ min: dry.likely, until: 'dry' } as const) : null };
  };
  const coats = Array.from({ length: DRIED_COATS }, (_, i): Draft => ({
    ...base,
    id: `coat:${i + 1}`,
    kind: 'coat',
    joints: session.joints,
    ...next(coatMin, i > 0),
    instruction: finding('do-coat', 'informs', {
      coat: i + 1,
      coats: DRIED_COATS,
      massG,
      dryLowMin: dry.low,
      dryHighMin: dry.high,
    }),
  }));
  const ironed = own.map(({ facts, closeMin }, i): Draft => ({
    ...base,
    id: `iron:${facts.joint.id}`,
    kind: 'iron',
    joints: [facts.joint.id],
    ...next(closeMin * pace('press'), i === 0),
    instruction: finding('do-iron', 'informs', { line: facts.label, lengthMm: facts.lengthMm }),
  }));
  return [...coats, ...ironed];
}
