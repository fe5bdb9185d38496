export { bend } from './bend';
export { type ResawList, resawList } from './resaw';
