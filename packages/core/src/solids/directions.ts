import { unit, type Vec3 } from './vector';

/**
 * The 26 directions made of signs along x, y and z (axes, face and body diagonals), named like "+x-z". The
 * opposite of the direction at `i` stands at `25 − i`.
 */
export const DIRECTIONS: readonly { readonly name: string; readonly direction: Vec3 }[] = [-1, 0, 1]
  .flatMap((x) => [-1, 0, 1].flatMap((y) => [-1, 0, 1].map((z): Vec3 => [x, y, z])))
  .filter((direction) => direction.some((value) => value !== 0))
  .map((signs) => ({
    name: signs.map((sign, i) => (sign === 0 ? '' : `${sign > 0 ? '+' : '-'}${'xyz'[i] ?? ''}`)).join(''),
    direction: unit(signs),
  }));
