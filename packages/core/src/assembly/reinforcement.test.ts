import { reinforcementOptions } from './reinforcement';

describe('reinforcementOptions', () => {
  const at = (angleDeg: number, faceMm = 75, thicknessMm = 21) =>
    new Map(
      reinforcementOptions({ faceMm, thicknessMm, angleDeg }).map((option) => [option.reinforcement, option]),
    );

  it('gives a key at a right angle twice the square of its depth', () => {
    expect(at(90).get('key')?.cut?.count).toBe(1);
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
    ).toEqual(['key', 'patch']);
  });

  it('glues two dowels of 8 mm, 20 mm deep, over 10 cm² of either member', () => {
    const dowel = at(90, 70, 24).get('dowel');
    expect(dowel?.cut).toMatchObject({ count: 2, thickMm: 8, deepMm: 20, bladeMm: null });
    expect(dowel?.oneSideMm2).toBeCloseTo(Math.PI * 8 * 20 * 2, 9);
    expect(Math.round((dowel?.oneSideMm2 ?? 0) / 100)).toBe(10);
  });

  it.each([60, 75, 90, 110, 140])('stays 3 mm inside the wood at %d°', (angleDeg) => {
    const half = Math.tan((angleDeg * Math.PI) / 360);
    for (const faceMm of [46, 60, 90, 150]) {
      const options = at(angleDeg, faceMm, 24);
      const behind = (fromEndMm: number) => fromEndMm * Math.min(half, 1 / half);
      const dowel = options.get('dowel')?.cut;
      if (dowel) expect(behind(faceMm / 3) - dowel.deepMm).toBeGreaterThanOrEqual(3 - 1e-9);
      const tenon = options.get('loose-tenon')?.cut;
      if (tenon) {
        expect(behind((faceMm - (tenon.wideMm ?? 0)) / 2) - tenon.deepMm).toBeGreaterThanOrEqual(3 - 1e-9);
      }
      const patch = options.get('patch')?.cut;
      if (patch) expect(faceMm - (patch.wideMm ?? 0)).toBeGreaterThanOrEqual(6 - 1e-9);
    }
  });

  it('puts in more keys where there is thickness for them, and calls the mitre alone the weakest', () => {
    expect(at(90, 75, 50).get('key')?.cut?.count).toBe(4);
    const strengths = [...at(90).values()].map(({ strength }) => strength);
    expect(strengths[0]).toBe(1);
    expect(Math.min(...strengths.slice(1))).toBeGreaterThan(1);
  });

  it('has no settings for what does not fit', () => {
    expect(at(90, 30).get('biscuit')).toMatchObject({ fits: false, cut: null });
    // Members too thin for any dowel that is sold.
    expect(at(90, 75, 9).get('dowel')).toMatchObject({ fits: false, cut: null });
  });
});
