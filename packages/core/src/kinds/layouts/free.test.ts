import { type InputError } from '../../basics/checks';
import { deriveAssembly } from '../../assembly';
import type { FreeJoint, FreePart } from '../../formats';
import { practise } from '../../test-support/practice';
import { freeLayout } from './free';

type Size = readonly [number, number, number];
const part = (id: string, atMm: Size, sizeMm: Size, grain: FreePart['grain']): FreePart => ({
  id,
  name: id,
  species: 'white-ash',
  atMm: [...atMm],
  sizeMm: [...sizeMm],
  grain,
});
const joined = (kind: FreeJoint['kind'], a: string, b: string, deepMm?: number): FreeJoint => ({
  id: `${a}+${b}`,
  kind,
  a,
  b,
  ...(deepMm === undefined ? {} : { deepMm }),
});

function measured(parts: readonly FreePart[], joints: readonly FreeJoint[]) {
  const layout = freeLayout(parts, joints);
  return deriveAssembly({
    ...layout,
    parts: layout.parts.map((own) => ({
      ...own,
      mcPct: null,
      ring: null,
      condition: 'fresh' as const,
      faceTurned: false,
      edgeTurned: false,
    })),
  });
}

/** A frame of two stiles and two rails, the rails between the stiles. */
const FRAME: readonly FreePart[] = [
  part('left', [0, 0, 0], [60, 700, 24], 'y'),
  part('right', [440, 0, 0], [60, 700, 24], 'y'),
  part('bottom', [60, 0, 0], [380, 60, 24], 'x'),
  part('top', [60, 640, 0], [380, 60, 24], 'x'),
];
const corners = (kind: FreeJoint['kind'], deepMm?: number) =>
  ['left', 'right'].flatMap((stile) => ['bottom', 'top'].map((rail) => joined(kind, stile, rail, deepMm)));

describe('free tenons', () => {
  it('have their solids: cheeks, edges, shoulders', () => {
    const { joints, parts } = measured(FRAME, corners('mortise-tenon', 36));
    // A third of 24 thick, three quarters of 60 wide, 36 deep; the bottom of the mortise stands off.
    const [thick, wide] = [8, 45];
    expect(joints[0]?.contactMm2).toBeCloseTo(2 * 36 * (thick + wide) + 60 * 24 - thick * wide, 6);
    expect(parts.find(({ part: own }) => own.id === 'bottom')?.part.blankMm[0]).toBe(380 + 2 * 36);
    expect(joints.map(({ release }) => release.length > 0)).toEqual([true, true, true, true]);
  });

  it('go two thirds deep unless they are told, and never through', () => {
    const usual = measured(FRAME, corners('mortise-tenon')).parts.find(({ part: own }) => own.id === 'top');
    expect(usual?.part.blankMm[0]).toBeCloseTo(380 + 2 * 40, 9);
    expect(() => measured(FRAME, corners('mortise-tenon', 58))).toThrow(/would come out of “left”/);
    try {
      measured(FRAME, corners('mortise-tenon', 58));
    } catch (error) {
      expect((error as InputError).allowed).toBe('at most 55.0 mm');
      expect((error as InputError).field).toBe('joints.0.deepMm');
    }
  });

  it('enter by their end grain, whichever part is named first', () => {
    const turned = corners('mortise-tenon', 36).map(({ a, b, ...rest }) => ({ ...rest, a: b, b: a }));
    const areas = (joints: readonly FreeJoint[]) =>
      measured(FRAME, joints).joints.map(({ contactMm2 }) => contactMm2);
    expect(areas(turned)).toEqual(areas(corners('mortise-tenon', 36)));
  });

  it('are seated, not pressed, and read across the diagonals of the ring that they close', () => {
    const { assembly } = measured(FRAME, corners('mortise-tenon', 36));
    expect(assembly.pulls).toMatchObject([{ id: 'x-seat', need: 'seat', openingMm: 540 }]);
    expect(assembly.square).toEqual({ kind: 'diagonals', abMm: 500, bcMm: 700 });
    // Three sides close no ring.
    expect(
      measured(
        FRAME.slice(0, 3),
        corners('mortise-tenon', 36).filter(({ b }) => b !== 'top'),
      ).assembly.square.kind,
    ).toBe('none');
  });

  it('are refused between parts that do not touch', () => {
    const apart = FRAME.map((own) =>
      own.id === 'top' ? { ...own, atMm: [80, 640, 0], sizeMm: [340, 60, 24] } : own,
    );
    expect(() => measured(apart, corners('mortise-tenon'))).toThrow(/do not touch/);
  });
});

describe('free housings and bridles', () => {
  it('let the whole of a shelf in', () => {
    const shelf = [
      part('side', [0, 0, 0], [18, 250, 600], 'z'),
      part('shelf', [18, 0, 200], [500, 250, 18], 'x'),
    ];
    const { joints } = measured(shelf, [joined('housing', 'side', 'shelf')]);
    // Both faces and the end of what is let in; the ends of the housing are open.
    expect(joints[0]?.contactMm2).toBeCloseTo(2 * 250 * 6 + 250 * 18, 6);
  });

  it('run a bridle through', () => {
    const { joints } = measured(FRAME, corners('bridle'));
    // Two cheeks of 60 × 60, one edge inside the stile, and the shoulders on both faces.
    expect(joints[0]?.contactMm2).toBeCloseTo(2 * 60 * 60 + 60 * 8 + 2 * 60 * 8, 6);
  });
});

describe('free mitres', () => {
  const MITRED: readonly FreePart[] = [
    part('bottom', [0, 0, 0], [400, 50, 20], 'x'),
    part('top', [0, 450, 0], [400, 50, 20], 'x'),
    part('left', [0, 0, 0], [50, 500, 20], 'y'),
    part('right', [350, 0, 0], [50, 500, 20], 'y'),
  ];
  const joints = ['bottom', 'top'].flatMap((one) =>
    ['left', 'right'].map((other) => joined('mitre', one, other)),
  );

  it('are cut from members that are laid right into the corner', () => {
    const facts = measured(MITRED, joints);
    expect(facts.joints.map(({ contactMm2 }) => contactMm2)).toEqual(
      Array.from({ length: 4 }, () => expect.closeTo(50 * Math.SQRT2 * 20, 6) as unknown),
    );
    const volume = facts.parts.reduce((sum, { volumeMm3 }) => sum + volumeMm3, 0);
    expect(volume).toBeCloseTo((400 * 500 - 300 * 400) * 20, 4);
    for (const { pull, normal } of facts.assembly.pulls.map((own, i) => ({
      pull: own,
      normal: facts.joints[i]?.contacts[0]?.normal ?? [0, 0, 0],
    }))) {
      const [x, y, z] = pull.axis;
      expect(Math.abs(x * (normal[0] ?? 0) + y * (normal[1] ?? 0) + z * (normal[2] ?? 0))).toBeCloseTo(1, 9);
    }
    expect(facts.assembly.square).toEqual({ kind: 'diagonals', abMm: 400, bcMm: 500 });
  });

  it('are not cut from parts that merely overlap', () => {
    const crossed = MITRED.map((own) => (own.id === 'left' ? { ...own, atMm: [100, -20, 0] } : own));
    expect(() => measured(crossed, joints)).toThrow(/do not share a corner/);
    expect(() => measured(MITRED, [])).toThrow(/in the same place/);
  });
});

describe('thin stock', () => {
  it('is taped at its edges and pressed on its faces, never barred', () => {
    const sheets = [
      part('one', [0, 0, 0], [600, 100, 1.5], 'x'),
      part('two', [0, 100, 0], [600, 100, 1.5], 'x'),
      part('under', [0, 0, -1.5], [600, 200, 1.5], 'x'),
    ];
    const { pulls } = measured(sheets, [
      joined('edge', 'one', 'two'),
      joined('face', 'under', 'one'),
    ]).assembly;
    expect(pulls.map(({ need }) => need)).toEqual(['tape', 'line']);
    expect(pulls[0]?.kinds).toEqual(['tape']);
    expect(pulls[1]?.kinds).toContain('weight');
  });
});

describe('glue pressed in a free assembly', () => {
  const of = (parts: readonly FreePart[], joints: readonly FreeJoint[]) =>
    practise({ template: 'free', answers: {}, free: { parts: [...parts], joints: [...joints] } });

  it('has one force through lines behind each other, pressed by elements as on a panel', () => {
    const boards = [0, 100, 200].map((y, i) => part(`board ${i}`, [0, y, 0], [600, 100, 22], 'x'));
    const joints = [joined('edge', 'board 0', 'board 1'), joined('edge', 'board 1', 'board 2')];
    const { answer } = of(boards, joints);
    const forceN = answer.clamps.reduce((sum, { plannedN }) => sum + plannedN, 0);
    for (const { areaMm2, pressure, target } of answer.joints) {
      expect(pressure?.meanMPa).toBeCloseTo(forceN / areaMm2, 4);
      expect(pressure?.meanMPa).toBeLessThanOrEqual(target?.highMPa ?? 0);
      // Place by place, and not one mean for all.
      expect(pressure?.minMPa).toBeLessThan(0.99 * (pressure?.meanMPa ?? 0));
    }
  });

  it('has its own force on lines beside each other, and both ends of a rail share theirs', () => {
    const frame = FRAME.map((own) =>
      own.id === 'top' ? part('top', [60, 580, 0], [380, 120, 24], 'x') : own,
    );
    const { answer } = of(frame, corners('butt'));
    for (const { id, areaMm2, pressure, target } of answer.joints) {
      const own = answer.clamps.filter((clamp) => clamp.joints.includes(id));
      const forceN = own.reduce((sum, { plannedN }) => sum + plannedN, 0);
      expect(pressure?.meanMPa).toBeCloseTo(forceN / areaMm2, 9);
      expect(pressure?.meanMPa).toBeGreaterThanOrEqual(target?.lowMPa ?? Infinity);
      expect(pressure?.meanMPa).toBeLessThanOrEqual(target?.highMPa ?? 0);
    }
  });
});

describe('a frame built freely', () => {
  it('comes to the same clamps and verdicts as one of its kind', () => {
    const free = practise({
      template: 'free',
      answers: {},
      free: { parts: [...FRAME], joints: corners('mortise-tenon', 36) },
    }).answer;
    const kind = practise({
      template: 'tenon-frame',
      answers: {
        species: 'white-ash',
        widthMm: 500,
        heightMm: 700,
        memberMm: 60,
        thicknessMm: 24,
        midRails: 0,
        tenonMm: 36,
      },
      glue: {
        adhesive: free.adhesive,
        method: free.joints[0]?.spread.method ?? 'brush',
        faces: free.joints[0]?.spread.faces ?? 1,
      },
    }).answer;
    const bars = ({ clamps }: typeof free) =>
      clamps.map(({ kind: own, plannedN }) => [own, Math.round(plannedN)]);
    expect(bars(free)).toEqual(bars(kind));
    expect(free.verdicts.tight.state).toBe('holds');
    expect(free.verdicts.square.cause.code).toBe('diagonals-unread');
    expect(free.totals.handsOnMin / kind.totals.handsOnMin).toBeCloseTo(1, 0);
  });
});
