export { type DemoBuild, wagonBuilds } from './wagon';
export { DEMO_SHOP } from './shop';
export { pastRuns, stageFloor } from './stage-floor';
