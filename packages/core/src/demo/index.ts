export { DEMO_SHOP } from './shop';
export { pastRuns, stageFloor } from './stage-floor';
