/** Places along a live edge at which it is told, from end to end. */
export const LIVE_STATIONS = 21;
