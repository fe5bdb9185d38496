export { factor, forwardMany, addProducts } from './dense';
export { giveAtEdge } from './give';
