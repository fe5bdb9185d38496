import { buildOf } from '../test-support/builds';
import { KINDS, layAssembly } from '../kinds';
import { dot, surfaceArea } from '../solids';
import { deriveAssembly } from './derive';
import { readGaps } from './gap-readings';
import { isEndGrain } from './joint-facts';

type Notes = ReturnType<typeof buildOf>['partNotes'];

const measure = (template: string, partNotes: Notes = []) =>
  deriveAssembly(
    layAssembly(
      { ...buildOf({ template, name: 'T', project: '', service: 'dry', answers: {} }), partNotes },
      9,
    ),
  );
const turned = (id: string, faceTurned: boolean, edgeTurned: boolean) => ({
  id,
  species: null,
  mcPct: null,
  condition: 'fresh' as const,
  faceTurned,
  edgeTurned,
});

describe('referenceMarks', () => {
  it.each(KINDS.map(({ id }) => [id]))(
    'marks long-grain sides square to each other in every part of %s',
    (id) => {
      for (const { part, surfaces, marks } of measure(id).parts) {
        expect(marks).not.toBeNull();
        if (marks === null) continue;
        const face = surfaces[marks.face.surface];
        if (face === undefined) throw new Error('a mark on no surface');
        expect(isEndGrain(part, face.normal)).toBe(false);
        if (marks.edge !== null) {
          expect(Math.abs(dot(marks.edge.normal, face.normal))).toBeLessThan(0.06);
        }
      }
    },
  );

  it('puts the face mark on the largest side, up where two are alike, and the edge mark where glue goes', () => {
    const { parts } = measure('reglue');
    const [first] = parts;
    expect(first?.marks?.face.normal[2]).toBeCloseTo(1, 9);
    // Two boards lie side by side along y: the first is glued on its far edge.
    expect(first?.marks?.edge?.normal[1]).toBeCloseTo(1, 9);
    const largest = Math.max(...(first?.surfaces ?? []).map(surfaceArea));
    const face = first?.surfaces[first.marks?.face.surface ?? -1];
    expect(face === undefined ? 0 : surfaceArea(face)).toBeCloseTo(largest, 6);
  });

  it('turns either mark over where the person says so, and no other part’s', () => {
    const plain = measure('reglue').parts;
    const noted = measure('reglue', [turned('board-1', true, true)]).parts;
    const [before, after] = [plain[0]?.marks, noted[0]?.marks];
    if (!before?.edge || !after?.edge) throw new Error('a board without marks');
    expect(dot(after.face.normal, before.face.normal)).toBeCloseTo(-1, 9);
    expect(dot(after.edge.normal, before.edge.normal)).toBeCloseTo(-1, 9);
    expect(noted[1]?.marks).toEqual(plain[1]?.marks);
  });
});

describe('readGaps', () => {
  it('has nothing to say of no reading, and no shape for one or two', () => {
    expect(readGaps([])).toBeNull();
    expect(readGaps([0.3])).toEqual({ gapMm: 0.3, line: null });
    expect(readGaps([0.1, -0.4])).toEqual({ gapMm: -0.4, line: null });
  });

  it('tells hollow from sprung by where the openings are', () => {
    expect(readGaps([0, 0.4, 0])).toMatchObject({ gapMm: 0.4, line: { kind: 'hollow' } });
    expect(readGaps([0.4, 0, 0.4])).toMatchObject({ gapMm: -0.4, line: { kind: 'sprung' } });
    expect(readGaps([0, 0.2, 0.4])).toMatchObject({ line: { kind: 'wedge' } });
  });
});
