/** Seconds in the units in which methods give their times. */
export const MIN = 60;
export const HOUR = 3600;
export const DAY = 24 * HOUR;
