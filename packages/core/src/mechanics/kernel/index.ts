export { type Columns, factorDense, forwardMany, giveAtEdge, subtractProducts } from './kernel';
