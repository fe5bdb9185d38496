import { writeWallTime } from '@lean-clasp/core/calendar';
import dayjs from 'dayjs';

const wall = (at: number) => dayjs(writeWallTime(at));

/** "Wed 25 Nov" of a wall minute. */
export const dayOf = (at: number): string => wall(at).format('ddd D MMM');
/** "14:30" of a wall minute. */
export const timeOf = (at: number): string => wall(at).format('HH:mm');
/** "Wed 25 Nov, 14:30" of a wall minute. */
export const dayAndTime = (at: number): string => `${dayOf(at)}, ${timeOf(at)}`;
