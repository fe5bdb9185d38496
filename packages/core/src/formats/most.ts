/** Most feeler readings along one joint. */
export const MOST_READINGS = 9;
/** Most parts and joints of a free assembly. */
export const MOST_FREE_PARTS = 40;
/** Most boards that one row may have. */
export const MOST_BOARDS = 40;
/** Most clamps that may be placed one by one on an assembly. */
export const MOST_PULLED = 400;
/** Most clamps that one row may carry. */
export const MOST_CLAMPS = 60;
