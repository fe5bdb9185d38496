export { type BuildStart, newBuild } from './new-build';
export { STARTER_SHOP } from './starter-shop';
