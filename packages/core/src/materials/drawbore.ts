/**
 * How far the hole in a tongue or tenon is offset towards the shoulder, mm, so that its peg draws the joint home: hard wood gives less.
 * Range: pegs of 6 to 12 mm. Source: shop practice, 0.8 to 1.5 mm [judgement].
 */
export const drawboreMm = (sg: number): number => (sg > 0.65 ? 0.8 : sg > 0.5 ? 1.1 : 1.5);
