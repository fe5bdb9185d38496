import fc from 'fast-check';
import { placeLabels } from './place-labels';

const sheet = { width: 700, height: 400 };
const label = (x: number, y: number, width = 60) => ({ x, y, width, height: 22 });

describe('placeLabels', () => {
  it('leaves labels alone that do not touch', () => {
    expect(placeLabels([label(100, 100), label(300, 100)], sheet)).toEqual([
      { x: 100, y: 100, away: false },
      { x: 300, y: 100, away: false },
    ]);
  });

  it('moves the second of two in one place, and leads a line back to it', () => {
    const [first, second] = placeLabels([label(100, 100), label(104, 101)], sheet);
    expect(first).toMatchObject({ x: 100, y: 100 });
    expect(second).toMatchObject({ x: 104, y: 126, away: true });
  });

  it('keeps labels on the sheet and, where there is room, off each other', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -50, max: 750 }), fc.integer({ min: -50, max: 450 })), {
          minLength: 1,
          maxLength: 10,
        }),
        (spots) => {
          const placed = placeLabels(
            spots.map(([x, y]) => label(x, y)),
            sheet,
          );
          placed.forEach(({ x, y }, i) => {
            expect(x).toBeGreaterThanOrEqual(30);
            expect(x).toBeLessThanOrEqual(670);
            expect(y).toBeGreaterThanOrEqual(11);
            expect(y).toBeLessThanOrEqual(389);
            placed.slice(i + 1).forEach((other) => {
              expect(Math.abs(other.x - x) >= 60 || Math.abs(other.y - y) >= 22).toBe(true);
            });
          });
        },
      ),
      { seed: 7, numRuns: 200 },
    );
  });
});
