import { type Prism, prismCorners, prismVolume } from './prism';
import type { Vec3 } from './vector';

/** A piece of wood: blocks that touch but do not overlap, less pockets that lie wholly inside them. */
export interface Solid {
  readonly blocks: readonly Prism[];
  readonly pockets: readonly Prism[];
}

/** A solid of blocks without pockets. */
export const solidOf = (...blocks: readonly Prism[]): Solid => ({ blocks, pockets: [] });

/** Volume of wood, mm³. */
export function solidVolume({ blocks, pockets }: Solid): number {
  const sum = (prisms: readonly Prism[]) => prisms.reduce((total, prism) => total + prismVolume(prism), 0);
  return sum(blocks) - sum(pockets);
}

/** All corners of the blocks. */
export const solidPoints = ({ blocks }: Solid): Vec3[] => blocks.flatMap(prismCorners);
