import { handCalibration } from '.';

/** Numbers about 0, of standard deviation 1, the same for a seed. */
function normals(seed: number): () => number {
  let state = seed;
  const next = () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return (state + 1) / 4_294_967_297;
  };
  return () => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
}

describe('a clamp by turns past snug', () => {
  it('is the line that the readings lie on', () => {
    const read = [0, 0.5, 1, 1.5].map((turns) => ({ turns, forceN: 400 + 1800 * turns }));
    const { perTurnN, perTurnErrorN, snugN, mostN, straight } = handCalibration(read);
    expect(perTurnN).toBeCloseTo(1800, 6);
    expect(perTurnErrorN).toBeCloseTo(0, 6);
    expect(snugN).toBeCloseTo(400, 6);
    expect(mostN).toBeCloseTo(3100, 6);
    expect(straight).toBe(true);
  });

  it('tells how sure it is: two errors hold the truth in about nineteen of twenty', () => {
    const noise = normals(7);
    let held = 0;
    let mostHeld = 0;
    for (let i = 0; i < 2000; i += 1) {
      const read = Array.from({ length: 12 }, (_, k) => ({
        turns: k / 6,
        forceN: 300 + 1500 * (k / 6) + 150 * noise(),
      }));
      const { perTurnN, perTurnErrorN, mostN, mostErrorN } = handCalibration(read);
      // Student's t for ten degrees of freedom.
      if (Math.abs(perTurnN - 1500) <= 2.228 * (perTurnErrorN ?? 0)) held += 1;
      if (Math.abs(mostN - (300 + (1500 * 11) / 6)) <= 2.228 * (mostErrorN ?? 0)) mostHeld += 1;
    }
    for (const share of [held / 2000, mostHeld / 2000]) {
      expect(share).toBeGreaterThan(0.93);
      expect(share).toBeLessThan(0.97);
    }
  });

  it('says where readings are no line, and refuses those that make none', () => {
    const crooked = [0, 1, 2, 3].map((turns) => ({ turns, forceN: turns === 2 ? 4000 : 1000 + 900 * turns }));
    expect(handCalibration(crooked).straight).toBe(false);
    expect(() => handCalibration([{ turns: 1, forceN: 900 }])).toThrow('makes no line');
    expect(() =>
      handCalibration([
        { turns: 1, forceN: 900 },
        { turns: 1, forceN: 950 },
      ]),
    ).toThrow('makes no line');
    expect(() =>
      handCalibration([
        { turns: 0, forceN: 900 },
        { turns: 1, forceN: 800 },
      ]),
    ).toThrow('more turns pull less');
  });
});
