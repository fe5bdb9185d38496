import type { InputError } from '../basics/checks';
import { ofCode } from '../findings';
import { planBuild } from '../plan';
import { solidPoints } from '../solids';
import { DEMO_SHOP } from '../demo';
import { buildOf } from '../test-support/builds';
import { practise, PRACTICE_SHOP } from '../test-support/practice';

type Given = Record<string, number | string>;
const start = (answers: Given) =>
  buildOf({ template: 'case', name: 'C', project: '', service: 'dry', answers });
const planned = (answers: Given) => planBuild(start(answers), PRACTICE_SHOP);
const SIZE = { widthMm: 800, heightMm: 600, depthMm: 280, thicknessMm: 20, shelves: 1, backStrips: 0 };

describe('a case with through tenons', () => {
  it('glues four sides of each tenon over the whole side, and the shoulders beside them', () => {
    const { facts } = planned({ ...SIZE, shelfJoint: 'through-tenon', proudMm: 2 });
    const shelf = facts.joints.filter(({ joint }) => joint.b === 'shelf-1');
    // 280 mm of depth: two tenons of 56, as wide as the wood between them, six tenths of 20 thick.
    const [wide, thick] = [280 / 5, 12];
    const sides = 2 * 2 * (wide + thick) * 20;
    const shoulders = 280 * 20 - 2 * wide * thick;
    expect(shelf).toHaveLength(2);
    for (const { contactMm2, joint } of shelf) {
      expect(joint.kind).toBe('mortise-tenon');
      expect(contactMm2).toBeCloseTo(sides + shoulders, 6);
    }
    const blank = facts.parts.find(({ part }) => part.id === 'shelf-1')?.part.blankMm;
    expect(blank).toEqual([800 - 40 + 2 * (20 + 2), 280, 20]);
  });

  it('is pressed over blocks whose slots clear the ends of the tenons, and bars open for them there alone', () => {
    const { facts, pulls, findings, squeeze } = planned({ ...SIZE, shelfJoint: 'through-tenon', proudMm: 4 });
    const blocks = facts.assembly.aids;
    expect(blocks).toHaveLength(2);
    const ends = facts.parts.find(({ part }) => part.id === 'shelf-1');
    const outmost = Math.max(...solidPoints(ends?.part.solid ?? { blocks: [], pockets: [] }).map(([x]) => x));
    expect(outmost).toBe(804);
    const slots = blocks.flatMap(({ solid }) =>
      solid.pockets.flatMap((pocket) => solidPoints({ blocks: [pocket], pockets: [] })),
    );
    expect(Math.max(...slots.map(([x]) => x))).toBeGreaterThan(outmost);
    expect(ofCode(findings, 'u-blocks')?.values).toMatchObject({ blocks: 2, tenons: 2, slotDeepMm: 7 });
    const openings = new Map(pulls.map(({ pull }) => [pull.id, pull.openingMm]));
    expect((openings.get('across-tenons') ?? 0) - (openings.get('across') ?? 0)).toBe(50);
    expect(squeeze).toBeNull();
  });

  it('has no such blocks where tenons stop inside, and says nothing of them', () => {
    const { facts, findings } = planned(SIZE);
    expect(facts.assembly.aids).toEqual([]);
    expect(ofCode(findings, 'u-blocks')).toBeUndefined();
  });
});

describe('strips across the back', () => {
  it('lie in grooves under their levels, glued along and dry at their ends', () => {
    const { facts, findings } = planned({ ...SIZE, backStrips: 2, strip: 'in-grooves' });
    const of = (kind: string) =>
      facts.joints.filter(({ joint }) => joint.kind === kind && /strip/.test(joint.id));
    const depthIn = 20 / 3;
    for (const { contactMm2 } of of('edge')) expect(contactMm2).toBeCloseTo(14 * (760 + 2 * depthIn), 6);
    expect(of('edge').map(({ joint }) => joint.id)).toEqual(['top_strip-1', 'shelf-1_strip-2']);
    expect(of('housing').map(({ gluedMm2 }) => gluedMm2)).toEqual([0, 0, 0, 0]);
    expect(ofCode(findings, 'strips-in-dry-case')?.values).toEqual({ strips: 2, clearMm: 20 });
  });

  it('are refused where there are more of them than levels to lie under', () => {
    const refusal = (() => {
      try {
        planned({ ...SIZE, backStrips: 3, strip: 'in-grooves' });
      } catch (error) {
        return error as InputError;
      }
      throw new Error('it was not refused');
    })();
    expect([refusal.field, refusal.allowed]).toEqual([
      'answers.backStrips',
      'at most 2, or strips on the back',
    ]);
  });

  it('are each pressed by clamps of their own, and nothing is worked on without hands', () => {
    for (const crew of [1, 2]) {
      const { answer } = practise({ template: 'case', crew, answers: { strip: 'in-grooves' } });
      for (const { operations } of answer.sessions) {
        expect(
          operations.filter(({ hands, startMin, endMin }) => hands.length === 0 && endMin > startMin),
        ).toEqual([]);
        const ups = new Set(
          operations.filter(({ id }) => id.startsWith('set-clamp:strip-')).map(({ id }) => id.split(':')[1]),
        );
        const glued = operations.filter(({ id }) => /^spread:.*strip/.test(id));
        expect(ups.size).toBe(glued.length);
      }
    }
  });
});

describe('shelves in housings', () => {
  it('come between the sides before both of these are held: pushed in from the front, glue would be wiped off', () => {
    const builds = [1, 2, 3].flatMap((shelves) =>
      [1, 2].flatMap((crew) =>
        [0, 2].map((backStrips) => ({ ...start({ ...SIZE, heightMm: 1100, shelves, backStrips }), crew })),
      ),
    );
    for (const build of builds) {
      const { order, facts } = planBuild(build, DEMO_SHOP);
      const parts = new Map(facts.joints.map(({ joint }) => [joint.id, [joint.a, joint.b]]));
      const heldTo = new Map<string, string>();
      const held = (part: string): string => {
        const to = heldTo.get(part);
        return to === undefined ? part : held(to);
      };
      const closings = order?.sessions.flatMap((session) => session.closings) ?? [];
      expect(closings.flatMap(({ joints }) => joints)).toHaveLength(facts.joints.length);
      for (const { joints } of closings) {
        if (joints.some((joint) => /shelf/.test(joint))) expect(held('side-1')).not.toBe(held('side-2'));
        for (const [a = '', b = ''] of joints.map((joint) => parts.get(joint) ?? [])) {
          if (held(a) !== held(b)) heldTo.set(held(a), held(b));
        }
      }
    }
  });

  it('may be pushed in where they stay dry', () => {
    const waysOf = (glued: 'none' | 'full') =>
      planBuild(
        {
          ...start(SIZE),
          jointNotes: [{ id: 'side-1_shelf-1', gapMm: null, reinforcement: 'none', glued }],
        },
        DEMO_SHOP,
      ).facts.joints.find(({ joint }) => joint.id === 'side-1_shelf-1')?.release;
    expect(waysOf('none')).toEqual(expect.arrayContaining(['+x', '+y', '-y']));
    expect(waysOf('full')).toEqual(['+x-y', '+x', '+x+y']);
  });
});
