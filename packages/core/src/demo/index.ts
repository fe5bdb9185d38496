export { type DemoBuild, wagonBuilds } from './wagon';
export { pastAir } from './past-air';
export { seasonBuilds, seasonRuns, withSeason } from './season';
export { DEMO_SHOP } from './shop';
export { pastRuns, stageFloor } from './stage-floor';
export { type Day, type Telling, type Truth, withEvents, type Worked, workedBy } from './woodworker';
