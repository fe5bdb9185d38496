export { ageMonthsOf, type BottleState, bottleState } from './bottle-state';
export { glueUsedMl, nextBottle, poured } from './poured';
