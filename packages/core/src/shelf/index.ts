export { ageMonthsOf, type BottleState, bottleState } from './bottle-state';
export { glueUsedMl, poured } from './poured';
