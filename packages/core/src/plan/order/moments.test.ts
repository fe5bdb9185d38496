import type { Adhesive } from '../../adhesives';
import { ofCode } from '../../findings';
import type { BuildDocument, ShopDocument } from '../../formats';
import { buildOf, maplePanel, TEST_SHOP } from '../../test-support/builds';
import { planBuild, settlePlan } from '../plan-build';
import { rowTightening } from '../row/row-tightening';
import { fuseOf, holdsFuse } from './fuses';
import { operationsOf } from './operations';
import { isLater } from './planned-operation';

function operations(build: BuildDocument, shop: ShopDocument = TEST_SHOP) {
  const plan = settlePlan(planBuild(build, shop));
  const [session] = plan.order?.sessions ?? [];
  if (session === undefined) throw new Error('nothing is glued');
  return { plan, session, all: operationsOf(plan, session) };
}

const started = (template: string, change: Partial<BuildDocument> = {}): BuildDocument => ({
  ...buildOf({ template, name: 'One', project: '', service: 'dry', answers: {} }),
  crew: 2,
  ...change,
});

const lightly = (adhesive: Adhesive['id'], more: Partial<BuildDocument> = {}) =>
  maplePanel({ school: 'light', glue: { adhesive, method: 'roller', faces: 1 }, ...more });

describe('the second squeeze', () => {
  it('comes once the glue drags and ends inside the assembly time, less the margin', () => {
    const { plan, session, all } = operations(lightly('polyurethane-foaming'));
    const again = all.find(({ id }) => id === 'tighten:again');
    if (again === undefined) throw new Error('no second squeeze');
    expect(again.wait?.until).toBe('drags');
    expect(again.clamps).toHaveLength(6);
    expect(again.endMin - again.startMin - (again.wait?.min ?? 0)).toBeGreaterThan(0);
    for (const [i, joint] of plan.joints.entries()) {
      const lit = plan.times[i]?.spreadStartMin ?? 0;
      expect(again.endMin - lit).toBeLessThanOrEqual(0.8 * (joint.window.totalMin?.low ?? 0) + 1e-9);
    }
    expect(again.endMin - session.handsOnMin).toBeGreaterThanOrEqual(5);
    expect(ofCode(plan.findings, 'no-second-squeeze')).toBeUndefined();
    const said = ofCode(rowTightening(plan), 'tighten-again');
    expect(said?.values.afterMin).toBeGreaterThanOrEqual(5);
  });

  it('has no room in hot dry air, which is said and keeps Tight from holding', () => {
    const { plan, all } = operations(
      lightly('polyurethane-foaming', { climate: { tempC: 38, rhPct: 85 }, crew: 1 }),
    );
    expect(all.find(({ id }) => id === 'tighten:again')).toBeUndefined();
    expect(ofCode(plan.findings, 'no-second-squeeze')?.severity).toBe('warns');
    expect(plan.verdicts.tight.state).not.toBe('holds');
    expect(rowTightening(plan).map(({ code }) => code)).toContain('no-second-squeeze');
    expect(rowTightening(plan).map(({ code }) => code)).not.toContain('tighten-again');
  });

  it('is not asked for where the wood gets its full pressure', () => {
    const { plan, all } = operations(maplePanel());
    expect(all.find(({ id }) => id === 'tighten:again')).toBeUndefined();
    expect(rowTightening(plan).map(({ code }) => code)).not.toContain('tighten-again');
  });
});

describe('squeeze-out', () => {
  const cleaning = (build: BuildDocument) => operations(build).all.find(({ id }) => id.startsWith('clean:'));

  it('is left where the faces are planed afterwards', () => {
    expect(cleaning(maplePanel())).toBeUndefined();
    expect(cleaning(started('face-lamination'))).toBeUndefined();
    expect(cleaning(started('bent-lamination'))).toBeUndefined();
  });

  it('is peeled off with the masking inside a case, off the wood elsewhere, once it is rubbery', () => {
    const inside = cleaning(started('case'));
    expect(inside?.id).toBe('clean:peel-masking');
    const open = cleaning(started('tenon-frame'));
    expect(open?.id).toBe('clean:skin-and-peel');
    for (const one of [inside, open]) {
      expect(one?.wait?.until).toBe('rubbery');
      expect(one?.wait?.min).toBeGreaterThan(5);
      expect(one === undefined ? false : isLater(one)).toBe(true);
    }
  });

  it('is wiped at once where paint comes over it, scraped wet under stain', () => {
    const finished = (finish: 'paint' | 'stain') =>
      cleaning(
        started('tenon-frame', {
          wishes: { ...planBuild(started('tenon-frame'), TEST_SHOP).build.wishes, finish } as never,
        }),
      );
    const painted = finished('paint');
    expect([painted?.id, painted?.kind]).toEqual(['clean:damp-wipe', 'wipe']);
    expect(painted === undefined ? true : isLater(painted)).toBe(false);
    const stained = finished('stain');
    expect([stained?.id, stained?.kind]).toEqual(['clean:scrape-wet', 'scrape']);
  });

  it('takes longer the more joints there are', () => {
    const worked = (build: BuildDocument) => {
      const one = cleaning(build);
      return one === undefined ? 0 : one.endMin - one.startMin - (one.wait?.min ?? 0);
    };
    const plain = started('tenon-frame');
    const railed = started('tenon-frame', { answers: { ...plain.answers, midRails: 4 } });
    expect(worked(railed)).toBeGreaterThan(1.5 * worked(plain));
  });
});

describe('a fuse', () => {
  it.each(['edge-panel', 'tenon-frame', 'case', 'mitred-post', 'veneered-sheet', 'bent-lamination'])(
    'of %s is lit, closed and put out by operations of its session, in that order',
    (template) => {
      const shop = {
        ...TEST_SHOP,
        rack: [
          ...TEST_SHOP.rack,
          {
            id: 'bag',
            kind: 'vacuum',
            count: 1,
            maxOpeningMm: 3000,
            forceN: null,
            padWidthMm: 1000,
            padHeightMm: 1000,
          },
        ],
      };
      const { plan, session, all } = operations(started(template), shop);
      const at = (id: string) => all.find((each) => each.id === id);
      for (const joint of plan.joints.filter(({ facts }) => session.joints.includes(facts.joint.id))) {
        const fuse = fuseOf(joint, all);
        if (fuse === null) throw new Error('no fuse');
        const [lit, closed, out] = [at(fuse.lit), at(fuse.closed), at(fuse.out)];
        expect([lit?.kind, closed?.kind]).toEqual(['spread', 'close']);
        expect(lit?.endMin).toBeLessThanOrEqual((closed?.startMin ?? NaN) + 1e-9);
        expect(closed?.endMin).toBeLessThanOrEqual((out?.endMin ?? NaN) + 1e-9);
        // Nothing that works on the joint ends later than what puts its fuse out.
        for (const operation of all.filter((each) => holdsFuse(each, joint.facts.joint.id))) {
          expect(operation.endMin).toBeLessThanOrEqual((out?.endMin ?? NaN) + 1e-9);
        }
      }
    },
  );

  it('is not put out by readings, nor by what is done hours into the cure', () => {
    const { plan, all } = operations(started('tenon-frame'));
    const [joint] = plan.joints;
    if (joint === undefined) throw new Error('no joint');
    const out = all.find(({ id }) => id === fuseOf(joint, all)?.out);
    expect(out?.asks).toBeNull();
    expect(out?.id).not.toMatch(/^(check|clean):/);
  });

  it('is none where the glue is refused or the joint left dry', () => {
    const cold = planBuild(started('tenon-frame', { climate: { tempC: 2, rhPct: 50 } }), TEST_SHOP);
    expect(cold.joints.map((joint) => fuseOf(joint, []))).toEqual(cold.joints.map(() => null));
  });
});
