import type { BuildDocument } from '../formats';
import { type Plan, planBuild, planQuestion, settlePlan } from '../plan';
import { PRACTICE_SHOP } from '../test-support/practice';
import { clampMarks, type PlacedMark } from './clamp-marks';
import type { AssemblyView } from './eye';
import { clampSlides, type Slide, slid, slideOnSheet } from './slides';

const settled = (
  template: string,
  answers: Record<string, string | number> = {},
  more: object = {},
): Plan => {
  const { build, shop } = planQuestion({ template, shop: PRACTICE_SHOP, crew: 2, answers });
  return settlePlan(planBuild({ ...(build as BuildDocument), ...more }, shop));
};
const STEP_MM = 5;
const firstOf = (slides: readonly Slide[]): Slide => {
  const [slide] = slides;
  if (slide === undefined) throw new Error('nothing is slid');
  return slide;
};

describe('clamps slid over the sheet', () => {
  it.each(['slant', 'front', 'above', 'side'] as const)(
    'a case seen from %s: a clamp follows the hand as far as the view shows it, and is drawn where it is let go',
    (view: AssemblyView) => {
      const plan = settled('case');
      const slide = firstOf(clampSlides(plan, view));
      const to = {
        alongMm: slide.along === null ? slide.place.alongMm : 5 * Math.round(slide.lengthMm / 10),
        acrossMm: slide.across === null ? slide.place.acrossMm : 5 * Math.round(slide.widthMm / 15),
      };
      const way = slideOnSheet(slide, to);
      expect(slid(slide, way, STEP_MM)).toEqual(to);
      // A second way to the same: plan it there, and look where its number stands.
      const placed = plan.squeeze?.pulls[0]?.clamps ?? [];
      const clamps = placed.flatMap(({ pull, lot, place }, i) =>
        place === null ? [] : [{ id: `c${i}`, pull, rackId: lot.id, ...(i === 0 ? to : place) }],
      );
      const moved = settlePlan(planBuild({ ...plan.build, squeeze: { clamps } }, plan.shop));
      const marked = (seen: Plan, isIt: (mark: PlacedMark) => boolean) =>
        clampMarks(seen, view).find(isIt)?.at ?? [NaN, NaN];
      const from = marked(plan, ({ number }) => number === slide.number);
      const then = marked(moved, ({ id }) => id === 'c0');
      const off = Math.hypot(then[0] - from[0] - way[0], then[1] - from[1] - way[1]);
      expect(off).toBeLessThan(1);
    },
  );

  it('goes no further than what is pressed reaches, in whole steps', () => {
    const slide = firstOf(clampSlides(settled('case'), 'slant'));
    const far = slid(slide, [1e5, -1e5], STEP_MM);
    for (const [mm, most] of [
      [far.alongMm, slide.lengthMm],
      [far.acrossMm, slide.widthMm],
    ] as const) {
      expect(mm === 0 || mm === most).toBe(true);
    }
    expect(slid(slide, [0.5, 0.5], STEP_MM)).toEqual(slide.place);
  });

  it('slides along what is pressed only where it presses a line, and nothing that has no place of its own', () => {
    const stack = clampSlides(settled('face-lamination'), 'above');
    expect(stack.length).toBeGreaterThan(1);
    for (const { across } of stack) expect(across).toBeNull();
    expect(clampSlides(settled('edge-banding'), 'slant')).toEqual([]);
    expect(clampSlides(settled('veneered-sheet'), 'slant')).toEqual([]);
  });

  it('does not slide towards the eye', () => {
    const rails = clampSlides(settled('tenon-frame'), 'front');
    // Seen from in front its height, along the stiles, is away from the eye.
    for (const { along } of rails) expect(along === null || Math.hypot(...along) > 0.25).toBe(true);
    const ways = (view: AssemblyView) => firstOf(clampSlides(settled('tenon-frame'), view)).along !== null;
    expect([ways('above'), ways('front'), ways('side')]).toEqual([true, false, true]);
  });
});
