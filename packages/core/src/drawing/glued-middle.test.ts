import { DEMO_SHOP } from '../demo';
import { planBuild } from '../plan';
import { MAIN_AXES, reach } from '../solids';
import { buildOf } from '../test-support/builds';
import { gluedLoops } from './glued-middle';

const jointsOf = (template: string, answers: Record<string, string | number> = {}) =>
  planBuild(buildOf({ template, name: 'One', project: '', service: 'dry', answers }), DEMO_SHOP).facts.joints;
const [X, Y] = MAIN_AXES;
const spanOf = (loops: ReturnType<typeof gluedLoops>, axis: (typeof MAIN_AXES)[number]) =>
  reach(loops.flat(), axis);

describe('gluedLoops', () => {
  it('are the whole contact of most joints', () => {
    for (const joint of jointsOf('tenon-frame')) {
      expect(gluedLoops(joint)).toEqual(joint.contacts.flatMap(({ loops }) => loops));
    }
  });

  it('end where the ends of a breadboard tongue stay dry', () => {
    const joints = jointsOf('breadboard', { panelWidthMm: 500 });
    expect(joints).toHaveLength(2);
    for (const joint of joints) {
      const [low, high] = spanOf(gluedLoops(joint), Y);
      expect((low + high) / 2).toBeCloseTo(250, 6);
      expect(high - low).toBeCloseTo(500 * joint.joint.gluedShare, 6);
      expect(spanOf(gluedLoops(joint), X)).toEqual(
        spanOf(
          joint.contacts.flatMap(({ loops }) => loops),
          X,
        ),
      );
    }
  });

  it('leave out loose tenons that are let in dry', () => {
    const [joint] = jointsOf('breadboard', { letIn: 'loose-tenons' });
    if (joint === undefined) throw new Error('no joint');
    const all = joint.contacts.flatMap(({ loops }) => loops);
    expect(gluedLoops(joint).length).toBeLessThan(all.length);
    expect(gluedLoops(joint).length).toBeGreaterThan(0);
  });
});
