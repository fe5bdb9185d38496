export { bend } from './bend';
