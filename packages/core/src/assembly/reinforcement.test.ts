import { reinforcementOptions } from './reinforcement';

describe('reinforcementOptions', () => {
  const at = (angleDeg: number, faceMm = 75, thicknessMm = 21) =>
    new Map(
      reinforcementOptions({ faceMm, thicknessMm, angleDeg }).map((option) => [option.reinforcement, option]),
    );

  it('gives a key at a right angle twice the square of its depth', () => {
    expect(at(90).get('key')?.gainMm2).toBeCloseTo(2 * 30 ** 2, 9);
  });

  it('gives a key the triangle that the corner leaves, by its corners', () => {
    // Depth d along the bisector: the key ends where it meets both outsides, at half-width d·tan(θ/2).
    const half = 30 * Math.tan((50 * Math.PI) / 180);
    const triangle = Math.abs((-half * 30 - half * 30) / 2);
    expect(at(100).get('key')?.gainMm2).toBeCloseTo(2 * triangle, 9);
  });

  it('lets only what has room for itself', () => {
    const narrow = at(90, 30);
    expect(narrow.get('key')?.fits).toBe(true);
    expect(narrow.get('biscuit')?.fits).toBe(false);
    expect(
      [...narrow.values()].filter(({ afterwards }) => afterwards).map(({ reinforcement }) => reinforcement),
    ).toEqual(['key']);
  });
});
